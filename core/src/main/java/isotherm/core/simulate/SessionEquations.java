package isotherm.core.simulate;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Coolant;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Weather;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.heat.HeatSchool;
import isotherm.core.hydraulics.OilThermostat;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The right-hand side of a session: how fast each state changes, for one car, design, demand and weather.
 *
 * <p>States: temperature of the oil in the engine, of the oil leaving the cooler, lift of the thermostat, temperature of
 * the coolant; then the running integrals of every heat flow, so that the energy balance is integrated along. The
 * thermostat's hysteresis is a play operator (the lift holds still between its warming and its cooling curve), which keeps
 * the right-hand side continuous. Only the core's own fan is switched from outside, between steps. One thread at a time: its
 * tables fill themselves as they are looked into.
 */
public final class SessionEquations {
    /** Oil in sump and engine, K. */
    public static final int OIL = 0;
    /** Oil leaving the cooler, K. */
    public static final int RETURN = 1;
    /** Thermostat lift, 0 to 1. */
    public static final int LIFT = 2;
    /** Coolant, K. */
    public static final int COOLANT = 3;
    /** Heat into the oil so far, J. */
    public static final int HEAT_IN = 4;
    /** Heat lost by the sump so far, J. */
    public static final int HEAT_SUMP = 5;
    /** Heat passed to the coolant through the block so far, J. */
    public static final int HEAT_BLOCK = 6;
    /** Heat passed to the coolant by a factory exchanger so far, J. */
    public static final int HEAT_FACTORY = 7;
    /** Heat given to the air by the cooler so far, J. */
    public static final int HEAT_COOLER = 8;
    /** The states before this one act on the others; the rest are sums. */
    static final int ACTING = 4;
    /** Number of states. */
    public static final int STATES = 9;

    /** Coolant temperature at which the radiator's fan begins to help, K (default). */
    public static final double RADIATOR_FAN_FROM = Units.ZERO_CELSIUS + 95;

    private static final double RADIATOR_FAN_SPAN = 5;
    /** A change from one cell to the next by more than this share is a jump. */
    private static final double JUMP = 0.15;

    /** Rate of what changes without a cooler, 1/s. */
    private static final double SLOW = 0.05;

    /** Specific heat of a core's aluminium, J/(kg·K). */
    static final double METAL = 900;

    private final DemandTrace demand;
    private final double ambientK;
    private final OilTable oil;
    private final double oilMass;
    private final Car.PassiveLosses losses;
    private final Coolant coolant;
    private final double factoryConductance;
    private final Optional<OilThermostat> thermostat;
    /** The same for the inner loop, null without one. */
    private final @Nullable OilThermostat controlled;

    private final boolean cooled;
    private final @Nullable Airway airway;
    private final Place.Stream stream;
    private final double leak;
    /** Pressure across the loop at which its by-pass valve opens, Pa; infinite without one. */
    private final double bypass;

    /** How often a flow exchanges what is in the cooler and its hoses, metal and all, 1/m³; 0 without a cooler. */
    private final double turnover;

    private final double returnMass;
    private final double returnMetal;
    private final @Nullable CoolerTable cooler;
    /** A core through which the oil goes before, null without one. */
    private final @Nullable UpstreamCooling upstream;

    private final AirTable air;
    private final CellHeats heats;
    private final double reliefPressure;
    private final double bearing;
    private final @Nullable LoopLosses loop;

