package isotherm.core.airflow;

/**
 * A static pressure difference measured across the core on the road; it replaces the place's preset.
 *
 * @param pascal measured difference, Pa, above 0
 * @param speed road speed at which it was measured, m/s, above 0
 */
public record MeasuredPressure(double pascal, double speed) {}
