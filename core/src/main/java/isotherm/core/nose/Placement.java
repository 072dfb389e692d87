package isotherm.core.nose;

import java.util.List;

/**
 * Where a core is fitted in a nose, and what is done about its air.
 *
 * @param x of the middle of its front face, m from the centre line
 * @param y of the middle of its front face, m above the ground
 * @param z of the middle of its front face, m back from the skin
 * @param tilt lean of its upper edge towards the rear, rad; negative towards the front
 * @param shroud whether a shroud leads from the opening to the core
 * @param foam whether foam seals close the joints of shroud and core
 * @param skidPlate whether a skid plate takes what comes from below
 * @param mounts where it is held
 */
public record Placement(
        double x,
        double y,
        double z,
        double tilt,
        boolean shroud,
        boolean foam,
        boolean skidPlate,
        List<Mount> mounts) {
    /** Defensive copy. */
    public Placement {
        mounts = List.copyOf(mounts);
    }

    /**
     * A point at which the core is held, on its outline as seen from the front.
     *
     * @param x m from the middle of the core
     * @param y m from the middle of the core, along its face
     * @param hole diameter of the hole, m
     * @param method how it is held
     * @param rubber whether rubber lets it expand and keeps vibration away
     */
    public record Mount(double x, double y, double hole, Method method, boolean rubber) {}

    /** How a mount holds. */
    public enum Method {
        /** A bracket that clamps what is there; nothing is drilled. */
        CLAMP,
        /** A bolt through a hole, with paint on its edge. */
        BOLT,
        /** A rivet nut, which needs room for its tool. */
        RIVET_NUT
    }
}
