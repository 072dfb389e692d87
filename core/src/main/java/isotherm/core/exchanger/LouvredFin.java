package isotherm.core.exchanger;

/**
 * Heat transfer and friction of corrugated louvred fins between flat tubes or plates.
 *
 * <p>Sources: j from Chang and Wang, Int. J. Heat Mass Transfer 40 (1997) 533–544, fitted for louvre-pitch Reynolds
 * numbers 30 to 5000; f from Chang, Hsu, Lin and Wang, ibid. 43 (2000) 2237–2243, its two ranges joined between 130 and
 * 230 as in the authors' amendment, ibid. 49 (2006) 4250–4253. Below the fit (louvre Reynolds numbers under 30) friction
 * continues as Re⁻¹: the fit's own logarithm would let the pressure loss rise as the flow falls. Across the join friction may rise
 * with Re, as the two fits do not meet; the pressure loss rises all the way.
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

    private static final double JOIN_LOW = 130;
    private static final double JOIN_HIGH = 230;

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
        return friction(re, lowCoefficient(), highCoefficient());
    }

    /** @return it with what only the geometry decides worked out once */
    Worked worked() {
        return new Worked(this, colburnCoefficient(), lowCoefficient(), highCoefficient());
    }

    /**
     * A fin whose coefficients are worked out.
     *
     * @param fin the fin
     * @param colburn j·Re^0.49
     * @param low coefficient of friction at low Reynolds numbers
     * @param high coefficient of friction at high Reynolds numbers
     */
    record Worked(LouvredFin fin, double colburn, double low, double high) implements AirFin {
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
            return fin.friction(re, low, high);
        }

        @Override
        public Fit fit() {
            return FIT;
        }
    }

    /** The same with the geometry's two coefficients worked out before. */
    double friction(double re, double low, double high) {
        if (re < RE_LOW) {
            return low * lowShape(RE_LOW) * RE_LOW / re;
        }
        if (re <= JOIN_LOW) {
            return low * lowShape(re);
        }
        if (re >= JOIN_HIGH) {
            return high * highShape(re);
        }
        double w = 3.6 - 0.02 * re;
        double fromLow = low * lowShape(JOIN_LOW);
        double fromHigh = high * highShape(JOIN_HIGH);
        return Math.sqrt(((1 + w) * fromLow * fromLow + (1 - w) * fromHigh * fromHigh) / 2);
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
