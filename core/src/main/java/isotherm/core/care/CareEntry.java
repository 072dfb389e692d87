package isotherm.core.care;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;
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
 * @param text words, or figures that were read in words
 * @param figures figures that were read, in SI units
 * @param interval when a task is due, where its people say so themselves
 */
public record CareEntry(
        UUID id,
        Instant at,
        String who,
        Kind kind,
        String on,
        OptionalDouble odometer,
        OptionalDouble oilHours,
        String text,
        Map<CareFigure, Double> figures,
        Optional<Interval> interval) {
    /** Defensive copy. */
    public CareEntry {
        figures = Map.copyOf(figures);
    }

    /**
     * An entry without figures of an oil.
     *
     * @param id its identity
     * @param at when it was
     * @param who who wrote it
     * @param kind what it is
     * @param on what it is about
     * @param odometer reading of the odometer, m
     * @param oilHours hours at 100 °C that the oil took
     * @param text words
     */
    public CareEntry(
            UUID id,
            Instant at,
            String who,
            Kind kind,
            String on,
            OptionalDouble odometer,
            OptionalDouble oilHours,
            String text) {
        this(id, at, who, kind, on, odometer, oilHours, text, Map.of(), Optional.empty());
    }

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
        /** A task of one's own, or another interval for one of the plan. */
        TASK,
        /** An entry that does not count, with the reason. */
        STRUCK
    }
}
