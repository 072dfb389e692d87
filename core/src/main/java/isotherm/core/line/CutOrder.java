package isotherm.core.line;

import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.parts.HoseType;
import java.util.ArrayList;
import java.util.List;

/** In which order a line is made on the bench. */
public final class CutOrder {
    private CutOrder() {}

    /**
     * @param c what is cut
     * @param hose what it is cut from
     * @param turnedOnCar whether how its two elbows stand to each other is found out on the car
     * @return the steps
     */
    public static List<Message> of(CutList c, HoseType hose, boolean turnedOnCar) {
        boolean pushOn = hose.family() == HoseType.Family.PUSH_ON;
        List<Message> order = new ArrayList<>();
        if (c.standard().isPresent()) {
            order.add(CutStep.BUY_MADE_UP.say("text"));
        } else if (!hose.family().cuttable()) {
            order.add(CutStep.HAVE_MADE.say("text").with("length", Measure.LENGTH, c.centreLine()));
        } else {
            order.add(CutStep.CUT
                    .say("text")
                    .with("length", Measure.LENGTH, c.cut())
                    .choose("pushOn", pushOn));
        }
        order.add(CutStep.SLIDE_ON.say("text"));
        if (hose.family().cuttable()) {
            order.add(CutStep.MARK_INSERTION
                    .say("text")
                    .with("first", Measure.LENGTH, c.insertionFrom())
                    .with("second", Measure.LENGTH, c.insertionTo()));
            order.add(CutStep.CLEAN.say("text"));
            order.add(
                    pushOn
                            ? CutStep.PUSH_ON.say("text")
                            : CutStep.FIT_END
                                    .say("text")
                                    .with("least", Measure.LENGTH, 1e-3)
                                    .with("most", Measure.LENGTH, 2e-3));
        }
        c.twist().ifPresent(t -> order.add(CutStep.ORIENT.say("text").with("twist", Measure.ANGLE, t)));
        if (turnedOnCar) {
            order.add(CutStep.TURN_ON_CAR.say("text"));
        }
        order.add(CutStep.CAP.say("text"));
        return List.copyOf(order);
    }
}
