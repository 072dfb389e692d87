package isotherm.core.exchanger;

import java.util.List;

/**
 * What a core does at one operating point.
 *
 * @param heat heat from oil to air, W
 * @param oilOutK oil outlet temperature, K
 * @param airOutK mixed air outlet temperature of the stream through the core, K
 * @param wallK mean wall temperature on the oil side, K
 * @param conductance overall conductance UA with efficacy, W/K
 * @param effectiveness heat over the largest heat that the flows allow, 0 to 1
 * @param oilPressureDrop oil pressure loss from port to port, Pa
 * @param airPressureDrop air pressure loss through the core, Pa
 * @param oilReynolds Reynolds number in the oil passages
 * @param airReynolds Reynolds number of the air-side correlation
 * @param validity correlations used outside their published range
 */
public record CoreRating(
        double heat,
        double oilOutK,
        double airOutK,
        double wallK,
        double conductance,
        double effectiveness,
        double oilPressureDrop,
        double airPressureDrop,
        double oilReynolds,
        double airReynolds,
        List<Validity> validity) {}
