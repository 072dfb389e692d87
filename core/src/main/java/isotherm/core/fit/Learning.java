package isotherm.core.fit;

import isotherm.core.car.Car;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.Factor;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * One Bayesian update of a car's uncertain factors by everything that was read: the most likely factors by
 * Levenberg–Marquardt with the priors as further residuals, their covariance by linearising there. Parameters are logarithms of
 * factors on the car's present numbers, so that none can turn negative; each piece of evidence has a further one, the share of
 * the rise that the model left out of it, which is of that day alone and is integrated away.
 */
public final class Learning {
    /** Weight of the usual discrepancy against days that were driven. */
    private static final double IMAGINED_DAYS = 4;
    /** A factor that changes no reading by this says nothing of them. */
    private static final double NUDGE = 1.1;

    private static final double STEP = 1e-3;
    private static final int MAX_EVALUATIONS = 200;
    private static final int MAX_ITERATIONS = 60;

    private final Car car;
    private final List<Factor> factors;
    private final List<Evidence> evidence;
    private final double[][] observed;
    private final double[][] deviation;
    private final int readings;

    private Learning(Car car, List<Factor> factors, List<Evidence> evidence) {
        this.car = car;
        this.factors = List.copyOf(factors);
        this.evidence = List.copyOf(evidence);
        this.observed = evidence.stream().map(Evidence::observed).toArray(double[][]::new);
        this.deviation = evidence.stream().map(Evidence::deviation).toArray(double[][]::new);
        int count = 0;
        for (double[] o : observed) {
            count += o.length;
        }
        this.readings = count;
    }

    /**
     * What came out.
     *
     * @param car the car with the most likely factors in it
     * @param factors on the present numbers, in the order of the belief's
     * @param belief how sure they are, together
     * @param residuals read less expected, for each piece of evidence, in its units
     * @param converged whether the search for the most likely factors came to rest; otherwise they are the best that it met
     */
    public record Learned(Car car, double[] factors, Belief belief, double[][] residuals, boolean converged) {}

    /** The best point that the search has met so far. */
    private static final class Best {
        private final RealVector target;
        private double cost = Double.POSITIVE_INFINITY;
        private double[] at = {};
        private RealVector residuals = new ArrayRealVector();
        private RealMatrix jacobian = new Array2DRowRealMatrix();

        Best(double[] target) {
            this.target = new ArrayRealVector(target, false);
        }

        Pair<RealVector, RealMatrix> offered(RealVector point, Pair<RealVector, RealMatrix> there) {
            RealVector left = target.subtract(there.getFirst());
            double sum = left.dotProduct(left);
            if (sum < cost) {
                cost = sum;
                at = point.toArray();
                residuals = left;
                jacobian = there.getSecond();
            }
            return there;
        }

        RealMatrix covariance() {
            RealMatrix j = jacobian;
            return new QRDecomposition(j.transposeMultiply(j), 1e-12)
                    .getSolver()
                    .getInverse();
        }
    }

    /**
     * Learns.
     *
     * @param car the car with the numbers that were believed before
     * @param factors what may be learned
     * @param evidence what was read
     * @return the most likely factors and how sure they are
     */
    public static Learned from(Car car, List<Factor> factors, List<? extends Evidence> evidence) {
        return new Learning(car, factors, List.copyOf(evidence)).learned();
    }

    /**
     * @param car a car
     * @param evidence what was read on it
     * @return the factors of which it says anything at all
     */
    public static List<Factor> taught(Car car, List<? extends Evidence> evidence) {
        List<double[]> here =
                evidence.stream().map(e -> e.expected(car).values()).toList();
        return Arrays.stream(Factor.values())
                .filter(f -> f != Factor.LOSSES)
                .filter(f -> {
                    Car other = f.scale(car, NUDGE);
                    return IntStream.range(0, here.size())
                            .anyMatch(e -> moved(
                                    here.get(e), evidence.get(e).expected(other).values()));
                })
                .toList();
    }

    private static boolean moved(double[] here, double[] there) {
        return IntStream.range(0, here.length).anyMatch(i -> Math.abs(there[i] - here[i]) > 1e-9 * Math.abs(here[i]));
    }

    private Car scaled(double[] at) {
        Car scaled = car;
        for (int j = 0; j < factors.size(); j++) {
            scaled = factors.get(j).scale(scaled, Math.exp(at[j]));
        }
        return scaled;
    }

    private int parameters() {
        return factors.size() + evidence.size();
    }

    private double prior(int parameter) {
        return parameter < factors.size()
                ? factors.get(parameter).spread()
                : evidence.get(parameter - factors.size()).discrepancy();
    }

    private List<Evidence.Expected> expected(double[] at) {
        Car scaled = scaled(at);
        return evidence.stream().map(e -> e.expected(scaled)).toList();
    }

