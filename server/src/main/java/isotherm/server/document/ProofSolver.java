package isotherm.server.document;

import isotherm.core.compare.LapProfile;
import isotherm.core.compare.SessionComparison;
import isotherm.core.compare.SessionFigures;
import isotherm.core.duty.Duty;
import isotherm.core.fluid.Units;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.Car;
import isotherm.core.simulate.Design;
import isotherm.core.simulate.Prediction;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;

/** Holds two logs against each other, and each against the model. */
public final class ProofSolver {
    private static final int SAMPLES = 80;
    private static final int SEED = 1;
    /** What the thermometer and the averaging of a peak leave open, K (default). */
    private static final double OPEN = 1.5;

    private ProofSolver() {}

    /**
     * @param q what is asked
     * @param first the first log
     * @param second the second
     * @return what came out
     */
    public static Proof.ProofAnswer prove(Proof.ProofQuestion q, DrivenLog first, DrivenLog second) {
        Car car = q.car().toCore();
        Design after = q.afterDesign().toCore();
        SessionComparison.Logged a = QuestionSolver.logged(car, first.duty(), first.oilC());
        SessionComparison.Logged b = QuestionSolver.logged(car, second.duty(), second.oilC());
        SessionFigures read = figures(car, a, first);
        SessionFigures readAfter = figures(car, b, second);
        Optional<SessionComparison.Step> step =
                read.plateauK().isPresent() && readAfter.plateauK().isPresent()
                        ? Optional.of(SessionComparison.Step.byModel(
                                car, after, a, b, first.duty().altitudeM()))
                        : Optional.empty();
        SessionComparison.Result r = SessionComparison.compare(a, b, step, SEED);
        Optional<LapProfile> lap = LapProfile.of(a);
        Optional<LapProfile> lapAfter = LapProfile.of(b);
        boolean laps = lap.isPresent() && lapAfter.isPresent();
        return new Proof.ProofAnswer(
                r.verdict(),
                r.words(),
                QuestionSolver.figure(r.difference(), 0),
                QuestionSolver.figure(r.plateauBefore(), Units.ZERO_CELSIUS),
                QuestionSolver.figure(r.plateauAfter(), Units.ZERO_CELSIUS),
                QuestionSolver.figure(r.riseBefore(), 0),
                QuestionSolver.figure(r.riseAfter(), 0),
                table(first, second, read, readAfter),
                laps ? laps(lap.get(), lapAfter.get().begunLater(LapProfile.shift(lap.get(), lapAfter.get()))) : null,
                laps ? (Double) round(LapProfile.correlation(lap.get(), lapAfter.get()), 3) : null,
                predicted(q.car(), first.duty(), q.beforeDesign(), read.peakK()),
                predicted(q.car(), second.duty(), q.afterDesign(), readAfter.peakK()));
    }

    private static SessionFigures figures(Car car, SessionComparison.Logged session, DrivenLog log) {
        return SessionFigures.of(
                session,
                new SessionFigures.Sensors(
                        sensor(car, log, log.backC(), Units::kelvin),
                        sensor(car, log, log.coolantC(), Units::kelvin),
                        sensor(car, log, log.pressureBar(), v -> v * 1e5)),
                car.engine().idleRpm());
    }

    private static double[] sensor(Car car, DrivenLog log, List<Double> read, DoubleUnaryOperator si) {
        return read == null
                ? new double[0]
                : Arrays.stream(QuestionSolver.atCells(car, log.duty(), read))
                        .map(si)
                        .toArray();
    }

