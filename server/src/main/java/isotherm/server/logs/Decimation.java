package isotherm.server.logs;

/**
 * Fewer points that look the same. Source: Steinarsson, Downsampling Time Series for Visual Representation, University of
 * Iceland 2013, "Largest Triangle Three Buckets".
 */
final class Decimation {
    private Decimation() {}

    /**
     * @param x ascending
     * @param y values; NaN where there is none
     * @param most number of points to keep, 3 or more
     * @return indices of the points that are kept, ascending; all of them when there are no more than {@code most}
     */
    static int[] largestTriangle(double[] x, double[] y, int most) {
        int n = x.length;
        if (n <= most) {
            int[] all = new int[n];
            for (int i = 0; i < n; i++) {
                all[i] = i;
            }
            return all;
        }
        int[] kept = new int[most];
        kept[most - 1] = n - 1;
        double every = (double) (n - 2) / (most - 2);
        int a = 0;
        for (int i = 0; i < most - 2; i++) {
            int from = (int) Math.floor((i + 1) * every) + 1;
            int to = Math.min((int) Math.floor((i + 2) * every) + 1, n);
            double meanX = 0;
            double meanY = 0;
            int count = 0;
            for (int j = from; j < to; j++) {
                meanX += x[j];
                meanY += zero(y[j]);
                count++;
            }
            meanX /= Math.max(1, count);
            meanY /= Math.max(1, count);
            int first = (int) Math.floor(i * every) + 1;
            double best = -1;
            int chosen = first;
            for (int j = first; j < from; j++) {
                double area =
                        Math.abs((x[a] - meanX) * (zero(y[j]) - zero(y[a])) - (x[a] - x[j]) * (meanY - zero(y[a])));
                if (area > best) {
                    best = area;
                    chosen = j;
                }
            }
            kept[i + 1] = chosen;
            a = chosen;
        }
        return kept;
    }

    private static double zero(double v) {
        return Double.isNaN(v) ? 0 : v;
    }
}
