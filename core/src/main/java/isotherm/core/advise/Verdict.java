package isotherm.core.advise;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Fan;
import isotherm.core.airflow.Place;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.simulate.Car;
import isotherm.core.simulate.Design;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The first answer of all: does this car need another cooler for this duty?
 *
 * @param kind the answer
 * @param what in one sentence
 * @param why the reason, in figures
 * @param options what would do, cheapest first; empty where nothing has to be done
 */
public record Verdict(Kind kind, String what, String why, List<Finding.Remedy> options) {
    /** The bare car has to stay under the target's upper edge by this to need nothing, K. */
    private static final double MARGIN = 5;
    /** An air path as good as shroud, foam and moved neighbours make it. */
    private static final double SEALED = 0.9;

    private static final double CLEARED = 0.1;
    /** An early thermostat opens this far under the target's upper edge, K. */
    private static final double EARLY = 25;

    /** The answers. */
    public enum Kind {
        /** The oil stays in hand without a cooler. */
        NOT_NEEDED,
        /** It does today, and will not with the planned power. */
        NEEDED_FOR_PLANNED,
        /** Something cheaper than another core would do. */
        TRY_FIRST,
        /** A cooler, or a better one, is needed. */
        NEEDED,
        /** The cooler of this design does what is needed. */
        COVERED
    }

    /**
     * @param a a design, run through its duty
     * @return the verdict
     */
    public static Verdict of(Assessment a) {
        Car.Limits limits = a.car().limits();
        double bare = a.bare().peak();
        boolean bareHolds = bare <= limits.targetHighK() - MARGIN;
        String without = say("Without a cooler the oil peaks at %.0f °C", Units.celsius(bare));
        if (bareHolds) {
            return planned(a)
                    .filter(p -> p > limits.targetHighK())
                    .map(p -> new Verdict(
                            Kind.NEEDED_FOR_PLANNED,
                            "Not needed today; needed for the planned power",
                            without
                                    + say(
                                            ", with the planned power at %.0f °C. The target ends at %.0f °C.",
                                            Units.celsius(p), Units.celsius(limits.targetHighK())),
                            List.of()))
                    .orElseGet(() -> new Verdict(
                            Kind.NOT_NEEDED,
                            "No oil cooler is needed for this duty",
                            without
                                    + say(
                                            ", %.0f °C under the target's upper edge. A cooler would only make it run too"
                                                    + " cold on the road.",
                                            limits.targetHighK() - bare),
                            List.of()));
        }
        boolean cooled = a.design().cooler().isPresent();
        if (cooled && a.session().peak() <= limits.targetHighK()) {
            return new Verdict(
                    Kind.COVERED,
                    "Needed, and this design covers it",
                    without
                            + say(
                                    "; with this design at %.0f °C.",
                                    Units.celsius(a.session().peak())),
                    List.of());
        }
        List<Finding.Remedy> first = first(a);
        if (!first.isEmpty()) {
            return new Verdict(
                    Kind.TRY_FIRST,
                    cooled ? "Try first, before a larger core" : "Try first, before a cooler",
                    (cooled
                                    ? say(
                                            "With this design it peaks at %.0f °C",
                                            Units.celsius(a.session().peak()))
                                    : without)
                            + say(
                                    ", the target ends at %.0f °C. One of these is cheaper and would do.",
                                    Units.celsius(limits.targetHighK())),
                    first);
        }
        return new Verdict(
                Kind.NEEDED,
                cooled ? "This cooler is too small for this duty" : "An oil cooler is needed",
                without
                        + (cooled
                                ? say(
                                        ", with this design at %.0f °C",
                                        Units.celsius(a.session().peak()))
                                : "")
                        + say(
                                "; the target ends at %.0f °C, the oil's limit is %.0f °C.",
                                Units.celsius(limits.targetHighK()), Units.celsius(limits.limitK())),
                List.of());
    }

    private static Optional<Double> planned(Assessment a) {
        return a.plannedPower().isPresent()
                ? Optional.of(Assessment.planned(
                                a.car(),
                                a.duty(),
                                new Design(
                                        Optional.empty(),
                                        a.design().keepFactoryExchanger(),
                                        a.design().oil()),
                                a.plannedPower().getAsDouble())
                        .peak())
                : Optional.empty();
    }

    /** Changes that cost little and bring the peak into the band, in the order of what they cost. */
    private static List<Finding.Remedy> first(Assessment a) {
        List<Finding.Remedy> options = new ArrayList<>();
        double target = a.car().limits().targetHighK();
        a.design().cooler().ifPresent(c -> {
            double early = Math.floor(Units.celsius(target) - EARLY);
            c.loop()
                    .thermostat()
                    .filter(t -> t.opensK() > Units.kelvin(early))
                    .ifPresent(t -> add(
                            options,
                            a,
                            say("Fit a thermostat that opens at %.0f °C", early),
                            a.design().withThermostat(Optional.of(OilThermostat.opening(Units.kelvin(early))))));
            Airway air = c.airway();
            if (air.measured().isEmpty()) {
                if (air.shadedShare() > CLEARED) {
                    add(options, a, "Move what shades the core", a.design().withAirway(air.withShade(CLEARED)));
                }
                if (air.sealing() < SEALED) {
                    add(
                            options,
                            a,
                            "Seal the opening with a shroud and foam",
                            a.design().withAirway(air.withSealing(SEALED)));
                }
                if (air.shadedShare() > CLEARED && air.sealing() < SEALED) {
                    add(
                            options,
                            a,
                            "Seal the opening and move what shades the core",
                            a.design().withAirway(air.withSealing(SEALED).withShade(CLEARED)));
                }
                if (air.place() == Place.FRONT_CORNER_CLOSED) {
                    add(
                            options,
                            a,
                            "Vent the arch liner",
                            a.design().withAirway(air.withPlace(Place.FRONT_CORNER_VENTED)));
                }
                if (air.fan().isEmpty()) {
                    add(
                            options,
                            a,
                            "Fit a fan on the core",
                            a.design().withAirway(air.withFan(Optional.of(Fan.TYPICAL))));
                }
            }
        });
        if (a.session().peak() <= a.car().limits().limitK()) {
            thicker(a)
                    .ifPresent(o -> options.add(new Finding.Remedy(
                            "Fill " + o.name() + ", if the engine's maker allows it, and accept the temperature",
                            a.design().withOil(o),
                            Simulator.run(a.car(), a.duty(), a.design().withOil(o))
                                    .peak())));
        }
        return options;
    }

    private static void add(List<Finding.Remedy> options, Assessment a, String label, Design design) {
        double peak = Simulator.run(a.car(), a.duty(), design).peak();
        if (peak <= a.car().limits().targetHighK()) {
            options.add(new Finding.Remedy(label, design, peak));
        }
    }

    /** The thinnest shipped grade that is thicker than the present one and keeps a film at the peak. */
    private static Optional<Oil> thicker(Assessment a) {
        Oil now = a.design().oil().orElse(a.car().oil());
        double peak = a.session().peak();
        if (now.kinematicViscosity(peak) >= Advisor.THIN_FILM) {
            return Optional.empty();
        }
        return Oil.GRADES.stream()
                .filter(o -> o.kinematicViscosity(peak) >= Advisor.THIN_FILM)
                .min(Comparator.comparingDouble(o -> o.kinematicViscosity(peak)));
    }

    private static String say(String format, Object... values) {
        return String.format(Locale.ROOT, format, values);
    }
}
