package isotherm.server.testing;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** A drive as a real logger writes it: with spikes, dropouts, clocks that are set, stuck channels, repeated rows and stray signs. */
public final class NoisyLog {
    private static final double RATE = 5;
    private static final int SECONDS = 120;

    private NoisyLog() {}

    /**
     * @param seed the same seed gives the same log
     * @return a log as separated values with a header line
     */
    public static String text(long seed) {
        Random random = new Random(seed);
        List<double[]> rows = new ArrayList<>();
        double oil = 70 + 20 * random.nextDouble();
        for (int i = 0; i < SECONDS * RATE; i++) {
            double t = i / RATE;
            double speed = 90 + 60 * Math.sin(t / 9) + random.nextGaussian();
            oil += 0.02 + 0.1 * random.nextGaussian();
            rows.add(new double[] {
                t,
                Math.max(0, speed),
                2500 + 30 * speed,
                oil,
                84 + random.nextGaussian(),
                Math.max(0, 4 + 0.1 * random.nextGaussian()),
                300 + 40 * Math.sin(t / 60),
                1 + (int) (t / 50),
                random.nextGaussian() * 100
            });
        }
        spoil(rows, random);
        clock(rows, random);
        StringBuilder text = new StringBuilder(
                "Time [s],Speed [km/h],RPM,Oil temp [C],Coolant temp [C],Oil pressure [bar],Altitude [m],Lap,Power [kW]\n");
        boolean blanks = random.nextInt(4) == 0;
        for (double[] row : rows) {
            for (int c = 0; c < row.length; c++) {
                text.append(c == 0 ? "" : ",");
                if (!Double.isNaN(row[c])) {
                    text.append(written(row[c], random));
                }
            }
            text.append(random.nextInt(300) == 0 ? ",\"" : "").append(random.nextInt(200) == 0 ? "\r\n" : "\n");
            if (blanks && random.nextInt(100) == 0) {
                text.append('\n');
            }
            if (random.nextInt(400) == 0) {
                text.append("# marker \"pit\n");
            }
        }
        return text.toString();
    }

    private static String written(double value, Random random) {
        if (random.nextInt(500) == 0) {
            List<String> odd = List.of("-0.0", "NaN", "inf", "1e400", "---", "\"", "99999999999999999999");
            return odd.get(random.nextInt(odd.size()));
        }
        return BigDecimal.valueOf(value).setScale(3, RoundingMode.HALF_UP).toPlainString();
    }

    /** Spikes, dropouts and stuck channels, each where a real one has been seen. */
    private static void spoil(List<double[]> rows, Random random) {
        double[][] spikes = {
            {1, -3},
            {1, 900},
            {2, -1},
            {2, 25_000},
            {3, 999},
            {3, -60},
            {3, -40},
            {4, 140},
            {4, 999},
            {5, -0.05},
            {5, 1e9},
            {6, -1000},
            {6, 8000},
            {7, 70_000},
            {8, 1e7}
        };
        for (int i = 0; i < 20; i++) {
            double[] spike = spikes[random.nextInt(spikes.length)];
            // The first rows too: they are where a duty begins.
            int at = random.nextInt(3) == 0 ? random.nextInt(3) : random.nextInt(rows.size());
            rows.get(at)[(int) spike[0]] = spike[1];
        }
        for (int i = 0; i < 4; i++) {
            int channel = 1 + random.nextInt(8);
            int from = random.nextInt(rows.size());
            int to = Math.min(rows.size(), from + random.nextInt(40));
            for (int r = from; r < to; r++) {
                rows.get(r)[channel] = Double.NaN;
            }
        }
        if (random.nextInt(3) == 0) {
            int channel = 3 + random.nextInt(4);
            double stuck = rows.get(rows.size() / 2)[channel];
            rows.forEach(r -> r[channel] = stuck);
        }
        if (random.nextInt(5) == 0) {
            // A counter of something else.
            for (int r = 0; r < rows.size(); r++) {
                rows.get(r)[7] = r;
            }
        }
    }

    private static void clock(List<double[]> rows, Random random) {
        int kind = random.nextInt(6);
        int at = 20 + random.nextInt(rows.size() - 40);
        double by = kind == 1 ? 1.79e9 : kind == 2 ? -rows.get(at)[0] : kind == 3 ? 86_400 : 0;
        for (int r = at; r < rows.size(); r++) {
            rows.get(r)[0] += by;
        }
        if (kind == 4) {
            rows.get(at)[0] = 4e9;
        }
        for (int i = 0; i < 5; i++) {
            int r = random.nextInt(rows.size());
            rows.add(r, rows.get(r).clone());
        }
    }
}
