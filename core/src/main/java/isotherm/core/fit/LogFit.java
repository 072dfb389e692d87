package isotherm.core.fit;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.LogDuty;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.Factor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Fits a car's uncertain factors to a logged oil temperature, and to a logged coolant temperature where there is one: one piece
 * of evidence for {@link Learning}, with what a builder wants to be told of it.
 */
public final class LogFit {
    /** Fewest thinned rows with a temperature. */
    private static final int FEWEST = 20;
    /** Above this two factors move the fit alike. */
    private static final double ALIKE = 0.9;
    /** A standard error above this share of the prior's means that the log added little. */
    private static final double LITTLE_LEARNED = 0.8;
    /** A factor further from 1 than this many of its prior's deviations is more likely a mistake than news. */
    private static final double FAR = 2;
    /** What a builder wants to know; the others are there so that these are not believed too much. */
    private static final Set<Factor> ASKED = EnumSet.of(
            Factor.HEAT, Factor.SUMP, Factor.BLOCK, Factor.MASS, Factor.EFFICACY, Factor.AIR, Factor.COOLANT);

    private LogFit() {}

    /**
     * One fitted factor.
     *
     * @param parameter what it is
     * @param factor on the present number
     * @param standardError of the factor
     * @param prior standard deviation of the factor before the log
     */
    public record Estimate(Factor parameter, double factor, double standardError, double prior) {
        /** @return whether something was told of it: its error is well under what it was before */
        public boolean learned() {
            return standardError / factor <= LITTLE_LEARNED * prior;
        }
    }

    /**
     * What came out.
     *
     * @param estimates one for each factor
     * @param learned how sure the factors are together
     * @param rms root mean square of the oil's residuals, K
     * @param times of the residuals, s from the start
     * @param residuals logged less modelled oil temperature, K
     * @param notes what the log cannot tell apart and what it adds little to
     * @param car the car with the fitted factors in it
     */
    public record Result(
            List<Estimate> estimates,
            Belief learned,
            double rms,
            double[] times,
            double[] residuals,
            List<Message> notes,
            Car car) {
        /** @return what is believed of the car after the log */
        public Belief belief() {
            return Belief.after(learned);
        }

        /** @return correlation between the estimates, in their order */
        public double[][] correlation() {
            return learned.correlation();
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
        return fit(car, log, session(car, design, log, oilK, coolantK), List.of());
    }

    /**
     * A log as evidence.
     *
     * @param car the car as it is known so far
     * @param design the design that was driven
     * @param log what was driven
     * @param oilK logged oil temperature at the log's times, K; NaN where it dropped out
     * @param coolantK logged coolant temperature in the same way; empty when not logged
     * @return it
     * @throws IllegalArgumentException when fewer than 20 thinned rows hold a temperature
     */
    public static SessionEvidence session(
            Car car, Design design, LogDuty log, double[] oilK, Optional<double[]> coolantK) {
        SessionEvidence session = new SessionEvidence(car, design, log);
        int oil = session.add(LogChannel.OIL, log, oilK);
        if (oil < FEWEST) {
            throw new IllegalArgumentException("A fit needs oil temperatures over at least "
                    + Math.round(FEWEST * SessionEvidence.CORRELATION_TIME) + " s; this log holds " + oil
                    + " usable points");
        }
        coolantK.ifPresent(k -> session.add(LogChannel.COOLANT, log, k));
        return session;
    }

    /**
     * Fits a log together with everything else that was read on the car.
     *
     * @param car the car as it is known so far
     * @param log the log whose residuals are told
     * @param session the same as evidence
     * @param others other logs and readings
     * @return factors, standard errors, correlation, the log's residuals and what cannot be told
     */
    public static Result fit(Car car, LogDuty log, SessionEvidence session, List<Evidence> others) {
        List<Evidence> all = new ArrayList<>(List.of(session));
        all.addAll(others);
        int oil = session.count(LogChannel.OIL);
        Learning.Learned learned = Learning.from(car, Learning.taught(car, all), all);
        Belief belief = learned.belief();
        List<Estimate> estimates = estimates(learned);
        double[] residuals = Arrays.copyOf(learned.residuals()[0], oil);
        double[] times = new double[oil];
        Arrays.setAll(times, session::time);
        double sum = Arrays.stream(residuals).map(r -> r * r).sum();
        return new Result(
                estimates,
                belief,
                Math.sqrt(sum / oil),
                times,
                residuals,
                notes(estimates, learned, log),
                learned.car());
    }

    /**
     * @param learned what was learned
     * @return one estimate for each of its factors
     */
    public static List<Estimate> estimates(Learning.Learned learned) {
        Belief belief = learned.belief();
        return IntStream.range(0, belief.factors().size())
                .mapToObj(i -> {
                    double factor = learned.factors()[i];
                    Factor f = belief.factors().get(i);
                    return new Estimate(f, factor, factor * belief.deviation()[i], f.spread());
                })
                .toList();
    }

    private static List<Message> notes(List<Estimate> estimates, Learning.Learned learned, LogDuty log) {
        double[][] correlation = learned.belief().correlation();
        List<Message> notes = new ArrayList<>();
        if (!learned.converged()) {
            notes.add(FitNote.UNSETTLED.say("text"));
        }
        if (!log.hasEngineSpeed()) {
            notes.add(FitNote.GEARS.say("text").choose("track", log.onTrack()));
        }
        for (int i = 0; i < estimates.size(); i++) {
            Estimate e = estimates.get(i);
            if (!ASKED.contains(e.parameter())) {
                continue;
            }
            Message name = e.parameter().say("name");
            for (int j = 0; j < i; j++) {
                if (ASKED.contains(estimates.get(j).parameter()) && Math.abs(correlation[i][j]) > ALIKE) {
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
            if (!e.learned()) {
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
