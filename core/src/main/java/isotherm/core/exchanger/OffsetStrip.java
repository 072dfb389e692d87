package isotherm.core.exchanger;

import java.util.List;

/**
 * Heat transfer and friction of rectangular offset-strip fins, over laminar, transitional and turbulent flow.
 *
 * <p>Source: Manglik and Bergles, Exp. Thermal Fluid Sci. 10 (1995) 171–180; fitted for Reynolds numbers 120 to 10⁴.
 * Below that the laminar asymptote is followed.
 *
 * @param spacing s, clear spacing between fins, m
 * @param height h, clear fin height, m
 * @param thickness t, fin thickness, m
 * @param stripLength l, offset strip length, m
 */
public record OffsetStrip(double spacing, double height, double thickness, double stripLength) implements AirFin {

    /** Lowest Reynolds number of the fit. */
    public static final double RE_LOW = 120;
    /** Highest Reynolds number of the fit. */
    public static final double RE_HIGH = 10_000;

    private static final Fit FIT = new Fit(RE_LOW, RE_HIGH, "Manglik and Bergles 1995");

    @Override
    public double reynoldsLength() {
        return hydraulicDiameter();
    }

    @Override
    public Fit fit() {
        return FIT;
    }

    /** Ranges of the 18 cores, Manglik and Bergles 1995, table 1. */
    @Override
    public List<Validity> dimensions() {
        return List.of(
                new Validity("strip spacing over height", spacing / height, 0.134, 0.997, "", FIT.source()),
                new Validity("strip thickness over length", thickness / stripLength, 0.012, 0.048, "", FIT.source()),
                new Validity("strip thickness over spacing", thickness / spacing, 0.041, 0.121, "", FIT.source()));
    }

    /** @return hydraulic diameter as the correlation defines it, m */
    public double hydraulicDiameter() {
        double s = spacing;
        double h = height;
        double t = thickness;
        double l = stripLength;
        return 4 * s * h * l / (2 * (s * l + h * l + t * h) + t * s);
    }

    /**
     * @param re Reynolds number on the hydraulic diameter
     * @return Colburn factor j
     */
    @Override
    public double colburn(double re) {
        double alpha = spacing / height;
        double delta = thickness / stripLength;
        double gamma = thickness / spacing;
        double laminar = 0.6522
                * Math.pow(re, -0.5403)
                * Math.pow(alpha, -0.1541)
                * Math.pow(delta, 0.1499)
                * Math.pow(gamma, -0.0678);
        double turbulent = 5.269e-5
                * Math.pow(re, 1.340)
                * Math.pow(alpha, 0.504)
                * Math.pow(delta, 0.456)
                * Math.pow(gamma, -1.055);
        return laminar * Math.pow(1 + turbulent, 0.1);
    }

    /**
     * @param re Reynolds number on the hydraulic diameter
     * @return Fanning friction factor f
     */
    @Override
    public double friction(double re) {
        double alpha = spacing / height;
        double delta = thickness / stripLength;
        double gamma = thickness / spacing;
        double laminar = 9.6243
                * Math.pow(re, -0.7422)
                * Math.pow(alpha, -0.1856)
                * Math.pow(delta, 0.3053)
                * Math.pow(gamma, -0.2659);
        double turbulent = 7.669e-8
                * Math.pow(re, 4.429)
                * Math.pow(alpha, 0.920)
                * Math.pow(delta, 3.767)
                * Math.pow(gamma, 0.236);
        return laminar * Math.pow(1 + turbulent, 0.1);
    }
}
