package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Odds in closed form. */
class OutlookTest {
    private static final Car CAR = DemoCars.car();
    private static final Duty TRACK = DemoCars.session(6);
    private static final Design COOLED = DemoCars.design(16, Place.LOWER_GRILLE_AHEAD);

    private static Outlook of(Design design) {
        return Outlook.of(CAR, TRACK, design, Belief.prior());
    }

    @Test
    void agreesWithSamplesOfWholeSessions() {
        for (Design design : List.of(Design.NO_COOLER, COOLED)) {
            Outlook o = of(design);
            Prediction p = Prediction.of(CAR, TRACK, design, Belief.prior(), 400, 5);
            double width = p.peakHigh() - p.peakLow();
            assertThat(o.quantile(0.1)).isCloseTo(p.peakLow(), within(0.15 * width));
            assertThat(o.quantile(0.9)).isCloseTo(p.peakHigh(), within(0.15 * width));
            assertThat(o.oddsUnder(CAR.limits().limitK())).isCloseTo(p.oddsUnderLimit(), within(0.08));
        }
    }

    @Test
    void quantilesAndOddsAreEachOthersInverse() {
        Outlook o = of(COOLED);
        for (double share : new double[] {0.05, 0.3, 0.5, 0.9}) {
            assertThat(o.oddsUnder(o.quantile(share))).isCloseTo(share, within(1e-9));
        }
        assertThat(o.quantile(0.5)).isCloseTo(o.peakK(), within(1e-9));
        assertThat(o.peakK()).isCloseTo(Simulator.run(CAR, TRACK, COOLED).peak(), within(1e-9));
        assertThat(o.oddsUnder(o.airK())).isZero();
        // A design whose most likely peak is this stays under 390 K nine times in ten.
        double likely = o.likelyUnder(390, 0.9);
        assertThat(new Outlook(o.airK(), likely, o.slopes(), o.spread()).oddsUnder(390))
                .isCloseTo(0.9, within(1e-9));
    }

    @Test
    void theSpreadIsThatOfASum() {
        double[] slopes = {0.03, 0.04};
        assertThat(Outlook.spread(slopes, new double[][] {{1, 0}, {0, 1}}, 0)).isCloseTo(0.05, within(1e-12));
        assertThat(Outlook.spread(slopes, new double[][] {{1, 1}, {1, 1}}, 0)).isCloseTo(0.07, within(1e-12));
        assertThat(Outlook.spread(slopes, new double[][] {{1, -1}, {-1, 1}}, 0.12))
                .isCloseTo(Math.hypot(0.01, 0.12), within(1e-12));
    }

    @Test
    void onlyWhatIsThereCanBeUnsure() {
        Belief b = Belief.prior();
        Outlook bare = of(Design.NO_COOLER);
        for (Factor f : List.of(Factor.EFFICACY, Factor.AIR, Factor.OPENING, Factor.AHEAD)) {
            assertThat(bare.slopes()[b.factors().indexOf(f)]).as(f.name()).isZero();
        }
        assertThat(of(COOLED).slopes()[b.factors().indexOf(Factor.AIR)]).isNegative();
        assertThat(bare.slopes()[b.factors().indexOf(Factor.HEAT)]).isPositive();
    }
}
