package isotherm.core.airflow;

import isotherm.core.exchanger.CoreModel;
import isotherm.core.fluid.Air;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * The pressure balance of a core in its place: what speed and fan offer equals what opening, mesh, duct, core and radiator
 * take. Ahead of or behind a radiator, the stream through the core and the stream past it run in parallel between the same
 * two pressures and share the opening.
 */
public final class AirNetwork {
    private static final double RELATIVE_ACCURACY = 1e-5;
    private static final int MAX_EVALUATIONS = 100;

    private final Airway airway;
    private final CoreModel core;
    private final Optional<Radiator> radiator;
    private final double ambientK;
    private final double density;
    private final double pascal;
    private final double coveredShare;

    /**
     * @param airway how air gets to the core
     * @param core the core
     * @param radiator the radiator, used when the place shares its stream
     * @param ambientK air temperature, K
     * @param pascal absolute air pressure, Pa
     */
    public AirNetwork(Airway airway, CoreModel core, Optional<Radiator> radiator, double ambientK, double pascal) {
        this.airway = airway;
        this.core = core;
        this.radiator = airway.place().stream() == Place.Stream.OWN ? Optional.empty() : radiator;
        this.ambientK = ambientK;
        this.density = Air.density(ambientK, pascal);
        this.pascal = pascal;
        this.coveredShare = this.radiator
                .map(r -> Math.min(core.core().faceArea() / r.faceArea(), 1))
                .orElse(0.0);
    }

    /** @return share of the core's face that gets air, 0 to 1 */
    public double openShare() {
        return Math.max(0, 1 - airway.shadedShare());
    }

    /** @return share of the radiator's face that the core covers, 0 to 1; 0 when it has a stream to itself */
    public double coveredShare() {
        return coveredShare;
    }

    /** @return density of the outside air, kg/m³ */
    public double density() {
        return density;
    }

    private double openArea() {
        return core.core().faceArea() * openShare();
    }

    /**
     * Solves the balance.
     *
     * @param speed road speed, m/s, 0 or more
     * @param fanOn whether the core's own fan runs; ignored without one
     * @param radiatorFanOn whether the radiator's fan runs; ignored when the core has a stream to itself
     * @return the flows; never negative
     */
    public AirFlow at(double speed, boolean fanOn, boolean radiatorFanOn) {
        // The rest of the network is quadratic and solves in closed form; the core's own curve is followed by searching
        // for the flow at which its loss, taken as linear through that flow, gives the same flow back.
        AirFlow unhindered = at(speed, fanOn, radiatorFanOn, Resistance.NONE);
        double most = unhindered.coreMassFlow() / density;
        if (most < 1e-6 || airway.measured().isPresent()) {
            return unhindered;
        }
        double least = most * 1e-6;
        double flow = new BracketingNthOrderBrentSolver(RELATIVE_ACCURACY, most * RELATIVE_ACCURACY, 0, 5)
                .solve(
                        MAX_EVALUATIONS,
                        q -> at(speed, fanOn, radiatorFanOn, linearAt(q)).coreMassFlow() / density - q,
                        least,
                        most);
        return at(speed, fanOn, radiatorFanOn, linearAt(flow));
    }

    /** Flow that a pressure across the core drives, m³/s. */
    private double coreFlow(double across) {
        double fastest = 60;
        if (across <= 0) {
            return 0;
        }
        return openArea()
                * new BracketingNthOrderBrentSolver(RELATIVE_ACCURACY, RELATIVE_ACCURACY, across * 1e-6, 5)
                        .solve(MAX_EVALUATIONS, v -> core.airPressureDrop(v, ambientK, pascal) - across, 0, fastest);
    }

    /** The core's loss as a linear one that is exact at a flow in m³/s. */
    private Resistance linearAt(double flow) {
        return new Resistance(core.airPressureDrop(flow / openArea(), ambientK, pascal) / flow, 0);
    }

    private AirFlow at(double speed, boolean fanOn, boolean radiatorFanOn, Resistance coreLoss) {
        double ram = Math.max((airway.cpIn() - airway.cpOut()) * density / 2 * speed * speed, 0);
        if (airway.measured().isPresent()) {
            MeasuredPressure m = airway.measured().get();
            double across = m.pascal() * speed * speed / (m.speed() * m.speed());
            double q = openArea() > 0 ? coreFlow(across) : 0;
            double beside = radiator.map(r -> radiatorFlow(r, 1 - coveredShare, density, ram, radiatorFanOn))
                    .orElse(0.0);
            return flow(q, beside, across, List.of(new AirFlow.Loss("core", across)));
        }
        double fanPressure = fanOn ? airway.fan().map(Fan::stallPressure).orElse(0.0) : 0;
        Resistance fan = airway.fan().map(f -> fanOn ? f.running() : f.idle()).orElse(Resistance.NONE);
        Resistance mesh =
                airway.mesh() ? Resistance.heads(Airway.MESH_HEADS, density, airway.openingArea()) : Resistance.NONE;
        Resistance duct = Resistance.heads(airway.ductHeads(), density, airway.openingArea());
        if (radiator.isPresent()) {
            return inRadiatorStream(ram, fanPressure, fan, mesh, duct, radiatorFanOn, coreLoss);
        }
        Resistance opening = Resistance.heads(Airway.OPENING_HEADS, density, airway.openingArea());
        double q = openArea() <= 0
                ? 0
                : opening.then(mesh).then(duct).then(coreLoss).then(fan).flow(airway.sealing() * ram + fanPressure);
        return flow(
                q,
                0,
                ram + fanPressure,
                List.of(
                        new AirFlow.Loss("leakage", (1 - airway.sealing()) * ram),
                        new AirFlow.Loss("opening", opening.pressure(q)),
                        new AirFlow.Loss("mesh", mesh.pressure(q)),
                        new AirFlow.Loss("duct", duct.pressure(q)),
                        new AirFlow.Loss("core", coreLoss.pressure(q)),
                        new AirFlow.Loss("fan", fan.pressure(q))));
    }

