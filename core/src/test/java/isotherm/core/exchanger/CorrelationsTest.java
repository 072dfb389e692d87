package isotherm.core.exchanger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CorrelationsTest {
    private static final LouvredFin FIN =
            new LouvredFin(1.6e-3, 4.3e-3, 0.08e-3, 1.2e-3, 3.655e-3, 27, 7.7e-3, 3.4e-3, 50e-3);

    @ParameterizedTest
    @ValueSource(doubles = {0.1, 0.5, 1, 2, 5})
    void everyArrangementApproachesOneMinusExpForAVanishingCapacityRatio(double ntu) {
        double limit = 1 - Math.exp(-ntu);
        assertThat(Effectiveness.crossFlowUnmixed(ntu, 0)).isCloseTo(limit, within(1e-12));
        assertThat(Effectiveness.crossFlowUnmixed(ntu, 1e-6)).isCloseTo(limit, within(1e-4));
        assertThat(Effectiveness.counterFlow(ntu, 0)).isCloseTo(limit, within(1e-12));
        assertThat(Effectiveness.parallelFlow(ntu, 0)).isCloseTo(limit, within(1e-12));
    }

    @Test
    void closedFormsAtEqualCapacities() {
        assertThat(Effectiveness.counterFlow(3, 1)).isCloseTo(0.75, within(1e-9));
        assertThat(Effectiveness.counterFlow(3, 1 - 1e-7)).isCloseTo(0.75, within(1e-6));
        assertThat(Effectiveness.parallelFlow(100, 1)).isCloseTo(0.5, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"0.5, 0.5", "1, 0.25", "1, 1", "2, 0.75", "4, 1"})
    void crossFlowLiesBetweenParallelAndCounterFlow(double ntu, double ratio) {
        assertThat(Effectiveness.crossFlowUnmixed(ntu, ratio))
                .isBetween(Effectiveness.parallelFlow(ntu, ratio), Effectiveness.counterFlow(ntu, ratio));
    }

    /**
     * The exact series for cross-flow with both fluids unmixed, Mason, Proc. 2nd U.S. Nat. Congress of Applied Mechanics
     * (1954), against which the approximation is used.
     */
    @ParameterizedTest
    @CsvSource({"0.5, 0.3", "1.0, 0.50", "1.0, 1.00", "2.0, 0.50", "2.0, 1.00", "3.0, 0.75", "5, 0.2"})
    void crossFlowIsWithinTwoPercentOfTheExactSeries(double ntu, double ratio) {
        double sum = 0;
        double hot = 0;
        double cold = 0;
        double hotTerm = Math.exp(-ntu);
        double coldTerm = Math.exp(-ratio * ntu);
        for (int n = 0; n < 60; n++) {
            hot += hotTerm;
            cold += coldTerm;
            sum += (1 - hot) * (1 - cold);
            hotTerm *= ntu / (n + 1);
            coldTerm *= ratio * ntu / (n + 1);
        }
        double exact = sum / (ratio * ntu);
        assertThat(Effectiveness.crossFlowUnmixed(ntu, ratio)).isCloseTo(exact, within(0.02 * exact));
    }

    /**
     * Incropera and DeWitt, Fundamentals of Heat and Mass Transfer, example 11.1: engine oil at 0.1 kg/s from 100 to 60 °C
     * against water at 0.2 kg/s from 30 °C in counter-flow, UA from U = 37.8 W/m²K on 5.22 m² (π·25 mm·66.5 m).
     */
    @Test
    void counterFlowOilCoolerOfTheTextbook() {
        double oil = 0.1 * 2131;
        double water = 0.2 * 4178;
        double ua = 37.8 * Math.PI * 0.025 * 66.5;
        double heat = Effectiveness.counterFlow(ua / oil, oil / water) * oil * 70;
        assertThat(heat).isCloseTo(8524, within(60.0));
    }

    @Test
    void louvredFinFrictionJoinsItsTwoRangesWithoutAStep() {
        for (double edge : new double[] {30, 230}) {
            double below = FIN.friction(edge - 1e-6);
            assertThat(FIN.friction(edge + 1e-6)).isCloseTo(below, within(1e-5 * below));
        }
    }

    @Test
    void louvredFinHeatTransferFallsAndItsPressureLossRisesWithReynoldsNumber() {
        double j = Double.POSITIVE_INFINITY;
        double loss = 0;
        double f = Double.POSITIVE_INFINITY;
        for (double re = 1; re < 6000; re *= 1.07) {
            assertThat(FIN.colburn(re)).isPositive().isLessThan(j);
            assertThat(FIN.friction(re) * re * re).isGreaterThan(loss);
            // No boundary layer makes friction rise with Reynolds number.
            assertThat(FIN.friction(re)).isLessThanOrEqualTo(f);
            f = FIN.friction(re);
            j = FIN.colburn(re);
            loss = FIN.friction(re) * re * re;
        }
    }

    @Test
    void louvredFinHasTheUsualRatioOfFrictionToHeat() {
        for (double re : new double[] {200, 500, 1000, 3000}) {
            assertThat(FIN.colburn(re) / FIN.friction(re)).isBetween(0.12, 0.5);
        }
    }

    @Test
    void offsetStripFollowsItsAsymptotes() {
        OffsetStrip strip = new OffsetStrip(1.4e-3, 2.4e-3, 0.2e-3, 3e-3);
        double laminar = strip.colburn(20) / strip.colburn(10);
        assertThat(laminar).isCloseTo(Math.pow(2, -0.5403), within(1e-3));
        double laminarFriction = strip.friction(20) / strip.friction(10);
        assertThat(laminarFriction).isCloseTo(Math.pow(2, -0.7422), within(1e-3));
        double turbulent = strip.colburn(2e6) / strip.colburn(1e6);
        assertThat(turbulent).isCloseTo(Math.pow(2, -0.5403 + 0.1340), within(1e-3));
        double turbulentFriction = strip.friction(2e6) / strip.friction(1e6);
        assertThat(turbulentFriction).isCloseTo(Math.pow(2, -0.7422 + 0.4429), within(1e-3));
    }

    @ParameterizedTest
    @ValueSource(doubles = {1, 10, 100, 1000, 1500})
    void churchillIsPoiseuilleWhenLaminar(double re) {
        assertThat(TubeFlow.churchill(re, 1e-4)).isCloseTo(64 / re, within(64 / re * 1e-3));
    }

    /** Moody's chart: smooth at 10⁵, and ε/D = 0.001 at 10⁶. */
    @ParameterizedTest
    @CsvSource({"1e5, 0, 0.0180", "1e6, 0.001, 0.0199"})
    void churchillIsMoodyWhenTurbulent(double re, double roughness, double darcy) {
        assertThat(TubeFlow.churchill(re, roughness)).isCloseTo(darcy, within(0.03 * darcy));
    }

    @Test
    void aLongLaminarTubeHasTheNusseltNumberOfAConstantWallTemperature() {
        assertThat(TubeFlow.nusselt(500, 1, 1e-6)).isCloseTo(3.66, within(1e-3));
    }

    @ParameterizedTest
    @ValueSource(doubles = {2300, 4000})
    void nusseltHasNoStepBetweenItsRegimes(double re) {
        double below = TubeFlow.nusselt(re * (1 - 1e-9), 100, 0.03);
        assertThat(TubeFlow.nusselt(re * (1 + 1e-9), 100, 0.03)).isCloseTo(below, within(1e-5 * below));
    }

    @Test
    void plainFinTubesStayPositiveAndFall() {
        for (int rows = 1; rows <= 4; rows++) {
            PlainFinTubes tubes = new PlainFinTubes(9.74e-3, 19e-3, 16.5e-3, 2e-3, rows, 3e-3);
            double j = Double.POSITIVE_INFINITY;
            for (double re = 20; re < 20_000; re *= 1.2) {
                assertThat(tubes.friction(re)).isPositive();
                assertThat(tubes.colburn(re)).isPositive().isLessThan(j);
                j = tubes.colburn(re);
            }
        }
    }
}
