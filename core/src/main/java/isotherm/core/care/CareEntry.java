package isotherm.core.care;

import java.time.Instant;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * What somebody wrote in a car's care book. Nothing is taken away again: a correction is an entry that names the one that it
 * strikes.
 *
 * @param id its identity, given by whoever wrote it
 * @param at when it was, not when it was written
 * @param who who wrote it
 * @param kind what it is
 * @param on id of the task, name of what happened, or id of the entry that is struck; empty for a reading
 * @param odometer reading of the odometer, m
 * @param oilHours hours at 100 °C that the oil took since the entry before
 * @param text words, or figures that were read
 */
public record CareEntry(
        UUID id,
        Instant at,
        String who,
        Kind kind,
        String on,
        OptionalDouble odometer,
        OptionalDouble oilHours,
        String text) {
    /** What an entry is. */
    public enum Kind {
        /** A task was done. */
        DONE,
        /** Something happened that makes tasks due. */
        HAPPENED,
        /** The car was driven: odometer, hours of its oil. */
        DRIVEN,
        /** Figures of an oil analysis. */
        OIL_ANALYSIS,
        /** What a gauge on the dash showed. */
        DASH,
        /** Laps without a logger. */
        LAPS,
        /** An entry that does not count, with the reason. */
        STRUCK
    }
}
