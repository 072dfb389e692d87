package isotherm.bench;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.TrackDuty;
import isotherm.core.simulate.SessionEquations;
import isotherm.core.simulate.Simulator;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince54Integrator;

/** A session integrated cell by cell with Dormand and Prince's adaptive method on the session's own right-hand side. */
final class AdaptiveReference {
    /** Loose enough that the reference is about as accurate as the fixed step, K. */
    private static final double TOLERANCE = 1e-2;

    private AdaptiveReference() {}

    static double[] oil(Car car, TrackDuty duty, Design design) {
        DemandTrace demand = duty.demand(car.vehicle(), car.engine());
        SessionEquations equations = new SessionEquations(car, demand, duty.weather(), design);
        double[] y = equations.start(duty.start().oilK(), duty.start().coolantK());
        double[] oil = new double[demand.cells()];
        DormandPrince54Integrator integrator = new DormandPrince54Integrator(1e-6, demand.cell(), TOLERANCE, 1e-9);
        for (int cell = 0; cell < oil.length; cell++) {
            int at = cell;
            OrdinaryDifferentialEquation ode = new OrdinaryDifferentialEquation() {
                @Override
                public int getDimension() {
                    return SessionEquations.STATES;
                }

                @Override
                public double[] computeDerivatives(double t, double[] state) {
                    double[] dy = new double[SessionEquations.STATES];
                    equations.derivatives(at, false, state, dy);
                    return dy;
                }
            };
            y = integrator.integrate(ode, new ODEState(0, y), demand.cell()).getPrimaryState();
            oil[cell] = y[SessionEquations.OIL];
        }
        return oil;
    }

    /** Largest difference between the reference and the fixed step over the benchmark's session, K. */
    static double largestDifference() {
        Car car = CoreBenchmarks.car();
        Design design = CoreBenchmarks.design();
        TrackDuty session = CoreBenchmarks.session();
        double[] reference = oil(car, session, design);
        double[] fixed = Simulator.run(car, session, design).oil();
        double most = 0;
        for (int i = 0; i < fixed.length; i++) {
            most = Math.max(most, Math.abs(fixed[i] - reference[i]));
        }
        return most;
    }
}
