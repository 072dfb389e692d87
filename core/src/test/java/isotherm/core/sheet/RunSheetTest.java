package isotherm.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Airways;
import isotherm.core.airflow.Fan;
import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.Ports;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Message;
import isotherm.core.message.Value;
import isotherm.core.nose.Placement;
import isotherm.core.parts.Accessory;
import isotherm.core.parts.End;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Joint;
import isotherm.core.plumb.Planner;
import isotherm.core.plumb.Plumbing;
import isotherm.core.plumb.Plumbings;
import isotherm.core.route.Bay;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.PressureCheck;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The steps follow the design: what it needs is on the sheet, in the order of the work, and nothing else. */
class RunSheetTest {
    private static final Car CAR = DemoCars.car();
    private static final Design DESIGN = DemoCars.design(13, Place.GRILLE_AHEAD);

    static RunSheet sheet(Design design, Optional<Placement> placement, Optional<Plumbing> plumbing) {
        return RunSheet.of(new Job(CAR, design, placement, plumbing, false, Job.LEAST_CRANK));
    }

    static RunSheet plumbed(Ports ports, HoseType.Family family, List<Accessory> accessories) {
        Core core = Plumbings.core(ports, 1);
        return sheet(
                DESIGN.withCore(core),
                Optional.empty(),
                Optional.of(Plumbings.plan(core, Plumbings.choice(family, accessories))));
    }

    static List<String> ids(RunSheet sheet) {
        return sheet.steps().stream().map(Step::id).toList();
    }

    static Step step(RunSheet sheet, String id) {
        return sheet.steps().stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
    }

    private static String words(RunSheet sheet) {
        return sheet.steps().stream().map(Step::what).toList().toString();
    }

    @ParameterizedTest
    @EnumSource(HoseType.Family.class)
    void everyStageComesOnceInTheOrderOfTheWorkWithOneNameForEachStep(HoseType.Family family) {
        RunSheet sheet = plumbed(Ports.UP, family, List.of());
        assertThat(ids(sheet)).doesNotHaveDuplicates();
        assertThat(sheet.steps()).isSortedAccordingTo((a, b) -> a.stage().compareTo(b.stage()));
        assertThat(EnumSet.copyOf(sheet.steps().stream().map(Step::stage).toList()))
                .isEqualTo(EnumSet.allOf(Stage.class));
        assertThat(sheet.steps()).allSatisfy(s -> {
            assertThat(s.what().key()).startsWith("step.").endsWith(".what");
            assertThat(s.why().key()).as(s.id()).isEqualTo(s.what().key().replace(".what", ".why"));
            assertThat(s.figures()).allSatisfy(f -> assertThat(f.from().key()).startsWith("figureSource."));
        });
    }

    @Test
    void heatIsOnlyForPushOnHose() {
        assertThat(ids(plumbed(Ports.UP, HoseType.Family.PUSH_ON, List.of())))
                .contains("bench-feed-heat", "bench-return-heat", "bench-feed-clamps");
        RunSheet push = plumbed(Ports.UP, HoseType.Family.PUSH_ON, List.of());
        assertThat(step(push, "bench-feed-heat").timer()).isBetween(90.0, 120.0);
        assertThat(ids(push).indexOf("bench-feed-clamps"))
                .as("clamps go on first")
                .isLessThan(ids(push).indexOf("bench-feed-heat"));
        for (HoseType.Family other :
                List.of(HoseType.Family.BRAIDED_RUBBER, HoseType.Family.PTFE, HoseType.Family.SWAGED)) {
            assertThat(ids(plumbed(Ports.UP, other, List.of()))).noneMatch(id -> id.endsWith("-heat"));
        }
    }

    @Test
    void madeUpLinesAreMeasuredAndNotCut() {
        List<String> ids = ids(plumbed(Ports.UP, HoseType.Family.SWAGED, List.of()));
        assertThat(ids).contains("bench-feed-measure", "bench-return-measure").noneMatch(id -> id.endsWith("-cut"));
    }

