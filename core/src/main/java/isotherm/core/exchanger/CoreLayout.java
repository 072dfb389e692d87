package isotherm.core.exchanger;

import java.util.List;

/**
 * A core as it is measured and drawn: outside dimensions, ports and holes. The one source of these for drawing, template, nose,
 * routes and bill. Seen from the front: x to the right and y up from the middle of its face, z from the front face backwards, m.
 *
 * @param width outside width with tanks, m
 * @param height outside height with end plates, m
 * @param depth along the air, m
 * @param ports its two ports
 * @param holes holes that it is held by; empty where its data sheet shows none
 */
public record CoreLayout(double width, double height, double depth, List<PortAt> ports, List<Hole> holes) {
    /** From the middle of a side tank to either of its two ports, as a share of the core's height (default). */
    private static final double SIDE_SHARE = 0.3;
    /** Ports on one tank are this far apart, m (default). */
    private static final double PITCH = 50e-3;

    /** Defensive copies. */
    public CoreLayout {
        ports = List.copyOf(ports);
        holes = List.copyOf(holes);
    }

    /** A way that a port points in the frame of its core. */
    public enum Pointing {
        /** Up along the face. */
        UP(0, 1, 0),
        /** Down along the face. */
        DOWN(0, -1, 0),
        /** To the left, seen from the front. */
        LEFT(-1, 0, 0),
        /** To the right, seen from the front. */
        RIGHT(1, 0, 0),
        /** Against the air. */
        FRONT(0, 0, -1),
        /** With the air. */
        BACK(0, 0, 1);

        private final double x;
        private final double y;
        private final double z;

        Pointing(double x, double y, double z) {
            this.x = x;
            this.y = y;
            this.z = z;
        }

        /** @return part to the right */
        public double x() {
            return x;
        }

        /** @return part up the face */
        public double y() {
            return y;
        }

        /** @return part backwards */
        public double z() {
            return z;
        }

        private Pointing turned() {
            return switch (this) {
                case LEFT -> RIGHT;
                case RIGHT -> LEFT;
                case FRONT -> BACK;
                case BACK -> FRONT;
                default -> this;
            };
        }
    }

    /**
     * A port.
     *
     * @param x to the right of the face's middle, m
     * @param y above it, m
     * @param z behind the front face, m
     * @param points which way it opens
     */
    public record PortAt(double x, double y, double z, Pointing points) {}

    /**
     * A hole.
     *
     * @param x to the right of the face's middle, m
     * @param y above it, m
     * @param diameter m
     */
    public record Hole(double x, double y, double diameter) {}

    /**
     * @param core a core
     * @return it by its data sheet, or as cores of its kind are usually made
     */
    static CoreLayout of(Core core) {
        return core.sheet().map(s -> s.layout(core.depth())).orElseGet(() -> usual(core));
    }

    private static CoreLayout usual(Core core) {
        double w = core.outsideWidth() / 2;
        double h = core.outsideHeight() / 2;
        double z = core.depth() / 2;
        double tank = core.detail().tank() / 2;
        boolean oneEnd = core.passes() == 2;
        PortAt one;
        PortAt other;
        if (core.ports() == Ports.SIDE) {
            one = new PortAt(-w, -SIDE_SHARE * 2 * h, z, Pointing.LEFT);
            other = new PortAt(oneEnd ? -w : w, SIDE_SHARE * 2 * h, z, oneEnd ? Pointing.LEFT : Pointing.RIGHT);
        } else {
            boolean up = core.ports() == Ports.UP;
            Pointing points = up ? Pointing.UP : Pointing.DOWN;
            double y = up ? h : -h;
            one = new PortAt(tank - w, y, z, points);
            other = new PortAt(oneEnd ? tank - w + PITCH : w - tank, y, z, points);
        }
        return new CoreLayout(2 * w, 2 * h, core.depth(), List.of(one, other), List.of());
    }

    /** @return the same core with its back to the front */
    public CoreLayout turned() {
        return new CoreLayout(
                width,
                height,
                depth,
                ports.stream()
                        .map(p -> new PortAt(
                                -p.x(), p.y(), depth - p.z(), p.points().turned()))
                        .toList(),
                holes.stream().map(h -> new Hole(-h.x(), h.y(), h.diameter())).toList());
    }
}
