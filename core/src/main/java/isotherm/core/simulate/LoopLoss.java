package isotherm.core.simulate;

import isotherm.core.airflow.Resistance;
import isotherm.core.exchanger.OilState;
import isotherm.core.fluid.Oil;
import java.util.Arrays;

/**
 * The pressure loss of a part of a cooler loop at any temperature of its oil, as a·q + b·q² through a third of and the whole of
 * the largest flow. Not for two threads at once: what was looked up last stands in its fields.
 */
final class LoopLoss {
    private static final int NODES = 24;
    private static final double LOW_K = 233.15;
    private static final double STEP = 10;

    /** Of what was looked up last, Pa per m³/s. */
    double linear;
    /** Of what was looked up last, Pa per (m³/s)². */
    double quadratic;

    private final Oil oil;
    private final double largest;
    private final Loss loss;
    /** Linear and quadratic part of each node in turn; worked out when it is first asked for. */
    private final double[] known = new double[2 * NODES];

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
        Arrays.fill(known, Double.NaN);
    }

    /**
     * Looks up a temperature.
     *
     * @param kelvin of the oil, K
     */
    void look(double kelvin) {
        double at = EvenTable.held((kelvin - LOW_K) / STEP, NODES - 1.000001);
        int node = (int) at;
        double f = at - node;
        int i = 2 * node;
        if (Double.isNaN(known[i])) {
            fill(node);
        }
        if (Double.isNaN(known[i + 2])) {
            fill(node + 1);
        }
        linear = known[i] + f * (known[i + 2] - known[i]);
        quadratic = known[i + 1] + f * (known[i + 3] - known[i + 1]);
    }

    private void fill(int node) {
        OilState state = OilState.of(oil, LOW_K + node * STEP);
        Resistance through = Resistance.through(q -> loss.of(q * state.density(), state), largest / 3, largest);
        known[2 * node] = through.linear();
        known[2 * node + 1] = through.quadratic();
    }
}
