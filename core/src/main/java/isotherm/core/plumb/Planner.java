package isotherm.core.plumb;

import isotherm.core.exchanger.Core;
import isotherm.core.line.CorePorts;
import isotherm.core.line.Line;
import isotherm.core.line.Wire;
import isotherm.core.nose.Placement;
import isotherm.core.parts.End;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Parts;
import isotherm.core.parts.Takeoff;
import isotherm.core.route.Bay;
import isotherm.core.route.Surroundings;
import isotherm.core.takeoff.FilterStand;
import isotherm.core.takeoff.TakeoffFit;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Plans the two hoses from what is known of their way: a wire each, the four ports, or the whole bay. */
public final class Planner {
    private Planner() {}

    /**
     * @param stand the engine's side
     * @param measured the room for the hoses, without the core
     * @param core the core
     * @param placement where it is
     * @param corePort thread of its ports
     * @param choice what has been chosen
     * @param parts what can be bought
     * @param explain whether to look for what is in the way where there is no route
     * @param cancelled asked now and then whether nobody waits for the answer any more
     * @return the whole plumbing
     * @throws CancellationException when nobody waits any more
     */
    public static Plumbing byBay(
            FilterStand stand,
            Bay measured,
            Core core,
            Placement placement,
            End corePort,
            Plumbing.Choice choice,
            Parts parts,
            boolean explain,
            BooleanSupplier cancelled) {
        Bay bay = measured.with(List.of(CorePorts.box(core, placement)));
        Takeoff takeoff = choice.takeoff();
        TakeoffFit fit = TakeoffFit.of(stand, takeoff, choice.clock(), choice.exchangerStays());
        double out = (choice.exchangerStays() ? stand.exchanger() : 0) + takeoff.height() / 2;
        Line.Port gives = port(GIVES, stand, takeoff, out, choice.clock());
        Line.Port takes = port(TAKES, stand, takeoff, out, choice.clock() + takeoff.spacing());
        List<Line.Port> ports = CorePorts.of(
                        core, placement, corePort, stand.at().getX())
                .stream()
                .map(p -> p.with(choice.coreFigure()))
                .toList();
        boolean level = Math.abs(ports.get(0).at().getY() - ports.get(1).at().getY()) < LEVEL;
        Ports straight = new Ports(gives, takes, ports.get(0), ports.get(1));
        Ports crossed = new Ports(gives, takes, named(ports.get(1), INLET), named(ports.get(0), OUTLET));
        // Ports at one height may be fed either way: the way with the shorter hoses is taken.
        List<Ports> possible = level
                ? List.of(straight, crossed)
                : List.of(choice.feed() == Plumbing.FeedPort.LOWER ? straight : crossed);
        List<Pair> ways = possible.stream()
                .parallel()
                .map(e -> pair(e, bay, choice, parts, false, cancelled))
                .toList();
        boolean secondIsShorter =
                ways.size() > 1 && ways.get(1).rank() < ways.get(0).rank();
        int taken = ways.size() > 1 && secondIsShorter == (choice.feed() == Plumbing.FeedPort.LOWER) ? 1 : 0;
        Pair best = ways.get(taken);
        if (explain && !(best.feed().found() && best.back().found())) {
            best = pair(possible.get(taken), bay, choice, parts, true, cancelled);
        }
        return of(Level.BAY, Optional.of(fit), best, choice);
    }

    private static Plumbing of(Level level, Optional<TakeoffFit> fit, Pair lines, Plumbing.Choice choice) {
        return new Plumbing(level, choice.takeoff(), fit, lines.feed(), lines.back(), choice.hose(), choice.circuit());
    }

    /**
     * The four ports that two hoses join.
     *
     * @param gives the takeoff's, to the cooler
     * @param takes the takeoff's, from the cooler
     * @param in the core's inlet
     * @param out its outlet
     */
    public record Ends(Line.Spot gives, Line.Spot takes, Line.Spot in, Line.Spot out) {
        List<Vector3D> corners() {
            return Stream.of(gives, takes, in, out).map(Line.Spot::at).toList();
        }
    }

    /**
     * Through free space: nothing but the four ports is known.
     *
     * @param stand the engine's side, where it is measured
     * @param ends where the ports are
     * @param corePort thread of the core's ports
     * @param choice what has been chosen
     * @param parts what can be bought
     * @param cancelled asked now and then whether nobody waits for the answer any more
     * @return the plumbing, its lengths so much less sure as what stands in the way may make them longer
     * @throws CancellationException when nobody waits any more
     */
    public static Plumbing between(
            Optional<FilterStand> stand,
            Ends ends,
            End corePort,
            Plumbing.Choice choice,
            Parts parts,
            BooleanSupplier cancelled) {
        End plate = choice.takeoff().port();
        Pair way = pair(
                new Ports(
                        new Line.Port(GIVES, Optional.of(ends.gives()), plate),
                        new Line.Port(TAKES, Optional.of(ends.takes()), plate),
                        new Line.Port(INLET, Optional.of(ends.in()), corePort, choice.coreFigure()),
                        new Line.Port(OUTLET, Optional.of(ends.out()), corePort, choice.coreFigure())),
                Bay.free(ends.corners(), ROOM),
                choice,
                parts,
                false,
                cancelled);
        return of(
                Level.ENDS,
                fit(stand, choice),
                new Pair(detoured(way.feed(), choice.hose()), detoured(way.back(), choice.hose())),
                choice);
    }

