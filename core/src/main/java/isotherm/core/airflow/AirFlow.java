package isotherm.core.airflow;

import java.util.List;

/**
 * The air through core and radiator at one road speed.
 *
 * @param coreMassFlow air through the core, kg/s
 * @param faceSpeed speed ahead of the part of the core's face that gets air, m/s
 * @param coveredMassFlow air that meets both core and radiator, kg/s
 * @param openMassFlow air through the rest of the radiator, kg/s
 * @param available pressure that speed and fan offer the core's stream, Pa
 * @param losses where that pressure goes, in the order of the stream
 */
public record AirFlow(
        double coreMassFlow,
        double faceSpeed,
        double coveredMassFlow,
        double openMassFlow,
        double available,
        List<Loss> losses) {
    /**
     * One part of the pressure balance.
     *
     * @param what the part: {@code opening}, {@code mesh}, {@code duct}, {@code leakage}, {@code core}, {@code radiator}
     * @param pascal what it costs, Pa
     */
    public record Loss(String what, double pascal) {}
}
