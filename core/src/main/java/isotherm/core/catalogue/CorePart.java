package isotherm.core.catalogue;

import isotherm.core.exchanger.Construction;
import isotherm.core.exchanger.Core;
import java.util.ArrayList;
import java.util.List;

/**
 * A core that can be bought.
 *
 * @param maker an invented maker
 * @param number the maker's number
 * @param core the core
 * @param price price in the garage's currency
 */
public record CorePart(String maker, String number, Core core, double price) {
    /** Rows in which cores are sold. */
    public static final int[] ROWS = {7, 10, 13, 16, 19, 25, 30, 34};

    private static final double[] WIDTHS = {0.210, 0.280, 0.330};

    /** @return the cores of the shipped catalogue */
    public static List<CorePart> shipped() {
        List<CorePart> parts = new ArrayList<>();
        for (double width : WIDTHS) {
            for (int rows : ROWS) {
                int mm = (int) Math.round(width * 1000);
                Core plate = Core.stackedPlate(rows, width, 0.05);
                parts.add(new CorePart("Tarn & Fell", "TF" + rows + "-" + mm, plate, price(plate, 46, 310)));
                Core bar = Core.of(Construction.BAR_AND_PLATE, rows, width, 0.05);
                parts.add(new CorePart("Kestle Works", "KB" + rows + "-" + mm, bar, price(bar, 88, 520)));
            }
        }
        for (int tubes : new int[] {4, 6, 8, 10}) {
            Core tube = Core.of(Construction.TUBE_AND_FIN, tubes, 0.28, 0.04);
            parts.add(new CorePart("Osier Supply", "OT" + tubes, tube, price(tube, 30, 110)));
        }
        return List.copyOf(parts);
    }

    /**
     * @param width outside width that there is room for, m
     * @param height finned height that there is room for, m
     * @return whether it fits
     */
    public boolean fits(double width, double height) {
        return core.outsideWidth() <= width + 1e-9 && core.height() <= height + 1e-9;
    }

    /** A price that grows with the face, whole to the nearest unit. */
    private static double price(Core core, double base, double perSquareMetre10) {
        return Math.round(base + perSquareMetre10 * 10 * core.faceArea());
    }
}
