package isotherm.server.garage;

import isotherm.core.nose.Placement;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;

/** Where a core sits in the nose as measured. */
public record PlacementDocument(
        @Quantity(value = "middle of its front face from the centre line", min = -1500, max = 1500, unit = "mm")
                double xMm,
        @Quantity(value = "middle of its front face above the ground", min = 0, max = 2000, unit = "mm") double yMm,
        @Quantity(value = "middle of its front face behind the skin", min = -200, max = 2500, unit = "mm") double zMm,
        @Quantity(value = "lean of its upper edge to the rear", min = -80, max = 80, unit = "°") double tiltDeg,
        @Text("whether a shroud leads from the opening to the core") boolean shroud,
        @Text("whether foam closes the joints of shroud and core") boolean foam,
        @Missing("false") @Text("whether a skid plate takes what comes from below") Boolean skidPlate,
        @Text(value = "where it is held", max = 12) List<MountDocument> mounts,
        @Missing("the way that brings its ports nearer to the takeoff") @Text("whether the core's back is to the front")
                Boolean turned,
        @Missing("none") @Text(value = "brackets folded from sheet that hold it", max = 8)
                List<BracketDocument> brackets,
        @Missing("false") @Text("whether a baffle or an undertray stands before its way out") Boolean baffle,
        @Missing("none") @Text(value = "sides of a shroud and deflectors folded from sheet", max = 12)
                List<PanelDocument> panels) {

    public Placement toCore() {
        return new Placement(
                xMm * 1e-3,
                yMm * 1e-3,
                zMm * 1e-3,
                Math.toRadians(tiltDeg),
                shroud,
                foam,
                Boolean.TRUE.equals(skidPlate),
                mounts.stream()
                        .map(m -> new Placement.Mount(
                                m.xMm() * 1e-3,
                                m.yMm() * 1e-3,
                                m.holeMm() * 1e-3,
                                m.method(),
                                m.rubber(),
                                m.torqueNm() == null ? OptionalDouble.empty() : OptionalDouble.of(m.torqueNm())))
                        .toList(),
                Optional.ofNullable(turned),
                Boolean.TRUE.equals(baffle));
    }

    /** Run sheet and pieces are told apart by their marks. */
    void check(String path, List<Problem> problems) {
        Set<String> taken = new HashSet<>();
        if (brackets != null) {
            marks(path + "/brackets", brackets.stream().map(BracketDocument::mark), taken, problems);
        }
        if (panels != null) {
            marks(path + "/panels", panels.stream().map(PanelDocument::mark), taken, problems);
        }
    }

    private static void marks(String path, Stream<String> marks, Set<String> taken, List<Problem> problems) {
        int i = 0;
        for (String mark : marks.toList()) {
            if (!taken.add(mark)) {
                problems.add(
                        Problem.of(path + "/" + i + "/mark", mark, "Another piece has this mark: give each its own"));
            }
            i++;
        }
    }

    PlacementDocument sealed() {
        return new PlacementDocument(
                xMm, yMm, zMm, tiltDeg, true, true, skidPlate, mounts, turned, brackets, baffle, panels);
    }

    /** A point at which the core is held. */
    public record MountDocument(
            @Quantity(value = "from the middle of the core, across", min = -600, max = 600, unit = "mm") double xMm,
            @Quantity(value = "from the middle of the core, along its face", min = -600, max = 600, unit = "mm")
                    double yMm,
            @Quantity(value = "diameter of the hole", min = 3, max = 20, unit = "mm") double holeMm,
            @Text("how it is held") Placement.Method method,
            @Text("whether it is on rubber") boolean rubber,
            @Missing("not known")
                    @Quantity(value = "torque of its bolt by its maker", min = 0.5, max = 200, unit = "Nm")
                    Double torqueNm) {}
}
