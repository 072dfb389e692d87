package isotherm.bench;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.TrackDuty;
import isotherm.core.simulate.SessionEquations;

/** A session on its own right-hand side, by a method of somebody else's. */
final class CellByCell {
    private CellByCell() {}

    /** How the state comes over one cell of the demand. */
    interface Method {
        /**
         * @param equations the session's
         * @param cell number of the cell
         * @param y state at its beginning
         * @param seconds its length
         * @return state at its end
         */
        double[] over(SessionEquations equations, int cell, double[] y, double seconds);
    }

    /** Oil temperature at the end of each cell, K. */
    static double[] oil(Car car, TrackDuty duty, Design design, Method method) {
        DemandTrace demand = duty.demand(car.vehicle(), car.engine());
        SessionEquations equations = new SessionEquations(car, demand, duty.weather(), design);
        double[] y = equations.start(duty.start().oilK(), duty.start().coolantK());
        double[] oil = new double[demand.cells()];
        for (int cell = 0; cell < oil.length; cell++) {
            y = method.over(equations, cell, y, demand.cell());
            oil[cell] = y[SessionEquations.OIL];
        }
        return oil;
    }
}
