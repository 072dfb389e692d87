package isotherm.core.parts;

/**
 * What builders do in two ways at joints. Both are sound; they differ in torque, mass, and what can be used again.
 *
 * @param washer what seals a parallel thread on its face
 * @param metal what adaptors and hose ends are made of
 * @param clamped whether push-on hose wears a clamp over its barbs
 */
public record Practice(Washer washer, Metal metal, boolean clamped) {
    /** What is reckoned with unless somebody says otherwise. */
    public static final Practice USUAL = new Practice(Washer.BONDED, Metal.ALUMINIUM, false);

    /** What seals a parallel thread on its face. */
    public enum Washer {
        /** Rubber in a steel ring: seals at a low torque, and stands a face that is not quite flat; new each time. */
        BONDED,
        /** Annealed copper: stands any heat, wants a clean flat face and more torque; new each time, or annealed again. */
        COPPER
    }

    /** What adaptors and hose ends are made of. */
    public enum Metal {
        /** Light, and sheared or galled by a heavy hand. */
        ALUMINIUM(1),
        /** Nearly three times the mass, and takes twice the torque where both parts are steel. */
        STEEL(7850.0 / 2700.0);

        private final double massFactor;

        Metal(double massFactor) {
            this.massFactor = massFactor;
        }

        /** @return its mass against that of the same part in aluminium */
        public double massFactor() {
            return massFactor;
        }
    }

    /**
     * @param joint a joint
     * @return what makes it tight
     */
    public String seal(Joint joint) {
        return copper(joint) ? "a copper washer on a flat, clean face" : joint.seal();
    }

    /**
     * @param joint a joint
     * @return what goes on it when it is put together
     */
    public String onThread(Joint joint) {
        if (joint == Joint.PUSH_ON && clamped) {
            return "oil inside the hose; a smooth-band clamp behind the first barb, never a worm-drive clip";
        }
        return copper(joint) ? "a new or newly annealed copper washer; nothing on the thread" : joint.onThread();
    }

    private boolean copper(Joint joint) {
        return washer == Washer.COPPER && (joint == Joint.BSPP || joint == Joint.METRIC);
    }
}
