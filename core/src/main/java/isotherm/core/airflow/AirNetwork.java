package isotherm.core.airflow;

import isotherm.core.exchanger.CoreModel;
import isotherm.core.fluid.Air;
import java.util.List;
import java.util.Optional;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * The pressure balance of a core in its place: what speed and fan offer equals what opening, mesh, duct, core, radiator and the
 * way out take. Ahead of or behind a radiator the core's stream is one of two through it, see {@link RadiatorStream}.
 *
 * <p>Flows are volumes at the outside air's density; what is warmed on its way takes more room and loses more pressure. A
 * pressure measured across the core says how much of the ram pressure really arrives; fans come on top of it.
 */
public final class AirNetwork {
    /** Usual rise of the air through an oil cooler, K (default); the balance is solved before the heat is known. */
    public static final double CORE_RISE = 45;

    private static final double RELATIVE_ACCURACY = 1e-5;
    private static final int MAX_EVALUATIONS = 100;
    /** Far above any speed on a core's face, m/s. */
    private static final double FASTEST_FACE_SPEED = 60;
    /** A measured pressure larger than so many times what the place offers was not measured there. */
    private static final double MOST_PRESSURE = 20;

    private final Airway airway;
    private final CoreModel core;
    private final Optional<RadiatorStream> stream;
    private final double ambientK;
    private final double airInK;
    private final double density;
    private final double pascal;
    private final double coveredShare;
    private final Resistance ownPath;
    private final double arrivingShare;

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
        this.ambientK = ambientK;
        this.pascal = pascal;
        this.density = Air.density(ambientK, pascal);
        boolean own = airway.place().stream() == Place.Stream.OWN;
        Optional<Radiator> shared = own ? Optional.empty() : radiator;
        this.coveredShare = shared.map(r -> Math.min(core.core().faceArea() / r.faceArea(), 1))
                .orElse(0.0);
        this.airInK = airway.place().stream() == Place.Stream.BEHIND_RADIATOR ? ambientK + Radiator.RISE : ambientK;
        Resistance path = openingLoss().then(meshLoss()).then(ductLoss());
        this.ownPath = own ? path.then(outletLoss()) : path;
        this.stream = shared.map(r -> new RadiatorStream(r, coveredShare, density, ambientK));
        this.arrivingShare =
                airway.measured().map(m -> airway.sealing() * measuredFactor(m)).orElse(airway.sealing());
    }

    /** @return share of the core's face that gets air, 0 to 1 */
    public double openShare() {
        return airway.openShare();
    }

    /** @return share of the radiator's face that the core covers, 0 to 1; 0 when it has a stream to itself */
    public double coveredShare() {
        return coveredShare;
    }

    /** @return density of the outside air, kg/m³ */
    public double density() {
        return density;
    }

    /** @return temperature of the outside air, K */
    public double ambientK() {
        return ambientK;
    }

    private double openArea() {
        return core.core().faceArea() * openShare();
    }

    /**
     * Edge of the opening and, where the face is larger, the jet that opens out behind it. Source of the latter: Borda and
     * Carnot, (1 − A₁/A₂)² velocity heads of the smaller area.
     */
    private Resistance openingLoss() {
        double widening = Math.max(0, 1 - airway.openingArea() / core.core().faceArea());
        return Resistance.heads(Airway.OPENING_HEADS + widening * widening, density, airway.openingArea());
    }

    private Resistance meshLoss() {
        return airway.mesh() ? Resistance.heads(Airway.MESH_HEADS, density, airway.openingArea()) : Resistance.NONE;
    }

    private Resistance ductLoss() {
        return Resistance.heads(airway.ductHeads(), density, airway.openingArea());
    }

    /** The velocity at which the warm air leaves is lost; without a given outlet it leaves as wide as the face is. */
    private Resistance outletLoss() {
        double warmed = (airInK + CORE_RISE) / ambientK;
        return Resistance.heads(
                        1,
                        density,
                        airway.outletArea() > 0
                                ? airway.outletArea()
                                : core.core().faceArea())
                .times(warmed);
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
        double ram = ram(speed);
        double q = through(ram, arrivingShare, fanOn, radiatorFanOn);
        double own = fanPressure(q, fanOn);
        Optional<RadiatorStream.State> state = stream.map(s -> s.at(ram, q, radiatorFanOn));
        double behindOpening = state.map(RadiatorStream.State::behindOpening).orElse(ram);
        double arriving = behindOpening > 0 ? arrivingShare * behindOpening : behindOpening;
        double leaked = Math.max(behindOpening - arriving, 0);
        // A measurement may have shown more than the place was thought to offer.
        double offered = ram + Math.max(arriving - behindOpening, 0);
        return new AirFlow(
                q * density,
                openArea() > 0 ? q / openArea() : 0,
                stream.isPresent() ? q * density : 0,
                state.map(s -> s.beside() * density).orElse(0.0),
                offered
                        + Math.max(own, 0)
                        + state.map(RadiatorStream.State::fanPressure).orElse(0.0),
                List.of(
                                new AirFlow.Loss(
                                        "opening", openingLoss().pressure(q) + Math.max(ram - behindOpening, 0)),
                                new AirFlow.Loss("leakage", leaked),
                                new AirFlow.Loss("mesh", meshLoss().pressure(q)),
                                new AirFlow.Loss("duct", ductLoss().pressure(q)),
                                new AirFlow.Loss("core", coreLoss(q)),
                                new AirFlow.Loss("fan", Math.max(-own, 0)),
                                new AirFlow.Loss(
                                        "radiator", state.map(s -> s.radiator()).orElse(0.0)),
                                new AirFlow.Loss(
                                        "outlet",
                                        state.map(RadiatorStream.State::outlet)
                                                .orElse(outletLoss().pressure(q))))
                        .stream()
                        .filter(l -> l.pascal() > 0)
                        .toList());
    }

    private double ram(double speed) {
        return Math.max((airway.cpIn() - airway.cpOut()) * density / 2 * speed * speed, 0);
    }

    /** Volume flow through the core, m³/s. */
    private double through(double ram, double arriving, boolean fanOn, boolean radiatorFanOn) {
        double most = FASTEST_FACE_SPEED * openArea();
        UnivariateFunction balance = q -> {
            double taken = ownPath.pressure(q) + coreLoss(q) - fanPressure(q, fanOn);
            if (stream.isEmpty()) {
                return taken - arriving * ram;
            }
            RadiatorStream.State s = stream.get().at(ram, q, radiatorFanOn);
            double before = s.behindOpening();
            return taken + s.radiator() + s.behindRadiator() - (before > 0 ? arriving * before : before);
        };
        return openArea() <= 0 || balance.value(0) >= 0 ? 0 : solve(balance, most);
    }

    /** Factor on the share that arrives with which the core's own loss is what was measured across it, the fans standing. */
    private double measuredFactor(MeasuredPressure m) {
        if (openArea() <= 0) {
            return 1;
        }
        double ram = ram(m.speed());
        UnivariateFunction missing = f -> coreLoss(through(ram, airway.sealing() * f, false, false)) - m.pascal();
        return ram <= 0 || missing.value(MOST_PRESSURE) <= 0
                ? MOST_PRESSURE
                : new BracketingNthOrderBrentSolver(1e-4, 1e-4, 0.01, 5)
                        .solve(MAX_EVALUATIONS, missing, 0, MOST_PRESSURE);
    }

    /** What the core's own fan adds; less than nothing when it is only turned by the wind, Pa. */
    private double fanPressure(double flow, boolean on) {
        if (airway.fan().isEmpty()) {
            return 0;
        }
        Fan fan = airway.fan().get();
        double thinner = density / Fan.REFERENCE_DENSITY;
        double turned = -fan.idle().pressure(flow) * thinner;
        return on ? Math.max((fan.stallPressure() - fan.running().pressure(flow)) * thinner, turned) : turned;
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
        return flow <= 0 ? 0 : core.airPressureDrop(flow * density / openShare(), airInK, airInK + CORE_RISE, pascal);
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
        return new RadiatorStream(radiator, 0, density, ambientK)
                        .at(ram, 0, fanOn)
                        .beside()
                * density;
    }
}
