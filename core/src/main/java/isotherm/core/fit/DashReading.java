package isotherm.core.fit;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;

/**
 * The highest oil temperature that the dash has shown over a duty, read by a person.
 *
 * @param design the design that was driven
 * @param duty what was driven, with the day's air
 * @param shownK what the dash showed, K; NaN for a reading that is only thought of
 * @param errorK standard deviation of the reading, K, above 0: what the needle leaves open and what the duty as written differs
 *     from what was driven
 */
public record DashReading(Design design, Duty duty, double shownK, double errorK) implements Evidence {
    /** Usual error of a dash read by eye over a duty that was driven about as written, K (default). */
    public static final double ERROR = 3;

    @Override
    public Expected expected(Car car) {
        Session s = Simulator.run(car, duty, design);
        double peak = 0;
        for (int i = 0; i < s.oil().length; i++) {
            peak = Math.max(peak, s.at(car.sensor(), i));
        }
        double shown = car.shown(peak);
        return new Expected(
                new double[] {shown}, new double[] {shown - duty.weather().ambientK()});
    }

    @Override
    public double[] observed() {
        return new double[] {shownK};
    }

    @Override
    public double[] deviation() {
        return new double[] {errorK};
    }
}
