package isotherm.server.garage;

import isotherm.core.line.FittingChain;
import isotherm.core.parts.Accessory;
import isotherm.core.parts.End;
import isotherm.core.parts.Joint;
import isotherm.core.plumb.Plumbing;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;
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
        @Text(value = "what its people have already, by the bill's keys", max = 120) List<String> have) {

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
            @Text("how it is shut off") Accessory.Valve valve) {
        public Accessory toCore() {
            return new Accessory(kind, volumeL * 1e-3, valve);
        }
    }

    /** @return the end that the core's ports offer: a flare stands out of the tank, all others are bosses in it */
    public End coreEnd() {
        return new End(corePort, corePortSize, corePort == Joint.FLARE_37 || corePort == Joint.PUSH_ON);
    }
}
