package isotherm.core.fit;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.LogDuty;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.Factor;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * Fits a car's uncertain factors to a logged oil temperature, and to a logged coolant temperature where there is one, by
 * Levenberg–Marquardt, with the model's priors as further residuals (a maximum a posteriori estimate). Parameters are
 * logarithms of factors on the car's present numbers, so that none can turn negative.
 */
public final class LogFit {
    /** Standard deviation of what the model leaves out, K: it is correlated in time, so rows are thinned, not averaged. */
    public static final double MODEL_NOISE = 1.0;
    /** Residuals closer in time than this say the same thing again, s. */
    public static final double CORRELATION_TIME = 10;
    /** Fewest thinned rows with a temperature. */
    private static final int FEWEST = 20;
    /** Above this two factors move the fit alike. */
    private static final double ALIKE = 0.9;
    /** A standard error above this share of the prior's means that the log added little. */
    private static final double LITTLE_LEARNED = 0.8;

    /** A factor further from 1 than this many of its prior's deviations is more likely a mistake than news. */
    private static final double FAR = 3;

    private static final double STEP = 1e-3;
    private static final int MAX_EVALUATIONS = 200;
    private static final int MAX_ITERATIONS = 60;

    private final Car car;
    private final Design design;
    private final LogDuty log;
    private final DemandTrace demand;
    private final List<Factor> factors = new ArrayList<>(List.of(Factor.HEAT, Factor.LOSSES, Factor.MASS));
    private final List<Point> points;
    /** The first points are of the oil, the others of the coolant. */
    private final int oilPoints;

    /** A logged temperature and the cell of the demand to which it belongs. */
    private record Point(double kelvin, int cell) {}

