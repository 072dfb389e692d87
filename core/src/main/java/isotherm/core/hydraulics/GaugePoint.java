package isotherm.core.hydraulics;

/**
 * One oil pressure reading of the engine without a cooler, which sets how much the bearings resist.
 *
 * @param pascal gallery pressure above ambient, Pa, above 0
 * @param rpm engine speed, 1/min, above 0
 * @param oilK oil temperature, K
 */
public record GaugePoint(double pascal, double rpm, double oilK) {
    /**
     * @param factor on the pressure, above 0
     * @return bearings that resist so much more
     */
    public GaugePoint times(double factor) {
        return new GaugePoint(factor * pascal, rpm, oilK);
    }
}
