package isotherm.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.LogDuty;
import isotherm.core.duty.Trailer;
import isotherm.core.heat.HeatSchool;
import isotherm.core.message.Value;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Factor;
import isotherm.core.simulate.Prediction;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LogFitTest {
    private static final Car CAR = DemoCars.car();

    private record Made(LogDuty log, double[] oilK, double[] coolantK) {}

    /** A log of a car whose heat and losses are not those that are assumed. */
    private static Made made(double heat, double losses, Design design, long seed) {
        DemandTrace d = DemoCars.session(12).demand(CAR.vehicle(), CAR.engine());
        Car truth = CAR.withSchool(new HeatSchool.Fitted(CAR.school(), heat))
                .withLosses(new Car.PassiveLosses(
                        CAR.losses().still() * losses,
                        CAR.losses().moving() * losses,
                        CAR.losses().block() * losses,
                        CAR.losses().metal()));
        Session s = Simulator.run(truth, d, DemoCars.DAY, design, Duty.Start.WARM.oilK(), Duty.Start.WARM.coolantK());
        Random random = new Random(seed);
        int n = d.cells();
        double[] oil = new double[n];
        double[] coolant = new double[n];
        for (int i = 0; i < n; i++) {
            oil[i] = s.oil()[i] + 0.5 * random.nextGaussian();
            coolant[i] = s.coolant()[i] + 0.5 * random.nextGaussian();
            if (random.nextInt(50) == 0) {
                oil[i] = Double.NaN;
            }
        }
        return new Made(DemoCars.log(d, Duty.Start.WARM, DemoCars.DAY), oil, coolant);
    }

    private static LogFit.Estimate of(LogFit.Result r, Factor p) {
        return r.estimates().stream()
                .filter(e -> e.parameter() == p)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theTrueFactorsLieWithinThreeStandardErrors() {
        Made made = made(1.15, 0.9, Design.NO_COOLER, 3);
        LogFit.Result r = LogFit.fit(CAR, Design.NO_COOLER, made.log(), made.oilK(), Optional.empty());
        LogFit.Estimate heat = of(r, Factor.HEAT);
        LogFit.Estimate sump = of(r, Factor.SUMP);
        LogFit.Estimate block = of(r, Factor.BLOCK);
        assertThat(Math.abs(heat.factor() - 1.15)).isLessThan(3 * heat.standardError());
        assertThat(Math.abs(sump.factor() - 0.9)).isLessThan(3 * sump.standardError());
        assertThat(Math.abs(block.factor() - 0.9)).isLessThan(3 * block.standardError());
        assertThat(heat.standardError()).isLessThan(heat.prior());
        assertThat(r.rms()).isLessThan(1.0);
        assertThat(Arrays.stream(r.residuals()).average().orElseThrow()).isBetween(-0.3, 0.3);
    }

    @Test
    void theFittedCarRepeatsTheLogAndPredictsAnotherDay() {
        Made made = made(1.2, 1.0, Design.NO_COOLER, 5);
        LogFit.Result r = LogFit.fit(CAR, Design.NO_COOLER, made.log(), made.oilK(), Optional.empty());
        double before = Simulator.run(CAR, made.log(), Design.NO_COOLER).peak();
        double after = Simulator.run(r.car(), made.log(), Design.NO_COOLER).peak();
        double logged =
                Arrays.stream(made.oilK()).filter(Double::isFinite).max().orElseThrow();
        assertThat(Math.abs(after - logged)).isLessThan(2.5).isLessThan(Math.abs(before - logged));
    }

    @Test
    void saysWhatItCannotTellApart() {
        Design cooled = DemoCars.design(16, Place.GRILLE_AHEAD);
        Made made = made(1.1, 1.0, cooled, 7);
        LogFit.Result r = LogFit.fit(CAR, cooled, made.log(), made.oilK(), Optional.empty());
        assertThat(r.estimates()).hasSize(14);
        assertThat(r.notes())
                .anySatisfy(w -> assertThat(w.key()).isIn(FitNote.TIED.key("text"), FitNote.LITTLE.key("text")));
        for (int i = 0; i < 14; i++) {
            assertThat(r.correlation()[i][i]).isCloseTo(1, within(1e-9));
            for (int j = 0; j < 14; j++) {
                assertThat(r.correlation()[i][j])
                        .isBetween(-1.0 - 1e-9, 1.0 + 1e-9)
                        .isCloseTo(r.correlation()[j][i], within(1e-9));
            }
        }
    }

    @Test
    void theGallerysPressureTeachesTheBearings() {
        Car worn = Factor.BEARINGS.scale(CAR, 0.8);
        DemandTrace d = DemoCars.session(12).demand(CAR.vehicle(), CAR.engine());
        Session s = Simulator.run(
                worn, d, DemoCars.DAY, Design.NO_COOLER, Duty.Start.WARM.oilK(), Duty.Start.WARM.coolantK());
        LogDuty log = DemoCars.log(d, Duty.Start.WARM, DemoCars.DAY);
        SessionEvidence session = LogFit.session(CAR, Design.NO_COOLER, log, s.oil(), Optional.empty());
        LogFit.Estimate untold = of(LogFit.fit(CAR, log, session, List.of()), Factor.HEAT);
        assertThat(session.add(LogChannel.PRESSURE, log, s.pressure())).isGreaterThan(50);
        LogFit.Result r = LogFit.fit(CAR, log, session, List.of());
        LogFit.Estimate bearings = of(r, Factor.BEARINGS);
        assertThat(bearings.factor()).isCloseTo(0.8, within(3 * bearings.standardError()));
        assertThat(bearings.standardError()).isLessThan(0.3 * bearings.prior());
        assertThat(r.car().gauge().pascal())
                .isCloseTo(bearings.factor() * CAR.gauge().pascal(), within(1.0));
        assertThat(of(r, Factor.HEAT).factor()).as("and bends nothing else").isCloseTo(untold.factor(), within(0.02));
    }

    @Test
    void gapsAreBridgedAndSaid() {
        Made made = made(1.0, 1.0, Design.NO_COOLER, 9);
        LogDuty l = made.log();
        int[] keep = java.util.stream.IntStream.range(0, l.time().length)
                .filter(i -> i < 300 || i > 330)
                .toArray();
        LogDuty gapped = new LogDuty(
                pick(l.time(), keep),
                pick(l.speed(), keep),
                pick(l.rpm(), keep),
                pick(l.brakePower(), keep),
                new double[0],
                new double[0],
                Trailer.NONE,
                l.start(),
                l.weather());
        LogFit.Result r = LogFit.fit(CAR, Design.NO_COOLER, gapped, pick(made.oilK(), keep), Optional.empty());
        assertThat(gapped.gaps()).hasSize(1);
        assertThat(r.notes()).anySatisfy(w -> assertThat(w.values().get("gaps")).isEqualTo(new Value.Count(1)));
        assertThat(of(r, Factor.HEAT).factor()).isBetween(0.9, 1.1);
    }

    private static double[] pick(double[] values, int[] rows) {
        return Arrays.stream(rows).mapToDouble(i -> values[i]).toArray();
    }

    @Test
    void tooShortALogIsRefusedWithTheReason() {
        LogDuty tiny = new LogDuty(
                new double[] {0, 30},
                new double[] {20, 20},
                new double[0],
                new double[0],
                new double[0],
                new double[0],
                Trailer.NONE,
                Duty.Start.WARM,
                DemoCars.DAY);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> LogFit.fit(CAR, Design.NO_COOLER, tiny, new double[] {360, 361}, Optional.empty()))
                .withMessageContaining("200 s");
    }

    @Test
    void aLoggedCoolantTemperatureTeachesTheHeatThatGoesIntoIt() {
        Car truth = CAR.withCoolant(CAR.coolant().withHeatShare(0.5 * 1.3));
        Session s = Simulator.run(truth, DemoCars.session(12), Design.NO_COOLER);
        DemandTrace d = s.demand();
        LogDuty log = DemoCars.log(d, Duty.Start.WARM, DemoCars.DAY);
        LogFit.Result r = LogFit.fit(CAR, Design.NO_COOLER, log, s.oil(), Optional.of(s.coolant()));
        LogFit.Estimate coolant = of(r, Factor.COOLANT);
        assertThat(coolant.factor()).isCloseTo(1.3, within(0.1));
        assertThat(coolant.standardError()).isLessThan(0.6 * coolant.prior());
        assertThat(of(r, Factor.HEAT).factor()).isCloseTo(1, within(0.05));
    }

    @Test
    void whatALogHasTaughtNarrowsThePrediction() {
        Design cooled = DemoCars.design(16, Place.GRILLE_AHEAD);
        Made made = made(1.1, 1.0, Design.NO_COOLER, 11);
        LogFit.Result r = LogFit.fit(CAR, Design.NO_COOLER, made.log(), made.oilK(), Optional.empty());
        Prediction before = Prediction.of(CAR, DemoCars.session(8), Design.NO_COOLER, Belief.prior(), 400, 1);
        Prediction after = Prediction.of(r.car(), DemoCars.session(8), Design.NO_COOLER, r.belief(), 400, 1);
        assertThat(after.peakHigh() - after.peakLow()).isLessThan(0.3 * (before.peakHigh() - before.peakLow()));
        // The cooler is still unknown: its own priors stay.
        Prediction fitted = Prediction.of(r.car(), DemoCars.session(8), cooled, r.belief(), 400, 1);
        assertThat(fitted.peakHigh() - fitted.peakLow()).isGreaterThan(after.peakHigh() - after.peakLow());
    }

    @Test
    void aFactorThatNobodyWouldBelieveIsPointedOut() {
        Made wrongUnits = made(2.5, 1.0, Design.NO_COOLER, 21);
        assertThat(LogFit.fit(CAR, Design.NO_COOLER, wrongUnits.log(), wrongUnits.oilK(), Optional.empty())
                        .notes())
                .anySatisfy(w -> assertThat(w.key()).isEqualTo(FitNote.FAR.key("text")));
        Made usual = made(1.1, 1.0, Design.NO_COOLER, 22);
        assertThat(LogFit.fit(CAR, Design.NO_COOLER, usual.log(), usual.oilK(), Optional.empty())
                        .notes())
                .noneSatisfy(w -> assertThat(w.key()).isEqualTo(FitNote.FAR.key("text")));
    }
}
