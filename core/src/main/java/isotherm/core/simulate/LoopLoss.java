package isotherm.core.simulate;

import isotherm.core.exchanger.OilState;
import isotherm.core.fluid.Oil;
import java.util.Arrays;

/**
 * The pressure loss of a part of a cooler loop at any temperature of its oil, as a·q + b·q² through a third of and the whole of
 * the largest flow. A temperature's loss is worked out when it is first asked for: not for two threads at once.
 */
final class LoopLoss {
    private static final int NODES = 24;
    private static final double LOW_K = 233.15;
    private static final double STEP = 10;

    private final Oil oil;
    private final double largest;
    private final Loss loss;
    private final double[] linear = new double[NODES];
    private final double[] quadratic = new double[NODES];

    /** Loss in Pa of a mass flow in kg/s. */
    interface Loss {
        double of(double massFlow, OilState oil);
    }

    /**
     * @param oil the oil
     * @param largest flow that comes through, m³/s
     * @param loss of the part
     */
    LoopLoss(Oil oil, double largest, Loss loss) {
        this.oil = oil;
        this.largest = largest;
        this.loss = loss;
        Arrays.fill(linear, Double.NaN);
    }

    /**
     * @param kelvin temperature of the oil, K
     * @return where it lies between the temperatures that are known, for {@link #linear} and {@link #quadratic}
     */
    static double place(double kelvin) {
        return Math.max(0, Math.min(NODES - 1.000001, (kelvin - LOW_K) / STEP));
    }

    /** Pa per m³/s at a place between temperatures. */
    double linear(double place) {
        int i = (int) place;
        if (Double.isNaN(linear[i])) {
            fit(i);
        }
        if (Double.isNaN(linear[i + 1])) {
            fit(i + 1);
        }
        return linear[i] + (place - i) * (linear[i + 1] - linear[i]);
    }

    /** Pa per (m³/s)², after {@link #linear} at the same place. */
    double quadratic(double place) {
        int i = (int) place;
        return quadratic[i] + (place - i) * (quadratic[i + 1] - quadratic[i]);
    }

    private void fit(int i) {
        OilState state = OilState.of(oil, LOW_K + i * STEP);
        double q1 = largest / 3;
        double r1 = loss.of(q1 * state.density(), state) / q1;
        double r2 = loss.of(largest * state.density(), state) / largest;
        quadratic[i] = Math.max(0, (r2 - r1) / (largest - q1));
        linear[i] = Math.max(0, r1 - quadratic[i] * q1);
    }
}
