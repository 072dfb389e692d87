package isotherm.core.simulate;

import isotherm.core.airflow.Resistance;
import isotherm.core.exchanger.OilState;
import isotherm.core.fluid.Oil;
import org.jspecify.annotations.Nullable;

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
    private final @Nullable Resistance[] known = new Resistance[NODES];

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
    }

    /** Pa per m³/s. */
    double linear(double kelvin) {
        double at = place(kelvin);
        int i = (int) at;
        double low = node(i).linear();
        return low + (at - i) * (node(i + 1).linear() - low);
    }

    /** Pa per (m³/s)². */
    double quadratic(double kelvin) {
        double at = place(kelvin);
        int i = (int) at;
        double low = node(i).quadratic();
        return low + (at - i) * (node(i + 1).quadratic() - low);
    }

    private static double place(double kelvin) {
        return Math.max(0, Math.min(NODES - 1.000001, (kelvin - LOW_K) / STEP));
    }

    private Resistance node(int i) {
        Resistance node = known[i];
        if (node == null) {
            OilState state = OilState.of(oil, LOW_K + i * STEP);
            node = Resistance.through(q -> loss.of(q * state.density(), state), largest / 3, largest);
            known[i] = node;
        }
        return node;
    }
}
