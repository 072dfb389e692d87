package isotherm.core.sheet;

import isotherm.core.fluid.Units;
import isotherm.core.message.Measure;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A step while it is written. */
final class StepWriter {
    static final String MAKER_FIRST = "usual in practice; the maker's figure comes first";
    /** Oil may be loaded from here on, K. */
    static final double LOADABLE = Units.kelvin(65);

    static final String OF_DESIGN = "computed from this design";

    private final Stage stage;
    private final String id;
    private final List<Step> steps;
    private final List<Step.Figure> figures = new ArrayList<>();
    private String what = "";
    private String why = "";
    private String caution = "";
    private double timer;
    private Optional<Step.Reading> reading = Optional.empty();
    private Optional<Gate> behind = Optional.empty();

    StepWriter(Stage stage, String id, List<Step> steps) {
        this.steps = steps;
        this.stage = stage;
        this.id = id;
    }

    StepWriter what(String words) {
        what = words;
        return this;
    }

    StepWriter why(String words) {
        why = words;
        return this;
    }

    StepWriter caution(String words) {
        caution = words;
        return this;
    }

    StepWriter figure(String name, Measure measure, double value, Step.Source source, String from) {
        return figure(name, measure, value, value, source, from);
    }

    StepWriter figure(String name, Measure measure, double low, double high, Step.Source source, String from) {
        figures.add(new Step.Figure(name, measure, low, high, source, from));
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

    void add() {
        steps.add(new Step(id, stage, what, why, caution, figures, reading, timer, behind));
    }

    static Step.Reading anything(String name, Measure measure) {
        return new Step.Reading(
                name, measure, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, false, Optional.empty());
    }
}
