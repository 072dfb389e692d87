package isotherm.bench;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.TrackDuty;
import isotherm.core.simulate.SessionEquations;
import isotherm.core.simulate.Simulator;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince54Integrator;

/** Dormand and Prince's adaptive method. */
final class AdaptiveReference implements CellByCell.Method {
    /** Loose enough that the reference is about as accurate as the fixed step, K. */
    private static final double TOLERANCE = 1e-2;

    @Override
    public double[] over(SessionEquations equations, int cell, double[] y, double seconds) {
        OrdinaryDifferentialEquation ode = new OrdinaryDifferentialEquation() {
            @Override
            public int getDimension() {
                return SessionEquations.STATES;
            }

            @Override
            public double[] computeDerivatives(double t, double[] state) {
                double[] dy = new double[SessionEquations.STATES];
                equations.derivatives(cell, false, state, dy);
                return dy;
            }
        };
        return new DormandPrince54Integrator(1e-6, seconds, TOLERANCE, 1e-9)
                .integrate(ode, new ODEState(0, y), seconds)
                .getPrimaryState();
    }

    /** Largest difference between the reference and the fixed step over the benchmark's session, K. */
    static double largestDifference() {
        Car car = CoreBenchmarks.car();
        Design design = CoreBenchmarks.design();
        TrackDuty session = CoreBenchmarks.session();
        double[] reference = CellByCell.oil(car, session, design, new AdaptiveReference());
        double[] fixed = Simulator.run(car, session, design).oil();
        double most = 0;
        for (int i = 0; i < fixed.length; i++) {
            most = Math.max(most, Math.abs(fixed[i] - reference[i]));
        }
        return most;
    }
}
