package isotherm.core.sheetmetal;

/**
 * One bend of a sheet, on the middle of its thickness.
 *
 * @param at where its middle lies on the flat pattern, m from the pattern's first end
 * @param angle by which the sheet is turned, rad; positive towards its upper face
 * @param allowance length of flat sheet that goes into it, m
 */
public record Bend(double at, double angle, double allowance) {
    private static final double OFFSET = 0.65;
    private static final double SLOPE = 0.5;

    /**
     * Where the fibre lies that keeps its length, as a share of the thickness from the inner face. Source: DIN 6935, whose
     * correction k = 0.65 + 0.5 log10(r/s), at most 1, stands for twice this share.
     *
     * @param radius inner radius, m, above 0
     * @param thickness m, above 0
     * @return share of the thickness, 0 to 0.5
     */
    public static double kFactor(double radius, double thickness) {
        double k = OFFSET + SLOPE * Math.log10(radius / thickness);
        return Math.max(0, Math.min(1, k)) / 2;
    }

    /**
     * @param angle by which the sheet is turned, rad, 0 or more
     * @param radius inner radius, m
     * @param thickness m
     * @param kFactor share of the thickness at which the fibre lies that keeps its length
     * @return length of flat sheet that goes into the bend, m
     */
    public static double allowance(double angle, double radius, double thickness, double kFactor) {
        return angle * (radius + kFactor * thickness);
    }
}
