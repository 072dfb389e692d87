package isotherm.core.nose;

import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreLayout;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

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
 * @param turned whether its back is to the front; empty for the way that brings its ports nearer to the takeoff
 * @param baffle whether a baffle or an undertray stands before its way out
 */
public record Placement(
        double x,
        double y,
        double z,
        double tilt,
        boolean shroud,
        boolean foam,
        boolean skidPlate,
        List<Mount> mounts,
        Optional<Boolean> turned,
        boolean baffle) {
    /** Velocity heads that a skid plate costs on the opening's speed: it closes the way out below (default). */
    public static final double SKID_PLATE_HEADS = 0.5;
    /** Velocity heads that a baffle before the way out costs on the opening's speed (default). */
    public static final double BAFFLE_HEADS = 0.4;

    /** Defensive copy. */
    public Placement {
        mounts = List.copyOf(mounts);
    }

    /**
     * With the ports on the side that is nearer to the takeoff.
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
    public Placement(
            double x,
            double y,
            double z,
            double tilt,
            boolean shroud,
            boolean foam,
            boolean skidPlate,
            List<Mount> mounts) {
        this(x, y, z, tilt, shroud, foam, skidPlate, mounts, Optional.empty(), false);
    }

    /** @return velocity heads that skid plate and baffle cost, on the opening's speed */
    public double plateHeads() {
        return (skidPlate ? SKID_PLATE_HEADS : 0) + (baffle ? BAFFLE_HEADS : 0);
    }

    /**
     * The one answer to where a placed core's ports and holes are, in its own frame.
     *
     * @param core the core
     * @param takeoffX where the takeoff is across the car, m, where that is known
     * @return it as it stands, seen from the front of the car
     */
    public CoreLayout layout(Core core, OptionalDouble takeoffX) {
        boolean byTakeoff = core.sheet().isEmpty() && takeoffX.isPresent() && takeoffX.getAsDouble() >= x;
        CoreLayout layout = core.layout();
        return turned.orElse(byTakeoff) ? layout.turned() : layout;
    }

    /**
     * From the core's own frame into the car.
     *
     * @param right m to the right of the face's middle, seen from the front
     * @param up m along the face
     * @param behind m behind the front face
     * @return the point in the axes of the nose, m
     */
    public Vector3D inCar(double right, double up, double behind) {
        return new Vector3D(x, y, z).add(directionInCar(right, up, behind));
    }

    /**
     * @param right part to the right, seen from the front
     * @param up part up the face
     * @param behind part square to the face, backwards
     * @return the same vector in the axes of the nose
     */
    public Vector3D directionInCar(double right, double up, double behind) {
        double sin = Math.sin(tilt);
        double cos = Math.cos(tilt);
        return new Vector3D(right, up * cos - behind * sin, up * sin + behind * cos);
    }

    /**
     * A point at which the core is held, on its outline as seen from the front.
     *
     * @param x m from the middle of the core
     * @param y m from the middle of the core, along its face
     * @param hole diameter of the hole, m
     * @param method how it is held
     * @param rubber whether rubber lets it expand and keeps vibration away
     * @param torque what its maker wants its bolt tightened to, N·m, where that is known
     */
    public record Mount(double x, double y, double hole, Method method, boolean rubber, OptionalDouble torque) {
        /**
         * A mount of whose bolt no torque is known.
         *
         * @param x m from the middle of the core
         * @param y m from the middle of the core, along its face
         * @param hole diameter of the hole, m
         * @param method how it is held
         * @param rubber whether rubber lets it expand and keeps vibration away
         */
        public Mount(double x, double y, double hole, Method method, boolean rubber) {
            this(x, y, hole, method, rubber, OptionalDouble.empty());
        }
    }

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
