package isotherm.core.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Airways;
import isotherm.core.airflow.Fan;
import isotherm.core.airflow.MeasuredPressure;
import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.Ports;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Message;
import isotherm.core.message.Value;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Outlook;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What each rule says on either side of its threshold, and with which figures. */
class EdgesTest {
    private static final Car CAR = DemoCars.car();
    private static final Duty TRACK = DemoCars.session(6);
    private static final Design BASE = DemoCars.design(16, Place.LOWER_GRILLE_AHEAD);
    private static final double EPSILON = 1e-6;

    private static Optional<Finding> find(Car car, Design design, Topic topic) {
        return Findings.of(Assessment.of(car, TRACK, design)).stream()
                .filter(f -> f.topic() == topic)
                .findFirst();
    }

    private static Optional<Finding> find(Design design, Topic topic) {
        return find(CAR, design, topic);
    }

    private static Design air(UnaryOperator<Airway> change) {
        return BASE.withAirway(change.apply(BASE.cooler().orElseThrow().airway()));
    }

    private static double peak(Design design) {
        return Simulator.run(CAR, TRACK, design).peak();
    }

    /** The demo car with other limits, K. */
    static Car limited(double targetK, double limitK) {
        return limited(targetK, limitK, Car.Limits.SURE);
    }

    private static Car limited(double targetK, double limitK, double sure) {
        return with(new Car.Limits(Units.kelvin(60), targetK, limitK, sure, Car.Limits.COLDEST));
    }

    private static Car with(Car.Limits limits) {
        return new Car(
                CAR.engine(),
                CAR.school(),
                CAR.oil(),
                CAR.oilVolume(),
                CAR.vehicle(),
                CAR.pump(),
                CAR.gauge(),
                CAR.losses(),
                CAR.coolant(),
                CAR.factoryExchanger(),
                CAR.sensor(),
                limits,
                CAR.correction());
    }

    private static void chosen(Message m, String name, String choice) {
        assertThat(m.values().get(name)).isEqualTo(new Value.Choice(choice));
    }

    private static Airway measured(Airway a) {
        return Airways.measured(a, new MeasuredPressure(300, 40));
    }

    @Test
    void tooHotBeginsBehindTheTargetAndFailsBehindTheLimit() {
        double peak = peak(BASE);
        assertThat(find(limited(peak, peak + 50), BASE, Topic.TOO_HOT)).isEmpty();
        Finding risk = find(limited(peak - 1, peak), BASE, Topic.TOO_HOT).orElseThrow();
        assertThat(risk.severity()).isEqualTo(Finding.Severity.RISK);
        chosen(risk.what(), "fails", "no");
        assertThat(risk.what().figure("over")).isEqualTo(1, within(EPSILON));
        assertThat(risk.what().figure("bound")).isEqualTo(peak - 1, within(EPSILON));
        Finding fails = find(limited(peak - 10, peak - 2), BASE, Topic.TOO_HOT).orElseThrow();
        assertThat(fails.severity()).isEqualTo(Finding.Severity.FAILS);
        chosen(fails.what(), "fails", "yes");
        assertThat(fails.what().figure("over")).isEqualTo(2, within(EPSILON));
        assertThat(fails.what().figure("bound")).isEqualTo(peak - 2, within(EPSILON));
        assertThat(fails.what().figure("peak")).isEqualTo(peak, within(EPSILON));
        assertThat(fails.why().figure("viscosity")).isEqualTo(CAR.oil().kinematicViscosity(peak));
        chosen(fails.why(), "climbing", Simulator.run(CAR, TRACK, BASE).climbRate() > 0.5 ? "yes" : "no");
    }

    /** The temperature under which a design stays with some odds, by what is believed of any car, K. */
    private static double under(Design design, double odds) {
        return Outlook.of(CAR, TRACK, design, Belief.prior()).quantile(odds);
    }

