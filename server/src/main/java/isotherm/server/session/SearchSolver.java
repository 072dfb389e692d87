package isotherm.server.session;

import static isotherm.server.contract.Rounding.celsius;
import static isotherm.server.contract.Rounding.round;

import isotherm.core.catalogue.CorePart;
import isotherm.core.compare.DesignMap;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.search.DesignSearch;
import isotherm.core.search.TwoSchools;
import isotherm.server.contract.Effort;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Rounding;
import isotherm.server.garage.DesignDocument;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/** From questions that run many designs to their answers, the same for HTTP and for {@code solve}. */
public final class SearchSolver {
    private SearchSolver() {}

    /**
     * @param q a case and two axes
     * @param cancelled asked before each session
     * @return the map
     */
    public static SearchQuestions.MapAnswer map(SearchQuestions.MapQuestion q, BooleanSupplier cancelled) {
        Effort.check(
                "/x/count",
                (long) q.x().count() * q.y().count(),
                q.car().toCore(),
                q.duty().toCore(),
                Effort.WAITED_FOR);
        DesignMap.Result m = DesignMap.of(
                q.car().toCore(),
                q.duty().toCore(),
                q.design().toCore(q.car()),
                q.x().toCore(),
                q.y().toCore(),
                cancelled);
        return new SearchQuestions.MapAnswer(
                values(q.x(), m.x()), values(q.y(), m.y()), grid(m.peak()), grid(m.plateau()), grid(m.coolant()));
    }

    private static List<Double> values(SearchQuestions.AxisDocument axis, DesignMap.Scale scale) {
        return Arrays.stream(scale.values())
                .mapToObj(v -> round(axis.axis().outside(v), 4))
                .toList();
    }

    private static List<List<Double>> grid(double[][] kelvin) {
        return Arrays.stream(kelvin)
                .map(row -> Arrays.stream(row).mapToObj(Rounding::celsius).toList())
                .toList();
    }

    /**
     * @param q bounds of a search
     * @param catalogue cores to choose from
     * @param asker who waits for it
     * @return the designs that hold
     */
    public static SearchQuestions.SearchAnswer search(
            SearchQuestions.SearchQuestion q, List<CorePart> catalogue, DesignSearch.Asker asker) {
        trials(q, catalogue);
        return answer(DesignSearch.search(
                q.car().toCore(), q.duty().toCore(), q.car().belief(), bounds(q, catalogue), asker));
    }

    /**
     * @param r what a search found, or what it has found so far
     * @return the same as it goes over the wire
     */
    public static SearchQuestions.SearchAnswer answer(DesignSearch.Result r) {
        return new SearchQuestions.SearchAnswer(
                r.tried(),
                r.holding(),
                r.smallest().map(SearchSolver::candidate).orElse(null),
                r.largest().map(SearchSolver::candidate).orElse(null),
                r.front().stream().map(SearchSolver::candidate).toList());
    }

    /**
     * Refuses a search that is too long for somebody to wait for its answer.
     *
     * @param q bounds of a search
     * @param catalogue cores to choose from
     * @throws InvalidDocument when it is; as long work it may still be taken
     */
    public static void checkWaitedFor(SearchQuestions.SearchQuestion q, List<CorePart> catalogue) {
        Effort.check("/places", trials(q, catalogue), q.car().toCore(), q.duty().toCore(), Effort.WAITED_FOR / 4);
    }

    /**
     * @param q bounds of a search
     * @param catalogue cores to choose from
     * @return number of designs that it will run
     * @throws InvalidDocument when it would run too many
     */
    public static long trials(SearchQuestions.SearchQuestion q, List<CorePart> catalogue) {
        long trials = DesignSearch.count(bounds(q, catalogue));
        if (trials > DesignSearch.MOST_TRIALS) {
            throw new InvalidDocument(List.of(new Problem(
                    "/places",
                    String.valueOf(trials),
                    "This search would run " + trials + " designs; at most " + DesignSearch.MOST_TRIALS
                            + " are taken. Give fewer places, sealings, thermostats or bores, or less room.",
                    null,
                    (double) DesignSearch.MOST_TRIALS,
                    "")));
        }
        Effort.check("/places", trials, q.car().toCore(), q.duty().toCore(), Effort.LONG_WORK);
        return trials;
    }

    private static DesignSearch.Bounds bounds(SearchQuestions.SearchQuestion q, List<CorePart> catalogue) {
        List<Optional<OilThermostat>> thermostats = new ArrayList<>();
        q.thermostatsC().forEach(c -> thermostats.add(Optional.of(OilThermostat.opening(Units.kelvin(c)))));
        if (q.withoutThermostat()) {
            thermostats.add(Optional.empty());
        }
        return new DesignSearch.Bounds(
                catalogue,
                q.places(),
                q.sealingPercents().stream().map(v -> v / 100).toList(),
                thermostats,
                q.boresMm().stream().map(v -> v * 1e-3).toList(),
                q.largestWidthMm() * 1e-3,
                q.largestHeightMm() * 1e-3,
                q.shadedPercent() / 100,
                q.openingCm2() * 1e-4,
                q.hoseM());
    }

    private static SearchQuestions.CandidateDocument candidate(DesignSearch.Candidate c) {
        return candidate(c, DesignDocument.of(c.part().maker() + " " + c.part().number(), c.design()));
    }

    private static SearchQuestions.CandidateDocument candidate(DesignSearch.Candidate c, DesignDocument design) {
        return new SearchQuestions.CandidateDocument(
                c.part().maker(),
                c.part().number(),
                celsius(c.peak()),
                round(c.loopLoss() / 1e5, 3),
                round(c.coolantRise(), 2),
                Double.isInfinite(c.warmUp()) ? null : (Double) c.warmUp(),
                Double.isNaN(c.price()) ? null : (Double) c.price(),
                round(c.mass(), 2),
                design);
    }

    /**
     * @param q a design and the room for its core
     * @param catalogue cores to choose from
     * @return what the two schools of sizing would do
     */
    public static SearchQuestions.SchoolsAnswer schools(SearchQuestions.SchoolsQuestion q, List<CorePart> catalogue) {
        TwoSchools s = TwoSchools.of(
                q.car().toCore(),
                q.duty().toCore(),
                q.car().belief(),
                q.design().toCore(q.car()),
                catalogue,
                q.largestWidthMm() * 1e-3,
                q.largestHeightMm() * 1e-3);
        return new SearchQuestions.SchoolsAnswer(
                candidate(s.present(), q.design()),
                s.smallest()
                        .map(c -> candidate(c, q.design().changedTo(q.car(), c.design())))
                        .orElse(null),
                s.largest()
                        .map(c -> candidate(c, q.design().changedTo(q.car(), c.design())))
                        .orElse(null));
    }
}
