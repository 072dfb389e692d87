package isotherm.core.airflow;

import isotherm.core.exchanger.CoreModel;
import isotherm.core.fluid.Air;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * The pressure balance of a core in its place: what speed and fan offer equals what opening, mesh, duct, core and radiator
 * take. Ahead of or behind a radiator, the stream through the core and the stream past it run in parallel between the same
 * two pressures and share the opening.
 */
public final class AirNetwork {
    private static final double RELATIVE_ACCURACY = 1e-5;
    private static final int MAX_EVALUATIONS = 100;
    /** Far above any speed on a core's face, m/s. */
    private static final double FASTEST_FACE_SPEED = 60;

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
        double ram = Math.max((airway.cpIn() - airway.cpOut()) * density / 2 * speed * speed, 0);
        double fanPressure = fanOn ? airway.fan().map(Fan::stallPressure).orElse(0.0) : 0;
        Resistance fan = airway.fan().map(f -> fanOn ? f.running() : f.idle()).orElse(Resistance.NONE);
        Resistance mesh =
                airway.mesh() ? Resistance.heads(Airway.MESH_HEADS, density, airway.openingArea()) : Resistance.NONE;
        Resistance duct = Resistance.heads(airway.ductHeads(), density, airway.openingArea());
        if (airway.measured().isPresent()) {
            return measured(airway.measured().get(), speed, ram, radiatorFanOn);
        }
        return radiator.isPresent()
                ? inRadiatorStream(ram, fanPressure, fan, mesh, duct, radiatorFanOn)
                : inOwnStream(ram, fanPressure, fan, mesh, duct);
    }

    private AirFlow measured(MeasuredPressure m, double speed, double ram, boolean radiatorFanOn) {
        double across = m.pascal() * speed * speed / (m.speed() * m.speed());
        double q = openArea() <= 0 || across <= 0
                ? 0
                : solve(flow -> coreLoss(flow) - across, FASTEST_FACE_SPEED * openArea());
        double beside = radiator.map(r -> radiatorFlow(r, 1 - coveredShare, density, ram, radiatorFanOn))
                .orElse(0.0);
        return flow(q, beside, across, List.of(new AirFlow.Loss("core", across)));
    }

    private AirFlow inOwnStream(double ram, double fanPressure, Resistance fan, Resistance mesh, Resistance duct) {
        Resistance opening = Resistance.heads(Airway.OPENING_HEADS, density, airway.openingArea());
        Resistance rest = opening.then(mesh).then(duct).then(fan);
        double arriving = airway.sealing() * ram + fanPressure;
        double q = openArea() <= 0 || arriving <= 0
                ? 0
                : solve(
                        flow -> rest.pressure(flow) + coreLoss(flow) - arriving,
                        Math.min(rest.flow(arriving), FASTEST_FACE_SPEED * openArea()));
        return flow(
                q,
                0,
                ram + fanPressure,
                List.of(
                        new AirFlow.Loss("leakage", (1 - airway.sealing()) * ram),
                        new AirFlow.Loss("opening", opening.pressure(q)),
                        new AirFlow.Loss("mesh", mesh.pressure(q)),
                        new AirFlow.Loss("duct", duct.pressure(q)),
                        new AirFlow.Loss("core", coreLoss(q)),
                        new AirFlow.Loss("fan", fan.pressure(q))));
    }

    private AirFlow inRadiatorStream(
            double ram, double fanPressure, Resistance fan, Resistance mesh, Resistance duct, boolean radiatorFanOn) {
        Radiator r = radiator.get();
        double restShare = Math.max(1 - coveredShare, 1e-6);
        double pull = radiatorFanOn ? r.fanPressure() : 0;
        Resistance behind = r.resistance(coveredShare, density);
        Resistance past = r.resistance(restShare, density);
        if (radiatorFanOn) {
            behind = behind.then(r.fanResistance(coveredShare));
            past = past.then(r.fanResistance(restShare));
        }
        Resistance opening = Resistance.heads(Airway.OPENING_HEADS, density, r.openingArea());
        Resistance through = duct.then(mesh).then(fan).then(behind);
        Resistance beside = past;
        double assist = fanPressure + pull;
        // The pressure behind the opening that sends a flow through the core; below ambient when a fan sucks.
        DoubleUnaryOperator plenum = flow -> {
            double needed = through.pressure(flow) + coreLoss(flow) - assist;
            return needed > 0 ? needed / Math.max(airway.sealing(), 1e-6) : needed;
        };
        double q = 0;
        double behindOpening;
        if (openArea() > 0 && airway.sealing() * ram + assist > 0) {
            q = solve(
                    flow -> {
                        double p = plenum.applyAsDouble(flow);
                        return p + opening.pressure(flow + beside.flow(p + pull)) - ram;
                    },
                    Math.min(through.flow(airway.sealing() * ram + assist), FASTEST_FACE_SPEED * openArea()));
            behindOpening = plenum.applyAsDouble(q);
        } else {
            behindOpening = ram - opening.pressure(opening.then(beside).flow(ram + pull));
        }
        return flow(
                q,
                beside.flow(behindOpening + pull),
                ram + assist,
                List.of(
                        new AirFlow.Loss("opening", ram - behindOpening),
                        new AirFlow.Loss("leakage", (1 - airway.sealing()) * Math.max(behindOpening, 0)),
                        new AirFlow.Loss("mesh", mesh.pressure(q)),
                        new AirFlow.Loss("duct", duct.pressure(q)),
                        new AirFlow.Loss("core", coreLoss(q)),
                        new AirFlow.Loss("fan", fan.pressure(q)),
                        new AirFlow.Loss("radiator", behind.pressure(q))));
    }

    /** The flow in m³/s at which a pressure balance that rises with it, from below zero at rest, is even. */
    private static double solve(UnivariateFunction balance, double most) {
        if (balance.value(most) <= 0) {
            return most;
        }
        return new BracketingNthOrderBrentSolver(RELATIVE_ACCURACY, most * RELATIVE_ACCURACY, 1e-9, 5)
                .solve(MAX_EVALUATIONS, balance, 0, most);
    }

    private double coreLoss(double flow) {
        return flow <= 0 ? 0 : core.airPressureDrop(flow / openArea(), ambientK, pascal);
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
