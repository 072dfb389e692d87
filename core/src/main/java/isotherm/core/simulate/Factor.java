package isotherm.core.simulate;

import isotherm.core.car.Car;
import isotherm.core.heat.HeatSchool;
import isotherm.core.message.MessageTopic;
import java.util.List;

/** A number of the model that neither tape nor data sheet gives: believed within its prior, or learned from a log. */
public enum Factor implements MessageTopic {
    /** Factor on the heat into the oil. */
    HEAT(0.15),
    /** Factor on the passive losses of sump and block. */
    LOSSES(0.20),
    /** Factor on the oil and the metal that follows it. */
    MASS(0.25),
    /** Factor on the core's efficacy. */
    EFFICACY(0.125),
    /** Factor on the share of the air pressure that arrives. */
    AIR(0.12),
    /** Factor on the heat into the coolant under load. */
    COOLANT(0.15);

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
     * @param factor on its present number, above 0
     * @return the car with that number scaled
     */
    public Car scale(Car car, double factor) {
        return switch (this) {
            case HEAT -> car.withSchool(new HeatSchool.Fitted(car.school(), factor));
            case LOSSES -> {
                Car.PassiveLosses l = car.losses();
                yield car.withLosses(
                        new Car.PassiveLosses(l.still() * factor, l.moving() * factor, l.block() * factor, l.metal()));
            }
            case MASS -> {
                // Oil is weighed at its change; what is uncertain is how much metal follows it.
                Car.PassiveLosses l = car.losses();
                double oil = car.oilVolume() * car.oil().density15() * car.oil().specificHeat(WARM_K);
                double metal = Math.max(0, factor * (oil + l.metal()) - oil);
                yield car.withLosses(new Car.PassiveLosses(l.still(), l.moving(), l.block(), metal));
            }
            case EFFICACY ->
                car.withCorrection(new Car.Correction(
                        car.correction().efficacy() * factor, car.correction().air()));
            case AIR ->
                car.withCorrection(new Car.Correction(
                        car.correction().efficacy(), car.correction().air() * factor));
            case COOLANT ->
                car.withCoolant(car.coolant().withHeatShare(car.coolant().heatShare() * factor));
        };
    }
}
