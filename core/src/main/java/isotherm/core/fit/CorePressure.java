package isotherm.core.fit;

import isotherm.core.airflow.MeasuredPressure;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Weather;

/**
 * A pressure read across the core on the road with the fans standing: it teaches how much of the air pressure arrives.
 *
 * @param design the design that was driven, with a cooler
 * @param weather the day's air
 * @param read pressure and road speed
 */
public record CorePressure(Design design, Weather weather, MeasuredPressure read) implements Evidence {
    /** Usual error of a manometer's hose ends beside a core, as a share of what it reads (default). */
    private static final double ERROR = 0.1;

    @Override
    public Expected expected(Car car) {
        return new Expected(new double[] {acrossCore(car)}, new double[] {0});
    }

    /** With the fans standing. */
    private double acrossCore(Car car) {
        return new CoreAir(car, design, weather).at(read.speed(), false, false);
    }

    @Override
    public double[] observed() {
        return new double[] {read.pascal()};
    }

    @Override
    public double[] deviation() {
        return new double[] {ERROR * read.pascal()};
    }
}
