package isotherm.core.whatif;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Fan;
import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.findings.Thresholds;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.Hose;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Measure;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/** The steps that each lever of a design can be moved by. */
final class LeverSteps {
    /** A step of sealing or shade, a share of 1. */
    private static final double SHARE = 0.1;
    /** The best that shroud and foam reach, and the least that is worth a core. */
    private static final double BEST_SEALING = 0.95;

    private static final double LEAST_SEALING = 0.3;
    /** The most shade that still leaves a core. */
    private static final double MOST_SHADE = 0.9;
    /** A step of a thermostat, K: the spacing in which they are made. */
    private static final double OPENING = 5;

    /** Where a data sheet gives the viscosity of hot oil, K: 100 °C. */
    private static final double HOT_K = Units.kelvin(100);

    private LeverSteps() {}

    /**
     * @param car the car
     * @param design a design
     * @param lever one of its choices
     * @return the steps that it can be moved by; none where the design does not have that choice
     */
    static List<LeverStep> of(Car car, Design design, Lever lever) {
        if (lever == Lever.OIL) {
            return oil(car, design);
        }
        Optional<Design.Cooler> cooler = design.cooler();
        if (cooler.isEmpty()) {
            return List.of();
        }
        Airway air = cooler.get().airway();
        return switch (lever) {
            case ROWS -> rows(design, cooler.get());
            case SEALING -> sealing(design, air);
            case SHADE -> shade(design, air);
            case THERMOSTAT -> thermostat(car, design, cooler.get().loop());
            case PLACE -> place(design, air);
            case HOSE -> hose(design, cooler.get());
            case FAN -> fan(design, air);
            default -> throw new IllegalStateException(lever.name());
        };
    }

    private static List<LeverStep> rows(Design design, Design.Cooler c) {
        int now = c.core().rows();
        Stream<Integer> fewer =
                Arrays.stream(CorePart.ROWS).boxed().filter(r -> r < now).max(Comparator.naturalOrder()).stream();
        Stream<Integer> more =
                Arrays.stream(CorePart.ROWS).boxed().filter(r -> r > now).min(Comparator.naturalOrder()).stream();
        return Stream.concat(fewer, more)
                .map(r -> new LeverStep(
                        Lever.ROWS,
                        Lever.ROWS.say("step").count("rows", r),
                        design.withCore(c.core().withRows(r))))
                .toList();
    }

    /** Where the pressure was measured, sealing is in the measurement. */
    private static List<LeverStep> sealing(Design design, Airway air) {
        if (air.measured().isPresent()) {
            return List.of();
        }
        List<LeverStep> steps = new ArrayList<>();
        if (air.sealing() < BEST_SEALING - 1e-9) {
            steps.add(sealed(design, air, Math.min(BEST_SEALING, air.sealing() + SHARE)));
        }
        if (air.sealing() > LEAST_SEALING + 1e-9) {
            steps.add(sealed(design, air, Math.max(LEAST_SEALING, air.sealing() - SHARE)));
        }
        return steps;
    }

    private static LeverStep sealed(Design design, Airway air, double sealing) {
        return new LeverStep(
                Lever.SEALING,
                Lever.SEALING.say("step").with("share", Measure.SHARE, sealing),
                design.withAirway(air.withSealing(sealing)));
    }

    private static List<LeverStep> shade(Design design, Airway air) {
        List<LeverStep> steps = new ArrayList<>();
        if (air.shadedShare() > 0) {
            steps.add(shaded(design, air, Math.max(0, air.shadedShare() - SHARE)));
        }
        if (air.shadedShare() < MOST_SHADE - 1e-9) {
            steps.add(shaded(design, air, Math.min(MOST_SHADE, air.shadedShare() + SHARE)));
        }
        return steps;
    }

    private static LeverStep shaded(Design design, Airway air, double shade) {
        return new LeverStep(
                Lever.SHADE,
                Lever.SHADE.say("step").with("share", Measure.SHARE, shade),
                design.withAirway(air.withShade(shade)));
    }

    private static List<LeverStep> thermostat(Car car, Design design, CoolerLoop loop) {
        if (loop.thermostat().isEmpty()) {
            return List.of(opening(design, Thresholds.thermostat(car.limits())));
        }
        OilThermostat now = loop.thermostat().get();
        return DoubleStream.of(-OPENING, OPENING)
                .mapToObj(by ->
                        opening(design, new OilThermostat(now.opensK() + by, now.fullK() + by, now.leak(), now.site())))
                .toList();
    }

    private static LeverStep opening(Design design, OilThermostat thermostat) {
        return new LeverStep(
                Lever.THERMOSTAT,
                Lever.THERMOSTAT.say("step").with("opens", Measure.TEMPERATURE, thermostat.opensK()),
                design.withThermostat(Optional.of(thermostat)));
    }

    private static List<LeverStep> oil(Car car, Design design) {
        Oil now = design.oil().orElse(car.oil());
        double hot = now.kinematicViscosity(HOT_K);
        Comparator<Oil> byViscosity = Comparator.comparingDouble(o -> o.kinematicViscosity(HOT_K));
        // Grades of one viscosity when hot differ in the cold only: that is no step.
        double apart = 1.05;
        Stream<Oil> thinner =
                Oil.GRADES.stream().filter(o -> o.kinematicViscosity(HOT_K) * apart < hot).max(byViscosity).stream();
        Stream<Oil> thicker =
                Oil.GRADES.stream().filter(o -> o.kinematicViscosity(HOT_K) > hot * apart).min(byViscosity).stream();
        return Stream.concat(thinner, thicker)
                .map(o -> new LeverStep(Lever.OIL, Lever.OIL.say("step").name("grade", o.name()), design.withOil(o)))
                .toList();
    }

    private static List<LeverStep> place(Design design, Airway air) {
        if (air.measured().isPresent()) {
            return List.of();
        }
        return Arrays.stream(Place.values())
                .filter(p -> p != air.place())
                .map(p -> new LeverStep(
                        Lever.PLACE,
                        Lever.PLACE.say("step").choose("place", p),
                        design.withAirway(air.withPlace(p).withSealing(air.sealing()))))
                .toList();
    }

    private static List<LeverStep> hose(Design design, Design.Cooler c) {
        double now = c.loop().feed().bore();
        double least = 0.5e-3;
        Stream<Double> narrower =
                Arrays.stream(Hose.BORES).boxed().filter(b -> b < now - least).max(Comparator.naturalOrder()).stream();
        Stream<Double> wider =
                Arrays.stream(Hose.BORES).boxed().filter(b -> b > now + least).min(Comparator.naturalOrder()).stream();
        return Stream.concat(narrower, wider)
                .map(b -> new LeverStep(
                        Lever.HOSE,
                        Lever.HOSE.say("step").with("bore", Measure.LENGTH, b, 1),
                        design.withCooler(Optional.of(new Design.Cooler(
                                c.core(),
                                c.airway(),
                                c.loop()
                                        .withHoses(
                                                bored(c.loop().feed(), b),
                                                bored(c.loop().back(), b)),
                                c.efficacy())))))
                .toList();
    }

    private static Hose bored(Hose hose, double bore) {
        return new Hose(bore, hose.length(), hose.elbows90());
    }

    private static List<LeverStep> fan(Design design, Airway air) {
        boolean add = air.fan().isEmpty();
        return List.of(new LeverStep(
                Lever.FAN,
                Lever.FAN.say("step").choose("fits", add),
                design.withAirway(air.withFan(add ? Optional.of(Fan.TYPICAL) : Optional.empty()))));
    }
}
