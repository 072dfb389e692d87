package isotherm.core.line;

import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.Ports;
import isotherm.core.nose.Placement;
import isotherm.core.parts.End;
import isotherm.core.route.Bay;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Where the two ports of a core are when it has been placed. */
public final class CorePorts {
    /** From the middle of a side tank to either of its two ports, as a share of the core's height. */
    private static final double SIDE_SHARE = 0.3;
    /** Ports on one tank are this far apart, m. */
    private static final double PITCH = 50e-3;

    private CorePorts() {}

    /**
     * The port that the oil goes in by comes first: the lower of the two, so that oil pushes the air out before it; of two at one
     * height the one nearer to the takeoff.
     *
     * @param core the core
     * @param p where it is
     * @param end thread of its ports
     * @param takeoffX where the takeoff is across the car, m: a core with both ports on one end turns that end to it
     * @return the two ports, inlet first
     */
    public static List<Line.Port> of(Core core, Placement p, End end, double takeoffX) {
        double sin = Math.sin(p.tilt());
        double cos = Math.cos(p.tilt());
        Vector3D up = new Vector3D(0, cos, sin);
        Vector3D back = new Vector3D(0, -sin, cos);
        Vector3D middle = new Vector3D(p.x(), p.y(), p.z()).add(new Vector3D(core.depth() / 2, back));
        double side = takeoffX < p.x() ? -1 : 1;
        double w = core.outsideWidth() / 2;
        double h = core.outsideHeight() / 2;
        double tank = core.detail().tank() / 2;
        Vector3D near = new Vector3D(side, Vector3D.PLUS_I);
        boolean oneEnd = core.passes() == 2;
        Vector3D one;
        Vector3D other;
        Vector3D outOne;
        Vector3D outOther;
        if (core.ports() == Ports.SIDE) {
            one = middle.add(new Vector3D(w, near, -SIDE_SHARE * 2 * h, up));
            outOne = near;
            other = middle.add(new Vector3D(oneEnd ? w : -w, near, SIDE_SHARE * 2 * h, up));
            outOther = oneEnd ? near : near.negate();
        } else {
            double vertical = core.ports() == Ports.UP ? 1 : -1;
            outOne = new Vector3D(vertical, up);
            outOther = outOne;
            one = middle.add(new Vector3D(w - tank, near, vertical * h, up));
            other = middle.add(new Vector3D(oneEnd ? w - tank - PITCH : tank - w, near, vertical * h, up));
        }
        Line.Port first = new Line.Port("core inlet", one, outOne, end);
        Line.Port second = new Line.Port("core outlet", other, outOther, end);
        return List.of(first, second);
    }

    /**
     * @param core the core
     * @param p where it is
     * @return it as a box that hoses keep clear of
     */
    public static Bay.Box box(Core core, Placement p) {
        double sin = Math.sin(p.tilt());
        double cos = Math.cos(p.tilt());
        double h = core.outsideHeight() / 2;
        double y = h * cos;
        double z = Math.abs(h * sin);
        double depth = core.depth();
        double w = core.outsideWidth() / 2;
        return new Bay.Box(
                "the cooler core",
                Bay.Kind.SOLID,
                new Vector3D(p.x() - w, p.y() - y - Math.max(0, depth * sin), p.z() - z),
                new Vector3D(p.x() + w, p.y() + y + Math.max(0, -depth * sin), p.z() + z + depth * cos));
    }
}
