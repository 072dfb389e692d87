package isotherm.core.fit;

import isotherm.core.car.Car;
import isotherm.core.simulate.Belief;

/**
 * Something that was read on a car, with its own error: what the model expects there for a car with given numbers, and what was
 * read. All kinds are used together by {@link Learning}.
 */
public interface Evidence {
    /**
     * What the model expects to be read.
     *
     * @param values one for each reading, in the readings' unit
     * @param rise of each value with what the model leaves out of the session, in the readings' unit: for a temperature its rise
     *     over the air; 0 where nothing is left out
     */
    record Expected(double[] values, double[] rise) {}

    /**
     * @param car the car with the numbers that are tried
     * @return what it would read
     */
    Expected expected(Car car);

    /** @return what was read, one for each reading; NaN where nothing was, as in a measurement that is only thought of */
    double[] observed();

    /** @return standard deviation of each reading's own error, above 0 */
    double[] deviation();

    /** @return standard deviation of the share of the rise that the model leaves out of this evidence, above 0 */
    default double discrepancy() {
        return Belief.DISCREPANCY;
    }
}
