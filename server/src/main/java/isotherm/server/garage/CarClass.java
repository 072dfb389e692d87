package isotherm.server.garage;

import isotherm.core.duty.Use;
import isotherm.server.contract.Checked;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
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
     * A car to be made from a class: what it is, what it does, and what it shows today.
     *
     * @param classId the class
     * @param name what its people call the car
     * @param powerKw maximum brake power
     * @param use what it is mainly used for
     * @param ambientC the hottest air that it is driven in
     * @param shownC the highest oil temperature that its dash has shown over that
     */
    public record FromClass(
            @Text(value = "the class", min = 1, max = 40) String classId,
            @Text(value = "what its people call the car", min = 1, max = 120) String name,
            @Missing("that of the class") @Quantity(value = "maximum brake power", min = 10, max = 1500, unit = "kW")
                    Double powerKw,
            @Missing("what the class is often asked for") @Text("what it is mainly used for") Use use,
            @Missing("a hot day of that use")
                    @Quantity(value = "the hottest air that it is driven in", min = -40, max = 55, unit = "°C")
                    Double ambientC,
            @Missing("not read yet")
                    @Quantity(value = "highest oil temperature shown", min = 20, max = 200, unit = "°C")
                    Double shownC) {}

    /** @return what it is mainly used for */
    public Use use() {
        return duty.use();
    }

    @Override
    public void check(String path, List<Problem> problems) {
        car.check(path + "/car", problems);
        duty.check(path + "/duty", problems);
    }
}
