package isotherm.core.car;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** What of a design is built: the rest is on the car and stays. */
public enum Work implements MessageTopic {
    /** Everything from the takeoff to the core. */
    WHOLE,
    /** Another core on the lines that are there. */
    CORE,
    /** Another oil thermostat and nothing else. */
    THERMOSTAT,
    /** A core behind a factory air cooler, in its line: two new hoses and no takeoff. */
    IN_SERIES,
    /** A factory oil-to-coolant exchanger comes off, and no core goes on. */
    EXCHANGER,
    /** New hoses between the takeoff and the core that are there. */
    HOSES;

    /**
     * @param was a cooler as it is on the car
     * @param becomes what is to become of it
     * @return the least work that makes one of the other
     */
    public static Work between(Design.Cooler was, Design.Cooler becomes) {
        boolean hoses = !was.loop().feed().equals(becomes.loop().feed())
                || !was.loop().back().equals(becomes.loop().back());
        boolean core = !was.core().equals(becomes.core());
        if (hoses) {
            return core ? WHOLE : HOSES;
        }
        return !core && !was.loop().thermostat().equals(becomes.loop().thermostat()) ? THERMOSTAT : CORE;
    }

    /** @return whether a core goes in */
    public boolean core() {
        return this == WHOLE || this == CORE || this == IN_SERIES;
    }

    /** @return whether a takeoff goes on the engine */
    public boolean takeoff() {
        return this == WHOLE;
    }

    /** @return whether hoses are made */
    public boolean hoses() {
        return this == WHOLE || this == IN_SERIES || this == HOSES;
    }

    /** @return whether joints at the core are opened and made */
    public boolean coreJoints() {
        return hoses() || this == CORE;
    }

    /** @return whether the oil's way to a core is touched at all */
    public boolean cooled() {
        return this != EXCHANGER;
    }

    @Override
    public String chapter() {
        return "work";
    }

    @Override
    public List<String> parts() {
        return List.of("name", "stays");
    }
}
