package isotherm.core.sheet;

import isotherm.core.message.MessageTopic;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Something that came off.
 *
 * @param off the entry that says so
 * @param mark its own letter, for it and the bag of its fasteners: A for what came off first, A1 for its first fasteners
 * @param back the entry that says that it is back on
 * @param notes pictures and notes of it, oldest first
 */
public record Loose(Entry off, String mark, Optional<Entry> back, List<Entry> notes) {
    /** Defensive copy. */
    public Loose {
        notes = List.copyOf(notes);
    }

    /**
     * What it is, as far as somebody said so.
     *
     * @param kind what it is
     * @param size thread or size, such as M6; empty when nobody said
     * @param length length, m; empty when nobody said
     * @param count how many
     * @param place where it sat; empty when nobody said
     */
    public record Item(Kind kind, String size, OptionalDouble length, int count, String place) {}

    /** What comes off a car. */
    public enum Kind implements MessageTopic {
        /** A panel, a cover, a liner. */
        PANEL,
        /** A bolt. */
        BOLT,
        /** A screw. */
        SCREW,
        /** A nut. */
        NUT,
        /** A clip. */
        CLIP,
        /** An electric plug. */
        PLUG,
        /** A hose. */
        HOSE,
        /** Another part. */
        PART;

        @Override
        public String chapter() {
            return "looseKind";
        }

        @Override
        public List<String> parts() {
            return List.of("name");
        }
    }
}
