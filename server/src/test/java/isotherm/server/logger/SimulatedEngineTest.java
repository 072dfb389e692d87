package isotherm.server.logger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.fluid.Units;
import isotherm.core.sheet.Channel;
import isotherm.core.sheet.Expectation;
import isotherm.core.sheet.Sample;
import isotherm.core.sheet.Watch;
import isotherm.core.trial.SimulatedEngine;
import isotherm.server.contract.DocumentReader;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The simulated engine, its line protocol, and what the watch says of each of its faults. */
class SimulatedEngineTest {
    private static final double AIR = Units.kelvin(18);
    private final Car car;
    private final Design design;

    SimulatedEngineTest() throws IOException {
        JsonNode demo = new JsonMapper().readTree(Files.readString(Path.of("../demo/1-corvid.json")));
        CarDocument stored = DocumentReader.read(demo.get("car").toString(), CarDocument.class);
        car = stored.toCore();
        design = DocumentReader.read(demo.get("designs").get(0).toString(), DesignDocument.class)
                .toCore(stored);
    }

    private List<Watch.Alarm> warmRun(SimulatedEngine.Fault fault, double period) {
        SimulatedEngine engine = new SimulatedEngine(car, design, fault, AIR, 7);
        Watch watch = new Watch(Expectation.of(car, design));
        List<Watch.Alarm> alarms = new ArrayList<>();
        engine.turn(SimulatedEngine.Turning.CRANK);
        alarms.addAll(watch.take(engine.after(8)));
        engine.turn(SimulatedEngine.Turning.WARM);
        for (double t = 0; t < 2400; t += period) {
            alarms.addAll(watch.take(engine.after(period)));
        }
        return alarms;
    }

    @ParameterizedTest
    @CsvSource({
        "NONE, ''",
        "SLOW_LEAK, PRESSURE_FALLS",
        "STUCK_THERMOSTAT, THERMOSTAT_SHUT",
        "AIRLOCK, NO_FLOW",
        "SENSOR_DROPOUT, SENSOR_LOST",
        "DEAD_FAN, COOLANT_HOT"
    })
    void eachFaultIsToldForWhatItIsAtAnyPace(SimulatedEngine.Fault fault, String said) {
        for (double period : new double[] {1, 6}) {
            Set<String> faults = warmRun(fault, period).stream()
                    .map(a -> a.fault().name())
                    .collect(Collectors.toCollection(TreeSet::new));
            // No pressure at all is where a leak ends that nobody stopped for.
            if (fault == SimulatedEngine.Fault.SLOW_LEAK) {
                faults.remove("NO_PRESSURE");
            }
            assertThat(faults).as("%s at %.0f s", fault, period).isEqualTo(said.isEmpty() ? Set.of() : Set.of(said));
        }
    }

    @Test
    void crankingShowsPressureAfterTheGalleriesAreFull() {
        SimulatedEngine engine = new SimulatedEngine(car, design, SimulatedEngine.Fault.NONE, AIR, 1);
        assertThat(engine.after(1).get(Channel.RPM)).hasValue(0);
        engine.turn(SimulatedEngine.Turning.CRANK);
        assertThat(engine.after(2).get(Channel.OIL_PRESSURE).getAsDouble()).isLessThan(0.2e5);
        assertThat(engine.after(3).get(Channel.OIL_PRESSURE).getAsDouble()).isGreaterThan(1.4e5);
    }

    @Test
    void whatIsWrittenIsReadAgain() {
        Sample sample = new Sample(
                12.5, Map.of(Channel.RPM, 850.0, Channel.OIL_PRESSURE, 3.4e5, Channel.CORE_FAR, Units.kelvin(19.4)));
        assertThat(GaugeLines.row(sample)).isEqualTo("ROW 12.50 rpm=850.000 oil_pressure=3.400 core_far=19.400");
        Sample read = GaugeLines.read(GaugeLines.row(sample)).orElseThrow();
        assertThat(read.time()).isEqualTo(12.5);
        assertThat(read.get(Channel.OIL_PRESSURE).getAsDouble()).isEqualTo(3.4e5, within(1.0));
        assertThat(read.get(Channel.OIL)).isEmpty();
    }

    @Test
    void linesOfOthersArePassedOver() {
        assertThat(GaugeLines.read(GaugeLines.GREETING)).isEmpty();
        assertThat(GaugeLines.read("")).isEmpty();
        assertThat(GaugeLines.read("ROW soon rpm=3")).isEmpty();
        assertThat(GaugeLines.read("ROW 1 rpm=three")).isEmpty();
        assertThat(GaugeLines.read("ROW 1 boost=1.2 rpm=3 oil=NaN")
                        .orElseThrow()
                        .values())
                .containsOnlyKeys(Channel.RPM);
        assertThat(GaugeLines.command("ENGINE warm")).hasValue(SimulatedEngine.Turning.WARM);
        assertThat(GaugeLines.command("ENGINE fast")).isEmpty();
    }
}