    /**
     * @param car the car
     * @param demand what the engine is asked for
     * @param weather the air
     * @param design the design
     */
    public SessionEquations(Car car, DemandTrace demand, Weather weather, Design design) {
        this.demand = demand;
        this.heats = CellHeats.of(car, demand);
        this.ambientK = weather.ambientK();
        double pascal = weather.pressure();
        Oil fluid = design.oil().orElse(car.oil());
        this.oil =
                new OilTable(fluid, HeatSchool.SHEAR_EXPONENT * car.correction().shear());
        this.oilMass = car.oilVolume() * fluid.density15();
        this.losses = car.losses();
        this.coolant = car.coolant();
        this.factoryConductance =
                design.keepFactoryExchanger() ? car.factoryExchanger().orElse(0) : 0;
        this.reliefPressure = car.pump().reliefPressure();
        // The gauge point was read with the car's own oil, whatever the design fills in.
        this.bearing = car.gauge().pascal()
                / (car.oil().dynamicViscosity(car.gauge().oilK())
                        * car.pump().flow(car.gauge().rpm()));
        Optional<Design.Cooler> fitted = design.cooler().map(car::known);
        this.cooled = fitted.isPresent();
        this.airway = fitted.map(Design.Cooler::airway).orElse(null);
        Optional<CoreModel> core = fitted.map(c -> new CoreModel(c.core()));
        this.stream = fitted.map(c -> c.airway().place().stream()).orElse(Place.Stream.OWN);
        this.thermostat = fitted.flatMap(c -> c.loop().thermostat());
        this.controlled = thermostat.orElse(null);
        this.bypass = fitted.stream()
                .flatMapToDouble(c -> c.loop().bypass().stream())
                .findFirst()
                .orElse(Double.POSITIVE_INFINITY);
        this.leak = fitted.map(c -> c.loop().share(0)).orElse(0.0);
        this.cooler = fitted.map(
                        c -> new CoolerTable(core.get(), fluid, oil, c.airway().openShare(), c.efficacy()))
                .orElse(null);
        this.returnMass =
                fitted.map(c -> c.loop().volume(core.get()) * fluid.density15()).orElse(1.0);
        this.upstream = fitted.flatMap(c -> c.loop().upstream())
                .map(u -> new UpstreamCooling(u, fluid, oil, heats, car.radiator(design), ambientK, pascal))
                .orElse(null);
        this.returnMetal =
                core.map(c -> c.core().mass() * METAL).orElse(0.0) + (upstream == null ? 0 : upstream.metal());
        double warmK = Units.ZERO_CELSIUS + 100;
        double cp = oil.specificHeat(warmK);
        this.turnover = cooled ? oil.density(warmK) * cp / (returnMass * cp + returnMetal) : 0;
        this.air = new AirTable(
                heats,
                fitted.map(c -> new AirGrid.Fitted(c.airway(), c.core())),
                car.radiator(design),
                ambientK,
                pascal);
        double largest = car.pump().flow(car.engine().maxRpm());
        this.loop = fitted.map(c -> new LoopLosses(
                        new LoopLoss(fluid, largest, c.loop()::toCore),
                        new LoopLoss(fluid, largest, core.get()::oilPressureDrop),
                        new LoopLoss(fluid, largest, c.loop().back()::pressureDrop),
                        ambientK))
                .orElse(null);
    }

    /** @return the demand that is driven */
    public DemandTrace demand() {
        return demand;
    }

    /** Whether something else is asked for in this cell than in the one before: by the demand alone, whatever the car. */
    boolean jumps(int cell) {
        return cell == 0
                || Math.abs(demand.brakePower()[cell] - demand.brakePower()[cell - 1]) > JUMP * heats.mostPower
                || Math.abs(demand.rpm()[cell] - demand.rpm()[cell - 1]) > JUMP * demand.rpm()[cell - 1]
                || Math.abs(demand.speed()[cell] - demand.speed()[cell - 1]) > JUMP * heats.mostSpeed;
    }

    /** Volume flow through the engine, m³/s. */
    double engineFlow(int cell, double oilK, double returnK, double share) {
        double q = heats.delivered[cell];
        double engine = bearing * oil.viscosity(oilK);
        double a = engine;
        double b = 0;
        if (loop != null && share > 0) {
            loop.look(oilK, returnK);
            a += share * loop.linear;
            b = share * share * loop.quadratic;
        }
        if ((a + b * q) * q > reliefPressure) {
            q = positiveRoot(a, b, reliefPressure);
        }
        if ((a - engine + b * q) * q > bypass) {
            return Math.min(heats.delivered[cell], (reliefPressure - bypass) / engine);
        }
        return q;
    }

    /** Volume flow through the cooler, m³/s, after {@link #engineFlow}: what its by-pass valve leaves of the share of the engine's. */
    private double coolerFlow(double flow, double share) {
        double q = share * flow;
        if (loop == null || bypass == Double.POSITIVE_INFINITY || q <= 0) {
            return q;
        }
        return Math.min(q, positiveRoot(loop.linear, loop.quadratic, bypass));
    }

    /** The flow whose a·q + b·q² is so much. */
    private static double positiveRoot(double a, double b, double pascal) {
        return 2 * pascal / (a + Math.sqrt(a * a + 4 * b * pascal));
    }

    /**
     * Share of the engine's oil that goes through the cooler.
     *
     * @param lift thermostat lift, 0 to 1
     * @return share, 0 to 1
     */
    public double share(double lift) {
        if (!cooled) {
            return 0;
        }
        return controlled != null ? leak + (1 - leak) * lift : 1;
    }

    /** Gallery pressure above ambient, Pa, in each cell, from the temperatures and lifts there. */
    double[] galleryPressures(double[] oilK, double[] returnK, double[] lift) {
        double[] pressure = new double[oilK.length];
        for (int i = 0; i < pressure.length; i++) {
            pressure[i] = bearing * oil.viscosity(oilK[i]) * engineFlow(i, oilK[i], returnK[i], share(lift[i]));
        }
        return pressure;
    }

    /** Heat into the oil, W: that of shear falls as the oil thins. */
    private double heatIn(int cell, double oilK) {
        return heats.oil[cell] + heats.shear[cell] * oil.shear(oilK);
    }

