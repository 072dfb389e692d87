package isotherm.core.simulate;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Place;
import isotherm.core.airflow.Radiator;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.fluid.Oil;
import isotherm.core.hydraulics.UpstreamCore;
import java.util.Optional;

/**
 * What a core upstream of the design's own takes from the oil in a session: the oil comes to the second core as the first one
 * leaves it. What it gives to a radiator behind it is left out, as the radiator was measured with it.
 */
final class UpstreamCooling {
    private final CoolerTable table;
    private final Airway airway;
    private final double metal;
    private final AirTable air;

    UpstreamCooling(
            UpstreamCore core,
            Oil fluid,
            OilTable oil,
            CellHeats heats,
            Radiator radiator,
            double ambientK,
            double pascal) {
        CoreModel model = new CoreModel(core.core());
        airway = core.airway();
        table = new CoolerTable(model, fluid, oil, airway.openShare(), core.efficacy());
        metal = core.core().mass() * SessionEquations.METAL;
        air = new AirTable(heats, Optional.of(new AirGrid.Fitted(airway, core.core())), radiator, ambientK, pascal);
    }

    /** Heat capacity of its metal, J/K. */
    double metal() {
        return metal;
    }

    /**
     * @param cell cell of the demand
     * @param fans 1 for its own fan, 0 without
     * @param assist how far the radiator's fan helps, 0 to 1
     * @param mass oil, kg/s
     * @param inK oil at its inlet, K
     * @param outK oil at its outlet as far as it is known, K
     * @param ambientK air outside, K
     * @param radiated what warms the air per W/K of radiator ahead of it, K: 0 while the coolant's thermostat is shut
     * @return heat from oil to air, W
     */
    double heat(
            int cell, int fans, double assist, double mass, double inK, double outK, double ambientK, double radiated) {
        air.look(cell, fans, assist);
        double rate = air.coreRate;
        double airInK = ambientK + airway.warmedAhead(rate);
        if (airway.place().stream() == Place.Stream.BEHIND_RADIATOR && rate > 0) {
            airInK += radiated * air.covered / rate;
        }
        return table.heat(mass, inK, outK, rate, air.coreConductance, airInK);
    }
}
