package isotherm.core.plumb;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;

/**
 * Whether a takeoff goes onto an engine.
 *
 * @param misfits what does not fit, each with its remedy; empty when all does
 * @param engagement thread that holds the takeoff, m
 * @param stack height of takeoff, exchanger and filter from the engine's face, m
 * @param freeClock the clock angle nearest to the chosen one at which both ports are free, rad; empty when there is none
 */
public record TakeoffFit(List<Misfit> misfits, double engagement, double stack, OptionalDouble freeClock) {
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
     * Something that does not fit.
     *
     * @param what what
     * @param figure how much
     * @param why why it matters
     * @param remedy what to do
     */
    public record Misfit(String what, String figure, String why, String remedy) {}

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
        FilterStand.Filter filter = stand.filter();
        double stack = exchanger + takeoff.height() + (takeoff.kind().underFilter() ? filter.length() : 0);
        if (!takeoff.thread().equals(stand.thread())) {
            misfits.add(new Misfit(
                    "Thread",
                    takeoff.thread() + " on " + stand.thread(),
                    "a wrong thread starts and then strips",
                    "Take the same plate with " + stand.thread() + ", or its thread insert"));
        }
        if (onStand) {
            if (takeoff.sealInner() < stand.faceInner() - 1e-9 || takeoff.sealOuter() > stand.faceOuter() + 1e-9) {
                misfits.add(new Misfit(
                        "Gasket on the engine's face",
                        mm(takeoff.sealInner()) + " to " + mm(takeoff.sealOuter()) + " on " + mm(stand.faceInner())
                                + " to " + mm(stand.faceOuter()),
                        "a gasket that hangs over its face is blown out cold",
                        "Take a plate whose gasket lies wholly on the face, or a spacer ring with both diameters"));
            }
            double needed = ENGAGEMENT * Takeoff.majorDiameter(stand.thread());
            if (engagement < needed) {
                misfits.add(new Misfit(
                        "Thread engagement",
                        mm(Math.max(0, engagement)) + " of " + mm(needed),
                        exchanger > 0
                                ? "the factory exchanger takes " + mm(exchanger) + " of the stud"
                                : "too few turns hold plate and filter",
                        "Fit a stud extension at least " + mm(needed - engagement) + " longer"
                                + (exchanger > 0 ? ", or take the exchanger off" : "")));
            }
        }
        if (takeoff.kind().underFilter()) {
            if (Math.abs(filter.gasket() - (takeoff.sealInner() + takeoff.sealOuter()) / 2)
                    > (takeoff.sealOuter() - takeoff.sealInner()) / 2 + 2e-3) {
                misfits.add(new Misfit(
                        "Filter on the plate",
                        "gasket " + mm(filter.gasket()),
                        "the filter's gasket misses the plate's face",
                        "Take the filter that belongs to the plate, with the same valves"));
            }
            double room = stand.roomBeyond() - FILTER_SWAP;
            if (stack > room) {
                misfits.add(new Misfit(
                        "Stack height",
                        mm(stack) + " in " + mm(room),
                        "the filter meets what is beyond it, or cannot be changed",
                        "Take a filter " + mm(stack - room) + " shorter, or move the filter away with a remote head"));
            }
        } else if (onStand && stack > stand.roomBeyond()) {
            misfits.add(new Misfit(
                    "Stack height",
                    mm(stack) + " in " + mm(stand.roomBeyond()),
                    "it meets what is beyond it",
                    "Take a lower plate"));
        }
        if (filter.needsAntiDrainBack() && !filter.antiDrainBack()) {
            misfits.add(new Misfit(
                    "Filter without anti-drain-back valve",
                    "lies or stands on its head",
                    "it empties overnight, and cooler and lines with it: every start is dry",
                    "Take a filter with that valve"));
        }
        if (!filter.bypass() && !filter.bypassInEngine()) {
            misfits.add(new Misfit(
                    "Filter without by-pass valve",
                    "none in the engine either",
                    "cold oil bursts it or starves the engine",
                    "Take a filter with a by-pass valve"));
        }
        double reach = takeoff.diameter() / 2 + PORT_REACH;
        OptionalDouble free = freeClock(stand, takeoff, clock, reach);
        for (FilterStand.Neighbour n : stand.neighbours()) {
            if (onStand && n.distance() < takeoff.diameter() / 2) {
                misfits.add(new Misfit(
                        "Plate beside " + n.name(),
                        mm(takeoff.diameter() / 2) + " in " + mm(n.distance()),
                        "the plate itself meets it",
                        "Take a narrower plate, or a spacer that lifts it past " + n.name()));
            } else if (onStand && n.distance() < reach && meets(n, takeoff, clock)) {
                misfits.add(new Misfit(
                        "Port towards " + n.name(),
                        mm(n.distance()) + ", needs " + mm(reach),
                        "the hose end cannot be screwed on there",
                        free.isPresent()
                                ? "Turn the plate to " + Math.round(Math.toDegrees(free.getAsDouble())) + "°"
                                : "No clock angle is free: take a spacer, or a housing adaptor"));
            }
        }
        return new TakeoffFit(List.copyOf(misfits), engagement, stack, free);
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

    private static String mm(double m) {
        return String.format(Locale.ROOT, "%.0f mm", m * 1e3);
    }
}
