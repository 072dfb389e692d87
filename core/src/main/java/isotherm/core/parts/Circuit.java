package isotherm.core.parts;

import java.util.List;
import java.util.Optional;

/**
 * The rest of the circuit beside takeoff, hoses and core.
 *
 * @param accessories what else is in the loop
 * @param senders what is screwed in to read it
 * @param practice what builders do in two ways at joints
 * @param coolant what becomes of the coolant's hoses of a factory exchanger that is taken off; empty where none is
 */
public record Circuit(
        List<Accessory> accessories, List<Sender> senders, Practice practice, Optional<CoolantEnds> coolant) {
    /** Nothing else in it. */
    public static final Circuit PLAIN = new Circuit(List.of(), List.of(), Practice.USUAL, Optional.empty());

    /** Defensive copies. */
    public Circuit {
        accessories = List.copyOf(accessories);
        senders = List.copyOf(senders);
    }

    /**
     * @param others what else is in the loop
     * @return this with it
     */
    public Circuit with(List<Accessory> others) {
        return new Circuit(others, senders, practice, coolant);
    }

    /** What becomes of the coolant's two hoses where an exchanger was. */
    public enum CoolantEnds {
        /** A hose joins them: the coolant keeps its round, for a circuit that feeds something behind the exchanger. */
        JOINED,
        /** Caps on both stubs: nothing more to leak, for a branch that fed the exchanger alone. */
        BLANKED
    }

    /** @return velocity heads that all of it costs the line, on the hose's bore */
    public double heads() {
        return accessories.stream().mapToDouble(Accessory::heads).sum()
                + senders.stream().mapToDouble(Sender::heads).sum();
    }

    /** @return oil in it, m³ */
    public double volume() {
        return accessories.stream().mapToDouble(Accessory::volume).sum();
    }
}
