package isotherm.core.exchanger;

import java.util.List;

/**
 * Heat transfer and friction of corrugated louvred fins between flat tubes or plates.
 *
 * <p>Sources: j from Chang and Wang, Int. J. Heat Mass Transfer 40 (1997) 533–544, fitted for louvre-pitch Reynolds
 * numbers 30 to 5000; f from Chang, Hsu, Lin and Wang, ibid. 43 (2000) 2237–2243, low range to 130 and high range from 230.
 * Below the fit (louvre Reynolds numbers under 30) friction continues as Re⁻¹: the fit's own logarithm would let the pressure
 * loss rise as the flow falls. The two ranges do not meet: for cores like ours the high one begins 40 to 60 % above the low one's
 * end, and the authors' join (ibid. 49 (2006) 4250–4253) lets friction rise with Re where no boundary layer does. Here friction
 * never rises with Re: below 230 it does not fall under what the high range begins with, which errs on the side of less air.
 *
 * @param finPitch F_p, m
 * @param finHeight F_l, the gap between two plates, m
 * @param finThickness δ_f, m
 * @param louvrePitch L_p, m
 * @param louvreLength L_l, m, less than the fin height
 * @param louvreAngle θ, degrees, 15 to 35
 * @param tubePitch T_p, m
 * @param tubeHeight D_m, outer height of the flat tube or oil passage, m
 * @param depth T_d, flow depth, m
 */
public record LouvredFin(
        double finPitch,
        double finHeight,
        double finThickness,
        double louvrePitch,
        double louvreLength,
        double louvreAngle,
        double tubePitch,
        double tubeHeight,
        double depth) {

    /** Lowest louvre-pitch Reynolds number of the fit. */
    public static final double RE_LOW = 30;
    /** Highest louvre-pitch Reynolds number of the fit. */
    public static final double RE_HIGH = 5000;

    private static final double JOIN = 230;

    /**
     * @param re Reynolds number on louvre pitch
     * @return Colburn factor j
     */
    public double colburn(double re) {
        return colburnCoefficient() * Math.pow(re, -0.49);
    }

    /** @return j·Re^0.49, the part of the Colburn factor that only the geometry decides */
    double colburnCoefficient() {
        return Math.pow(louvreAngle / 90, 0.27)
                * Math.pow(finPitch / louvrePitch, -0.14)
                * Math.pow(finHeight / louvrePitch, -0.29)
                * Math.pow(depth / louvrePitch, -0.23)
                * Math.pow(louvreLength / louvrePitch, 0.68)
                * Math.pow(tubePitch / louvrePitch, -0.28)
                * Math.pow(finThickness / louvrePitch, -0.05);
    }

    /**
     * @param re Reynolds number on louvre pitch
     * @return Fanning friction factor f
     */
    public double friction(double re) {
        return worked().friction(re);
    }

    /** @return it with what only the geometry decides worked out once */
    Worked worked() {
        double high = highCoefficient();
        return new Worked(this, colburnCoefficient(), lowCoefficient(), high, high * highShape(JOIN));
    }

    /**
     * A fin whose coefficients are worked out.
     *
     * @param fin the fin
     * @param colburn j·Re^0.49
     * @param low coefficient of friction at low Reynolds numbers
     * @param high coefficient of friction at high Reynolds numbers
     * @param floor friction with which the high range begins
     */
    record Worked(LouvredFin fin, double colburn, double low, double high, double floor) implements AirFin {
        private static final Fit FIT = new Fit(RE_LOW, RE_HIGH, "Chang and Wang 1997");

        @Override
        public double reynoldsLength() {
            return fin.louvrePitch;
        }

        @Override
        public double colburn(double re) {
            return colburn * Math.pow(re, -0.49);
        }

        @Override
        public double friction(double re) {
            if (re >= JOIN) {
                return high * fin.highShape(re);
            }
            double fromLow = re < RE_LOW ? low * fin.lowShape(RE_LOW) * RE_LOW / re : low * fin.lowShape(re);
            return Math.max(fromLow, floor);
        }

        @Override
        public Fit fit() {
            return FIT;
        }

        @Override
        public List<Validity> dimensions() {
            return fin.dimensions(FIT.source());
        }
    }

    /** Ranges of the 91 samples, Chang and Wang 1997, table 1. */
    private List<Validity> dimensions(String source) {
        return List.of(
                new Validity("fin pitch", finPitch * 1e3, 0.51, 3.33, "mm", source),
                new Validity("fin height", finHeight * 1e3, 2.84, 20, "mm", source),
                new Validity("fin thickness", finThickness * 1e3, 0.0254, 0.16, "mm", source),
                new Validity("louvre pitch", louvrePitch * 1e3, 0.5, 3, "mm", source),
                new Validity("louvre length", louvreLength * 1e3, 2.13, 18.5, "mm", source),
                new Validity("louvre angle", louvreAngle, 8.4, 35, "°", source),
                new Validity("row pitch", tubePitch * 1e3, 7.51, 25, "mm", source),
                new Validity("depth", depth * 1e3, 15.6, 57.4, "mm", source));
    }

    private double hydraulicDiameter() {
        double open = (finPitch - finThickness) * (finHeight - finThickness);
        return 2 * open / ((finPitch - finThickness) + (finHeight - finThickness));
    }

    /** f over {@link #lowShape}, the part that only the geometry decides. */
    double lowCoefficient() {
        return 14.39
                * Math.pow(Math.log(1 + finPitch / louvrePitch), 3.04)
                * Math.pow(Math.log(Math.pow(finThickness / finPitch, 0.48) + 0.9), -1.435)
                * Math.pow(hydraulicDiameter() / louvrePitch, -3.01)
                * Math.pow(finPitch / louvreLength, -0.308)
                * Math.pow(depth / louvreLength, -0.308)
                * Math.exp(-0.1167 * tubePitch / tubeHeight)
                * Math.pow(louvreAngle, 0.35);
    }

    double lowShape(double re) {
        return Math.pow(re, -0.805 * finPitch / finHeight) * Math.pow(Math.log(0.5 * re), -3.01);
    }

    /** f over {@link #highShape}, the part that only the geometry decides. */
    double highCoefficient() {
        return 4.97
                * Math.pow(Math.log(Math.pow(finThickness / finPitch, 0.5) + 0.9), -0.527)
                * Math.pow(hydraulicDiameter() / louvrePitch, -2.966)
                * Math.pow(finPitch / louvreLength, -0.7931 * tubePitch / (tubePitch - tubeHeight))
                * Math.pow(tubePitch / tubeHeight, -0.0446)
                * Math.pow(Math.log(1.2 + Math.pow(louvrePitch / finPitch, 1.4)), -3.553)
                * Math.pow(louvreAngle, -0.477);
    }

    double highShape(double re) {
        return Math.pow(re, 0.6049 - 1.064 / Math.pow(louvreAngle, 0.2)) * Math.pow(Math.log(0.3 * re), -2.966);
    }
}
