package isotherm.core.sheet;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.hydraulics.OilCircuit;
import isotherm.core.hydraulics.OilThermostat;
import java.util.Optional;
import java.util.function.DoubleBinaryOperator;

/**
 * What the gauges should show by the model while a design is tried out.
 *
 * @param pressure gallery pressure, Pa, at an engine speed, 1/min, and an oil temperature, K
 * @param throughCoreFrom oil temperature from which oil goes through the core, K
 * @param hasThermostat whether a thermostat decides that
 */
public record Expectation(DoubleBinaryOperator pressure, double throughCoreFrom, boolean hasThermostat) {
    /**
     * @param car a car
     * @param design a design of it
     * @return what its gauges should show
     */
    public static Expectation of(Car car, Design design) {
        OilCircuit circuit = new OilCircuit(car.oil(), car.pump(), car.gauge())
                .with(design.oil().orElse(car.oil()));
        Optional<CoreModel> core = design.cooler().map(c -> new CoreModel(c.core()));
        Optional<OilThermostat> thermostat =
                design.cooler().flatMap(c -> c.loop().thermostat());
        return new Expectation(
                (rpm, oilK) -> circuit.at(
                                rpm,
                                oilK,
                                design.cooler().map(Design.Cooler::loop),
                                core,
                                thermostat.map(t -> t.liftWarming(oilK)).orElse(1.0))
                        .galleryPressure(),
                thermostat.map(OilThermostat::opensK).orElse(StepWriter.LOADABLE),
                thermostat.isPresent());
    }
}
