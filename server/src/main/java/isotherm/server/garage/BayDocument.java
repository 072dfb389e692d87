package isotherm.server.garage;

import isotherm.core.route.Bay;
import isotherm.core.takeoff.FilterStand;
import isotherm.server.contract.Checked;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The room for the hoses as measured by tape, in the axes of the nose: across from the centre line with left negative, up from
 * the ground, back from the foremost skin. What has been measured of the nose is in it already.
 *
 * @param leftMm its left side
 * @param rightMm its right side
 * @param groundMm what no hose may hang below
 * @param topMm the bonnet
 * @param frontMm its front
 * @param rearMm its rear
 * @param boxes what is in it
 * @param holes ways through its panels
 * @param stand where the oil filter sits
 */
public record BayDocument(
        @Quantity(value = "left side from the centre line", min = -1500, max = 0, unit = "mm") double leftMm,
        @Quantity(value = "right side from the centre line", min = 0, max = 1500, unit = "mm") double rightMm,
        @Quantity(value = "what no hose may hang below, above the ground", min = 0, max = 1000, unit = "mm")
                double groundMm,
        @Quantity(value = "bonnet above the ground", min = 200, max = 2500, unit = "mm") double topMm,
        @Quantity(value = "foremost place behind the skin", min = -300, max = 3000, unit = "mm") double frontMm,
        @Quantity(value = "rearmost place behind the skin", min = 100, max = 6000, unit = "mm") double rearMm,
        @Text(value = "what is in it", max = 60) List<BoxDocument> boxes,
        @Text(value = "ways through its panels", max = 20) List<HoleDocument> holes,
        @Text("where the oil filter sits") StandDocument stand)
        implements Checked {

    /** A measured box. */
    public record BoxDocument(
            @Text(value = "what its people call it", min = 1, max = 60) String name,
            @Text("what it is, which decides how far a hose keeps from it") Bay.Kind kind,
            @Quantity(value = "left edge from the centre line, left negative", min = -1500, max = 1500, unit = "mm")
                    double leftMm,
            @Quantity(value = "lower edge above the ground", min = 0, max = 2500, unit = "mm") double bottomMm,
            @Quantity(value = "its front behind the skin", min = -300, max = 6000, unit = "mm") double frontMm,
            @Quantity(value = "width", min = 1, max = 3000, unit = "mm") double widthMm,
            @Quantity(value = "height", min = 1, max = 2000, unit = "mm") double heightMm,
            @Quantity(value = "depth", min = 1, max = 5000, unit = "mm") double depthMm) {
        public Bay.Box toCore() {
            return new Bay.Box(
                    name,
                    kind,
                    point(leftMm, bottomMm, frontMm),
                    point(leftMm + widthMm, bottomMm + heightMm, frontMm + depthMm));
        }
    }

    /** A round way through a panel. */
    public record HoleDocument(
            @Text(value = "what its people call it", min = 1, max = 60) String name,
            @Text(value = "name of the panel that it leads through", min = 1, max = 60) String panel,
            @Quantity(value = "its middle from the centre line, left negative", min = -1500, max = 1500, unit = "mm")
                    double xMm,
            @Quantity(value = "its middle above the ground", min = 0, max = 2500, unit = "mm") double yMm,
            @Quantity(value = "its middle behind the skin", min = -300, max = 6000, unit = "mm") double zMm,
            @Text("which way it leads") Bay.Axis axis,
            @Quantity(value = "diameter with its grommet in", min = 5, max = 300, unit = "mm") double diameterMm) {}

    /** Which way the filter points from the engine. */
    public enum Pointing {
        /** Down. */
        DOWN(Vector3D.MINUS_J),
        /** Up. */
        UP(Vector3D.PLUS_J),
        /** To the front of the car. */
        FORWARD(Vector3D.MINUS_K),
        /** To its rear. */
        REARWARD(Vector3D.PLUS_K),
        /** To its left. */
        LEFT(Vector3D.MINUS_I),
        /** To its right. */
        RIGHT(Vector3D.PLUS_I);

        private final Vector3D unit;

        Pointing(Vector3D unit) {
            this.unit = unit;
        }
    }

    /** Where the oil filter sits on the engine. */
    public record StandDocument(
            @Text(value = "thread of its stud, such as M20x1.5 or 3/4-16", min = 2, max = 20) String thread,
            @Quantity(value = "inner diameter of the sealing face", min = 20, max = 150, unit = "mm")
                    double faceInnerMm,
            @Quantity(value = "outer diameter of the sealing face", min = 25, max = 200, unit = "mm")
                    double faceOuterMm,
            @Quantity(value = "thread that stands out of the face", min = 0, max = 200, unit = "mm") double studMm,
            @Quantity(
                            value = "middle of the face from the centre line, left negative",
                            min = -1500,
                            max = 1500,
                            unit = "mm")
                    double xMm,
            @Quantity(value = "middle of the face above the ground", min = 0, max = 2500, unit = "mm") double yMm,
            @Quantity(value = "middle of the face behind the skin", min = 0, max = 6000, unit = "mm") double zMm,
            @Text("which way the filter points") Pointing points,
            @Quantity(value = "from the face to what stands in the filter's way", min = 10, max = 2000, unit = "mm")
                    double roomMm,
            @Missing("none on the stud")
                    @Quantity(value = "height of a factory exchanger on the stud", min = 0, max = 200, unit = "mm")
                    Double exchangerMm,
            @Quantity(value = "middle diameter of the filter's gasket", min = 20, max = 180, unit = "mm")
                    double gasketMm,
            @Quantity(value = "length of the filter", min = 20, max = 400, unit = "mm") double filterLengthMm,
            @Quantity(value = "diameter of the filter", min = 30, max = 200, unit = "mm") double filterDiameterMm,
            @Text("whether the filter holds its oil when the engine stands") boolean antiDrainBack,
            @Text("whether the filter has a by-pass valve") boolean bypass,
            @Text("whether the engine has a by-pass valve of its own") boolean bypassInEngine,
            @Text(value = "what stands round it", max = 12) List<NeighbourDocument> neighbours) {
        public FilterStand toCore() {
            return new FilterStand(
                    thread,
                    faceInnerMm * 1e-3,
                    faceOuterMm * 1e-3,
                    studMm * 1e-3,
                    point(xMm, yMm, zMm),
                    points.unit,
                    roomMm * 1e-3,
                    exchangerMm == null ? 0 : exchangerMm * 1e-3,
                    new FilterStand.Filter(
                            gasketMm * 1e-3,
                            filterLengthMm * 1e-3,
                            filterDiameterMm * 1e-3,
                            antiDrainBack,
                            points != Pointing.DOWN,
                            bypass,
                            bypassInEngine),
                    neighbours.stream()
                            .map(n -> new FilterStand.Neighbour(
                                    n.name(),
                                    Math.toRadians(n.fromDeg()),
                                    Math.toRadians(n.toDeg()),
                                    n.distanceMm() * 1e-3))
                            .toList());
        }
    }

    /** Something beside the filter. */
    public record NeighbourDocument(
            @Text(value = "what its people call it", min = 1, max = 60) String name,
            @Quantity(value = "clock angle at which it begins", min = -360, max = 360, unit = "°") double fromDeg,
            @Quantity(value = "clock angle at which it ends", min = -360, max = 720, unit = "°") double toDeg,
            @Quantity(value = "distance from the filter's axis", min = 5, max = 1000, unit = "mm") double distanceMm) {}

    @Override
    public void check(String path, List<Problem> problems) {
        if (topMm <= groundMm) {
            problems.add(Problem.of(
                    path + "/topMm",
                    DocumentReader.number(topMm),
                    "The bonnet has to be above what no hose may hang below, " + DocumentReader.number(groundMm)
                            + " mm"));
        }
        if (rearMm <= frontMm) {
            problems.add(Problem.of(
                    path + "/rearMm",
                    DocumentReader.number(rearMm),
                    "The rear has to be behind the front, " + DocumentReader.number(frontMm) + " mm"));
        }
        if (stand.faceOuterMm() <= stand.faceInnerMm()) {
            problems.add(Problem.of(
                    path + "/stand/faceOuterMm",
                    DocumentReader.number(stand.faceOuterMm()),
                    "The outer diameter has to be above the inner, " + DocumentReader.number(stand.faceInnerMm())
                            + " mm"));
        }
        for (int i = 0; i < stand.neighbours().size(); i++) {
            NeighbourDocument n = stand.neighbours().get(i);
            if (n.toDeg() <= n.fromDeg() || n.toDeg() > n.fromDeg() + 360) {
                problems.add(Problem.of(
                        path + "/stand/neighbours/" + i + "/toDeg",
                        DocumentReader.number(n.toDeg()),
                        "It has to end after it begins, at " + DocumentReader.number(n.fromDeg())
                                + "°, and within one turn"));
            }
        }
        for (int i = 0; i < holes.size(); i++) {
            String panel = holes.get(i).panel();
            if (boxes.stream()
                    .noneMatch(b -> b.kind() == Bay.Kind.PANEL && b.name().equals(panel))) {
                problems.add(Problem.of(
                        path + "/holes/" + i + "/panel", panel, "There is no panel of this name among the boxes"));
            }
        }
    }

    /** @return the bay for {@code core}, without the nose */
    public Bay toCore() {
        return new Bay(
                new Bay.Box("the bay", Bay.Kind.SOLID, point(leftMm, groundMm, frontMm), point(rightMm, topMm, rearMm)),
                boxes.stream().map(BoxDocument::toCore).toList(),
                holes.stream()
                        .map(h -> new Bay.Hole(
                                h.name(), h.panel(), point(h.xMm(), h.yMm(), h.zMm()), h.axis(), h.diameterMm() * 1e-3))
                        .toList());
    }

    private static Vector3D point(double xMm, double yMm, double zMm) {
        return new Vector3D(xMm * 1e-3, yMm * 1e-3, zMm * 1e-3);
    }
}
