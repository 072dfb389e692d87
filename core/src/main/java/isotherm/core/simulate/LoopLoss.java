package isotherm.core.simulate;

import isotherm.core.exchanger.OilState;
import isotherm.core.fluid.Oil;

/**
 * The pressure loss of a part of a cooler loop at any temperature of its oil, as a·q + b·q² through a third of and the whole of
 * the largest flow.
 */
final class LoopLoss {
    private static final int NODES = 24;
    private static final double LOW_K = 233.15;
    private static final double STEP = 10;

    private final double[] linear = new double[NODES];
    private final double[] quadratic = new double[NODES];

    /** Loss in Pa of a mass flow in kg/s. */
    interface Loss {
        double of(double massFlow, OilState oil);
    }

    void fit(Oil oil, double largest, Loss loss) {
        for (int i = 0; i < NODES; i++) {
            OilState state = OilState.of(oil, LOW_K + i * STEP);
            double q1 = largest / 3;
            double r1 = loss.of(q1 * state.density(), state) / q1;
            double r2 = loss.of(largest * state.density(), state) / largest;
            quadratic[i] = Math.max(0, (r2 - r1) / (largest - q1));
            linear[i] = Math.max(0, r1 - quadratic[i] * q1);
        }
    }

    /** Pa per m³/s. */
    double linear(double kelvin) {
        return EvenTable.at(linear, LOW_K, STEP, kelvin);
    }

    /** Pa per (m³/s)². */
    double quadratic(double kelvin) {
        return EvenTable.at(quadratic, LOW_K, STEP, kelvin);
    }
}
