package isotherm.core.findings;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Fan;
import isotherm.core.airflow.Place;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.message.MessageTopic;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The first answer of all: does this car need another cooler for this duty?
 *
 * @param kind the answer
 * @param what in one sentence
 * @param why the reason, in figures
 * @param options what would do, cheapest first; empty where nothing has to be done
 */
public record Verdict(Kind kind, Message what, Message why, List<Remedy> options) {
    /** Defensive copy. */
    public Verdict {
        options = List.copyOf(options);
    }

    /** The answers. */
    public enum Kind implements MessageTopic {
        /** The oil surely holds its temperature without a cooler. */
        NOT_NEEDED,
        /** It does today, and will not with the planned power. */
        NEEDED_FOR_PLANNED,
        /** It more likely than not holds without one. */
        PROBABLY_NOT,
        /** Nobody can say before something more is known. */
        CANNOT_TELL,
        /** Something cheaper than another core would do. */
        TRY_FIRST,
        /** A cooler, or a better one, is more likely needed than not. */
        PROBABLY_NEEDED,
        /** A cooler, or a better one, is surely needed. */
        NEEDED,
        /** The cooler of this design surely does what is needed. */
        COVERED;

        @Override
        public String chapter() {
            return "verdict";
        }

        @Override
        public List<String> parts() {
            return List.of("what", "why");
        }
    }

    /** @return whether a measurement would say more than a part */
    public boolean unsure() {
        return kind == Kind.CANNOT_TELL || kind == Kind.PROBABLY_NEEDED || kind == Kind.PROBABLY_NOT;
    }

    /**
     * @param a a design, run through its duty
     * @return the verdict
     */
    public static Verdict of(Assessment a) {
        Context c = new Context(a);
        double without = c.oddsWithout();
        if (without >= c.sure()) {
            Optional<Double> planned =
                    planned(c).filter(p -> p > a.car().limits().targetHighK());
            return planned.map(p -> made(c, Kind.NEEDED_FOR_PLANNED, List.of(), p))
                    .orElseGet(
                            () -> made(c, Kind.NOT_NEEDED, List.of(), a.bare().peak()));
        }
        // With a cooler it is the cooler that is judged, without one the car.
        double odds = a.design().cooler().isPresent() ? c.oddsInBand() : without;
        if (a.design().cooler().isPresent() && odds >= c.sure()) {
            return made(c, Kind.COVERED, List.of(), c.peak());
        }
        if (odds >= 1 - Thresholds.LIKELY) {
            return made(c, odds >= Thresholds.LIKELY ? Kind.PROBABLY_NOT : Kind.CANNOT_TELL, first(c), c.peak());
        }
        List<Remedy> first = first(c);
        if (!first.isEmpty()) {
            return made(c, Kind.TRY_FIRST, first, c.peak());
        }
        return made(c, odds > 1 - c.sure() ? Kind.PROBABLY_NEEDED : Kind.NEEDED, first, c.peak());
    }

    private static Verdict made(Context c, Kind kind, List<Remedy> options, double then) {
        double bare = c.assessment().bare().peak();
        boolean cooled = c.cooler().isPresent();
        return new Verdict(
                kind,
                kind.say("what").choose("cooled", cooled),
                kind.say("why")
                        .choose("cooled", cooled)
                        .with("bare", Measure.TEMPERATURE, bare)
                        .with("then", Measure.TEMPERATURE, then)
                        .with("target", Measure.TEMPERATURE, c.target())
                        .with("odds", Measure.SHARE, Thresholds.said(cooled ? c.oddsInBand() : c.oddsWithout()))
                        .with("oddsWithout", Measure.SHARE, Thresholds.said(c.oddsWithout()))
                        .with(
                                "low",
                                Measure.TEMPERATURE,
                                c.assessment().outlook().quantile(0.1))
                        .with(
                                "high",
                                Measure.TEMPERATURE,
                                c.assessment().outlook().quantile(0.9))
                        .with("limit", Measure.TEMPERATURE, c.limit()),
                options);
    }

    private static Optional<Double> planned(Context c) {
        Assessment a = c.assessment();
        return a.plannedPower().isPresent()
                ? Optional.of(Assessment.planned(
                                a.car(),
                                a.duty(),
                                c.withoutCooler(),
                                a.plannedPower().getAsDouble())
                        .peak())
                : Optional.empty();
    }

    /** Changes that cost little and bring the peak into the band, in the order of what they cost. */
    private static List<Remedy> first(Context c) {
        List<Remedy> options = new ArrayList<>();
        c.cooler().ifPresent(f -> {
            OilThermostat early = Thresholds.thermostat(c.car().limits());
            if (f.loop().thermostat().filter(t -> t.opensK() > early.opensK()).isPresent()) {
                options.add(c.remedy(
                        Remedy.Kind.THERMOSTAT.say("label").with("opens", Measure.TEMPERATURE, early.opensK()),
                        c.design().withThermostat(Optional.of(early))));
            }
            options.addAll(air(c, f.airway()));
        });
        options.removeIf(r -> r.peakK() > c.target());
        if (c.peak() <= c.limit() && c.oil().kinematicViscosity(c.peak()) < Thresholds.THIN_FILM) {
            c.thicker().ifPresent(o -> options.add(c.fill(Remedy.Kind.ACCEPT_WITH_GRADE, o)));
        }
        return options;
    }

    private static List<Remedy> air(Context c, Airway air) {
        if (air.measured().isPresent()) {
            return List.of();
        }
        Map<Remedy.Kind, Airway> options = new LinkedHashMap<>();
        boolean shaded = air.shadedShare() > Thresholds.CLEARED;
        boolean leaks = air.sealing() < Thresholds.SEALED;
        if (shaded) {
            options.put(Remedy.Kind.CLEAR_SHADE, air.withShade(Thresholds.CLEARED));
        }
        if (leaks) {
            options.put(Remedy.Kind.SEAL, air.withSealing(Thresholds.SEALED));
        }
        if (shaded && leaks) {
            options.put(
                    Remedy.Kind.SEAL_AND_CLEAR,
                    air.withSealing(Thresholds.SEALED).withShade(Thresholds.CLEARED));
        }
        if (air.place() == Place.FRONT_CORNER_CLOSED) {
            options.put(Remedy.Kind.VENT_LINER, air.withPlace(Place.FRONT_CORNER_VENTED));
        }
        if (air.fan().isEmpty()) {
            options.put(Remedy.Kind.FAN, air.withFan(Optional.of(Fan.TYPICAL)));
        }
        // Each with its own session, side by side.
        return options.entrySet().parallelStream()
                .map(o -> with(c, o.getKey(), o.getValue()))
                .toList();
    }

    private static Remedy with(Context c, Remedy.Kind kind, Airway air) {
        return c.remedy(kind.say("label"), c.design().withAirway(air));
    }
}
