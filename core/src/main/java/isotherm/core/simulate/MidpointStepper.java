package isotherm.core.simulate;

/**
 * The midpoint method on a session's equations with the middle of a step extrapolated from the slope of the step before, in
 * place and without garbage: of second order for one evaluation a step, of whatever length, since the middle need only be of
 * first order. Where the engine is asked for something else of a sudden, the slope is taken anew. Every heat flow is integrated
 * with the same slopes, so that the balance closes as exactly as with two evaluations. On a linear decay it is the method of
 * Adams and Bashforth of second order: stable up to a step of the time constant.
 *
 * <p>Source: Hairer, Nørsett, Wanner, Solving Ordinary Differential Equations I, 2nd ed., section III.1.
 */
final class MidpointStepper {
    private final SessionEquations equations;
    private final double[] slope = new double[SessionEquations.STATES];
    private final double[] middle = new double[SessionEquations.STATES];
    private int last = -1;

    MidpointStepper(SessionEquations equations) {
        this.equations = equations;
    }

    /** Advances the state by h seconds within one cell. */
    void step(int cell, boolean fanOn, double[] y, double h) {
        if (cell != last) {
            if (equations.jumps(cell) || last < 0) {
                equations.derivatives(cell, fanOn, y, slope);
            }
            last = cell;
        }
        for (int i = 0; i < SessionEquations.ACTING; i++) {
            middle[i] = y[i] + h / 2 * slope[i];
        }
        equations.derivatives(cell, fanOn, middle, slope);
        for (int i = 0; i < SessionEquations.STATES; i++) {
            y[i] += h * slope[i];
        }
    }
}
