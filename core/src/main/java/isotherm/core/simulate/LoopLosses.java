package isotherm.core.simulate;

import isotherm.core.hydraulics.CoolerLoop;

/**
 * The pressure loss of a whole cooler loop as a·q + b·q², its parts one after the other, each with oil of its own temperature.
 * Not for two threads at once: what was looked up last stands in its fields.
 */
final class LoopLosses {
    /** Of what was looked up last: a, Pa per m³/s. */
    double linear;
    /** Of what was looked up last: b, Pa per (m³/s)². */
    double quadratic;

    private final LoopLoss toCore;
    private final LoopLoss inCore;
    private final LoopLoss fromCore;
    private final double ambientK;

    /**
     * @param toCore up to the core
     * @param inCore the core
     * @param fromCore back from it
     * @param ambientK air outside, K
     */
    LoopLosses(LoopLoss toCore, LoopLoss inCore, LoopLoss fromCore, double ambientK) {
        this.toCore = toCore;
        this.inCore = inCore;
        this.fromCore = fromCore;
        this.ambientK = ambientK;
    }

    /**
     * Looks up the temperatures of the oil.
     *
     * @param oilK oil that goes in, K
     * @param returnK oil that comes back, K
     */
    void look(double oilK, double returnK) {
        toCore.look(oilK);
        inCore.look(CoolerLoop.LoopOil.film(oilK, returnK, ambientK));
        fromCore.look(returnK);
        linear = toCore.linear + inCore.linear + fromCore.linear;
        quadratic = toCore.quadratic + inCore.quadratic + fromCore.quadratic;
    }
}
