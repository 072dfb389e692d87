package isotherm.core.fit;

import isotherm.core.car.Car;
import isotherm.core.simulate.Session;

/** What a logger may have kept and what teaches something about a car's oil: temperatures in K, pressures in Pa. */
public enum LogChannel {
    /** Oil where the car's sensor sits, as it is shown. */
    OIL {
        @Override
        double of(Session s, Car car, int cell) {
            return car.shown(s.at(car.sensor(), cell));
        }
    },
    /** Oil on its way into the cooler. */
    COOLER_IN {
        @Override
        double of(Session s, Car car, int cell) {
            return s.oil()[cell];
        }
    },
    /** Oil on its way out of the cooler. */
    COOLER_OUT {
        @Override
        double of(Session s, Car car, int cell) {
            return s.returned()[cell];
        }
    },
    /** Coolant. */
    COOLANT {
        @Override
        double of(Session s, Car car, int cell) {
            return s.coolant()[cell];
        }
    },
    /** Oil pressure in the gallery above ambient. */
    PRESSURE {
        @Override
        double of(Session s, Car car, int cell) {
            return s.pressure()[cell];
        }

        @Override
        double deviation() {
            return PRESSURE_ERROR;
        }

        @Override
        boolean rises() {
            return false;
        }
    };

    /** Standard deviation of what the model leaves out from one reading to the next, K. */
    private static final double TEMPERATURE_ERROR = 1.0;
    /** The same for a pressure, Pa (default): a gauge's own error, with air in the oil and the leakage of a hot pump. */
    private static final double PRESSURE_ERROR = 0.4e5;

    /** What the session has there, in the channel's unit. */
    abstract double of(Session s, Car car, int cell);

    /** Standard deviation of one reading's own error, in the channel's unit. */
    double deviation() {
        return TEMPERATURE_ERROR;
    }

    /** Whether what the model leaves out of a day's rise over the air is left out of it too. */
    boolean rises() {
        return true;
    }
}
