package isotherm.core.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.duty.Duty;
import isotherm.core.exchanger.Core;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.heat.HeatSchool;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.Hose;
import isotherm.core.message.Value;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Outlook;
import isotherm.core.simulate.PressureCheck;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Rules said once more, in the words of the job, and held against what they find. */
class RulesTest {
    private static final Car CAR = DemoCars.car();
    private static final Duty TRACK = DemoCars.session(6);
    private static final double EPSILON = 1e-6;

    private static Optional<Finding> find(Assessment a, Topic topic) {
        return Findings.of(a).stream().filter(f -> f.topic() == topic).findFirst();
    }

    private static Car hotCoolant(double share) {
        return CAR.withCoolant(CAR.coolant().withHeatShare(share));
    }

    private static int rows(Remedy r) {
        return r.design().cooler().orElseThrow().core().rows();
    }

    /** The coolant pays when the cooler warms it by more than 2 °C, over 103 °C; over 118 °C it boils, whoever is to blame. */
    @Test
    void theCoolantPays() {
        int pays = 0;
        int boils = 0;
        int neither = 0;
        for (double share = 0.4; share < 1.8; share += 0.07) {
            for (Place place : List.of(Place.GRILLE_AHEAD, Place.FRONT_CORNER_VENTED)) {
                Assessment a = Assessment.of(hotCoolant(share), TRACK, DemoCars.design(25, place));
                double with = a.session().peakCoolant();
                double rise = with - a.bare().peakCoolant();
                boolean blamed = rise > 2 && with > Units.kelvin(103);
                Optional<Finding> boil = find(a, Topic.COOLANT_BOILS);
                Optional<Finding> paid = find(a, Topic.COOLANT_PAYS);
                assertThat(boil.isPresent()).isEqualTo(with > Units.kelvin(118));
                assertThat(paid.isPresent()).isEqualTo(blamed && boil.isEmpty());
                for (Finding f :
                        List.of(boil, paid).stream().flatMap(Optional::stream).toList()) {
                    assertThat(f.severity()).isEqualTo(boil.isPresent() ? Severity.FAILS : Severity.RISK);
                    assertThat(f.what().figure("coolant")).isEqualTo(with, within(EPSILON));
                    assertThat(f.what().figure("rise")).isEqualTo(rise, within(EPSILON));
                    assertThat(f.why().figure("without")).isEqualTo(with - rise, within(EPSILON));
                    assertThat(f.remedy().isPresent()).isEqualTo(blamed && place == Place.GRILLE_AHEAD);
                    f.remedy().ifPresent(r -> {
                        Session moved = Simulator.run(a.car(), TRACK, r.design());
                        assertThat(r.effect().figure("after")).isEqualTo(moved.peakCoolant(), within(EPSILON));
                        assertThat(r.effect().figure("before")).isEqualTo(with, within(EPSILON));
                    });
                }
                pays += paid.isPresent() ? 1 : 0;
                boils += boil.isPresent() ? 1 : 0;
                neither += paid.isEmpty() && boil.isEmpty() ? 1 : 0;
            }
        }
        assertThat(List.of(pays, boils, neither)).allMatch(n -> n > 0);
    }

    @Test
    void aBoilingCoolantWithoutACoolerIsNotTheCoolers() {
        Finding f = find(Assessment.of(hotCoolant(1.8), TRACK, Design.NO_COOLER), Topic.COOLANT_BOILS)
                .orElseThrow();
        assertThat(f.what().figure("rise")).isZero();
        assertThat(f.remedy()).isEmpty();
    }

