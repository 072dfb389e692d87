package isotherm.core.fit;

import isotherm.core.airflow.AirFlow;
import isotherm.core.airflow.AirNetwork;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Weather;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.SessionEquations;
import java.util.Optional;

/** Air pressure across a core as a car with given numbers has it on the road. */
final class CoreAir {
    private final AirNetwork network;

    /**
     * @param car the car
     * @param design a design with a cooler
     * @param weather the day's air
     */
    CoreAir(Car car, Design design, Weather weather) {
        Design.Cooler cooler = design.cooler().orElseThrow();
        this.network = new AirNetwork(
                car.known(cooler).airway(),
                new CoreModel(cooler.core()),
                Optional.of(car.radiator(design)),
                weather.ambientK(),
                weather.pressure());
    }

    /**
     * @param speed road speed, m/s
     * @param fan whether the core's own fan runs
     * @param radiatorFan whether the radiator's does
     * @return pressure across the core, Pa
     */
    double at(double speed, boolean fan, boolean radiatorFan) {
        return network.at(speed, fan, radiatorFan).losses().stream()
                .filter(l -> l.what().equals("core"))
                .mapToDouble(AirFlow.Loss::pascal)
                .sum();
    }

    /** What a session has in one of its cells, Pa. */
    double at(Session s, int cell) {
        return at(s.demand().speed()[cell], s.fan()[cell], s.coolant()[cell] > SessionEquations.RADIATOR_FAN_FROM);
    }
}
