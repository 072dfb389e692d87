package isotherm.core.fit;

import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.LogDuty;
import isotherm.core.heat.HeatSchool;
import isotherm.core.simulate.Car;
import isotherm.core.simulate.Design;
import isotherm.core.simulate.Prediction;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;

/**
 * Fits a car's uncertain factors to a logged oil temperature by Levenberg–Marquardt, with the model's priors as further
 * residuals (a maximum a posteriori estimate). Parameters are logarithms of factors on the car's present numbers, so that
 * none can turn negative.
 */
public final class LogFit {
    /** Standard deviation of what the model leaves out, K: it is correlated in time, so rows are thinned, not averaged. */
    public static final double MODEL_NOISE = 1.0;
    /** Residuals closer in time than this say the same thing again, s. */
    public static final double CORRELATION_TIME = 10;
    /** Above this two factors move the fit alike. */
    private static final double ALIKE = 0.9;
    /** A standard error above this share of the prior's means that the log added little. */
    private static final double LITTLE_LEARNED = 0.8;
    /** Standard deviation of the prior on the thermal mass, as a share. */
    private static final double MASS_SPREAD = 0.25;

    private static final double STEP = 1e-3;
    private static final int MAX_EVALUATIONS = 200;
    private static final int MAX_ITERATIONS = 60;

    private LogFit() {}

    /** What a log can tell. */
    public enum Parameter {
        /** Factor on the heat into the oil. */
        HEAT("heat into the oil"),
        /** Factor on the passive losses of sump and block. */
        LOSSES("passive losses"),
        /** Factor on the metal that follows the oil. */
        MASS("thermal mass"),
        /** Factor on the core's efficacy. */
        EFFICACY("efficacy of the core"),
        /** Factor on the share of the air pressure that arrives. */
        AIR("air that arrives");

        private final String words;

        Parameter(String words) {
            this.words = words;
        }

        /** @return what it is, in words */
        public String words() {
            return words;
        }

        double spread() {
            return switch (this) {
                case HEAT -> Prediction.Spread.PRIOR.heat();
                case LOSSES -> Prediction.Spread.PRIOR.losses();
                case MASS -> MASS_SPREAD;
                case EFFICACY -> Prediction.Spread.PRIOR.efficacy();
                case AIR -> Prediction.Spread.PRIOR.air();
            };
        }
    }

    /**
     * One fitted factor.
     *
     * @param parameter what it is
     * @param factor on the present number
     * @param standardError of the factor
     * @param prior standard deviation of the factor before the log
     */
    public record Estimate(Parameter parameter, double factor, double standardError, double prior) {}

    /**
     * What came out.
     *
     * @param estimates one for each parameter
     * @param correlation between them, in their order
     * @param rms root mean square of the residuals, K
     * @param times of the residuals, s from the start
     * @param residuals logged less modelled oil temperature, K
     * @param words what the log cannot tell apart and what it adds little to, in plain sentences
     * @param car the car with the fitted factors in it
     * @param design the design with the fitted factors in it
     */
    public record Result(
            List<Estimate> estimates,
            double[][] correlation,
            double rms,
            double[] times,
            double[] residuals,
            List<String> words,
            Car car,
            Design design) {}

    /**
     * Fits a log.
     *
     * @param car the car as it is known so far
     * @param design the design that was driven
     * @param log what was driven
     * @param oilK logged oil temperature at the log's times, where the car's sensor sits, K; NaN where it dropped out
     * @return factors, standard errors, correlation, residuals and what cannot be told
     * @throws IllegalArgumentException when fewer than 20 thinned rows hold a temperature
     */
    public static Result fit(Car car, Design design, LogDuty log, double[] oilK) {
        List<Parameter> parameters = new ArrayList<>(List.of(Parameter.HEAT, Parameter.LOSSES, Parameter.MASS));
        if (design.cooler().isPresent()) {
            parameters.add(Parameter.EFFICACY);
            parameters.add(Parameter.AIR);
        }
        DemandTrace demand = log.demand(car.vehicle(), car.engine());
        List<int[]> rows = thinned(log, oilK, demand);
        if (rows.size() < 20) {
            throw new IllegalArgumentException("A fit needs oil temperatures over at least "
                    + Math.round(20 * CORRELATION_TIME) + " s; this log holds " + rows.size() + " usable points");
        }
        double[] measured = rows.stream().mapToDouble(r -> oilK[r[0]]).toArray();
        int[] cells = rows.stream().mapToInt(r -> r[1]).toArray();
        int n = measured.length;
        int k = parameters.size();

        MultivariateJacobianFunction model = point -> {
            double[] at = point.toArray();
            double[] base = weighted(car, design, log, demand, parameters, at, cells);
            double[][] jacobian = new double[n + k][k];
            for (int j = 0; j < k; j++) {
                double[] moved = at.clone();
                moved[j] += STEP;
                double[] there = weighted(car, design, log, demand, parameters, moved, cells);
                for (int i = 0; i < n + k; i++) {
                    jacobian[i][j] = (there[i] - base[i]) / STEP;
                }
            }
            return new Pair<RealVector, RealMatrix>(
                    new ArrayRealVector(base, false), new Array2DRowRealMatrix(jacobian, false));
        };
        double[] target = new double[n + k];
        for (int i = 0; i < n; i++) {
            target[i] = measured[i] / MODEL_NOISE;
        }
        LeastSquaresOptimizer.Optimum optimum = new LevenbergMarquardtOptimizer()
                .optimize(new LeastSquaresBuilder()
                        .model(model)
                        .target(target)
                        .start(new double[k])
                        .maxEvaluations(MAX_EVALUATIONS)
                        .maxIterations(MAX_ITERATIONS)
                        .build());
        return result(car, design, log, parameters, optimum, cells, demand, k);
    }