    /**
     * The state's rate of change.
     *
     * @param cell cell of the demand
     * @param fanOn whether the core's own fan runs
     * @param y state, {@link #STATES} values
     * @param dy receives the rates, per second
     */
    public void derivatives(int cell, boolean fanOn, double[] y, double[] dy) {
        double oilK = y[OIL];
        double returnK = y[RETURN];
        double coolantK = y[COOLANT];
        double rho = oil.density(oilK);
        double share = share(y[LIFT]);
        double flow = engineFlow(cell, oilK, returnK, share);

        double assist = Math.max(0, Math.min(1, (coolantK - RADIATOR_FAN_FROM) / RADIATOR_FAN_SPAN));
        int own = fanOn ? 1 : 0;
        air.look(cell, own, assist);
        double coveredK = air.covered;
        double valve = coolant.valve(coolantK);

        double cooling = 0;
        double carried = 0;
        double radiatorInK = ambientK;
        if (cooler != null) {
            double airRate = air.coreRate;
            double airInK = ambientK + (airway == null ? 0 : airway.warmedAhead(airRate));
            radiatorInK = airInK;
            if (stream == Place.Stream.BEHIND_RADIATOR && airRate > 0) {
                airInK += valve * coveredK * (coolantK - ambientK) / airRate;
            }
            double mass = rho * coolerFlow(flow, share);
            double before = 0;
            double inK = oilK;
            if (upstream != null && mass > 1e-9) {
                before = upstream.heat(
                        cell, own, assist, mass, oilK, (oilK + returnK) / 2, ambientK, valve * (coolantK - ambientK));
                inK -= before / (mass * oil.specificHeat(oilK));
            }
            cooling = before + cooler.heat(mass, inK, returnK, airRate, air.coreConductance, airInK);
            carried = mass * (oil.enthalpy(oilK) - oil.enthalpy(returnK));
            if (stream == Place.Stream.AHEAD_OF_RADIATOR && airRate > 0) {
                radiatorInK += (cooling - before) / airRate;
            }
            dy[RETURN] = (carried - cooling) / (returnMass * oil.specificHeat(returnK) + returnMetal);
            if (controlled != null) {
                double lift = y[LIFT];
                double wanted = Math.max(controlled.liftWarming(oilK), Math.min(lift, controlled.liftCooling(oilK)));
                dy[LIFT] = (wanted - lift) / OilThermostat.LAG;
            } else {
                dy[LIFT] = 0;
            }
        } else {
            dy[RETURN] = 0;
            dy[LIFT] = 0;
        }

        double around = ambientK + losses.warmed() * Math.max(0, coolantK - ambientK);
        double fromSump = heats.sump[cell] * (oilK - around);
        double into = heatIn(cell, oilK);
        double fromBlock = losses.block() * (oilK - coolantK);
        double fromFactory = 0;
        if (factoryConductance > 0) {
            double rate = rho * flow * oil.specificHeat(oilK);
            fromFactory = rate > 0 ? -Math.expm1(-factoryConductance / rate) * rate * (oilK - coolantK) : 0;
        }
        double radiated = valve * (coveredK * (coolantK - radiatorInK) + air.open * (coolantK - ambientK));

        dy[OIL] = (into - fromSump - fromBlock - fromFactory - carried)
                / (oilMass * oil.specificHeat(oilK) + losses.metal());
        dy[COOLANT] = (heats.coolant[cell] + fromBlock + fromFactory - radiated - coolant.steam(coolantK))
                / coolant.capacity();
        dy[HEAT_IN] = into;
        dy[HEAT_SUMP] = fromSump;
        dy[HEAT_BLOCK] = fromBlock;
        dy[HEAT_FACTORY] = fromFactory;
        dy[HEAT_COOLER] = cooling;
    }

    /**
     * Energy in the oil, its cooler and the metal that follows them, above 0 °C.
     *
     * @param y state
     * @return energy, J
     */
    public double stored(double[] y) {
        double engine = oilMass * oil.enthalpy(y[OIL]) + losses.metal() * (y[OIL] - Units.ZERO_CELSIUS);
        if (!cooled) {
            return engine;
        }
        return engine + returnMass * oil.enthalpy(y[RETURN]) + returnMetal * (y[RETURN] - Units.ZERO_CELSIUS);
    }

    /** Fastest rate of the linearised system in a cell, 1/s, which bounds the step there. */
    double fastestRate(int cell) {
        return Math.max(SLOW, turnover * heats.delivered[cell]);
    }

    /**
     * The state a session starts from.
     *
     * @param oilK oil temperature, K
     * @param coolantK coolant temperature, K
     * @return a new state
     */
    public double[] start(double oilK, double coolantK) {
        double[] y = new double[STATES];
        y[OIL] = oilK;
        y[COOLANT] = coolantK;
        // Behind a shut thermostat the cooler has stood in the air; without one it is as warm as the sump.
        y[RETURN] = thermostat.isPresent() ? ambientK : oilK;
        y[LIFT] = thermostat.map(t -> t.liftWarming(oilK)).orElse(cooled ? 1.0 : 0.0);
        return y;
    }
}