    @Test
    void tapeIsOnlyForTaperThreads() {
        assertThat(words(plumbed(Ports.UP, HoseType.Family.BRAIDED_RUBBER, List.of())))
                .doesNotContain("PTFE tape")
                .contains("never tape");
        Core core = Plumbings.core(Ports.UP, 1);
        Plumbing taper = Planner.byBay(
                Plumbings.STAND,
                Plumbings.BAY,
                core,
                Plumbings.at(0, 0.4, 0.2, 0),
                new End(Joint.TAPER, "1/2", false),
                Plumbings.choice(HoseType.Family.BRAIDED_RUBBER, List.of()),
                Plumbings.PARTS,
                false,
                () -> false);
        RunSheet sheet = sheet(DESIGN.withCore(core), Optional.empty(), Optional.of(taper));
        assertThat(sheet.steps())
                .filteredOn(s -> s.what().toString().contains("PTFE tape"))
                .isNotEmpty()
                .allMatch(s -> s.what().toString().contains("taper"));
    }

    @Test
    void coreIsFilledBeforehandOnlyWhereItsPortsPointDown() {
        RunSheet down = plumbed(Ports.DOWN, HoseType.Family.BRAIDED_RUBBER, List.of());
        assertThat(ids(down)).contains("prefill-core").doesNotContain("fill-loop");
        assertThat(ids(down).indexOf("prefill-core")).isLessThan(ids(down).indexOf("line-feed-first-1"));
        assertThat(ids(plumbed(Ports.UP, HoseType.Family.BRAIDED_RUBBER, List.of())))
                .doesNotContain("prefill-core");
    }

    @Test
    void cutLengthsAndTorquesAreThoseOfThePlumbing() {
        Core core = Plumbings.core(Ports.UP, 1);
        Plumbing plan = Plumbings.plan(core, Plumbings.choice(HoseType.Family.BRAIDED_RUBBER, List.of()));
        RunSheet sheet = sheet(DESIGN.withCore(core), Optional.empty(), Optional.of(plan));
        Step.Figure cut = step(sheet, "bench-feed-cut").figures().get(0);
        assertThat((cut.low() + cut.high()) / 2)
                .isEqualTo(plan.feed().cut().orElseThrow().cut(), within(1e-9));
        assertThat(sheet.steps().stream()
                        .filter(s -> s.id().matches("line-(feed|return)-(first|last)-\\d"))
                        .count())
                .isEqualTo(plan.made().size());
        assertThat(sheet.steps())
                .filteredOn(s -> s.what().toString().contains("flare"))
                .isNotEmpty()
                .allSatisfy(s -> assertThat(s.figures().get(0).source()).isEqualTo(Step.Source.PUBLISHED));
        assertThat(step(sheet, "takeoff-fit").figures().get(0).source())
                .as("figures met in practice are not the maker's")
                .isEqualTo(Step.Source.ESTIMATE);
    }

    @Test
    void mountsAndWhatIsFittedToThemAreNamed() {
        Placement.Mount rivet = new Placement.Mount(0, 0, 9e-3, Placement.Method.RIVET_NUT, true);
        Placement.Mount bolt = new Placement.Mount(0.1, 0, 6.5e-3, Placement.Method.BOLT, true);
        Placement placed = new Placement(0, 0.4, 0.2, 0, true, true, true, List.of(rivet, bolt, bolt));
        RunSheet sheet = sheet(DESIGN, Optional.of(placed), Optional.empty());
        assertThat(step(sheet, "mount-drill").what().values())
                .containsEntry("holes", new Value.Count(3))
                .containsEntry("rivets", new Value.Choice("yes"));
        assertThat(step(sheet, "mount-drill").figures())
                .extracting(Step.Figure::low)
                .containsExactly(9e-3, 6.5e-3);
        assertThat(ids(sheet)).contains("mount-shroud", "mount-skid-plate", "bench-by-hand");
        assertThat(ids(sheet(DESIGN, Optional.empty(), Optional.empty())))
                .doesNotContain("mount-drill", "mount-shroud", "mount-skid-plate");
    }

    @Test
    void accumulatorIsShutFirstAndUnderPressureAfterwards() {
        Accessory store = new Accessory(Accessory.Kind.ACCUMULATOR, 1.4e-3, Accessory.Valve.MANUAL);
        Step shut = step(plumbed(Ports.UP, HoseType.Family.BRAIDED_RUBBER, List.of(store)), "fill-accumulator");
        assertThat(shut.caution()).contains(StepText.FILL_ACCUMULATOR.say("caution"));
    }