    /** Planned power is worth a word when today's stays under the limit and it does not; the remedy has the fewest rows that do. */
    @ParameterizedTest
    @ValueSource(doubles = {1.02, 1.15, 1.3, 1.6})
    void plannedPower(double factor) {
        Design design = DemoCars.design(10, Place.LOWER_GRILLE_AHEAD);
        double today = Simulator.run(CAR, TRACK, design).peak();
        double planned = CAR.engine().power() * factor;
        double then = Assessment.planned(CAR, TRACK, design, planned).peak();
        for (double limit : new double[] {today - 1, (today + then) / 2, then + 0.5}) {
            Car car = EdgesTest.limited(today - 5, limit);
            Optional<Finding> f =
                    find(Assessment.of(car, TRACK, design, OptionalDouble.of(planned)), Topic.PLANNED_POWER);
            assertThat(f.isPresent()).isEqualTo(today <= limit && then > limit);
            f.ifPresent(x -> {
                assertThat(x.what().figure("over")).isEqualTo(then - limit, within(EPSILON));
                assertThat(x.what().figure("bound")).isEqualTo(limit, within(EPSILON));
                Optional<Integer> enough = Arrays.stream(CorePart.ROWS)
                        .filter(n -> n > 10)
                        .boxed()
                        .filter(n -> Assessment.planned(car, TRACK, withRows(design, n), planned)
                                        .peak()
                                <= limit)
                        .findFirst();
                assertThat(x.remedy().map(RulesTest::rows)).isEqualTo(enough);
            });
        }
        assertThat(find(Assessment.of(CAR, TRACK, design), Topic.PLANNED_POWER)).isEmpty();
    }

    private static Design withRows(Design design, int rows) {
        return design.withCore(design.cooler().orElseThrow().core().withRows(rows));
    }

    /** More rows: the fewest that bring the peak into the band, or the most there are. */
    @ParameterizedTest
    @ValueSource(doubles = {1, 4, 12, 60})
    void moreRowsAreTheFewestThatDo(double wanted) {
        Design design = DemoCars.design(10, Place.LOWER_GRILLE_AHEAD)
                .withAirway(Airway.at(Place.LOWER_GRILLE_AHEAD, 0.03).withSealing(0.95));
        double now = Simulator.run(CAR, TRACK, design).peak();
        Car car = EdgesTest.limited(now - wanted, now - wanted / 2);
        Remedy r = find(Assessment.of(car, TRACK, design), Topic.TOO_HOT)
                .flatMap(Finding::remedy)
                .orElseThrow();
        List<Integer> larger =
                Arrays.stream(CorePart.ROWS).filter(n -> n > 10).boxed().toList();
        int expected = larger.stream()
                .filter(n -> Simulator.run(car, TRACK, withRows(design, n)).peak() <= now - wanted)
                .findFirst()
                .orElse(larger.get(larger.size() - 1));
        assertThat(rows(r)).isEqualTo(expected);
        assertThat(r.label().values()).containsEntry("rows", new Value.Count(expected));
        assertThat(r.effect().figure("after")).isEqualTo(r.peakK(), within(EPSILON));
    }

    /** An air path first, then rows on top of it. */
    @Test
    void sealingComesBeforeRows() {
        Design leaky = DemoCars.design(13, Place.LOWER_GRILLE_AHEAD)
                .withAirway(Airway.at(Place.LOWER_GRILLE_AHEAD, 0.03).withSealing(0.5));
        Design sealed = leaky.withAirway(leaky.cooler().orElseThrow().airway().withSealing(0.9));
        double now = Simulator.run(CAR, TRACK, leaky).peak();
        double then = Simulator.run(CAR, TRACK, sealed).peak();
        Remedy enough = remedy(EdgesTest.limited(then + 0.1, now + 50), leaky);
        assertThat(enough.label()).isEqualTo(Remedy.Kind.SEAL.say("label"));
        assertThat(enough.design()).isEqualTo(sealed);
        Remedy both = remedy(EdgesTest.limited(then - 1, now + 50), leaky);
        assertThat(both.label().key()).isEqualTo(Remedy.Kind.SEAL_AND_ROWS.key("label"));
        assertThat(rows(both)).isGreaterThan(13);
        Session climbing = Simulator.run(CAR, TRACK, leaky);
        Finding f = find(Assessment.of(EdgesTest.limited(then, now + 50), TRACK, leaky), Topic.TOO_HOT)
                .orElseThrow();
        assertThat(f.why().figure("rate")).isEqualTo(climbing.climbRate() / 60, within(1e-12));
    }

    private static Remedy remedy(Car car, Design design) {
        return find(Assessment.of(car, TRACK, design), Topic.TOO_HOT)
                .flatMap(Finding::remedy)
                .orElseThrow();
    }

