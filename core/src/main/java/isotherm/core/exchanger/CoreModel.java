package isotherm.core.exchanger;

import isotherm.core.fluid.Air;
import isotherm.core.fluid.Oil;
import java.util.List;
import java.util.stream.Stream;

/**
 * The thermal and hydraulic model of one core: areas worked out once, then any number of operating points.
 *
 * <p>Effectiveness method for cross-flow with both fluids unmixed; properties at the mean temperatures; Sieder–Tate wall
 * correction on the oil side with the wall temperature found by iteration. A double pass is two half cores in series on
 * the oil side and in parallel on the air side.
 */
public final class CoreModel {
    /** Prior for the share of the correlations' conductance that a real core reaches with oil (default). */
    public static final double EFFICACY = 0.80;

    private static final double HEAT_TOLERANCE = 0.1;
    private static final int MAX_ITERATIONS = 60;
    private static final double SIEDER_TATE = 0.14;
    /** Exponents of friction on wall over bulk viscosity of a liquid that is cooled. Source: Kays, London, 4-3. */
    private static final double LAMINAR_FRICTION = 0.5;

    private static final double TURBULENT_FRICTION = 0.25;
    /** Reynolds numbers between which a flow in tubes turns turbulent. */
    private static final double LAMINAR_TO = 2300;

    private static final double TURBULENT_FROM = 4000;

    private final Core core;
    private final AirSurface air;
    private final OilSurface oil;

    /** @param core the core to model */
    public CoreModel(Core core) {
        this.core = core;
        this.air = new AirSurface(core);
        this.oil = new OilSurface(core);
    }

    /** @return the core that is modelled */
    public Core core() {
        return core;
    }

    /**
     * One operating point.
     *
     * @param fluid the oil
     * @param oilFlow oil mass flow, kg/s, 0 or more
     * @param oilInK oil inlet temperature, K
     * @param airFlow air mass flow through the open part of the face, kg/s, 0 or more
     * @param airInK air inlet temperature, K
     * @param pascal absolute air pressure, Pa
     * @param openShare share of the face that gets air, 0 to 1
     * @param efficacy share of the correlations' conductance that is reached, 0.3 to 1.2
     * @return heat, outlet temperatures and pressure losses; no heat when either flow is zero
     */
    public CoreRating rate(
            Oil fluid,
            double oilFlow,
            double oilInK,
            double airFlow,
            double airInK,
            double pascal,
            double openShare,
            double efficacy) {
        double oilMean = oilInK;
        double airMean = airInK;
        double wall = (oilInK + airInK) / 2;
        double heat = 0;
        double ua = 0;
        double effectiveness = 0;
        OilState state = OilState.of(fluid, oilMean);
        boolean flowing = oilFlow > 0 && airFlow > 0 && openShare > 0;
        for (int i = 0; flowing && i < MAX_ITERATIONS; i++) {
            state = OilState.of(fluid, oilMean);
            double oilRate = oilFlow * state.specificHeat();
            double airRate = airFlow * Air.SPECIFIC_HEAT;
            double oilSide = openShare
                    * oil.conductance(oilFlow, state)
                    * Math.pow(state.viscosity() / fluid.dynamicViscosity(wall), SIEDER_TATE);
            double airSide = openShare * air.conductance(airFlow / openShare, airMean) / core.passes();
            double perPass = efficacy / (1 / oilSide + 1 / airSide);
            double share = oilShare(perPass, oilRate, airRate / core.passes());
            double cooled = 1 - Math.pow(1 - share, core.passes());
            double newHeat = cooled * oilRate * (oilInK - airInK);
            ua = perPass * core.passes();
            effectiveness = cooled * oilRate / Math.min(oilRate, airRate);
            boolean settled = Math.abs(newHeat - heat) < HEAT_TOLERANCE;
            heat = newHeat;
            oilMean = oilInK - heat / (2 * oilRate);
            airMean = airInK + heat / (2 * airRate);
            wall = airMean + (oilMean - airMean) * oilSide / (oilSide + airSide);
            if (settled) {
                break;
            }
        }
        double oilOut = oilFlow > 0 ? oilInK - heat / (oilFlow * state.specificHeat()) : oilInK;
        double airOut = airFlow > 0 ? airInK + heat / (airFlow * Air.SPECIFIC_HEAT) : airInK;
        double wallFactor = flowing
                ? wallFactor(oil.reynolds(oilFlow, state), fluid.dynamicViscosity(wall) / state.viscosity())
                : 1;
        double faceFlow = openShare > 0 ? airFlow / openShare : 0;
        List<Validity> notes = flowing
                ? Stream.concat(air.validity(faceFlow, airMean), oil.validity(oilFlow, state))
                        .toList()
                : List.of();
        return new CoreRating(
                heat,
                oilOut,
                airOut,
                wall,
                ua,
                effectiveness,
                oil.pressureDrop(oilFlow, state, wallFactor),
                air.pressureDrop(faceFlow, airInK, airOut, pascal),
                oil.reynolds(oilFlow, state),
                air.reynolds(faceFlow, Air.viscosity(airMean)),
                notes);
    }

    private static double wallFactor(double re, double wallOverBulk) {
        double turbulent = Math.max(0, Math.min(1, (re - LAMINAR_TO) / (TURBULENT_FROM - LAMINAR_TO)));
        return Math.pow(wallOverBulk, LAMINAR_FRICTION + turbulent * (TURBULENT_FRICTION - LAMINAR_FRICTION));
    }

    /** Share of the oil's heat (above the air inlet) that one pass takes out. */
    private static double oilShare(double ua, double oilRate, double airRate) {
        double min = Math.min(oilRate, airRate);
        double max = Math.max(oilRate, airRate);
        return Effectiveness.crossFlowUnmixed(ua / min, min / max) * min / oilRate;
    }

    /**
     * Air pressure loss, which the air-flow balance needs.
     *
     * @param airFlow air mass flow over the whole face, kg/s, 0 or more
     * @param inK air inlet temperature, K
     * @param outK air outlet temperature, K
     * @param pascal absolute air pressure, Pa
     * @return pressure loss, Pa
     */
    public double airPressureDrop(double airFlow, double inK, double outK, double pascal) {
        return air.pressureDrop(airFlow, inK, outK, pascal);
    }

    /**
     * Air-side conductance η₀hA of the whole face.
     *
     * @param airFlow air mass flow over the whole face, kg/s
     * @param meanK mean air temperature, K
     * @return conductance, W/K
     */
    public double airConductance(double airFlow, double meanK) {
        return air.conductance(airFlow, meanK);
    }

    /**
     * Oil-side conductance η₀hA of one pass at bulk properties, without the wall correction.
     *
     * @param oilFlow oil mass flow, kg/s
     * @param state oil properties at the mean temperature
     * @return conductance, W/K
     */
    public double oilConductance(double oilFlow, OilState state) {
        return oil.conductance(oilFlow, state);
    }

    /**
     * Oil pressure loss from port to port with oil of one temperature throughout.
     *
     * @param oilFlow oil mass flow, kg/s
     * @param state oil properties
     * @return pressure loss, Pa
     */
    public double oilPressureDrop(double oilFlow, OilState state) {
        return oil.pressureDrop(oilFlow, state, 1);
    }
}