    @Test
    void whatFollowsTheStartIsBehindItsGateAndTheBumperBehindTheWarmCheck() {
        RunSheet sheet = sheet(DESIGN, Optional.empty(), Optional.empty());
        List<String> ids = ids(sheet);
        int crank = ids.indexOf(RunSheet.CRANK_LEAK);
        assertThat(sheet.steps().subList(0, crank + 1)).allMatch(s -> s.behind().isEmpty());
        assertThat(sheet.steps().subList(crank + 1, ids.size()))
                .allMatch(s -> s.behind().isPresent());
        assertThat(sheet.steps())
                .filteredOn(s -> s.stage() == Stage.REFIT)
                .isNotEmpty()
                .allMatch(s -> s.behind().equals(Optional.of(Gate.BUMPER)));
        assertThat(sheet.steps())
                .filteredOn(s -> s.stage().compareTo(Stage.REFIT) > 0)
                .isNotEmpty()
                .allMatch(s -> s.behind().equals(Optional.of(Gate.DRIVE)));
        Set<String> needed = Set.copyOf(java.util.stream.Stream.of(Gate.values())
                .flatMap(g -> g.needs().stream())
                .toList());
        assertThat(ids).containsAll(needed);
    }

    @Test
    void oilToPourIsTheChangePlusWhatTheLoopHolds() {
        double loop = PressureCheck.of(CAR, DESIGN, CAR.limits().limitK()).loopVolume();
        RunSheet sheet = sheet(DESIGN, Optional.empty(), Optional.empty());
        assertThat(step(sheet, "second-hand-over").figures().get(0).low())
                .isEqualTo(CAR.oilVolume() + loop, within(1e-12));
    }

    @Test
    void warmRunWaitsForTheThermostatOrForOilThatMayBeLoaded() {
        Design with = DESIGN.withThermostat(Optional.of(OilThermostat.opening(358.15)));
        assertThat(step(sheet(with, Optional.empty(), Optional.empty()), RunSheet.WARM_OIL)
                        .reading()
                        .orElseThrow()
                        .least())
                .isEqualTo(358.15);
        Step without = step(
                sheet(DESIGN.withThermostat(Optional.empty()), Optional.empty(), Optional.empty()), RunSheet.WARM_OIL);
        assertThat(without.reading().orElseThrow().least()).isEqualTo(338.15);
        assertThat(without.what().values()).containsEntry("thermostat", new Value.Choice("no"));
    }

    @Test
    void everyStepThatCanHurtHasItsCaution() {
        RunSheet sheet = plumbed(Ports.DOWN, HoseType.Family.BRAIDED_RUBBER, List.of());
        for (String id : List.of(
                "prepare-stands",
                "prepare-cold",
                "prepare-drain",
                RunSheet.STRIP_LIST,
                "bench-feed-cut",
                "bench-feed-flush",
                RunSheet.CRANK,
                "first-idle",
                RunSheet.WARM_OIL,
                RunSheet.WARM_LEAK,
                "drive-gentle")) {
            assertThat(step(sheet, id).caution()).as(id).isPresent();
        }
    }

