package isotherm.core.simulate;

import isotherm.core.airflow.AirFlow;
import isotherm.core.airflow.AirNetwork;
import isotherm.core.airflow.Radiator;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.fluid.Air;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What the air does at each road speed of a session, with each fan off or on: solved on a grid of speeds, then laid out
 * cell by cell. Not for two threads at once.
 */
final class AirTable {
    /** Values a cell: air capacity rate, air conductance, radiator behind the core, radiator beside it. */
    static final int VALUES = 4;

    static final int CORE_RATE = 0;
    static final int CORE_CONDUCTANCE = 1;
    static final int COVERED = 2;
    static final int OPEN = 3;

    private static final int NODES = 18;
    /** Without and with the core's own fan, then the same with the radiator's; worked out when it is first asked for. */
    private final double[] @Nullable [] cells = new double[4][];

    private final double[] speed;
    private final double top;
    private final boolean ownFan;
    private final Optional<AirNetwork> network;
    private final Optional<CoreModel> core;
    private final Radiator radiator;
    private final double ambientK;
    private final double pascal;

    AirTable(
            double[] speed,
            boolean ownFan,
            Optional<AirNetwork> network,
            Optional<CoreModel> core,
            Radiator radiator,
            double ambientK,
            double pascal) {
        this.network = network;
        this.core = core;
        this.radiator = radiator;
        this.ambientK = ambientK;
        this.pascal = pascal;
        this.ownFan = ownFan;
        this.speed = speed;
        double fastest = 1;
        for (double v : speed) {
            fastest = Math.max(fastest, v);
        }
        this.top = fastest;
    }

    /** What the air does in every cell with the fans off or on. */
    private double[] solved(int own, boolean radiatorFan) {
        if (own == 1 && !ownFan) {
            return cells(0, radiatorFan);
        }
        if (radiatorFan && radiator.fanPressure() <= 0) {
            return cells(own, false);
        }
        double[] grid = new double[NODES * VALUES];
        for (int i = 0; i < NODES; i++) {
            solve(grid, i, top * i / (NODES - 1), own == 1, radiatorFan);
        }
        return lay(grid);
    }

    private double[] cells(int own, boolean radiatorFan) {
        int which = radiatorFan ? own + 2 : own;
        double[] known = cells[which];
        if (known == null) {
            known = solved(own, radiatorFan);
            cells[which] = known;
        }
        return known;
    }

    /** Fills one node. */
    private void solve(double[] grid, int i, double speed, boolean own, boolean radiatorFan) {
        int at = i * VALUES;
        double covered = network.map(AirNetwork::coveredShare).orElse(0.0);
        if (network.isPresent()) {
            AirFlow flow = network.get().at(speed, own, radiatorFan);
            double open = network.get().openShare();
            grid[at + CORE_RATE] = flow.coreMassFlow() * Air.SPECIFIC_HEAT;
            grid[at + CORE_CONDUCTANCE] = open <= 0
                    ? 0
                    : open * core.get().airConductance(flow.coreMassFlow() / open, ambientK + AirNetwork.CORE_RISE / 2);
            grid[at + COVERED] = radiator.heatPerKelvin(flow.coveredMassFlow(), covered);
            grid[at + OPEN] = radiator.heatPerKelvin(flow.openMassFlow(), 1 - covered);
        }
        if (covered == 0) {
            double through = AirNetwork.radiatorAlone(radiator, speed, radiatorFan, ambientK, pascal);
            grid[at + OPEN] = radiator.heatPerKelvin(through, 1);
        }
    }

    private double[] lay(double[] grid) {
        double[] laid = new double[speed.length * VALUES];
        for (int c = 0; c < speed.length; c++) {
            double at = Math.min(speed[c] / top * (NODES - 1), NODES - 1.000001);
            int i = (int) at;
            double f = at - i;
            for (int v = 0; v < VALUES; v++) {
                double low = grid[i * VALUES + v];
                laid[c * VALUES + v] = low + f * (grid[(i + 1) * VALUES + v] - low);
            }
        }
        return laid;
    }

    /**
     * @param own 1 with the core's own fan, 0 without
     * @param assist how far the radiator's fan helps, 0 to 1
     * @param index cell times {@link #VALUES} and which value
     * @return the value with that much of the radiator's fan
     */
    double at(int own, double assist, int index) {
        double off = cells(own, false)[index];
        return assist == 0 ? off : off + assist * (cells(own, true)[index] - off);
    }
}
