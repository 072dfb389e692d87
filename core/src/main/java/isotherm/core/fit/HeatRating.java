package isotherm.core.fit;

import isotherm.core.car.Car;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.fluid.Air;
import isotherm.core.fluid.Oil;
import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

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

    /** A core that reaches less or more than this of the usual is not the core of these figures. */
    private static final double LEAST = 0.4;

    private static final double MOST = 1.25;

    private static final double PASCAL = Air.standardPressure(0);

    @Override
    public Expected expected(Car car) {
        return new Expected(new double[] {rated(car.correction().efficacy())}, new double[] {0});
    }

    /**
     * The share of the correlations' conductance at which a core gives off what its maker says, in the mean of several figures.
     *
     * @param figures figures of one core, one or more
     * @return the efficacy, 0.32 to 1; empty where no core of these dimensions gives that
     */
    public static OptionalDouble efficacy(List<HeatRating> figures) {
        UnivariateFunction off = factor -> figures.stream()
                .mapToDouble(f -> Math.log(f.rated(factor) / f.heat()))
                .sum();
        // Oil that is no warmer than the air gives nothing off: its logarithm is no number, and no bracket either.
        if (!(off.value(LEAST) <= 0 && off.value(MOST) >= 0)) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(CoreModel.EFFICACY
                * new BracketingNthOrderBrentSolver(1e-9, 1e-9, 1e-9, 5).solve(100, off, LEAST, MOST));
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
