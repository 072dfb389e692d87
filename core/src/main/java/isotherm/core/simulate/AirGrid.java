package isotherm.core.simulate;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import isotherm.core.airflow.AirFlow;
import isotherm.core.airflow.AirNetwork;
import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Radiator;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.fluid.Air;
import java.util.Optional;

/**
 * What the air does at evenly spaced road speeds: it knows nothing of oil, hose or thermostat, so that designs that differ in
 * those alone share it. The values are shared, not copied: do not change them.
 */
final class AirGrid {
    /** Values a speed: air capacity rate, air conductance, radiator behind the core, radiator beside it. */
    static final int VALUES = 4;

    /** Speeds, from standing to the fastest. */
    static final int NODES = 18;

    private static final int REMEMBERED = 4000;
    private static final Cache<Asked, double[]> LAST =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    private AirGrid() {}

    /**
     * What is driven into what air.
     *
     * @param radiator the car's radiator
     * @param ambientK outside air, K
     * @param pascal its absolute pressure, Pa
     * @param top highest road speed, m/s
     */
    record Where(Radiator radiator, double ambientK, double pascal, double top) {}

    /** A core in its airway. */
    record Fitted(Airway airway, Core core) {}

    private record Asked(Where where, Optional<Fitted> fitted, boolean ownFan, boolean radiatorFan) {}

    /**
     * @param where what is driven into what air
     * @param fitted the core, if there is one
     * @param ownFan whether its own fan runs
     * @param radiatorFan whether the radiator's does
     * @return {@link #VALUES} values a node: W/K each
     */
    static double[] of(Where where, Optional<Fitted> fitted, boolean ownFan, boolean radiatorFan) {
        return LAST.get(new Asked(where, fitted, ownFan, radiatorFan), AirGrid::solved);
    }

    private static double[] solved(Asked asked) {
        Optional<CoreModel> core = asked.fitted().map(f -> new CoreModel(f.core()));
        Optional<AirNetwork> network = asked.fitted()
                .map(f -> new AirNetwork(
                        f.airway(),
                        core.get(),
                        Optional.of(asked.where().radiator()),
                        asked.where().ambientK(),
                        asked.where().pascal()));
        double[] grid = new double[NODES * VALUES];
        for (int i = 0; i < NODES; i++) {
            solve(asked, network, core, asked.where().top() * i / (NODES - 1), grid, i * VALUES);
        }
        return grid;
    }

    private static void solve(
            Asked asked, Optional<AirNetwork> network, Optional<CoreModel> core, double speed, double[] grid, int at) {
        Where where = asked.where();
        Radiator radiator = where.radiator();
        double covered = network.map(AirNetwork::coveredShare).orElse(0.0);
        if (network.isPresent()) {
            AirFlow flow = network.get().at(speed, asked.ownFan(), asked.radiatorFan());
            double open = network.get().openShare();
            grid[at + AirTable.CORE_RATE] = flow.coreMassFlow() * Air.SPECIFIC_HEAT;
            grid[at + AirTable.CORE_CONDUCTANCE] = open <= 0
                    ? 0
                    : open
                            * core.get()
                                    .airConductance(
                                            flow.coreMassFlow() / open, where.ambientK() + AirNetwork.CORE_RISE / 2);
            grid[at + AirTable.COVERED] = radiator.heatPerKelvin(flow.coveredMassFlow(), covered);
            grid[at + AirTable.OPEN] = radiator.heatPerKelvin(flow.openMassFlow(), 1 - covered);
        }
        if (covered == 0) {
            double through =
                    AirNetwork.radiatorAlone(radiator, speed, asked.radiatorFan(), where.ambientK(), where.pascal());
            grid[at + AirTable.OPEN] = radiator.heatPerKelvin(through, 1);
        }
    }
}
