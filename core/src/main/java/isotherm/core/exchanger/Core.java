package isotherm.core.exchanger;

import java.util.Optional;

/**
 * An oil cooler core as a builder chooses it.
 *
 * @param construction how it is made
 * @param rows oil rows, 1 to 60
 * @param width finned width along the oil rows, between the tanks, m
 * @param depth along the air stream, m
 * @param passes 1, or 2 for both ports on one end
 * @param finish what is on the fins
 * @param ports where the ports point when fitted
 * @param detail the dimensions inside
 * @param sheet what its data sheet says of its outside; empty where it is made as usual
 */
public record Core(
        Construction construction,
        int rows,
        double width,
        double depth,
        int passes,
        Finish finish,
        Ports ports,
        CoreDetail detail,
        Optional<CoreSheet> sheet) {

    /** Checks that the choice can exist at all. */
    public Core {
        if (rows < 1 || passes < 1 || passes > 2 || rows < passes || !(width > 0) || !(depth > 0)) {
            throw new IllegalArgumentException(
                    "A core needs rows, one or two passes, a width and a depth: " + rows + ", " + passes);
        }
    }

    /**
     * A core whose outside is made as usual.
     *
     * @param construction how it is made
     * @param rows oil rows, 1 to 60
     * @param width finned width along the oil rows, between the tanks, m
     * @param depth along the air stream, m
     * @param passes 1, or 2 for both ports on one end
     * @param finish what is on the fins
     * @param ports where the ports point when fitted
     * @param detail the dimensions inside
     */
    public Core(
            Construction construction,
            int rows,
            double width,
            double depth,
            int passes,
            Finish finish,
            Ports ports,
            CoreDetail detail) {
        this(construction, rows, width, depth, passes, finish, ports, detail, Optional.empty());
    }

    /**
     * @param other what its data sheet says of its outside
     * @return this core with it
     */
    public Core withSheet(CoreSheet other) {
        return new Core(construction, rows, width, depth, passes, finish, ports, detail, Optional.of(other));
    }

    /** @return it as it is measured and drawn, seen from the front */
    public CoreLayout layout() {
        return CoreLayout.of(this);
    }

    /**
     * A bare stacked-plate core, single pass, ports up.
     *
     * @param rows oil rows
     * @param width finned width, m
     * @param depth along the air stream, m
     * @return the core with typical inner dimensions
     */
    public static Core stackedPlate(int rows, double width, double depth) {
        return of(Construction.STACKED_PLATE, rows, width, depth);
    }

    /**
     * A bare core of any construction, single pass, ports up.
     *
     * @param construction how it is made
     * @param rows oil rows
     * @param width finned width, m
     * @param depth along the air stream, m
     * @return the core with typical inner dimensions
     */
    public static Core of(Construction construction, int rows, double width, double depth) {
        return new Core(construction, rows, width, depth, 1, Finish.BARE, Ports.UP, CoreDetail.typical(construction));
    }

    /**
     * @param newRows oil rows
     * @return the same core with another number of rows, its outside as usual for them
     */
    public Core withRows(int newRows) {
        return new Core(construction, newRows, width, depth, passes, finish, ports, detail);
    }

    /**
     * @param newWidth finned width, m
     * @return the same core with another width, its outside as usual for it
     */
    public Core withWidth(double newWidth) {
        return new Core(construction, rows, newWidth, depth, passes, finish, ports, detail);
    }

    /**
     * @param newPasses 1 or 2
     * @return the same core with another number of passes
     */
    public Core withPasses(int newPasses) {
        return new Core(construction, rows, width, depth, newPasses, finish, ports, detail);
    }

    /**
     * @param other a core as it is fitted
     * @return this core with the other's finish and ports
     */
    public Core orientedLike(Core other) {
        return new Core(construction, rows, width, depth, passes, other.finish, other.ports, detail, sheet);
    }

    /** @return height of the air fins between two oil rows, m */
    public double finHeight() {
        return detail.rowPitch() - tubeHeight();
    }

    /** @return outer height of an oil row, m */
    public double tubeHeight() {
        return detail.oilGap() + 2 * detail.plate();
    }

    /** @return finned height: the rows, with fins above the last one, m */
    public double height() {
        return rows * detail.rowPitch() + finHeight();
    }

    /** @return finned face, m² */
    public double faceArea() {
        return width * height();
    }

    /** @return outside width with both tanks, m */
    public double outsideWidth() {
        return sheet.map(CoreSheet::outsideWidth).orElse(width + 2 * detail.tank());
    }

    /** @return outside height with both end plates, m */
    public double outsideHeight() {
        return sheet.map(CoreSheet::outsideHeight).orElse(height() + 2 * detail.endPlate());
    }

    /** @return oil inside the core, m³ */
    public double holdUp() {
        return CoreGeometry.of(this).holdUp();
    }

    /** @return dry mass of an aluminium core with tanks, kg */
    public double mass() {
        return CoreGeometry.of(this).mass();
    }
}
