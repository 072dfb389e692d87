package isotherm.core.nose;

import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreLayout;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A core's template at its true size: outline, fins, ports, mounting holes, the opening that its shroud has to meet, and a
 * scale bar to prove the print. Millimetres, from the lower left corner of the drawing.
 *
 * @param widthMm width of the drawing, mm
 * @param heightMm height of the drawing, mm
 * @param shapes what is drawn
 */
public record Template(double widthMm, double heightMm, List<Shape> shapes) {
    /** Length of the scale bar, mm. */
    public static final double BAR = 300;
    /** Distance of the scale bar's marks, mm. */
    public static final double MARK = 10;
    /** Height of the scale bar's marks, mm. */
    public static final double MARK_HEIGHT = 5;

    private static final double MARGIN = 12;
    private static final double FOOT = 34;

    /** How a line is meant. */
    public enum Layer {
        /** Edge of the core: cut here. */
        OUTLINE,
        /** Inside the core, for orientation. */
        INSIDE,
        /** A port's mouth and the way that it opens. */
        PORT,
        /** To be bent along. */
        BEND,
        /** To be drilled. */
        HOLE,
        /** The opening that a shroud has to meet. */
        SHROUD,
        /** Scale bar and words. */
        NOTE
    }

    /** Something drawn. */
    public sealed interface Shape permits Line, Circle, Word {
        /** @return how it is meant */
        Layer layer();
    }

    /**
     * A straight line.
     *
     * @param layer how it is meant
     * @param x1 mm
     * @param y1 mm
     * @param x2 mm
     * @param y2 mm
     */
    public record Line(Layer layer, double x1, double y1, double x2, double y2) implements Shape {}

    /**
     * A circle.
     *
     * @param layer how it is meant
     * @param x of its centre, mm
     * @param y of its centre, mm
     * @param diameter mm
     */
    public record Circle(Layer layer, double x, double y, double diameter) implements Shape {}

    /**
     * A word.
     *
     * @param layer how it is meant
     * @param x of its left end, mm
     * @param y of its base line, mm
     * @param size of its capitals, mm
     * @param text the word
     */
    public record Word(Layer layer, double x, double y, double size, String text) implements Shape {}

    /**
     * @param name what the design is called
     * @param core the core
     * @param placement where it sits, with its mounts
     * @param nose the nose, for the opening of the shroud
     * @param takeoffX where the takeoff is across the car, m, where that is known
     * @return its template, seen from the front
     */
    public static Template of(
            String name, Core core, Placement placement, Optional<Nose> nose, OptionalDouble takeoffX) {
        CoreLayout layout = placement.layout(core, takeoffX);
        double w = layout.width() * 1e3;
        double h = layout.height() * 1e3;
        // From the middle of the core: the core itself, its mounts, and the opening.
        double left = -w / 2;
        double right = w / 2;
        double low = -h / 2;
        double high = h / 2;
        Optional<Rect> opening = nose.flatMap(n -> {
            NoseFit fit = NoseFit.of(n, core, placement);
            return fit.gaps()
                    .map(g -> new Rect(
                            left(fit, placement) - g.left() * 1e3,
                            bottom(fit, placement) - g.below() * 1e3,
                            (fit.outline().width() + g.left() + g.right()) * 1e3,
                            (fit.outline().height() + g.above() + g.below()) * 1e3));
        });
        for (CoreLayout.PortAt p : layout.ports()) {
            double r = 2 * core.detail().portBore() * 1e3;
            left = Math.min(left, p.x() * 1e3 - r);
            right = Math.max(right, p.x() * 1e3 + r);
            low = Math.min(low, p.y() * 1e3 - r);
            high = Math.max(high, p.y() * 1e3 + r);
        }
        for (Placement.Mount m : placement.mounts()) {
            double r = m.hole() * 1e3 / 2 + 6;
            left = Math.min(left, m.x() * 1e3 - r);
            right = Math.max(right, m.x() * 1e3 + r);
            low = Math.min(low, m.y() * 1e3 - r);
            high = Math.max(high, m.y() * 1e3 + r);
        }
        if (opening.isPresent()) {
            left = Math.min(left, opening.get().left());
            right = Math.max(right, opening.get().right());
            low = Math.min(low, opening.get().bottom());
            high = Math.max(high, opening.get().top());
        }
        double width = Math.max(right - left, BAR + 10) + 2 * MARGIN;
        double height = high - low + 2 * MARGIN + FOOT;
        double ox = width / 2 - (left + right) / 2;
        double oy = MARGIN + FOOT - low;
        List<Shape> s = new ArrayList<>();
        Shapes.rectangle(s, Layer.OUTLINE, ox - w / 2, oy - h / 2, w, h);
        double fin = core.width() * 1e3;
        double finHigh = core.height() * 1e3;
        Shapes.rectangle(s, Layer.INSIDE, ox - fin / 2, oy - finHigh / 2, fin, finHigh);
        Shapes.cross(s, Layer.INSIDE, ox, oy, 10);
        layout.ports().forEach(p -> port(s, p, core.detail().portBore() * 1e3, ox, oy));
        layout.holes().forEach(o -> Shapes.hole(s, ox + o.x() * 1e3, oy + o.y() * 1e3, o.diameter() * 1e3));
        for (Placement.Mount m : placement.mounts()) {
            Shapes.hole(s, ox + m.x() * 1e3, oy + m.y() * 1e3, m.hole() * 1e3);
        }
        opening.ifPresent(
                o -> Shapes.rectangle(s, Layer.SHROUD, ox + o.left(), oy + o.bottom(), o.width(), o.height()));
        Shapes.bar(s, (width - BAR) / 2, MARGIN + 8);
        s.add(new Word(
                Layer.NOTE,
                (width - BAR) / 2,
                MARGIN + 21,
                4,
                String.format(Locale.ROOT, "%s: core %.0f x %.0f mm outside, seen from the front", name, w, h)));
        s.add(
                new Word(
                        Layer.NOTE,
                        (width - BAR) / 2,
                        MARGIN,
                        3,
                        "Print at 100 %, not fitted to the page. The bar has to measure 300 mm; measure it before anything is cut."));
        return new Template(width, height, List.copyOf(s));
    }

    private static double left(NoseFit fit, Placement p) {
        return (fit.outline().left() - p.x()) * 1e3;
    }

    private static double bottom(NoseFit fit, Placement p) {
        return (fit.outline().bottom() - p.y()) * 1e3;
    }

    /** A circle round the middle of its mouth, and a line that way that it opens along the face. */
    private static void port(List<Shape> s, CoreLayout.PortAt port, double bore, double ox, double oy) {
        double x = ox + port.x() * 1e3;
        double y = oy + port.y() * 1e3;
        s.add(new Circle(Layer.PORT, x, y, bore));
        s.add(new Line(
                Layer.PORT,
                x,
                y,
                x + port.points().x() * bore,
                y + port.points().y() * bore));
    }
}
