package isotherm.core.plumb;

import isotherm.core.car.Work;
import isotherm.core.hydraulics.Hose;
import isotherm.core.line.FittingChain;
import isotherm.core.line.Line;
import isotherm.core.line.MadeJoint;
import isotherm.core.parts.Circuit;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.MakersFigure;
import isotherm.core.parts.Takeoff;
import isotherm.core.route.Bay;
import isotherm.core.takeoff.TakeoffFit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Everything between engine and core: takeoff, fittings, both hoses with their routes, and what is bought for it.
 *
 * @param level what the lengths of the hoses rest on
 * @param takeoff the takeoff
 * @param fit how it goes onto the engine; empty while the filter's surroundings are not measured
 * @param feed the hose to the core
 * @param back the hose from the core
 * @param hose the hose that both are made of
 * @param circuit the rest of the circuit
 */
public record Plumbing(
        Level level, Takeoff takeoff, Optional<TakeoffFit> fit, Line feed, Line back, HoseType hose, Circuit circuit) {
    /** Hoses nearer than this run side by side, m (default). */
    private static final double SIDE_BY_SIDE = 60e-3;
    /** Hose is sold in steps of this length, m (default). */
    private static final double SOLD_BY = 0.5;
    /** What the saw takes, and what is squared off, at each cut, m (default). */
    private static final double CUT_LOSS = 10e-3;
    /** A hose near something hot gets a sleeve over this length either way, m (default). */
    private static final double SLEEVE = 0.15;

    private static final double STEP = 10e-3;

    /** Which port of the core the oil goes in by. */
    public enum FeedPort {
        /** The lower one, so that oil pushes the air out; of two at one height the one that keeps both hoses short. */
        LOWER,
        /** The other one, because the core's maker says so. */
        OTHER
    }

    /**
     * What has been chosen.
     *
     * @param takeoff the takeoff
     * @param clock clock angle of the port that gives oil, rad
     * @param hose the hose
     * @param wish what fitting chains are chosen by
     * @param feedPoints points that the hose to the core has to pass, m
     * @param backPoints points that the hose from the core has to pass, m
     * @param sleeved whether both wear a heat sleeve
     * @param feed which port of the core is fed
     * @param slack added to each for the movement of the engine, m
     * @param exchangerStays whether a factory exchanger stays on the stud
     * @param circuit the rest of the circuit
     * @param coreFigure what the core's maker says of tightening into its ports
     */
    public record Choice(
            Takeoff takeoff,
            double clock,
            HoseType hose,
            FittingChain.Wish wish,
            List<Vector3D> feedPoints,
            List<Vector3D> backPoints,
            boolean sleeved,
            FeedPort feed,
            double slack,
            boolean exchangerStays,
            Circuit circuit,
            Optional<MakersFigure> coreFigure) {
        /** Defensive copies. */
        public Choice {
            feedPoints = List.copyOf(feedPoints);
            backPoints = List.copyOf(backPoints);
        }

        /**
         * @param other another hose
         * @return the same choice with it
         */
        public Choice with(HoseType other) {
            return new Choice(
                    takeoff,
                    clock,
                    other,
                    wish,
                    feedPoints,
                    backPoints,
                    sleeved,
                    feed,
                    slack,
                    exchangerStays,
                    circuit,
                    coreFigure);
        }
    }

    /** @return length on which the two run side by side, m; 0 where their ways are not known */
    public double paired() {
        if (feed.path().isEmpty() || back.path().isEmpty()) {
            return 0;
        }
        List<Vector3D> other = back.path().get().points(STEP);
        return STEP
                * feed.path().get().points(STEP).stream()
                        .filter(p -> other.stream().anyMatch(o -> Vector3D.distance(p, o) < SIDE_BY_SIDE))
                        .count();
    }

    /**
     * A hole that a hose leads through.
     *
     * @param line the line
     * @param hole the hole
     * @param endPasses whether a hose with its end on goes through, too
     */
    public record Passage(Line line, Bay.Hole hole, boolean endPasses) {}

    /**
     * @param bay the room for the hoses
     * @return every hole that a hose leads through
     */
    public List<Passage> passages(Bay bay) {
        List<Passage> passages = new ArrayList<>();
        for (Line l : lines()) {
            for (Bay.Hole hole : bay.holes()) {
                boolean through = l.path().stream()
                        .flatMap(p -> p.points(STEP / 2).stream())
                        .anyMatch(p -> hole.along(p) < STEP && hole.offAxis(p) < hole.diameter() / 2);
                if (through) {
                    double widest = Stream.of(l.fromEnd(), l.toEnd())
                            .flatMap(Optional::stream)
                            .filter(e -> e.angle() == 0)
                            .mapToDouble(HoseEnd::widest)
                            .min()
                            .orElse(Double.POSITIVE_INFINITY);
                    passages.add(new Passage(l, hole, widest < hole.diameter()));
                }
            }
        }
        return List.copyOf(passages);
    }

    /** @return both lines */
    public List<Line> lines() {
        return List.of(feed, back);
    }

    /**
     * @param line one of the two lines
     * @return it as the oil circuit knows it; empty without a route
     */
    public Optional<Hose> hose(Line line) {
        return line.cut().map(c -> new Hose(hose.bore(), c.centreLine(), line.elbows90()));
    }

    /** @return velocity heads lost in takeoff, adaptors and accessories, on the hose's bore */
    public double heads() {
        return takeoff.heads()
                + lines().stream()
                        .flatMap(l -> Stream.of(l.fromChain(), l.toChain()))
                        .flatMap(Optional::stream)
                        .mapToDouble(c -> c.heads(hose.bore()))
                        .sum()
                + circuit.heads();
    }

    /** @return oil in accessories, m³ */
    public double extraVolume() {
        return circuit.volume();
    }

    /** @return hose to buy: both cuts with the saw's loss, rounded up to the step in which it is sold, m */
    public double hoseToBuy() {
        double needed = lines().stream()
                .flatMap(l -> l.cut().stream())
                .mapToDouble(c -> c.cut() + CUT_LOSS)
                .sum();
        return Math.ceil(needed / SOLD_BY - 1e-9) * SOLD_BY;
    }

    /** @return what is left of it when both lines are cut from one length, m */
    public double offcut() {
        return hoseToBuy()
                - lines().stream()
                        .flatMap(l -> l.cut().stream())
                        .mapToDouble(c -> c.cut() + CUT_LOSS)
                        .sum();
    }

    /** @return mass of takeoff, fittings and hoses without oil, kg */
    public double mass() {
        double fittings = lines().stream().mapToDouble(CircuitNotes::fittings).sum();
        return takeoff.mass()
                + fittings * circuit.practice().metal().massFactor()
                + lines().stream()
                        .mapToDouble(l ->
                                l.cut().map(c -> c.cut() * hose.massPerMetre()).orElse(0.0))
                        .sum();
    }

    /** @return every joint in the order of the oil's way: takeoff, feed, core, return */
    public List<MadeJoint> made() {
        return made(Work.WHOLE);
    }

    /**
     * @param work what is built
     * @return joints that are opened and made for it, in the order of the oil's way: what stays is not touched
     */
    public List<MadeJoint> made(Work work) {
        return lines().stream()
                .filter(l -> l.fromEnd().isPresent() && l.toEnd().isPresent())
                .flatMap(l -> Stream.concat(
                        work.hoses() ? MadeJoint.atFirst(l, circuit.practice()).stream() : Stream.empty(),
                        work.coreJoints() ? MadeJoint.atLast(l, circuit.practice()).stream() : Stream.empty()))
                .toList();
    }
}
