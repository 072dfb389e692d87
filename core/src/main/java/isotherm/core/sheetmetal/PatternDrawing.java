package isotherm.core.sheetmetal;

import isotherm.core.nose.Shapes;
import isotherm.core.nose.Template;
import isotherm.core.nose.Template.Layer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

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
     * @param brackets those that are drawn; one without a pattern is left out
     * @return the drawing, each pattern seen from its upper face with the car's end to the left
     */
    public static Template of(String name, List<FoldedBracket> brackets) {
        List<FoldedBracket> made =
                brackets.stream().filter(b -> b.flat().isPresent()).toList();
        double width = Template.BAR + 10;
        double height = MARGIN + FOOT;
        for (FoldedBracket b : made) {
            FlatPattern p = b.flat().orElseThrow();
            width = Math.max(width, p.length() * 1e3);
            height += p.width() * 1e3 + GAP + CAPTION;
        }
        width += 2 * MARGIN;
        List<Template.Shape> s = new ArrayList<>();
        double y = MARGIN + FOOT;
        for (FoldedBracket b : made) {
            pattern(s, b, b.flat().orElseThrow(), MARGIN, y);
            y += b.flat().orElseThrow().width() * 1e3 + GAP + CAPTION;
        }
        double left = (width - Template.BAR) / 2;
        Shapes.bar(s, left, MARGIN + 8);
        s.add(new Template.Word(
                Layer.NOTE, left, MARGIN + 21, 4, name + ": brackets, upper face, car's end to the left"));
        s.add(
                new Template.Word(
                        Layer.NOTE,
                        left,
                        MARGIN,
                        3,
                        "Print at 100 %, not fitted to the page. The bar has to measure 300 mm; measure it before anything is cut."));
        return new Template(width, height, List.copyOf(s));
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
                    String.format(
                            Locale.ROOT,
                            "%s %.0f, R %.1f",
                            bend.angle() > 0 ? "up" : "down",
                            Math.abs(Math.toDegrees(bend.angle())),
                            b.bracket().radius() * 1e3)));
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
