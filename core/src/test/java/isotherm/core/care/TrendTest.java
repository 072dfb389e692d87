package isotherm.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.fluid.Oil;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Figures over time: the line through them, and what an oil's grade says of its last one. */
class TrendTest {
    private static final Instant START = Instant.parse("2026-01-01T12:00:00Z");
    private static final Oil OIL = Oil.grade("5W-40").orElseThrow();

    private final List<CareEntry> entries = new ArrayList<>();

    private void read(int day, CareEntry.Kind kind, Map<CareFigure, Double> figures) {
        add(day, kind, "", OptionalDouble.empty(), figures);
    }

    private void add(int day, CareEntry.Kind kind, String on, OptionalDouble hours, Map<CareFigure, Double> figures) {
        entries.add(new CareEntry(
                UUID.randomUUID(),
                START.plus(day, ChronoUnit.DAYS),
                "Ada",
                kind,
                on,
                OptionalDouble.empty(),
                hours,
                "",
                figures,
                Optional.empty()));
    }

    private List<Trend> trends() {
        return Trend.of(new CareBook(List.of(), LocalDate.EPOCH, OptionalDouble.empty(), entries), OIL);
    }

    private Trend trend(CareFigure figure) {
        return trends().stream().filter(t -> t.figure() == figure).findFirst().orElseThrow();
    }

    private static List<String> keys(Trend t) {
        return t.notes().stream().map(n -> n.key().split("\\.")[1]).toList();
    }

    @Test
    void aStraightLineHasItsSlope() {
        for (int day : new int[] {0, 73, 146, 365}) {
            read(day, CareEntry.Kind.OIL_ANALYSIS, Map.of(CareFigure.IRON, 10 + 40 * day / 365.0));
        }
        Trend iron = trend(CareFigure.IRON);
        assertThat(iron.perYear().orElseThrow()).isCloseTo(40, within(1e-9));
        assertThat(keys(iron)).containsExactly("SLOPE");
        assertThat(iron.points()).hasSize(4);
    }

    @Test
    void twoReadingsAreNoTrend() {
        read(0, CareEntry.Kind.DASH, Map.of(CareFigure.OIL_PEAK, 390.0));
        read(30, CareEntry.Kind.DASH, Map.of(CareFigure.OIL_PEAK, 395.0));
        assertThat(trend(CareFigure.OIL_PEAK).perYear()).isEmpty();
        assertThat(trend(CareFigure.OIL_PEAK).notes()).isEmpty();
    }

    @Test
    void viscosityIsHeldAgainstTheGradeAndTheFreshOil() {
        double fresh = OIL.kv100Cst() * 1e-6;
        read(0, CareEntry.Kind.OIL_ANALYSIS, Map.of(CareFigure.VISCOSITY_100, fresh));
        assertThat(keys(trend(CareFigure.VISCOSITY_100))).containsExactly("VISCOSITY_LEFT");
        read(10, CareEntry.Kind.OIL_ANALYSIS, Map.of(CareFigure.VISCOSITY_100, 12.4e-6));
        assertThat(keys(trend(CareFigure.VISCOSITY_100))).containsExactly("VISCOSITY_LEFT", "UNDER_GRADE");
        read(20, CareEntry.Kind.OIL_ANALYSIS, Map.of(CareFigure.VISCOSITY_100, 16.3e-6));
        assertThat(keys(trend(CareFigure.VISCOSITY_100))).contains("OVER_GRADE");
    }

    @Test
    void everyGradeThatShipsLiesInItsOwnBandWhenFresh() {
        for (Oil oil : Oil.GRADES) {
            entries.clear();
            read(0, CareEntry.Kind.OIL_ANALYSIS, Map.of(CareFigure.VISCOSITY_100, oil.kv100Cst() * 1e-6));
            assertThat(Trend.of(new CareBook(List.of(), LocalDate.EPOCH, OptionalDouble.empty(), entries), oil)
                            .get(0)
                            .notes())
                    .as(oil.name())
                    .hasSize(1);
        }
    }

    @Test
    void freshOilBeginsAnew() {
        for (int day : new int[] {0, 10, 20}) {
            read(day, CareEntry.Kind.OIL_ANALYSIS, Map.of(CareFigure.IRON, 10.0 + day));
        }
        assertThat(trend(CareFigure.IRON).perYear()).isPresent();
        add(25, CareEntry.Kind.DONE, "oil", OptionalDouble.empty(), Map.of());
        add(26, CareEntry.Kind.DRIVEN, "", OptionalDouble.of(3), Map.of());
        read(30, CareEntry.Kind.OIL_ANALYSIS, Map.of(CareFigure.IRON, 2.0));
        Trend iron = trend(CareFigure.IRON);
        assertThat(iron.perYear()).as("one reading in this oil").isEmpty();
        assertThat(iron.points().get(3).oilHours()).isEqualTo(3);
    }

    @Test
    void muchFuelAndAnyWaterAreTold() {
        read(0, CareEntry.Kind.OIL_ANALYSIS, Map.of(CareFigure.FUEL, 0.039, CareFigure.WATER, 0.001));
        assertThat(trend(CareFigure.FUEL).notes()).isEmpty();
        assertThat(trend(CareFigure.WATER).notes()).isEmpty();
        read(1, CareEntry.Kind.OIL_ANALYSIS, Map.of(CareFigure.FUEL, 0.05, CareFigure.WATER, 0.003));
        assertThat(keys(trend(CareFigure.FUEL))).containsExactly("FUEL_THINS");
        assertThat(keys(trend(CareFigure.WATER))).containsExactly("WATER_THERE");
    }
}
