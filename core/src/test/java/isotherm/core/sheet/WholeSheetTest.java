package isotherm.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Design;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.Ports;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.OilCircuit;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.message.MessageTopic;
import isotherm.core.nose.Placement;
import isotherm.core.parts.HoseType;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.PressureCheck;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A sheet from its first step to its last, and what stands on it. */
class WholeSheetTest {
    private static final Design DESIGN = DemoCars.design(13, Place.GRILLE_AHEAD);

    private static List<String> ids(Stage stage, RunSheet sheet) {
        return sheet.steps().stream()
                .filter(s -> s.stage() == stage)
                .map(Step::id)
                .toList();
    }

    @Test
    void everyStepOfABraidedHoseBuildInItsOrder() {
        RunSheet sheet = RunSheetTest.plumbed(Ports.UP, HoseType.Family.BRAIDED_RUBBER, List.of());
        assertThat(ids(Stage.PREPARE, sheet))
                .containsExactly("prepare-parts", "prepare-stands", "prepare-cold", "prepare-battery", "prepare-drain");
        assertThat(ids(Stage.STRIP, sheet)).containsExactly("strip-list");
        assertThat(ids(Stage.MOUNT, sheet)).containsExactly("mount-accept", "mount-template", "mount-core");
        assertThat(ids(Stage.TAKEOFF, sheet))
                .contains("takeoff-face", "takeoff-fit", "takeoff-filter")
                .endsWith("takeoff-filter");
        List<String> bench = new ArrayList<>();
        for (String line : List.of("feed", "return")) {
            bench.addAll(List.of("bench-" + line + "-cut", "bench-" + line + "-ends", "bench-" + line + "-flush"));
        }
        assertThat(ids(Stage.BENCH, sheet)).containsExactlyElementsOf(bench);
        List<String> lines = ids(Stage.LINES, sheet);
        assertThat(lines)
                .contains("line-feed-first-1", "line-feed-last-1", "line-return-first-1", "line-return-last-1");
        assertThat(lines.indexOf("line-feed-first-1")).isLessThan(lines.indexOf("line-feed-last-1"));
        assertThat(lines.get(lines.size() - 1)).isEqualTo("lines-clear");
        assertThat(ids(Stage.FILL, sheet)).contains("fill-engine").endsWith("fill-battery");
        assertThat(ids(Stage.LEAK_CHECK, sheet))
                .containsExactly(
                        "crank-pressure",
                        "crank-joints",
                        "first-idle",
                        "first-level",
                        "warm-oil",
                        "warm-far-end",
                        "warm-joints");
        assertThat(ids(Stage.REFIT, sheet)).containsExactly("refit-list", "refit-air");
        assertThat(ids(Stage.FIRST_DRIVE, sheet)).containsExactly("drive-gentle");
        assertThat(ids(Stage.SECOND_CHECK, sheet)).containsExactly("second-joints", "second-level", "second-hand-over");
    }

    @Test
    void pushOnHoseHasItsClampsAndItsWarmWater() {
        RunSheet sheet = RunSheetTest.plumbed(Ports.DOWN, HoseType.Family.PUSH_ON, List.of());
        assertThat(ids(Stage.BENCH, sheet))
                .containsExactly(
                        "bench-feed-cut",
                        "bench-feed-clamps",
                        "bench-feed-heat",
                        "bench-feed-ends",
                        "bench-feed-flush",
                        "bench-return-cut",
                        "bench-return-clamps",
                        "bench-return-heat",
                        "bench-return-ends",
                        "bench-return-flush",
                        "prefill-core");
        Step ends = RunSheetTest.step(sheet, "bench-feed-ends");
        assertThat(ends.figures()).hasSize(2);
        Step cut = RunSheetTest.step(sheet, "bench-feed-cut");
        assertThat(cut.figures().get(0).low()).isLessThan(cut.figures().get(0).high());
    }

    @Test
    void aJointHasItsTorqueAndItsTurns() {
        RunSheet sheet = RunSheetTest.plumbed(Ports.UP, HoseType.Family.BRAIDED_RUBBER, List.of());
        Stream<Step> joints = sheet.steps().stream().filter(s -> s.id().matches("line-(feed|return)-(first|last)-\\d"));
        assertThat(joints).isNotEmpty().allSatisfy(s -> {
            assertThat(s.reading())
                    .hasValueSatisfying(r -> assertThat(r.measure()).isEqualTo(Measure.TORQUE));
            assertThat(s.figures().stream().map(Step.Figure::measure)).contains(Measure.ANGLE);
        });
    }

