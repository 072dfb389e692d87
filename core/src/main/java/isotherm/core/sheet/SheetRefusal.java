package isotherm.core.sheet;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** Why something is not written on a run sheet. */
enum SheetRefusal implements MessageTopic {
    /** The has to be read first. */
    NOT_READ,
    /** The that was read does not allow it. */
    NOT_ALLOWED,
    /** There is no such step on this sheet. */
    NO_SUCH_STEP,
    /** There is no such gate on this sheet. */
    NO_SUCH_GATE,
    /** A note needs words. */
    NOTE_EMPTY,
    /** A reading needs a step that asks for one, and a figure. */
    NO_READING,
    /** Say why this gate is passed all the same. */
    REASON_EMPTY,
    /** Say what came off. */
    OFF_EMPTY,
    /** This is not on the list of what came off. */
    NOT_ON_LIST,
    /** An alarm says what is wrong. */
    ALARM_EMPTY,
    /** First. */
    GATE_SHUT,
    /** Step quoted. */
    STEP_QUOTED,
    /** Still off. */
    STILL_OFF,
    /** What it holds is to be back on first. */
    HELD_STILL_OFF,
    /** A leak is open. */
    LEAK_OPEN,
    /** Say where it leaks. */
    LEAK_NOWHERE,
    /** There is no such leak that is open. */
    NO_SUCH_LEAK,
    /** Something of a leak comes first. */
    LEAK_ORDER;

    @Override
    public String chapter() {
        return "sheetRefusal";
    }

    @Override
    public List<String> parts() {
        return List.of("text");
    }
}
