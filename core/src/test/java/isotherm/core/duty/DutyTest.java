package isotherm.core.duty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.heat.Aspiration;
import isotherm.core.heat.Engine;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class DutyTest {
    private static final Engine ENGINE = new Engine(Aspiration.TURBO, 200e3, 2e-3, 6800, 850, true, 1e5);
    private static final Vehicle CAR = new Vehicle(1400, 0.7, 0.013, List.of(2.3, 3.9, 5.6, 7.5, 9.6, 11.6));
    private static final Weather DAY = new Weather(293, 100);

    @Test
    void roadLoadIsWhatItsPartsAddUpTo() {
        double rho = 1.2;
        double v = 30;
        double drag = rho / 2 * 0.7 * v * v;
        double slope = Math.atan(0.05);
        double weight = 1400 * 9.81;
        double force = drag + weight * (0.013 * Math.cos(slope) + Math.sin(slope)) + 1400 * 1.05 * 1.5;
        assertThat(CAR.brakePower(v, 1.5, 0.05, 0, 0, rho)).isCloseTo(force * v / 0.9, within(1e-6));
        assertThat(CAR.brakePower(v, -8, 0, 0, 0, rho)).isZero();
        assertThat(CAR.brakePower(v, 0, 0.05, 1000, 0.5, rho))
                .isGreaterThan(1.5 * CAR.brakePower(v, 0, 0.05, 0, 0, rho));
    }

    @Test
    void aLapIsAsLongAsItsStretches() {
        List<TrackDuty.Stretch> lap = List.of(
                new TrackDuty.Stretch(400, 25, 50),
                new TrackDuty.Stretch(100, 50, 25),
                new TrackDuty.Stretch(200, 25, 25));
        DemandTrace d = new TrackDuty(lap, new TrackDuty.Plan(0, 3, 0, 0, 1), DAY).demand(CAR, ENGINE);
        double metres = Arrays.stream(d.speed()).sum() * d.cell();
        assertThat(metres).isCloseTo(3 * 700, within(30.0));
        assertThat(Arrays.stream(d.brakePower()).max().orElseThrow()).isLessThanOrEqualTo(200e3 + 1e-6);
        assertThat(Arrays.stream(d.rpm()).max().orElseThrow()).isLessThanOrEqualTo(6800);
        assertThat(d.phases()).extracting(DemandTrace.Phase::name).containsExactly("lap 1", "lap 2", "lap 3");
    }

    @Test
    void pitsStandStillAtIdle() {
        List<TrackDuty.Stretch> lap = List.of(new TrackDuty.Stretch(500, 30, 30));
        DemandTrace d = new TrackDuty(lap, new TrackDuty.Plan(0, 1, 0, 60, 2), DAY).demand(CAR, ENGINE);
        assertThat(d.speed()[d.cells() - 2]).isZero();
        assertThat(d.rpm()[d.cells() - 2]).isEqualTo(850);
        assertThat(d.phases()).hasSize(4);
    }

    @Test
    void aClimbThatIsTooSteepIsDrivenSlowerAtTheSustainedPower() {
        ClimbDuty climb = ClimbDuty.even(5000, 0.15, 60, new Trailer(3000, 2), 0, DAY);
        DemandTrace d = climb.demand(CAR, ENGINE);
        int mid = d.cells() / 2;
        assertThat(d.speed()[mid]).isLessThan(40);
        assertThat(d.brakePower()[mid]).isCloseTo(ClimbDuty.SUSTAINED_SHARE * 200e3, within(200.0));
        double metres = Arrays.stream(d.speed()).sum() * d.cell();
        assertThat(metres).isCloseTo(5000, within(60.0));
    }

    @Test
    void thinnerAirTakesLessPowerToDriveThrough() {
        CruiseDuty low = new CruiseDuty(40, 600, new Weather(293, 0));
        double below = low.demand(CAR, ENGINE).brakePower()[10];
        double above =
                low.withWeather(new Weather(293, 2500)).demand(CAR, ENGINE).brakePower()[10];
        assertThat(above).isLessThan(below);
    }

    @Test
    void aLogIsDrivenAsItWasWithPowerFromItsSpeed() {
        int n = 300;
        double[] time = new double[n];
        double[] speed = new double[n];
        for (int i = 0; i < n; i++) {
            time[i] = 5 + 0.2 * i;
            speed[i] = 10 + 0.5 * 0.2 * i;
        }
        LogDuty log = log(time, speed, new double[0], new double[] {5, 30});
        DemandTrace d = log.demand(CAR, ENGINE);
        assertThat(d.cells()).isEqualTo(59);
        assertThat(d.speed()[20]).isCloseTo(10 + 0.5 * 20.5, within(1e-9));
        double rho = isotherm.core.fluid.Air.density(293, DAY.pressure());
        assertThat(d.brakePower()[20]).isCloseTo(CAR.brakePower(d.speed()[20], 0.5, 0, 0, 0, rho), within(1.0));
        assertThat(d.phases()).extracting(DemandTrace.Phase::start).containsExactly(0.0, 25.0);
        assertThat(log.gaps()).isEmpty();
    }

    @Test
    void aLogWhoseTimesDoNotRiseIsRefused() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new LogDuty(
                        new double[] {0, 2, 2},
                        new double[3],
                        new double[0],
                        new double[0],
                        new double[0],
                        new double[0],
                        Trailer.NONE,
                        Duty.Start.WARM,
                        DAY))
                .withMessageContaining("row 3");
    }

    @Test
    void aStopIdlesAndThenStands() {
        SoakDuty soak = new SoakDuty(60, 120, new Duty.Start(390, 370), DAY);
        DemandTrace d = soak.demand(CAR, ENGINE);
        assertThat(d.cells()).isEqualTo(180);
        assertThat(d.rpm()[30]).isEqualTo(850);
        assertThat(d.rpm()[150]).isZero();
        assertThat(soak.start().oilK()).isEqualTo(390);
    }

    private static LogDuty log(double[] time, double[] speed, double[] elevation, double[] laps) {
        return new LogDuty(
                time, speed, new double[0], new double[0], elevation, laps, Trailer.NONE, Duty.Start.WARM, DAY);
    }

    @Test
    void theGradientOfALogComesFromItsHeights() {
        int n = 200;
        double[] time = new double[n];
        double[] speed = new double[n];
        double[] height = new double[n];
        for (int i = 0; i < n; i++) {
            time[i] = i;
            speed[i] = 20;
            height[i] = 300 + 0.06 * 20 * i;
        }
        double rho = isotherm.core.fluid.Air.density(293, DAY.pressure());
        DemandTrace d = log(time, speed, height, new double[0]).demand(CAR, ENGINE);
        assertThat(d.brakePower()[100]).isCloseTo(CAR.brakePower(20, 0, 0.06, 0, 0, rho), within(1.0));
        DemandTrace level = log(time, speed, new double[0], new double[0]).demand(CAR, ENGINE);
        assertThat(level.brakePower()[100]).isCloseTo(CAR.brakePower(20, 0, 0, 0, 0, rho), within(1.0));
    }

    @Test
    void aClimbOfSeveralSlopesIsDrivenSlopeBySlope() {
        List<ClimbDuty.Slope> slopes = List.of(
                new ClimbDuty.Slope(1000, 0.03), new ClimbDuty.Slope(1500, 0.08), new ClimbDuty.Slope(500, -0.02));
        DemandTrace d = new ClimbDuty(slopes, 20, new Trailer(1200, 1), 0, DAY).demand(CAR, ENGINE);
        assertThat(d.duration()).isCloseTo(150, within(1.5));
        assertThat(d.brakePower()[60]).isGreaterThan(1.8 * d.brakePower()[20]);
        assertThat(d.brakePower()[140]).isLessThan(d.brakePower()[20]);
    }
}
