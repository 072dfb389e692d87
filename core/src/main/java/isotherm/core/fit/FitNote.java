package isotherm.core.fit;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** What has to be known of a fit beside its figures. */
public enum FitNote implements MessageTopic {
    /** Two numbers that the log cannot tell apart. */
    TIED,
    /** A number far outside of what is usual. */
    FAR,
    /** A number that the log says little about. */
    LITTLE,
    /** The search for the most likely values stopped early; the best ones that it met are used. */
    UNSETTLED,
    /** Engine speed was not logged and was calculated from road speed and gears. */
    GEARS,
    /** Rows that are missing. */
    GAPS;

    @Override
    public String chapter() {
        return "fitNote";
    }

    @Override
    public List<String> parts() {
        return List.of("text");
    }
}
