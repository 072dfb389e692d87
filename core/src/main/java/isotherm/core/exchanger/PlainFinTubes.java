package isotherm.core.exchanger;

import java.util.List;

/**
 * Heat transfer and friction of plain plate fins on staggered round tubes.
 *
 * <p>Source: Wang, Chi and Chang, Int. J. Heat Mass Transfer 43 (2000) 2693–2700; fitted for Reynolds numbers on the
 * collar diameter of 300 to 20 000, 1 to 6 tube rows in flow direction.
 *
 * @param collarDiameter D_c, m
 * @param transversePitch P_t, m
 * @param longitudinalPitch P_l, m
 * @param finPitch F_p, m
 * @param tubeRows N, tubes behind each other in the air stream
 * @param hydraulicDiameter D_h, m
 */
public record PlainFinTubes(
        double collarDiameter,
        double transversePitch,
        double longitudinalPitch,
        double finPitch,
        int tubeRows,
        double hydraulicDiameter)
        implements AirFin {

    /** Lowest collar Reynolds number of the fit. */
    public static final double RE_LOW = 300;
    /** Highest collar Reynolds number of the fit. */
    public static final double RE_HIGH = 20_000;

    private static final Fit FIT = new Fit(RE_LOW, RE_HIGH, "Wang, Chi and Chang 2000");

    @Override
    public double reynoldsLength() {
        return collarDiameter;
    }

    @Override
    public Fit fit() {
        return FIT;
    }

    /** Ranges of the 74 samples, Wang, Chi and Chang 2000, table 1. */
    @Override
    public List<Validity> dimensions() {
        return List.of(
                new Validity("tube diameter", collarDiameter * 1e3, 6.35, 12.7, "mm", FIT.source()),
                new Validity("tube pitch across", transversePitch * 1e3, 17.7, 31.75, "mm", FIT.source()),
                new Validity("tube pitch along", longitudinalPitch * 1e3, 12.4, 27.5, "mm", FIT.source()),
                new Validity("fin pitch", finPitch * 1e3, 1.19, 8.7, "mm", FIT.source()),
                new Validity("tube rows", tubeRows, 1, 6, "", FIT.source()));
    }

    /**
     * @param re Reynolds number on the collar diameter
     * @return Colburn factor j
     */
    @Override
    public double colburn(double re) {
        // The exponents are polynomials in ln Re and run away below the fit: continue j as Re^-0.5 from its edge.
        if (re < RE_LOW) {
            return colburn(RE_LOW) * Math.sqrt(RE_LOW / re);
        }
        double ln = Math.log(re);
        if (tubeRows == 1) {
            double p1 = 1.9 - 0.23 * ln;
            double p2 = -0.236 + 0.126 * ln;
            return 0.108
                    * Math.pow(re, -0.29)
                    * Math.pow(transversePitch / longitudinalPitch, p1)
                    * Math.pow(finPitch / collarDiameter, -1.084)
                    * Math.pow(finPitch / hydraulicDiameter, -0.786)
                    * Math.pow(finPitch / transversePitch, p2);
        }
        int n = tubeRows;
        double p3 = -0.361 - 0.042 * n / ln + 0.158 * Math.log(n * Math.pow(finPitch / collarDiameter, 0.41));
        double p4 = -1.224 - 0.076 * Math.pow(longitudinalPitch / hydraulicDiameter, 1.42) / ln;
        double p5 = -0.083 + 0.058 * n / ln;
        double p6 = -5.735 + 1.21 * Math.log(re / n);
        return 0.086
                * Math.pow(re, p3)
                * Math.pow(n, p4)
                * Math.pow(finPitch / collarDiameter, p5)
                * Math.pow(finPitch / hydraulicDiameter, p6)
                * Math.pow(finPitch / transversePitch, -0.93);
    }

    /**
     * @param re Reynolds number on the collar diameter
     * @return Fanning friction factor f
     */
    @Override
    public double friction(double re) {
        if (re < RE_LOW) {
            return friction(RE_LOW) * RE_LOW / re;
        }
        double ln = Math.log(re);
        double ratio = transversePitch / longitudinalPitch;
        double f1 = -0.764 + 0.739 * ratio + 0.177 * finPitch / collarDiameter - 0.00758 / tubeRows;
        double f2 = -15.689 + 64.021 / ln;
        double f3 = 1.696 - 15.695 / ln;
        return 0.0267 * Math.pow(re, f1) * Math.pow(ratio, f2) * Math.pow(finPitch / collarDiameter, f3);
    }
}
