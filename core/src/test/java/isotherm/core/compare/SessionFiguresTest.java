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
import java.util.function.IntToDoubleFunction;
import org.junit.jupiter.api.Test;

/** What is read off a log, against a log of which every figure is known. */
class SessionFiguresTest {
    private static final Car CAR = DemoCars.car();
    private static final int LAP = 90;
    private static final int LAPS = 10;
    /** Warming up over three laps, level for seven, then a cool-down of two minutes at 2.5 K a minute. */
    private static final int HOT = 3 * LAP;

    private static final int END = LAPS * LAP;
    private static final int LENGTH = END + 120;
    private static final double PLATEAU = 395;
    private static final double[] NOTHING = {};

    private static double oil(int s) {
        if (s < HOT) {
            return 355 + (PLATEAU - 355) * s / HOT;
        }
        return s < END ? PLATEAU : PLATEAU - 2.5 * (s - END) / 60;
    }

    private static double rpm(int s) {
        if (s >= END) {
            return 880;
        }
        // Every lap sees the whole range.
        return 2500 + 4000.0 * (s % LAP) / LAP;
    }

    private static double[] column(IntToDoubleFunction f) {
        double[] values = new double[LENGTH];
        Arrays.setAll(values, f);
        return values;
    }

    private static SessionComparison.Logged session(IntToDoubleFunction oil) {
        double[] time = column(i -> i);
        double[] speed = column(i -> i < END ? 40 + 10 * Math.sin(2 * Math.PI * (i % LAP) / LAP) : 0.1);
        // The line is crossed once more before the lap that cools down.
        double[] laps = new double[LAPS + 1];
        Arrays.setAll(laps, i -> i * (double) LAP);
        DemandTrace demand = new LogDuty(
                        time,
                        speed,
                        column(SessionFiguresTest::rpm),
                        NOTHING,
                        NOTHING,
                        laps,
                        Trailer.NONE,
                        Duty.Start.WARM,
                        new Weather(290, 0))
                .demand(CAR.vehicle(), CAR.engine());
        double[] read = new double[demand.cells()];
        double[] heat = new double[demand.cells()];
        Arrays.setAll(read, oil);
        Arrays.fill(heat, 12e3);
        return new SessionComparison.Logged(demand, read, heat, 290, Car.SensorPlace.SUMP);
    }

    private static double[] cells(IntToDoubleFunction f) {
        double[] values = new double[session(SessionFiguresTest::oil).demand().cells()];
        Arrays.setAll(values, f);
        return values;
    }

    private static SessionFigures figures(IntToDoubleFunction oil, double[] back, double[] coolant, double[] pressure) {
        return SessionFigures.of(
                session(oil),
                new SessionFigures.Sensors(back, coolant, pressure),
                CAR.engine().idleRpm());
    }

    private static SessionFigures plain() {
        return figures(SessionFiguresTest::oil, NOTHING, NOTHING, NOTHING);
    }

    @Test
    void plateauPeakAndHeatAreThoseOfTheLog() {
        assertThat(plain().plateauK().orElseThrow()).isEqualTo(PLATEAU, within(0.3));
        assertThat(plain().peakK().orElseThrow()).isEqualTo(PLATEAU, within(0.3));
        assertThat(plain().heat().orElseThrow()).isEqualTo(12e3, within(1e-6));
    }

    @Test
    void thePlateauIsReachedWhenTheOilIsNearIt() {
        // 3 K below it on the way up: 37 of 40 K of the climb.
        assertThat(plain().toPlateau().orElseThrow()).isEqualTo(HOT * 37 / 40.0, within(6.0));
    }

    @Test
    void recoveryIsTheFallAfterTheLastLap() {
        assertThat(plain().recovery().orElseThrow()).isEqualTo(2.5, within(0.3));
    }

    @Test
    void whatNoSensorReadIsNotThere() {
        assertThat(plain().coreDrop()).isEmpty();
        assertThat(plain().idlePressure()).isEmpty();
        assertThat(plain().runningPressure()).isEmpty();
        assertThat(plain().peakCoolantK()).isEmpty();
    }

    @Test
    void dropOverTheCoreIsReadOnThePlateauAlone() {
        double[] back = cells(i -> oil(i) - (i < HOT ? 2 : 14));
        assertThat(figures(SessionFiguresTest::oil, back, NOTHING, NOTHING)
                        .coreDrop()
                        .orElseThrow())
                .isEqualTo(14, within(0.1));
    }

    @Test
    void pressuresAreReadWithHotOilAtTheirSpeeds() {
        // A bar for each thousand turns while hot; twice that while cold, which is not to count.
        double[] pressure = cells(i -> rpm(i) * 100 * (i < HOT ? 2 : 1));
        SessionFigures f = figures(SessionFiguresTest::oil, NOTHING, NOTHING, pressure);
        assertThat(f.idlePressure().orElseThrow()).isEqualTo(0.88e5, within(0.02e5));
        // Two thirds of 6500.
        assertThat(f.runningPressure().orElseThrow()).isEqualTo(4.33e5, within(0.35e5));
    }

    @Test
    void onePulseOfNoiseIsNoPeak() {
        SessionFigures f = figures(i -> i == 600 ? 450 : oil(i), NOTHING, NOTHING, NOTHING);
        assertThat(f.peakK().orElseThrow()).isLessThan(PLATEAU + 8);
    }

    @Test
    void coolantIsReadAtItsHighest() {
        double[] coolant = cells(i -> i > 500 && i < 560 ? 372 : 365);
        assertThat(figures(SessionFiguresTest::oil, NOTHING, coolant, NOTHING)
                        .peakCoolantK()
                        .orElseThrow())
                .isEqualTo(372, within(1e-9));
    }

    @Test
    void aSessionThatNeverSettledHasNoPlateauAndWhatHangsOnIt() {
        SessionFigures f = figures(i -> 340 + 0.06 * i, NOTHING, NOTHING, NOTHING);
        assertThat(f.plateauK()).isEmpty();
        assertThat(f.toPlateau()).isEmpty();
        assertThat(f.heat()).isEmpty();
        assertThat(f.recovery()).isEmpty();
        assertThat(f.peakK()).isPresent();
    }

    @Test
    void aSensorThatReadsNothingSpoilsNothing() {
        SessionFigures f = figures(i -> i % 5 == 0 ? Double.NaN : oil(i), NOTHING, NOTHING, NOTHING);
        assertThat(f.peakK().orElseThrow()).isEqualTo(PLATEAU, within(0.3));
        assertThat(figures(i -> Double.NaN, NOTHING, NOTHING, NOTHING).peakK()).isEmpty();
    }
}
