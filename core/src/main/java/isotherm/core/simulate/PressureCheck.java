package isotherm.core.simulate;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.fluid.Oil;
import isotherm.core.hydraulics.OilCircuit;
import isotherm.core.message.MessageTopic;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Oil pressure against its floor where it matters: at idle, at the torque peak and at the highest speed, with hot and with
 * cold oil; and what an empty loop or a failed joint means in seconds.
 *
 * @param points the six points
 * @param primeSeconds time that an empty loop takes to fill at idle, s; 0 without a cooler
 * @param drainSeconds time in which a failed joint at the highest speed empties the sump, s
 * @param loopVolume oil that the loop holds, m³
 */
public record PressureCheck(List<Point> points, double primeSeconds, double drainSeconds, double loopVolume) {
    /** Least gallery pressure per 1000 1/min, Pa (default). */
    public static final double FLOOR_PER_1000_RPM = 0.7e5;
    /** Least gallery pressure at hot idle, Pa (default). */
    public static final double IDLE_FLOOR = 1.0e5;
    /**
     * How far the pressure at the pump rises over the relief valve's setting when all of its oil goes back over it, as a share
     * of the setting (default): a plain spring needs that much to lift its piston wholly.
     */
    public static final double RELIEF_OVERRIDE = 0.25;
    /** Speed of the torque peak over the highest speed (default). */
    public static final double TORQUE_PEAK_SHARE = 0.6;

    /** Where the pressure is looked at. */
    public enum Kind implements MessageTopic {
        /** Hot oil, idle. */
        HOT_IDLE,
        /** Hot oil at the torque peak. */
        HOT_TORQUE_PEAK,
        /** Hot oil at the highest speed. */
        HOT_HIGHEST_SPEED,
        /** Cold oil, idle. */
        COLD_IDLE,
        /** Cold oil at the torque peak. */
        COLD_TORQUE_PEAK,
        /** Cold oil at the highest speed. */
        COLD_HIGHEST_SPEED;

        @Override
        public String chapter() {
            return "pressurePoint";
        }

        @Override
        public List<String> parts() {
            return List.of("name");
        }
    }

    /**
     * One point.
     *
     * @param kind what it is
     * @param rpm engine speed, 1/min
     * @param oilK oil temperature, K
     * @param gallery gallery pressure with the design, Pa above ambient
     * @param bare gallery pressure without a cooler, Pa above ambient
     * @param floor least pressure wanted, Pa above ambient
     * @param loop pressure loss of the loop, Pa
     * @param relief flow over the relief valve, m³/s
     * @param core pressure at the core's inlet, Pa above ambient, with what the relief valve rises above its setting; 0 without
     *     a cooler
     */
    public record Point(
            Kind kind,
            double rpm,
            double oilK,
            double gallery,
            double bare,
            double floor,
            double loop,
            double relief,
            double core) {}

    /**
     * @param car the car
     * @param design the design
     * @param hotK hot oil, K: the peak of its duty
     * @return the check
     */
    public static PressureCheck of(Car car, Design design, double hotK) {
        Oil oil = design.oil().orElse(car.oil());
        OilCircuit circuit = new OilCircuit(car.oil(), car.pump(), car.gauge()).with(oil);
        Optional<CoreModel> core = design.cooler().map(c -> new CoreModel(c.core()));
        double top = car.engine().maxRpm();
        List<Point> points = new ArrayList<>();
        for (boolean hot : new boolean[] {true, false}) {
            double oilK = hot ? hotK : car.limits().coldestK();
            double torque = TORQUE_PEAK_SHARE * top;
            points.add(point(
                    circuit,
                    design,
                    core,
                    hot ? Kind.HOT_IDLE : Kind.COLD_IDLE,
                    car.engine().idleRpm(),
                    oilK,
                    IDLE_FLOOR));
            points.add(point(
                    circuit,
                    design,
                    core,
                    hot ? Kind.HOT_TORQUE_PEAK : Kind.COLD_TORQUE_PEAK,
                    torque,
                    oilK,
                    FLOOR_PER_1000_RPM * torque / 1000));
            points.add(point(
                    circuit,
                    design,
                    core,
                    hot ? Kind.HOT_HIGHEST_SPEED : Kind.COLD_HIGHEST_SPEED,
                    top,
                    oilK,
                    FLOOR_PER_1000_RPM * top / 1000));
        }
        double volume = design.cooler().map(c -> c.loop().volume(core.get())).orElse(0.0);
        return new PressureCheck(
                List.copyOf(points),
                volume / car.pump().flow(car.engine().idleRpm()),
                car.oilVolume() / car.pump().flow(top),
                volume);
    }

    /**
     * The one figure that stands for a loop's loss on every screen.
     *
     * @param car the car
     * @param design a design with a cooler
     * @param hotK hot oil, K: the peak of its duty
     * @return pressure loss of the loop at the highest engine speed, Pa, with what the relief valve lets by
     */
    public static double loopLoss(Car car, Design design, double hotK) {
        OilCircuit circuit = new OilCircuit(car.oil(), car.pump(), car.gauge())
                .with(design.oil().orElse(car.oil()));
        return point(
                        circuit,
                        design,
                        design.cooler().map(c -> new CoreModel(c.core())),
                        Kind.HOT_HIGHEST_SPEED,
                        car.engine().maxRpm(),
                        hotK,
                        0)
                .loop();
    }

    private static Point point(
            OilCircuit circuit,
            Design design,
            Optional<CoreModel> core,
            Kind kind,
            double rpm,
            double oilK,
            double floor) {
        double lift = design.cooler()
                .flatMap(c -> c.loop().thermostat())
                .map(t -> t.liftWarming(oilK))
                .orElse(1.0);
        OilCircuit.Point with = circuit.at(rpm, oilK, design.cooler().map(Design.Cooler::loop), core, lift);
        OilCircuit.Point bare = circuit.at(rpm, oilK, Optional.empty(), Optional.empty(), 0);
        return new Point(
                kind,
                rpm,
                oilK,
                with.galleryPressure(),
                bare.galleryPressure(),
                floor,
                with.loopPressureDrop(),
                with.reliefFlow(),
                core.isEmpty() ? 0 : atCore(with));
    }

    /** Pressure at the core's inlet: the pump's, less what plate and feed hose take. */
    private static double atCore(OilCircuit.Point p) {
        double delivered = p.engineFlow() + p.reliefFlow();
        double pump = p.galleryPressure() + p.loopPressureDrop();
        double raised = delivered > 0 ? 1 + RELIEF_OVERRIDE * p.reliefFlow() / delivered : 1;
        return pump * raised - p.toCore();
    }

    /** @return the highest pressure that the core sees, Pa above ambient; 0 without a cooler */
    public double highestAtCore() {
        return points.stream().mapToDouble(Point::core).max().orElse(0);
    }

    /**
     * @param kind which point
     * @return it
     */
    public Point at(Kind kind) {
        return points.stream().filter(p -> p.kind() == kind).findFirst().orElseThrow();
    }

    /** @return the point whose pressure is nearest to its floor, or furthest under it */
    public Point nearestFloor() {
        return points.stream()
                .min(Comparator.comparingDouble(p -> p.gallery() / p.floor()))
                .orElseThrow();
    }

    /** @return the point that is furthest under its floor, if any is under it although the bare engine is not */
    public Optional<Point> worst() {
        return points.stream()
                .filter(p -> p.gallery() < p.floor() && p.bare() >= p.floor())
                .min((a, b) -> Double.compare(a.gallery() / a.floor(), b.gallery() / b.floor()));
    }
}
