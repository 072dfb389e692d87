package isotherm.core.sheet;

import java.util.List;

/**
 * The steps of one build, in the order of the work. They follow the design: what it does not need is not on the sheet.
 *
 * @param steps the steps
 */
public record RunSheet(List<Step> steps) {
    /** Step in which cranking has to show pressure. */
    public static final String CRANK = "crank-pressure";
    /** Step in which every joint is looked at after cranking. */
    public static final String CRANK_LEAK = "crank-joints";
    /** Step in which the oil has to reach the temperature that opens the thermostat. */
    public static final String WARM_OIL = "warm-oil";
    /** Step in which the far end of the core has to get warm. */
    public static final String WARM_FAR_END = "warm-far-end";
    /** Step in which every joint is looked at with warm oil. */
    public static final String WARM_LEAK = "warm-joints";
    /** Step in which what came off goes back on. */
    public static final String REFIT_LIST = "refit-list";
    /** Step in which the car is handed over. */
    public static final String HAND_OVER = "second-hand-over";
    /** Step in which what comes off is listed. */
    public static final String STRIP_LIST = "strip-list";

    /** Defensive copy. */
    public RunSheet {
        steps = List.copyOf(steps);
    }

    /**
     * @param job what is to be built
     * @return its run sheet
     */
    public static RunSheet of(Job job) {
        return SheetWriter.write(job);
    }
}
