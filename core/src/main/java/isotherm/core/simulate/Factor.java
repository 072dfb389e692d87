package isotherm.core.simulate;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.heat.HeatSchool;
import isotherm.core.message.MessageTopic;
import java.util.List;

/** A number of the model that neither tape nor data sheet gives: believed within its prior, or learned from a log. */
public enum Factor implements MessageTopic {
    /** Factor on the heat into the oil. */
    HEAT(0.30),
    /** Leaning towards the other school of heat: its logarithm is the other's weight. */
    SCHOOL(1.0),
    /** Factor on what the sump loses to the air. */
    SUMP(0.30),
    /** Factor on how much the air around the sump is warmed. */
    BONNET(0.5),
    /** Factor on what passes between oil and coolant through the block. */
    BLOCK(0.40),
    /** Factor on sump and block together, as logs told of them before the two were told apart; no new fit has it. */
    LOSSES(0.20),
    /** Factor on the oil and the metal that follows it. */
    MASS(0.25),
    /** Factor on the core's efficacy. */
    EFFICACY(0.125),
    /** Factor on the air pressure that arrives at the core. */
    AIR(0.25),
    /** Factor on the heat of what stands ahead of the core. */
    AHEAD(0.4),
    /** Factor on the heat into the coolant under load. */
    COOLANT(0.15),
    /** Factor on what the radiator gives to the air. */
    RADIATOR(0.12),
    /** Factor on the oil thermostat's opening temperature in °C: 1.5 °C of 90. */
    OPENING(0.0167),
    /** Factor on what the oil temperature sensor shows in °C: 1 °C of 100. */
    SENSOR(0.01),
    /** Factor on the exponent of shear heat on the oil's viscosity: 0.2 to 0.3. */
    SHEAR(0.2),
    /** Factor on how much the bearings resist: a gauge is read to 10 %, and bearings are not all of one clearance. */
    BEARINGS(0.15);

    /** Oil temperature at which its heat capacity is weighed against the metal's, K. */
    private static final double WARM_K = 363;

    private final double spread;

    Factor(double spread) {
        this.spread = spread;
    }

    @Override
    public String chapter() {
        return "factor";
    }

    @Override
    public List<String> parts() {
        return List.of("name");
    }

    /** @return standard deviation of its logarithm before any log (default), about a share of the nominal value */
    public double spread() {
        return spread;
    }

    /**
     * @param car a car
     * @param design a design
     * @return whether it can change that design's session at all
     */
    public boolean acts(Car car, Design design) {
        return switch (this) {
            case EFFICACY, AIR, BEARINGS -> design.cooler().isPresent();
            case OPENING -> design.cooler().flatMap(c -> c.loop().thermostat()).isPresent();
            case AHEAD ->
                design.cooler().filter(c -> c.airway().heatAhead() > 0).isPresent();
            case SENSOR -> false;
            default -> true;
        };
    }

    /**
     * @param car a car
     * @param factor on its present number, above 0
     * @return the car with that number scaled
     */
    public Car scale(Car car, double factor) {
        return switch (this) {
            case HEAT -> car.withSchool(new HeatSchool.Fitted(car.school(), factor));
            case SUMP -> losses(car, factor, 1);
            case BONNET -> {
                Car.PassiveLosses l = car.losses();
                yield car.withLosses(new Car.PassiveLosses(
                        l.still(), l.moving(), l.block(), l.metal(), Math.min(1, l.warmed() * factor)));
            }
            case BLOCK -> losses(car, 1, factor);
            case LOSSES -> losses(car, factor, factor);
            case SCHOOL -> car.withSchool(car.school().leaning(car.engine(), Math.log(factor)));
            case MASS -> {
                // Oil is weighed at its change; what is uncertain is how much metal follows it.
                Car.PassiveLosses l = car.losses();
                double oil = car.oilVolume() * car.oil().density15() * car.oil().specificHeat(WARM_K);
                double metal = Math.max(0, factor * (oil + l.metal()) - oil);
                yield car.withLosses(new Car.PassiveLosses(l.still(), l.moving(), l.block(), metal, l.warmed()));
            }
            case EFFICACY -> corrected(car, factor, 1, 1, 1, 1, 1, 1);
            case AIR -> corrected(car, 1, factor, 1, 1, 1, 1, 1);
            case OPENING -> corrected(car, 1, 1, factor, 1, 1, 1, 1);
            case AHEAD -> corrected(car, 1, 1, 1, 1, factor, 1, 1);
            case SENSOR -> corrected(car, 1, 1, 1, factor, 1, 1, 1);
            case SHEAR -> corrected(car, 1, 1, 1, 1, 1, factor, 1);
            case BEARINGS -> car.withGauge(car.gauge().times(factor));
            case COOLANT ->
                car.withCoolant(car.coolant().withHeatShare(car.coolant().heatShare() * factor));
            case RADIATOR -> corrected(car, 1, 1, 1, 1, 1, 1, factor);
        };
    }

    private static Car corrected(
            Car car,
            double efficacy,
            double air,
            double opening,
            double sensor,
            double ahead,
            double shear,
            double radiator) {
        return car.withCorrection(
                car.correction().times(new Car.Correction(efficacy, air, opening, sensor, ahead, shear, radiator)));
    }

    private static Car losses(Car car, double sump, double block) {
        Car.PassiveLosses l = car.losses();
        return car.withLosses(
                new Car.PassiveLosses(l.still() * sump, l.moving() * sump, l.block() * block, l.metal(), l.warmed()));
    }
}
