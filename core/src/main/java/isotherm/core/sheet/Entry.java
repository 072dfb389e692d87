package isotherm.core.sheet;

import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * What somebody wrote on a run sheet. Nothing written is taken away again: a correction is an entry of its own.
 *
 * @param id its identity, given by whoever wrote it, so that what is sent twice counts once
 * @param at when it was written
 * @param who who wrote it
 * @param kind what it is
 * @param on id of the step, name of the gate, or id of the entry that it is about; empty for a thing that came off by itself
 * @param value what was read, in SI units
 * @param text words, the id of a picture, or the name of a step of a leak
 * @param item what a thing that came off is, where somebody said so
 * @param leak how a joint that leaks seals
 */
public record Entry(
        UUID id,
        Instant at,
        String who,
        Kind kind,
        String on,
        OptionalDouble value,
        String text,
        Optional<Loose.Item> item,
        Optional<LeakKind> leak) {
    /**
     * An entry of words and figures.
     *
     * @param id its identity
     * @param at when it was written
     * @param who who wrote it
     * @param kind what it is
     * @param on what it is about
     * @param value what was read, in SI units
     * @param text words
     */
    public Entry(UUID id, Instant at, String who, Kind kind, String on, OptionalDouble value, String text) {
        this(id, at, who, kind, on, value, text, Optional.empty(), Optional.empty());
    }

    /** What an entry is. */
    public enum Kind {
        /** A step is done. */
        DONE,
        /** It is not, after all. */
        NOT_DONE,
        /** A reading of a step; a later one takes the place of an earlier. */
        READING,
        /** A reading of a step that the logger filled in. */
        LIVE_READING,
        /** A note on a step. */
        NOTE,
        /** A picture of a step. */
        PICTURE,
        /** The timer of a step was started. */
        TIMER,
        /** A gate is overridden, with the reason. */
        OVERRIDE,
        /** Something came off: what it is. */
        OFF,
        /** It went back on. */
        BACK_ON,
        /** It was not taken off, after all: the entry was a mistake. */
        NOT_OFF,
        /** What the watch on the gauges said. */
        ALARM,
        /** A leak, found at a step: where it is. */
        LEAK,
        /** Something was done about a leak. */
        LEAK_STEP,
        /** There was no leak, after all, with the reason. */
        NO_LEAK
    }
}
