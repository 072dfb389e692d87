package isotherm.server.garage;

import isotherm.core.exchanger.CoreLayout;
import isotherm.core.line.Direction;
import isotherm.core.nose.Placement;
import isotherm.core.sheetmetal.Bracket;
import isotherm.core.sheetmetal.SheetMaterial;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A bracket folded from sheet, from a hole on the car to a hole on the core.
 *
 * @param mark what is scribed on it
 * @param car hole on the car
 * @param core hole on the core
 * @param sheet what it is made of
 * @param thicknessMm thickness
 * @param radiusMm inner radius of its bends
 * @param edgeMm from a hole's middle to the nearest edge
 * @param kFactor where the fibre lies that keeps its length
 */
public record BracketDocument(
        @Text(value = "what is scribed on it", min = 1, max = 8) String mark,
        @Text("its hole on the car") CarHoleDocument car,
        @Text("its hole on the core") CoreSideDocument core,
        @Text("what it is made of") SheetMaterial sheet,
        @Quantity(value = "thickness", min = 0.8, max = 6, unit = "mm") double thicknessMm,
        @Quantity(value = "inner radius of its bends", min = 0.5, max = 20, unit = "mm") double radiusMm,
        @Quantity(value = "from a hole's middle to the nearest edge", min = 5, max = 60, unit = "mm") double edgeMm,
        @Missing("by DIN 6935")
                @Quantity(
                        value = "share of the thickness at which the fibre lies that keeps its length",
                        min = 0,
                        max = 0.5)
                Double kFactor) {
    /** A hole on the car. */
    public record CarHoleDocument(
            @Quantity(value = "from the centre line, left negative", min = -1500, max = 1500, unit = "mm") double xMm,
            @Quantity(value = "above the ground", min = 0, max = 2500, unit = "mm") double yMm,
            @Quantity(value = "behind the skin", min = -300, max = 6000, unit = "mm") double zMm,
            @Text("which way the face looks that the bracket lies on") Direction faces,
            @Quantity(value = "diameter", min = 3, max = 20, unit = "mm") double holeMm) {}

    /** A hole on the core. */
    public record CoreSideDocument(
            @Quantity(value = "right of the middle of the face", min = -700, max = 700, unit = "mm") double xMm,
            @Quantity(value = "above the middle of the face", min = -600, max = 600, unit = "mm") double yMm,
            @Quantity(value = "behind the front face", min = -100, max = 250, unit = "mm") double zMm,
            @Text("which way the face looks that the bracket lies on") CoreLayout.Pointing faces,
            @Quantity(value = "diameter", min = 3, max = 20, unit = "mm") double holeMm) {}

    /**
     * @param at where the core is
     * @return it for {@code core}
     */
    public Bracket toCore(Placement at) {
        return new Bracket(
                mark,
                new Vector3D(car.xMm() * 1e-3, car.yMm() * 1e-3, car.zMm() * 1e-3),
                car.faces().unit(),
                at.inCar(core.xMm() * 1e-3, core.yMm() * 1e-3, core.zMm() * 1e-3),
                at.directionInCar(
                        core.faces().x(), core.faces().y(), core.faces().z()),
                car.holeMm() * 1e-3,
                core.holeMm() * 1e-3,
                sheet,
                thicknessMm * 1e-3,
                radiusMm * 1e-3,
                edgeMm * 1e-3,
                kFactor == null ? OptionalDouble.empty() : OptionalDouble.of(kFactor));
    }
}
