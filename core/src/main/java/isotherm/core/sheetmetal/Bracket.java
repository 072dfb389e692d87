package isotherm.core.sheetmetal;

import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A strip of sheet that holds a core: from a hole on the car to a hole on the core.
 *
 * @param mark what is scribed on it
 * @param car middle of the hole on the car's face, m
 * @param carFaces unit vector out of that face, towards the bracket that lies on it
 * @param core middle of the hole on the core's face, m
 * @param coreFaces unit vector out of that face, towards the bracket that lies on it
 * @param carHole diameter of the hole at the car, m
 * @param coreHole diameter of the hole at the core, m
 * @param sheet what it is made of
 * @param thickness m
 * @param radius inner radius of its bends, m
 * @param edge from a hole's middle to the nearest edge, m
 * @param kFactor where the fibre lies that keeps its length, as a share of the thickness; empty for DIN 6935
 */
public record Bracket(
        String mark,
        Vector3D car,
        Vector3D carFaces,
        Vector3D core,
        Vector3D coreFaces,
        double carHole,
        double coreHole,
        SheetMaterial sheet,
        double thickness,
        double radius,
        double edge,
        OptionalDouble kFactor) {
    /** A hole's middle keeps so many of its diameters from an edge (default, workshop practice). */
    public static final double EDGE_DIAMETERS = 1.5;

    /** @return inner radius with half the thickness: that of the sheet's middle, m */
    double middleRadius() {
        return radius + thickness / 2;
    }

    double allowance(double angle) {
        return Bend.allowance(angle, radius, thickness, kFactor.orElse(Bend.kFactor(radius, thickness)));
    }
}