    private AirFlow inRadiatorStream(
            double ram,
            double fanPressure,
            Resistance fan,
            Resistance mesh,
            Resistance duct,
            boolean radiatorFanOn,
            Resistance coreLoss) {
        Radiator r = radiator.get();
        double rest = Math.max(1 - coveredShare, 1e-6);
        double pull = radiatorFanOn ? r.fanPressure() : 0;
        Resistance behind = r.resistance(coveredShare, density);
        Resistance past = r.resistance(rest, density);
        if (radiatorFanOn) {
            behind = behind.then(r.fanResistance(coveredShare));
            past = past.then(r.fanResistance(rest));
        }
        Resistance opening = Resistance.heads(Airway.OPENING_HEADS, density, r.openingArea());
        Resistance covered = coreLoss.then(duct).then(mesh).then(fan).then(behind);
        Resistance beside = past;
        boolean blocked = openArea() <= 0;
        double assist = fanPressure + pull;
        DoubleUnaryOperator through =
                p -> blocked ? 0 : covered.flow(airway.sealing() * Math.max(p, 0) + Math.min(p, 0) + assist);
        DoubleUnaryOperator around = p -> beside.flow(p + pull);
        double lowest = -assist - pull;
        // The pressure behind the opening at which its loss and both streams agree; below ambient when a fan sucks.
        double plenum = ram - lowest < 1e-6
                ? 0
                : new BracketingNthOrderBrentSolver(1e-6, 1e-4, 1e-4, 5)
                        .solve(
                                200,
                                p -> p + opening.pressure(through.applyAsDouble(p) + around.applyAsDouble(p)) - ram,
                                lowest,
                                ram);
        double q = through.applyAsDouble(plenum);
        return flow(
                q,
                around.applyAsDouble(plenum),
                ram + assist,
                List.of(
                        new AirFlow.Loss("opening", ram - plenum),
                        new AirFlow.Loss("leakage", (1 - airway.sealing()) * Math.max(plenum, 0)),
                        new AirFlow.Loss("mesh", mesh.pressure(q)),
                        new AirFlow.Loss("duct", duct.pressure(q)),
                        new AirFlow.Loss("core", coreLoss.pressure(q)),
                        new AirFlow.Loss("fan", fan.pressure(q)),
                        new AirFlow.Loss("radiator", behind.pressure(q))));
    }

    /**
     * Air through a radiator with nothing in front of it.
     *
     * @param radiator the radiator
     * @param speed road speed, m/s
     * @param fanOn whether its fan runs
     * @param ambientK air temperature, K
     * @param pascal absolute air pressure, Pa
     * @return mass flow, kg/s
     */
    public static double radiatorAlone(Radiator radiator, double speed, boolean fanOn, double ambientK, double pascal) {
        double density = Air.density(ambientK, pascal);
        double ram = (Place.GRILLE_AHEAD.cpIn() - Place.GRILLE_AHEAD.cpOut()) * density / 2 * speed * speed;
        return radiatorFlow(radiator, 1, density, ram, fanOn) * density;
    }

    /** Volume flow through a share of a radiator, m³/s. */
    private static double radiatorFlow(Radiator radiator, double share, double density, double ram, boolean fanOn) {
        double part = Math.max(share, 1e-6);
        Resistance all = radiator.resistance(part, density)
                .then(Resistance.heads(Airway.OPENING_HEADS, density, radiator.openingArea() * part));
        return fanOn ? all.then(radiator.fanResistance(part)).flow(ram + radiator.fanPressure()) : all.flow(ram);
    }

    private AirFlow flow(double through, double beside, double available, List<AirFlow.Loss> losses) {
        double open = openArea();
        return new AirFlow(
                through * density,
                open > 0 ? through / open : 0,
                radiator.isPresent() ? through * density : 0,
                beside * density,
                available,
                losses.stream().filter(l -> l.pascal() > 0).toList());
    }

    /** @return temperature of the outside air, K */
    public double ambientK() {
        return ambientK;
    }
}
