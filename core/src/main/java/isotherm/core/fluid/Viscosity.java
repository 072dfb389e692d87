package isotherm.core.fluid;

/**
 * Kinematic viscosity of a petroleum oil over temperature, through two known points.
 *
 * <p>Source: ASTM D341, with the low-viscosity terms that make it hold down to 0.21 cSt.
 */
public final class Viscosity {
    private final double a;
    private final double b;

    private Viscosity(double a, double b) {
        this.a = a;
        this.b = b;
    }

    /**
     * The line through two measured points.
     *
     * @param cst1 kinematic viscosity at {@code kelvin1}, cSt, above 0.21
     * @param kelvin1 first temperature, K
     * @param cst2 kinematic viscosity at {@code kelvin2}, cSt, above 0.21
     * @param kelvin2 second temperature, K, unlike the first
     * @return the viscosity line
     * @throws IllegalArgumentException when the points do not define a line that falls with temperature
     */
    public static Viscosity through(double cst1, double kelvin1, double cst2, double kelvin2) {
        if (!(cst1 > 0.21 && cst2 > 0.21) || (kelvin1 - kelvin2) * (cst2 - cst1) <= 0) {
            throw new IllegalArgumentException("Viscosity has to fall between the two temperatures: " + cst1
                    + " cSt at " + kelvin1 + " K, " + cst2 + " cSt at " + kelvin2 + " K");
        }
        double y1 = logLogZ(cst1);
        double y2 = logLogZ(cst2);
        double x1 = Math.log10(kelvin1);
        double x2 = Math.log10(kelvin2);
        double slope = (y1 - y2) / (x2 - x1);
        return new Viscosity(y1 + slope * x1, slope);
    }

    private static double logLogZ(double cst) {
        return Math.log10(Math.log10(z(cst)));
    }

    private static double z(double cst) {
        return cst + 0.7 + Math.exp(-1.47 - 1.84 * cst - 0.51 * cst * cst);
    }

    /**
     * @param kelvin temperature, K; the standard is fitted for petroleum oils from about 250 to 450 K
     * @return kinematic viscosity, cSt (mm²/s)
     */
    public double cstAt(double kelvin) {
        double z = Math.pow(10, Math.pow(10, a - b * Math.log10(kelvin)));
        double w = z - 0.7;
        return w - Math.exp(-0.7487 - 3.295 * w + 0.6119 * w * w - 0.3193 * w * w * w);
    }
}
