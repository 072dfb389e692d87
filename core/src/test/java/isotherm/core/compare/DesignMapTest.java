package isotherm.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.ClimbDuty;
import isotherm.core.duty.Trailer;
import isotherm.core.fluid.Units;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Simulator;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class DesignMapTest {
    private static final Car CAR = DemoCars.car();
    private static final Design DESIGN = DemoCars.design(16, Place.GRILLE_AHEAD);

    @Test
    void everyPointIsTheSessionOfThatPoint() {
        var duty = DemoCars.session(4);
        var x = DesignMap.Scale.even(DesignMap.Axis.ROWS, 8, 24, 5);
        var y = DesignMap.Scale.even(DesignMap.Axis.AMBIENT, Units.kelvin(10), Units.kelvin(40), 4);
        DesignMap.Result map = DesignMap.of(CAR, duty, DESIGN, x, y, () -> false);
        double alone = Simulator.run(
                        CAR,
                        duty.withWeather(new isotherm.core.duty.Weather(Units.kelvin(20), 240)),
                        DESIGN.withCore(DESIGN.cooler().orElseThrow().core().withRows(20)))
                .peak();
        assertThat(map.peak()[1][3]).isEqualTo(alone);
        for (int row = 0; row < 4; row++) {
            for (int column = 1; column < 5; column++) {
                assertThat(map.peak()[row][column]).isLessThanOrEqualTo(map.peak()[row][column - 1] + 0.05);
            }
        }
    }

    @ParameterizedTest
    @EnumSource(DesignMap.Axis.class)
    void everyAxisMovesTheOutcome(DesignMap.Axis axis) {
        var climb = ClimbDuty.even(9000, 0.09, 20, new Trailer(1500, 1.5), 200, DemoCars.DAY);
        double[] ends =
                switch (axis) {
                    case ROWS -> new double[] {7, 30};
                    case WIDTH -> new double[] {0.15, 0.4};
                    case SHADE -> new double[] {0, 0.8};
                    case SEALING -> new double[] {0.2, 0.95};
                    case OPENING -> new double[] {0.004, 0.05};
                    case THERMOSTAT -> new double[] {Units.kelvin(75), Units.kelvin(110)};
                    case AMBIENT -> new double[] {280, 310};
                    case POWER -> new double[] {60e3, 250e3};
                    case SPEED -> new double[] {10, 25};
                    case FAN_FLOW -> new double[] {0.05, 1};
                };
        Design design = DemoCars.design(16, Place.UNDER_FLOOR);
        var map = DesignMap.of(
                CAR,
                climb,
                design,
                new DesignMap.Scale(axis, ends),
                new DesignMap.Scale(
                        axis == DesignMap.Axis.SHADE ? DesignMap.Axis.SEALING : DesignMap.Axis.SHADE,
                        new double[] {0.5}),
                () -> false);
        assertThat(Math.abs(map.plateau()[0][1] - map.plateau()[0][0])).isGreaterThan(0.05);
    }

    @Test
    void canBeCancelled() {
        assertThatThrownBy(() -> DesignMap.of(
                        CAR,
                        DemoCars.session(4),
                        DESIGN,
                        DesignMap.Scale.even(DesignMap.Axis.ROWS, 8, 24, 5),
                        DesignMap.Scale.even(DesignMap.Axis.SHADE, 0, 0.5, 5),
                        () -> true))
                .isInstanceOf(CancellationException.class);
    }
}
