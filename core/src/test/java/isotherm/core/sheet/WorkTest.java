package isotherm.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isotherm.core.airflow.Place;
import isotherm.core.bill.WorkBill;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.car.Work;
import isotherm.core.catalogue.CorePart;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.Ports;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.parts.Circuit;
import isotherm.core.parts.HoseType;
import isotherm.core.plumb.Plumbing;
import isotherm.core.plumb.Plumbings;
import isotherm.core.sheetmetal.SheetWork;
import isotherm.core.simulate.DemoCars;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Each kind of build has its own steps, parts and gates, and none of another's. */
class WorkTest {
    private static final Car CAR = DemoCars.car();
    private static final Core CORE = Plumbings.core(Ports.UP, 1);
    private static final Design DESIGN = DemoCars.design(13, Place.GRILLE_AHEAD).withCore(CORE);
    private static final Plumbing PLAN =
            Plumbings.plan(CORE, Plumbings.choice(HoseType.Family.BRAIDED_RUBBER, List.of()));

    private static RunSheet sheet(Work work, boolean coolantOpened) {
        boolean exchanger = work == Work.EXCHANGER;
        return sheet(
                work,
                exchanger ? Design.NO_COOLER.withFactoryExchanger(false) : DESIGN,
                exchanger ? Optional.empty() : Optional.of(PLAN),
                coolantOpened);
    }

    private static RunSheet sheet(Work work, Design design, Optional<Plumbing> plan, boolean coolantOpened) {
        return RunSheet.of(new Job(
                CAR,
                design,
                Optional.empty(),
                plan,
                false,
                SheetWork.NONE,
                List.of(),
                Job.LEAST_CRANK,
                work,
                work == Work.EXCHANGER ? Optional.of(Circuit.CoolantEnds.JOINED) : Optional.empty(),
                coolantOpened));
    }

    private static Set<String> bill(Work work) {
        return bill(work, Optional.of(PLAN));
    }

    private static Set<String> bill(Work work, Optional<Plumbing> plan) {
        return new WorkBill(
                        work,
                        DESIGN,
                        Optional.empty(),
                        plan,
                        false,
                        SheetWork.NONE,
                        work == Work.EXCHANGER ? Optional.of(Circuit.CoolantEnds.JOINED) : Optional.empty())
                .lines(CorePart.shipped(), 0.5e-3, 5e-3).stream()
                        .map(l -> l.what().key().split("\\.")[1])
                        .collect(Collectors.toSet());
    }

    @Test
    void withoutAPlanOilFilterAndToolsAreBoughtAllTheSame() {
        assertThat(bill(Work.THERMOSTAT, Optional.empty()))
                .containsExactlyInAnyOrder("THERMOSTAT", "ENGINE_OIL", "OIL_FILTER", "SUNDRIES", "SAFETY_TOOLS");
        assertThat(bill(Work.CORE, Optional.empty()))
                .contains("CORE", "ENGINE_OIL")
                .doesNotContain("OIL_FILTER");
    }

    @ParameterizedTest
    @EnumSource(Work.class)
    void everyKindDrainsFillsCranksRunsWarmAndHandsOverInOrder(Work work) {
        RunSheet sheet = sheet(work, false);
        List<String> ids = RunSheetTest.ids(sheet);
        assertThat(ids).doesNotHaveDuplicates();
        assertThat(ids)
                .containsSubsequence(
                        "prepare-stands",
                        "prepare-drain",
                        RunSheet.STRIP_LIST,
                        "fill-engine",
                        RunSheet.CRANK,
                        RunSheet.CRANK_LEAK,
                        "first-idle",
                        RunSheet.WARM_OIL,
                        RunSheet.WARM_LEAK,
                        RunSheet.REFIT_LIST,
                        "drive-gentle",
                        "second-joints",
                        "second-hand-over");
        assertThat(sheet.steps()).isSortedAccordingTo((a, b) -> a.stage().compareTo(b.stage()));
    }

    @Test
    void theWholeHasAllStagesAndEachOtherKindOnlyItsOwn() {
        assertThat(stages(Work.WHOLE)).isEqualTo(EnumSet.allOf(Stage.class));
        assertThat(stages(Work.CORE)).contains(Stage.MOUNT, Stage.LINES).doesNotContain(Stage.TAKEOFF);
        assertThat(stages(Work.THERMOSTAT)).contains(Stage.TAKEOFF).doesNotContain(Stage.MOUNT, Stage.BENCH);
        assertThat(stages(Work.IN_SERIES))
                .contains(Stage.MOUNT, Stage.BENCH, Stage.LINES)
                .doesNotContain(Stage.TAKEOFF);
        assertThat(stages(Work.EXCHANGER))
                .contains(Stage.TAKEOFF)
                .doesNotContain(Stage.MOUNT, Stage.BENCH, Stage.LINES);
        assertThat(stages(Work.HOSES)).contains(Stage.BENCH, Stage.LINES).doesNotContain(Stage.MOUNT, Stage.TAKEOFF);
    }

    private static Set<Stage> stages(Work work) {
        return EnumSet.copyOf(
                sheet(work, false).steps().stream().map(Step::stage).toList());
    }

