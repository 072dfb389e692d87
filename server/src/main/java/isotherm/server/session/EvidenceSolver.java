package isotherm.server.session;

import static isotherm.server.contract.Rounding.celsius;
import static isotherm.server.contract.Rounding.round;

import isotherm.core.car.Car;
import isotherm.core.compare.SessionComparison;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.LogDuty;
import isotherm.core.fluid.Units;
import isotherm.server.contract.MessageDocument;
import isotherm.server.garage.DutyDocument;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** From questions about logs to their answers, the same for HTTP and for {@code solve}. */
public final class EvidenceSolver {
    /** What a logger writes where a sensor dropped out. */
    private static final double DROPPED = -300;

    private EvidenceSolver() {}

    /**
     * @param q a log
     * @return what it says about the car
     */
    public static EvidenceQuestions.FitAnswer fit(EvidenceQuestions.FitQuestion q) {
        return TeachingSolver.fit(
                q.car(),
                List.of(new TeachingSolver.Logged(
                        q.design(), q.duty(), q.car().sensor(), q.oilC(), null, q.coolantC(), null, null)));
    }

    static double[] kelvin(List<Double> celsius) {
        return celsius.stream()
                .mapToDouble(v -> v < DROPPED ? Double.NaN : Units.kelvin(v))
                .toArray();
    }

    /** Pressures of a log in Pa, NaN where they dropped out. */
    static double[] pascal(List<Double> logged, double perUnit) {
        return logged.stream()
                .mapToDouble(v -> v < DROPPED ? Double.NaN : v * perUnit)
                .toArray();
    }

    /**
     * @param q two logged sessions
     * @return how they compare
     */
    public static EvidenceQuestions.CompareAnswer compare(EvidenceQuestions.CompareQuestion q) {
        Car car = q.car().toCore();
        SessionComparison.Logged before =
                logged(car, q.before().duty(), q.before().oilC(), car.sensor());
        SessionComparison.Logged after = logged(car, q.after().duty(), q.after().oilC(), car.sensor());
        Optional<SessionComparison.Step> step = Optional.ofNullable(q.design())
                .map(d -> SessionComparison.Step.byModel(
                        car, d.toCore(q.car()), before, after, q.before().duty().altitudeM()));
        SessionComparison.Result r = SessionComparison.compare(before, after, step, q.seed() == null ? 1 : q.seed());
        return new EvidenceQuestions.CompareAnswer(
                r.verdict(),
                MessageDocument.all(r.reasons()),
                figure(r.riseBefore(), 0),
                figure(r.riseAfter(), 0),
                figure(r.plateauBefore(), Units.ZERO_CELSIUS),
                figure(r.plateauAfter(), Units.ZERO_CELSIUS),
                figure(r.difference(), 0));
    }

    /**
     * @param car the car
     * @param duty a duty from a log
     * @param oilC oil temperature at its times; −999 where there is none; null when not logged
     * @param sensor where it was read
     * @return the session as it is compared
     */
    public static SessionComparison.Logged logged(
            Car car, DutyDocument duty, List<Double> oilC, Car.SensorPlace sensor) {
        LogDuty log = duty.toLog();
        DemandTrace demand = log.demand(car.vehicle(), car.engine());
        double[] oil = new double[demand.cells()];
        Arrays.fill(oil, Double.NaN);
        if (oilC != null) {
            oil = Arrays.stream(atCells(car, duty, oilC)).map(Units::kelvin).toArray();
        }
        double[] heat = IntStream.range(0, demand.cells())
                .mapToDouble(i -> car.school().oilHeat(car.engine(), demand.brakePower()[i], demand.rpm()[i]))
                .toArray();
        return new SessionComparison.Logged(demand, oil, heat, log.weather().ambientK(), sensor);
    }

    /**
     * @param car the car
     * @param duty a duty from a log
     * @param read what a sensor read at its times; −999 where it read nothing
     * @return the same at the end of each cell of its demand; NaN where nothing was read
     */
    public static double[] atCells(Car car, DutyDocument duty, List<Double> read) {
        LogDuty log = duty.toLog();
        DemandTrace demand = log.demand(car.vehicle(), car.engine());
        double[] atCells = new double[demand.cells()];
        int row = 0;
        for (int i = 0; i < atCells.length; i++) {
            double t = log.time()[0] + (i + 1) * demand.cell();
            while (row + 1 < log.time().length && log.time()[row + 1] <= t) {
                row++;
            }
            double v = read.get(row);
            atCells[i] = t - log.time()[row] <= LogDuty.GAP && v >= DROPPED ? v : Double.NaN;
        }
        return atCells;
    }

    /** A figure with its interval, less an offset. */
    public static EvidenceQuestions.FigureDocument figure(SessionComparison.Figure f, double offset) {
        return Double.isNaN(f.value())
                ? new EvidenceQuestions.FigureDocument(null, null, null)
                : new EvidenceQuestions.FigureDocument(
                        round(f.value() - offset, 2), round(f.low() - offset, 2), round(f.high() - offset, 2));
    }
}
