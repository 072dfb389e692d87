package isotherm.core.duty;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Gathers moments of any length into cells of equal length, each the mean over its time. */
final class DemandBuilder {
    /** Length of a cell, s: short against the oil's and the cooler's time constants. */
    static final double CELL = 1.0;

    private final List<DemandTrace.Phase> phases = new ArrayList<>();
    private double[] speed = new double[2048];
    private double[] rpm = new double[2048];
    private double[] power = new double[2048];
    private double time;
    private double filled;
    private double sumSpeed;
    private double sumRpm;
    private double sumPower;
    private int count;

    void phase(String name, DemandTrace.Kind kind) {
        phases.add(new DemandTrace.Phase(name, kind, time));
    }

    void add(double seconds, double metresPerSecond, double enginePerMinute, double watts) {
        double left = seconds;
        while (left > 1e-12) {
            double part = Math.min(left, CELL - filled);
            sumSpeed += part * metresPerSecond;
            sumRpm += part * enginePerMinute;
            sumPower += part * watts;
            filled += part;
            time += part;
            left -= part;
            if (filled >= CELL - 1e-9) {
                close();
            }
        }
    }

    private void close() {
        if (count == speed.length) {
            speed = Arrays.copyOf(speed, 2 * count);
            rpm = Arrays.copyOf(rpm, 2 * count);
            power = Arrays.copyOf(power, 2 * count);
        }
        speed[count] = sumSpeed / filled;
        rpm[count] = sumRpm / filled;
        power[count] = sumPower / filled;
        count++;
        filled = 0;
        sumSpeed = 0;
        sumRpm = 0;
        sumPower = 0;
    }

    DemandTrace build() {
        if (filled > 1e-6) {
            close();
        }
        return new DemandTrace(
                CELL,
                Arrays.copyOf(speed, count),
                Arrays.copyOf(rpm, count),
                Arrays.copyOf(power, count),
                List.copyOf(phases));
    }
}
