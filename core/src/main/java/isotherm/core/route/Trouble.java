package isotherm.core.route;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Somewhere along a hose that cannot stay so.
 *
 * @param at where it is, m
 * @param what what is too near
 * @param kind what it is; empty for the bay's edge, the other hose, or a bend
 * @param missing how much is missing, m
 */
public record Trouble(Vector3D at, String what, Optional<Bay.Kind> kind, double missing) {
    /**
     * @param space what a hose has to keep clear of
     * @param path its path
     * @param bendRadius its least radius, m
     * @return everything that cannot stay so, worst place of each; empty for a good one
     */
    public static List<Trouble> of(Surroundings space, RoutePath path, double bendRadius) {
        List<Trouble> troubles = new ArrayList<>();
        for (Vector3D p : path.points(Surroundings.LEAST_STEP)) {
            double slack = space.slack(p);
            if (slack < -1e-6) {
                String name = space.nearest(p);
                Trouble trouble = new Trouble(
                        p,
                        name,
                        space.bay().boxes().stream()
                                .filter(b -> b.name().equals(name))
                                .map(Bay.Box::kind)
                                .findFirst(),
                        -slack);
                Optional<Trouble> same =
                        troubles.stream().filter(t -> t.what().equals(name)).findFirst();
                if (same.isEmpty()) {
                    troubles.add(trouble);
                } else if (same.get().missing() < trouble.missing()) {
                    troubles.set(troubles.indexOf(same.get()), trouble);
                }
            }
        }
        for (int i = 1; i + 1 < path.corners().size(); i++) {
            double radius = path.radii().get(i - 1);
            if (path.turn(i) > 1e-6 && radius < bendRadius - 1e-9) {
                troubles.add(new Trouble(path.corners().get(i), "bend", Optional.empty(), bendRadius - radius));
            }
        }
        return List.copyOf(troubles);
    }
}
