package isotherm.server.garage;

import isotherm.core.line.Direction;
import isotherm.core.line.FittingChain;
import isotherm.core.line.Line;
import isotherm.core.line.Wire;
import isotherm.core.parts.Accessory;
import isotherm.core.parts.Circuit;
import isotherm.core.parts.End;
import isotherm.core.parts.Joint;
import isotherm.core.parts.Practice;
import isotherm.core.parts.Sender;
import isotherm.core.plumb.Level;
import isotherm.core.plumb.Planner;
import isotherm.core.plumb.Plumbing;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * What has been chosen between engine and core.
 *
 * @param takeoff the takeoff
 * @param clockDeg clock angle of the port that gives oil
 * @param hose the hose
 * @param corePort joint of the core's ports
 * @param corePortSize size of the core's ports
 * @param wish what fitting chains are chosen by
 * @param feedPoints points that the hose to the core has to pass
 * @param backPoints points that the hose from the core has to pass
 * @param sleeved whether both hoses wear a heat sleeve
 * @param feed which port of the core is fed
 * @param engineMovesMm slack for the movement of the engine
 * @param accessories what else is in the loop
 * @param have what its people have already
 * @param level what the lengths rest on
 * @param wires what a wire says of each hose
 * @param ends where the four ports are
 * @param coreFigure what the core's maker says of tightening into its ports
 * @param senders senders in the circuit
 * @param washer what seals a parallel thread on its face
 * @param metal what adaptors and hose ends are made of
 * @param clamped whether push-on hose wears clamps
 * @param coolantEnds what becomes of the coolant's hoses of a factory exchanger that comes off
 */
