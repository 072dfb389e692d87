package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class PredictionTest {
    private static final Car CAR = DemoCars.car();
    private static final Duty TRACK = DemoCars.session(6);
    private static final Belief NO_DOUBT = new Belief(List.of(), new double[0], new double[0][], 0);
    private static final Design DESIGN = DemoCars.design(13, Place.GRILLE_AHEAD);

    @Test
    void theSameSeedGivesTheSameAnswerAndAnotherNearlyTheSame() {
        Prediction once = Prediction.of(CAR, TRACK, DESIGN, Belief.prior(), 200, 7);
        assertThat(Prediction.of(CAR, TRACK, DESIGN, Belief.prior(), 200, 7)).isEqualTo(once);
        Prediction other = Prediction.of(CAR, TRACK, DESIGN, Belief.prior(), 200, 8);
        assertThat(other.peakMedian()).isCloseTo(once.peakMedian(), within(3.0));
        assertThat(other.oddsUnderLimit()).isCloseTo(once.oddsUnderLimit(), within(0.08));
    }

    @Test
    void withoutSpreadTheIntervalShrinksToTheSession() {
        Prediction sure = Prediction.of(CAR, TRACK, DESIGN, NO_DOUBT, 10, 1);
        double peak = Simulator.run(CAR, TRACK, DESIGN).peak();
        assertThat(sure.peakLow()).isCloseTo(peak, within(1e-9));
        assertThat(sure.peakHigh()).isCloseTo(peak, within(1e-9));
    }

    @Test
    void moreSpreadIsAWiderInterval() {
        Prediction prior = Prediction.of(CAR, TRACK, DESIGN, Belief.prior(), 100, 3);
        Prediction narrow = Prediction.of(CAR, TRACK, DESIGN, half(), 100, 3);
        assertThat(narrow.peakHigh() - narrow.peakLow()).isLessThan(prior.peakHigh() - prior.peakLow());
        assertThat(prior.plateauLow()).isLessThan(prior.plateauHigh());
    }

    private static Belief half() {
        Belief prior = Belief.prior();
        double[] deviation = prior.deviation().clone();
        Arrays.setAll(deviation, i -> deviation[i] / 2);
        return new Belief(prior.factors(), deviation, prior.correlation(), prior.discrepancy() / 2);
    }

    @Test
    void whatTheModelLeavesOutIsAShareOfTheRise() {
        Belief onlyThat = new Belief(List.of(), new double[0], new double[0][], 0.02);
        Prediction p = Prediction.of(CAR, TRACK, DESIGN, onlyThat, 400, 3);
        double air = TRACK.weather().ambientK();
        double rise = Simulator.run(CAR, TRACK, DESIGN).peak() - air;
        // The 10 and 90 % quantiles of a normal distribution lie 1.2816 deviations out.
        assertThat(p.peakHigh() - air).isCloseTo(rise * Math.exp(0.02 * 1.2816), within(0.1));
        assertThat(p.peakLow() - air).isCloseTo(rise * Math.exp(-0.02 * 1.2816), within(0.1));
    }

    @Test
    void factorsThatMoveTogetherAndCancelLeaveLittleDoubt() {
        // More heat with more losses to match: a log can know their ratio and neither of them.
        List<Factor> both = List.of(Factor.HEAT, Factor.LOSSES);
        double[] deviation = {0.15, 0.15};
        Belief apart = new Belief(both, deviation, new double[][] {{1, 0}, {0, 1}}, 0);
        Belief together = new Belief(both, deviation, new double[][] {{1, 1}, {1, 1}}, 0);
        Prediction loose = Prediction.of(CAR, TRACK, Design.NO_COOLER, apart, 100, 3);
        Prediction tied = Prediction.of(CAR, TRACK, Design.NO_COOLER, together, 100, 3);
        assertThat(tied.peakHigh() - tied.peakLow()).isLessThan(loose.peakHigh() - loose.peakLow());
    }

    @Test
    void theRootOfACorrelationSquaresToIt() {
        double[][] correlation = {{1, 0.9999, 0.2}, {0.9999, 1, 0.2}, {0.2, 0.2, 1}};
        double[][] root =
                new Belief(List.of(Factor.HEAT, Factor.LOSSES, Factor.MASS), new double[3], correlation, 0).root();
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                double sum = 0;
                for (int k = 0; k < 3; k++) {
                    sum += root[i][k] * root[j][k];
                }
                assertThat(sum).isCloseTo(correlation[i][j], within(1e-9));
            }
        }
    }
}
