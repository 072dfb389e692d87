package isotherm.core.simulate;

import isotherm.core.airflow.AirFlow;
import isotherm.core.airflow.AirNetwork;
import isotherm.core.airflow.Radiator;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.fluid.Air;
import java.util.Optional;

/**
 * What the air does at each road speed of a session, with each fan off or on: solved on a grid of speeds, then laid out
 * cell by cell.
 */
final class AirTable {
    /** Values a cell: air capacity rate, air conductance, radiator behind the core, radiator beside it. */
    static final int VALUES = 4;

    static final int CORE_RATE = 0;
    static final int CORE_CONDUCTANCE = 1;
    static final int COVERED = 2;
    static final int OPEN = 3;

    private static final int NODES = 24;

    private final double[][] cells = new double[4][];

    AirTable(
            double[] speed,
            Optional<AirNetwork> network,
            Optional<CoreModel> core,
            Radiator radiator,
            double ambientK,
            double pascal) {
        double top = 1;
        for (double v : speed) {
            top = Math.max(top, v);
        }
        boolean ownFanMatters = network.isPresent();
        for (int fans = 0; fans < 4; fans++) {
            boolean own = (fans & 1) != 0;
            if (own && !ownFanMatters) {
                cells[fans] = cells[fans - 1];
                continue;
            }
            boolean radiatorFan = (fans & 2) != 0 && radiator.fanPressure() > 0;
            double[] grid = new double[NODES * VALUES];
            for (int i = 0; i < NODES; i++) {
                solve(grid, i, top * i / (NODES - 1), own, radiatorFan, network, core, radiator, ambientK, pascal);
            }
            cells[fans] = lay(speed, top, grid);
        }
    }

    private static void solve(
            double[] grid,
            int i,
            double speed,
            boolean own,
            boolean radiatorFan,
            Optional<AirNetwork> network,
            Optional<CoreModel> core,
            Radiator radiator,
            double ambientK,
            double pascal) {
        int at = i * VALUES;
        double covered = network.map(AirNetwork::coveredShare).orElse(0.0);
        if (network.isPresent()) {
            AirFlow flow = network.get().at(speed, own, radiatorFan);
            if (radiatorFan) {
                // Above some speed a driven fan only stands in the way, and its controller lets it idle.
                AirFlow idle = network.get().at(speed, own, false);
                if (idle.coveredMassFlow() + idle.openMassFlow() > flow.coveredMassFlow() + flow.openMassFlow()) {
                    flow = idle;
                }
            }
            double open = network.get().openShare();
            double density = network.get().density();
            grid[at + CORE_RATE] = flow.coreMassFlow() * Air.SPECIFIC_HEAT;
            grid[at + CORE_CONDUCTANCE] =
                    open <= 0 ? 0 : open * core.get().airConductance(flow.coreMassFlow() / open, ambientK + 15);
            grid[at + COVERED] = radiator.heatPerKelvin(flow.coveredMassFlow(), covered, density);
            grid[at + OPEN] = radiator.heatPerKelvin(flow.openMassFlow(), 1 - covered, density);
        }
        if (covered == 0) {
            double density = Air.density(ambientK, pascal);
            double driven = AirNetwork.radiatorAlone(radiator, speed, radiatorFan, ambientK, pascal);
            double idle = AirNetwork.radiatorAlone(radiator, speed, false, ambientK, pascal);
            grid[at + OPEN] = radiator.heatPerKelvin(Math.max(driven, idle), 1, density);
        }
    }

    private static double[] lay(double[] speed, double top, double[] grid) {
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

    /** Values of all cells for one state of the fans. */
    double[] cells(boolean ownFan, boolean radiatorFan) {
        return cells[(ownFan ? 1 : 0) + (radiatorFan ? 2 : 0)];
    }
}
