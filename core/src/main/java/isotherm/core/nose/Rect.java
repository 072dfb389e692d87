package isotherm.core.nose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/**
 * An upright rectangle in the front view.
 *
 * @param left m from the car's centre line, negative on the left of the picture
 * @param bottom m above the ground
 * @param width m, 0 or more
 * @param height m, 0 or more
 */
public record Rect(double left, double bottom, double width, double height) {
    /**
     * @param x of its centre, m from the car's centre line
     * @param y of its centre, m above the ground
     * @param width m
     * @param height m
     * @return the rectangle around that centre
     */
    public static Rect around(double x, double y, double width, double height) {
        return new Rect(x - width / 2, y - height / 2, width, height);
    }

    /** @return right edge, m */
    public double right() {
        return left + width;
    }

    /** @return upper edge, m */
    public double top() {
        return bottom + height;
    }

    /** @return area, m² */
    public double area() {
        return width * height;
    }

    /**
     * @param by m to every side
     * @return the rectangle grown
     */
    Rect grown(double by) {
        return new Rect(left - by, bottom - by, width + 2 * by, height + 2 * by);
    }

    /**
     * @param other another rectangle
     * @return what both cover, if they overlap
     */
    Optional<Rect> common(Rect other) {
        double l = Math.max(left, other.left);
        double b = Math.max(bottom, other.bottom);
        double w = Math.min(right(), other.right()) - l;
        double h = Math.min(top(), other.top()) - b;
        return w > 0 && h > 0 ? Optional.of(new Rect(l, b, w, h)) : Optional.empty();
    }

    /**
     * Gap to another rectangle, 0 when they touch or overlap, m.
     *
     * @param other another rectangle
     * @return shortest distance, m
     */
    double distance(Rect other) {
        double dx = Math.max(0, Math.max(other.left - right(), left - other.right()));
        double dy = Math.max(0, Math.max(other.bottom - top(), bottom - other.top()));
        return Math.hypot(dx, dy);
    }

    /**
     * Area of a face that at least one of some rectangles covers, counted once. Exact, on the grid of all edges.
     *
     * @param face the face
     * @param covers the rectangles
     * @return covered area, m²
     */
    static double covered(Rect face, List<Rect> covers) {
        List<Rect> inside = new ArrayList<>();
        covers.forEach(c -> c.common(face).ifPresent(inside::add));
        TreeSet<Double> xs = new TreeSet<>();
        TreeSet<Double> ys = new TreeSet<>();
        for (Rect r : inside) {
            xs.add(r.left);
            xs.add(r.right());
            ys.add(r.bottom);
            ys.add(r.top());
        }
        double area = 0;
        Double x0 = null;
        for (double x1 : xs) {
            if (x0 != null) {
                Double y0 = null;
                for (double y1 : ys) {
                    if (y0 != null) {
                        double x = (x0 + x1) / 2;
                        double y = (y0 + y1) / 2;
                        if (inside.stream().anyMatch(r -> r.left < x && x < r.right() && r.bottom < y && y < r.top())) {
                            area += (x1 - x0) * (y1 - y0);
                        }
                    }
                    y0 = y1;
                }
            }
            x0 = x1;
        }
        return area;
    }
}
