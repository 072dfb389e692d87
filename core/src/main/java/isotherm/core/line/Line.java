package isotherm.core.line;

import isotherm.core.parts.End;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.MakersFigure;
import isotherm.core.parts.Parts;
import isotherm.core.route.Exit;
import isotherm.core.route.RouteFinder;
import isotherm.core.route.RoutePath;
import isotherm.core.route.RouteRequest;
import isotherm.core.route.Routes;
import isotherm.core.route.Surroundings;
import isotherm.core.route.Trouble;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
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
 * @param found whether it can be made: its route is good, or its wire long enough; false for a line drawn through way-points
 *     that breaks something
 * @param troubles what cannot stay so along it
 * @param inTheWay what has to move when there is no route
 * @param cut what is cut and marked; empty without a route
 * @param bends right angles that the hose itself goes round
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
        List<Trouble> troubles,
        List<String> inTheWay,
        Optional<CutList> cut,
        double bends) {

    /**
     * A port in the car.
     *
     * @param name what it is
     * @param spot where it is; empty while nobody has measured that
     * @param end its thread
     * @param figure what the maker of its part says of tightening into it
     */
    public record Port(String name, Optional<Spot> spot, End end, Optional<MakersFigure> figure) {
        /**
         * A port of whose maker nothing is known.
         *
         * @param name what it is
         * @param spot where it is; empty while nobody has measured that
         * @param end its thread
         */
        public Port(String name, Optional<Spot> spot, End end) {
            this(name, spot, end, Optional.empty());
        }

        /**
         * @param other what the maker of its part says of tightening into it
         * @return the same port with it
         */
        public Port with(Optional<MakersFigure> other) {
            return new Port(name, spot, end, other);
        }

        /**
         * @param name what it is
         * @param at where it opens, m
         * @param out unit vector out of it
         * @param end its thread
         */
        public Port(String name, Vector3D at, Vector3D out, End end) {
            this(name, Optional.of(new Spot(at, out)), end);
        }

        /**
         * @return where it opens, m
         * @throws java.util.NoSuchElementException when that is not known
         */
        public Vector3D at() {
            return spot.orElseThrow().at();
        }

        /**
         * @return unit vector out of it
         * @throws java.util.NoSuchElementException when that is not known
         */
        public Vector3D out() {
            return spot.orElseThrow().out();
        }
    }

    /**
     * Where a port is.
     *
     * @param at where it opens, m
     * @param out unit vector out of it
     */
    public record Spot(Vector3D at, Vector3D out) {}

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
        Ends joined = Ends.of(name, from, to, parts, hose, wish, slack);
        List<TurnedEnd> starts = TurnedEnd.at(from, joined.fromChain(), ends, space);
        List<TurnedEnd> goals = TurnedEnd.at(to, joined.toChain(), ends, space);
        RouteFinder.Result result = Routes.find(
                new RouteRequest(
                        space,
                        hose.bendRadius(),
                        starts.stream().map(TurnedEnd::exit).toList(),
                        goals.stream().map(TurnedEnd::exit).toList(),
                        wayPoints),
                explain,
                cancelled);
        return result.path()
                .map(path -> joined.along(path, starts.get(result.start()), goals.get(result.goal())))
                .orElseGet(() -> joined.anyhow(starts, goals, result.inTheWay(), space, wayPoints));
    }

    /**
     * A line of which only a wire is known.
     *
     * @param name {@code feed} or {@code return}
     * @param from the port that the oil comes from
     * @param to the port that it goes to
     * @param wire the wire between them
     * @param parts what can be bought
     * @param hose the hose
     * @param wish what the chains are chosen by
     * @param slack added for the movement of the engine, m
     * @return the line; without a cut where no fittings lead there, or where the wire is shorter than they are
     */
    public static Line byWire(
            String name,
            Port from,
            Port to,
            Wire wire,
            Parts parts,
            HoseType hose,
            FittingChain.Wish wish,
            double slack) {
        Ends joined = Ends.of(name, from, to, parts, hose, wish, slack);
        Optional<HoseEnd> fromEnd = nearest(parts, hose, wire.fromAngle());
        Optional<HoseEnd> toEnd = nearest(parts, hose, wire.toAngle());
        boolean joins = joined.fromChain().isPresent()
                && joined.toChain().isPresent()
                && fromEnd.isPresent()
                && toEnd.isPresent();
        if (!joins) {
            return joined.undrawn(List.of());
        }
        double adaptors =
                joined.fromChain().get().length() + joined.toChain().get().length();
        boolean fits = wire.length() >= Wire.least(adaptors, fromEnd.get(), toEnd.get());
        return new Line(
                name,
                from,
                to,
                joined.fromChain(),
                joined.toChain(),
                fromEnd,
                toEnd,
                Optional.empty(),
                fits,
                List.of(),
                List.of(),
                fits
                        ? Optional.of(CutList.byWire(wire, adaptors, fromEnd.get(), toEnd.get(), hose, slack))
                        : Optional.empty(),
                wire.bends());
    }

    private static Optional<HoseEnd> nearest(Parts parts, HoseType hose, double angle) {
        return parts.endsFor(hose).stream()
                .min(Comparator.<HoseEnd>comparingDouble(e -> Math.abs(e.angle() - angle))
                        .thenComparingDouble(HoseEnd::price));
    }

    /**
     * @param other another cut list
     * @return the same line with it
     */
    public Line withCut(Optional<CutList> other) {
        return new Line(
                name, from, to, fromChain, toChain, fromEnd, toEnd, path, found, troubles, inTheWay, other, bends);
    }

    /** @return whether how its two elbows stand to each other is found out on the car */
    public boolean turnedOnCar() {
        return cut.filter(c -> c.twist().isEmpty()).isPresent()
                && fromEnd.filter(e -> e.angle() > 0).isPresent()
                && toEnd.filter(e -> e.angle() > 0).isPresent();
    }

    /** @return length of the adaptors at both ends, m */
    public double adaptors() {
        return fromChain.map(FittingChain::length).orElse(0.0)
                + toChain.map(FittingChain::length).orElse(0.0);
    }

    /** @return the shortest wire that would do; empty where no fittings lead from port to port */
    public OptionalDouble leastWire() {
        return fromChain.isPresent() && toChain.isPresent() && fromEnd.isPresent() && toEnd.isPresent()
                ? OptionalDouble.of(Wire.least(adaptors(), fromEnd.get(), toEnd.get()))
                : OptionalDouble.empty();
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
        static Ends of(
                String name, Port from, Port to, Parts parts, HoseType hose, FittingChain.Wish wish, double slack) {
            Optional<End> joint = parts.endsFor(hose).stream().map(HoseEnd::end).findFirst();
            return new Ends(
                    name,
                    from,
                    to,
                    joint.flatMap(j -> FittingChain.find(parts.adaptors(), from.end(), j, wish, hose.bore())),
                    joint.flatMap(j -> FittingChain.find(parts.adaptors(), j, to.end(), wish, hose.bore())),
                    hose,
                    slack);
        }

        Line along(RoutePath path, TurnedEnd start, TurnedEnd goal) {
            return made(path, start, goal, true, List.of(), List.of());
        }

        private Line made(
                RoutePath path,
                TurnedEnd start,
                TurnedEnd goal,
                boolean found,
                List<Trouble> troubles,
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
                    Optional.of(cut),
                    path.turning() / (Math.PI / 2));
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
                    Optional.empty(),
                    0);
        }

        /** No route: the way-points are joined all the same, so that what is too tight or too near shows where it is. */
        Line anyhow(
                List<TurnedEnd> starts,
                List<TurnedEnd> goals,
                List<String> inTheWay,
                Surroundings space,
                List<Vector3D> wayPoints) {
            if (starts.isEmpty() || goals.isEmpty()) {
                return undrawn(List.of());
            }
            TurnedEnd start = starts.get(0);
            TurnedEnd goal = goals.get(0);
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
                    ? made(path, start, goal, false, Trouble.of(space, path, hose.bendRadius()), inTheWay)
                    : undrawn(inTheWay);
        }

        private Vector3D stub(Exit exit) {
            return exit.at().add(new Vector3D(hose.bendRadius(), exit.direction()));
        }
    }

    private static final double TIGHTER = 0.7;
    private static final int MOST_TIGHTER = 12;

    /** @return bends of 90° that the line counts as: elbows in full, gentle bends of the hose by half */
    public double elbows90() {
        return fromEnd.map(HoseEnd::elbows90).orElse(0.0)
                + toEnd.map(HoseEnd::elbows90).orElse(0.0)
                + GENTLE * bends;
    }

    /** A bend of five bores' radius or more loses about half of what a short elbow does (Idelchik, Handbook of Hydraulic
     * Resistance, chapter 6). */
    private static final double GENTLE = 0.5;
}
