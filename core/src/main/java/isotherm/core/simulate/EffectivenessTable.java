package isotherm.core.simulate;

import isotherm.core.exchanger.Effectiveness;

/**
 * Cross-flow effectiveness over transfer units and capacity ratio, tabulated once: the relation costs as much as the rest of
 * a session's step. What is tabulated is ε/NTU over the root of NTU (the relation bends like NTU^0.78 near none), so that
 * linear interpolation stays within 0.1 % of the relation; beyond the grid the relation itself.
 */
final class EffectivenessTable {
    /** Step of the root of NTU; the grid ends at 8 transfer units. */
    private static final double STEP = 0.0283;

    private static final int NODES = 101;
    private static final int RATIOS = 21;
    private static final double[] TABLE = new double[NODES * RATIOS];

    static {
        for (int r = 0; r < RATIOS; r++) {
            TABLE[r * NODES] = 1;
            for (int n = 1; n < NODES; n++) {
                double ntu = n * STEP * n * STEP;
                TABLE[r * NODES + n] = Effectiveness.crossFlowUnmixed(ntu, (double) r / (RATIOS - 1)) / ntu;
            }
        }
    }

    private EffectivenessTable() {}

    static double crossFlow(double ntu, double ratio) {
        double nAt = Math.sqrt(ntu) / STEP;
        if (!(nAt < NODES - 1)) {
            return Effectiveness.crossFlowUnmixed(ntu, ratio);
        }
        double rAt = Math.min(ratio * (RATIOS - 1), RATIOS - 1.000001);
        int n = (int) nAt;
        int r = (int) rAt;
        double f = nAt - n;
        int i = r * NODES + n;
        double low = TABLE[i] + f * (TABLE[i + 1] - TABLE[i]);
        double high = TABLE[i + NODES] + f * (TABLE[i + NODES + 1] - TABLE[i + NODES]);
        return ntu * (low + (rAt - r) * (high - low));
    }
}
