package isotherm.server.plumbing;

import static isotherm.server.contract.Rounding.round;

import isotherm.core.exchanger.Core;
import isotherm.core.line.CorePorts;
import isotherm.core.nose.Placement;
import isotherm.core.nose.Template;
import isotherm.core.route.Bay;
import isotherm.core.sheetmetal.BracketProblem;
import isotherm.core.sheetmetal.FoldedBracket;
import isotherm.core.sheetmetal.FoldedPanel;
import isotherm.core.sheetmetal.PatternDrawing;
import isotherm.core.sheetmetal.SheetWork;
import isotherm.server.contract.Checked;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Text;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.PlumbingDocument;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Brackets of a design, folded from their sheets. */
public final class Brackets {
    private Brackets() {}

    /**
     * What is asked.
     *
     * @param car a car, with nose and bay where they are measured: what stands in the way
     * @param design a design whose core is placed
     */
    public record BracketQuestion(
            @Text("a car, with nose and bay where they are measured") CarDocument car,
            @Text("a design whose core is placed") DesignDocument design)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            design.check(path + "/design", problems);
            if (design.cooler() == null || design.cooler().placement() == null) {
                problems.add(Problem.of(path + "/design/cooler/placement", null, "The core has to be placed for this"));
            }
        }
    }

    /**
     * A bracket as it is folded.
     *
     * @param mark what is scribed on it
     * @param problems what cannot stay so
     * @param flat its pattern; missing where its holes cannot be joined
     * @param corners of the middle of its thickness, from the car to the core
     * @param faces its legs as folded, each by its four corners
     * @param massKg mass
     */
    public record BracketAnswer(
            String mark,
            List<BracketTrouble> problems,
            @Missing("its holes cannot be joined") FlatDocument flat,
            List<PlumbingDocument.PointDocument> corners,
            List<List<PlumbingDocument.PointDocument>> faces,
            double massKg) {}

    /**
     * Something that cannot stay so.
     *
     * @param kind what it is
     * @param what it, with the figure that would do
     */
    public record BracketTrouble(BracketProblem.Kind kind, MessageDocument what) {}

    /**
     * A flat pattern, seen from its upper face, from the lower left corner at the car's end.
     *
     * @param lengthMm length
     * @param widthMm width
     * @param holes the one at the car first
     * @param bends in order from the car
     */
    public record FlatDocument(double lengthMm, double widthMm, List<FlatHole> holes, List<FlatBend> bends) {}

    /**
     * A hole.
     *
     * @param xMm along the strip
     * @param yMm across it
     * @param holeMm diameter
     */
    public record FlatHole(double xMm, double yMm, double holeMm) {}

    /**
     * A bend.
     *
     * @param atMm its line, along the strip
     * @param deg by which the sheet is turned, up where it is above 0
     * @param allowanceMm flat sheet that goes into it
     */
    public record FlatBend(double atMm, double deg, double allowanceMm) {}

    /**
     * @param q a car and a design
     * @return its brackets
     */
    public static List<BracketAnswer> answer(BracketQuestion q) {
        return folded(q.car(), q.design()).brackets().stream()
                .map(Brackets::written)
                .toList();
    }

    /**
     * @param q a car and a design
     * @return their patterns at true size
     */
    public static Template drawing(BracketQuestion q) {
        return PatternDrawing.of(q.design().name(), folded(q.car(), q.design()));
    }

    /**
     * @param car a car
     * @param design a design
     * @return its brackets and panels; none where the core is not placed
     */
    public static SheetWork folded(CarDocument car, DesignDocument design) {
        if (design.cooler() == null || design.cooler().placement() == null) {
            return SheetWork.NONE;
        }
        Placement at = design.cooler().placement().toCore();
        Core core = design.own().orElseThrow().core();
        List<Bay.Box> about = about(car, design);
        List<Bay.Box> andCore = new ArrayList<>(about);
        andCore.add(CorePorts.box(core, at));
        var drawn = design.cooler().placement();
        return new SheetWork(
                drawn.brackets() == null
                        ? List.of()
                        : drawn.brackets().stream()
                                .map(b -> FoldedBracket.of(b.toCore(at), andCore))
                                .toList(),
                drawn.panels() == null
                        ? List.of()
                        : drawn.panels().stream()
                                .map(p -> FoldedPanel.of(p.toCore(at), about))
                                .toList());
    }

    /** What is measured in nose and bay, less what makes room. */
    static List<Bay.Box> about(CarDocument car, DesignDocument design) {
        List<Bay.Box> about = new ArrayList<>();
        if (car.nose() != null) {
            about.addAll(Bay.of(car.nose().toCore()));
        }
        if (car.bay() != null) {
            about.addAll(car.bay().toCore().boxes());
        }
        about.removeIf(b -> design.outOfTheWay().contains(b.name()));
        return about;
    }

    private static BracketAnswer written(FoldedBracket b) {
        return new BracketAnswer(
                b.bracket().mark(),
                b.problems().stream()
                        .map(p -> new BracketTrouble(p.kind(), MessageDocument.of(p.what())))
                        .toList(),
                b.flat()
                        .map(f -> new FlatDocument(
                                mm(f.length()),
                                mm(f.width()),
                                f.holes().stream()
                                        .map(h -> new FlatHole(mm(h.x()), mm(h.y()), mm(h.diameter())))
                                        .toList(),
                                f.bends().stream()
                                        .map(d -> new FlatBend(
                                                mm(d.at()), round(Math.toDegrees(d.angle()), 2), mm(d.allowance())))
                                        .toList()))
                        .orElse(null),
                b.corners().stream().map(PlumbingDocument.PointDocument::of).toList(),
                faces(b.faces()),
                round(b.mass(), 3));
    }

    static List<List<PlumbingDocument.PointDocument>> faces(List<List<Vector3D>> faces) {
        return faces.stream()
                .map(f -> f.stream().map(PlumbingDocument.PointDocument::of).toList())
                .toList();
    }

    static double mm(double m) {
        return round(m * 1e3, 2);
    }
}
