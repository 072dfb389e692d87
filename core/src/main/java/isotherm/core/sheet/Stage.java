package isotherm.core.sheet;

/** The stages of a build, in the order of the work. */
public enum Stage {
    /** Preparation and tools. */
    PREPARE("Prepare"),
    /** What comes off. */
    STRIP("What comes off"),
    /** The core in its place. */
    MOUNT("Mount the core"),
    /** The takeoff on the engine. */
    TAKEOFF("Takeoff"),
    /** Lines on the bench. */
    BENCH("Lines on the bench"),
    /** Lines on the car. */
    LINES("Lines on the car"),
    /** Fill and prime. */
    FILL("Fill and prime"),
    /** Leak check. */
    LEAK_CHECK("Leak check"),
    /** What goes back on. */
    REFIT("What goes back on"),
    /** First drive. */
    FIRST_DRIVE("First drive"),
    /** Second check. */
    SECOND_CHECK("Second check");

    private final String words;

    Stage(String words) {
        this.words = words;
    }

    /** @return its name in words */
    public String words() {
        return words;
    }
}
