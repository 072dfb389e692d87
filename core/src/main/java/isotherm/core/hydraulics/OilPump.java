package isotherm.core.hydraulics;

/**
 * A gear or vane pump on the crankshaft with its relief valve.
 *
 * @param displacement oil moved per engine revolution, m³
 * @param volumetricEfficiency share of it that leaves the pump, 0.3 to 1
 * @param reliefPressure pressure at the pump at which the relief valve opens, Pa above ambient
 */
public record OilPump(double displacement, double volumetricEfficiency, double reliefPressure) {
    /**
     * @param rpm engine speed, 1/min, 0 or more
     * @return volume flow of the pump, m³/s
     */
    public double flow(double rpm) {
        return displacement * rpm / 60 * volumetricEfficiency;
    }
}
