package isotherm.core.simulate;

import isotherm.core.airflow.Airway;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.heat.HeatSchool;
import java.util.Arrays;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.random.Well19937c;

/**
 * How sure a figure is: the whole session again and again with the uncertain inputs drawn from their priors.
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
     * Standard deviations of the independent priors, all as shares of the nominal value.
     *
     * @param efficacy of the core
     * @param heat into the oil
     * @param air sealing, the share of the pressure that arrives
     * @param losses passive losses of sump and block
     */
    public record Spread(double efficacy, double heat, double air, double losses) {
        /** Before any log of this car (defaults). */
        public static final Spread PRIOR = new Spread(0.125, 0.15, 0.12, 0.20);
    }

    private static final int DIMENSIONS = 4;
    private static final double LOWEST_FACTOR = 0.2;

    /**
     * Samples the prediction.
     *
     * @param car the car
     * @param duty what it has to do
     * @param design the design
     * @param spread standard deviations
     * @param samples number of samples, 2 or more
     * @param seed the same seed gives the same samples
     * @return quantiles and odds
     */
    public static Prediction of(Car car, Duty duty, Design design, Spread spread, int samples, long seed) {
        double[][] z = hypercube(samples, seed);
        double[] peaks = new double[samples];
        double[] plateaus = new double[samples];
        int underLimit = 0;
        int underTarget = 0;
        DemandTrace demand = duty.demand(car.vehicle(), car.engine());
        for (int i = 0; i < samples; i++) {
            double heat = factor(spread.heat(), z[i][1]);
            double losses = factor(spread.losses(), z[i][3]);
            Car sampled = car.withSchool(new HeatSchool.Fitted(car.school(), heat))
                    .withLosses(new Car.PassiveLosses(
                            car.losses().still() * losses,
                            car.losses().moving() * losses,
                            car.losses().block() * losses,
                            car.losses().metal()));
            Design varied = design;
            if (design.cooler().isPresent()) {
                Design.Cooler c = design.cooler().get();
                Airway airway =
                        c.airway().withSealing(Math.min(1, c.airway().sealing() * factor(spread.air(), z[i][2])));
                varied = design.withAirway(airway).withEfficacy(c.efficacy() * factor(spread.efficacy(), z[i][0]));
            }
            Session session = Simulator.run(
                    sampled,
                    demand,
                    duty.weather(),
                    varied,
                    duty.start().oilK(),
                    duty.start().coolantK());
            peaks[i] = session.peak();
            plateaus[i] = session.plateau();
            underLimit += peaks[i] < car.limits().limitK() ? 1 : 0;
            underTarget += peaks[i] < car.limits().targetHighK() ? 1 : 0;
        }
        Arrays.sort(peaks);
        Arrays.sort(plateaus);
        return new Prediction(
                quantile(peaks, 0.1),
                quantile(peaks, 0.5),
                quantile(peaks, 0.9),
                quantile(plateaus, 0.1),
                quantile(plateaus, 0.9),
                (double) underLimit / samples,
                (double) underTarget / samples,
                samples);
    }

    private static double factor(double deviation, double z) {
        return Math.max(LOWEST_FACTOR, 1 + deviation * z);
    }

    /** Standard normal samples, each dimension stratified. */
    private static double[][] hypercube(int samples, long seed) {
        Well19937c random = new Well19937c(seed);
        NormalDistribution normal = new NormalDistribution();
        double[][] z = new double[samples][DIMENSIONS];
        for (int d = 0; d < DIMENSIONS; d++) {
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
