package isotherm.core.simulate;

import isotherm.core.car.Car;
import isotherm.core.duty.DemandTrace;
import java.util.Arrays;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * A session as it went: traces at the end of each cell, and figures of merit. The arrays are shared, not copied: do not
 * change them.
 */
public final class Session {
    private final DemandTrace demand;
    private final double[] oil;
    private final double[] returned;
    private final double[] coolant;
    private final double[] lift;
    private final Supplier<double[]> pressureAt;
    private double @Nullable [] pressure;
    private final double[] share;
    private final boolean[] fan;
    private final Balance balance;
    private final Car.Limits limits;
    private final double startOilK;
    private final double meanHeat;

    Session(
            DemandTrace demand,
            double[] oil,
            double[] returned,
            double[] coolant,
            double[] lift,
            Supplier<double[]> pressureAt,
            double[] share,
            boolean[] fan,
            Balance balance,
            Car.Limits limits,
            double startOilK) {
        this.demand = demand;
        this.oil = oil;
        this.returned = returned;
        this.coolant = coolant;
        this.lift = lift;
        this.pressureAt = pressureAt;
        this.share = share;
        this.fan = fan;
        this.balance = balance;
        this.limits = limits;
        this.startOilK = startOilK;
        this.meanHeat = balance.in() / demand.duration();
    }

    /**
     * Where the heat went over the session, J.
     *
     * @param in into the oil
     * @param stored rise of the energy in oil, cooler and metal
     * @param sump lost by the sump
     * @param block to the coolant through the block
     * @param factory to the coolant through a factory exchanger
     * @param cooler to the air through the cooler
     */
    public record Balance(double in, double stored, double sump, double block, double factory, double cooler) {
        /** @return heat in less every path out, over heat in; 0 for a perfect balance */
        public double error() {
            double through = Math.max(Math.abs(in), Math.abs(stored) + Math.abs(sump) + Math.abs(block));
            return through == 0 ? 0 : (in - stored - sump - block - factory - cooler) / through;
        }
    }

    /** @return what was driven */
    public DemandTrace demand() {
        return demand;
    }

    /** @return oil in the sump, K, at the end of each cell */
    public double[] oil() {
        return oil;
    }

    /** @return oil leaving the cooler, K, at the end of each cell */
    public double[] returned() {
        return returned;
    }

    /** @return coolant, K, at the end of each cell */
    public double[] coolant() {
        return coolant;
    }

    /** @return thermostat lift, 0 to 1, at the end of each cell */
    public double[] lift() {
        return lift;
    }

    /** @return gallery pressure above ambient, Pa, at the end of each cell; worked out when it is first asked for */
    public synchronized double[] pressure() {
        double[] known = pressure;
        if (known == null) {
            known = pressureAt.get();
            pressure = known;
        }
        return known;
    }

    /** @return whether the core's own fan runs, at the end of each cell */
    public boolean[] fan() {
        return fan;
    }

    /** @return where the heat went */
    public Balance balance() {
        return balance;
    }

    /** @return mean heat into the oil, W */
    public double meanHeat() {
        return meanHeat;
    }

    /**
     * Oil temperature at a place where a sensor may sit.
     *
     * @param place where
     * @param cell cell of the demand
     * @return temperature, K
     */
    public double at(Car.SensorPlace place, int cell) {
        return switch (place) {
            case SUMP, PLATE_INLET -> oil[cell];
            case PLATE_OUTLET, GALLERY -> oil[cell] + share[cell] * (returned[cell] - oil[cell]);
        };
    }

    /** @return highest oil temperature, K */
    public double peak() {
        double peak = startOilK;
        for (double t : oil) {
            peak = Math.max(peak, t);
        }
        return peak;
    }

    /** @return highest coolant temperature, K */
    public double peakCoolant() {
        double peak = 0;
        for (double t : coolant) {
            peak = Math.max(peak, t);
        }
        return peak;
    }

    /** @return mean oil temperature over the last third of the time under load, cool-down laps and pits left out, K */
    public double plateau() {
        int[] loaded = loadedCells();
        int from = loaded.length * 2 / 3;
        double sum = 0;
        for (int i = from; i < loaded.length; i++) {
            sum += oil[loaded[i]];
        }
        return sum / (loaded.length - from);
    }

    /** @return rise of the oil over the last fifth of the time under load, K per minute; near 0 on a plateau */
    public double climbRate() {
        int[] loaded = loadedCells();
        int tenth = Math.max(1, loaded.length / 10);
        double late = 0;
        double early = 0;
        for (int i = 0; i < tenth; i++) {
            late += oil[loaded[loaded.length - 1 - i]];
            early += oil[loaded[Math.max(0, loaded.length - 1 - tenth - i)]];
        }
        return (late - early) / tenth / (tenth * demand.cell()) * 60;
    }

    private int[] loadedCells() {
        int[] cells = new int[demand.cells()];
        int count = 0;
        int phase = 0;
        var phases = demand.phases();
        for (int i = 0; i < cells.length; i++) {
            double t = (i + 0.5) * demand.cell();
            while (phase + 1 < phases.size() && phases.get(phase + 1).start() <= t) {
                phase++;
            }
            DemandTrace.Kind kind = phases.isEmpty()
                    ? DemandTrace.Kind.CRUISE
                    : phases.get(phase).kind();
            if (kind != DemandTrace.Kind.PIT && kind != DemandTrace.Kind.COOL_DOWN && kind != DemandTrace.Kind.OFF) {
                cells[count++] = i;
            }
        }
        if (count == 0) {
            for (int i = 0; i < cells.length; i++) {
                cells[i] = i;
            }
            return cells;
        }
        return Arrays.copyOf(cells, count);
    }

    /**
     * @param kelvin a temperature, K
     * @return time that the oil was above it, s
     */
    public double timeAbove(double kelvin) {
        int count = 0;
        for (double t : oil) {
            if (t > kelvin) {
                count++;
            }
        }
        return count * demand.cell();
    }

    /**
     * @param kelvin a temperature, K
     * @return time until the oil first reaches it, s; infinite when it never does
     */
    public double timeTo(double kelvin) {
        if (startOilK >= kelvin) {
            return 0;
        }
        for (int i = 0; i < oil.length; i++) {
            if (oil[i] >= kelvin) {
                return (i + 1) * demand.cell();
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    /** @return time in which the thermostat was between shut and full open, s */
    public double thermostatTravel() {
        int count = 0;
        for (double x : lift) {
            if (x > 0.02 && x < 0.98) {
                count++;
            }
        }
        return count * demand.cell();
    }

    /** @return how often the core's own fan came on */
    public int fanStarts() {
        int starts = 0;
        for (int i = 0; i < fan.length; i++) {
            if (fan[i] && (i == 0 || !fan[i - 1])) {
                starts++;
            }
        }
        return starts;
    }

    /** @return the temperatures to keep */
    public Car.Limits limits() {
        return limits;
    }
}
