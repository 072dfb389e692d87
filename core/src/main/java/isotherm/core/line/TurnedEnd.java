package isotherm.core.line;

import isotherm.core.parts.HoseEnd;
import isotherm.core.route.Exit;
import isotherm.core.route.Surroundings;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** A way to leave a port: a hose end, turned. */
record TurnedEnd(HoseEnd end, Vector3D aside, Exit exit) {
    /** A bend in a fitting costs as much as so much hose, m (default). */
    private static final double ELBOW_COST = 0.13;

    /** Ways of turning an end at a port. An elbow that would stand in something is left out, unless all of them would. */
    static List<TurnedEnd> at(Line.Port port, Optional<FittingChain> chain, List<HoseEnd> ends, Surroundings space) {
        List<TurnedEnd> turned = new ArrayList<>();
        List<TurnedEnd> free = new ArrayList<>();
        if (chain.isEmpty()) {
            return turned;
        }
        Vector3D seat = port.at().add(new Vector3D(chain.get().length(), port.out()));
        for (HoseEnd e : ends) {
            double cost = e.centreLine() + ELBOW_COST * e.elbows90() + 1e-4 * e.price();
            List<Vector3D> sides = sides(port.out());
            for (Vector3D aside : e.angle() == 0 ? sides.subList(0, 1) : sides) {
                TurnedEnd t = new TurnedEnd(
                        e,
                        aside,
                        new Exit(e.collar(seat, port.out(), aside), snapped(e.direction(port.out(), aside)), cost));
                turned.add(t);
                if (space.takes(e.body(seat, port.out(), aside), e.widest(), port.at())) {
                    free.add(t);
                }
            }
        }
        return free.isEmpty() ? turned : free;
    }

    /** Four directions square to the port, along the car's axes where it is. */
    private static List<Vector3D> sides(Vector3D out) {
        Vector3D first = Math.abs(out.getY()) < 0.9
                ? Vector3D.PLUS_J.subtract(new Vector3D(out.getY(), out)).normalize()
                : Vector3D.PLUS_I.subtract(new Vector3D(out.getX(), out)).normalize();
        Vector3D second = Vector3D.crossProduct(out, first);
        return List.of(first, second, first.negate(), second.negate());
    }

    /** Sines and cosines of right angles are not quite 0 and 1. */
    private static Vector3D snapped(Vector3D v) {
        return new Vector3D(snapped(v.getX()), snapped(v.getY()), snapped(v.getZ())).normalize();
    }

    private static double snapped(double x) {
        double nearest = Math.rint(x);
        return Math.abs(x - nearest) < 1e-9 ? nearest : x;
    }
}
