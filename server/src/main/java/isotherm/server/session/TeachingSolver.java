package isotherm.server.session;

import static isotherm.server.contract.Rounding.celsius;
import static isotherm.server.contract.Rounding.round;

import isotherm.core.car.Car;
import isotherm.core.duty.LogDuty;
import isotherm.core.fit.Evidence;
import isotherm.core.fit.Learning;
import isotherm.core.fit.LogChannel;
import isotherm.core.fit.LogFit;
import isotherm.core.fit.NextMeasurement;
import isotherm.core.fit.SessionEvidence;
import isotherm.core.simulate.Outlook;
import isotherm.server.contract.Effort;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Problem;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.CaseDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import isotherm.server.garage.FittedDocument;
import isotherm.server.garage.ReadingDocument;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What logs and readings of a car teach together, and what to measure next. */
public final class TeachingSolver {
    /** Sessions that learning from one reading runs: each factor nudged in each of its usual steps. */
    private static final int LEARNING = 150;
    /** Sessions that ranking the measurements runs: each factor up and down for each of them. */
    private static final int RANKING = 160;

    private TeachingSolver() {}

    /**
     * A log with the design that was driven.
     *
     * @param design that design
     * @param duty a duty from the log
     * @param sensor where the oil temperature sensor sat
     * @param oilC oil temperature at the log's times; −999 where it dropped out; null when not logged
     * @param backC oil from the cooler in the same way
     * @param coolantC coolant temperature in the same way
     * @param pressureBar oil pressure in the gallery in the same way, of the oil that is in the car
     * @param coreAirPa air pressure across the core in the same way
     */
    public record Logged(
            DesignDocument design,
            DutyDocument duty,
            Car.SensorPlace sensor,
            List<Double> oilC,
            List<Double> backC,
            List<Double> coolantC,
            List<Double> pressureBar,
            List<Double> coreAirPa) {}

    /**
     * Always from the car as it was before any log, so that a second fit does not count the first one twice.
     *
     * @param asked the car, with what was read on it by hand
     * @param logs its logs, the one whose residuals are told first
     * @return what all of it says about the car
     */
    public static EvidenceQuestions.FitAnswer fit(CarDocument asked, List<Logged> logs) {
        Logged first = logs.get(0);
        Car car = asked.withoutLog().withSensor(first.sensor());
        SessionEvidence session = session(asked, car, first);
        List<Evidence> others = new ArrayList<>(asked.evidence());
        logs.stream()
                .skip(1)
                .forEach(l -> others.add(session(asked, asked.withoutLog().withSensor(l.sensor()), l)));
        LogFit.Result r = LogFit.fit(car, first.duty().toLog(), session, others);
        return new EvidenceQuestions.FitAnswer(
                r.estimates().stream().map(TeachingSolver::estimate).toList(),
                rows(r.correlation(), 3),
                round(r.rms(), 3),
                Arrays.stream(r.times()).boxed().toList(),
                Arrays.stream(r.residuals()).mapToObj(v -> round(v, 2)).toList(),
                MessageDocument.all(r.notes()),
                fitted(
                        name(first.duty().name(), others.size()),
                        r.estimates(),
                        r.learned().correlation(),
                        r.learned().discrepancy()));
    }

    private static SessionEvidence session(CarDocument asked, Car car, Logged logged) {
        if (logged.oilC() == null) {
            throw new InvalidDocument(
                    List.of(Problem.of("/oilC", null, "This log holds no oil temperature: there is nothing to fit")));
        }
        LogDuty log = logged.duty().toLog();
        SessionEvidence session;
        try {
            session = LogFit.session(
                    car,
                    logged.design().toCore(asked),
                    log,
                    EvidenceSolver.kelvin(logged.oilC()),
                    Optional.ofNullable(logged.coolantC()).map(EvidenceSolver::kelvin));
        } catch (IllegalArgumentException e) {
            throw Problem.refused("/oilC", null, e.getMessage());
        }
        if (logged.backC() != null && logged.design().cooler() != null) {
            session.add(LogChannel.COOLER_OUT, log, EvidenceSolver.kelvin(logged.backC()));
        }
        if (logged.coreAirPa() != null && logged.design().cooler() != null) {
            session.add(LogChannel.CORE_AIR, log, EvidenceSolver.pascal(logged.coreAirPa(), 1));
        }
        if (logged.pressureBar() != null) {
            session.add(LogChannel.PRESSURE, log, EvidenceSolver.pascal(logged.pressureBar(), 1e5));
        }
        return session;
    }

