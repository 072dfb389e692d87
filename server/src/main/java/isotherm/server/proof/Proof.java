package isotherm.server.proof;

import isotherm.core.compare.SessionComparison;
import isotherm.core.compare.SessionFigure;
import isotherm.core.message.Measure;
import isotherm.server.contract.Checked;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Text;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.session.EvidenceQuestions;
import java.util.List;
import java.util.UUID;

/** Before and after, as they are asked for and told. */
public final class Proof {
    private Proof() {}

    /**
     * Two logs of one car, held against each other.
     *
     * @param car the car
     * @param before log of the first session
     * @param beforeDesign the design that was in the car then
     * @param after log of the second session
     * @param afterDesign the design that was in the car then
     */
    public record ProofQuestion(
            @Text("the car") CarDocument car,
            @Text(value = "log of the first session", min = 36, max = 36) String before,
            @Text("the design that was in the car then") DesignDocument beforeDesign,
            @Text(value = "log of the second session", min = 36, max = 36) String after,
            @Text("the design that was in the car then") DesignDocument afterDesign)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            beforeDesign.check(path + "/beforeDesign", problems);
            afterDesign.check(path + "/afterDesign", problems);
            id(before, path + "/before", problems);
            id(after, path + "/after", problems);
            if (before.equals(after)) {
                problems.add(Problem.of(path + "/after", after, "Two different logs are expected"));
            }
        }

        private static void id(String id, String path, List<Problem> problems) {
            try {
                UUID.fromString(id);
            } catch (IllegalArgumentException e) {
                problems.add(Problem.of(path, id, "The identity of a log is expected here"));
            }
        }
    }

    /**
     * What came out.
     *
     * @param verdict what it says
     * @param reasons why
     * @param differenceK plateau after less before under the first session's conditions, with its 90 % interval
     * @param plateauBeforeC plateau before
     * @param plateauAfterC plateau after, brought to the first session's conditions
     * @param riseBeforeKPerKw rise over the air per heat before
     * @param riseAfterKPerKw the same after
     * @param figures what was read in each session
     * @param laps the mean lap of each; missing where there is none
     * @param alike how well the speeds of the two laps agree, up to 1; missing where there is no lap
     * @param predictedBefore the model's peak of the first session against what was read
     * @param predictedAfter the same of the second
     */
    public record ProofAnswer(
            SessionComparison.Verdict verdict,
            List<MessageDocument> reasons,
            EvidenceQuestions.FigureDocument differenceK,
            EvidenceQuestions.FigureDocument plateauBeforeC,
            EvidenceQuestions.FigureDocument plateauAfterC,
            EvidenceQuestions.FigureDocument riseBeforeKPerKw,
            EvidenceQuestions.FigureDocument riseAfterKPerKw,
            List<ProofFigure> figures,
            @Missing("no laps") MeanLaps laps,
            @Missing("no laps") Double alike,
            Predicted predictedBefore,
            Predicted predictedAfter) {}

    /**
     * Something that was read in both sessions.
     *
     * @param kind what it is; missing for the air on the day, which nobody reads of a session
     * @param measure what is measured
     * @param before in the first session
     * @param after in the second
     */
    public record ProofFigure(
            @Missing("the air on the day") SessionFigure kind,
            Measure measure,
            @Missing("not read") Double before,
            @Missing("not read") Double after) {}

    /**
     * The mean lap of each plateau, by the share of its way, the second begun where the first is.
     *
     * @param speedBeforeKmh road speed before
     * @param speedAfterKmh road speed after
     * @param riseBeforeKPerKw rise over the air per heat before; missing where nothing was read
     * @param riseAfterKPerKw the same after
     */
    public record MeanLaps(
            List<Double> speedBeforeKmh,
            List<Double> speedAfterKmh,
            List<Double> riseBeforeKPerKw,
            List<Double> riseAfterKPerKw) {}

    /**
     * The model against a log.
     *
     * @param lowC 10 % quantile of the predicted peak
     * @param medianC its median
     * @param highC 90 % quantile
     * @param readC the peak that was read
     * @param words what that says
     * @param untaught what the model expected before a log taught it
     */
    public record Predicted(
            double lowC,
            double medianC,
            double highC,
            @Missing("not read") Double readC,
            MessageDocument words,
            @Missing("no log has taught it") Expected untaught) {}

    /**
     * A peak that the model expects.
     *
     * @param lowC 10 % quantile
     * @param medianC median
     * @param highC 90 % quantile
     */
    public record Expected(double lowC, double medianC, double highC) {}
}
