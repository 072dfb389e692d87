package isotherm.core.duty;

import java.util.Arrays;
import java.util.List;

/**
 * What the engine is asked for, as means over cells of equal length. The arrays are shared, not copied: do not change them.
 *
 * @param cell length of a cell, s
 * @param speed road speed, m/s
 * @param rpm engine speed, 1/min
 * @param brakePower brake power, W
 * @param phases named stretches in order of time
 */
public record DemandTrace(double cell, double[] speed, double[] rpm, double[] brakePower, List<Phase> phases) {
    /**
     * A named stretch of the session.
     *
     * @param name for example {@code flyer 3}
     * @param kind what it is
     * @param start from the start of the session, s
     */
    public record Phase(String name, Kind kind, double start) {}

    /** What a stretch of a session is. */
    public enum Kind {
        /** First lap, easy. */
        OUT_LAP,
        /** A lap at full pace. */
        FLYER,
        /** A lap driven to cool the car. */
        COOL_DOWN,
        /** Standing with the engine idling. */
        PIT,
        /** A climb. */
        CLIMB,
        /** Steady driving. */
        CRUISE,
        /** Standing with the engine off. */
        OFF
    }

    /**
     * @param factor on the brake power
     * @return the same drive at that multiple of its power
     */
    public DemandTrace withPower(double factor) {
        double[] scaled = brakePower.clone();
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] *= factor;
        }
        return new DemandTrace(cell, speed, rpm, scaled, phases);
    }

    /** @return number of cells */
    public int cells() {
        return speed.length;
    }

    /** @return length of the session, s */
    public double duration() {
        return cell * cells();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof DemandTrace d
                && d.cell == cell
                && Arrays.equals(d.speed, speed)
                && Arrays.equals(d.rpm, rpm)
                && Arrays.equals(d.brakePower, brakePower)
                && d.phases.equals(phases);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(brakePower) * 31 + Arrays.hashCode(speed);
    }

    @Override
    public String toString() {
        return "DemandTrace[" + cells() + " cells of " + cell + " s]";
    }
}
