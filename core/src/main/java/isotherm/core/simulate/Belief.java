package isotherm.core.simulate;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.EigenDecompositionSymmetric;

/**
 * How sure the model's factors are about a car's present numbers: standard deviations of their logarithms and the correlation
 * between them. The arrays are shared, not copied: do not change them.
 *
 * @param factors the uncertain factors, each once
 * @param deviation standard deviation of the logarithm of each
 * @param correlation between them, in their order; 1 on the diagonal
 */
public record Belief(List<Factor> factors, double[] deviation, double[][] correlation) {
    /** Factors that count where no log has been fitted. */
    private static final Set<Factor> UNCERTAIN = EnumSet.of(Factor.HEAT, Factor.LOSSES, Factor.EFFICACY, Factor.AIR);

    /** Checks that the sizes agree. */
    public Belief {
        factors = List.copyOf(factors);
        int n = factors.size();
        if (deviation.length != n || correlation.length != n) {
            throw new IllegalArgumentException("A belief needs a deviation and a row of correlations for each factor");
        }
    }

    /** @return the belief before any log: independent priors of each factor */
    public static Belief prior() {
        return after(new Belief(List.of(), new double[0], new double[0][]));
    }

    /**
     * @param learned what a log has taught
     * @return it, with the independent priors of those factors that the log did not touch
     */
    public static Belief after(Belief learned) {
        List<Factor> all = new ArrayList<>(learned.factors);
        UNCERTAIN.stream().filter(f -> !all.contains(f)).forEach(all::add);
        int known = learned.factors.size();
        double[] deviation = new double[all.size()];
        double[][] correlation = new double[all.size()][all.size()];
        for (int i = 0; i < all.size(); i++) {
            deviation[i] = i < known ? learned.deviation[i] : all.get(i).spread();
            if (i < known) {
                System.arraycopy(learned.correlation[i], 0, correlation[i], 0, known);
            }
            correlation[i][i] = 1;
        }
        return new Belief(all, deviation, correlation);
    }

    /** A square root of the correlation, so that independent standard samples become correlated ones. */
    double[][] root() {
        int n = factors.size();
        if (n == 0) {
            return new double[0][];
        }
        EigenDecompositionSymmetric eigen =
                new EigenDecompositionSymmetric(new Array2DRowRealMatrix(correlation), 1e-9, true);
        double[][] root = new double[n][n];
        for (int k = 0; k < n; k++) {
            // Factors that a log cannot tell apart make the matrix singular, and rounding a hair less than that.
            double scale = Math.sqrt(Math.max(0, eigen.getEigenvalue(k)));
            for (int i = 0; i < n; i++) {
                for (int j = 0; j < n; j++) {
                    root[i][j] += scale
                            * eigen.getEigenvector(k).getEntry(i)
                            * eigen.getEigenvector(k).getEntry(j);
                }
            }
        }
        return root;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Belief b
                && b.factors.equals(factors)
                && Arrays.equals(b.deviation, deviation)
                && Arrays.deepEquals(b.correlation, correlation);
    }

    @Override
    public int hashCode() {
        return factors.hashCode() * 31 + Arrays.hashCode(deviation);
    }

    @Override
    public String toString() {
        return "Belief" + factors + Arrays.toString(deviation);
    }
}
