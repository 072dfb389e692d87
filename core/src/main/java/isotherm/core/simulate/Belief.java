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
 * between them; and how far the model itself is off on any one day, whatever its numbers. The arrays are shared, not copied: do
 * not change them.
 *
 * @param factors the uncertain factors, each once
 * @param deviation standard deviation of the logarithm of each
 * @param correlation between them, in their order; 1 on the diagonal
 * @param discrepancy standard deviation of what the model leaves out of a session, as a share of the oil's rise over the air
 */
public record Belief(List<Factor> factors, double[] deviation, double[][] correlation, double discrepancy) {
    /** What the model leaves out of a session before several logs of a car have told, as a share of the rise (default). */
    public static final double DISCREPANCY = 0.025;

    /** Factors that count where nothing has been learned. */
    private static final Set<Factor> UNCERTAIN = EnumSet.of(
            Factor.HEAT,
            Factor.SCHOOL,
            Factor.SUMP,
            Factor.BONNET,
            Factor.BLOCK,
            Factor.EFFICACY,
            Factor.AIR,
            Factor.AHEAD,
            Factor.RADIATOR,
            Factor.OPENING,
            Factor.SHEAR);
    /** What a fit of older logs has said with one factor. */
    private static final Set<Factor> PASSIVE = EnumSet.of(Factor.SUMP, Factor.BLOCK);

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
        return after(new Belief(List.of(), new double[0], new double[0][], DISCREPANCY));
    }

    /**
     * @param learned what a log has taught
     * @return it, with the independent priors of those factors that the log did not touch
     */
    public static Belief after(Belief learned) {
        return learned.with(UNCERTAIN.stream()
                .filter(f -> !(PASSIVE.contains(f) && learned.factors.contains(Factor.LOSSES)))
                .toList());
    }

    /**
     * @param more factors
     * @return this belief with the independent priors of those of them that it does not have
     */
    public Belief with(List<Factor> more) {
        List<Factor> all = new ArrayList<>(factors);
        more.stream().filter(f -> !all.contains(f)).forEach(all::add);
        int known = factors.size();
        double[] wider = new double[all.size()];
        double[][] tied = new double[all.size()][all.size()];
        for (int i = 0; i < all.size(); i++) {
            wider[i] = i < known ? deviation[i] : all.get(i).spread();
            if (i < known) {
                System.arraycopy(correlation[i], 0, tied[i], 0, known);
            }
            tied[i][i] = 1;
        }
        return new Belief(all, wider, tied, discrepancy);
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
                && Arrays.deepEquals(b.correlation, correlation)
                && b.discrepancy == discrepancy;
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
