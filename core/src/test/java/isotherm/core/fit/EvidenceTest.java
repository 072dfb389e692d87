package isotherm.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.MeasuredPressure;
import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.LogDuty;
import isotherm.core.duty.TrackDuty;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Factor;
import isotherm.core.simulate.Outlook;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Everything that can be read on a car is evidence of the same kind, used together. */
class EvidenceTest {
    private static final Car CAR = DemoCars.car();
    private static final TrackDuty DAY = DemoCars.session(10);
    private static final Design BARE = Design.NO_COOLER;
    private static final Design COOLED = DemoCars.design(13, Place.LOWER_GRILLE_AHEAD);
    private static final List<Factor> ALL = List.of(
            Factor.HEAT,
            Factor.SCHOOL,
            Factor.SUMP,
            Factor.BLOCK,
            Factor.MASS,
            Factor.COOLANT,
            Factor.RADIATOR,
            Factor.SENSOR,
            Factor.EFFICACY,
            Factor.AIR,
            Factor.OPENING);

    private static Learning.Learned learned(Evidence... evidence) {
        return Learning.from(CAR, ALL, List.of(evidence));
    }

    private static double spread(Belief belief, Car car, Design design) {
        return Outlook.of(car, DAY, design, Belief.after(belief)).spread();
    }

    private static double factor(Learning.Learned l, Factor f) {
        return l.factors()[ALL.indexOf(f)];
    }

    private static double deviation(Learning.Learned l, Factor f) {
        return l.belief().deviation()[ALL.indexOf(f)];
    }

    private static DashReading dash(Car truth, Design design) {
        return new DashReading(design, DAY, Simulator.run(truth, DAY, design).peak(), DashReading.ERROR);
    }

    @Test
    void oneLookAtTheDashTakesMostOfTheDoubtAway() {
        Car hot = Factor.HEAT.scale(CAR, 1.25);
        Learning.Learned l = learned(dash(hot, BARE));
        double truth = Simulator.run(hot, DAY, BARE).peak();
        assertThat(Simulator.run(l.car(), DAY, BARE).peak()).isCloseTo(truth, within(2.0));
        assertThat(spread(l.belief(), l.car(), BARE)).isLessThan(0.35 * spread(Belief.prior(), CAR, BARE));
        assertThat(factor(l, Factor.HEAT)).isBetween(1.0, 1.25);
    }

    @Test
    void twoReadingsBeforeAndAfterTellTheCoolerFromTheCar() {
        Car truth = Factor.AIR.scale(Factor.HEAT.scale(CAR, 1.1), 0.6);
        Learning.Learned before = learned(dash(truth, BARE));
        Learning.Learned both = learned(dash(truth, BARE), dash(truth, COOLED));
        assertThat(factor(both, Factor.AIR)).isLessThan(0.9);
        assertThat(factor(both, Factor.AIR) * factor(both, Factor.EFFICACY))
                .isLessThan(factor(before, Factor.AIR) * factor(before, Factor.EFFICACY) - 0.1);
        assertThat(spread(both.belief(), both.car(), COOLED)).isLessThan(spread(before.belief(), before.car(), COOLED));
    }

    @Test
    void aMakersHeatFigureTeachesTheEfficacyAndNothingElse() {
        Core core = COOLED.cooler().orElseThrow().core();
        HeatRating asked = new HeatRating(core, CAR.oil(), 30 / 60e3, 393, 8, 298, Double.NaN);
        double heat = asked.expected(Factor.EFFICACY.scale(CAR, 0.85)).values()[0];
        Learning.Learned l = learned(new HeatRating(core, CAR.oil(), 30 / 60e3, 393, 8, 298, heat));
        // Six per cent of the figure's own error leave it between what was believed and what it says.
        assertThat(factor(l, Factor.EFFICACY)).isBetween(0.85, 0.93);
        assertThat(deviation(l, Factor.EFFICACY)).isLessThan(0.8 * Factor.EFFICACY.spread());
        assertThat(factor(l, Factor.HEAT)).isCloseTo(1, within(1e-6));
    }

