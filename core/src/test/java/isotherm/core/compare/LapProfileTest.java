package isotherm.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.car.Car;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.LogDuty;
import isotherm.core.duty.Trailer;
import isotherm.core.duty.Weather;
import isotherm.core.simulate.DemoCars;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

/** Laps lie over each other by their way, and other circuits do not. */
class LapProfileTest {
    private static final Car CAR = DemoCars.car();
    private static final double LAP = 90;

    /** Eight laps of ninety seconds, oil at a level, speed by the share of the lap's time. */
    private static SessionComparison.Logged session(DoubleUnaryOperator speed, double oilK) {
        double[] time = new double[(int) (8 * LAP) + 1];
        Arrays.setAll(time, i -> i);
        double[] v =
                Arrays.stream(time).map(t -> speed.applyAsDouble(t % LAP / LAP)).toArray();
        double[] laps = new double[8];
        Arrays.setAll(laps, i -> i * LAP);
        DemandTrace demand = new LogDuty(
                        time,
                        v,
                        new double[0],
                        new double[0],
                        new double[0],
                        laps,
                        Trailer.NONE,
                        Duty.Start.WARM,
                        new Weather(290, 0))
                .demand(CAR.vehicle(), CAR.engine());
        double[] oil = new double[demand.cells()];
        Arrays.fill(oil, oilK);
        double[] heat = new double[demand.cells()];
        Arrays.fill(heat, 10e3);
        return new SessionComparison.Logged(demand, oil, heat, 290, Car.SensorPlace.SUMP);
    }

    private static double twisty(double share) {
        return 35 + 12 * Math.sin(2 * Math.PI * 3 * share) + 8 * Math.sin(2 * Math.PI * share);
    }

    private static double other(double share) {
        return 35 + 14 * Math.sin(2 * Math.PI * 5 * share * share);
    }

    @Test
    void riseIsPerHeatAndOverTheAir() {
        LapProfile p = LapProfile.of(session(LapProfileTest::twisty, 390)).orElseThrow();
        assertThat(p.rise())
                .hasSize(LapProfile.POINTS)
                .satisfies(r -> assertThat(Arrays.stream(r).max().orElseThrow()).isEqualTo(10, within(1e-9)));
    }

    @Test
    void aLapThatBeginsElsewhereIsTheSameLap() {
        LapProfile a = LapProfile.of(session(LapProfileTest::twisty, 390)).orElseThrow();
        LapProfile b = LapProfile.of(session(s -> twisty((s + 0.3) % 1), 390)).orElseThrow();
        assertThat(LapProfile.correlation(a, b)).isGreaterThan(0.95);
        LapProfile turned = b.begunLater(LapProfile.shift(a, b));
        for (int i = 0; i < LapProfile.POINTS; i++) {
            assertThat(turned.speed()[i]).isEqualTo(a.speed()[i], within(5.0));
        }
    }

    @Test
    void aSlowerDriverStillDrivesTheSameCircuit() {
        LapProfile a = LapProfile.of(session(LapProfileTest::twisty, 390)).orElseThrow();
        LapProfile b = LapProfile.of(session(s -> 0.85 * twisty(s), 390)).orElseThrow();
        assertThat(LapProfile.correlation(a, b)).isGreaterThan(0.95);
    }

    @Test
    void anotherCircuitIsRefused() {
        SessionComparison.Result r = SessionComparison.compare(
                session(LapProfileTest::twisty, 390), session(LapProfileTest::other, 380), Optional.empty(), 1);
        assertThat(r.verdict()).isEqualTo(SessionComparison.Verdict.TOO_UNLIKE);
        assertThat(r.reasons()).anySatisfy(w -> assertThat(w.key()).isEqualTo(ComparisonReason.CIRCUIT.key("text")));
    }

    @Test
    void figuresAreThoseThatWereRead() {
        SessionComparison.Logged s = session(LapProfileTest::twisty, 390);
        int n = s.oilK().length;
        double[] back = new double[n];
        double[] coolant = new double[n];
        double[] pressure = new double[n];
        Arrays.fill(back, 370);
        Arrays.fill(coolant, 365);
        Arrays.fill(pressure, 3e5);
        coolant[n / 2] = Double.NaN;
        SessionFigures f = SessionFigures.of(
                s,
                new SessionFigures.Sensors(back, coolant, pressure),
                CAR.engine().idleRpm());
        assertThat(f.peakK()).hasValue(390);
        assertThat(f.plateauK()).hasValue(390);
        assertThat(f.heat().getAsDouble()).isEqualTo(10e3, within(1e-6));
        assertThat(f.coreDrop()).hasValue(20);
        assertThat(f.peakCoolantK()).hasValue(365);
        assertThat(f.runningPressure()).hasValue(3e5);
        assertThat(f.idlePressure()).as("it never idled").isEmpty();
        SessionFigures bare =
                SessionFigures.of(s, new SessionFigures.Sensors(new double[0], new double[0], new double[0]), 850);
        assertThat(bare.coreDrop()).isEmpty();
        assertThat(bare.peakCoolantK()).isEmpty();
    }
}
