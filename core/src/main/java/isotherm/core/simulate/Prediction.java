package isotherm.core.simulate;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import java.util.Arrays;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.random.Well19937c;

/**
 * How sure a figure is: the whole session again and again with the uncertain factors drawn from what is believed of them:
 * their priors, or what a log left of those, correlations and all; and each time the oil's rise over the air is off by what the
 * model leaves out.
 *
 * <p>Latin hypercube samples, repeatable by seed. Source: McKay, Beckman and Conover, Technometrics 21 (1979) 239–245.
 *
 * @param peakLow 10 % quantile of the peak oil temperature, K
 * @param peakMedian median of the peak, K
 * @param peakHigh 90 % quantile of the peak, K
 * @param plateauLow 10 % quantile of the plateau, K
 * @param plateauHigh 90 % quantile of the plateau, K
 * @param oddsUnderLimit share of the samples whose peak stays under the oil's limit, 0 to 1
 * @param oddsUnderTarget share of the samples whose peak stays under the upper edge of the target band, 0 to 1
 * @param samples number of samples
 */
public record Prediction(
        double peakLow,
        double peakMedian,
        double peakHigh,
        double plateauLow,
        double plateauHigh,
        double oddsUnderLimit,
        double oddsUnderTarget,
        int samples) {

    /**
     * Samples the prediction.
     *
     * @param car the car
     * @param duty what it has to do
     * @param design the design
     * @param belief how sure the factors are
     * @param samples number of samples, 2 or more
     * @param seed the same seed gives the same samples
     * @return quantiles and odds
     */
    public static Prediction of(Car car, Duty duty, Design design, Belief belief, int samples, long seed) {
        int factors = belief.factors().size();
        double[][] z = hypercube(samples, factors + 1, seed);
        double air = duty.weather().ambientK();
        double[][] root = belief.root();
        double[] peaks = new double[samples];
        double[] plateaus = new double[samples];
        DemandTrace demand = duty.demand(car.vehicle(), car.engine());
        // What is drawn for each is known by now: they may be run in any order.
        IntStream.range(0, samples).parallel().forEach(i -> {
            Car sampled = sampled(car, belief, root, z[i]);
            Session session = Simulator.run(sampled, duty, demand, design);
            double leftOut = Math.exp(belief.discrepancy() * z[i][factors]);
            peaks[i] = air + leftOut * (session.peak() - air);
            plateaus[i] = air + leftOut * (session.plateau() - air);
        });
        Arrays.sort(peaks);
        Arrays.sort(plateaus);
        return new Prediction(
                quantile(peaks, 0.1),
                quantile(peaks, 0.5),
                quantile(peaks, 0.9),
                quantile(plateaus, 0.1),
                quantile(plateaus, 0.9),
                shareUnder(peaks, car.limits().limitK()),
                shareUnder(peaks, car.limits().targetHighK()),
                samples);
    }

    private static double shareUnder(double[] values, double limit) {
        return (double) Arrays.stream(values).filter(v -> v < limit).count() / values.length;
    }

    private static Car sampled(Car car, Belief belief, double[][] root, double[] z) {
        Car sampled = car;
        for (int f = 0; f < root.length; f++) {
            double correlated = 0;
            for (int k = 0; k < root.length; k++) {
                correlated += root[f][k] * z[k];
            }
            sampled = belief.factors().get(f).scale(sampled, Math.exp(belief.deviation()[f] * correlated));
        }
        return sampled;
    }

    /** Standard normal samples, each dimension stratified. */
    private static double[][] hypercube(int samples, int dimensions, long seed) {
        Well19937c random = new Well19937c(seed);
        NormalDistribution normal = new NormalDistribution();
        double[][] z = new double[samples][dimensions];
        for (int d = 0; d < dimensions; d++) {
            int[] order = new int[samples];
            for (int i = 0; i < samples; i++) {
                int j = random.nextInt(i + 1);
                order[i] = order[j];
                order[j] = i;
            }
            for (int i = 0; i < samples; i++) {
                z[i][d] = normal.inverseCumulativeProbability((order[i] + random.nextDouble()) / samples);
            }
        }
        return z;
    }

    /** Linear interpolation between order statistics. */
    private static double quantile(double[] sorted, double p) {
        double at = p * (sorted.length - 1);
        int i = (int) Math.min(at, sorted.length - 2.0);
        return sorted[i] + (at - i) * (sorted[i + 1] - sorted[i]);
    }
}