    private LogFit(Car car, Design design, LogDuty log, double[] oilK, Optional<double[]> coolantK) {
        this.car = car;
        this.design = design;
        this.log = log;
        this.demand = log.demand(car.vehicle(), car.engine());
        if (design.cooler().isPresent()) {
            factors.add(Factor.EFFICACY);
            factors.add(Factor.AIR);
        }
        this.points = new ArrayList<>(thinned(oilK));
        this.oilPoints = points.size();
        if (oilPoints < FEWEST) {
            throw new IllegalArgumentException("A fit needs oil temperatures over at least "
                    + Math.round(FEWEST * CORRELATION_TIME) + " s; this log holds " + oilPoints + " usable points");
        }
        List<Point> coolant = coolantK.map(this::thinned).orElse(List.of());
        if (coolant.size() >= FEWEST) {
            factors.add(Factor.COOLANT);
            points.addAll(coolant);
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
    public record Estimate(Factor parameter, double factor, double standardError, double prior) {}

    /**
     * What came out.
     *
     * @param estimates one for each factor
     * @param correlation between them, in their order
     * @param rms root mean square of the oil's residuals, K
     * @param times of the residuals, s from the start
     * @param residuals logged less modelled oil temperature, K
     * @param notes what the log cannot tell apart and what it adds little to
     * @param car the car with the fitted factors in it
     */
    public record Result(
            List<Estimate> estimates,
            double[][] correlation,
            double rms,
            double[] times,
            double[] residuals,
            List<Message> notes,
            Car car) {
        /** @return what is believed of the car after the log */
        public Belief belief() {
            return Belief.after(new Belief(
                    estimates.stream().map(Estimate::parameter).toList(),
                    estimates.stream()
                            .mapToDouble(e -> e.standardError() / e.factor())
                            .toArray(),
                    correlation));
        }
    }

    /**
     * Fits a log.
     *
     * @param car the car as it is known so far
     * @param design the design that was driven
     * @param log what was driven
     * @param oilK logged oil temperature at the log's times, where the car's sensor sits, K; NaN where it dropped out
     * @param coolantK logged coolant temperature at the log's times, K, NaN where it dropped out; empty when not logged
     * @return factors, standard errors, correlation, residuals and what cannot be told
     * @throws IllegalArgumentException when fewer than 20 thinned rows hold a temperature
     */
    public static Result fit(Car car, Design design, LogDuty log, double[] oilK, Optional<double[]> coolantK) {
        return new LogFit(car, design, log, oilK, coolantK).result();
    }

    /** Rows that hold a temperature, at least {@link #CORRELATION_TIME} apart. */
    private List<Point> thinned(double[] kelvin) {
        List<Point> rows = new ArrayList<>();
        double next = log.time()[0] + 1;
        for (int i = 0; i < log.time().length; i++) {
            int cell = (int) Math.round((log.time()[i] - log.time()[0]) / demand.cell()) - 1;
            if (log.time()[i] >= next && Double.isFinite(kelvin[i]) && cell >= 0 && cell < demand.cells()) {
                rows.add(new Point(kelvin[i], cell));
                next = log.time()[i] + CORRELATION_TIME;
            }
        }
        return rows;
    }

    private Car scaled(double[] at) {
        Car scaled = car;
        for (int j = 0; j < at.length; j++) {
            scaled = factors.get(j).scale(scaled, Math.exp(at[j]));
        }
        return scaled;
    }

    /** Modelled temperatures over their noise, then the parameters over their priors. */
    private double[] weighted(double[] at) {
        Session s = Simulator.run(
                scaled(at),
                demand,
                log.weather(),
                design,
                log.start().oilK(),
                log.start().coolantK());
        int n = points.size();
        double[] values = new double[n + at.length];
        for (int i = 0; i < n; i++) {
            int cell = points.get(i).cell();
            values[i] = (i < oilPoints ? s.at(car.sensor(), cell) : s.coolant()[cell]) / MODEL_NOISE;
        }
        for (int j = 0; j < at.length; j++) {
            values[n + j] = at[j] / factors.get(j).spread();
        }
        return values;
    }

    private Pair<RealVector, RealMatrix> linearised(RealVector point) {
        double[] at = point.toArray();
        double[] base = weighted(at);
        double[][] jacobian = new double[base.length][at.length];
        for (int j = 0; j < at.length; j++) {
            double[] moved = at.clone();
            moved[j] += STEP;
            double[] there = weighted(moved);
            for (int i = 0; i < base.length; i++) {
                jacobian[i][j] = (there[i] - base[i]) / STEP;
            }
        }
        return new Pair<>(new ArrayRealVector(base, false), new Array2DRowRealMatrix(jacobian, false));
    }

    private LeastSquaresOptimizer.Optimum optimum() {
        double[] target = new double[points.size() + factors.size()];
        for (int i = 0; i < points.size(); i++) {
            target[i] = points.get(i).kelvin() / MODEL_NOISE;
        }
        return new LevenbergMarquardtOptimizer()
                .optimize(new LeastSquaresBuilder()
                        .model(this::linearised)
                        .target(target)
                        .start(new double[factors.size()])
                        .maxEvaluations(MAX_EVALUATIONS)
                        .maxIterations(MAX_ITERATIONS)
                        .build());
    }

    private Result result() {
        LeastSquaresOptimizer.Optimum optimum = optimum();
        double[] at = optimum.getPoint().toArray();
        int k = at.length;
        RealMatrix covariance = optimum.getCovariances(1e-12);
        List<Estimate> estimates = new ArrayList<>();
        double[][] correlation = new double[k][k];
        for (int i = 0; i < k; i++) {
            double factor = Math.exp(at[i]);
            estimates.add(new Estimate(
                    factors.get(i),
                    factor,
                    factor * Math.sqrt(covariance.getEntry(i, i)),
                    factors.get(i).spread()));
            for (int j = 0; j < k; j++) {
                correlation[i][j] =
                        covariance.getEntry(i, j) / Math.sqrt(covariance.getEntry(i, i) * covariance.getEntry(j, j));
            }
        }
        double[] residuals = new double[oilPoints];
        double[] times = new double[oilPoints];
        double sum = 0;
        for (int i = 0; i < oilPoints; i++) {
            residuals[i] = optimum.getResiduals().getEntry(i) * MODEL_NOISE;
            times[i] = (points.get(i).cell() + 1) * demand.cell();
            sum += residuals[i] * residuals[i];
        }
        return new Result(
                estimates,
                correlation,
                Math.sqrt(sum / oilPoints),
                times,
                residuals,
                notes(estimates, correlation),
                scaled(at));
    }

    private List<Message> notes(List<Estimate> estimates, double[][] correlation) {
        List<Message> notes = new ArrayList<>();
        for (int i = 0; i < estimates.size(); i++) {
            Estimate e = estimates.get(i);
            Message name = e.parameter().say("name");
            for (int j = 0; j < i; j++) {
                if (Math.abs(correlation[i][j]) > ALIKE) {
                    notes.add(FitNote.TIED
                            .say("text")
                            .say("first", estimates.get(j).parameter().say("name"))
                            .say("second", name)
                            .with("correlation", Measure.NUMBER, correlation[i][j]));
                }
            }
            if (Math.abs(Math.log(e.factor())) > FAR * e.prior()) {
                notes.add(FitNote.FAR.say("text").say("factor", name).with("times", Measure.NUMBER, e.factor()));
            }
            if (e.standardError() / e.factor() > LITTLE_LEARNED * e.prior()) {
                notes.add(FitNote.LITTLE.say("text").say("factor", name));
            }
        }
        int gaps = log.gaps().size();
        if (gaps > 0) {
            notes.add(FitNote.GAPS.say("text").count("gaps", gaps).with("least", Measure.TIME, LogDuty.GAP));
        }
        return notes;
    }
}
