package isotherm.core.findings;

import isotherm.core.car.Car;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import isotherm.core.simulate.Session;
import java.util.List;

/** The sensor sits where a comparison with and without cooler misleads. */
final class CooledSensor implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        Car.SensorPlace place = c.car().sensor();
        boolean after = place == Car.SensorPlace.PLATE_OUTLET || place == Car.SensorPlace.GALLERY;
        if (!after || c.cooler().isEmpty()) {
            return List.of();
        }
        Session s = c.session();
        double most = 0;
        for (int i = 0; i < s.demand().cells(); i++) {
            most = Math.max(most, s.oil()[i] - s.at(place, i));
        }
        return List.of(Topic.SENSOR.of(
                Severity.NOTE,
                Topic.SENSOR.say("what").with("less", Measure.TEMPERATURE_DIFFERENCE, most),
                Topic.SENSOR.say("why")));
    }
}