    @Test
    void withoutACoolerThereIsNothingToBuild() {
        assertThatThrownBy(() -> sheet(Design.NO_COOLER, Optional.empty(), Optional.empty()))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static Plumbing planned(String takeoff, Core core) {
        Plumbing.Choice usual = Plumbings.choice(HoseType.Family.BRAIDED_RUBBER, List.of());
        return Plumbings.plan(
                core,
                new Plumbing.Choice(
                        Plumbings.PARTS.takeoffs().stream()
                                .filter(t -> t.number().equals(takeoff))
                                .findFirst()
                                .orElseThrow(),
                        usual.clock(),
                        usual.hose(),
                        usual.wish(),
                        usual.feedPoints(),
                        usual.backPoints(),
                        usual.sleeved(),
                        usual.feed(),
                        usual.slack(),
                        usual.exchangerStays(),
                        usual.circuit(),
                        Optional.empty()));
    }

    @Test
    void whatTheTakeoffNeedsIsOnTheSheet() {
        Core core = Plumbings.core(Ports.UP, 1);
        RunSheet plate = sheet(DESIGN.withCore(core), Optional.empty(), Optional.of(planned("HP-M20", core)));
        assertThat(ids(plate)).contains("takeoff-face", "takeoff-fit").doesNotContain("takeoff-senders");
        RunSheet gauges = sheet(DESIGN.withCore(core), Optional.empty(), Optional.of(planned("HPG-M20", core)));
        assertThat(ids(gauges)).contains("takeoff-senders");
        RunSheet block = sheet(DESIGN.withCore(core), Optional.empty(), Optional.of(planned("HD-M22", core)));
        assertThat(step(block, "takeoff-fit").what()).isEqualTo(StepText.TAKEOFF_BLOCK.say("what"));
    }

    @Test
    void meshAndFanAreFittedWhereTheDesignHasThem() {
        var cooler = DESIGN.cooler().orElseThrow();
        Airway both = Airways.meshed(cooler.airway(), true).withFan(Optional.of(Fan.TYPICAL));
        RunSheet sheet = sheet(DESIGN.withAirway(both), Optional.empty(), Optional.empty());
        assertThat(ids(sheet)).contains("mount-mesh", "mount-fan");
        Step fan = step(sheet, "mount-fan");
        assertThat(fan.caution()).contains(StepText.MOUNT_FAN.say("caution"));
        assertThat(fan.figures().get(0).low()).isEqualTo(Fan.TYPICAL.onK());
        assertThat(ids(sheet(DESIGN, Optional.empty(), Optional.empty()))).doesNotContain("mount-mesh", "mount-fan");
    }

    private static Message mounted(String rubber) {
        return StepText.MOUNT_CORE.say("why").count("mounts", 1).choose("rubber", rubber.equals("yes"));
    }

    @Test
    void coreWithoutRubberIsSaidToNeedMoreLooks() {
        Placement.Mount hard = new Placement.Mount(0, 0, 6.5e-3, Placement.Method.BOLT, false);
        Placement placed = new Placement(0, 0.4, 0.2, 0, false, false, false, List.of(hard));
        assertThat(sheet(DESIGN, Optional.of(placed), Optional.empty()).steps())
                .anyMatch(s -> s.why().equals(mounted("no")));
        Placement.Mount soft = new Placement.Mount(0, 0, 6.5e-3, Placement.Method.BOLT, true);
        Placement held = new Placement(0, 0.4, 0.2, 0, false, false, false, List.of(soft));
        assertThat(sheet(DESIGN, Optional.of(held), Optional.empty()).steps())
                .anyMatch(s -> s.why().equals(mounted("yes")));
    }

    @Test
    void aLineThatNoRouteWasFoundForIsMadeByHandAndSaidOnce() {
        Core core = Plumbings.core(Ports.UP, 1);
        // A wall across the bay with nothing through it.
        Bay shut = new Bay(
                Plumbings.BAY.room(),
                List.of(new Bay.Box("wall", Bay.Kind.SOLID, new Vector3D(-0.8, 0.15, 0.4), new Vector3D(0.8, 1, 0.5))),
                List.of());
        Plumbing none = Planner.byBay(
                Plumbings.STAND,
                shut,
                core,
                Plumbings.at(0, 0.4, 0.2, 0),
                Plumbings.CORE_PORT,
                Plumbings.choice(HoseType.Family.BRAIDED_RUBBER, List.of()),
                Plumbings.PARTS,
                false,
                () -> false);
        assertThat(none.feed().found()).isFalse();
        RunSheet sheet = sheet(DESIGN.withCore(core), Optional.empty(), Optional.of(none));
        assertThat(ids(sheet))
                .containsOnlyOnce("bench-by-hand")
                .noneMatch(id -> id.endsWith("-cut") || id.endsWith("-clips"));
    }

    @Test
    void figuresThatNobodyGaveAreMarkedAsOurs() {
        Step crank = step(sheet(DESIGN, Optional.empty(), Optional.empty()), RunSheet.CRANK);
        assertThat(crank.figures().get(0).source()).isEqualTo(Step.Source.ESTIMATE);
        RunSheet own = RunSheet.of(new Job(CAR, DESIGN, Optional.empty(), Optional.empty(), false, 1.1e5));
        assertThat(step(own, RunSheet.CRANK).figures().get(0).source()).isEqualTo(Step.Source.OWN);
        assertThat(step(own, RunSheet.CRANK).reading().orElseThrow().least()).isEqualTo(1.1e5);
        RunSheet bare = sheet(DESIGN.withThermostat(Optional.empty()), Optional.empty(), Optional.empty());
        assertThat(step(bare, RunSheet.WARM_OIL).figures().get(0).source()).isEqualTo(Step.Source.ESTIMATE);
    }
}