    /** The first core is the smallest of the catalogue that brings the peak into the band, in the lower grille. */
    @ParameterizedTest
    @ValueSource(doubles = {3, 9, 16})
    void theFirstCoreIsTheSmallestThatDoes(double wanted) {
        double bare = Simulator.run(CAR, TRACK, Design.NO_COOLER).peak();
        Car car = EdgesTest.limited(bare - wanted, bare - wanted / 2);
        Remedy r = remedy(car, Design.NO_COOLER);
        assertThat(r.label().key()).isEqualTo(Remedy.Kind.FIRST_CORE.key("label"));
        Design.Cooler c = r.design().cooler().orElseThrow();
        assertThat(c.airway().place()).isEqualTo(Place.LOWER_GRILLE_AHEAD);
        assertThat(c.airway().sealing()).isEqualTo(0.9);
        assertThat(c.airway().shadedShare()).isEqualTo(0.1);
        int expected = Arrays.stream(CorePart.ROWS)
                .filter(n -> Simulator.run(car, TRACK, withRows(r.design(), n)).peak() <= bare - wanted)
                .findFirst()
                .orElse(CorePart.ROWS[CorePart.ROWS.length - 1]);
        assertThat(rows(r)).isEqualTo(expected);
    }

    /** The thinnest grade that ships and keeps 6 cSt at the peak. */
    @Test
    void aThickerGradeIsTheThinnestThatKeepsItsFilm() {
        Oil thin = Oil.grade("0W-20").orElseThrow();
        Design design = DemoCars.design(16, Place.LOWER_GRILLE_AHEAD).withOil(thin);
        Assessment a = Assessment.of(CAR.withSchool(new HeatSchool.ShareOfPower(0.16)), TRACK, design);
        double peak = a.session().peak();
        Finding f = find(a, Topic.THIN_FILM).orElseThrow();
        Oil expected = Oil.GRADES.stream()
                .filter(o -> o.kinematicViscosity(peak) >= 6e-6)
                .min(Comparator.comparingDouble(o -> o.kinematicViscosity(peak)))
                .orElseThrow();
        Remedy r = f.remedy().orElseThrow();
        assertThat(r.design().oil()).contains(expected);
        assertThat(r.effect().figure("before")).isEqualTo(thin.kinematicViscosity(peak), within(1e-12));
        assertThat(r.effect().figure("after")).isEqualTo(expected.kinematicViscosity(r.peakK()), within(1e-12));
    }

    /** Both hoses go up one size, and the pressure that is told is that of the same point. */
    @ParameterizedTest
    @CsvSource({"9e-3, 11.1e-3", "11.1e-3, 14.2e-3", "14.2e-3, 17.5e-3"})
    void widerHoses(double bore, double next) {
        Hose narrow = new Hose(bore, 2.5, 6);
        Design design = DemoCars.design(30, Place.LOWER_GRILLE_AHEAD);
        Design.Cooler f = design.cooler().orElseThrow();
        CoolerLoop loop = new CoolerLoop(narrow, narrow, 40, f.loop().thermostat(), 0);
        Design tight = new Design(
                Optional.of(new Design.Cooler(f.core(), f.airway(), loop, f.efficacy())),
                design.keepFactoryExchanger(),
                design.oil());
        Assessment a = Assessment.of(CAR, TRACK, tight);
        PressureCheck.Point worst = a.pressure().worst().orElseThrow();
        Finding found = find(a, Topic.PRESSURE).orElseThrow();
        assertThat(found.what().figure("pressure")).isEqualTo(worst.gallery(), within(EPSILON));
        assertThat(found.what().figure("floor")).isEqualTo(worst.floor(), within(EPSILON));
        assertThat(found.why().figure("speed")).isEqualTo(worst.rpm() / 60, within(EPSILON));
        Remedy r = found.remedy().orElseThrow();
        CoolerLoop wide = r.design().cooler().orElseThrow().loop();
        assertThat(wide.feed()).isEqualTo(new Hose(next, 2.5, 6));
        assertThat(wide.back()).isEqualTo(new Hose(next, 2.5, 6));
        double after = PressureCheck.of(CAR, r.design(), a.session().peak()).points().stream()
                .filter(p -> p.kind() == worst.kind())
                .findFirst()
                .orElseThrow()
                .gallery();
        assertThat(r.effect().figure("before")).isEqualTo(worst.gallery(), within(EPSILON));
        assertThat(r.effect().figure("after")).isEqualTo(after, within(EPSILON)).isNotEqualTo(worst.gallery());
    }

