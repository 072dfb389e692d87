package isotherm.core.takeoff;

import isotherm.core.parts.Takeoff;
import isotherm.core.parts.Tightening;
import java.util.ArrayList;
import java.util.List;

/**
 * How far a wrench swings at a port of a takeoff. The fitting stands out of the takeoff's edge; the wrench turns in the plane
 * square to it, from one side of the engine's face to the other, as far as nothing stands there.
 *
 * @param gives whether the port gives oil to the cooler
 * @param arc greatest free swing, rad, 0 to half a turn
 */
public record WrenchArc(boolean gives, double arc) {
    /** A nut of six sides is gripped again after this swing when the wrench is turned over, rad: open ends stand 15° askew. */
    public static final double LEAST = Math.toRadians(30);
    /** An open-ended wrench is so many times as long as it is wide across its flats (default, as met with in tool rolls). */
    private static final double LENGTH = 11;
    /** Flats of a nut of which nothing is known, m (default). */
    private static final double USUAL_FLATS = 24e-3;
    /** Middle of the nut beyond the takeoff's edge, m (default). */
    private static final double NUT = 25e-3;
    /** Half the width of a hand round a wrench, m (default). */
    private static final double HAND = 15e-3;

    private static final double SWING_STEP = Math.toRadians(3);
    private static final double ALONG_STEP = 10e-3;

    /**
     * @param stand the engine's side
     * @param takeoff the takeoff
     * @param clock clock angle of the port that gives oil, rad
     * @return the swing at both ports
     */
    public static List<WrenchArc> of(FilterStand stand, Takeoff takeoff, double clock) {
        double flats = Tightening.of(takeoff.port()).wrench();
        double length = LENGTH * (flats > 0 ? flats : USUAL_FLATS);
        double radius = takeoff.diameter() / 2 + NUT;
        List<WrenchArc> arcs = new ArrayList<>();
        arcs.add(new WrenchArc(true, free(stand, radius, length, clock)));
        arcs.add(new WrenchArc(false, free(stand, radius, length, clock + takeoff.spacing())));
        return List.copyOf(arcs);
    }

    /** @return whether the joint can be tightened with the takeoff on the engine */
    public boolean reachable() {
        return arc >= LEAST - 1e-9;
    }

    private static double free(FilterStand stand, double radius, double length, double clock) {
        double best = 0;
        double run = -SWING_STEP;
        // From one side along the engine's face, over the filter's axis, to the other side.
        int steps = (int) Math.round(Math.PI / SWING_STEP);
        for (int i = 0; i <= steps; i++) {
            double swing = -Math.PI / 2 + i * SWING_STEP;
            run = blocked(stand, radius, length, clock, swing) ? -SWING_STEP : run + SWING_STEP;
            best = Math.max(best, run);
        }
        return best;
    }

    private static boolean blocked(FilterStand stand, double radius, double length, double clock, double swing) {
        for (double s = 0; s <= length; s += ALONG_STEP) {
            double aside = s * Math.sin(swing);
            double away = Math.hypot(radius, aside);
            double at = clock + Math.atan2(aside, radius);
            double half = Math.atan2(HAND, away);
            for (FilterStand.Neighbour n : stand.neighbours()) {
                if (away + HAND > n.distance() && (n.covers(at - half) || n.covers(at) || n.covers(at + half))) {
                    return true;
                }
            }
        }
        return false;
    }
}
