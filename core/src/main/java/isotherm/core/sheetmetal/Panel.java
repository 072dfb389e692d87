package isotherm.core.sheetmetal;

import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A piece of sheet that leads air: a side of a shroud between an edge on the car and one on the core, or a deflector whose far
 * edge is free. Where an edge has a flange, the flange lies on a face and is held there.
 *
 * @param mark what is scribed on it
 * @param car its edge on the car
 * @param far its other edge
 * @param hole diameter of its holes, m
 * @param holes holes in each flange
 * @param sheet what it is made of
 * @param thickness m
 * @param radius inner radius of its bends, m
 * @param kFactor where the fibre lies that keeps its length, as a share of the thickness; empty for DIN 6935
 */
public record Panel(
        String mark,
        Edge car,
        Edge far,
        double hole,
        int holes,
        SheetMaterial sheet,
        double thickness,
        double radius,
        OptionalDouble kFactor) {

    /**
     * An edge of a panel.
     *
     * @param from one end, m
     * @param to the other end, m
     * @param faces unit vector out of the face that its flange lies on, towards the flange
     * @param flange width of its flange, m; 0 for none
     */
    public record Edge(Vector3D from, Vector3D to, Vector3D faces, double flange) {
        Edge onSheet(double thickness) {
            if (flange <= 0) {
                return this;
            }
            Vector3D up = new Vector3D(thickness / 2, faces);
            return new Edge(from.add(up), to.add(up), faces, flange);
        }

        Vector3D along() {
            return to.subtract(from);
        }
    }

    /**
     * @param angle of a bend, rad, 0 or more
     * @return length of flat sheet that goes into it, m
     */
    double allowance(double angle) {
        return Bend.allowance(angle, radius, thickness, kFactor.orElse(Bend.kFactor(radius, thickness)));
    }

    /**
     * @param angle of a bend, rad, 0 or more
     * @return from the corner of the middle of the sheet to the beginning of the bend, m
     */
    double tangent(double angle) {
        return (radius + thickness / 2) * Math.tan(angle / 2);
    }
}
