package isotherm.core.takeoff;

import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.parts.Takeoff;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Whether a takeoff goes onto an engine.
 *
 * @param misfits what does not fit, each with its remedy; empty when all does
 * @param engagement thread that holds the takeoff, m
 * @param stack height of takeoff, exchanger and filter from the engine's face, m
 * @param arcs how far a wrench swings at its two ports; empty where the takeoff is not on the filter's stand
 * @param freeClock the clock angle nearest to the chosen one at which both ports are free, rad; empty when there is none
 */
public record TakeoffFit(
        List<Misfit> misfits, double engagement, double stack, List<WrenchArc> arcs, OptionalDouble freeClock) {
    /** Threads have to engage by this share of their diameter (default, steel in steel). */
    public static final double ENGAGEMENT = 0.8;
    /** Hand and filter wrench need this beyond the filter to take it off, m (default). */
    public static final double FILTER_SWAP = 15e-3;
    /** A hose end reaches so far beyond the plate's edge, m (default). */
    public static final double PORT_REACH = 60e-3;

    private static final double CLOCK_STEP = Math.toRadians(5);
    /** Half the width that a port's fitting takes at its neighbour's distance, rad. */
    private static final double PORT_HALF_WIDTH = Math.toRadians(12);

    /**
     * @param stand the engine's side
     * @param takeoff the takeoff
     * @param clock clock angle of the port that gives oil, rad
     * @param exchangerStays whether a factory exchanger stays on the stud
     * @return how they go together
     */
    public static TakeoffFit of(FilterStand stand, Takeoff takeoff, double clock, boolean exchangerStays) {
        List<Misfit> misfits = new ArrayList<>();
        boolean onStand = takeoff.kind() == Takeoff.Kind.SANDWICH_PLATE || takeoff.kind() == Takeoff.Kind.REMOTE_FILTER;
        double exchanger = exchangerStays ? stand.exchanger() : 0;
        double engagement = stand.stud() - exchanger;
        double stack = exchanger
                + takeoff.height()
                + (takeoff.kind().underFilter() ? stand.filter().length() : 0);
        if (!takeoff.thread().equals(stand.thread())) {
            misfits.add(Misfit.of(
                            Misfit.Kind.THREAD,
                            Misfit.Kind.THREAD
                                    .say("what")
                                    .name("has", takeoff.thread())
                                    .name("wanted", stand.thread()))
                    .mendedBy(Misfit.Kind.THREAD.say("remedy").name("wanted", stand.thread())));
        }
        if (onStand) {
            face(stand, takeoff).ifPresent(misfits::add);
            thread(stand, engagement, exchanger).ifPresent(misfits::add);
            bottom(takeoff, engagement).ifPresent(misfits::add);
        }
        filter(stand, takeoff, stack, onStand, misfits);
        double reach = takeoff.diameter() / 2 + PORT_REACH;
        OptionalDouble free = freeClock(stand, takeoff, clock, reach);
        for (FilterStand.Neighbour n : stand.neighbours()) {
            if (onStand && n.distance() < takeoff.diameter() / 2) {
                misfits.add(Misfit.of(
                                Misfit.Kind.PLATE_BESIDE,
                                Misfit.Kind.PLATE_BESIDE
                                        .say("what")
                                        .name("neighbour", n.name())
                                        .with("needs", Measure.LENGTH, takeoff.diameter() / 2)
                                        .with("has", Measure.LENGTH, n.distance()))
                        .mendedBy(Misfit.Kind.PLATE_BESIDE.say("remedy").name("neighbour", n.name())));
            } else if (onStand && n.distance() < reach && meets(n, takeoff, clock)) {
                misfits.add(Misfit.of(
                                Misfit.Kind.PORT_TOWARDS,
                                Misfit.Kind.PORT_TOWARDS
                                        .say("what")
                                        .name("neighbour", n.name())
                                        .with("needs", Measure.LENGTH, reach)
                                        .with("has", Measure.LENGTH, n.distance()))
                        .mendedBy(Misfit.Kind.PORT_TOWARDS
                                .say("remedy")
                                .choose("free", free.isPresent())
                                .with("clock", Measure.ANGLE, free.orElse(0))));
            }
        }
        List<WrenchArc> arcs = onStand ? WrenchArc.of(stand, takeoff, clock) : List.of();
        return new TakeoffFit(List.copyOf(misfits), engagement, stack, arcs, free);
    }

    /**
     * @param gives whether the port that gives oil is meant
     * @return whether its joint can be tightened on the engine; true where nothing is known of it
     */
    public boolean reachable(boolean gives) {
        return arcs.stream().filter(a -> a.gives() == gives).allMatch(WrenchArc::reachable);
    }

    /** A stud that meets the end of its thread clamps nothing: the gasket stays loose at any torque. */
    private static Optional<Misfit> bottom(Takeoff takeoff, double engagement) {
        double most = takeoff.threadDepth().orElse(Double.POSITIVE_INFINITY);
        if (engagement <= most + 1e-9) {
            return Optional.empty();
        }
        Misfit.Kind kind = Misfit.Kind.BOTTOMS_OUT;
        return Optional.of(Misfit.of(
                        kind,
                        kind.say("what").with("has", Measure.LENGTH, engagement).with("most", Measure.LENGTH, most))
                .mendedBy(kind.say("remedy").with("shorter", Measure.LENGTH, engagement - most)));
    }

    private static Optional<Misfit> face(FilterStand stand, Takeoff takeoff) {
        boolean over = takeoff.sealInner() < stand.faceInner() - 1e-9 || takeoff.sealOuter() > stand.faceOuter() + 1e-9;
        return over
                ? Optional.of(Misfit.of(
                        Misfit.Kind.FACE_GASKET,
                        Misfit.Kind.FACE_GASKET
                                .say("what")
                                .with("inner", Measure.LENGTH, takeoff.sealInner())
                                .with("outer", Measure.LENGTH, takeoff.sealOuter())
                                .with("from", Measure.LENGTH, stand.faceInner())
                                .with("to", Measure.LENGTH, stand.faceOuter())))
                : Optional.empty();
    }

    private static Optional<Misfit> thread(FilterStand stand, double engagement, double exchanger) {
        double needed = ENGAGEMENT * Takeoff.majorDiameter(stand.thread());
        if (engagement >= needed) {
            return Optional.empty();
        }
        Misfit.Kind kind = Misfit.Kind.ENGAGEMENT;
        return Optional.of(Misfit.of(
                        kind,
                        kind.say("what")
                                .with("has", Measure.LENGTH, Math.max(0, engagement))
                                .with("needs", Measure.LENGTH, needed))
                .because(kind.say("why").choose("exchanger", exchanger > 0).with("takes", Measure.LENGTH, exchanger))
                .mendedBy(kind.say("remedy")
                        .choose("exchanger", exchanger > 0)
                        .with("longer", Measure.LENGTH, needed - engagement)));
    }

    private static void filter(
            FilterStand stand, Takeoff takeoff, double stack, boolean onStand, List<Misfit> misfits) {
        FilterStand.Filter filter = stand.filter();
        if (takeoff.kind().underFilter()) {
            double middle = (takeoff.sealInner() + takeoff.sealOuter()) / 2;
            if (Math.abs(filter.gasket() - middle) > (takeoff.sealOuter() - takeoff.sealInner()) / 2 + 2e-3) {
                misfits.add(Misfit.of(
                        Misfit.Kind.FILTER_GASKET,
                        Misfit.Kind.FILTER_GASKET
                                .say("what")
                                .with("gasket", Measure.LENGTH, filter.gasket())
                                .with("inner", Measure.LENGTH, takeoff.sealInner())
                                .with("outer", Measure.LENGTH, takeoff.sealOuter())));
            }
            double room = stand.roomBeyond() - FILTER_SWAP;
            if (stack > room) {
                misfits.add(Misfit.of(Misfit.Kind.FILTER_ROOM, stacked(Misfit.Kind.FILTER_ROOM, stack, room))
                        .mendedBy(Misfit.Kind.FILTER_ROOM.say("remedy").with("shorter", Measure.LENGTH, stack - room)));
            }
        } else if (onStand && stack > stand.roomBeyond()) {
            misfits.add(Misfit.of(Misfit.Kind.PLATE_ROOM, stacked(Misfit.Kind.PLATE_ROOM, stack, stand.roomBeyond())));
        }
        if (filter.needsAntiDrainBack() && !filter.antiDrainBack()) {
            misfits.add(Misfit.of(Misfit.Kind.NO_ANTI_DRAIN_BACK, Misfit.Kind.NO_ANTI_DRAIN_BACK.say("what")));
        }
        if (!filter.bypass() && !filter.bypassInEngine()) {
            misfits.add(Misfit.of(Misfit.Kind.NO_BYPASS, Misfit.Kind.NO_BYPASS.say("what")));
        }
    }

    private static Message stacked(Misfit.Kind kind, double stack, double room) {
        return kind.say("what").with("needs", Measure.LENGTH, stack).with("has", Measure.LENGTH, room);
    }

    private static boolean meets(FilterStand.Neighbour n, Takeoff takeoff, double clock) {
        for (double port : new double[] {clock, clock + takeoff.spacing()}) {
            for (double side : new double[] {-PORT_HALF_WIDTH, 0, PORT_HALF_WIDTH}) {
                if (n.covers(port + side)) {
                    return true;
                }
            }
        }
        return false;
    }

    private static OptionalDouble freeClock(FilterStand stand, Takeoff takeoff, double clock, double reach) {
        for (int i = 0; i <= 36; i++) {
            for (int side : new int[] {1, -1}) {
                double angle = clock + side * i * CLOCK_STEP;
                if (stand.neighbours().stream().noneMatch(n -> n.distance() < reach && meets(n, takeoff, angle))) {
                    double turn = 2 * Math.PI;
                    return OptionalDouble.of((angle % turn + turn) % turn);
                }
            }
        }
        return OptionalDouble.empty();
    }
}