    @Test
    void itIsGoodOnceItIsAsSureAsIsWanted() {
        double sure = under(BASE, 0.8);
        Finding little =
                find(limited(sure - 0.01, sure + 9), BASE, Topic.MARGINAL).orElseThrow();
        assertThat(little.what().figure("spare")).isEqualTo(sure + 9 - peak(BASE), within(EPSILON));
        assertThat(little.why().figure("inBand")).isEqualTo(0.8, within(0.001));
        assertThat(little.remedy().orElseThrow().label().key()).isEqualTo(Remedy.Kind.MORE_ROWS.key("label"));
        assertThat(find(limited(sure + 0.01, sure + 9), BASE, Topic.MARGINAL)).isEmpty();
        Finding holds = find(limited(sure + 0.01, sure + 9), BASE, Topic.HOLDS).orElseThrow();
        Car surer = limited(sure + 0.01, sure + 9, 0.9);
        assertThat(find(surer, BASE, Topic.MARGINAL))
                .as("who wants to be surer")
                .isPresent();
        Session s = Simulator.run(CAR, TRACK, BASE);
        assertThat(holds.why().figure("peak")).isEqualTo(s.peak(), within(EPSILON));
        assertThat(holds.why().figure("plateau")).isEqualTo(s.plateau(), within(EPSILON));
        assertThat(holds.severity()).isEqualTo(Finding.Severity.GOOD);
        assertThat(holds.remedy()).isEmpty();
    }

