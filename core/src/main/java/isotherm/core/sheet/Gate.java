package isotherm.core.sheet;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** What has to be shown before the work may go on. Each can be overridden with a reason that is kept. */
public enum Gate implements MessageTopic {
    /** No start before cranking showed pressure and no leak. */
    START(List.of(RunSheet.CRANK, RunSheet.CRANK_LEAK)),
    /** No bumper before the warm leak check after the thermostat opened. */
    BUMPER(List.of(RunSheet.WARM_OIL, RunSheet.WARM_FAR_END, RunSheet.WARM_LEAK)),
    /** No drive before all that came off is back on. */
    DRIVE(List.of(RunSheet.REFIT_LIST));

    private final List<String> needs;

    Gate(List<String> needs) {
        this.needs = needs;
    }

    @Override
    public String chapter() {
        return "gate";
    }

    @Override
    public List<String> parts() {
        return List.of("shut");
    }

    /** @return ids of the steps that have to be done, with readings that let the work go on */
    public List<String> needs() {
        return needs;
    }
}
