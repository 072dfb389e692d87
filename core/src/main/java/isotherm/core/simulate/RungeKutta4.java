package isotherm.core.simulate;

/** The classical fourth-order Runge–Kutta method on a session's equations, in place and without garbage. */
final class RungeKutta4 {
    private final SessionEquations equations;
    private final double[] k1 = new double[SessionEquations.STATES];
    private final double[] k2 = new double[SessionEquations.STATES];
    private final double[] k3 = new double[SessionEquations.STATES];
    private final double[] k4 = new double[SessionEquations.STATES];
    private final double[] stage = new double[SessionEquations.STATES];

    RungeKutta4(SessionEquations equations) {
        this.equations = equations;
    }

    /** Advances the state by h seconds within one cell. */
    void step(int cell, boolean fanOn, double[] y, double h) {
        equations.derivatives(cell, fanOn, y, k1);
        add(y, k1, h / 2);
        equations.derivatives(cell, fanOn, stage, k2);
        add(y, k2, h / 2);
        equations.derivatives(cell, fanOn, stage, k3);
        add(y, k3, h);
        equations.derivatives(cell, fanOn, stage, k4);
        for (int i = 0; i < y.length; i++) {
            y[i] += h / 6 * (k1[i] + 2 * (k2[i] + k3[i]) + k4[i]);
        }
    }

    private void add(double[] y, double[] k, double h) {
        for (int i = 0; i < y.length; i++) {
            stage[i] = y[i] + h * k[i];
        }
    }
}
