package isotherm.bench;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.TrackDuty;
import isotherm.core.simulate.SessionEquations;

/** A session by the midpoint rule, as a plain program would do it: two evaluations a step, one step a cell of the demand. */
final class FixedSteps {
    private FixedSteps() {}

    static double[] oil(Car car, TrackDuty duty, Design design) {
        DemandTrace demand = duty.demand(car.vehicle(), car.engine());
        SessionEquations equations = new SessionEquations(car, demand, duty.weather(), design);
        double[] y = equations.start(duty.start().oilK(), duty.start().coolantK());
        double[] oil = new double[demand.cells()];
        for (int cell = 0; cell < oil.length; cell++) {
            double[] dy = new double[SessionEquations.STATES];
            equations.derivatives(cell, false, y, dy);
            double[] middle = new double[SessionEquations.STATES];
            for (int i = 0; i < middle.length; i++) {
                middle[i] = y[i] + demand.cell() / 2 * dy[i];
            }
            equations.derivatives(cell, false, middle, dy);
            for (int i = 0; i < y.length; i++) {
                y[i] += demand.cell() * dy[i];
            }
            oil[cell] = y[SessionEquations.OIL];
        }
        return oil;
    }
}
