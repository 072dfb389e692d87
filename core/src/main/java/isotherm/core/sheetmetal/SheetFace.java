package isotherm.core.sheetmetal;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.hipparchus.geometry.euclidean.twod.Vector2D;

/**
 * A flat face of a folded panel with the faces that hang on its edges. It is laid flat by turning each face about the edge that it
 * hangs on, and moved towards its parent by what the bend saves: twice the tangent less the allowance.
 */
final class SheetFace {
    /** Two faces that differ by less lie in one plane but for rounding, rad: there is nothing to bend. */
    private static final double LEAST_TURN = 1e-6;

    private final List<Vector3D> corners;
    private final Panel panel;
    private final SheetFace[] children;
    /** Angle at each edge where a face hangs on it or where this one hangs on its parent. */
    private final double[] turned;

    private Vector3D normal = Vector3D.ZERO;
    private Vector3D origin = Vector3D.ZERO;
    private Vector3D ex = Vector3D.ZERO;
    private Vector3D ey = Vector3D.ZERO;
    private Vector2D flatOrigin = Vector2D.ZERO;
    private Vector2D e1 = Vector2D.ZERO;
    private Vector2D e2 = Vector2D.ZERO;
    /** The edge by which it hangs on its parent; -1 for the first face. */
    private int hangs = -1;

    /** Corners in the turn that is counter-clockwise as seen from the upper face. */
    SheetFace(Panel panel, List<Vector3D> corners) {
        this.panel = panel;
        this.corners = List.copyOf(corners);
        this.children = new SheetFace[corners.size()];
        this.turned = new double[corners.size()];
    }

    List<Vector3D> corners() {
        return corners;
    }

    /** Lays the first face down. */
    void first() {
        Vector3D along = edge(0);
        normal = Vector3D.crossProduct(along, corners.get(corners.size() - 1).subtract(corners.get(0)))
                .normalize();
        origin = corners.get(0);
        ex = along.normalize();
        ey = Vector3D.crossProduct(normal, ex);
        e1 = new Vector2D(1, 0);
        e2 = new Vector2D(0, 1);
    }

    /**
     * Hangs a face on an edge of this one, which has been laid down.
     *
     * @param index the edge, from its corner of that index to the next
     * @param child a face whose first edge is this edge, the other way round
     * @return by how much the sheet turns there, rad; positive towards its upper face
     */
    double hang(int index, SheetFace child) {
        Vector3D d = edge(index).normalize();
        Vector3D out = Vector3D.crossProduct(d, normal);
        Vector3D into = inward(child, d);
        double angle = Vector3D.angle(out, into);
        double signed = into.dotProduct(normal) < 0 ? -angle : angle;
        Vector2D from = flat(corners.get(index));
        Vector2D flatAlong = flat(corners.get((index + 1) % corners.size())).subtract(from);
        child.e1 = flatAlong.scalarMultiply(1 / flatAlong.getNorm());
        child.e2 = new Vector2D(child.e1.getY(), -child.e1.getX());
        child.origin = corners.get(index);
        child.ex = d;
        child.ey = into;
        child.normal = Vector3D.crossProduct(into, d);
        double saved = 2 * panel.tangent(angle) - panel.allowance(angle);
        child.flatOrigin = from.subtract(saved, child.e2);
        child.hangs = 0;
        child.turned[0] = signed;
        children[index] = child;
        turned[index] = signed;
        return signed;
    }

    private static Vector3D inward(SheetFace child, Vector3D d) {
        Vector3D away = child.corners.get(2).subtract(child.corners.get(1));
        return away.subtract(new Vector3D(away.dotProduct(d), d)).normalize();
    }

    private Vector3D edge(int index) {
        return corners.get((index + 1) % corners.size()).subtract(corners.get(index));
    }

    /** Where a point of this face lies on the flat sheet, m. */
    Vector2D flat(Vector3D p) {
        Vector3D v = p.subtract(origin);
        return flatOrigin.add(v.dotProduct(ex), e1).add(v.dotProduct(ey), e2);
    }

    /** Corners of the part of this face that stays flat: each edge with a bend is moved inwards by the bend's tangent. */
    private List<Vector2D> kept() {
        int n = corners.size();
        List<Vector2D> kept = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            int before = (i + n - 1) % n;
            kept.add(meeting(before, i));
        }
        return kept;
    }

    private Vector2D meeting(int one, int other) {
        Vector2D p = moved(one);
        Vector2D d = along(one);
        Vector2D q = moved(other);
        Vector2D e = along(other);
        double cross = d.getX() * e.getY() - d.getY() * e.getX();
        Vector2D gap = q.subtract(p);
        double t = (gap.getX() * e.getY() - gap.getY() * e.getX()) / cross;
        return p.add(t, d);
    }

    private Vector2D along(int index) {
        Vector2D d = flat(corners.get((index + 1) % corners.size())).subtract(flat(corners.get(index)));
        return d.scalarMultiply(1 / d.getNorm());
    }

    private Vector2D moved(int index) {
        Vector2D d = along(index);
        return flat(corners.get(index)).add(panel.tangent(Math.abs(turned[index])), new Vector2D(-d.getY(), d.getX()));
    }

    /** Whether the bends leave something of every edge; otherwise two of them overlap. */
    boolean bendsApart() {
        List<Vector2D> kept = kept();
        for (int i = 0; i < kept.size(); i++) {
            Vector2D left = kept.get((i + 1) % kept.size()).subtract(kept.get(i));
            if (left.dotProduct(along(i)) <= 0) {
                return false;
            }
        }
        for (SheetFace child : children) {
            if (child != null && !child.bendsApart()) {
                return false;
            }
        }
        return true;
    }

    /** Corners of the flat sheet from this face on, all that hangs on it included. */
    void outline(List<Vector2D> into) {
        List<Vector2D> kept = kept();
        int n = kept.size();
        for (int k = 1; k <= n; k++) {
            int i = (hangs + k + n) % n;
            into.add(kept.get(i));
            if (children[i] != null) {
                children[i].outline(into);
            }
        }
    }

    /** Bend lines from this face on. */
    void folds(List<FlatSheet.Fold> into) {
        List<Vector2D> kept = kept();
        for (int i = 0; i < children.length; i++) {
            SheetFace child = children[i];
            if (child == null) {
                continue;
            }
            if (Math.abs(turned[i]) > LEAST_TURN) {
                List<Vector2D> its = child.kept();
                into.add(new FlatSheet.Fold(
                        middle(kept.get(i), its.get(1)),
                        middle(kept.get((i + 1) % kept.size()), its.get(0)),
                        turned[i],
                        panel.allowance(Math.abs(turned[i]))));
            }
            child.folds(into);
        }
    }

    private static Vector2D middle(Vector2D a, Vector2D b) {
        return a.add(b).scalarMultiply(0.5);
    }
}
