package isotherm.core.takeoff;

import isotherm.core.route.Bay;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Where the oil filter sits on the engine, as measured.
 *
 * @param thread thread of its stud
 * @param faceInner inner diameter of the machined sealing face, m
 * @param faceOuter outer diameter of that face, m
 * @param stud length of thread that stands out of the face, m
 * @param at middle of the face, m in the axes of {@link Bay}
 * @param axis unit vector from the engine to the filter
 * @param roomBeyond from the face along the axis to what stands in the way, m
 * @param exchanger height of a factory exchanger on the stud, m; 0 without one
 * @param filter the filter in use
 * @param neighbours what stands round it
 */
public record FilterStand(
        String thread,
        double faceInner,
        double faceOuter,
        double stud,
        Vector3D at,
        Vector3D axis,
        double roomBeyond,
        double exchanger,
        Filter filter,
        List<Neighbour> neighbours) {
    /** Defensive copy. */
    public FilterStand {
        neighbours = List.copyOf(neighbours);
    }

    /**
     * The filter.
     *
     * @param gasket middle diameter of its gasket, m
     * @param length m
     * @param diameter m
     * @param antiDrainBack whether it holds its oil when the engine stands
     * @param needsAntiDrainBack whether it lies or stands on its head, so that it has to
     * @param bypass whether its by-pass valve is in the filter
     * @param bypassInEngine whether the engine has one
     */
    public record Filter(
            double gasket,
            double length,
            double diameter,
            boolean antiDrainBack,
            boolean needsAntiDrainBack,
            boolean bypass,
            boolean bypassInEngine) {}

    /**
     * Something beside the filter.
     *
     * @param name what its people call it
     * @param from clock angle at which it begins, rad
     * @param to clock angle at which it ends, rad, greater than {@code from}
     * @param distance from the filter's axis, m
     */
    public record Neighbour(String name, double from, double to, double distance) {
        boolean covers(double angle) {
            double turn = 2 * Math.PI;
            double a = ((angle - from) % turn + turn) % turn;
            return a <= to - from;
        }
    }

    /** @return unit vector of clock angle 0: forward when the filter points up or down, else up */
    public Vector3D noon() {
        return Math.abs(axis.getY()) > 0.7 ? square(Vector3D.MINUS_K) : square(Vector3D.PLUS_J);
    }

    private Vector3D square(Vector3D v) {
        return v.subtract(new Vector3D(v.dotProduct(axis), axis)).normalize();
    }

    /**
     * @param clock clock angle, rad, clockwise as seen along the axis from the engine
     * @return unit vector out of the stand at that angle
     */
    public Vector3D outward(double clock) {
        Vector3D side = Vector3D.crossProduct(axis, noon());
        return new Vector3D(Math.cos(clock), noon(), Math.sin(clock), side);
    }
}
