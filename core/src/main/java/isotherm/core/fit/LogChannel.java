package isotherm.core.fit;

import isotherm.core.car.Car;
import isotherm.core.simulate.Session;

/** A temperature that a logger may have kept and that teaches something about a car's oil, K. */
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
    };

    /** What the session has there, K. */
    abstract double of(Session s, Car car, int cell);
}
