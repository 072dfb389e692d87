package isotherm.core.compare;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Fan;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.ClimbDuty;
import isotherm.core.duty.CruiseDuty;
import isotherm.core.duty.Duty;
import isotherm.core.duty.Weather;
import isotherm.core.exchanger.Core;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;

/** Whole sessions over two design variables: the isotherm map. */
public final class DesignMap {
    private DesignMap() {}

    /** A variable that an axis can show. */
    public enum Axis {
        /** Oil rows. */
        ROWS("rows", ""),
        /** Finned width, m. */
        WIDTH("finned width", "m"),
        /** Share of the face that gets no air, 0 to 1. */
        SHADE("shaded share", ""),
        /** Share of the available pressure that arrives, 0 to 1. */
        SEALING("sealing", ""),
        /** Opening that feeds the core, m². */
        OPENING("opening", "m²"),
        /** Thermostat opening, K. */
        THERMOSTAT("thermostat opening", "K"),
        /** Air temperature, K. */
        AMBIENT("air temperature", "K"),
        /** Brake power of the engine, W. */
        POWER("engine power", "W"),
        /** Road speed of a climb or cruise, m/s. */
        SPEED("road speed", "m/s"),
        /** Flow of the core's fan at no pressure, m³/s. */
        FAN_FLOW("fan flow", "m³/s");

        private final String words;
        private final String unit;

        Axis(String words, String unit) {
            this.words = words;
            this.unit = unit;
        }

        /** @return what it is */
        public String words() {
            return words;
        }

        /** @return unit, empty for a pure number */
        public String unit() {
            return unit;
        }

        /** Sets the variable to a value. */
        Setting set(Setting s, double value) {
            Optional<Design.Cooler> cooler = s.design().cooler();
            return switch (this) {
                case ROWS ->
                    s.with(cooler.map(c -> s.design().withCore(c.core().withRows((int) Math.round(value))))
                            .orElse(s.design()));
                case WIDTH ->
                    s.with(cooler.map(c -> s.design().withCore(wide(c.core(), value)))
                            .orElse(s.design()));
                case SHADE ->
                    s.with(cooler.map(c -> s.design().withAirway(c.airway().withShade(value)))
                            .orElse(s.design()));
                case SEALING ->
                    s.with(cooler.map(c -> s.design().withAirway(c.airway().withSealing(value)))
                            .orElse(s.design()));
                case OPENING ->
                    s.with(cooler.map(c -> s.design().withAirway(c.airway().withOpening(value)))
                            .orElse(s.design()));
                case THERMOSTAT -> s.with(s.design().withThermostat(Optional.of(OilThermostat.opening(value))));
                case AMBIENT ->
                    new Setting(
                            s.car(),
                            s.duty()
                                    .withWeather(new Weather(
                                            value, s.duty().weather().altitude())),
                            s.design());
                case POWER -> new Setting(s.car().withEngine(s.car().engine().withPower(value)), s.duty(), s.design());
                case SPEED -> new Setting(s.car(), atSpeed(s.duty(), value), s.design());
                case FAN_FLOW ->
                    s.with(cooler.map(c -> s.design().withAirway(fanned(c.airway(), value)))
                            .orElse(s.design()));
            };
        }

        private static Core wide(Core c, double width) {
            return new Core(
                    c.construction(), c.rows(), width, c.depth(), c.passes(), c.finish(), c.ports(), c.detail());
        }

        private static Airway fanned(Airway airway, double flow) {
            Fan now = airway.fan().orElse(Fan.TYPICAL);
            return airway.withFan(Optional.of(new Fan(now.stallPressure(), flow, now.onK(), now.offK())));
        }

        private static Duty atSpeed(Duty duty, double speed) {
            if (duty instanceof ClimbDuty c) {
                return c.withSpeed(speed);
            }
            if (duty instanceof CruiseDuty c) {
                return new CruiseDuty(speed, c.duration(), c.coldStart(), c.weather());
            }
            throw new IllegalArgumentException("Only a climb or a cruise has one road speed");
        }
    }

    /** A car, a duty and a design. */
    record Setting(Car car, Duty duty, Design design) {
        Setting with(Design other) {
            return new Setting(car, duty, other);
        }
    }

    /**
     * One axis of a map.
     *
     * @param axis the variable
     * @param values its values, in its SI unit
     */
    public record Scale(Axis axis, double[] values) {
        /**
         * @param axis the variable
         * @param from first value
         * @param to last value
         * @param count number of values, 2 or more
         * @return evenly spaced values
         */
        public static Scale even(Axis axis, double from, double to, int count) {
            return new Scale(
                    axis,
                    IntStream.range(0, count)
                            .mapToDouble(i -> from + (to - from) * i / (count - 1))
                            .toArray());
        }
    }

    /**
     * A map; rows of the arrays follow the second axis, columns the first.
     *
     * @param x first axis
     * @param y second axis
     * @param peak highest oil temperature, K
     * @param plateau plateau, K
     * @param coolant highest coolant temperature, K
     */
    public record Result(Scale x, Scale y, double[][] peak, double[][] plateau, double[][] coolant) {}

    /**
     * Runs a session at every point, on all processors.
     *
     * @param car the car
     * @param duty the duty
     * @param design the design about which the two variables move
     * @param x first axis
     * @param y second axis
     * @param cancelled asked before each session
     * @return the map
     * @throws CancellationException when it was cancelled
     */
    public static Result of(Car car, Duty duty, Design design, Scale x, Scale y, BooleanSupplier cancelled) {
        int columns = x.values().length;
        int rows = y.values().length;
        double[][] peak = new double[rows][columns];
        double[][] plateau = new double[rows][columns];
        double[][] coolant = new double[rows][columns];
        Setting base = new Setting(car, duty, design);
        IntStream.range(0, rows * columns).parallel().forEach(i -> {
            if (cancelled.getAsBoolean()) {
                throw new CancellationException("The map was cancelled");
            }
            int row = i / columns;
            int column = i % columns;
            Setting s = y.axis().set(x.axis().set(base, x.values()[column]), y.values()[row]);
            Session session = Simulator.run(s.car(), s.duty(), s.design());
            peak[row][column] = session.peak();
            plateau[row][column] = session.plateau();
            coolant[row][column] = session.peakCoolant();
        });
        return new Result(x, y, peak, plateau, coolant);
    }
}
