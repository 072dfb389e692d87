package isotherm.server.proof;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.compare.LapProfile;
import isotherm.core.compare.PredictionNote;
import isotherm.core.compare.SessionComparison;
import isotherm.core.compare.SessionFigure;
import isotherm.core.compare.SessionFigures;
import isotherm.core.duty.Duty;
import isotherm.core.fluid.Units;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.Prediction;
import isotherm.server.contract.MessageDocument;
import isotherm.server.evidence.DrivenLog;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import isotherm.server.session.EvidenceSolver;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;

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
        Design after = q.afterDesign().toCore(q.car());
        SessionComparison.Logged a = EvidenceSolver.logged(car, first.duty(), first.oilC(), first.sensor());
        SessionComparison.Logged b = EvidenceSolver.logged(car, second.duty(), second.oilC(), second.sensor());
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
                MessageDocument.all(r.reasons()),
                EvidenceSolver.figure(r.difference(), 0),
                EvidenceSolver.figure(r.plateauBefore(), Units.ZERO_CELSIUS),
                EvidenceSolver.figure(r.plateauAfter(), Units.ZERO_CELSIUS),
                EvidenceSolver.figure(r.riseBefore(), 0),
                EvidenceSolver.figure(r.riseAfter(), 0),
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
                : Arrays.stream(EvidenceSolver.atCells(car, log.duty(), read))
                        .map(si)
                        .toArray();
    }

    private static List<Proof.ProofFigure> table(
            DrivenLog first, DrivenLog second, SessionFigures a, SessionFigures b) {
        List<Proof.ProofFigure> table = new ArrayList<>();
        table.add(new Proof.ProofFigure(
                null,
                Measure.TEMPERATURE,
                first.duty().ambientC(),
                second.duty().ambientC()));
        for (SessionFigure f : SessionFigure.values()) {
            table.add(new Proof.ProofFigure(f, f.measure(), shown(f, a), shown(f, b)));
        }
        return table;
    }

    private static Double shown(SessionFigure f, SessionFigures read) {
        OptionalDouble v = f.of(read);
        return v.isPresent() ? (Double) round(f.measure().metric().of(v.getAsDouble()), 2) : null;
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
        Prediction p = Prediction.of(car.toCore(), driven, design.toCore(car), car.belief(), SAMPLES, SEED);
        return new Proof.Predicted(
                round(Units.celsius(p.peakLow()), 1),
                round(Units.celsius(p.peakMedian()), 1),
                round(Units.celsius(p.peakHigh()), 1),
                readK.isPresent() ? (Double) round(Units.celsius(readK.getAsDouble()), 1) : null,
                MessageDocument.of(note(p, readK)),
                car.fitted() == null ? null : untaught(car, driven, design.toCore(car)));
    }

    private static Message note(Prediction p, OptionalDouble readK) {
        if (readK.isEmpty()) {
            return PredictionNote.NOT_READ.say("text");
        }
        double over = readK.getAsDouble() - p.peakMedian();
        boolean cooler = readK.getAsDouble() < p.peakLow() - OPEN;
        if (cooler || readK.getAsDouble() > p.peakHigh() + OPEN) {
            return (cooler ? PredictionNote.COOLER : PredictionNote.HOTTER)
                    .say("text")
                    .with("by", Measure.TEMPERATURE_DIFFERENCE, Math.abs(over));
        }
        return PredictionNote.AS_EXPECTED.say("text");
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