    @Test
    void whatStaysIsNeitherBoughtNorMade() {
        assertThat(bill(Work.WHOLE)).contains("CORE", "TAKEOFF", "HOSE", "HOSE_END", "OIL_FILTER", "ENGINE_OIL");
        assertThat(bill(Work.CORE)).contains("CORE", "ENGINE_OIL").doesNotContain("TAKEOFF", "HOSE", "HOSE_END");
        assertThat(bill(Work.THERMOSTAT))
                .contains("THERMOSTAT", "OIL_FILTER")
                .doesNotContain("CORE", "TAKEOFF", "HOSE", "P_CLIP", "HOSE_TOOLS");
        assertThat(bill(Work.IN_SERIES)).contains("CORE", "HOSE", "HOSE_END").doesNotContain("TAKEOFF", "OIL_FILTER");
        assertThat(bill(Work.HOSES)).contains("HOSE", "HOSE_END", "P_CLIP").doesNotContain("CORE", "TAKEOFF");
        assertThat(bill(Work.EXCHANGER))
                .contains("EXCHANGER_SEAT", "COOLANT_HOSE", "COOLANT", "ENGINE_OIL_CHANGE")
                .doesNotContain("CORE", "TAKEOFF", "HOSE", "ENGINE_OIL");
        assertThat(bill(Work.CORE)).isSubsetOf(bill(Work.WHOLE));
        assertThat(bill(Work.HOSES)).isSubsetOf(bill(Work.WHOLE));
    }

    @Test
    void anotherCoreOpensTheJointsAtTheCoreAndNoneAtTheTakeoff() {
        List<String> ids = RunSheetTest.ids(sheet(Work.CORE, false));
        assertThat(ids).contains("strip-core", "lines-stay", "line-feed-last-1", "line-return-last-1");
        assertThat(ids).noneMatch(id -> id.startsWith("line-") && id.contains("-first"));
        List<String> all = RunSheetTest.ids(sheet(Work.HOSES, false));
        assertThat(all)
                .contains("strip-hoses", "line-feed-first-1", "line-feed-last-1")
                .doesNotContain("lines-stay");
        assertThat(RunSheetTest.ids(sheet(Work.IN_SERIES, false)))
                .contains("lines-in-series", "line-feed-first-1")
                .doesNotContain("takeoff-fit");
    }

    @Test
    void withoutAPlanTheJointsAtTheCoreStandAllTheSame() {
        RunSheet sheet = sheet(Work.CORE, DESIGN, Optional.empty(), false);
        assertThat(RunSheetTest.ids(sheet)).contains("line-feed-last", "line-return-last");
    }

    @ParameterizedTest
    @EnumSource(OilThermostat.Site.class)
    void aThermostatIsChangedWhereItSits(OilThermostat.Site site) {
        OilThermostat t = DESIGN.cooler().orElseThrow().loop().thermostat().orElseThrow();
        Design other = DESIGN.withThermostat(Optional.of(new OilThermostat(t.opensK(), t.fullK(), t.leak(), site)));
        RunSheet sheet = sheet(Work.THERMOSTAT, other, Optional.of(PLAN), false);
        Step swap = RunSheetTest.step(sheet, "thermostat-swap");
        assertThat(swap.what().values().get("site").toString()).contains(site.name());
        assertThat(RunSheetTest.ids(sheet).contains("takeoff-filter")).isEqualTo(site == OilThermostat.Site.PLATE);
    }

    @Test
    void coolantThatIsOpenedIsDrainedFilledBledAndLookedAtAgain() {
        assertThat(RunSheetTest.ids(sheet(Work.WHOLE, true)))
                .containsSubsequence("strip-coolant", "fill-coolant", "warm-coolant", "drive-gentle", "second-coolant");
        assertThat(RunSheetTest.ids(sheet(Work.WHOLE, false))).noneMatch(id -> id.contains("coolant"));
        assertThat(RunSheetTest.ids(sheet(Work.EXCHANGER, false)))
                .contains("strip-exchanger", "fill-coolant", "warm-coolant", "second-coolant");
        assertThat(RunSheetTest.step(sheet(Work.WHOLE, true), "drive-gentle")
                        .caution()
                        .orElseThrow()
                        .toString())
                .contains("coolant");
    }

    @Test
    void onlyAnExchangerIsBuiltWithoutACooler() {
        for (Work w : Work.values()) {
            if (w != Work.EXCHANGER) {
                assertThatThrownBy(() -> sheet(w, Design.NO_COOLER, Optional.empty(), false))
                        .isInstanceOf(IllegalArgumentException.class);
            }
        }
        assertThat(RunSheetTest.ids(sheet(Work.EXCHANGER, false))).doesNotContain(RunSheet.WARM_FAR_END, "refit-air");
    }

    @Test
    void theLeastWorkThatMakesOneCoolerOfAnotherIsTold() {
        Design.Cooler was = DESIGN.cooler().orElseThrow();
        Design.Cooler core = DESIGN.withCore(CORE.withRows(25)).cooler().orElseThrow();
        Design.Cooler thermostat =
                DESIGN.withThermostat(Optional.empty()).cooler().orElseThrow();
        var wide = new isotherm.core.hydraulics.Hose(17e-3, 1, 2);
        Design.Cooler hoses =
                new Design.Cooler(was.core(), was.airway(), was.loop().withHoses(wide, wide), was.efficacy());
        Design.Cooler both =
                new Design.Cooler(core.core(), was.airway(), was.loop().withHoses(wide, wide), was.efficacy());
        assertThat(Work.between(was, core)).isEqualTo(Work.CORE);
        assertThat(Work.between(was, thermostat)).isEqualTo(Work.THERMOSTAT);
        assertThat(Work.between(was, hoses)).isEqualTo(Work.HOSES);
        assertThat(Work.between(was, both)).isEqualTo(Work.WHOLE);
    }
}
