package isotherm.core.whatif;

import isotherm.core.airflow.Airway;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import isotherm.core.duty.Weather;
import isotherm.core.exchanger.Core;
import isotherm.core.findings.Finding;
import isotherm.core.hydraulics.Hose;
import isotherm.core.hydraulics.OilPump;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.message.MessageTopic;
import isotherm.core.simulate.Factor;
import java.util.List;
import java.util.Optional;

/** An input that figures come from: something measured, chosen or believed. Each can be moved by a step that happens. */
public enum Given implements MessageTopic {
    /** Air of the day, 5 °C warmer. */
    AIR(Finding.Station.DUTY),
    /** Brake power, a tenth more. */
    POWER(Finding.Station.DUTY),
    /** Heat into the oil, a tenth more. */
    HEAT(Finding.Station.DUTY),
    /** What sump and block lose, a fifth more. */
    SUMP(Finding.Station.DUTY),
    /** What the radiator gives off, a tenth more. */
    RADIATOR(Finding.Station.DUTY),
    /** What the gauge shows, a tenth more. */
    GAUGE(Finding.Station.DUTY),
    /** A tenth more oil in the engine. */
    OIL_VOLUME(Finding.Station.DUTY),
    /** An oil pump that moves a tenth more. */
    PUMP(Finding.Station.DUTY),
    /** The next thicker grade of oil. */
    OIL(Finding.Station.CORE),
    /** Rows of the core, a tenth more. */
    ROWS(Finding.Station.CORE),
    /** Finned width of the core, a tenth more. */
    WIDTH(Finding.Station.CORE),
    /** The thermostat opens 5 °C later. */
    THERMOSTAT(Finding.Station.CORE),
    /** Ten points less of the air pressure arrive. */
    SEALING(Finding.Station.PLACE),
    /** Ten points more of the face in shade. */
    SHADE(Finding.Station.PLACE),
    /** A fifth more opening. */
    OPENING(Finding.Station.PLACE),
    /** Hoses a tenth narrower. */
    BORE(Finding.Station.PLUMB),
    /** Half a metre more of each hose. */
    HOSE_LENGTH(Finding.Station.PLUMB);

    private static final double STEP = 1.1;
    /** Of the air and of a thermostat, K. */
    private static final double DEGREES = 5;
    /** Of each hose, m. */
    private static final double MORE_HOSE = 0.5;

    private final Finding.Station station;

    Given(Finding.Station station) {
        this.station = station;
    }

    @Override
    public String chapter() {
        return "given";
    }

    @Override
    public List<String> parts() {
        return List.of("name", "step");
    }

    /** @return where it is entered or chosen */
    public Finding.Station station() {
        return station;
    }

    /** @return the step, in words */
    public Message step() {
        return switch (this) {
            case AIR, THERMOSTAT -> say("step").with("by", Measure.TEMPERATURE_DIFFERENCE, DEGREES);
            case HOSE_LENGTH -> say("step").with("by", Measure.DISTANCE, MORE_HOSE, 1);
            default -> say("step");
        };
    }

    /** The case with it moved by its step; empty where the case does not have it. */
    Optional<Look> moved(Car car, Duty duty, Design design) {
        return switch (this) {
            case AIR -> {
                Weather w = duty.weather();
                yield look(car, duty.withWeather(new Weather(w.ambientK() + DEGREES, w.altitude())), design);
            }
            case POWER -> Optional.of(Look.at(car, duty, design, STEP));
            case HEAT -> look(Factor.HEAT.scale(car, STEP), duty, design);
            case SUMP -> look(Factor.SUMP.scale(Factor.BLOCK.scale(car, 1.2), 1.2), duty, design);
            case RADIATOR -> look(Factor.RADIATOR.scale(car, STEP), duty, design);
            case GAUGE -> look(Factor.BEARINGS.scale(car, STEP), duty, design);
            case OIL_VOLUME -> look(car.withOilVolume(car.oilVolume() * STEP), duty, design);
            case PUMP -> {
                OilPump p = car.pump();
                OilPump larger = new OilPump(p.displacement() * STEP, p.volumetricEfficiency(), p.reliefPressure());
                yield look(car.withPump(larger), duty, design);
            }
            case OIL -> last(LeverSteps.of(car, design, Lever.OIL)).flatMap(s -> look(car, duty, s.design()));
            case THERMOSTAT ->
                design.cooler()
                        .filter(c -> c.loop().thermostat().isPresent())
                        .flatMap(c -> last(LeverSteps.of(car, design, Lever.THERMOSTAT)))
                        .flatMap(s -> look(car, duty, s.design()));
            default -> design.cooler().flatMap(c -> cooler(car, duty, design, c));
        };
    }

    private Optional<Look> cooler(Car car, Duty duty, Design design, Design.Cooler c) {
        Core core = c.core();
        Airway air = c.airway();
        return switch (this) {
            case ROWS ->
                look(car, duty, design.withCore(core.withRows(Math.max(core.rows() + 1, (int)
                        Math.round(core.rows() * STEP)))));
            case WIDTH -> look(car, duty, design.withCore(core.withWidth(core.width() * STEP)));
            case SEALING -> look(car, duty, design.withAirway(air.withSealing(Math.max(0.05, air.sealing() - 0.1))));
            case SHADE -> look(car, duty, design.withAirway(air.withShade(Math.min(0.95, air.shadedShare() + 0.1))));
            case OPENING -> look(car, duty, design.withAirway(air.withOpening(air.openingArea() * 1.2)));
            case BORE -> look(car, duty, hoses(design, c, 1 / STEP, 0));
            case HOSE_LENGTH -> look(car, duty, hoses(design, c, 1, MORE_HOSE));
            default -> throw new IllegalStateException(name());
        };
    }

    private static Design hoses(Design design, Design.Cooler c, double bore, double more) {
        return design.withCooler(Optional.of(new Design.Cooler(
                c.core(),
                c.airway(),
                c.loop()
                        .withHoses(
                                changed(c.loop().feed(), bore, more),
                                changed(c.loop().back(), bore, more)),
                c.efficacy())));
    }

    private static Hose changed(Hose hose, double bore, double more) {
        return new Hose(hose.bore() * bore, hose.length() + more, hose.elbows90());
    }

    private static Optional<Look> look(Car car, Duty duty, Design design) {
        return Optional.of(Look.at(car, duty, design, 1));
    }

    private static Optional<LeverStep> last(List<LeverStep> steps) {
        return steps.isEmpty() ? Optional.empty() : Optional.of(steps.get(steps.size() - 1));
    }
}
