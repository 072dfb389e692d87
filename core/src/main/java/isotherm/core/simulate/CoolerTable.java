package isotherm.core.simulate;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.OilState;
import isotherm.core.fluid.Oil;
import java.util.Arrays;
import java.util.concurrent.atomic.AtomicLongArray;

/**
 * One core's heat at any operating point of a session, from a table of its oil-side conductance. Not for two threads
 * at once, as its oil is not.
 *
 * <p>The same equations as {@link CoreModel#rate}, with the mean and wall temperatures taken from the state of the session
 * in place of an iteration; in steady state the two agree (a test holds them to 1 %).
 */
final class CoolerTable {
    /** The conductance grows about with the root of the flow, so the grid is even in that root. */
    private static final double LARGEST_FLOW = 3;

    private static final int FLOWS = 18;
    static final double FLOW_STEP = Math.sqrt(LARGEST_FLOW) / (FLOWS - 1);
    static final double LOW_K = 233.15;
    static final double STEP = 10;
    private static final int NODES = 22;

    /** Cores that are remembered with their oil: some 3 kB each. */
    private static final int KEPT = 300;

    private record Question(Core core, Oil oil) {}

    private static final Cache<Question, AtomicLongArray> LAST =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    /**
     * By temperature and flow, as bits; worked out when it is first asked for.
     * Shared by the sessions of a core and an oil: two that work out the same come to the same bits.
     */
    private final AtomicLongArray conductance;

    private final CoreModel core;
    private final Oil fluid;
    private final OilTable oil;
    private final int passes;
    private final double openShare;
    private final double efficacy;

    CoolerTable(CoreModel core, Oil fluid, OilTable oil, double openShare, double efficacy) {
        this.oil = oil;
        this.passes = core.core().passes();
        this.openShare = openShare;
        this.efficacy = efficacy;
        this.core = core;
        this.fluid = fluid;
        this.conductance = LAST.get(new Question(core.core(), fluid), q -> unknown());
    }

    private static AtomicLongArray unknown() {
        long[] none = new long[FLOWS * NODES];
        Arrays.fill(none, Double.doubleToLongBits(Double.NaN));
        return new AtomicLongArray(none);
    }

    /** Oil-side conductance of the core, W/K, at a mass flow in kg/s. */
    double conductance(double massFlow, double kelvin) {
        double mAt = EvenTable.held(Math.sqrt(massFlow) / FLOW_STEP, FLOWS - 1.000001);
        double tAt = EvenTable.held((kelvin - LOW_K) / STEP, NODES - 1.000001);
        int m = (int) mAt;
        int t = (int) tAt;
        double mf = mAt - m;
        int i = t * FLOWS + m;
        double low = node(i) + mf * (node(i + 1) - node(i));
        double high = node(i + FLOWS) + mf * (node(i + FLOWS + 1) - node(i + FLOWS));
        return low + (tAt - t) * (high - low);
    }

    private double node(int i) {
        double value = Double.longBitsToDouble(conductance.getOpaque(i));
        return Double.isNaN(value) ? fill(i) : value;
    }

    private double fill(int i) {
        double root = i % FLOWS * FLOW_STEP;
        double value = root == 0
                ? 0
                : core.oilConductance(root * root, OilState.of(fluid, LOW_K + (double) (i / FLOWS) * STEP));
        conductance.setOpaque(i, Double.doubleToLongBits(value));
        return value;
    }

    /**
     * @param massFlow oil through the core, kg/s
     * @param inK oil inlet, K
     * @param outK oil outlet of the state, K
     * @param airRate capacity rate of the air through the core, W/K
     * @param airConductance air-side conductance of the part of the face that gets air, W/K
     * @param airInK air inlet, K
     * @return heat from oil to air, W
     */
    double heat(double massFlow, double inK, double outK, double airRate, double airConductance, double airInK) {
        if (massFlow < 1e-9 || airRate < 1e-9 || openShare <= 0) {
            return 0;
        }
        double oilMean = (inK + outK) / 2;
        double oilRate = massFlow * oil.specificHeat(oilMean);
        double airMean = airInK + Math.min(oilRate * (inK - outK), airRate * (inK - airInK)) / (2 * airRate);
        double bulk = openShare * conductance(massFlow, oilMean);
        double airSide = airConductance / passes;
        double wall = airMean + (oilMean - airMean) * bulk / (bulk + airSide);
        double oilSide = bulk * oil.wallPower(oilMean) / oil.wallPower(wall);
        double ua = efficacy / (1 / oilSide + 1 / airSide);
        double perPassAir = airRate / passes;
        double min = Math.min(oilRate, perPassAir);
        double max = Math.max(oilRate, perPassAir);
        double share = EffectivenessTable.crossFlow(ua / min, min / max) * min / oilRate;
        double cooled = passes == 1 ? share : 1 - (1 - share) * (1 - share);
        return cooled * oilRate * (inK - airInK);
    }
}
