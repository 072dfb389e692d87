package isotherm.core.line;

import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreLayout;
import isotherm.core.nose.Placement;
import isotherm.core.parts.End;
import isotherm.core.route.Bay;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Where the two ports of a core are when it has been placed. */
public final class CorePorts {
    /** Ports whose heights differ by less are at one height, m. */
    private static final double LEVEL = 1e-6;

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
        List<CoreLayout.PortAt> ports =
                p.layout(core, OptionalDouble.of(takeoffX)).ports();
        Line.Spot one = spot(p, ports.get(0));
        Line.Spot other = spot(p, ports.get(1));
        boolean swapped = other.at().getY() < one.at().getY() - LEVEL;
        return List.of(
                new Line.Port("core inlet", Optional.of(swapped ? other : one), end),
                new Line.Port("core outlet", Optional.of(swapped ? one : other), end));
    }

    private static Line.Spot spot(Placement p, CoreLayout.PortAt port) {
        return new Line.Spot(
                p.inCar(port.x(), port.y(), port.z()),
                p.directionInCar(
                        port.points().x(), port.points().y(), port.points().z()));
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