    @Test
    void aCarThatSurelyHoldsWithoutOneNeedsNoCooler() {
        double bare = peak(Design.NO_COOLER);
        double sure = under(Design.NO_COOLER, 0.8);
        Finding fitted =
                find(limited(sure + 0.01, sure + 30), BASE, Topic.NOT_NEEDED).orElseThrow();
        assertThat(fitted.what().figure("odds")).isEqualTo(0.8, within(0.001));
        assertThat(fitted.severity()).isEqualTo(Finding.Severity.RISK);
        assertThat(fitted.what().figure("peak")).isEqualTo(bare, within(EPSILON));
        Remedy out = fitted.remedy().orElseThrow();
        assertThat(out.design().cooler()).isEmpty();
        assertThat(out.peakK()).isEqualTo(bare, within(EPSILON));
        assertThat(out.effect().figure("after")).isEqualTo(bare, within(EPSILON));
        assertThat(out.effect().figure("before")).isEqualTo(peak(BASE), within(EPSILON));
        assertThat(find(limited(sure - 0.01, sure + 30), BASE, Topic.NOT_NEEDED))
                .isEmpty();
        Finding none = find(limited(sure + 0.01, sure + 30), Design.NO_COOLER, Topic.NOT_NEEDED)
                .orElseThrow();
        assertThat(none.severity()).isEqualTo(Finding.Severity.GOOD);
        assertThat(none.remedy()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0.33, false", "0.34, true"})
    void shadeIsWorthAWordFromAThirdOn(double shade, boolean said) {
        Optional<Finding> f = find(air(a -> a.withShade(shade)), Topic.SHADED);
        assertThat(f.isPresent()).isEqualTo(said);
        f.ifPresent(x -> {
            assertThat(x.what().figure("shade")).isEqualTo(shade);
            Design clear = air(a -> a.withShade(0.1));
            assertThat(x.remedy().orElseThrow().design()).isEqualTo(clear);
            assertThat(x.why().figure("gain"))
                    .isEqualTo(peak(air(a -> a.withShade(shade))) - peak(clear), within(EPSILON));
        });
    }

    @ParameterizedTest
    @CsvSource({"0.70, false", "0.69, true"})
    void anOpeningLeaksBelowSevenTenths(double sealing, boolean said) {
        Optional<Finding> f = find(air(a -> a.withSealing(sealing)), Topic.LEAKY);
        assertThat(f.isPresent()).isEqualTo(said);
        f.ifPresent(x -> {
            assertThat(x.what().figure("sealing")).isEqualTo(sealing);
            assertThat(x.remedy().orElseThrow().design()).isEqualTo(air(a -> a.withSealing(0.9)));
        });
        assertThat(find(air(a -> measured(a.withSealing(sealing))), Topic.LEAKY))
                .as("it was measured")
                .isEmpty();
    }

    @Test
    void theWayOutIsAskedForWhereItWasNotMeasured() {
        Design closed = DemoCars.design(16, Place.FRONT_CORNER_CLOSED);
        Finding f = find(closed, Topic.NO_WAY_OUT).orElseThrow();
        Airway a = closed.cooler().orElseThrow().airway();
        assertThat(f.what().figure("pressure")).isEqualTo(a.cpOut());
        assertThat(f.remedy()
                        .orElseThrow()
                        .design()
                        .cooler()
                        .orElseThrow()
                        .airway()
                        .place())
                .isEqualTo(Place.FRONT_CORNER_VENTED);
        assertThat(find(closed.withAirway(measured(a)), Topic.NO_WAY_OUT)).isEmpty();
        assertThat(find(DemoCars.design(16, Place.FRONT_CORNER_VENTED), Topic.NO_WAY_OUT))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"99.9, false, no", "100.1, true, no", "114.9, true, no", "115, true, yes"})
    void aThermostatOpensFifteenDegreesUnderTheTargetOrEarlier(double opens, boolean said, String above) {
        Design d = BASE.withThermostat(Optional.of(OilThermostat.opening(Units.kelvin(opens))));
        Optional<Finding> f = find(d, Topic.THERMOSTAT_HIGH);
        assertThat(f.isPresent()).isEqualTo(said);
        f.ifPresent(x -> {
            chosen(x.what(), "above", above);
            assertThat(x.what().figure("opens")).isEqualTo(Units.kelvin(opens), within(EPSILON));
            assertThat(x.what().figure("target")).isEqualTo(Units.kelvin(115), within(EPSILON));
            assertThat(x.remedy().orElseThrow().label().figure("opens")).isEqualTo(Units.kelvin(95), within(EPSILON));
        });
    }

    @Test
    void oneThermostatIsRecommendedEverywhere() {
        Design free = BASE.withThermostat(Optional.empty());
        double asked = find(free, Topic.NO_THERMOSTAT)
                .orElseThrow()
                .remedy()
                .orElseThrow()
                .label()
                .figure("opens");
        assertThat(asked).isEqualTo(Units.kelvin(95), within(EPSILON));
        OilThermostat first = find(limited(Units.kelvin(115), Units.kelvin(130)), Design.NO_COOLER, Topic.TOO_HOT)
                .flatMap(Finding::remedy)
                .flatMap(r -> r.design().cooler())
                .flatMap(c -> c.loop().thermostat())
                .orElseThrow();
        assertThat(first.opensK()).isEqualTo(asked, within(EPSILON));
    }

    @Test
    void withoutAThermostatTheColdRoadIsWhatTheRemedyIsFor() {
        Design free = BASE.withThermostat(Optional.empty());
        Finding f = find(free, Topic.NO_THERMOSTAT).orElseThrow();
        Session road = Assessment.road(CAR, TRACK, free);
        assertThat(f.remedy().orElseThrow().effect().key()).isEqualTo(Remedy.Effect.COLD_ROAD.key("text"));
        assertThat(f.remedy().orElseThrow().effect().figure("before"))
                .isEqualTo(road.oil()[road.oil().length - 1], within(EPSILON));
        Session after = Assessment.road(CAR, TRACK, f.remedy().orElseThrow().design());
        assertThat(f.remedy().orElseThrow().effect().figure("after"))
                .isEqualTo(after.oil()[after.oil().length - 1], within(EPSILON));
        double warm = road.timeTo(Units.kelvin(65));
        chosen(f.what(), "warms", Double.isFinite(warm) ? "yes" : "no");
        assertThat(f.what().figure("time")).isEqualTo(Double.isFinite(warm) ? warm : 0, within(EPSILON));
        assertThat(find(BASE, Topic.NO_THERMOSTAT)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"1, NOTE, no", "2, RISK, yes"})
    void trappedAirIsWorseInADoublePass(int passes, Finding.Severity severity, String twice) {
        Core c = BASE.cooler().orElseThrow().core();
        Core down =
                new Core(c.construction(), c.rows(), c.width(), c.depth(), passes, c.finish(), Ports.DOWN, c.detail());
        Finding f = find(BASE.withCore(down), Topic.AIR_TRAPPED).orElseThrow();
        assertThat(f.severity()).isEqualTo(severity);
        chosen(f.why(), "twice", twice);
        assertThat(f.what().figure("volume")).isEqualTo(down.holdUp());
        assertThat(f.remedy()
                        .orElseThrow()
                        .design()
                        .cooler()
                        .orElseThrow()
                        .core()
                        .ports())
                .isEqualTo(Ports.UP);
        assertThat(find(BASE, Topic.AIR_TRAPPED)).isEmpty();
    }

    @Test
    void aFanIsOfferedOnlyWhereItIsEnough() {
        double still = peak(BASE);
        Design fanned = BASE.withAirway(BASE.cooler().orElseThrow().airway().withFan(Optional.of(Fan.TYPICAL)));
        double moved = peak(fanned);
        assertThat(still - moved).as("worth a word").isGreaterThan(2);
        Finding f = find(limited(moved + 0.1, moved + 60), BASE, Topic.FAN).orElseThrow();
        assertThat(f.what().figure("gain")).isEqualTo(still - moved, within(EPSILON));
        assertThat(find(limited(moved - 0.1, moved + 60), BASE, Topic.FAN))
                .as("not enough")
                .isEmpty();
        assertThat(find(limited(still + 1, still + 60), BASE, Topic.FAN))
                .as("not needed")
                .isEmpty();
        assertThat(find(limited(moved + 0.1, moved + 60), fanned, Topic.FAN))
                .as("there already")
                .isEmpty();
    }

    @Test
    void moreRowsAreSatedBelowOneDegree() {
        Design many = DemoCars.design(58, Place.LOWER_GRILLE_AHEAD);
        double now = peak(many);
        int more = 58 + 14;
        double gain =
                now - peak(many.withCore(many.cooler().orElseThrow().core().withRows(more)));
        Car easy = limited(now + 0.5, now + 40);
        Optional<Finding> f = find(easy, many, Topic.ROWS_SATED);
        assertThat(gain).isLessThan(1);
        assertThat(f).hasValueSatisfying(x -> {
            assertThat(x.what().figure("gain")).isEqualTo(gain, within(EPSILON));
            assertThat(x.what().values().get("rows")).isEqualTo(new Value.Count(14));
            x.remedy().ifPresent(r -> {
                assertThat(r.peakK()).isLessThanOrEqualTo(now + 0.5);
                assertThat(r.effect().figure("after")).isLessThan(r.effect().figure("before"));
            });
        });
        Design few = DemoCars.design(16, Place.LOWER_GRILLE_AHEAD);
        assertThat(find(limited(peak(few) + 0.5, peak(few) + 40), few, Topic.ROWS_SATED))
                .as("a quarter more rows still helps")
                .isEmpty();
        assertThat(find(limited(now - 1, now + 40), many, Topic.ROWS_SATED))
                .as("it is too hot")
                .isEmpty();
    }

    /** SAE J300: a 5W oil pumps down to −35 °C. */
    @ParameterizedTest
    @CsvSource({"-35, false", "-35.1, true"})
    void anOilIsTooThickBelowWhatItsWinterGradePromises(double coldest, boolean said) {
        Car.Limits l = CAR.limits();
        Car cold = with(new Car.Limits(l.targetLowK(), l.targetHighK(), l.limitK(), l.sure(), Units.kelvin(coldest)));
        Optional<Finding> f = find(cold, BASE, Topic.TOO_THICK);
        assertThat(f.isPresent()).isEqualTo(said);
        f.ifPresent(x -> {
            assertThat(x.severity()).isEqualTo(Finding.Severity.FAILS);
            assertThat(x.what().figure("bound")).isEqualTo(Units.kelvin(-35), within(EPSILON));
            assertThat(x.remedy().orElseThrow().design().oil().orElseThrow().name())
                    .isEqualTo("0W-20");
        });
    }

    @ParameterizedTest
    @CsvSource({"SUMP, false", "PLATE_INLET, false", "PLATE_OUTLET, true", "GALLERY, true"})
    void aSensorBehindTheCoolerMisleads(Car.SensorPlace place, boolean said) {
        Optional<Finding> f = find(CAR.withSensor(place), BASE, Topic.SENSOR);
        assertThat(f.isPresent()).isEqualTo(said);
        f.ifPresent(x -> assertThat(x.what().figure("less")).isPositive());
        assertThat(find(CAR.withSensor(place), Design.NO_COOLER, Topic.SENSOR)).isEmpty();
    }
}
