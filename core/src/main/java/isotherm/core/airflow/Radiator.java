package isotherm.core.airflow;

import isotherm.core.exchanger.Effectiveness;
import isotherm.core.fluid.Air;

/**
 * The coolant radiator, as a builder can describe it.
 *
 * @param faceArea finned face, m²
 * @param conductance UA at 4 m/s on the face, W/K
 * @param pressureDrop air pressure loss at 4 m/s on the face, Pa
 * @param openingArea area of the openings that feed it, m²
 * @param fanPressure pressure of its fan at no flow, Pa; 0 without a fan
 * @param fanFlow flow of its fan at no pressure, m³/s, above 0
 */
public record Radiator(
        double faceArea,
        double conductance,
        double pressureDrop,
        double openingArea,
        double fanPressure,
        double fanFlow) {
    /** Face speed at which UA and loss are given, m/s. */
    public static final double REFERENCE_SPEED = 4;
    /** Exponent of UA on air speed (default, typical of louvred fins with the coolant side at its usual flow). */
    public static final double AIR_EXPONENT = 0.6;
    /** Share of the loss at the reference speed that is linear in speed (default). */
    static final double LINEAR_SHARE = 0.6;
    /** Exponent of the viscosity of air on absolute temperature, about Sutherland's between 0 and 100 °C. */
    private static final double VISCOSITY_EXPONENT = 0.7;
    /** Usual rise of the air through a radiator, K (default); the balance is solved before the heat is known. */
    public static final double RISE = 30;
    /** Density of air at which UA is given, kg/m³. */
    private static final double REFERENCE_DENSITY = 1.2;
    /** Velocity heads lost on the way out through the engine bay, on the radiator's face speed (default). */
    static final double BAY_EXIT_HEADS = 3.0;

    /**
     * @param factor on the heat that it gives to the air
     * @return the same radiator giving so many times as much
     */
    public Radiator times(double factor) {
        return new Radiator(faceArea, conductance * factor, pressureDrop, openingArea, fanPressure, fanFlow);
    }

    /**
     * Loss of a part of the face.
     *
     * @param share of the face, above 0 and up to 1
     * @param warmed mean absolute temperature of the air within over that at which flows are counted
     * @return the loss; its laminar part grows with viscosity and volume, the rest with volume alone
     */
    Resistance resistance(double share, double warmed) {
        double q = REFERENCE_SPEED * faceArea * share;
        return new Resistance(
                LINEAR_SHARE * pressureDrop / q * Math.pow(warmed, 1 + VISCOSITY_EXPONENT),
                (1 - LINEAR_SHARE) * pressureDrop / (q * q) * warmed);
    }

    /**
     * Heat per kelvin between the coolant and the air that enters a part of the face.
     *
     * @param massFlow air mass flow through that part, kg/s
     * @param share share of the face, 0 to 1
     * @return ε·C of the air, W/K
     */
    public double heatPerKelvin(double massFlow, double share) {
        if (massFlow <= 0 || share <= 0) {
            return 0;
        }
        // By mass, not by speed: thin air at the same speed takes less.
        double flux = massFlow / (faceArea * share) / (REFERENCE_DENSITY * REFERENCE_SPEED);
        double ua = conductance * share * Math.pow(flux, AIR_EXPONENT);
        double airRate = massFlow * Air.SPECIFIC_HEAT;
        // Coolant flows several times the air's capacity rate; a ratio of 0.3 is usual and matters little.
        return Effectiveness.crossFlowUnmixed(ua / airRate, 0.3) * airRate;
    }
}