    @Test
    void aCoreIsFittedToItsMakersFigures() {
        Core core = COOLED.cooler().orElseThrow().core();
        List<HeatRating> points = Stream.of(20, 40)
                .map(flow -> new HeatRating(core, CAR.oil(), flow / 60e3, 393, 8, 298, Double.NaN))
                .toList();
        List<HeatRating> figures = points.stream()
                .map(p -> with(p, p.expected(Factor.EFFICACY.scale(CAR, 0.9)).values()[0]))
                .toList();
        assertThat(HeatRating.efficacy(figures).orElseThrow()).isCloseTo(0.9 * CoreModel.EFFICACY, within(1e-6));
        // Of two that do not agree the mean counts.
        HeatRating more = with(figures.get(0), 1.1 * figures.get(0).heat());
        assertThat(HeatRating.efficacy(List.of(figures.get(1), more)).orElseThrow())
                .isBetween(0.9 * CoreModel.EFFICACY, 1.1 * CoreModel.EFFICACY);
        assertThat(HeatRating.efficacy(
                        List.of(with(figures.get(0), 10 * figures.get(0).heat()))))
                .isEmpty();
        HeatRating cold = new HeatRating(core, CAR.oil(), 30 / 60e3, 293, 0.5, 318, 250);
        assertThat(HeatRating.efficacy(List.of(cold)))
                .as("oil colder than the air")
                .isEmpty();
    }

    private static HeatRating with(HeatRating p, double heat) {
        return new HeatRating(p.core(), p.oil(), p.oilFlow(), p.oilInK(), p.faceSpeed(), p.airInK(), heat);
    }

    @Test
    void aPressureAcrossTheCoreTeachesHowMuchAirArrives() {
        var cooler = COOLED.cooler().orElseThrow();
        CorePressure asked = new CorePressure(Design.with(cooler), DAY.weather(), new MeasuredPressure(Double.NaN, 28));
        double pascal = asked.expected(Factor.AIR.scale(CAR, 0.7)).values()[0];
        Learning.Learned l =
                learned(new CorePressure(Design.with(cooler), DAY.weather(), new MeasuredPressure(pascal, 28)));
        assertThat(factor(l, Factor.AIR)).isCloseTo(0.7, within(0.06));
        assertThat(deviation(l, Factor.AIR)).isLessThan(0.6 * Factor.AIR.spread());
    }

    private static SessionEvidence logged(Car truth, Design design, LogChannel... channels) {
        Session s = Simulator.run(truth, DAY, design);
        DemandTrace d = s.demand();
        LogDuty log = DemoCars.log(d, DAY.start(), DAY.weather());
        SessionEvidence e = new SessionEvidence(CAR, design, log);
        for (LogChannel c : channels) {
            double[] values = new double[d.cells()];
            Arrays.setAll(values, i -> c.of(new LogChannel.Logged(s, truth, Optional.empty()), i));
            e.add(c, log, values);
        }
        return e;
    }

    @Test
    void oilIntoAndOutOfASmallCoolerSaysMostAboutALargerOne() {
        Car truth = Factor.EFFICACY.scale(Factor.HEAT.scale(CAR, 1.15), 0.85);
        Design small = DemoCars.design(7, Place.LOWER_GRILLE_AHEAD).withThermostat(Optional.empty());
        Learning.Learned oil = learned(logged(truth, BARE, LogChannel.OIL));
        Learning.Learned through =
                learned(logged(truth, small, LogChannel.COOLER_IN, LogChannel.COOLER_OUT, LogChannel.COOLANT));
        assertThat(spread(through.belief(), through.car(), COOLED))
                .isLessThan(0.8 * spread(oil.belief(), oil.car(), COOLED));
        assertThat(Simulator.run(through.car(), DAY, COOLED).peak())
                .isCloseTo(Simulator.run(truth, DAY, COOLED).peak(), within(3.0));
    }

    @Test
    void whatAMeasurementIsWorthBeforehandIsWhatItLeavesAfterwards() {
        for (Design design : List.of(BARE, COOLED)) {
            Outlook now = Outlook.of(CAR, DAY, design, Belief.prior());
            List<NextMeasurement.Worth> worths = NextMeasurement.of(CAR, DAY, design, Belief.prior());
            List<Double> widths = new ArrayList<>();
            for (NextMeasurement.Worth w : worths) {
                widths.add(w.highK() - w.lowK());
                assertThat(w.oddsToTell()).isBetween(0.0, 1.0);
                assertThat(w.highK()).isLessThanOrEqualTo(now.quantile(0.9) + 0.5);
            }
            assertThat(widths).isSorted();
            double promised = width(worths, NextMeasurement.Kind.OIL_LOG);
            Learning.Learned l = learned(logged(CAR, BARE, LogChannel.OIL));
            double left = Outlook.of(l.car(), DAY, design, Belief.after(l.belief()))
                            .quantile(0.9)
                    - Outlook.of(l.car(), DAY, design, Belief.after(l.belief())).quantile(0.1);
            assertThat(promised).isCloseTo(left, within(0.3 * left));
            assertThat(width(worths, NextMeasurement.Kind.OIL_AND_COOLANT_LOG)).isLessThanOrEqualTo(promised + 1e-9);
            assertThat(promised).isLessThan(width(worths, NextMeasurement.Kind.DASH));
        }
        assertThat(NextMeasurement.of(CAR, DAY, COOLED, Belief.prior()).get(0).kind())
                .isEqualTo(NextMeasurement.Kind.IN_AND_OUT_LOG);
        assertThat(NextMeasurement.of(CAR, DAY, BARE, Belief.prior()))
                .noneMatch(w -> w.kind() == NextMeasurement.Kind.CORE_PRESSURE);
    }