    /**
     * @param asked a car with something read on it by hand
     * @return what that says about it
     */
    public static EvidenceQuestions.LearnAnswer learn(CarDocument asked) {
        Car car = asked.withoutLog();
        for (int i = 0; i < asked.readings().size(); i++) {
            ReadingDocument.Dash dash = asked.readings().get(i).dash();
            if (dash != null) {
                Effort.check(
                        "/car/readings/" + i,
                        LEARNING,
                        car,
                        dash.duty().toCore(),
                        Effort.WAITED_FOR / asked.readings().size());
            }
        }
        List<Evidence> evidence = asked.evidence();
        Learning.Learned learned = Learning.from(car, Learning.taught(car, evidence), evidence);
        List<LogFit.Estimate> estimates = LogFit.estimates(learned);
        List<EvidenceQuestions.ReadDocument> read = new ArrayList<>();
        for (int i = 0; i < evidence.size(); i++) {
            ReadingDocument reading = asked.readings().get(i);
            Evidence e = evidence.get(i);
            read.add(new EvidenceQuestions.ReadDocument(
                    reading.name(),
                    shown(reading, e.observed()[0]),
                    shown(reading, e.expected(car).values()[0]),
                    shown(reading, e.expected(learned.car()).values()[0])));
        }
        return new EvidenceQuestions.LearnAnswer(
                read,
                estimates.stream().map(TeachingSolver::estimate).toList(),
                fitted(
                        name(asked.readings().get(0).name(), evidence.size() - 1),
                        estimates,
                        learned.belief().correlation(),
                        learned.belief().discrepancy()));
    }

    /** A reading in the unit of its document: °C, Pa or kW. */
    private static double shown(ReadingDocument reading, double si) {
        if (reading.dash() != null) {
            return celsius(si);
        }
        return reading.pressure() != null ? round(si, 1) : round(si / 1e3, 2);
    }

    private static String name(String first, int more) {
        String named = more > 0 ? first + " and " + more + " more" : first;
        return named.length() > 120 ? named.substring(0, 120) : named;
    }

    private static EvidenceQuestions.EstimateDocument estimate(LogFit.Estimate e) {
        return new EvidenceQuestions.EstimateDocument(
                e.parameter(), round(e.factor(), 4), round(e.standardError(), 4), round(e.prior(), 4), e.learned());
    }

    private static List<List<Double>> rows(double[][] matrix, int digits) {
        return Arrays.stream(matrix)
                .map(row -> Arrays.stream(row).mapToObj(v -> round(v, digits)).toList())
                .toList();
    }

    private static FittedDocument fitted(
            String name, List<LogFit.Estimate> estimates, double[][] correlation, double discrepancy) {
        return new FittedDocument(
                name,
                estimates.stream()
                        .map(e -> new FittedDocument.FactorDocument(
                                e.parameter(), round(e.factor(), 4), round(e.standardError(), 4)))
                        .toList(),
                rows(correlation, 4).stream()
                        .map(FittedDocument.CorrelationDocument::new)
                        .toList(),
                round(100 * discrepancy, 2));
    }

    /**
     * @param asked a car, a duty and a design
     * @return how sure its peak is now, and what each measurement would be worth, the best first
     */
    public static EvidenceQuestions.NextAnswer next(CaseDocument asked) {
        Car car = asked.car().toCore();
        Effort.check("/duty", RANKING, car, asked.duty().toCore(), Effort.WAITED_FOR);
        Outlook now = Outlook.of(
                car,
                asked.duty().toCore(),
                asked.design().toCore(asked.car()),
                asked.car().belief());
        return new EvidenceQuestions.NextAnswer(
                celsius(now.quantile(0.1)),
                celsius(now.quantile(0.9)),
                NextMeasurement.of(
                                car,
                                asked.duty().toCore(),
                                asked.design().toCore(asked.car()),
                                asked.car().belief())
                        .stream()
                        .map(w -> new EvidenceQuestions.WorthDocument(
                                w.kind(), celsius(w.lowK()), celsius(w.highK()), round(w.oddsToTell(), 3)))
                        .toList());
    }
}
