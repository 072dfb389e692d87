package isotherm.core.nose;

import java.util.List;
import java.util.Locale;

/** What drawings at true size are put together from; millimetres. */
public final class Shapes {
    private Shapes() {}

    /**
     * Draws a hole with its cross and its diameter.
     *
     * @param s receives the shapes
     * @param x mm
     * @param y mm
     * @param diameter mm
     */
    public static void hole(List<Template.Shape> s, double x, double y, double diameter) {
        s.add(new Template.Circle(Template.Layer.HOLE, x, y, diameter));
        cross(s, Template.Layer.HOLE, x, y, diameter / 2 + 4);
        s.add(new Template.Word(
                Template.Layer.NOTE, x + diameter / 2 + 2, y + 2, 3, String.format(Locale.ROOT, "%.1f", diameter)));
    }

    /**
     * Draws a rectangle.
     *
     * @param s receives the shapes
     * @param layer how they are meant
     * @param x mm
     * @param y mm
     * @param w width, mm
     * @param h height, mm
     */
    public static void rectangle(List<Template.Shape> s, Template.Layer layer, double x, double y, double w, double h) {
        s.add(new Template.Line(layer, x, y, x + w, y));
        s.add(new Template.Line(layer, x + w, y, x + w, y + h));
        s.add(new Template.Line(layer, x + w, y + h, x, y + h));
        s.add(new Template.Line(layer, x, y + h, x, y));
    }

    /**
     * Draws a cross.
     *
     * @param s receives the shapes
     * @param layer how they are meant
     * @param x mm
     * @param y mm
     * @param arm half its size, mm
     */
    public static void cross(List<Template.Shape> s, Template.Layer layer, double x, double y, double arm) {
        s.add(new Template.Line(layer, x - arm, y, x + arm, y));
        s.add(new Template.Line(layer, x, y - arm, x, y + arm));
    }

    /**
     * Draws the scale bar that proves a print.
     *
     * @param s receives the shapes
     * @param x mm
     * @param y mm
     */
    public static void bar(List<Template.Shape> s, double x, double y) {
        s.add(new Template.Line(Template.Layer.NOTE, x, y, x + Template.BAR, y));
        for (double at = 0; at <= Template.BAR + 1e-9; at += Template.MARK) {
            boolean hundred = Math.round(at) % 100 == 0;
            s.add(new Template.Line(
                    Template.Layer.NOTE, x + at, y, x + at, y + (hundred ? 1.6 : 1) * Template.MARK_HEIGHT));
            if (hundred) {
                s.add(new Template.Word(
                        Template.Layer.NOTE, x + at + 1, y - 4, 3, String.format(Locale.ROOT, "%.0f", at)));
            }
        }
    }
}
