package isotherm.server.garage;

import isotherm.server.contract.Checked;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;

/**
 * A car, a duty and a design: what is asked. The input of {@code solve} and of the outcome endpoint.
 *
 * @param car the car
 * @param duty what it has to do
 * @param design the design
 * @param samples samples for the interval of the prediction; 0 for none
 * @param seed seed of those samples
 */
public record CaseDocument(
        @Text("the car") CarDocument car,
        @Text("what it has to do") DutyDocument duty,
        @Text("the design") DesignDocument design,
        @Missing("no interval")
                @Quantity(value = "samples for the interval of the prediction, 0 for none", min = 0, max = 2000)
                Integer samples,
        @Missing("1") @Quantity(value = "seed of the samples", min = 0, max = 2147483647) Integer seed)
        implements Checked {
    @Override
    public void check(String path, List<Problem> problems) {
        car.check(path + "/car", problems);
        duty.check(path + "/duty", problems);
        design.check(path + "/design", problems);
        if (samples != null && samples == 1) {
            problems.add(Problem.of(path + "/samples", "1", "An interval needs at least 2 samples, or 0 for none"));
        }
    }

    /** @return the same of a car and a duty without names, which no answer tells; a remedy is a design with its name */
    public CaseDocument nameless() {
        return new CaseDocument(car.named(""), duty.named(""), design, samples, seed);
    }
}
