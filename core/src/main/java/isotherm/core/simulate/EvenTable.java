package isotherm.core.simulate;

/** Values at evenly spaced arguments, linear between them and level beyond them. */
final class EvenTable {
    private EvenTable() {}

    /**
     * @param values at low, low + step and so on, two or more
     * @param low argument of the first
     * @param step from one argument to the next, above 0
     * @param x where
     * @return the value there, in their unit
     */
    static double at(double[] values, double low, double step, double x) {
        double at = Math.max(0, Math.min(values.length - 1.000001, (x - low) / step));
        int i = (int) at;
        return values[i] + (at - i) * (values[i + 1] - values[i]);
    }
}
