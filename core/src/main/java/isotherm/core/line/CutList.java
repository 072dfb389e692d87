package isotherm.core.line;

import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import isotherm.core.route.RoutePath;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * What is cut, marked and turned for one hose.
 *
 * @param centreLine from seat to seat, m
 * @param deductionFrom what the first end takes of it, m
 * @param deductionTo what the second end takes of it, m
 * @param insertionFrom how far the hose goes into the first end, m
 * @param insertionTo how far it goes into the second, m
 * @param slack added for the movement of the engine, m
 * @param cut length to cut, m; for a line that cannot be shortened, what its hose has to measure at least
 * @param tolerance one standard deviation of that length, m
 * @param standard the standard length to buy, seat to seat, m; for lines that cannot be shortened
 * @param twist angle from the first elbow to the second, clockwise as seen along the hose from the first, rad; empty when an end
 *     is straight
 * @param clips where it is held, from the first collar, m
 */
public record CutList(
        double centreLine,
        double deductionFrom,
        double deductionTo,
        double insertionFrom,
        double insertionTo,
        double slack,
        double cut,
        double tolerance,
        OptionalDouble standard,
        OptionalDouble twist,
        List<Double> clips) {
    /** A hose is held at least this often, m (default). */
    public static final double CLIP_SPACING = 0.30;
    /** Standard deviation of a position taken by tape, m (default). */
    private static final double TAPE = 4e-3;
    /** Standard deviation of a cut, m (default). */
    private static final double SAW = 1.5e-3;
    /** Standard deviation that each bend adds, since a hose finds its own arc, m (default). */
    private static final double BEND = 2e-3;

    /**
     * @param path the hose from collar to collar
     * @param from its first end
     * @param fromPlane {@link HoseEnd#inPlane} of that end
     * @param to its second end
     * @param toPlane {@link HoseEnd#inPlane} of that end
     * @param hose the hose
     * @param slack added for the movement of the engine, m
     * @return its cut list
     */
    public static CutList of(
            RoutePath path,
            HoseEnd from,
            Vector3D fromPlane,
            HoseEnd to,
            Vector3D toPlane,
            HoseType hose,
            double slack) {
        double length = path.length();
        double centreLine = from.centreLine() + length + to.centreLine();
        int bends = path.corners().size() - 2;
        double tolerance = Math.sqrt(2 * TAPE * TAPE + 2 * SAW * SAW + bends * BEND * BEND);
        return new CutList(
                centreLine,
                from.centreLine(),
                to.centreLine(),
                from.insertion(),
                to.insertion(),
                slack,
                length + from.insertion() + to.insertion() + slack,
                tolerance,
                hose.family().cuttable() ? OptionalDouble.empty() : hose.standard(centreLine + slack),
                from.angle() == 0 || to.angle() == 0
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(twist(path, fromPlane, toPlane)),
                clips(length));
    }

    /** @return hose between the two collars, m */
    public double free() {
        return centreLine - deductionFrom - deductionTo;
    }

    /**
     * What a wire tells: everything but how two elbows stand to each other.
     *
     * @param wire from port to port
     * @param adaptors length of the adaptors at both ends, m
     * @param from the first hose end
     * @param to the second hose end
     * @param hose the hose
     * @param slack added for the movement of the engine, m
     * @return its cut list
     */
    static CutList byWire(Wire wire, double adaptors, HoseEnd from, HoseEnd to, HoseType hose, double slack) {
        double centreLine = wire.length() - adaptors;
        double length = centreLine - from.centreLine() - to.centreLine();
        return new CutList(
                centreLine,
                from.centreLine(),
                to.centreLine(),
                from.insertion(),
                to.insertion(),
                slack,
                length + from.insertion() + to.insertion() + slack,
                Math.hypot(wire.deviation(), Math.sqrt(2) * SAW),
                hose.family().cuttable() ? OptionalDouble.empty() : hose.standard(centreLine + slack),
                OptionalDouble.empty(),
                clips(length));
    }

    private static List<Double> clips(double length) {
        int n = (int) Math.ceil(length / CLIP_SPACING);
        List<Double> clips = new ArrayList<>();
        for (int i = 1; i <= n; i++) {
            clips.add(length * (i - 0.5) / n);
        }
        return List.copyOf(clips);
    }

    /**
     * For a way through free space, where what stands in it is not known.
     *
     * @param share of the free hose that it is longer by
     * @param deviation standard deviation of that share
     * @param hose the hose
     * @return the cut list with the detour in it, so much less sure
     */
    public CutList detoured(double share, double deviation, HoseType hose) {
        double more = share * free();
        return new CutList(
                centreLine + more,
                deductionFrom,
                deductionTo,
                insertionFrom,
                insertionTo,
                slack,
                cut + more,
                Math.hypot(tolerance, deviation * free()),
                hose.family().cuttable() ? OptionalDouble.empty() : hose.standard(centreLine + more + slack),
                twist,
                clips(free() + more));
    }

    /**
     * Carries the first elbow's direction along the hose without turning it (parallel transport) and measures the angle to the
     * second's. A hose bends and does not twist: this is how the second end has to stand when the hose lies straight on the bench.
     */
    private static double twist(RoutePath path, Vector3D fromPlane, Vector3D toPlane) {
        Vector3D carried = fromPlane;
        for (int i = 1; i + 1 < path.corners().size(); i++) {
            Vector3D in =
                    path.corners().get(i).subtract(path.corners().get(i - 1)).normalize();
            Vector3D out =
                    path.corners().get(i + 1).subtract(path.corners().get(i)).normalize();
            if (Vector3D.angle(in, out) > 1e-9) {
                carried = new Rotation(
                                Vector3D.crossProduct(in, out),
                                Vector3D.angle(in, out),
                                RotationConvention.VECTOR_OPERATOR)
                        .applyTo(carried);
            }
        }
        double angle = Vector3D.angle(carried, toPlane);
        boolean clockwise = Vector3D.crossProduct(carried, toPlane).dotProduct(path.arriving()) >= 0;
        return (clockwise ? angle : 2 * Math.PI - angle) % (2 * Math.PI);
    }
}