    /** What an intake behind the core loses is the rise over the air's own temperature. */
    @Test
    void anIntakeBehindTheCoreIsTold() {
        Design design = DemoCars.design(19, Place.GRILLE_AHEAD);
        Airway a = design.cooler().orElseThrow().airway();
        Airway behind = a.withIntakeBehind(true);
        Assessment told = Assessment.of(CAR, TRACK, design.withAirway(behind));
        double air = told.working().core().orElseThrow().rating().airOutK();
        double rise = air - DemoCars.DAY.ambientK();
        assertThat(rise).isGreaterThan(5);
        Finding f = find(told, Topic.INTAKE_HEATED).orElseThrow();
        assertThat(f.what().figure("rise")).isEqualTo(rise, within(EPSILON));
        assertThat(f.why().figure("less")).isEqualTo(rise / air, within(1e-12));
        assertThat(find(Assessment.of(CAR, TRACK, design), Topic.INTAKE_HEATED)).isEmpty();
    }

    @Test
    void aSensorBehindTheCoolerReadsAtMostSoMuchLess() {
        Car car = CAR.withSensor(Car.SensorPlace.GALLERY);
        Assessment a = Assessment.of(car, TRACK, DemoCars.design(19, Place.LOWER_GRILLE_AHEAD));
        Session s = a.session();
        double most = 0;
        for (int i = 0; i < s.demand().cells(); i++) {
            most = Math.max(most, s.oil()[i] - s.at(Car.SensorPlace.GALLERY, i));
        }
        assertThat(find(a, Topic.SENSOR).orElseThrow().what().figure("less")).isEqualTo(most, within(EPSILON));
    }

    @Test
    void leakingAirCostsWhatSealingWouldBring() {
        Design leaky = DemoCars.design(16, Place.LOWER_GRILLE_AHEAD)
                .withAirway(Airway.at(Place.LOWER_GRILLE_AHEAD, 0.03).withSealing(0.5));
        Assessment a = Assessment.of(CAR, TRACK, leaky);
        Finding f = find(a, Topic.LEAKY).orElseThrow();
        double sealed = f.remedy().orElseThrow().peakK();
        assertThat(f.why().figure("gain"))
                .isEqualTo(a.session().peak() - sealed, within(EPSILON))
                .isPositive();
    }

    /** The fewest rows that still hold take the oil of so many rows away. */
    @Test
    void fewerRowsThatStillHold() {
        Design many = DemoCars.design(58, Place.LOWER_GRILLE_AHEAD);
        double now = Simulator.run(CAR, TRACK, many).peak();
        Car easy = EdgesTest.limited(now + 6, now + 40);
        Finding f = find(Assessment.of(easy, TRACK, many), Topic.ROWS_SATED).orElseThrow();
        int expected = Arrays.stream(CorePart.ROWS)
                .filter(n -> n < 58)
                .filter(n -> Simulator.run(easy, TRACK, withRows(many, n)).peak() <= now + 6)
                .findFirst()
                .orElseThrow();
        Remedy r = f.remedy().orElseThrow();
        assertThat(rows(r)).isEqualTo(expected);
        Core small = r.design().cooler().orElseThrow().core();
        assertThat(r.effect().figure("after")).isEqualTo(small.holdUp(), within(1e-12));
    }