    private static Result result(
            Car car,
            Design design,
            LogDuty log,
            List<Parameter> parameters,
            LeastSquaresOptimizer.Optimum optimum,
            int[] cells,
            DemandTrace demand,
            int k) {
        double[] at = optimum.getPoint().toArray();
        RealMatrix covariance = optimum.getCovariances(1e-12);
        List<Estimate> estimates = new ArrayList<>();
        double[][] correlation = new double[k][k];
        for (int i = 0; i < k; i++) {
            double factor = Math.exp(at[i]);
            estimates.add(new Estimate(
                    parameters.get(i),
                    factor,
                    factor * Math.sqrt(covariance.getEntry(i, i)),
                    parameters.get(i).spread()));
            for (int j = 0; j < k; j++) {
                correlation[i][j] =
                        covariance.getEntry(i, j) / Math.sqrt(covariance.getEntry(i, i) * covariance.getEntry(j, j));
            }
        }
        int n = cells.length;
        double[] residuals = new double[n];
        double[] times = new double[n];
        double sum = 0;
        for (int i = 0; i < n; i++) {
            residuals[i] = optimum.getResiduals().getEntry(i) * MODEL_NOISE;
            times[i] = (cells[i] + 1) * demand.cell();
            sum += residuals[i] * residuals[i];
        }
        return new Result(
                estimates,
                correlation,
                Math.sqrt(sum / n),
                times,
                residuals,
                words(estimates, correlation, log),
                scaled(car, parameters, at),
                scaled(design, parameters, at));
    }

    /** Row of the log and cell of the demand for points at least {@link #CORRELATION_TIME} apart. */
    private static List<int[]> thinned(LogDuty log, double[] oilK, DemandTrace demand) {
        List<int[]> rows = new ArrayList<>();
        double next = log.time()[0] + 1;
        for (int i = 0; i < log.time().length; i++) {
            int cell = (int) Math.round((log.time()[i] - log.time()[0]) / demand.cell()) - 1;
            if (log.time()[i] >= next && Double.isFinite(oilK[i]) && cell >= 0 && cell < demand.cells()) {
                rows.add(new int[] {i, cell});
                next = log.time()[i] + CORRELATION_TIME;
            }
        }
        return rows;
    }

    /** Modelled temperatures over their noise, then the parameters over their priors. */
    private static double[] weighted(
            Car car,
            Design design,
            LogDuty log,
            DemandTrace demand,
            List<Parameter> parameters,
            double[] at,
            int[] cells) {
        Session s = Simulator.run(
                scaled(car, parameters, at),
                demand,
                log.weather(),
                scaled(design, parameters, at),
                log.start().oilK(),
                log.start().coolantK());
        double[] values = new double[cells.length + at.length];
        for (int i = 0; i < cells.length; i++) {
            values[i] = s.at(car.sensor(), cells[i]) / MODEL_NOISE;
        }
        for (int j = 0; j < at.length; j++) {
            values[cells.length + j] = at[j] / parameters.get(j).spread();
        }
        return values;
    }

    private static double factor(List<Parameter> parameters, double[] at, Parameter wanted) {
        int i = parameters.indexOf(wanted);
        return i < 0 ? 1 : Math.exp(at[i]);
    }

    private static Car scaled(Car car, List<Parameter> parameters, double[] at) {
        double losses = factor(parameters, at, Parameter.LOSSES);
        double mass = factor(parameters, at, Parameter.MASS);
        Car.PassiveLosses l = car.losses();
        // Oil is weighed at its change; what is uncertain is how much metal follows it.
        double oil = car.oilVolume() * car.oil().density15() * car.oil().specificHeat(363);
        double metal = Math.max(0, mass * (oil + l.metal()) - oil);
        return car.withSchool(new HeatSchool.Fitted(car.school(), factor(parameters, at, Parameter.HEAT)))
                .withLosses(new Car.PassiveLosses(l.still() * losses, l.moving() * losses, l.block() * losses, metal));
    }

    private static Design scaled(Design design, List<Parameter> parameters, double[] at) {
        if (design.cooler().isEmpty()) {
            return design;
        }
        Design.Cooler c = design.cooler().get();
        double sealing = Math.min(1, c.airway().sealing() * factor(parameters, at, Parameter.AIR));
        return design.withAirway(c.airway().withSealing(sealing))
                .withEfficacy(c.efficacy() * factor(parameters, at, Parameter.EFFICACY));
    }

    private static List<String> words(List<Estimate> estimates, double[][] correlation, LogDuty log) {
        List<String> words = new ArrayList<>();
        for (int i = 0; i < estimates.size(); i++) {
            for (int j = 0; j < i; j++) {
                if (Math.abs(correlation[i][j]) > ALIKE) {
                    words.add(String.format(
                            Locale.ROOT,
                            "This log cannot tell %s from %s (correlation %.2f): only together are they sure.",
                            estimates.get(j).parameter().words(),
                            estimates.get(i).parameter().words(),
                            correlation[i][j]));
                }
            }
            Estimate e = estimates.get(i);
            if (e.standardError() / e.factor() > LITTLE_LEARNED * e.prior()) {
                words.add("This log says little about " + e.parameter().words()
                        + "; its value is mostly the assumption made before.");
            }
        }
        if (!log.gaps().isEmpty()) {
            words.add(log.gaps().size() + " gaps of more than " + Math.round(LogDuty.GAP)
                    + " s in the log were bridged by straight lines.");
        }
        return words;
    }
}