    /**
     * By two wires.
     *
     * @param stand the engine's side, where it is measured
     * @param feed the wire from takeoff to core
     * @param back the wire from core to takeoff
     * @param corePort thread of the core's ports
     * @param choice what has been chosen
     * @param parts what can be bought
     * @return the plumbing
     */
    public static Plumbing byWire(
            Optional<FilterStand> stand, Wire feed, Wire back, End corePort, Plumbing.Choice choice, Parts parts) {
        End plate = choice.takeoff().port();
        Line to = Line.byWire(
                "feed",
                new Line.Port(GIVES, Optional.empty(), plate),
                new Line.Port(INLET, Optional.empty(), corePort, choice.coreFigure()),
                feed,
                parts,
                choice.hose(),
                choice.wish(),
                choice.slack());
        Line from = Line.byWire(
                "return",
                new Line.Port(OUTLET, Optional.empty(), corePort, choice.coreFigure()),
                new Line.Port(TAKES, Optional.empty(), plate),
                back,
                parts,
                choice.hose(),
                choice.wish(),
                choice.slack());
        return of(Level.WIRE, fit(stand, choice), new Pair(to, from), choice);
    }

    private static Optional<TakeoffFit> fit(Optional<FilterStand> stand, Plumbing.Choice choice) {
        return stand.map(s -> TakeoffFit.of(s, choice.takeoff(), choice.clock(), choice.exchangerStays()));
    }

    private static Line detoured(Line l, HoseType hose) {
        return l.withCut(l.cut().map(c -> c.detoured(DETOUR, DETOUR_DEVIATION, hose)));
    }

    /** What stands in the way of a hose makes it longer by about this share of its free length (default). */
    private static final double DETOUR = 0.3;
    /** Standard deviation of that share (default). */
    private static final double DETOUR_DEVIATION = 0.15;
    /** Room round the ports in which a hose may run, m. */
    private static final double ROOM = 0.4;

    private static final String GIVES = "takeoff, to the cooler";
    private static final String TAKES = "takeoff, from the cooler";
    private static final String INLET = "core inlet";
    private static final String OUTLET = "core outlet";

    private static final double LEVEL = 20e-3;

    private record Pair(Line feed, Line back) {
        /** Bad lines last, then the shorter. */
        double rank() {
            return Stream.of(feed, back)
                    .mapToDouble(l -> (l.found() ? 0 : 1000)
                            + l.path().map(p -> p.length() + 0.1 * p.turning()).orElse(1000.0))
                    .sum();
        }
    }

    private static Line.Port named(Line.Port p, String name) {
        return new Line.Port(name, p.spot(), p.end(), p.figure());
    }

    private static Line.Port port(String name, FilterStand stand, Takeoff takeoff, double out, double clock) {
        Vector3D direction = stand.outward(clock);
        return new Line.Port(
                name,
                stand.at().add(new Vector3D(out, stand.axis())).add(new Vector3D(takeoff.diameter() / 2, direction)),
                direction,
                takeoff.port());
    }

    /** The same with what they are joined by. */
    private record Ports(Line.Port gives, Line.Port takes, Line.Port in, Line.Port out) {}

    private static Pair pair(
            Ports ends, Bay bay, Plumbing.Choice choice, Parts parts, boolean explain, BooleanSupplier cancelled) {
        Surroundings free = new Surroundings(bay, choice.hose().outside(), List.of(), choice.sleeved());
        Line feed = line("feed", ends.gives(), ends.in(), free, choice, choice.feedPoints(), parts, explain, cancelled);
        Line back = line(
                "return",
                ends.out(),
                ends.takes(),
                free.with(feed.path().filter(x -> feed.found())),
                choice,
                choice.backPoints(),
                parts,
                explain,
                cancelled);
        // What has to be explained has been tried the other way round before.
        if (!explain && feed.found() && !back.found() && choice.feedPoints().isEmpty()) {
            // The one that has less room goes first.
            Line backFirst = line(
                    "return", ends.out(), ends.takes(), free, choice, choice.backPoints(), parts, false, cancelled);
            Line feedAfter = line(
                    "feed",
                    ends.gives(),
                    ends.in(),
                    free.with(backFirst.path()),
                    choice,
                    choice.feedPoints(),
                    parts,
                    false,
                    cancelled);
            if (backFirst.found() && feedAfter.found()) {
                return new Pair(feedAfter, backFirst);
            }
        }
        return new Pair(feed, back);
    }

    private static Line line(
            String name,
            Line.Port from,
            Line.Port to,
            Surroundings space,
            Plumbing.Choice choice,
            List<Vector3D> points,
            Parts parts,
            boolean explain,
            BooleanSupplier cancelled) {
        return Line.plan(
                name, from, to, parts, choice.hose(), choice.wish(), space, points, choice.slack(), explain, cancelled);
    }
}
