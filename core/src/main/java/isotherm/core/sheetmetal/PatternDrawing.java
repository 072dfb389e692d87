package isotherm.core.sheetmetal;

import isotherm.core.nose.Shapes;
import isotherm.core.nose.Template;
import isotherm.core.nose.Template.Layer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.twod.Vector2D;

/** Flat patterns at their true size, one above the other on one sheet, with a scale bar to prove the print. */
public final class PatternDrawing {
    private static final double MARGIN = 12;
    private static final double FOOT = 34;
    private static final double GAP = 14;
    private static final double CAPTION = 5;
    private static final double WORDS = 3.2;

    private PatternDrawing() {}

    /**
     * @param name what the design is called
     * @param sheets what is drawn; what cannot be folded is left out
     * @return the drawing, each pattern seen from its upper face, a bracket's with the car's end to the left
     */
    public static Template of(String name, SheetWork sheets) {
        List<FoldedBracket> made =
                sheets.brackets().stream().filter(b -> b.flat().isPresent()).toList();
        List<FoldedPanel> panels =
                sheets.panels().stream().filter(p -> p.flat().isPresent()).toList();
        double width = Template.BAR + 10;
        double height = MARGIN + FOOT;
        for (FoldedBracket b : made) {
            FlatPattern p = b.flat().orElseThrow();
            width = Math.max(width, p.length() * 1e3);
            height += p.width() * 1e3 + GAP + CAPTION;
        }
        for (FoldedPanel p : panels) {
            Box box = Box.of(p.flat().orElseThrow());
            width = Math.max(width, box.width());
            height += box.height() + GAP + CAPTION;
        }
        width += 2 * MARGIN;
        List<Template.Shape> s = new ArrayList<>();
        double y = MARGIN + FOOT;
        for (FoldedBracket b : made) {
            pattern(s, b, b.flat().orElseThrow(), MARGIN, y);
            y += b.flat().orElseThrow().width() * 1e3 + GAP + CAPTION;
        }
        for (FoldedPanel p : panels) {
            Box box = Box.of(p.flat().orElseThrow());
            panel(s, p, box, y);
            y += box.height() + GAP + CAPTION;
        }
        double left = (width - Template.BAR) / 2;
        Shapes.bar(s, left, MARGIN + 8);
        s.add(new Template.Word(
                Layer.NOTE,
                left,
                MARGIN + 21,
                4,
                name + ": sheet metal, upper faces; a bracket's car end to the left"));
        s.add(
                new Template.Word(
                        Layer.NOTE,
                        left,
                        MARGIN,
                        3,
                        "Print at 100 %, not fitted to the page. The bar has to measure 300 mm; measure it before anything is cut."));
        return new Template(width, height, List.copyOf(s));
    }

    /** What a flat sheet takes on the drawing, mm. */
    private record Box(double left, double bottom, double width, double height) {
        static Box of(FlatSheet f) {
            double left = Double.POSITIVE_INFINITY;
            double bottom = Double.POSITIVE_INFINITY;
            double right = Double.NEGATIVE_INFINITY;
            double top = Double.NEGATIVE_INFINITY;
            for (Vector2D p : f.outline()) {
                left = Math.min(left, p.getX() * 1e3);
                right = Math.max(right, p.getX() * 1e3);
                bottom = Math.min(bottom, p.getY() * 1e3);
                top = Math.max(top, p.getY() * 1e3);
            }
            return new Box(left, bottom, right - left, top - bottom);
        }
    }

    private static void panel(List<Template.Shape> s, FoldedPanel p, Box box, double y) {
        FlatSheet f = p.flat().orElseThrow();
        double dx = MARGIN - box.left();
        double dy = y - box.bottom();
        for (int i = 0; i < f.outline().size(); i++) {
            line(
                    s,
                    Layer.OUTLINE,
                    f.outline().get(i),
                    f.outline().get((i + 1) % f.outline().size()),
                    dx,
                    dy);
        }
        for (Vector2D h : f.holes()) {
            Shapes.hole(s, h.getX() * 1e3 + dx, h.getY() * 1e3 + dy, p.panel().hole() * 1e3);
        }
        for (FlatSheet.Fold fold : f.folds()) {
            line(s, Layer.BEND, fold.from(), fold.to(), dx, dy);
            Vector2D middle = fold.from().add(fold.to()).scalarMultiply(0.5e3);
            s.add(new Template.Word(
                    Layer.NOTE,
                    middle.getX() + dx + 1.5,
                    middle.getY() + dy + 2,
                    WORDS,
                    way(fold.angle(), p.panel().radius())));
        }
        s.add(new Template.Word(
                Layer.NOTE,
                MARGIN,
                y + box.height() + 2,
                CAPTION,
                String.format(
                        Locale.ROOT,
                        "%s  %.1f mm thick%s",
                        p.panel().mark(),
                        p.panel().thickness() * 1e3,
                        p.good() ? "" : "  NOT GOOD YET")));
    }

    private static void line(List<Template.Shape> s, Layer layer, Vector2D a, Vector2D b, double dx, double dy) {
        s.add(new Template.Line(
                layer, a.getX() * 1e3 + dx, a.getY() * 1e3 + dy, b.getX() * 1e3 + dx, b.getY() * 1e3 + dy));
    }

    private static String way(double angle, double radius) {
        return String.format(
                Locale.ROOT,
                "%s %.0f, R %.1f",
                angle > 0 ? "up" : "down",
                Math.abs(Math.toDegrees(angle)),
                radius * 1e3);
    }

    private static void pattern(List<Template.Shape> s, FoldedBracket b, FlatPattern p, double x, double y) {
        double w = p.width() * 1e3;
        Shapes.rectangle(s, Layer.OUTLINE, x, y, p.length() * 1e3, w);
        for (FlatPattern.Hole h : p.holes()) {
            Shapes.hole(s, x + h.x() * 1e3, y + h.y() * 1e3, h.diameter() * 1e3);
        }
        for (Bend bend : p.bends()) {
            double at = x + bend.at() * 1e3;
            s.add(new Template.Line(Layer.BEND, at, y, at, y + w));
            s.add(new Template.Word(
                    Layer.NOTE,
                    at + 1.5,
                    y + 2,
                    WORDS,
                    way(bend.angle(), b.bracket().radius())));
        }
        s.add(new Template.Word(Layer.NOTE, x, y + w + 2, CAPTION, caption(b, p)));
    }

    private static String caption(FoldedBracket b, FlatPattern p) {
        return String.format(
                Locale.ROOT,
                "%s  %.1f x %.1f x %.1f mm%s",
                b.bracket().mark(),
                p.length() * 1e3,
                p.width() * 1e3,
                b.bracket().thickness() * 1e3,
                Optional.of(b.problems().size())
                        .filter(n -> n > 0)
                        .map(n -> "  NOT GOOD YET")
                        .orElse(""));
    }
}
