package isotherm.core.whatif;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import isotherm.core.duty.Weather;
import isotherm.core.message.Measure;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Outlook;
import isotherm.core.simulate.Simulator;
import java.util.Comparator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Where a figure comes from: its value, its interval, what moves it. */
class ExplainedTest {
    private static final Car CAR = DemoCars.car();
    private static final Duty TRACK = DemoCars.session(6);
    private static final Design DESIGN = DemoCars.design(13, Place.LOWER_GRILLE_AHEAD);

    private static Explained of(Figure figure) {
        return Explained.of(figure, CAR, TRACK, DESIGN, Belief.prior()).orElseThrow();
    }

    private static double change(Explained e, Given given) {
        return e.moves().stream()
                .filter(m -> m.given() == given)
                .mapToDouble(Explained.Move::change)
                .findFirst()
                .orElse(0);
    }

    static Iterable<Figure> computed() {
        return Figure.computed();
    }

    @ParameterizedTest
    @MethodSource("computed")
    void everyComputedFigureHasItsIntervalAndSomethingThatMovesIt(Figure figure) {
        Explained e = of(figure);
        assertThat(e.value()).isBetween(e.low(), e.high());
        assertThat(e.moves())
                .isNotEmpty()
                .isSortedAccordingTo(Comparator.comparingDouble((Explained.Move m) -> Math.abs(m.change()))
                        .reversed());
    }

    @Test
    void thePeakIsThatOfItsSessionAndAsSureAsItsOutlook() {
        Explained e = of(Figure.PEAK);
        Outlook o = Outlook.of(CAR, TRACK, DESIGN, Belief.prior());
        assertThat(e.value()).isEqualTo(o.peakK());
        double width = o.quantile(0.9) - o.quantile(0.1);
        assertThat(e.high() - e.low()).isCloseTo(width, within(0.1 * width));
    }

    @Test
    void aMoveIsTheDifferenceOfTwoSessions() {
        Weather w = TRACK.weather();
        double warmer = Simulator.run(CAR, TRACK.withWeather(new Weather(w.ambientK() + 5, w.altitude())), DESIGN)
                .peak();
        Explained e = of(Figure.PEAK);
        assertThat(change(e, Given.AIR)).isCloseTo(warmer - e.value(), within(1e-9));
    }

    @Test
    void inputsMoveTheirFiguresTheWayThatTheyMust() {
        Explained peak = of(Figure.PEAK);
        assertThat(change(peak, Given.POWER)).isPositive();
        assertThat(change(peak, Given.ROWS)).isNegative();
        assertThat(change(peak, Given.SEALING)).isPositive();
        assertThat(change(peak, Given.SHADE)).isPositive();
        assertThat(change(of(Figure.LOOP_LOSS), Given.BORE)).isPositive();
        assertThat(change(of(Figure.LOOP_LOSS), Given.HOSE_LENGTH)).isPositive();
        assertThat(change(of(Figure.GALLERY_PRESSURE), Given.GAUGE)).isPositive();
        assertThat(change(of(Figure.FACE_SPEED), Given.SEALING)).isNegative();
    }

    @Test
    void oilThatTheLoopHoldsIsGeometryAndExact() {
        Explained e = of(Figure.ADDED_OIL);
        assertThat(e.high() - e.low()).isCloseTo(0, within(1e-12));
        assertThat(e.moves())
                .extracting(Explained.Move::given)
                .containsExactlyInAnyOrder(Given.ROWS, Given.WIDTH, Given.BORE, Given.HOSE_LENGTH);
    }

    @Test
    void whatADesignDoesNotHaveIsNotExplained() {
        assertThat(Explained.of(Figure.FACE_SPEED, CAR, TRACK, Design.NO_COOLER, Belief.prior()))
                .isEmpty();
        assertThat(Explained.of(Figure.PEAK, CAR, TRACK, Design.NO_COOLER, Belief.prior()))
                .hasValueSatisfying(e -> assertThat(e.moves())
                        .extracting(Explained.Move::given)
                        .contains(Given.AIR, Given.POWER)
                        .doesNotContain(Given.ROWS, Given.SEALING));
    }

    @Test
    void aFigureThatIsEnteredIsNotComputed() {
        assertThat(Figure.OIL_LIMIT.measure()).isEmpty();
        assertThat(Figure.computed()).contains(Figure.PEAK).doesNotContain(Figure.PRICE, Figure.TORQUE);
        assertThat(Figure.PEAK.measure()).contains(Measure.TEMPERATURE);
        assertThat(Explained.of(Figure.PRICE, CAR, TRACK, DESIGN, Belief.prior()))
                .isEmpty();
    }
}
