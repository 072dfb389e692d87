package isotherm.core.route;

import isotherm.core.nose.Nose;
import isotherm.core.nose.NoseFit;
import isotherm.core.nose.Rect;
import isotherm.core.nose.Standing;
import java.util.List;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The room for the hoses as measured by tape, in the axes of the nose: across from the centre line, up from the ground, back
 * from the foremost skin; all in m.
 *
 * @param room the room itself: sides, ground line and bonnet
 * @param boxes what is in it
 * @param holes ways through its panels
 */
public record Bay(Box room, List<Box> boxes, List<Hole> holes) {
    /** Defensive copies. */
    public Bay {
        boxes = List.copyOf(boxes);
        holes = List.copyOf(holes);
    }

    /**
     * @param points what has to lie in it, m
     * @param margin room round them, m
     * @return a bay with nothing in it
     */
    public static Bay free(List<Vector3D> points, double margin) {
        double[] low = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY};
        double[] high = {Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY};
        for (Vector3D p : points) {
            double[] at = p.toArray();
            for (int i = 0; i < at.length; i++) {
                low[i] = Math.min(low[i], at[i] - margin);
                high[i] = Math.max(high[i], at[i] + margin);
            }
        }
        return new Bay(
                new Box("the room for the hoses", Kind.SOFT, new Vector3D(low), new Vector3D(high)),
                List.of(),
                List.of());
    }

    /** What a box is, which decides how far a hose keeps from it. */
    public enum Kind {
        /** Exhaust, turbine, its pipes. */
        HOT(75e-3, "hot"),
        /** Belts, pulleys, steering, drive shafts. */
        MOVING(30e-3, "moving"),
        /** A wheel at full lock and full bump. */
        WHEEL(20e-3, "wheel"),
        /** Sheet edges and brackets. */
        SHARP(12e-3, "sharp"),
        /** A panel, which holes may lead through. */
        PANEL(12e-3, "panel"),
        /** Solid and harmless: block, gearbox, radiator. */
        SOLID(8e-3, "solid"),
        /** Air box, plastic tanks, looms. */
        SOFT(5e-3, "soft");

        private final double clearance;
        private final String words;

        Kind(double clearance, String words) {
            this.clearance = clearance;
            this.words = words;
        }

        /** @return least distance of a hose's skin from it, m (default) */
        public double clearance() {
            return clearance;
        }

        /** @return it in a word */
        public String words() {
            return words;
        }

        /** @return whether such things are usually on the engine and move with it */
        boolean onEngine() {
            return this == HOT || this == MOVING || this == SOLID;
        }
    }

    /**
     * A measured box.
     *
     * @param name what its people call it
     * @param kind what it is
     * @param low its least coordinates, m
     * @param high its greatest coordinates, m
     */
    public record Box(String name, Kind kind, Vector3D low, Vector3D high) {
        /**
         * @param p a point, m
         * @return distance from its surface, m; 0 or less inside
         */
        public double distance(Vector3D p) {
            double dx = Math.max(low.getX() - p.getX(), p.getX() - high.getX());
            double dy = Math.max(low.getY() - p.getY(), p.getY() - high.getY());
            double dz = Math.max(low.getZ() - p.getZ(), p.getZ() - high.getZ());
            double ox = Math.max(dx, 0);
            double oy = Math.max(dy, 0);
            double oz = Math.max(dz, 0);
            double outside = Math.sqrt(ox * ox + oy * oy + oz * oz);
            return outside > 0 ? outside : Math.max(dx, Math.max(dy, dz));
        }

        /** A distance, m, that {@link #distance} is never below outside the box. */
        double atLeast(Vector3D p) {
            return Math.max(
                    Math.max(
                            Math.max(low.getX() - p.getX(), p.getX() - high.getX()),
                            Math.max(low.getY() - p.getY(), p.getY() - high.getY())),
                    Math.max(low.getZ() - p.getZ(), p.getZ() - high.getZ()));
        }

        /**
         * @param p a point, m
         * @return distance from its walls when it is a room, m; negative outside
         */
        public double within(Vector3D p) {
            return -atLeast(p);
        }
    }

    /** The axes of the car. */
    public enum Axis {
        /** Across. */
        ACROSS(Vector3D.PLUS_I),
        /** Up. */
        UP(Vector3D.PLUS_J),
        /** Along the car. */
        ALONG(Vector3D.PLUS_K);

        private final Vector3D unit;

        Axis(Vector3D unit) {
            this.unit = unit;
        }

        /** @return its unit vector */
        public Vector3D unit() {
            return unit;
        }
    }

    /**
     * A round way through a panel.
     *
     * @param name what its people call it
     * @param panel name of the panel that it leads through
     * @param centre its middle, m
     * @param axis the axis that it leads along
     * @param diameter m, with its grommet in
     */
    public record Hole(String name, String panel, Vector3D centre, Axis axis, double diameter) {
        /** A grommet's lip is kept this far from the hose, m (default). */
        static final double GROMMET = 1e-3;

        /**
         * @param p a point, m
         * @return distance from its axis, m
         */
        public double offAxis(Vector3D p) {
            double x = axis == Axis.ACROSS ? 0 : p.getX() - centre.getX();
            double y = axis == Axis.UP ? 0 : p.getY() - centre.getY();
            double z = axis == Axis.ALONG ? 0 : p.getZ() - centre.getZ();
            return Math.sqrt(x * x + y * y + z * z);
        }

        /**
         * @param p a point, m
         * @return distance from its middle along its axis, m
         */
        public double along(Vector3D p) {
            return Math.abs(
                    switch (axis) {
                        case ACROSS -> p.getX() - centre.getX();
                        case UP -> p.getY() - centre.getY();
                        case ALONG -> p.getZ() - centre.getZ();
                    });
        }
    }

    /**
     * @param more other boxes
     * @return the same bay with them
     */
    public Bay with(List<Box> more) {
        return new Bay(room, Stream.concat(boxes.stream(), more.stream()).toList(), holes);
    }

    /**
     * @param nose what has been measured of the nose
     * @return its parts as boxes
     */
    public static List<Box> of(Nose nose) {
        return nose.parts().stream()
                .map(p -> new Box(
                        p.name(),
                        kind(p.kind()),
                        new Vector3D(p.face().left(), p.face().bottom(), p.front()),
                        new Vector3D(
                                p.face().left() + p.face().width(),
                                p.face().bottom() + p.face().height(),
                                p.back())))
                .toList();
    }

    private static Kind kind(Nose.Kind kind) {
        return switch (kind) {
            case BEAM -> Kind.SHARP;
            case FAN -> Kind.MOVING;
            case PLATE, CONDENSER, INTERCOOLER, STEERING_COOLER, GEARBOX_COOLER, LINES -> Kind.SOFT;
            case RADIATOR, HORN, OTHER -> Kind.SOLID;
        };
    }

    /**
     * What a core must not touch: engine, gearbox, exhaust and belts come towards it when the engine moves.
     *
     * @param engineMoves how far the engine moves, m
     * @return the boxes as a core sees them
     */
    public List<Standing> standing(double engineMoves) {
        return boxes.stream()
                .map(b -> new Standing(
                        b.name(),
                        new Rect(
                                b.low().getX(),
                                b.low().getY(),
                                b.high().getX() - b.low().getX(),
                                b.high().getY() - b.low().getY()),
                        b.low().getZ(),
                        b.high().getZ(),
                        Math.max(NoseFit.LEAST_CLEARANCE, b.kind().clearance()),
                        b.kind().onEngine() ? engineMoves : 0))
                .toList();
    }

    /**
     * @param name a box
     * @return the same bay without it
     */
    public Bay without(String name) {
        return new Bay(room, boxes.stream().filter(b -> !b.name().equals(name)).toList(), holes);
    }
}
