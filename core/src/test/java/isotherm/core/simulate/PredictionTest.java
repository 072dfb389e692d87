package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.duty.Duty;
import org.junit.jupiter.api.Test;

class PredictionTest {
    private static final Car CAR = DemoCars.car();
    private static final Duty TRACK = DemoCars.session(6);
    private static final Design DESIGN = DemoCars.design(13, Place.GRILLE_AHEAD);

    @Test
    void theSameSeedGivesTheSameAnswerAndAnotherNearlyTheSame() {
        Prediction once = Prediction.of(CAR, TRACK, DESIGN, Prediction.Spread.PRIOR, 200, 7);
        assertThat(Prediction.of(CAR, TRACK, DESIGN, Prediction.Spread.PRIOR, 200, 7))
                .isEqualTo(once);
        Prediction other = Prediction.of(CAR, TRACK, DESIGN, Prediction.Spread.PRIOR, 200, 8);
        assertThat(other.peakMedian()).isCloseTo(once.peakMedian(), within(1.5));
        assertThat(other.oddsUnderLimit()).isCloseTo(once.oddsUnderLimit(), within(0.08));
    }

    @Test
    void withoutSpreadTheIntervalShrinksToTheSession() {
        Prediction sure = Prediction.of(CAR, TRACK, DESIGN, new Prediction.Spread(0, 0, 0, 0), 10, 1);
        double peak = Simulator.run(CAR, TRACK, DESIGN).peak();
        assertThat(sure.peakLow()).isCloseTo(peak, within(1e-9));
        assertThat(sure.peakHigh()).isCloseTo(peak, within(1e-9));
    }

    @Test
    void moreSpreadIsAWiderInterval() {
        Prediction prior = Prediction.of(CAR, TRACK, DESIGN, Prediction.Spread.PRIOR, 100, 3);
        Prediction half = Prediction.of(CAR, TRACK, DESIGN, new Prediction.Spread(0.06, 0.075, 0.06, 0.1), 100, 3);
        assertThat(half.peakHigh() - half.peakLow()).isLessThan(prior.peakHigh() - prior.peakLow());
        assertThat(prior.plateauLow()).isLessThan(prior.plateauHigh());
    }
}
