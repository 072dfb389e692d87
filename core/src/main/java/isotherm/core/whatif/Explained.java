package isotherm.core.whatif;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import isotherm.core.message.Measure;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.Factor;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * A figure of a case with its interval and what moves it.
 *
 * <p>The interval is the linear propagation of what is believed of the model's factors (JCGM 100:2008, Guide to the expression of
 * uncertainty in measurement, section 5.2: correlated inputs), each factor moved by one standard deviation both ways.
 *
 * @param figure the figure
 * @param value its value, SI units
 * @param low 10 % quantile, SI units
 * @param high 90 % quantile, SI units
 * @param moves what a step of each input changes, the largest first; inputs that change nothing are left out
 */
public record Explained(Figure figure, double value, double low, double high, List<Move> moves) {
    /** Half of an interval that holds 8 of 10, in standard deviations. */
    private static final double EIGHT_IN_TEN = new NormalDistribution().inverseCumulativeProbability(0.9);
    /** A change smaller than this share of the figure is not worth a line. */
    private static final double WORTH = 1e-3;

    /**
     * What a step of an input does.
     *
     * @param given the input
     * @param change of the figure, SI units
     */
    public record Move(Given given, double change) {}

    /**
     * @param figure one that comes out of a session
     * @param car the car
     * @param duty what it has to do
     * @param design the design
     * @param belief how sure the car's numbers are
     * @return the figure with its interval and what moves it; empty where the case does not have it
     */
    public static Optional<Explained> of(Figure figure, Car car, Duty duty, Design design, Belief belief) {
        OptionalDouble now = figure.of(Look.at(car, duty, design, 1));
        if (now.isEmpty()) {
            return Optional.empty();
        }
        double value = now.getAsDouble();
        double half = EIGHT_IN_TEN * Math.sqrt(variance(figure, value, car, duty, design, belief));
        List<Move> moves = new ArrayList<>();
        double air = duty.weather().ambientK();
        double scale = figure.measure().filter(m -> m == Measure.TEMPERATURE).isPresent()
                ? Math.max(1, Math.abs(value - air))
                : Math.abs(value);
        for (Given given : Given.values()) {
            given.moved(car, duty, design)
                    .flatMap(l -> boxed(figure.of(l)))
                    .map(v -> new Move(given, v - value))
                    .filter(m -> Math.abs(m.change()) > WORTH * scale)
                    .ifPresent(moves::add);
        }
        moves.sort(Comparator.comparingDouble((Move m) -> Math.abs(m.change())).reversed());
        return Optional.of(new Explained(figure, value, value - half, value + half, List.copyOf(moves)));
    }

    private static double variance(Figure figure, double value, Car car, Duty duty, Design design, Belief belief) {
        List<Factor> factors = belief.factors();
        double[] slopes = new double[factors.size()];
        for (int i = 0; i < slopes.length; i++) {
            double d = belief.deviation()[i];
            if (d > 0 && (factors.get(i).acts(car, design) || factors.get(i) == Factor.BEARINGS)) {
                OptionalDouble up = moved(figure, factors.get(i).scale(car, Math.exp(d)), duty, design);
                OptionalDouble down = moved(figure, factors.get(i).scale(car, Math.exp(-d)), duty, design);
                if (up.isPresent() && down.isPresent()) {
                    slopes[i] = (up.getAsDouble() - down.getAsDouble()) / 2;
                }
            }
        }
        double variance = 0;
        for (int i = 0; i < slopes.length; i++) {
            for (int j = 0; j < slopes.length; j++) {
                variance += slopes[i] * belief.correlation()[i][j] * slopes[j];
            }
        }
        if (figure.measure().filter(m -> m == Measure.TEMPERATURE).isPresent()) {
            double leftOut = belief.discrepancy() * (value - duty.weather().ambientK());
            variance += leftOut * leftOut;
        }
        return Math.max(0, variance);
    }

    private static OptionalDouble moved(Figure figure, Car car, Duty duty, Design design) {
        return figure.of(Look.at(car, duty, design, 1));
    }

    private static Optional<Double> boxed(OptionalDouble v) {
        return v.isPresent() ? Optional.of(v.getAsDouble()) : Optional.empty();
    }
}
