package isotherm.server.garage;

import isotherm.core.car.Car;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.Factor;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;

/**
 * What a log has taught about a car; taking it out again gives the car as it was.
 *
 * @param log its name
 * @param factors on the car's own figures
 * @param correlation between them, in their order
 * @param leftOutPercent what the model leaves out of a session, of the oil's rise over the air
 */
public record FittedDocument(
        @Text(value = "the log", min = 1, max = 120) String log,
        @Text(value = "factors on the car's own figures", min = 1, max = 16) List<FactorDocument> factors,
        @Text(value = "correlation between them, in their order", min = 1, max = 16)
                List<CorrelationDocument> correlation,
        @Missing("2.5 %")
                @Quantity(
                        value = "what the model leaves out of a session, of the oil's rise over the air",
                        min = 0,
                        max = 50,
                        unit = "%")
                Double leftOutPercent) {

    Car applied(Car car) {
        Car applied = car;
        for (FactorDocument f : factors) {
            applied = f.factor().scale(applied, f.value());
        }
        return applied;
    }

    public Belief belief() {
        return Belief.after(new Belief(
                factors.stream().map(FactorDocument::factor).toList(),
                factors.stream().mapToDouble(f -> f.standardError() / f.value()).toArray(),
                correlation.stream()
                        .map(row -> row.row().stream()
                                .mapToDouble(Double::doubleValue)
                                .toArray())
                        .toArray(double[][]::new),
                leftOutPercent == null ? Belief.DISCREPANCY : leftOutPercent / 100));
    }

    void check(String path, List<Problem> problems) {
        int n = factors.size();
        if (factors.stream().map(FactorDocument::factor).distinct().count() < n) {
            problems.add(Problem.of(path + "/factors", null, "Each factor may be given once"));
        }
        if (correlation.size() != n
                || correlation.stream().anyMatch(row -> row.row().size() != n)) {
            problems.add(Problem.of(
                    path + "/correlation",
                    null,
                    "A square of " + n + " rows of " + n + " is expected here, one for each factor"));
            return;
        }
        for (int i = 0; i < n; i++) {
            for (int j = 0; j <= i; j++) {
                double there = correlation.get(i).row().get(j);
                double mirrored = correlation.get(j).row().get(i);
                if (Math.abs(there - (i == j ? 1 : mirrored)) > 1e-3) {
                    problems.add(Problem.of(
                            path + "/correlation/" + i + "/row/" + j,
                            DocumentReader.number(there),
                            i == j
                                    ? "A factor's correlation with itself is 1"
                                    : "The correlation has to be the same both ways, "
                                            + DocumentReader.number(mirrored)));
                }
            }
        }
    }

    /** One factor that a log has taught. */
    public record FactorDocument(
            @Text("which") Factor factor,
            @Quantity(value = "factor on the car's own figure", min = 0.02, max = 50) double value,
            @Quantity(value = "standard error of the factor", min = 0, max = 100) double standardError) {}

    /** One row of correlations. */
    public record CorrelationDocument(
            @Quantity(value = "correlation", min = -1, max = 1) @Text(value = "correlations", min = 1, max = 16)
                    List<Double> row) {}
}