    /** Every cheap change of the air that is open to a design, and none that is not. */
    @ParameterizedTest
    @CsvSource({
        "0.2, 0.6, LOWER_GRILLE_AHEAD, false, CLEAR_SHADE SEAL SEAL_AND_CLEAR FAN",
        "0.2, 0.95, LOWER_GRILLE_AHEAD, false, CLEAR_SHADE FAN",
        "0.05, 0.6, LOWER_GRILLE_AHEAD, false, SEAL FAN",
        "0.05, 0.95, LOWER_GRILLE_AHEAD, false, FAN",
        "0.05, 0.95, FRONT_CORNER_CLOSED, false, VENT_LINER FAN",
        "0.2, 0.6, LOWER_GRILLE_AHEAD, true, CLEAR_SHADE SEAL SEAL_AND_CLEAR"
    })
    void whatIsTriedFirst(double shade, double sealing, Place place, boolean fan, String kinds) {
        Airway a = Airway.at(place, 0.03).withShade(shade).withSealing(sealing);
        Design d = DemoCars.design(16, place)
                .withThermostat(Optional.empty())
                .withAirway(fan ? a.withFan(Optional.of(DemoCars.fan())) : a);
        double peak = Simulator.run(CAR, TRACK, d).peak();
        double bare = Simulator.run(CAR, TRACK, Design.NO_COOLER).peak();
        // Each that brings anything at all is enough for a target just under today's peak.
        Car car = EdgesTest.limited(Math.min(peak - 1e-9, bare), peak + 50);
        Verdict v = Verdict.of(Assessment.of(car, TRACK, d));
        List<String> expected = new ArrayList<>();
        for (String kind : kinds.split(" ")) {
            expected.add(Remedy.Kind.valueOf(kind).key("label"));
        }
        List<String> told = v.options().stream().map(r -> r.label().key()).toList();
        assertThat(expected).containsAll(told);
        for (String kind : kinds.split(" ")) {
            boolean helps = !kind.equals("FAN") || told.contains(Remedy.Kind.FAN.key("label"));
            if (helps) {
                assertThat(told).contains(Remedy.Kind.valueOf(kind).key("label"));
            }
        }
        assertThat(v.what().key()).isEqualTo("verdict." + v.kind().name() + ".what");
    }

    private static Verdict.Kind bareKind(double targetK) {
        return Verdict.of(Assessment.of(EdgesTest.limited(targetK, targetK + 40), TRACK, Design.NO_COOLER))
                .kind();
    }

    /** The five answers lie between the odds that are wanted, six in ten, four in ten and the rest of what is wanted. */
    @Test
    void theNeedGoesByOddsAndForPlannedPowerFromTheEdgeOn() {
        Outlook bare = Outlook.of(CAR, TRACK, Design.NO_COOLER, Belief.prior());
        assertThat(bareKind(bare.quantile(0.805))).isEqualTo(Verdict.Kind.NOT_NEEDED);
        assertThat(bareKind(bare.quantile(0.795))).isEqualTo(Verdict.Kind.PROBABLY_NOT);
        assertThat(bareKind(bare.quantile(0.605))).isEqualTo(Verdict.Kind.PROBABLY_NOT);
        assertThat(bareKind(bare.quantile(0.595))).isEqualTo(Verdict.Kind.CANNOT_TELL);
        assertThat(bareKind(bare.quantile(0.405))).isEqualTo(Verdict.Kind.CANNOT_TELL);
        assertThat(bareKind(bare.quantile(0.395))).isEqualTo(Verdict.Kind.PROBABLY_NEEDED);
        assertThat(bareKind(bare.quantile(0.205))).isEqualTo(Verdict.Kind.PROBABLY_NEEDED);
        assertThat(bareKind(bare.quantile(0.195))).isEqualTo(Verdict.Kind.NEEDED);
        double planned = CAR.engine().power() * 2;
        double then = Assessment.planned(CAR, TRACK, Design.NO_COOLER, planned).peak();
        assertThat(then).isGreaterThan(bare.quantile(0.85));
        for (double over : new double[] {-0.1, 0.1}) {
            Car car = EdgesTest.limited(then - over, then + 40);
            Verdict v = Verdict.of(Assessment.of(car, TRACK, Design.NO_COOLER, OptionalDouble.of(planned)));
            assertThat(v.kind()).isEqualTo(over > 0 ? Verdict.Kind.NEEDED_FOR_PLANNED : Verdict.Kind.NOT_NEEDED);
        }
    }
}
