package isotherm.core.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.catalogue.CorePart;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Outlook;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;

class DesignSearchTest {
    private static final Car CAR = DemoCars.car();

    private static DesignSearch.Bounds bounds(double width) {
        return new DesignSearch.Bounds(
                CorePart.shipped(),
                List.of(Place.LOWER_GRILLE_AHEAD, Place.FRONT_CORNER_VENTED),
                List.of(0.6, 0.9),
                List.of(Optional.of(OilThermostat.opening(Units.kelvin(85))), Optional.empty()),
                List.of(14.2e-3),
                width,
                0.30,
                0.2,
                0.03,
                1.2);
    }

    /** No doubt at all, so that a peak under the edge is as good as sure. */
    private static final Belief KNOWN = new Belief(List.of(), new double[0], new double[0][], 0);

    private static DesignSearch.Result search(double width) {
        return search(width, () -> false);
    }

    private static DesignSearch.Result search(double width, DesignSearch.Asker asker) {
        return DesignSearch.search(CAR, DemoCars.session(6), KNOWN, bounds(width), asker);
    }

    @Test
    void whoWantsToBeSureOfACarThatIsNotKnownGetsFewerDesignsAndALargerCore() {
        DesignSearch.Result known = search(0.5);
        DesignSearch.Result unknown =
                DesignSearch.search(CAR, DemoCars.session(6), Belief.prior(), bounds(0.5), () -> false);
        assertThat(unknown.holding()).isLessThan(known.holding());
        for (DesignSearch.Candidate c : unknown.front()) {
            double odds = Outlook.of(CAR, DemoCars.session(6), c.design(), Belief.prior())
                    .oddsUnder(CAR.limits().targetHighK());
            assertThat(odds).isGreaterThan(0.75);
        }
    }

    @Test
    void theFrontHoldsTheTargetAndNoneOfItIsBeaten() {
        Listener listener = new Listener();
        DesignSearch.Result r = search(0.33, listener);
        assertThat(listener.reached()).isEqualTo(r.tried());
        assertThat(r.front()).isNotEmpty();
        assertThat(r.holding()).isGreaterThanOrEqualTo(r.front().size());
        for (DesignSearch.Candidate c : r.front()) {
            assertThat(c.peak()).isLessThanOrEqualTo(CAR.limits().targetHighK());
            assertThat(c.part().core().outsideWidth()).isLessThanOrEqualTo(0.33 + 1e-9);
            assertThat(r.front()).noneMatch(other -> other.beats(c));
        }
        var smallest = r.smallest().orElseThrow();
        assertThat(r.front())
                .noneMatch(
                        c -> c.part().core().faceArea() < smallest.part().core().faceArea() - 1e-9);
        var largest = r.largest().orElseThrow();
        assertThat(largest.part().core().faceArea())
                .isGreaterThanOrEqualTo(smallest.part().core().faceArea());
    }

    @Test
    void anOpeningThatFitsNothingFindsNothing() {
        DesignSearch.Result r = search(0.10);
        assertThat(r.tried()).isZero();
        assertThat(r.front()).isEmpty();
        assertThat(r.smallest()).isEmpty();
    }

    @Test
    void canBeCancelled() {
        assertThatThrownBy(() -> DesignSearch.search(CAR, DemoCars.session(2), KNOWN, bounds(0.4), () -> true))
                .isInstanceOf(CancellationException.class);
    }

    @Test
    void theCatalogueIsInventedAndPricedByFace() {
        assertThat(CorePart.shipped()).hasSizeGreaterThan(40).allMatch(p -> p.price() > 20);
        assertThat(CorePart.shipped().stream().map(CorePart::number).distinct().count())
                .isEqualTo(CorePart.shipped().size());
    }
}
