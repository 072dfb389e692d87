package isotherm.core.sheet;

import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import java.util.List;
import java.util.Optional;

/**
 * One step of a run sheet.
 *
 * @param id what it is known by; the same for the same step of the same design
 * @param stage stage that it belongs to
 * @param what what is done
 * @param why why it is done
 * @param caution what can hurt; empty where nothing can
 * @param figures figures to keep, with their source
 * @param reading what is read and written down; empty where nothing is
 * @param timer seconds to wait; 0 without a wait
 * @param behind what has to be shown before this may be done; empty where nothing has
 * @param joint the joint that is made here; empty where none is
 */
public record Step(
        String id,
        Stage stage,
        Message what,
        Message why,
        Optional<Message> caution,
        List<Figure> figures,
        Optional<Reading> reading,
        double timer,
        Optional<Gate> behind,
        Optional<Seam> joint) {
    /** Defensive copy. */
    public Step {
        figures = List.copyOf(figures);
    }

    /**
     * A joint that is made.
     *
     * @param kind how it seals
     * @param name what it is called
     */
    public record Seam(LeakKind kind, Message name) {}

    /** Where a figure comes from. */
    public enum Source {
        /** The maker's own, or a published one. */
        PUBLISHED,
        /** Entered by its people. */
        OWN,
        /** Computed or usual: an estimate. */
        ESTIMATE
    }

    /**
     * A figure to keep.
     *
     * @param name what it is
     * @param measure what it measures
     * @param low least, in SI units
     * @param high greatest, in SI units
     * @param source where it comes from
     * @param from what that is
     */
    public record Figure(Message name, Measure measure, double low, double high, Source source, Message from) {}

    /**
     * Something that is read and written down.
     *
     * @param name what it is
     * @param measure what it measures
     * @param least least that lets the work go on, in SI units; −∞ where anything does
     * @param most greatest that does; ∞ where anything does
     * @param needed whether the step is not done without it
     * @param channel channel of a logger that shows it; empty where none does
     */
    public record Reading(
            Message name, Measure measure, double least, double most, boolean needed, Optional<Channel> channel) {
        /**
         * @param value what was read, in SI units
         * @return whether the work may go on
         */
        public boolean allows(double value) {
            return value >= least && value <= most;
        }
    }
}
