package isotherm.server.plumbing;

import isotherm.core.exchanger.Core;
import isotherm.core.nose.Placement;
import isotherm.core.nose.Rect;
import isotherm.core.route.Bay;
import isotherm.core.sheetmetal.SheetWork;
import isotherm.server.contract.Checked;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Text;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.PlumbingDocument.PointDocument;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Everything that has been measured or chosen, as faces in space; hoses are the plumbing's. */
public final class Spaces {
    private Spaces() {}

    /**
     * What is asked.
     *
     * @param car a car, with nose and bay where they are measured
     * @param design a design
     */
    public record SpaceQuestion(
            @Text("a car, with nose and bay where they are measured") CarDocument car,
            @Text("a design") DesignDocument design)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            design.check(path + "/design", problems);
        }
    }

    /** What something in space is, which decides how it is drawn. */
    public enum What {
        /** An opening in the skin. */
        OPENING,
        /** A measured box. */
        BOX,
        /** Hot: exhaust, turbine. */
        HOT,
        /** The core. */
        CORE,
        /** A bracket or a panel. */
        SHEET
    }

    /**
     * Something in space.
     *
     * @param name what its people call it
     * @param what what it is
     * @param faces its flat faces, each by its corners in turn
     */
    public record Body(String name, What what, List<List<PointDocument>> faces) {}

    /**
     * @param q a car and a design
     * @return what stands in space, the core last but its sheet metal
     */
    public static List<Body> answer(SpaceQuestion q) {
        List<Body> bodies = new ArrayList<>();
        if (q.car().nose() != null) {
            q.car()
                    .nose()
                    .toCore()
                    .openings()
                    .forEach(o -> bodies.add(new Body(o.name(), What.OPENING, List.of(upright(o.face())))));
        }
        Brackets.about(q.car(), q.design()).forEach(b -> bodies.add(box(b)));
        if (q.design().cooler() != null && q.design().cooler().placement() != null) {
            bodies.add(core(
                    q.design().own().orElseThrow().core(),
                    q.design().cooler().placement().toCore()));
            SheetWork sheets = Brackets.folded(q.car(), q.design());
            sheets.brackets()
                    .forEach(b -> bodies.add(
                            new Body("bracket " + b.bracket().mark(), What.SHEET, Brackets.faces(b.faces()))));
            sheets.panels()
                    .forEach(p ->
                            bodies.add(new Body("panel " + p.panel().mark(), What.SHEET, Brackets.faces(p.faces()))));
        }
        return List.copyOf(bodies);
    }

    private static List<PointDocument> upright(Rect r) {
        return List.of(
                        new Vector3D(r.left(), r.bottom(), 0),
                        new Vector3D(r.right(), r.bottom(), 0),
                        new Vector3D(r.right(), r.top(), 0),
                        new Vector3D(r.left(), r.top(), 0))
                .stream()
                .map(PointDocument::of)
                .toList();
    }

    private static Body box(Bay.Box b) {
        Vector3D low = b.low();
        Vector3D size = b.high().subtract(low);
        return new Body(
                b.name(),
                b.kind() == Bay.Kind.HOT ? What.HOT : What.BOX,
                faces((x, y, z) -> low.add(new Vector3D(x * size.getX(), y * size.getY(), z * size.getZ()))));
    }

    private static Body core(Core core, Placement at) {
        double w = core.outsideWidth();
        double h = core.outsideHeight();
        return new Body(
                "core", What.CORE, faces((x, y, z) -> at.inCar((x - 0.5) * w, (y - 0.5) * h, z * core.depth())));
    }

    /** Where a corner of a block is, its edges from 0 to 1. */
    private interface Corner {
        Vector3D at(int x, int y, int z);
    }

    private static List<List<PointDocument>> faces(Corner c) {
        int[][] turns = {
            {0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 1, 0},
            {0, 0, 1, 0, 1, 1, 1, 1, 1, 1, 0, 1},
            {0, 0, 0, 0, 0, 1, 1, 0, 1, 1, 0, 0},
            {0, 1, 0, 1, 1, 0, 1, 1, 1, 0, 1, 1},
            {0, 0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 1},
            {1, 0, 0, 1, 0, 1, 1, 1, 1, 1, 1, 0}
        };
        List<List<PointDocument>> faces = new ArrayList<>();
        for (int[] t : turns) {
            List<PointDocument> face = new ArrayList<>();
            for (int i = 0; i < t.length; i += 3) {
                face.add(PointDocument.of(c.at(t[i], t[i + 1], t[i + 2])));
            }
            faces.add(List.copyOf(face));
        }
        return List.copyOf(faces);
    }
}
