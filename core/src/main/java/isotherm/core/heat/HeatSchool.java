package isotherm.core.heat;

/** A way of estimating the heat that an engine puts into its oil. */
public sealed interface HeatSchool {
    /**
     * @param engine the engine
     * @param brakePower momentary brake power, W, 0 or more
     * @param rpm engine speed, 1/min
     * @return heat into the oil, W, with oil of {@link #REFERENCE_VISCOSITY}
     */
    double oilHeat(Engine engine, double brakePower, double rpm);

    /** Kinematic viscosity at which the schools' figures hold, m²/s (default): a 5W-40 near 105 °C. */
    double REFERENCE_VISCOSITY = 11e-6;
    /**
     * Exponent of shear heat on kinematic viscosity (default): between the half of full films and nothing of mixed friction.
     * Orders after Heywood, Internal Combustion Engine Fundamentals, 13.2.
     */
    double SHEAR_EXPONENT = 0.25;

    /**
     * Share of the heat that comes from shearing the oil and so falls as the oil thins; the rest comes from pistons and
     * turbocharger.
     *
     * @param engine the engine
     * @param brakePower momentary brake power, W, 0 or more
     * @param rpm engine speed, 1/min
     * @return share, 0 to 1
     */
    default double shearShare(Engine engine, double brakePower, double rpm) {
        double shear = Friction.FRICTION_SHARE * Friction.power(engine, rpm);
        double all = new Friction(Friction.FRICTION_SHARE).oilHeat(engine, brakePower, rpm);
        return all > 0 ? shear / all : 1;
    }

    /**
     * A fixed share of brake power, but never less than the friction of an engine that is only being turned over: on a
     * light throttle and on the overrun the bearings shear the oil all the same.
     *
     * @param share share of brake power, 0 to 0.3
     */
    record ShareOfPower(double share) implements HeatSchool {
        @Override
        public double oilHeat(Engine engine, double brakePower, double rpm) {
            return Math.max(share * brakePower, Friction.FRICTION_SHARE * Friction.power(engine, rpm));
        }
    }

    /**
     * Friction and piston cooling added up. FMEP of spark-ignition engines after Barnes-Moss, in Heywood, Internal Combustion
     * Engine Fundamentals, eq. 13.5: FMEP [bar] = 0.97 + 0.15 n + 0.05 n², n in 1000/min; of diesels after Millington and
     * Hartles, ibid. eq. 13.6: FMEP [kPa] = 75 + 48 n + 0.4 S², S the mean piston speed in m/s. Both were measured on motored
     * engines, so that they hold on the overrun as well.
     *
     * @param frictionShare share of friction power that ends in the oil, 0 to 1
     */
    record Friction(double frictionShare) implements HeatSchool {
        /** Share of friction power that ends in the oil (default). */
        public static final double FRICTION_SHARE = 0.25;
        /** Share of fuel power that piston jets bring (default). */
        public static final double JET_SHARE = 0.010;
        /** Share of fuel power that pistons without jets bring (default). */
        public static final double PISTON_SHARE = 0.004;
        /** Stroke of a road car's diesel, m (default): half a litre a cylinder, as long as wide. */
        private static final double DIESEL_STROKE = 0.09;
        /** Turbocharger bearing at full load, W per Pa of boost (default, 0.3 kW per bar). */
        public static final double TURBO_BEARING = 300 / 1e5;

        @Override
        public double oilHeat(Engine engine, double brakePower, double rpm) {
            double friction = power(engine, rpm);
            double fuel = brakePower / engine.aspiration().brakeEfficiency();
            double load = engine.power() > 0 ? brakePower / engine.power() : 0;
            return frictionShare * friction
                    + (engine.pistonJets() ? JET_SHARE : PISTON_SHARE) * fuel
                    + TURBO_BEARING * engine.boost() * load;
        }

        static double power(Engine engine, double rpm) {
            double pascal = engine.aspiration() == Aspiration.TURBO_DIESEL ? dieselFmep(rpm) : fmep(rpm);
            return pascal * engine.displacement() * rpm / 120;
        }

        /**
         * @param rpm engine speed, 1/min
         * @return friction mean effective pressure of a spark-ignition engine at wide-open throttle, Pa
         */
        public static double fmep(double rpm) {
            double n = rpm / 1000;
            return (0.97 + 0.15 * n + 0.05 * n * n) * 1e5;
        }

        /**
         * @param rpm engine speed, 1/min
         * @return friction mean effective pressure of a diesel with direct injection, Pa
         */
        public static double dieselFmep(double rpm) {
            double n = rpm / 1000;
            double pistonSpeed = 2 * DIESEL_STROKE * rpm / 60;
            return (75 + 48 * n + 0.4 * pistonSpeed * pistonSpeed) * 1e3;
        }
    }

    /** Share of the highest power and speed at which two schools are made to agree: a fast lap's mean (default). */
    double AGREE = 0.75;

    /**
     * @param engine an engine
     * @return the other way of estimating its heat, set to give the same at three quarters of its power and speed
     */
    default HeatSchool other(Engine engine) {
        HeatSchool other = this instanceof Friction
                ? new ShareOfPower(engine.aspiration().oilShare())
                : new Friction(Friction.FRICTION_SHARE);
        double power = AGREE * engine.power();
        double rpm = AGREE * engine.maxRpm();
        return new Fitted(other, oilHeat(engine, power, rpm) / other.oilHeat(engine, power, rpm));
    }

    /**
     * The same school leaning further towards the other one.
     *
     * @param engine the engine whose heat is estimated
     * @param weight of the other school to be added: 1 goes all the way
     * @return the estimate between the two
     */
    default HeatSchool leaning(Engine engine, double weight) {
        return new Between(this, other(engine), weight);
    }

    /**
     * Somewhere between two schools, or a little beyond one.
     *
     * @param base the one
     * @param other the other
     * @param weight of the other: 0 for the one alone, 1 for the other alone
     */
    record Between(HeatSchool base, HeatSchool other, double weight) implements HeatSchool {
        @Override
        public double oilHeat(Engine engine, double brakePower, double rpm) {
            double one = base.oilHeat(engine, brakePower, rpm);
            return Math.max(0, one + weight * (other.oilHeat(engine, brakePower, rpm) - one));
        }

        @Override
        public HeatSchool leaning(Engine engine, double further) {
            return new Between(base, other, weight + further);
        }
    }

    /**
     * Another school, scaled by what a log says.
     *
     * @param base the school that is scaled
     * @param scale factor, above 0
     */
    record Fitted(HeatSchool base, double scale) implements HeatSchool {
        @Override
        public double oilHeat(Engine engine, double brakePower, double rpm) {
            return scale * base.oilHeat(engine, brakePower, rpm);
        }

        @Override
        public HeatSchool leaning(Engine engine, double weight) {
            return new Fitted(base.leaning(engine, weight), scale);
        }
    }
}
