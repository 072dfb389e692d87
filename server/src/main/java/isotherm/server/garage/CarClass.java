package isotherm.server.garage;

import isotherm.server.contract.Checked;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Text;
import java.util.List;

/**
 * A class of car to start from: every figure a sensible one, each to be replaced by what the car itself shows.
 *
 * @param id what it is called here
 * @param name what its people call it
 * @param why why a group of its figures is as it is
 * @param car a car of that class
 * @param duty what such a car is often asked for
 */
public record CarClass(
        @Text(value = "what it is called here", min = 1, max = 40) String id,
        @Text(value = "what its people call it", min = 1, max = 120) String name,
        @Text(value = "why its figures are as they are", max = 30) List<Why> why,
        @Text("a car of that class") CarDocument car,
        @Text("what such a car is often asked for") DutyDocument duty)
        implements Checked {
    /**
     * A reason.
     *
     * @param field the field or group of fields of the car
     * @param reason why it is as it is
     */
    public record Why(
            @Text(value = "field of the car", min = 1, max = 60) String field,
            @Text(value = "why it is as it is", min = 1, max = 300) String reason) {}

    /**
     * A car to be made from a class.
     *
     * @param classId the class
     * @param name what its people call the car
     */
    public record FromClass(
            @Text(value = "the class", min = 1, max = 40) String classId,
            @Text(value = "what its people call the car", min = 1, max = 120) String name) {}

    @Override
    public void check(String path, List<Problem> problems) {
        car.check(path + "/car", problems);
        duty.check(path + "/duty", problems);
    }
}