    private static double width(List<NextMeasurement.Worth> worths, NextMeasurement.Kind kind) {
        return worths.stream()
                .filter(w -> w.kind() == kind)
                .mapToDouble(w -> w.highK() - w.lowK())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatWasReadIsExpectedOfTheCarThatItWasReadOn() {
        Duty same = DAY;
        DashReading own = dash(CAR, COOLED);
        assertThat(own.expected(CAR).values()[0]).isCloseTo(own.shownK(), within(1e-9));
        assertThat(own.expected(CAR).rise()[0])
                .isCloseTo(own.shownK() - same.weather().ambientK(), within(1e-9));
        Learning.Learned l = learned(own);
        assertThat(l.residuals()[0][0]).isCloseTo(0, within(0.01));
        assertThat(factor(l, Factor.HEAT)).isCloseTo(1, within(1e-3));
    }

    @Test
    void aLogOfThePressureAcrossTheCoreTeachesTheAir() {
        Car leaky = Factor.AIR.scale(CAR, 0.7);
        DemandTrace d = DAY.demand(CAR.vehicle(), CAR.engine());
        Session s = Simulator.run(leaky, DAY, d, COOLED);
        LogDuty log = DemoCars.log(d, Duty.Start.WARM, DemoCars.DAY);
        CoreAir air = new CoreAir(leaky, COOLED, DAY.weather());
        double[] pascal = new double[d.cells()];
        Arrays.setAll(pascal, i -> air.at(s, i));
        SessionEvidence without = LogFit.session(CAR, COOLED, log, s.oil(), Optional.empty());
        LogFit.Estimate before = air(LogFit.fit(CAR, log, without, List.of()));
        SessionEvidence with = LogFit.session(CAR, COOLED, log, s.oil(), Optional.empty());
        assertThat(with.add(LogChannel.CORE_AIR, log, pascal)).isGreaterThan(40);
        LogFit.Estimate after = air(LogFit.fit(CAR, log, with, List.of()));
        assertThat(after.factor()).isCloseTo(0.7, within(3 * after.standardError()));
        assertThat(after.standardError()).isLessThan(0.5 * before.standardError());
    }

    private static LogFit.Estimate air(LogFit.Result r) {
        return r.estimates().stream()
                .filter(e -> e.parameter() == Factor.AIR)
                .findFirst()
                .orElseThrow();
    }

    /** Readings of a model that comes nearer with each look at it: no search comes to rest on them. */
    private static final class Restless implements Evidence {
        private int looks;

        @Override
        public Expected expected(Car car) {
            double[] values = new double[40];
            double away = 30 * Math.exp(-looks++ / 500.0);
            Arrays.setAll(values, i -> 390 + away + 0.1 * car.losses().still() * Math.sin(i));
            return new Expected(values, new double[40]);
        }

        @Override
        public double[] observed() {
            double[] values = new double[40];
            Arrays.fill(values, 390);
            return values;
        }

        @Override
        public double[] deviation() {
            double[] values = new double[40];
            Arrays.fill(values, 0.01);
            return values;
        }
    }

    @Test
    void aSearchThatDoesNotSettleGivesItsBestPointAndSaysSo() {
        Learning.Learned restless = learned(new Restless());
        assertThat(restless.converged()).isFalse();
        assertThat(restless.factors()).doesNotContain(Double.NaN);
        assertThat(restless.belief().deviation()).doesNotContain(Double.NaN, 0.0);
        assertThat(learned(dash(CAR, BARE)).converged()).isTrue();
    }
}
