package isotherm.core.exchanger;

/**
 * Effectiveness of a heat exchanger from its number of transfer units.
 *
 * <p>Source: Kays and London, Compact Heat Exchangers, 3rd ed., 1984, chapter 2; the cross-flow relation is the usual
 * approximation to the exact series for both fluids unmixed, within 2 % of it for a capacity ratio up to 1.
 */
public final class Effectiveness {
    private Effectiveness() {}

    /**
     * Cross-flow, both fluids unmixed.
     *
     * @param ntu number of transfer units UA/Cmin, 0 or more
     * @param ratio capacity-rate ratio Cmin/Cmax, 0 to 1
     * @return effectiveness, 0 to 1
     */
    public static double crossFlowUnmixed(double ntu, double ratio) {
        if (ntu <= 0) {
            return 0;
        }
        if (ratio < 1e-9) {
            return -Math.expm1(-ntu);
        }
        double n22 = Math.pow(ntu, 0.22);
        return -Math.expm1(n22 / ratio * Math.expm1(-ratio * ntu / n22));
    }

    /**
     * Counter-flow.
     *
     * @param ntu number of transfer units UA/Cmin, 0 or more
     * @param ratio capacity-rate ratio Cmin/Cmax, 0 to 1
     * @return effectiveness, 0 to 1
     */
    public static double counterFlow(double ntu, double ratio) {
        if (Math.abs(1 - ratio) < 1e-9) {
            return ntu / (1 + ntu);
        }
        double e = Math.exp(-ntu * (1 - ratio));
        return (1 - e) / (1 - ratio * e);
    }

    /**
     * Parallel flow.
     *
     * @param ntu number of transfer units UA/Cmin, 0 or more
     * @param ratio capacity-rate ratio Cmin/Cmax, 0 to 1
     * @return effectiveness, 0 to 1
     */
    public static double parallelFlow(double ntu, double ratio) {
        return -Math.expm1(-ntu * (1 + ratio)) / (1 + ratio);
    }
}
