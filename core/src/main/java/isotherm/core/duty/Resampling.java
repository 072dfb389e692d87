package isotherm.core.duty;

/** A logged column at an even pace. */
public final class Resampling {
    private Resampling() {}

    /**
     * @param time of the rows, ascending, s
     * @param cell length of a cell, s
     * @return middles of the cells from the first row to the last, s
     */
    public static double[] cells(double[] time, double cell) {
        int n = (int) Math.floor((time[time.length - 1] - time[0]) / cell);
        double[] cells = new double[Math.max(n, 0)];
        for (int i = 0; i < cells.length; i++) {
            cells[i] = time[0] + (i + 0.5) * cell;
        }
        return cells;
    }

    /**
     * Means over cells; a cell without a row takes the straight line between its neighbours when they are close.
     *
     * @param time of the rows, ascending, s
     * @param values of the rows; NaN where there is none
     * @param cells middles of even cells, s
     * @return a value for each cell; NaN where the log has none within {@link LogDuty#GAP}
     */
    public static double[] means(double[] time, double[] values, double[] cells) {
        double[] means = new double[cells.length];
        double half = cells.length > 1 ? (cells[1] - cells[0]) / 2 : 0.5;
        int row = 0;
        for (int i = 0; i < cells.length; i++) {
            double sum = 0;
            int count = 0;
            while (row < time.length && time[row] < cells[i] + half) {
                if (time[row] >= cells[i] - half && Double.isFinite(values[row])) {
                    sum += values[row];
                    count++;
                }
                row++;
            }
            means[i] = count > 0 ? sum / count : line(time, values, row, cells[i]);
        }
        return means;
    }

    private static double line(double[] time, double[] values, int row, double at) {
        int after = row;
        while (after < time.length && !Double.isFinite(values[after])) {
            after++;
        }
        int before = row - 1;
        while (before >= 0 && !Double.isFinite(values[before])) {
            before--;
        }
        if (before < 0 || after == time.length || time[after] - time[before] > LogDuty.GAP) {
            return Double.NaN;
        }
        double f = (at - time[before]) / (time[after] - time[before]);
        return values[before] + f * (values[after] - values[before]);
    }

    /**
     * @param values with gaps
     * @return the same with straight lines across the gaps and level ends; zeros where there is no value at all
     */
    public static double[] bridged(double[] values) {
        double[] bridged = values.clone();
        int last = -1;
        for (int i = 0; i < bridged.length; i++) {
            if (Double.isFinite(values[i])) {
                for (int j = last + 1; j < i; j++) {
                    bridged[j] =
                            last < 0 ? values[i] : values[last] + (values[i] - values[last]) * (j - last) / (i - last);
                }
                last = i;
            }
        }
        for (int j = last + 1; j < bridged.length; j++) {
            bridged[j] = last < 0 ? 0 : values[last];
        }
        return bridged;
    }
}