    @Test
    void whatIsMountedHasItsHolesAndItsRubber() {
        Placement.Mount clamped = new Placement.Mount(0, 0, 9e-3, Placement.Method.CLAMP, true);
        Placement.Mount bolted = new Placement.Mount(0, 0, 6.5e-3, Placement.Method.BOLT, false);
        Placement both = new Placement(0, 0.4, 0.2, 0, true, false, false, List.of(clamped, bolted));
        RunSheet sheet = RunSheetTest.sheet(DESIGN, Optional.of(both), Optional.empty());
        assertThat(RunSheetTest.step(sheet, "mount-drill").what())
                .isEqualTo(StepText.MOUNT_DRILL.say("what").count("holes", 1).choose("rivets", false));
        assertThat(RunSheetTest.step(sheet, "mount-core").what())
                .isEqualTo(StepText.MOUNT_CORE.say("what").count("mounts", 2).choose("rubber", true));
        assertThat(RunSheetTest.step(sheet, "mount-shroud").what())
                .isEqualTo(StepText.MOUNT_SHROUD.say("what").choose("foam", false));
        Placement hung = new Placement(0, 0.4, 0.2, 0, false, false, false, List.of(clamped));
        assertThat(RunSheetTest.ids(RunSheetTest.sheet(DESIGN, Optional.of(hung), Optional.empty())))
                .doesNotContain("mount-drill");
    }

    @Test
    void aLoopThatFillsAtOnceIsNotFilledByHand() {
        RunSheet slow = RunSheetTest.sheet(DESIGN, Optional.empty(), Optional.empty());
        double prime = PressureCheck.of(
                        DemoCars.car(), DESIGN, DemoCars.car().limits().limitK())
                .primeSeconds();
        assertThat(RunSheetTest.ids(slow).contains("fill-loop")).isEqualTo(prime >= 0.5);
        RunSheet oil = RunSheetTest.sheet(
                DESIGN.withThermostat(Optional.of(OilThermostat.opening(Units.kelvin(85)))),
                Optional.empty(),
                Optional.empty());
        Step warm = RunSheetTest.step(oil, RunSheet.WARM_OIL);
        assertThat(warm.figures().get(0).low()).isEqualTo(Units.kelvin(85));
        assertThat(warm.figures().get(0).source()).isEqualTo(Step.Source.OWN);
        assertThat(warm.reading().orElseThrow().most())
                .isEqualTo(DemoCars.car().limits().limitK());
    }

    @ParameterizedTest
    @CsvSource({
        "RPM, -200, 25000, 1",
        "OIL_PRESSURE, -1e5, 30e5, 100",
        "OIL, 213.15, 523.15, 0.1",
        "OIL_RETURN, 213.15, 523.15, 0.1",
        "CORE_FAR, 213.15, 523.15, 0.1",
        "COOLANT, 213.15, 523.15, 0.1",
        "AMBIENT, 213.15, 353.15, 0.1"
    })
    void aSensorGivesWhatItCan(Channel channel, double low, double high, double step) {
        assertThat(channel.isPlausible(low)).isTrue();
        assertThat(channel.isPlausible(high)).isTrue();
        assertThat(channel.isPlausible(low - step)).isFalse();
        assertThat(channel.isPlausible(high + step)).isFalse();
        Map<Channel, Double> values = new EnumMap<>(Channel.class);
        values.put(channel, high + step);
        values.put(channel == Channel.RPM ? Channel.OIL : Channel.RPM, 300.0);
        Sample kept = new Sample(7, values).plausible();
        assertThat(kept.time()).isEqualTo(7);
        assertThat(kept.get(channel)).isEqualTo(OptionalDouble.empty());
        assertThat(kept.values()).hasSize(1);
    }

    @Test
    void theGaugesAreExpectedToShowWhatTheCircuitGives() {
        Expectation with = Expectation.of(DemoCars.car(), DESIGN);
        OilThermostat t = DESIGN.cooler().orElseThrow().loop().thermostat().orElseThrow();
        assertThat(with.throughCoreFrom()).isEqualTo(t.opensK());
        assertThat(with.hasThermostat()).isTrue();
        double oil = Units.kelvin(95);
        double expected = new OilCircuit(
                        DemoCars.car().oil(),
                        DemoCars.car().pump(),
                        DemoCars.car().gauge())
                .at(
                        3000,
                        oil,
                        DESIGN.cooler().map(Design.Cooler::loop),
                        DESIGN.cooler().map(c -> new CoreModel(c.core())),
                        t.liftWarming(oil))
                .galleryPressure();
        assertThat(with.pressure().applyAsDouble(3000, oil)).isCloseTo(expected, within(1e-6));
        Expectation without = Expectation.of(DemoCars.car(), DESIGN.withThermostat(Optional.empty()));
        assertThat(without.hasThermostat()).isFalse();
        assertThat(without.throughCoreFrom()).isEqualTo(Units.kelvin(65));
    }

    @Test
    void everyNameOfASheetIsInItsChapter() {
        Stream<MessageTopic> topics = Stream.of(
                        Stage.values(),
                        Gate.values(),
                        Channel.values(),
                        Fault.values(),
                        StepText.values(),
                        SheetFigure.values(),
                        FigureSource.values(),
                        SheetRefusal.values())
                .flatMap(Arrays::stream)
                .map(MessageTopic.class::cast);
        assertThat(topics).allSatisfy(t -> {
            Message said = t.say(t.parts().get(0));
            assertThat(said.key())
                    .isEqualTo(t.chapter() + "." + t.name() + "." + t.parts().get(0));
            assertThat(t.chapter()).isNotBlank();
        });
        assertThat(Arrays.stream(Fault.values()).filter(f -> !f.stop()))
                .containsExactly(Fault.SENSOR_LOST, Fault.LOGGER_SILENT);
    }
}