public record PlumbingDocument(
        @Text(value = "the takeoff's number in the catalogue", min = 1, max = 60) String takeoff,
        @Quantity(value = "clock angle of the port that gives oil", min = 0, max = 360, unit = "°") double clockDeg,
        @Text(value = "the hose's number in the catalogue", min = 1, max = 60) String hose,
        @Text("joint of the core's ports") Joint corePort,
        @Text(value = "size of the core's ports, such as -10, 1/2 or M22x1.5", min = 1, max = 20) String corePortSize,
        @Text("what fitting chains are chosen by") FittingChain.Wish wish,
        @Text(value = "points that the hose to the core has to pass, in order", max = 8) List<PointDocument> feedPoints,
        @Text(value = "points that the hose from the core has to pass, in order", max = 8)
                List<PointDocument> backPoints,
        @Text("whether both hoses wear a heat sleeve, which halves what they keep from hot parts") boolean sleeved,
        @Missing("the lower one") @Text("which port of the core is fed; the other one where its maker says so")
                Plumbing.FeedPort feed,
        @Quantity(value = "slack for the movement of the engine", min = 0, max = 150, unit = "mm") double engineMovesMm,
        @Text(value = "what else is in the loop", max = 4) List<AccessoryDocument> accessories,
        @Text(value = "what its people have already, by the bill's keys", max = 120) List<String> have,
        @Missing("the finest that is complete") @Text("what the lengths of the hoses rest on") Level level,
        @Missing("not measured") @Text("what a wire along its way says of each hose") WiresDocument wires,
        @Missing("not measured") @Text("where the four ports are and which way they point") EndsDocument ends,
        @Missing("not known") @Text("what the core's maker says of tightening into its ports")
                MakersFigureDocument coreFigure,
        @Missing("none listed") @Text(value = "senders in the circuit", max = 6) List<SenderDocument> senders,
        @Missing("bonded") @Text("what seals a parallel thread on its face") Practice.Washer washer,
        @Missing("aluminium") @Text("what adaptors and hose ends are made of") Practice.Metal metal,
        @Missing("false") @Text("whether push-on hose wears a clamp over each barb") Boolean clamped,
        @Missing("joined") @Text("what becomes of the coolant's hoses of a factory exchanger that comes off")
                Circuit.CoolantEnds coolantEnds) {

    /** A wire along the way of each hose. */
    public record WiresDocument(
            @Missing("not measured") @Text("to the core") WireDocument feed,
            @Missing("not measured") @Text("from the core") WireDocument back) {
        /** @return whether both hoses are known */
        public boolean complete() {
            return feed != null && back != null;
        }
    }

    /** A wire bent along the way of a hose, from port face to port face. */
    public record WireDocument(
            @Quantity(value = "length along the way, from port to port", min = 100, max = 8000, unit = "mm")
                    double lengthMm,
            @Missing("2") @Quantity(value = "right angles that the hose goes round", min = 0, max = 12) Double bends,
            @Missing("0, straight") @Quantity(value = "bend of the first hose end", min = 0, max = 180, unit = "°")
                    Double fromDeg,
            @Missing("0, straight") @Quantity(value = "bend of the second hose end", min = 0, max = 180, unit = "°")
                    Double toDeg) {
        /** Right angles that a hose usually goes round. */
        private static final double BENDS = 2;

        public Wire toCore() {
            return new Wire(
                    lengthMm * 1e-3,
                    bends == null ? BENDS : bends,
                    Math.toRadians(fromDeg == null ? 0 : fromDeg),
                    Math.toRadians(toDeg == null ? 0 : toDeg));
        }
    }

    /** The four ports. */
    public record EndsDocument(
            @Text("the takeoff's port to the cooler") EndDocument gives,
            @Text("the takeoff's port from the cooler") EndDocument takes,
            @Text("the core's inlet") EndDocument in,
            @Text("the core's outlet") EndDocument out) {
        public Planner.Ends toCore() {
            return new Planner.Ends(gives.toCore(), takes.toCore(), in.toCore(), out.toCore());
        }

        /**
         * @param path where this stands
         * @param problems receives two ports that are one
         */
        public void check(String path, List<Problem> problems) {
            List<EndDocument> all = List.of(gives, takes, in, out);
            List<String> names = List.of("gives", "takes", "in", "out");
            for (int i = 0; i < all.size(); i++) {
                for (int j = 0; j < i; j++) {
                    double apart = Vector3D.distance(
                            all.get(i).toCore().at(), all.get(j).toCore().at());
                    if (apart < LEAST_APART) {
                        problems.add(Problem.of(
                                path + "/" + names.get(i),
                                DocumentReader.number(apart * 1e3),
                                "This port lies on the one named " + names.get(j)
                                        + ": the two have to be at least 20 mm apart"));
                        return;
                    }
                }
            }
        }
    }

    /** Two ports are at least so far apart, m. */
    private static final double LEAST_APART = 20e-3;

    /** A port. */
    public record EndDocument(
            @Quantity(value = "from the centre line, left negative", min = -1500, max = 1500, unit = "mm") double xMm,
            @Quantity(value = "above the ground", min = 0, max = 2500, unit = "mm") double yMm,
            @Quantity(value = "behind the skin", min = -300, max = 6000, unit = "mm") double zMm,
            @Text("which way it points") Direction points) {
        public Line.Spot toCore() {
            return new Line.Spot(new Vector3D(xMm * 1e-3, yMm * 1e-3, zMm * 1e-3), points.unit());
        }
    }

    /** A point in the bay. */
    public record PointDocument(
            @Quantity(value = "from the centre line, left negative", min = -1500, max = 1500, unit = "mm") double xMm,
            @Quantity(value = "above the ground", min = 0, max = 2500, unit = "mm") double yMm,
            @Quantity(value = "behind the skin", min = -300, max = 6000, unit = "mm") double zMm) {
        public Vector3D toCore() {
            return new Vector3D(xMm * 1e-3, yMm * 1e-3, zMm * 1e-3);
        }

        public static PointDocument of(Vector3D p) {
            return new PointDocument(mm(p.getX()), mm(p.getY()), mm(p.getZ()));
        }

        private static double mm(double m) {
            return Math.round(m * 1e4) / 10.0;
        }
    }

    /** Something else in the loop. */
    public record AccessoryDocument(
            @Text("what it is") Accessory.Kind kind,
            @Quantity(value = "oil that it holds", min = 0, max = 5, unit = "L") double volumeL,
            @Text("how it is shut off") Accessory.Valve valve,
            @Missing("it sits on its tee") @Quantity(value = "third hose", min = 0, max = 5, unit = "m") Double hoseM,
            @Missing("0: air as it was shut in")
                    @Quantity(value = "gas pressure before any oil", min = 0, max = 10, unit = "bar")
                    Double preChargeBar,
            @Missing("false") @Text("whether a check valve keeps its oil from running back") Boolean checkValve,
            @Missing("beside the engine") @Text("how the oil of a fine filter goes") Accessory.Way way,
            @Missing("1.5 mm") @Quantity(value = "hole of the restrictor", min = 0.5, max = 5, unit = "mm")
                    Double restrictorMm) {
        public Accessory toCore() {
            return new Accessory(
                    kind,
                    volumeL * 1e-3,
                    valve,
                    new Accessory.Detail(
                            hoseM == null ? 0 : hoseM,
                            preChargeBar == null ? 0 : preChargeBar * 1e5,
                            Boolean.TRUE.equals(checkValve),
                            way == null ? Accessory.Way.BESIDE : way,
                            restrictorMm == null ? Accessory.Detail.RESTRICTOR : restrictorMm * 1e-3));
        }
    }

    /** A sender. */
    public record SenderDocument(
            @Text("what it senses") Sender.Senses senses,
            @Text("where it sits") Sender.Site site,
            @Text("joint of its thread") Joint joint,
            @Text(value = "size of its thread, such as 1/8 or M10x1", min = 1, max = 20) String size,
            @Missing("none from its maker") @Text("what its maker says of tightening it") MakersFigureDocument figure) {
        public Sender toCore() {
            return new Sender(
                    senses,
                    site,
                    new End(joint, size, true),
                    Optional.ofNullable(figure).flatMap(MakersFigureDocument::toCore));
        }
    }

    /**
     * The manufacturer's figures in it. Where the ports are is asked for with the question that needs it: they are dragged one by
     * one, and may lie on each other meanwhile.
     *
     * @param path where this stands
     * @param problems receives a figure whose two ends do not fit together
     */
    void check(String path, List<Problem> problems) {
        if (coreFigure != null) {
            coreFigure.check(path + "/coreFigure", problems);
        }
        for (int i = 0; senders != null && i < senders.size(); i++) {
            if (senders.get(i).figure() != null) {
                senders.get(i).figure().check(path + "/senders/" + i + "/figure", problems);
            }
        }
    }

    /**
     * @param exchangerOff whether a factory exchanger comes off
     * @return the rest of the circuit
     */
    public Circuit circuit(boolean exchangerOff) {
        return new Circuit(
                accessories.stream().map(AccessoryDocument::toCore).toList(),
                senders == null
                        ? List.of()
                        : senders.stream().map(SenderDocument::toCore).toList(),
                new Practice(
                        washer == null ? Practice.Washer.BONDED : washer,
                        metal == null ? Practice.Metal.ALUMINIUM : metal,
                        Boolean.TRUE.equals(clamped)),
                exchangerOff
                        ? Optional.of(coolantEnds == null ? Circuit.CoolantEnds.JOINED : coolantEnds)
                        : Optional.empty());
    }

    /** @return the end that the core's ports offer: a flare stands out of the tank, all others are bosses in it */
    public End coreEnd() {
        return new End(corePort, corePortSize, corePort == Joint.FLARE_37 || corePort == Joint.PUSH_ON);
    }
}
