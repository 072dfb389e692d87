package isotherm.core.advise;

import static java.lang.String.format;

import isotherm.core.exchanger.Core;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.simulate.Design;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The rules of the job, applied to one design. */
public final class Advisor {
    /** Steady oil temperature on the road below which water and fuel stay in the oil, K. */
    public static final double TOO_COLD_K = Units.kelvin(80);
    /** Rows in which cores are sold. */
    private static final int[] ROW_STEPS = {7, 10, 13, 16, 19, 25, 30, 34};
    /** A cooler is worth its joints when the bare car comes within this of the target's upper edge, K. */
    private static final double NEED_MARGIN = 5;

    private Advisor() {}

    /**
     * @param a a design, run through its duty
     * @return findings, most serious first
     */
    public static List<Finding> findings(Assessment a) {
        List<Finding> findings = new ArrayList<>();
        hot(a).ifPresent(findings::add);
        cold(a).ifPresent(findings::add);
        notNeeded(a).ifPresent(findings::add);
        if (findings.stream().noneMatch(f -> f.severity() == Finding.Severity.FAILS)) {
            findings.add(holds(a));
        }
        findings.sort(Comparator.comparing(Finding::severity));
        return findings;
    }

    private static Optional<Finding> hot(Assessment a) {
        double peak = a.session().peak();
        var limits = a.car().limits();
        boolean overLimit = peak > limits.limitK();
        if (peak <= limits.targetHighK()) {
            return Optional.empty();
        }
        double over = peak - (overLimit ? limits.limitK() : limits.targetHighK());
        String climbing = a.session().climbRate() > 0.5
                ? format(
                        Locale.ROOT,
                        " It is still climbing at %.1f K a minute when the session ends.",
                        a.session().climbRate())
                : "";
        String film = format(
                Locale.ROOT,
                "At that temperature the oil has thinned to %.1f cSt.",
                a.design().oil().orElse(a.car().oil()).kinematicViscosity(peak) * 1e6);
        return Optional.of(new Finding(
                overLimit ? Finding.Severity.FAILS : Finding.Severity.RISK,
                Finding.Topic.TOO_HOT,
                overLimit ? "The oil gets hotter than its limit" : "The oil leaves its target band",
                format(Locale.ROOT, "%.0f K over", over),
                film + climbing,
                moreRows(a)));
    }

    /** The fewest rows of the same core that bring the peak into the target band. */
    private static Optional<Finding.Remedy> moreRows(Assessment a) {
        if (a.design().cooler().isEmpty()) {
            return Optional.empty();
        }
        Core core = a.design().cooler().get().core();
        for (int rows : ROW_STEPS) {
            if (rows > core.rows()) {
                Design larger = a.design().withCore(core.withRows(rows));
                if (Simulator.run(a.car(), a.duty(), larger).peak()
                        <= a.car().limits().targetHighK()) {
                    return Optional.of(new Finding.Remedy("Go up to " + rows + " rows", larger));
                }
            }
        }
        return Optional.empty();
    }

    private static Optional<Finding> cold(Assessment a) {
        double road = a.roadOil();
        if (a.design().cooler().isEmpty() || road >= TOO_COLD_K) {
            return Optional.empty();
        }
        double bare = Assessment.of(a.car(), a.duty(), Design.NO_COOLER).roadOil();
        double taken = bare - road;
        if (taken < 2) {
            return Optional.of(new Finding(
                    Finding.Severity.NOTE,
                    Finding.Topic.TOO_COLD,
                    "The oil stays cool on the road, with or without the cooler",
                    format(Locale.ROOT, "%.0f °C", Units.celsius(road)),
                    "At 80 km/h on an 8 °C day. Water and fuel leave the oil only above about 80 °C; longer or harder"
                            + " drives do it good.",
                    Optional.empty()));
        }
        boolean open = a.design().cooler().get().loop().thermostat().isEmpty();
        Optional<Finding.Remedy> remedy = open
                ? Optional.of(new Finding.Remedy(
                        "Fit a thermostat that opens at 85 °C",
                        a.design().withThermostat(Optional.of(OilThermostat.opening(Units.kelvin(85))))))
                : Optional.empty();
        return Optional.of(new Finding(
                Finding.Severity.RISK,
                Finding.Topic.TOO_COLD,
                "The oil runs too cold on the road",
                format(Locale.ROOT, "%.0f °C", Units.celsius(road)),
                format(
                        Locale.ROOT,
                        "At 80 km/h on an 8 °C day the cooler takes %.0f K off. Under about 80 °C water and fuel stay in"
                                + " the oil.",
                        taken),
                remedy));
    }

    private static Optional<Finding> notNeeded(Assessment a) {
        double bare = a.bare().peak();
        if (bare > a.car().limits().targetHighK() - NEED_MARGIN) {
            return Optional.empty();
        }
        boolean fitted = a.design().cooler().isPresent();
        return Optional.of(new Finding(
                fitted ? Finding.Severity.RISK : Finding.Severity.GOOD,
                Finding.Topic.NOT_NEEDED,
                "This car does not need an oil cooler for this duty",
                format(Locale.ROOT, "%.0f °C without one", Units.celsius(bare)),
                "Without a cooler the oil stays under its target's upper edge. A cooler would add joints that can leak,"
                        + " lengthen the warm-up and keep the oil colder than it likes on the road.",
                fitted ? Optional.of(new Finding.Remedy("Leave the cooler out", Design.NO_COOLER)) : Optional.empty()));
    }

    private static Finding holds(Assessment a) {
        double margin = a.car().limits().limitK() - a.session().peak();
        return new Finding(
                Finding.Severity.GOOD,
                Finding.Topic.HOLDS,
                "The oil stays under its limit",
                format(Locale.ROOT, "%.0f K in hand", margin),
                format(
                        Locale.ROOT,
                        "It peaks at %.0f °C and levels out near %.0f °C. An estimate: prove it with a log.",
                        Units.celsius(a.session().peak()),
                        Units.celsius(a.session().plateau())),
                Optional.empty());
    }
}
