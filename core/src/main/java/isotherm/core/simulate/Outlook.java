package isotherm.core.simulate;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * How sure the peak of a session is, in closed form: the rise of the oil over the air is log-normal, its spread that of the
 * uncertain factors by their own slopes, and of what the model leaves out. Some dozen sessions give it where samples take
 * hundreds ({@link Prediction}, which a test holds it against).
 *
 * @param airK outside air, K
 * @param peakK most likely peak, K
 * @param slopes change of the rise's logarithm for one deviation of each of the belief's factors, in their order
 * @param spread standard deviation of the rise's logarithm
 */
public record Outlook(double airK, double peakK, double[] slopes, double spread) {
    private static final NormalDistribution NORMAL = new NormalDistribution();
    /** A smaller rise has no logarithm worth a slope, K. */
    private static final double LEAST_RISE = 1;

    /**
     * @param car the car
     * @param duty what it has to do
     * @param design the design
     * @param belief how sure the factors are
     * @return the outlook
     */
    public static Outlook of(Car car, Duty duty, Design design, Belief belief) {
        DemandTrace demand = duty.demand(car.vehicle(), car.engine());
        double air = duty.weather().ambientK();
        List<Factor> factors = belief.factors();
        double[] slopes = new double[factors.size()];
        // Two sessions a factor, which need nothing of one another: most of what an outcome takes.
        Arrays.parallelSetAll(slopes, i -> {
            double deviation = belief.deviation()[i];
            if (deviation <= 0 || !factors.get(i).acts(car, design)) {
                return 0;
            }
            double up = rise(factors.get(i).scale(car, Math.exp(deviation)), demand, duty, design);
            double down = rise(factors.get(i).scale(car, Math.exp(-deviation)), demand, duty, design);
            return Math.log(up / down) / 2;
        });
        double peak = air + rise(car, demand, duty, design);
        return new Outlook(air, peak, slopes, spread(slopes, belief.correlation(), belief.discrepancy()));
    }

    private static double rise(Car car, DemandTrace demand, Duty duty, Design design) {
        double air = duty.weather().ambientK();
        return Math.max(LEAST_RISE, Simulator.run(car, duty, demand, design).peak() - air);
    }

    /**
     * @param slopes change of the rise's logarithm for one deviation of each factor
     * @param correlation between the factors
     * @param discrepancy what the model leaves out, as a share of the rise
     * @return standard deviation of the rise's logarithm
     */
    public static double spread(double[] slopes, double[][] correlation, double discrepancy) {
        double variance = discrepancy * discrepancy;
        for (int i = 0; i < slopes.length; i++) {
            for (int j = 0; j < slopes.length; j++) {
                variance += slopes[i] * correlation[i][j] * slopes[j];
            }
        }
        return Math.sqrt(Math.max(variance, 1e-8));
    }

    /**
     * @param kelvin a temperature, K
     * @return odds that the peak stays under it, 0 to 1
     */
    public double oddsUnder(double kelvin) {
        return kelvin <= airK ? 0 : NORMAL.cumulativeProbability(Math.log((kelvin - airK) / (peakK - airK)) / spread);
    }

    /**
     * @param share of sessions, 0 to 1
     * @return the peak under which so many stay, K
     */
    public double quantile(double share) {
        return airK + (peakK - airK) * Math.exp(spread * NORMAL.inverseCumulativeProbability(share));
    }

    /**
     * The same question the other way round, for many designs of one car whose outlooks are about as wide.
     *
     * @param kelvin a temperature under which a peak has to stay, K
     * @param sure with which odds, 0 to 1
     * @return the highest most likely peak that does, K
     */
    public double likelyUnder(double kelvin, double sure) {
        return airK + Math.max(0, kelvin - airK) * Math.exp(-spread * NORMAL.inverseCumulativeProbability(sure));
    }

    /**
     * @param otherSpread standard deviation of the rise's logarithm after something more is known
     * @return the same peak, as sure as that
     */
    public Outlook withSpread(double otherSpread) {
        return new Outlook(airK, peakK, slopes, otherSpread);
    }
}
