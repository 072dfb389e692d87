package isotherm.server.session;

import isotherm.server.contract.Checked;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import isotherm.server.garage.FittedDocument;
import java.util.List;

/** Questions about logs, and their answers. */
public final class EvidenceQuestions {
    private EvidenceQuestions() {}

    /**
     * A log to fit.
     *
     * @param car the car
     * @param duty a duty from a log
     * @param design the design that was driven
     * @param oilC logged oil temperature at the log's times; −999 where it dropped out
     * @param coolantC logged coolant temperature at the log's times; −999 where it dropped out
     */
    public record FitQuestion(
            @Text("the car") CarDocument car,
            @Text("a duty from a log") DutyDocument duty,
            @Text("the design that was driven") DesignDocument design,
            @Quantity(value = "logged oil temperature, -999 where it dropped out", min = -999, max = 250, unit = "°C")
                    @Text(value = "oil temperatures", min = 2, max = 200000)
                    List<Double> oilC,
            @Missing("not logged")
                    @Quantity(
                            value = "logged coolant temperature, -999 where it dropped out",
                            min = -999,
                            max = 250,
                            unit = "°C")
                    @Text(value = "coolant temperatures", min = 2, max = 200000)
                    List<Double> coolantC)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            duty.check(path + "/duty", problems);
            design.check(path + "/design", problems);
            needsLog(path + "/duty", duty, oilC, path + "/oilC", problems);
            if (coolantC != null) {
                needsLog(path + "/duty", duty, coolantC, path + "/coolantC", problems);
            }
        }
    }

    /**
     * A kept log to fit.
     *
     * @param car the car; what was read on it by hand is used as well
     * @param design the design that was driven
     * @param others other logs of it that are used together with this one
     */
    public record LogFitQuestion(
            @Text("the car") CarDocument car,
            @Text("the design that was driven") DesignDocument design,
            @Missing("this log alone") @Text(value = "other logs that are used with it", max = 12)
                    List<OtherLog> others)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            design.check(path + "/design", problems);
            for (int i = 0; others != null && i < others.size(); i++) {
                others.get(i).design().check(path + "/others/" + i + "/design", problems);
            }
        }
    }

    /** Another log of the same car. */
    public record OtherLog(
            @Text(value = "its identity", min = 36, max = 36) String id,
            @Text("the design that was driven") DesignDocument design) {}

    /**
     * What the log says.
     *
     * @param estimates factors on the car's present numbers
     * @param correlation between them, in their order
     * @param rmsK root mean square of the residuals
     * @param timeSeconds times of the residuals
     * @param residualK logged less modelled oil temperature
     * @param notes what the log cannot tell apart
     * @param fitted what to write into the car to use it from now on
     */
    public record FitAnswer(
            List<EstimateDocument> estimates,
            List<List<Double>> correlation,
            double rmsK,
            List<Double> timeSeconds,
            List<Double> residualK,
            List<MessageDocument> notes,
            FittedDocument fitted) {}

    /**
     * A car with something read on it by hand.
     *
     * @param car the car
     */
    public record LearnQuestion(@Text("the car, with what was read on it by hand") CarDocument car) implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            if (car.readings() == null || car.readings().isEmpty()) {
                problems.add(Problem.of(path + "/car/readings", null, "At least one reading is needed here"));
            }
        }
    }

    /**
     * What readings by hand say.
     *
     * @param readings each of them beside what the model expects
     * @param estimates factors on the car's present numbers
     * @param fitted what to write into the car to use it from now on
     */
    public record LearnAnswer(List<ReadDocument> readings, List<EstimateDocument> estimates, FittedDocument fitted) {}

    /**
     * A reading beside what the model expects, in °C, Pa or kW.
     *
     * @param name what its people call it
     * @param read what was read
     * @param before expected of the car as it was described
     * @param after expected of it with what was learned
     */
    public record ReadDocument(String name, double read, double before, double after) {}

    /**
     * What to measure next.
     *
     * @param peakLowC 10 % quantile of the peak as it is known now
     * @param peakHighC 90 % quantile
     * @param measurements each of them, the one that leaves the least interval first
     */
    public record NextAnswer(double peakLowC, double peakHighC, List<WorthDocument> measurements) {}

    /**
     * A measurement's worth.
     *
     * @param kind what is measured
     * @param peakLowC 10 % quantile of the peak that it would leave
     * @param peakHighC 90 % quantile
     * @param oddsToTell odds that one could then tell whether the design holds, 0 to 1
     */
    public record WorthDocument(
            isotherm.core.fit.NextMeasurement.Kind kind, double peakLowC, double peakHighC, double oddsToTell) {}

    /**
     * One fitted factor.
     *
     * @param parameter what it is
     * @param factor on the present number
     * @param standardError of the factor
     * @param prior standard deviation of the factor before the log
     * @param learned whether something was told of it
     */
    public record EstimateDocument(
            isotherm.core.simulate.Factor parameter,
            double factor,
            double standardError,
            double prior,
            boolean learned) {}

    /**
     * Two logged sessions of one car.
     *
     * @param car the car
     * @param before first session
     * @param after second session
     * @param design the design that was in the car in the second session
     * @param seed seed of the interval
     */
    public record CompareQuestion(
            @Text("the car") CarDocument car,
            @Text("first session") LoggedDocument before,
            @Text("second session") LoggedDocument after,
            @Missing("rise is taken as proportional to heat")
                    @Text("the design that was in the car in the second session")
                    DesignDocument design,
            @Missing("1") @Quantity(value = "seed of the interval", min = 0, max = 2147483647) Integer seed)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            before.check(path + "/before", problems);
            after.check(path + "/after", problems);
            if (design != null) {
                design.check(path + "/design", problems);
            }
        }
    }

    /**
     * A logged session.
     *
     * @param duty a duty from a log
     * @param oilC logged oil temperature at the log's times; −999 where it dropped out or the thermostat was not full open
     */
    public record LoggedDocument(
            @Text("a duty from a log") DutyDocument duty,
            @Quantity(
                            value = "logged oil temperature, -999 where it is to be left out",
                            min = -999,
                            max = 250,
                            unit = "°C")
                    @Text(value = "oil temperatures", min = 2, max = 200000)
                    List<Double> oilC)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            duty.check(path + "/duty", problems);
            needsLog(path + "/duty", duty, oilC, path + "/oilC", problems);
        }
    }

    /**
     * What the comparison says.
     *
     * @param verdict the verdict
     * @param reasons why
     * @param riseBeforeKPerKw rise over ambient per heat input before
     * @param riseAfterKPerKw the same after
     * @param plateauBeforeC plateau before
     * @param plateauAfterC plateau after, at the first session's air and pace
     * @param differenceK after less before
     */
    public record CompareAnswer(
            isotherm.core.compare.SessionComparison.Verdict verdict,
            List<MessageDocument> reasons,
            FigureDocument riseBeforeKPerKw,
            FigureDocument riseAfterKPerKw,
            FigureDocument plateauBeforeC,
            FigureDocument plateauAfterC,
            FigureDocument differenceK) {}

    /**
     * A figure with its interval; missing when there is none.
     *
     * @param value the figure
     * @param low 10 % quantile
     * @param high 90 % quantile
     */
    public record FigureDocument(
            @Missing("not to be had") Double value,
            @Missing("not to be had") Double low,
            @Missing("not to be had") Double high) {}

    private static void needsLog(
            String path, DutyDocument duty, List<Double> oil, String oilPath, List<Problem> problems) {
        if (duty.log() == null) {
            problems.add(Problem.of(path + "/log", null, "A duty from a log is needed here"));
        } else if (duty.log().timeSeconds().size() != oil.size()) {
            problems.add(Problem.of(
                    oilPath,
                    null,
                    "This column has " + oil.size() + " rows, the times have "
                            + duty.log().timeSeconds().size()));
        }
    }
}
