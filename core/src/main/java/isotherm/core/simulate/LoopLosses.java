package isotherm.core.simulate;

import isotherm.core.hydraulics.CoolerLoop;

/**
 * The pressure loss of a whole cooler loop as a·q + b·q², its parts one after the other, each with oil of its own temperature.
 *
 * @param toCore up to the core
 * @param inCore the core
 * @param fromCore back from it
 * @param ambientK air outside, K
 */
record LoopLosses(LoopLoss toCore, LoopLoss inCore, LoopLoss fromCore, double ambientK) {
    /**
     * @param oilK oil that goes in, K
     * @param returnK oil that comes back, K
     * @return a, Pa per m³/s
     */
    double linear(double oilK, double returnK) {
        return toCore.linear(oilK) + inCore.linear(filmK(oilK, returnK)) + fromCore.linear(returnK);
    }

    /**
     * @param oilK oil that goes in, K
     * @param returnK oil that comes back, K
     * @return b, Pa per (m³/s)²
     */
    double quadratic(double oilK, double returnK) {
        return toCore.quadratic(oilK) + inCore.quadratic(filmK(oilK, returnK)) + fromCore.quadratic(returnK);
    }

    private double filmK(double oilK, double returnK) {
        return CoolerLoop.LoopOil.film(oilK, returnK, ambientK);
    }
}