    private static List<Proof.ProofFigure> table(
            DrivenLog first, DrivenLog second, SessionFigures a, SessionFigures b) {
        List<Proof.ProofFigure> table = new ArrayList<>();
        table.add(new Proof.ProofFigure(
                "Air on the day",
                Proof.ProofUnit.TEMPERATURE,
                first.duty().ambientC(),
                second.duty().ambientC()));
        add(table, "Heat into the oil on the plateau", Proof.ProofUnit.HEAT, a, b, SessionFigures::heat, v -> v / 1e3);
        add(table, "Peak of the oil", Proof.ProofUnit.TEMPERATURE, a, b, SessionFigures::peakK, Units::celsius);
        add(table, "Plateau", Proof.ProofUnit.TEMPERATURE, a, b, SessionFigures::plateauK, Units::celsius);
        add(table, "Time to the plateau", Proof.ProofUnit.MINUTES, a, b, SessionFigures::toPlateau, v -> v / 60);
        add(table, "Recovery after the last lap", Proof.ProofUnit.RATE, a, b, SessionFigures::recovery, v -> v);
        add(table, "Drop over the core", Proof.ProofUnit.DIFFERENCE, a, b, SessionFigures::coreDrop, v -> v);
        add(
                table,
                "Oil pressure at hot idle",
                Proof.ProofUnit.PRESSURE,
                a,
                b,
                SessionFigures::idlePressure,
                v -> v / 1e5);
        add(
                table,
                "Oil pressure at two thirds of the revs",
                Proof.ProofUnit.PRESSURE,
                a,
                b,
                SessionFigures::runningPressure,
                v -> v / 1e5);
        add(table, "Highest coolant", Proof.ProofUnit.TEMPERATURE, a, b, SessionFigures::peakCoolantK, Units::celsius);
        return table;
    }

    private static void add(
            List<Proof.ProofFigure> table,
            String name,
            Proof.ProofUnit unit,
            SessionFigures a,
            SessionFigures b,
            Function<SessionFigures, OptionalDouble> figure,
            DoubleUnaryOperator written) {
        table.add(new Proof.ProofFigure(name, unit, shown(figure.apply(a), written), shown(figure.apply(b), written)));
    }

    private static Double shown(OptionalDouble v, DoubleUnaryOperator written) {
        return v.isPresent() ? (Double) round(written.applyAsDouble(v.getAsDouble()), 2) : null;
    }

    private static Proof.MeanLaps laps(LapProfile a, LapProfile b) {
        return new Proof.MeanLaps(list(a.speed(), 3.6), list(b.speed(), 3.6), list(a.rise(), 1), list(b.rise(), 1));
    }

    private static List<Double> list(double[] values, double factor) {
        return Arrays.stream(values)
                .mapToObj(v -> Double.isFinite(v) ? (Double) round(v * factor, 3) : null)
                .toList();
    }

    private static Proof.Predicted predicted(
            CarDocument car, DutyDocument duty, DesignDocument design, OptionalDouble readK) {
        Duty driven = duty.toCore();
        Prediction p = Prediction.of(car.toCore(), driven, design.toCore(), car.belief(), SAMPLES, SEED);
        String words = readK.isEmpty()
                ? "No oil temperature was read."
                : readK.getAsDouble() < p.peakLow() - OPEN
                        ? String.format(
                                Locale.ROOT,
                                "It ran %.0f °C cooler than the model expects: look whether this design was in it, then let the log teach the model.",
                                p.peakMedian() - readK.getAsDouble())
                        : readK.getAsDouble() > p.peakHigh() + OPEN
                                ? String.format(
                                        Locale.ROOT,
                                        "It ran %.0f °C hotter than the model expects: look whether this design was in it, then let the log teach the model.",
                                        readK.getAsDouble() - p.peakMedian())
                                : "The reading lies where the model expects it.";
        return new Proof.Predicted(
                round(Units.celsius(p.peakLow()), 1),
                round(Units.celsius(p.peakMedian()), 1),
                round(Units.celsius(p.peakHigh()), 1),
                readK.isPresent() ? (Double) round(Units.celsius(readK.getAsDouble()), 1) : null,
                words,
                car.fitted() == null ? null : untaught(car, driven, design.toCore()));
    }

    private static Proof.Expected untaught(CarDocument car, Duty driven, Design design) {
        Prediction p = Prediction.of(car.withoutLog(), driven, design, Belief.prior(), SAMPLES, SEED);
        return new Proof.Expected(
                round(Units.celsius(p.peakLow()), 1),
                round(Units.celsius(p.peakMedian()), 1),
                round(Units.celsius(p.peakHigh()), 1));
    }

    private static double round(double v, int digits) {
        double p = Math.pow(10, digits);
        return Math.round(v * p) / p;
    }
}
