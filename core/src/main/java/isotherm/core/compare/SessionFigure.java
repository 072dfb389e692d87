package isotherm.core.compare;

import isotherm.core.message.Measure;
import isotherm.core.message.MessageTopic;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Function;

/** What is read of a session, uncorrected. */
public enum SessionFigure implements MessageTopic {
    /** Heat into the oil on the plateau. */
    HEAT(Measure.HEAT, SessionFigures::heat),
    /** Highest oil temperature. */
    PEAK(Measure.TEMPERATURE, SessionFigures::peakK),
    /** Plateau of the oil temperature. */
    PLATEAU(Measure.TEMPERATURE, SessionFigures::plateauK),
    /** Time to the plateau. */
    TO_PLATEAU(Measure.TIME, SessionFigures::toPlateau),
    /** How fast the oil cools after the last lap. */
    RECOVERY(Measure.TEMPERATURE_RATE, f -> perSecond(f.recovery())),
    /** Drop of the oil over the core. */
    CORE_DROP(Measure.TEMPERATURE_DIFFERENCE, SessionFigures::coreDrop),
    /** Oil pressure at hot idle. */
    IDLE_PRESSURE(Measure.PRESSURE, SessionFigures::idlePressure),
    /** Oil pressure at two thirds of the highest engine speed. */
    RUNNING_PRESSURE(Measure.PRESSURE, SessionFigures::runningPressure),
    /** Highest coolant temperature. */
    COOLANT(Measure.TEMPERATURE, SessionFigures::peakCoolantK);

    private static final double MINUTE = 60;

    private final Measure measure;
    private final Function<SessionFigures, OptionalDouble> value;

    SessionFigure(Measure measure, Function<SessionFigures, OptionalDouble> value) {
        this.measure = measure;
        this.value = value;
    }

    private static OptionalDouble perSecond(OptionalDouble perMinute) {
        return perMinute.isPresent() ? OptionalDouble.of(perMinute.getAsDouble() / MINUTE) : perMinute;
    }

    /** @return what is measured */
    public Measure measure() {
        return measure;
    }

    /**
     * @param figures what was read of a session
     * @return this one, in SI units; empty when it was not read
     */
    public OptionalDouble of(SessionFigures figures) {
        return value.apply(figures);
    }

    @Override
    public String chapter() {
        return "sessionFigure";
    }

    @Override
    public List<String> parts() {
        return List.of("name");
    }
}
