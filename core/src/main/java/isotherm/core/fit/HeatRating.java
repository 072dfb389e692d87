package isotherm.core.fit;

import isotherm.core.car.Car;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.fluid.Air;
import isotherm.core.fluid.Oil;

/**
 * What a core's maker says that it gives off: it teaches how much of the correlations' conductance such a core reaches.
 *
 * @param core the core
 * @param oil the oil of the test
 * @param oilFlow oil through the core, m³/s
 * @param oilInK oil into it, K
 * @param faceSpeed air ahead of its face, m/s
 * @param airInK air into it, K
 * @param heat what it gave off, W, above 0
 */
public record HeatRating(
        Core core, Oil oil, double oilFlow, double oilInK, double faceSpeed, double airInK, double heat)
        implements Evidence {
    /** Usual error of such a figure, as a share of it (default): one sample on one bench. */
    private static final double ERROR = 0.06;

    private static final double PASCAL = Air.standardPressure(0);

    @Override
    public Expected expected(Car car) {
        return new Expected(new double[] {rated(car.correction().efficacy())}, new double[] {0});
    }

    private double rated(double efficacy) {
        return new CoreModel(core)
                .rate(
                        oil,
                        oilFlow * oil.density(oilInK),
                        oilInK,
                        faceSpeed * core.faceArea() * Air.density(airInK, PASCAL),
                        airInK,
                        PASCAL,
                        1,
                        CoreModel.EFFICACY * efficacy)
                .heat();
    }

    @Override
    public double[] observed() {
        return new double[] {heat};
    }

    @Override
    public double[] deviation() {
        return new double[] {ERROR * heat};
    }
}
