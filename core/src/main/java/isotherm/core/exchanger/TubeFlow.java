package isotherm.core.exchanger;

/** Flow and heat transfer inside a plain round tube. */
public final class TubeFlow {
    private TubeFlow() {}

    /**
     * Darcy friction factor over laminar, transitional and turbulent flow. Source: Churchill, Chem. Eng. 84 (1977) 91.
     *
     * @param re Reynolds number, above 0
     * @param relativeRoughness roughness over diameter, 0 to 0.05
     * @return Darcy friction factor
     */
    public static double churchill(double re, double relativeRoughness) {
        double a = Math.pow(2.457 * Math.log(1 / (Math.pow(7 / re, 0.9) + 0.27 * relativeRoughness)), 16);
        double b = Math.pow(37_530 / re, 16);
        double laminar = Math.pow(8 / re, 12);
        return 8 * Math.pow(laminar + Math.pow(a + b, -1.5), 1.0 / 12);
    }

    /**
     * @param re Reynolds number, above 0
     * @return Fanning friction factor of a smooth tube
     */
    static double fanning(double re) {
        return churchill(re, 0) / 4;
    }

    /**
     * Mean Nusselt number. Laminar thermal entry after Hausen (1943), turbulent after Gnielinski (1976), joined
     * linearly between Reynolds numbers 2300 and 4000.
     *
     * @param re Reynolds number, 0 or more
     * @param prandtl Prandtl number
     * @param diameterOverLength tube diameter over heated length
     * @return mean Nusselt number
     */
    public static double nusselt(double re, double prandtl, double diameterOverLength) {
        if (re <= 2300) {
            return laminar(re, prandtl, diameterOverLength);
        }
        if (re >= 4000) {
            return turbulent(re, prandtl);
        }
        double share = (re - 2300) / 1700;
        return (1 - share) * laminar(2300, prandtl, diameterOverLength) + share * turbulent(4000, prandtl);
    }

    private static double laminar(double re, double prandtl, double diameterOverLength) {
        double gz = diameterOverLength * re * prandtl;
        return 3.66 + 0.0668 * gz / (1 + 0.04 * Math.cbrt(gz * gz));
    }

    private static double turbulent(double re, double prandtl) {
        double f = Math.pow(0.79 * Math.log(re) - 1.64, -2) / 8;
        return f * (re - 1000) * prandtl / (1 + 12.7 * Math.sqrt(f) * (Math.cbrt(prandtl * prandtl) - 1));
    }
}
