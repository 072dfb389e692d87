package isotherm.core.sheet;

import isotherm.core.fluid.Units;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** A step while it is written. */
final class StepWriter {
    /** Oil may be loaded from here on, K. */
    static final double LOADABLE = Units.kelvin(65);

    private final Stage stage;
    private final String id;
    private final List<Step> steps;
    private final List<Step.Figure> figures = new ArrayList<>();
    private final StepText text;
    private UnaryOperator<Message> saying = UnaryOperator.identity();
    private double timer;
    private Optional<Step.Reading> reading = Optional.empty();
    private Optional<Gate> behind = Optional.empty();
    private Optional<Step.Seam> joint = Optional.empty();

    StepWriter(Stage stage, String id, StepText text, List<Step> steps) {
        this.text = text;
        this.steps = steps;
        this.stage = stage;
        this.id = id;
    }

    /** What stands in the step's texts. */
    StepWriter saying(UnaryOperator<Message> values) {
        saying = values;
        return this;
    }

    StepWriter figure(SheetFigure name, Measure measure, double value, Step.Source source, FigureSource from) {
        return figure(name, measure, value, value, source, from.say("name"));
    }

    StepWriter figure(SheetFigure name, Measure measure, double low, double high, Step.Source source, Message from) {
        figures.add(new Step.Figure(name.say("name"), measure, low, high, source, from));
        return this;
    }

    StepWriter reading(Step.Reading wanted) {
        reading = Optional.of(wanted);
        return this;
    }

    StepWriter timer(double seconds) {
        timer = seconds;
        return this;
    }

    StepWriter behind(Gate gate) {
        behind = Optional.of(gate);
        return this;
    }

    StepWriter joint(LeakKind kind, Message name) {
        joint = Optional.of(new Step.Seam(kind, name));
        return this;
    }

    void add() {
        steps.add(new Step(
                id,
                stage,
                saying.apply(text.say("what")),
                saying.apply(text.say("why")),
                text.dangerous() ? Optional.of(saying.apply(text.say("caution"))) : Optional.empty(),
                figures,
                reading,
                timer,
                behind,
                joint));
    }

    static Step.Reading anything(SheetFigure name, Measure measure) {
        return new Step.Reading(
                name.say("name"), measure, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, false, Optional.empty());
    }
}
