package isotherm.core.line;

import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** A way that a port points, along the axes of the car. */
public enum Direction {
    /** To the front. */
    FORWARD(Vector3D.MINUS_K),
    /** To the rear. */
    REARWARD(Vector3D.PLUS_K),
    /** To the left, seen from the driver. */
    LEFT(Vector3D.MINUS_I),
    /** To the right. */
    RIGHT(Vector3D.PLUS_I),
    /** Up. */
    UP(Vector3D.PLUS_J),
    /** Down. */
    DOWN(Vector3D.MINUS_J);

    private final Vector3D unit;

    Direction(Vector3D unit) {
        this.unit = unit;
    }

    /** @return unit vector in the axes of the nose */
    public Vector3D unit() {
        return unit;
    }
}
