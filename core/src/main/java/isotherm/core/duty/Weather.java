package isotherm.core.duty;

import isotherm.core.fluid.Air;

/**
 * The air on the day.
 *
 * @param ambientK air temperature, K
 * @param altitude mean height above sea level, m
 */
public record Weather(double ambientK, double altitude) {
    /** @return absolute air pressure by the standard atmosphere, Pa */
    public double pressure() {
        return Air.standardPressure(altitude);
    }
}
