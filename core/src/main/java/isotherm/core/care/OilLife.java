package isotherm.core.care;

import isotherm.core.fluid.Units;

/**
 * How much of an oil's life a session takes: hours at 100 °C that age it as much. Oxidation about doubles for every 10 K (the
 * usual rule after Arrhenius, in the range of engine oils); an estimate, which an oil analysis beats.
 */
public final class OilLife {
    /** Temperature at which an hour counts as one, K. */
    public static final double REFERENCE = Units.kelvin(100);
    /** It ages twice as fast for so many kelvin more. */
    public static final double DOUBLING = 10;

    private OilLife() {}

    /**
     * @param oilK oil temperature at equal times, K; NaN where nothing was read
     * @param step time between them, s
     * @return hours at 100 °C that age it as much
     */
    public static double hours(double[] oilK, double step) {
        double seconds = 0;
        for (double t : oilK) {
            if (Double.isFinite(t)) {
                seconds += step * Math.pow(2, (t - REFERENCE) / DOUBLING);
            }
        }
        return seconds / 3600;
    }
}
