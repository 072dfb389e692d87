package isotherm.server.evidence;

import isotherm.core.car.Car;
import isotherm.server.garage.DutyDocument;
import java.util.List;

/**
 * A log as a duty and as what its sensors read, both at the duty's own pace. −999 stands where a sensor read nothing.
 *
 * @param duty what was driven
 * @param sensor where the oil temperature sensor sat
 * @param oilC oil temperature at its times; null when not logged
 * @param backC oil from the cooler, in the same way
 * @param coolantC coolant temperature
 * @param pressureBar oil pressure
 * @param coreAirPa air pressure across the core
 */
public record DrivenLog(
        DutyDocument duty,
        Car.SensorPlace sensor,
        List<Double> oilC,
        List<Double> backC,
        List<Double> coolantC,
        List<Double> pressureBar,
        List<Double> coreAirPa) {}
