package isotherm.core.simulate;

/**
 * Kutta's third-order method on a session's equations, in place and without garbage: a fourth
 * stage would cost a third more and change a session by less than a millikelvin.
 */
final class RungeKutta3 {
    private final SessionEquations equations;
    private final double[] k1 = new double[SessionEquations.STATES];
    private final double[] k2 = new double[SessionEquations.STATES];
    private final double[] k3 = new double[SessionEquations.STATES];
    private final double[] stage = new double[SessionEquations.STATES];

    RungeKutta3(SessionEquations equations) {
        this.equations = equations;
    }

    /** Advances the state by h seconds within one cell. */
    void step(int cell, boolean fanOn, double[] y, double h) {
        equations.derivatives(cell, fanOn, y, k1);
        for (int i = 0; i < y.length; i++) {
            stage[i] = y[i] + h / 2 * k1[i];
        }
        equations.derivatives(cell, fanOn, stage, k2);
        for (int i = 0; i < y.length; i++) {
            stage[i] = y[i] + h * (2 * k2[i] - k1[i]);
        }
        equations.derivatives(cell, fanOn, stage, k3);
        for (int i = 0; i < y.length; i++) {
            y[i] += h / 6 * (k1[i] + 4 * k2[i] + k3[i]);
        }
    }
}
