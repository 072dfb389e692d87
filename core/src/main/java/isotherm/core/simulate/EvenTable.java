package isotherm.core.simulate;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;

/**
 * Values at evenly spaced arguments, linear between them and level beyond them; each worked out when it is first asked for. Not
 * for two threads at once unless it is {@link #filled}.
 */
final class EvenTable {
    private final double low;
    private final double perStep;
    private final double step;
    private final double last;
    private final double[] values;
    private final DoubleUnaryOperator relation;

    /**
     * @param low first argument
     * @param step from one argument to the next, above 0
     * @param nodes number of arguments, two or more
     * @param relation what is tabulated
     */
    EvenTable(double low, double step, int nodes, DoubleUnaryOperator relation) {
        this.low = low;
        this.step = step;
        this.perStep = 1 / step;
        this.last = nodes - 1.000001;
        this.values = new double[nodes];
        this.relation = relation;
        Arrays.fill(values, Double.NaN);
    }

    /** @return this table with every value worked out: from then on for any number of threads */
    EvenTable filled() {
        for (int i = 0; i < values.length; i++) {
            node(i);
        }
        return this;
    }

    /**
     * @param x where
     * @return the value there, in the relation's unit
     */
    double at(double x) {
        double at = held((x - low) * perStep, last);
        int i = (int) at;
        double here = node(i);
        return here + (at - i) * (node(i + 1) - here);
    }

    /** What lies beside a table's ends is held at them; the library's least and most take several times as long. */
    static double held(double at, double last) {
        if (at < 0) {
            return 0;
        }
        return at > last ? last : at;
    }

    private double node(int i) {
        double value = values[i];
        return Double.isNaN(value) ? fill(i) : value;
    }

    private double fill(int i) {
        values[i] = relation.applyAsDouble(low + i * step);
        return values[i];
    }
}
