package isotherm.core.sheet;

import java.util.List;

/** What has to be shown before the work may go on. Each can be overridden with a reason that is kept. */
public enum Gate {
    /** No start before cranking showed pressure and no leak. */
    START("No start yet", List.of(RunSheet.CRANK, RunSheet.CRANK_LEAK)),
    /** No bumper before the warm leak check after the thermostat opened. */
    BUMPER("No bumper yet", List.of(RunSheet.WARM_OIL, RunSheet.WARM_FAR_END, RunSheet.WARM_LEAK));

    private final String words;
    private final List<String> needs;

    Gate(String words, List<String> needs) {
        this.words = words;
        this.needs = needs;
    }

    /** @return what it says while it is shut */
    public String words() {
        return words;
    }

    /** @return ids of the steps that have to be done, with readings that let the work go on */
    public List<String> needs() {
        return needs;
    }
}
