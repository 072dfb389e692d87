package isotherm.server.plumbing;

import static isotherm.server.contract.Rounding.round;
import static isotherm.server.plumbing.Brackets.mm;

import isotherm.core.exchanger.Core;
import isotherm.core.line.Direction;
import isotherm.core.nose.Nose;
import isotherm.core.sheetmetal.FlatSheet;
import isotherm.core.sheetmetal.FoldedPanel;
import isotherm.core.sheetmetal.Shroud;
import isotherm.server.contract.Checked;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Text;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.PanelDocument;
import isotherm.server.garage.PanelDocument.CarEdgeDocument;
import isotherm.server.garage.PanelDocument.CoreEdgeDocument;
import isotherm.server.garage.PanelDocument.CorePointDocument;
import isotherm.server.garage.PlumbingDocument.PointDocument;
import isotherm.server.garage.PresetsDocument;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.hipparchus.geometry.euclidean.twod.Vector2D;

/** Sides of shrouds and deflectors of a design, folded from their sheets. */
public final class Panels {
    private Panels() {}

    /**
     * A panel as it is folded.
     *
     * @param mark what is scribed on it
     * @param problems what cannot stay so
     * @param flat its flat sheet; missing where it cannot be folded
     * @param faces its faces as folded, each by its corners
     * @param massKg mass
     */
    public record PanelAnswer(
            String mark,
            List<Brackets.BracketTrouble> problems,
            @Missing("it cannot be folded") FlatSheetDocument flat,
            List<List<PointDocument>> faces,
            double massKg) {}

    /**
     * A flat sheet, seen from its upper face, from its lower left corner.
     *
     * @param widthMm width
     * @param heightMm height
     * @param holeMm diameter of its holes
     * @param outline its corners in turn
     * @param holes middles of its holes
     * @param folds its bend lines
     */
    public record FlatSheetDocument(
            double widthMm,
            double heightMm,
            double holeMm,
            List<FlatPoint> outline,
            List<FlatPoint> holes,
            List<FlatFold> folds) {}

    /**
     * A point of a flat sheet.
     *
     * @param xMm to the right
     * @param yMm up
     */
    public record FlatPoint(double xMm, double yMm) {}

    /**
     * A bend line.
     *
     * @param from one end
     * @param to the other end
     * @param deg by which the sheet is turned, up where it is above 0
     */
    public record FlatFold(FlatPoint from, FlatPoint to, double deg) {}

    /**
     * From an opening to a placed core.
     *
     * @param car a car whose nose is measured
     * @param design a design whose core is placed
     * @param opening name of the opening that the shroud leads from
     */
    public record ShroudQuestion(
            @Text("a car whose nose is measured") CarDocument car,
            @Text("a design whose core is placed") DesignDocument design,
            @Text(value = "name of the opening that the shroud leads from", min = 1, max = 60) String opening)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            new Brackets.BracketQuestion(car, design).check(path, problems);
            if (car.nose() == null
                    || car.nose().openings().stream().noneMatch(o -> o.name().equals(opening))) {
                problems.add(Problem.of(path + "/opening", opening, "The nose has no opening of this name"));
            }
        }
    }

    /**
     * @param q a car and a design
     * @return its panels
     */
    public static List<PanelAnswer> answer(Brackets.BracketQuestion q) {
        return Brackets.folded(q.car(), q.design()).panels().stream()
                .map(Panels::written)
                .toList();
    }

    private static PanelAnswer written(FoldedPanel p) {
        return new PanelAnswer(
                p.panel().mark(),
                p.problems().stream()
                        .map(x -> new Brackets.BracketTrouble(x.kind(), MessageDocument.of(x.what())))
                        .toList(),
                p.flat().map(f -> flat(p, f)).orElse(null),
                Brackets.faces(p.faces()),
                round(p.mass(), 3));
    }

    private static FlatSheetDocument flat(FoldedPanel p, FlatSheet f) {
        double left = f.outline().stream().mapToDouble(Vector2D::getX).min().orElse(0);
        double right = f.outline().stream().mapToDouble(Vector2D::getX).max().orElse(0);
        double low = f.outline().stream().mapToDouble(Vector2D::getY).min().orElse(0);
        double high = f.outline().stream().mapToDouble(Vector2D::getY).max().orElse(0);
        Vector2D corner = new Vector2D(left, low);
        return new FlatSheetDocument(
                mm(right - left),
                mm(high - low),
                mm(p.panel().hole()),
                f.outline().stream().map(v -> point(v, corner)).toList(),
                f.holes().stream().map(v -> point(v, corner)).toList(),
                f.folds().stream()
                        .map(x -> new FlatFold(
                                point(x.from(), corner), point(x.to(), corner), round(Math.toDegrees(x.angle()), 1)))
                        .toList());
    }

    private static FlatPoint point(Vector2D v, Vector2D corner) {
        return new FlatPoint(mm(v.getX() - corner.getX()), mm(v.getY() - corner.getY()));
    }

    /**
     * The four sides of a shroud from an opening's edges, behind the skin, to the outer edges of the core's front.
     *
     * @param q an opening and a placed core
     * @return upper, lower, left and right side, in the sheet that shrouds begin with
     */
    public static List<PanelDocument> shroud(ShroudQuestion q) {
        Nose.Opening o = q.car().nose().toCore().openings().stream()
                .filter(x -> x.name().equals(q.opening()))
                .findFirst()
                .orElseThrow();
        Core core = q.design().own().orElseThrow().core();
        PanelDocument start = PresetsDocument.shipped().starts().panel();
        return Shroud.sides(o.face(), core).stream().map(s -> side(s, start)).toList();
    }

    private static PanelDocument side(Shroud.Side s, PanelDocument start) {
        return new PanelDocument(
                s.mark(),
                new CarEdgeDocument(
                        PointDocument.of(s.carFrom()),
                        PointDocument.of(s.carTo()),
                        Direction.REARWARD,
                        start.car().flangeMm()),
                new CoreEdgeDocument(
                        core(s.coreFrom()),
                        core(s.coreTo()),
                        s.faces(),
                        start.core().flangeMm()),
                start.sheet(),
                start.thicknessMm(),
                start.radiusMm(),
                start.holeMm(),
                start.holes(),
                start.kFactor());
    }

    private static CorePointDocument core(Vector3D p) {
        return new CorePointDocument(mm(p.getX()), mm(p.getY()), mm(p.getZ()));
    }
}
