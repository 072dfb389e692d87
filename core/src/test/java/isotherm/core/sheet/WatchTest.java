package isotherm.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import org.junit.jupiter.api.Test;

/** What the gauges show, and what is said of it. */
class WatchTest {
    /** Half a bar per 1000 1/min, thinner when hot. */
    private static final Expectation EXPECTED =
            new Expectation((rpm, oilK) -> rpm * 100 * (1 - (oilK - 293) / 200), 363, true);

    /** Ten minutes from cold, as a healthy engine would show them, with something done to each sample. */
    private static List<Watch.Alarm> run(Expectation expected, BiConsumer<Double, Map<Channel, Double>> fault) {
        Watch watch = new Watch(expected);
        List<Watch.Alarm> alarms = new ArrayList<>();
        for (int t = 0; t < 600; t++) {
            Map<Channel, Double> v = new EnumMap<>(Channel.class);
            double oil = Math.min(371, 293 + t * 0.25);
            v.put(Channel.RPM, 2000.0);
            v.put(Channel.OIL, oil);
            v.put(Channel.OIL_PRESSURE, 1.1 * EXPECTED.pressure().applyAsDouble(2000, oil));
            v.put(Channel.AMBIENT, 293.0);
            v.put(Channel.COOLANT, Math.min(366, 293 + t * 0.3));
            v.put(Channel.OIL_RETURN, oil - 4);
            v.put(Channel.CORE_FAR, oil > 363 ? oil - 15 : 300);
            fault.accept((double) t, v);
            alarms.addAll(watch.take(new Sample(t, v)));
        }
        return alarms;
    }

    private static List<Watch.Alarm> run(BiConsumer<Double, Map<Channel, Double>> fault) {
        return run(EXPECTED, fault);
    }

    private static void only(List<Watch.Alarm> alarms, Fault fault, boolean stop, String... figures) {
        assertThat(alarms).singleElement().satisfies(a -> {
            assertThat(a.fault()).isEqualTo(fault);
            assertThat(a.stop()).isEqualTo(stop);
            assertThat(a.what().key()).isEqualTo(fault.key("what"));
            assertThat(a.what().values()).containsOnlyKeys(figures);
        });
    }

    @Test
    void aHealthyEngineIsLeftInPeace() {
        assertThat(run((t, v) -> {})).isEmpty();
    }

    @Test
    void aGaugeThatReadsLowThroughoutIsNoLeak() {
        assertThat(run((t, v) -> v.computeIfPresent(Channel.OIL_PRESSURE, (c, p) -> 0.6 * p)))
                .isEmpty();
    }

    @Test
    void noPressureIsToldWithinSeconds() {
        List<Watch.Alarm> alarms = run((t, v) -> v.computeIfPresent(Channel.OIL_PRESSURE, (c, p) -> t > 100 ? 0 : p));
        assertThat(alarms.get(0).stop()).isTrue();
        assertThat(alarms.get(0).time()).isLessThan(112);
        assertThat(alarms).anyMatch(a -> a.fault() == Fault.NO_PRESSURE);
    }

    @Test
    void aSlowLeakIsToldBeforeHalfThePressureIsGone() {
        List<Watch.Alarm> alarms =
                run((t, v) -> v.computeIfPresent(Channel.OIL_PRESSURE, (c, p) -> p * Math.exp(-t / 400)));
        only(alarms, Fault.PRESSURE_FALLS, true, "pressure", "usual");
        assertThat(Math.exp(-alarms.get(0).time() / 400)).isGreaterThan(0.5);
    }

    @Test
    void aThermostatThatStaysShutIsTold() {
        only(run((t, v) -> v.put(Channel.CORE_FAR, 305.0)), Fault.THERMOSTAT_SHUT, true, "oil", "opens", "far");
    }

    @Test
    void airInTheCoreIsTold() {
        only(
                run((t, v) -> {
                    v.put(Channel.CORE_FAR, 295.0);
                    v.put(Channel.OIL_RETURN, 300.0);
                }),
                Fault.NO_FLOW,
                true,
                "oil",
                "far");
    }

    @Test
    void withoutAThermostatAColdFarEndIsNeverItsFault() {
        Expectation none = new Expectation(EXPECTED.pressure(), 338, false);
        assertThat(run(none, (t, v) -> v.put(Channel.CORE_FAR, 295.0)))
                .extracting(Watch.Alarm::fault)
                .containsExactly(Fault.NO_FLOW);
    }

    @Test
    void aFanThatDoesNotRunIsToldByTheCoolant() {
        only(run((t, v) -> v.put(Channel.COOLANT, 293 + t * 0.2)), Fault.COOLANT_HOT, true, "coolant");
    }

    @Test
    void aSensorThatShowsNothingIsToldAndDoesNotStopTheEngineUnlessItIsThePressure() {
        only(
                run((t, v) -> v.compute(Channel.CORE_FAR, (c, x) -> t > 60 ? null : x)),
                Fault.SENSOR_LOST,
                false,
                "channel",
                "stop");
        only(
                run((t, v) -> v.compute(Channel.OIL_PRESSURE, (c, x) -> t > 60 ? null : x)),
                Fault.SENSOR_LOST,
                true,
                "channel",
                "stop");
    }

    @Test
    void aShortDropoutIsForgiven() {
        assertThat(run((t, v) -> v.compute(Channel.OIL, (c, x) -> t % 50 < 6 ? null : x)))
                .isEmpty();
    }

    @Test
    void aNewStartIsWatchedAnew() {
        Watch watch = new Watch(EXPECTED);
        int told = 0;
        for (int start = 0; start < 2; start++) {
            for (int t = 0; t < 60; t++) {
                double rpm = t < 40 ? 2000 : 0;
                Map<Channel, Double> v = Map.of(Channel.RPM, rpm, Channel.OIL_PRESSURE, 0.0, Channel.OIL, 300.0);
                told += (int) watch.take(new Sample(start * 60 + t, v)).stream()
                        .filter(a -> a.fault() == Fault.NO_PRESSURE)
                        .count();
            }
        }
        assertThat(told).isEqualTo(2);
    }

    @Test
    void aSilentLoggerIsToldOnceInEachSilence() {
        Watch watch = new Watch(EXPECTED);
        watch.take(new Sample(7, Map.of(Channel.RPM, 0.0)));
        assertThat(watch.silent(9.9)).isEmpty();
        assertThat(watch.silent(10)).hasValueSatisfying(a -> {
            assertThat(a.fault()).isEqualTo(Fault.LOGGER_SILENT);
            assertThat(a.time()).isEqualTo(7);
            assertThat(a.what().figure("seconds")).isEqualTo(10);
        });
        assertThat(watch.silent(11)).isEmpty();
        watch.take(new Sample(30, Map.of(Channel.RPM, 0.0)));
        assertThat(watch.silent(12)).isPresent();
    }
}
