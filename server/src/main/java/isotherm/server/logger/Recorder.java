package isotherm.server.logger;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.TrackDuty;
import isotherm.core.fluid.Units;
import isotherm.core.simulate.Factor;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Writes the log that a logger in a car would have written: the session of a car whose true factors nobody knows, sampled with
 * noise, rounded as loggers round, with dropouts.
 */
public final class Recorder {
    private static final double OIL_NOISE = 0.4;
    private static final double COOLANT_NOISE = 0.3;
    private static final double PRESSURE_NOISE = 0.04;
    private static final double SPEED_NOISE = 0.4;
    private static final double RPM_NOISE = 15;
    /** A dropout begins once in this many seconds on average, and lasts some seconds. */
    private static final double DROPOUT_EVERY = 400;

    private Recorder() {}

    /**
     * What is recorded.
     *
     * @param car the car as its owner knows it
     * @param duty what is driven
     * @param design the design that is in it
     * @param truth true factors on the car's figures
     * @param rowsPerSecond rows per second
     * @param seed the same seed gives the same log
     */
    public record Recipe(
            Car car, Duty duty, Design design, Map<Factor, Double> truth, double rowsPerSecond, long seed) {}

    /**
     * @param recipe what is recorded
     * @return the session as it truly was
     */
    public static Session truth(Recipe recipe) {
        Car car = recipe.car();
        for (Map.Entry<Factor, Double> f : recipe.truth().entrySet()) {
            car = f.getKey().scale(car, f.getValue());
        }
        return Simulator.run(car, recipe.duty(), recipe.design());
    }

    /**
     * Writes a log as separated values with a header line.
     *
     * @param recipe what is recorded
     * @param out receives the text
     * @throws IOException when it cannot be written
     */
    public static void write(Recipe recipe, Appendable out) throws IOException {
        Session s = truth(recipe);
        DemandTrace demand = s.demand();
        Random random = new Random(recipe.seed());
        boolean laps = recipe.duty() instanceof TrackDuty;
        boolean cooled = recipe.design().cooler().isPresent();
        out.append("Time [s],Speed [km/h],Engine speed [rpm],Oil temp [°C]")
                .append(cooled ? ",Oil return [°C]" : "")
                .append(",Coolant temp [°C],Oil pressure [bar]")
                .append(laps ? ",Lap" : "")
                .append('\n');
        double step = 1 / recipe.rowsPerSecond();
        int rows = (int) Math.floor((demand.duration() - demand.cell()) / step);
        int gone = 0;
        for (int i = 0; i < rows; i++) {
            double t = i * step;
            if (gone == 0 && random.nextDouble() < step / DROPOUT_EVERY) {
                gone = (int) Math.round((1 + 3 * random.nextDouble()) / step);
            }
            double at = t / demand.cell();
            int cell = (int) at;
            double f = at - cell;
            out.append(number(t, 2))
                    .append(',')
                    .append(number(
                            Math.max(0, between(demand.speed(), cell, f) * 3.6 + SPEED_NOISE * random.nextGaussian()),
                            1))
                    .append(',')
                    .append(number(Math.max(0, between(demand.rpm(), cell, f) + RPM_NOISE * random.nextGaussian()), 0))
                    .append(',');
            double oil = s.at(recipe.car().sensor(), cell)
                    + f
                            * (s.at(recipe.car().sensor(), cell + 1)
                                    - s.at(recipe.car().sensor(), cell));
            double oilRead = Units.celsius(oil) + OIL_NOISE * random.nextGaussian();
            out.append(gone > 0 ? "" : number(oilRead, 1));
            if (cooled) {
                double back = Units.celsius(between(s.returned(), cell, f)) + OIL_NOISE * random.nextGaussian();
                out.append(',').append(number(back, 1));
            }
            double coolant = Units.celsius(between(s.coolant(), cell, f)) + COOLANT_NOISE * random.nextGaussian();
            double pressure = between(s.pressure(), cell, f) / 1e5 + PRESSURE_NOISE * random.nextGaussian();
            out.append(',').append(number(coolant, 1)).append(',').append(number(Math.max(0, pressure), 2));
            if (laps) {
                out.append(',').append(String.valueOf(lap(demand.phases(), t)));
            }
            out.append('\n');
            gone = Math.max(0, gone - 1);
        }
    }

    private static int lap(List<DemandTrace.Phase> phases, double t) {
        int lap = 0;
        for (DemandTrace.Phase p : phases) {
            lap += p.start() <= t ? 1 : 0;
        }
        return lap;
    }

    private static double between(double[] values, int cell, double f) {
        double next = values[Math.min(cell + 1, values.length - 1)];
        return values[cell] + f * (next - values[cell]);
    }

    private static String number(double value, int digits) {
        return BigDecimal.valueOf(value).setScale(digits, RoundingMode.HALF_UP).toPlainString();
    }
}
