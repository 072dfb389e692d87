package isotherm.bench;

import isotherm.core.simulate.SessionEquations;

/** The midpoint rule as a plain program would write it: one step a cell of the demand, two evaluations a step. */
final class FixedSteps implements CellByCell.Method {
    @Override
    public double[] over(SessionEquations equations, int cell, double[] y, double seconds) {
        double[] dy = new double[y.length];
        equations.derivatives(cell, false, y, dy);
        equations.derivatives(cell, false, moved(y, seconds / 2, dy), dy);
        return moved(y, seconds, dy);
    }

    private static double[] moved(double[] y, double seconds, double[] dy) {
        double[] moved = new double[y.length];
        for (int i = 0; i < y.length; i++) {
            moved[i] = y[i] + seconds * dy[i];
        }
        return moved;
    }
}
