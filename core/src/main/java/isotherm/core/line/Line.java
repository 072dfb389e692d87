package isotherm.core.line;

import isotherm.core.parts.End;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Parts;
import isotherm.core.route.Exit;
import isotherm.core.route.RouteFinder;
import isotherm.core.route.RoutePath;
import isotherm.core.route.RouteRequest;
import isotherm.core.route.Surroundings;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * One hose with everything that joins it to its two ports.
 *
 * @param name {@code feed} or {@code return}
 * @param from the port that the oil comes from
 * @param to the port that it goes to
 * @param fromChain adaptors at the first port; empty when none lead from it to the hose
 * @param toChain adaptors at the last port, from the hose on; empty when none lead there
 * @param fromEnd hose end at the first port; empty without a route
 * @param toEnd hose end at the last port; empty without a route
 * @param path centre line from collar to collar; empty without a route
 * @param found whether the route is good; false for a line drawn through way-points that breaks something
 * @param troubles what cannot stay so along it
 * @param inTheWay what has to move when there is no route
 * @param cut what is cut and marked; empty without a route
 */
public record Line(
        String name,
        Port from,
        Port to,
        Optional<FittingChain> fromChain,
        Optional<FittingChain> toChain,
        Optional<HoseEnd> fromEnd,
        Optional<HoseEnd> toEnd,
        Optional<RoutePath> path,
        boolean found,
        List<Surroundings.Trouble> troubles,
        List<String> inTheWay,
        Optional<CutList> cut) {

    /**
     * A port in the car.
     *
     * @param name what it is
     * @param at where it opens, m
     * @param out unit vector out of it
     * @param end its thread
     */
    public record Port(String name, Vector3D at, Vector3D out, End end) {}

    /** A way to leave a port: a hose end, turned. */
    private record Turned(HoseEnd end, Vector3D aside, Exit exit) {}

    /** A bend in a fitting costs as much as so much hose, m (default). */
    private static final double ELBOW_COST = 0.13;

    /**
     * @param name {@code feed} or {@code return}
     * @param from the port that the oil comes from
     * @param to the port that it goes to
     * @param parts what can be bought
     * @param hose the hose
     * @param wish what the chains are chosen by
     * @param space what the hose has to keep clear of
     * @param wayPoints points that it has to pass, m
     * @param slack added for the movement of the engine, m
     * @param explain whether to look for what is in the way when there is no route, which takes some searches more
     * @param cancelled asked now and then whether nobody waits for the answer any more
     * @return the line
     * @throws java.util.concurrent.CancellationException when nobody waits any more
     */
    public static Line plan(
            String name,
            Port from,
            Port to,
            Parts parts,
            HoseType hose,
            FittingChain.Wish wish,
            Surroundings space,
            List<Vector3D> wayPoints,
            double slack,
            boolean explain,
            BooleanSupplier cancelled) {
        List<HoseEnd> ends = parts.endsFor(hose);
        Optional<End> joint = ends.stream().map(HoseEnd::end).findFirst();
        Optional<FittingChain> fromChain =
                joint.flatMap(j -> FittingChain.find(parts.adaptors(), from.end(), j, wish, hose.bore()));
        Optional<FittingChain> toChain =
                joint.flatMap(j -> FittingChain.find(parts.adaptors(), j, to.end(), wish, hose.bore()));
        Ends joined = new Ends(name, from, to, fromChain, toChain, hose, slack);
        List<Turned> starts = turned(from, fromChain, ends, space);
        List<Turned> goals = turned(to, toChain, ends, space);
        RouteFinder.Result result = RouteFinder.find(
                new RouteRequest(
                        space,
                        hose.bendRadius(),
                        starts.stream().map(Turned::exit).toList(),
                        goals.stream().map(Turned::exit).toList(),
                        wayPoints),
                explain,
                cancelled);
        return result.path()
                .map(path -> joined.along(path, starts.get(result.start()), goals.get(result.goal())))
                .orElseGet(() -> joined.anyhow(starts, goals, result.inTheWay(), space, wayPoints));
    }

    /** A line but for its route. */
    private record Ends(
            String name,
            Port from,
            Port to,
            Optional<FittingChain> fromChain,
            Optional<FittingChain> toChain,
            HoseType hose,
            double slack) {
        Line along(RoutePath path, Turned start, Turned goal) {
            return made(path, start, goal, true, List.of(), List.of());
        }

        private Line made(
                RoutePath path,
                Turned start,
                Turned goal,
                boolean found,
                List<Surroundings.Trouble> troubles,
                List<String> inTheWay) {
            CutList cut = CutList.of(
                    path,
                    start.end(),
                    start.end().inPlane(from.out(), start.aside()),
                    goal.end(),
                    goal.end().inPlane(to.out(), goal.aside()),
                    hose,
                    slack);
            return new Line(
                    name,
                    from,
                    to,
                    fromChain,
                    toChain,
                    Optional.of(start.end()),
                    Optional.of(goal.end()),
                    Optional.of(path),
                    found,
                    troubles,
                    inTheWay,
                    Optional.of(cut));
        }

        private Line undrawn(List<String> inTheWay) {
            return new Line(
                    name,
                    from,
                    to,
                    fromChain,
                    toChain,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    false,
                    List.of(),
                    inTheWay,
                    Optional.empty());
        }

        /** No route: the way-points are joined all the same, so that what is too tight or too near shows where it is. */
        Line anyhow(
                List<Turned> starts,
                List<Turned> goals,
                List<String> inTheWay,
                Surroundings space,
                List<Vector3D> wayPoints) {
            if (starts.isEmpty() || goals.isEmpty()) {
                return undrawn(List.of());
            }
            Turned start = starts.get(0);
            Turned goal = goals.get(0);
            List<Vector3D> corners = new ArrayList<>();
            corners.add(start.exit().at());
            corners.add(stub(start.exit()));
            corners.addAll(wayPoints);
            corners.add(stub(goal.exit()));
            corners.add(goal.exit().at());
            RoutePath path = RoutePath.of(corners, hose.bendRadius());
            // Arcs that do not fit are drawn as tight as they have to be, and told.
            for (int n = 0; n < MOST_TIGHTER && !path.fits(); n++) {
                path = new RoutePath(
                        corners, path.radii().stream().map(r -> r * TIGHTER).toList());
            }
            return path.fits()
                    ? made(path, start, goal, false, space.troubles(path, hose.bendRadius()), inTheWay)
                    : undrawn(inTheWay);
        }

        private Vector3D stub(Exit exit) {
            return exit.at().add(new Vector3D(hose.bendRadius(), exit.direction()));
        }
    }

    private static final double TIGHTER = 0.7;
    private static final int MOST_TIGHTER = 12;

    /** Ways of turning an end at a port. An elbow that would stand in something is left out, unless all of them would. */
    private static List<Turned> turned(
            Port port, Optional<FittingChain> chain, List<HoseEnd> ends, Surroundings space) {
        List<Turned> turned = new ArrayList<>();
        List<Turned> free = new ArrayList<>();
        if (chain.isEmpty()) {
            return turned;
        }
        Vector3D seat = port.at().add(new Vector3D(chain.get().length(), port.out()));
        for (HoseEnd e : ends) {
            double cost = e.centreLine() + ELBOW_COST * e.elbows90() + 1e-4 * e.price();
            List<Vector3D> sides = sides(port.out());
            for (Vector3D aside : e.angle() == 0 ? sides.subList(0, 1) : sides) {
                Turned t = new Turned(
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

    /** @return bends of 90° that the line counts as: elbows in full, gentle bends of the hose by half */
    public double elbows90() {
        return fromEnd.map(HoseEnd::elbows90).orElse(0.0)
                + toEnd.map(HoseEnd::elbows90).orElse(0.0)
                + GENTLE * path.map(RoutePath::turning).orElse(0.0) / (Math.PI / 2);
    }

    /** A bend of five bores' radius or more loses about half of what a short elbow does (Idelchik, Handbook of Hydraulic
     * Resistance, chapter 6). */
    private static final double GENTLE = 0.5;
}
