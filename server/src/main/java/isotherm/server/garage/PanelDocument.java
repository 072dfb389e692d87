package isotherm.server.garage;

import isotherm.core.exchanger.CoreLayout;
import isotherm.core.line.Direction;
import isotherm.core.nose.Placement;
import isotherm.core.sheetmetal.Panel;
import isotherm.core.sheetmetal.SheetMaterial;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.OptionalDouble;

/**
 * A piece of sheet that leads air: a side of a shroud, or a deflector.
 *
 * @param mark what is scribed on it
 * @param car its edge on the car
 * @param core its edge on the core
 * @param sheet what it is made of
 * @param thicknessMm thickness
 * @param radiusMm inner radius of its bends
 * @param holeMm diameter of its holes
 * @param holes holes in each flange
 * @param kFactor where the fibre lies that keeps its length
 */
public record PanelDocument(
        @Text(value = "what is scribed on it", min = 1, max = 8) String mark,
        @Text("its edge on the car") CarEdgeDocument car,
        @Text("its edge on the core, or beside it") CoreEdgeDocument core,
        @Text("what it is made of") SheetMaterial sheet,
        @Quantity(value = "thickness", min = 0.5, max = 4, unit = "mm") double thicknessMm,
        @Quantity(value = "inner radius of its bends", min = 0.5, max = 20, unit = "mm") double radiusMm,
        @Quantity(value = "diameter of its holes", min = 3, max = 12, unit = "mm") double holeMm,
        @Quantity(value = "holes in each flange", min = 1, max = 12) int holes,
        @Missing("by DIN 6935")
                @Quantity(
                        value = "share of the thickness at which the fibre lies that keeps its length",
                        min = 0,
                        max = 0.5)
                Double kFactor) {
    /** An edge on the car. */
    public record CarEdgeDocument(
            @Text("one end") PlumbingDocument.PointDocument from,
            @Text("the other end") PlumbingDocument.PointDocument to,
            @Text("which way the face looks that its flange lies on") Direction faces,
            @Quantity(value = "width of its flange, 0 for none", min = 0, max = 80, unit = "mm") double flangeMm) {}

    /** An edge on the core, in the core's own axes. */
    public record CoreEdgeDocument(
            @Text("one end, beside that of the car's edge") CorePointDocument from,
            @Text("the other end") CorePointDocument to,
            @Text("which way the face looks that its flange lies on") CoreLayout.Pointing faces,
            @Quantity(value = "width of its flange, 0 for none", min = 0, max = 80, unit = "mm") double flangeMm) {}

    /** A point at the core. */
    public record CorePointDocument(
            @Quantity(value = "right of the middle of the face", min = -1000, max = 1000, unit = "mm") double xMm,
            @Quantity(value = "above the middle of the face", min = -800, max = 800, unit = "mm") double yMm,
            @Quantity(value = "behind the front face", min = -400, max = 400, unit = "mm") double zMm) {}

    /**
     * @param at where the core is
     * @return it for {@code core}
     */
    public Panel toCore(Placement at) {
        CorePointDocument from = core.from();
        CorePointDocument to = core.to();
        return new Panel(
                mark,
                new Panel.Edge(
                        car.from().toCore(), car.to().toCore(), car.faces().unit(), car.flangeMm() * 1e-3),
                new Panel.Edge(
                        at.inCar(from.xMm() * 1e-3, from.yMm() * 1e-3, from.zMm() * 1e-3),
                        at.inCar(to.xMm() * 1e-3, to.yMm() * 1e-3, to.zMm() * 1e-3),
                        at.directionInCar(
                                core.faces().x(), core.faces().y(), core.faces().z()),
                        core.flangeMm() * 1e-3),
                holeMm * 1e-3,
                holes,
                sheet,
                thicknessMm * 1e-3,
                radiusMm * 1e-3,
                kFactor == null ? OptionalDouble.empty() : OptionalDouble.of(kFactor));
    }
}
