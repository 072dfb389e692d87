package isotherm.server.session;

import isotherm.server.contract.Checked;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Text;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import java.util.List;

/** Every design of a car in every one of its duties. */
public final class DutiesQuestions {
    private DutiesQuestions() {}

    /**
     * What is asked.
     *
     * @param car the car
     * @param designs its designs
     * @param duties the duties that count
     */
    public record DutiesQuestion(
            @Text("the car") CarDocument car,
            @Text(value = "its designs", min = 1, max = 40) List<DesignDocument> designs,
            @Text(value = "the duties that count", min = 1, max = 20) List<DutyDocument> duties)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            for (int i = 0; i < designs.size(); i++) {
                designs.get(i).check(path + "/designs/" + i, problems);
            }
            for (int i = 0; i < duties.size(); i++) {
                duties.get(i).check(path + "/duties/" + i, problems);
            }
        }
    }

    /**
     * The answer.
     *
     * @param rows one for each design
     * @param best the design that is most likely to hold in its own worst duty
     */
    public record DutiesAnswer(List<DesignRow> rows, int best) {}

    /**
     * A design in all duties.
     *
     * @param cells one for each duty
     * @param worst the duty in which it is least likely to hold
     * @param holds whether it holds in each of them as surely as is wanted
     * @param price price of core and hose
     */
    public record DesignRow(
            List<DutyCell> cells, int worst, boolean holds, @Missing("no cooler, or no price for it") Double price) {}

    /**
     * A design in one duty.
     *
     * @param peakC most likely peak of the oil
     * @param lowC 10 % quantile of the peak
     * @param highC 90 % quantile of the peak
     * @param oddsInBand odds that it stays under the top of its target, 0 to 1
     * @param oddsUnderLimit odds that it stays under the oil's limit, 0 to 1
     */
    public record DutyCell(double peakC, double lowC, double highC, double oddsInBand, double oddsUnderLimit) {}
}
