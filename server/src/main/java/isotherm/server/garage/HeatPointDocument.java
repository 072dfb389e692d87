package isotherm.server.garage;

import isotherm.core.exchanger.Core;
import isotherm.core.fit.HeatRating;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;

/** What a core's maker says that it gives off, at one point. */
public record HeatPointDocument(
        @Missing("10W-40") @Text("the oil of the test") OilDocument oil,
        @Quantity(value = "oil flow", min = 1, max = 500, unit = "L/min") double oilFlowLPerMin,
        @Quantity(value = "oil inlet", min = 20, max = 180, unit = "°C") double oilInC,
        @Quantity(value = "air speed ahead of the face", min = 0.5, max = 60, unit = "m/s") double faceSpeedMPerS,
        @Quantity(value = "air inlet", min = -40, max = 120, unit = "°C") double airInC,
        @Quantity(value = "heat given off", min = 0.1, max = 200, unit = "kW") double heatKw) {
    /** Oil that such figures are usually for. */
    private static final String USUAL = "10W-40";

    /**
     * @param core the core that it is of
     * @return it for {@code core}
     */
    public HeatRating toCore(Core core) {
        return new HeatRating(
                core,
                oil == null ? Oil.grade(USUAL).orElseThrow() : oil.toCore(),
                oilFlowLPerMin / 60e3,
                Units.kelvin(oilInC),
                faceSpeedMPerS,
                Units.kelvin(airInC),
                heatKw * 1e3);
    }
}
