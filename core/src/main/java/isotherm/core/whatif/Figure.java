package isotherm.core.whatif;

import isotherm.core.findings.Thresholds;
import isotherm.core.message.Measure;
import isotherm.core.message.MessageTopic;
import isotherm.core.simulate.OperatingPoint;
import isotherm.core.simulate.PressureCheck;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;

/**
 * A figure that is shown: what it is, by which equation and source (in words, chapter {@code figure}), from which inputs. Those
 * that come out of a session can be computed anew with an input moved; the rest are read, entered, added up or measured.
 */
public enum Figure implements MessageTopic {
    /** Highest oil temperature. */
    PEAK(Measure.TEMPERATURE, l -> l.session().peak()),
    /** Mean oil temperature over the last third of the time under load. */
    PLATEAU(Measure.TEMPERATURE, l -> l.session().plateau()),
    /** Highest coolant temperature. */
    PEAK_COOLANT(Measure.TEMPERATURE, l -> l.session().peakCoolant()),
    /** Highest oil temperature without a cooler. */
    BARE_PEAK(Measure.TEMPERATURE, l -> l.bare().peak()),
    /** Mean heat into the oil. */
    MEAN_HEAT(Measure.HEAT, l -> l.session().meanHeat()),
    /** Heat that the core gives off at the end. */
    CORE_HEAT(Measure.HEAT, core(m -> m.rating().heat())),
    /** Air speed on the open part of the core's face. */
    FACE_SPEED(Measure.AIR_SPEED, core(m -> m.air().faceSpeed())),
    /** How much cooler the oil leaves the core than it comes. */
    CORE_DROP(
            Measure.TEMPERATURE_DIFFERENCE,
            l -> l.working().core().isEmpty()
                    ? Double.NaN
                    : l.session().oil()[l.working().cell()]
                            - l.working().core().get().rating().oilOutK()),
    /** Air temperature behind the core. */
    AIR_OUTLET(Measure.TEMPERATURE, core(m -> m.rating().airOutK())),
    /** Oil pressure in the gallery at the end of the time under load. */
    GALLERY_PRESSURE(Measure.PRESSURE, l -> l.working().circuit().galleryPressure()),
    /** Gallery pressure at hot idle. */
    IDLE_PRESSURE(
            Measure.PRESSURE, l -> l.pressure().at(PressureCheck.Kind.HOT_IDLE).gallery()),
    /** What plate, hoses and core take of the pressure at the highest speed, hot. */
    LOOP_LOSS(
            Measure.PRESSURE,
            l -> l.design().cooler().isEmpty()
                    ? Double.NaN
                    : l.pressure().at(PressureCheck.Kind.HOT_HIGHEST_SPEED).loop()),
    /** Oil that the loop holds. */
    ADDED_OIL(Measure.VOLUME, l -> l.pressure().loopVolume()),
    /** Time that an empty loop takes to fill at idle. */
    FILL_TIME(Measure.TIME, l -> l.pressure().primeSeconds()),
    /** Time in which a full leak empties the sump. */
    DRAIN_TIME(Measure.TIME, l -> l.pressure().drainSeconds()),
    /** Oil temperature at the end of a cold road. */
    ROAD_OIL(Measure.TEMPERATURE, l -> l.road().oil()[l.road().oil().length - 1]),
    /** Time on a cold road until the oil may be loaded. */
    WARM_UP(Measure.TIME, l -> l.road().timeTo(Thresholds.WARM_K)),
    /** Kinematic viscosity at the peak. */
    FILM(Measure.VISCOSITY, l -> l.design()
            .oil()
            .orElse(l.car().oil())
            .kinematicViscosity(l.session().peak())),
    /** How fast the oil still climbs at the end. */
    CLIMB(Measure.TEMPERATURE_RATE, l -> l.session().climbRate() / 60),
    /** Odds that the peak stays under a bound. */
    ODDS,
    /** Air of the day. */
    AIR_TEMPERATURE,
    /** Limit of the oil. */
    OIL_LIMIT,
    /** Band that the oil is to stay in. */
    TARGET,
    /** Opening temperature of the oil thermostat. */
    OPENING,
    /** Gallery pressure at a speed and an oil temperature of the check. */
    PRESSURE_AT_POINT,
    /** Pressure that the core sees. */
    CORE_PRESSURE,
    /** How far two temperatures are apart. */
    DIFFERENCE,
    /** A speed, temperature or height that a check is made at. */
    CONDITION,
    /** Heat that stands ahead of the core's face. */
    HEAT_AHEAD,
    /** A part of a whole, in percent. */
    SHARE_OF_FACE,
    /** Opening that feeds the core. */
    OPENING_AREA,
    /** Distance to a neighbour. */
    CLEARANCE,
    /** A length by tape or from a drawing. */
    LENGTH,
    /** An angle of a route or a joint. */
    ANGLE,
    /** Size of a part or of the wrench for it. */
    SIZE,
    /** Length to which a hose is cut. */
    CUT_LENGTH,
    /** Length of hose that is bought. */
    HOSE_TO_BUY,
    /** Price of a part or of all of them. */
    PRICE,
    /** Hours of work. */
    HOURS,
    /** Mass of parts and oil. */
    MASS,
    /** Number of pieces. */
    PIECES,
    /** Torque or angle of a joint. */
    TORQUE,
    /** What a gauge has to show at a step. */
    BOUND,
    /** What was read or entered. */
    READING,
    /** Plateau of a logged session, brought to another day's air and pace. */
    MATCHED_PLATEAU,
    /** A difference between two logged sessions. */
    SESSION_DIFFERENCE,
    /** How well two logs or a log and the model agree. */
    AGREEMENT,
    /** When something is due. */
    DUE,
    /** Slope of figures of the oil over its age. */
    TREND;

    private final Optional<Measure> measure;
    private final ToDoubleFunction<Look> value;

    Figure() {
        this.measure = Optional.empty();
        this.value = l -> Double.NaN;
    }

    Figure(Measure measure, ToDoubleFunction<Look> value) {
        this.measure = Optional.of(measure);
        this.value = value;
    }

    private static ToDoubleFunction<Look> core(ToDoubleFunction<OperatingPoint.CoreMoment> of) {
        return l -> l.working().core().map(of::applyAsDouble).orElse(Double.NaN);
    }

    @Override
    public String chapter() {
        return "figure";
    }

    @Override
    public List<String> parts() {
        return List.of("name", "what", "equation", "source");
    }

    /** @return what it measures, where it comes out of a session; empty where it is read, entered or added up */
    public Optional<Measure> measure() {
        return measure;
    }

    /** @return those that come out of a session */
    public static List<Figure> computed() {
        return Arrays.stream(values()).filter(f -> f.measure.isPresent()).toList();
    }

    /** The figure of a case, in SI units; empty where the case does not have it. */
    OptionalDouble of(Look look) {
        double v = value.applyAsDouble(look);
        return Double.isFinite(v) ? OptionalDouble.of(v) : OptionalDouble.empty();
    }
}