    /** Expected readings over their errors, then the parameters over their priors. */
    private double[] weighted(double[] at, List<Evidence.Expected> expected) {
        double[] values = new double[readings + at.length];
        int row = 0;
        for (int e = 0; e < evidence.size(); e++) {
            double[] rise = expected.get(e).rise();
            for (int i = 0; i < rise.length; i++) {
                values[row++] = (expected.get(e).values()[i] + at[factors.size() + e] * rise[i]) / deviation[e][i];
            }
        }
        for (int j = 0; j < at.length; j++) {
            values[readings + j] = at[j] / prior(j);
        }
        return values;
    }

    private Pair<RealVector, RealMatrix> linearised(RealVector point) {
        double[] at = point.toArray();
        List<Evidence.Expected> here = expected(at);
        double[] base = weighted(at, here);
        double[][] jacobian = new double[base.length][at.length];
        for (int j = 0; j < factors.size(); j++) {
            double[] moved = at.clone();
            moved[j] += STEP;
            double[] there = weighted(moved, expected(moved));
            for (int i = 0; i < base.length; i++) {
                jacobian[i][j] = (there[i] - base[i]) / STEP;
            }
        }
        int row = 0;
        for (int e = 0; e < evidence.size(); e++) {
            int j = factors.size() + e;
            double[] rise = here.get(e).rise();
            for (int i = 0; i < rise.length; i++) {
                jacobian[row++][j] = rise[i] / deviation[e][i];
            }
            jacobian[readings + j][j] = 1 / prior(j);
        }
        return new Pair<>(new ArrayRealVector(base, false), new Array2DRowRealMatrix(jacobian, false));
    }

    /**
     * What the model leaves out, as the days that were driven tell it: their own shares beside as many imagined days of the
     * usual size as keep two logs from overturning it.
     */
    private double discrepancy(double[] at) {
        double sum = IMAGINED_DAYS * Belief.DISCREPANCY * Belief.DISCREPANCY;
        int days = 0;
        for (int e = 0; e < evidence.size(); e++) {
            boolean usual = evidence.get(e).discrepancy() == Belief.DISCREPANCY;
            if (usual && evidence.get(e).deviation().length > 1) {
                sum += at[factors.size() + e] * at[factors.size() + e];
                days++;
            }
        }
        // One day's share cannot be told from the car's own numbers.
        return days < 2 ? Belief.DISCREPANCY : Math.sqrt(sum / (IMAGINED_DAYS + days - 1));
    }

    private Learned learned() {
        double[] target = new double[readings + parameters()];
        int row = 0;
        for (int e = 0; e < evidence.size(); e++) {
            for (int i = 0; i < observed[e].length; i++) {
                target[row++] = observed[e][i] / deviation[e][i];
            }
        }
        Best best = new Best(target);
        boolean converged = true;
        double[] at;
        RealVector left;
        RealMatrix covariance;
        try {
            LeastSquaresOptimizer.Optimum optimum = new LevenbergMarquardtOptimizer()
                    .optimize(new LeastSquaresBuilder()
                            .model(point -> best.offered(point, linearised(point)))
                            .target(target)
                            .start(new double[parameters()])
                            .maxEvaluations(MAX_EVALUATIONS)
                            .maxIterations(MAX_ITERATIONS)
                            .build());
            at = optimum.getPoint().toArray();
            left = optimum.getResiduals();
            covariance = optimum.getCovariances(1e-12);
        } catch (MathIllegalStateException e) {
            // The readings contradict each other, or the model bends too sharply there.
            converged = false;
            at = best.at;
            left = best.residuals;
            covariance = best.covariance();
        }
        int k = factors.size();
        double[] factor = new double[k];
        double[] spread = new double[k];
        double[][] correlation = new double[k][k];
        for (int i = 0; i < k; i++) {
            factor[i] = Math.exp(at[i]);
            spread[i] = Math.sqrt(covariance.getEntry(i, i));
        }
        for (int i = 0; i < k; i++) {
            // The inverse of a stiff matrix is symmetric but for rounding.
            for (int j = 0; j <= i; j++) {
                correlation[i][j] = i == j ? 1 : covariance.getEntry(i, j) / (spread[i] * spread[j]);
                correlation[j][i] = correlation[i][j];
            }
        }
        double[][] residuals = new double[evidence.size()][];
        row = 0;
        for (int e = 0; e < residuals.length; e++) {
            residuals[e] = new double[observed[e].length];
            for (int i = 0; i < residuals[e].length; i++) {
                residuals[e][i] = left.getEntry(row++) * deviation[e][i];
            }
        }
        return new Learned(
                scaled(at), factor, new Belief(factors, spread, correlation, discrepancy(at)), residuals, converged);
    }
}
