package isotherm.core.fit;

import isotherm.core.car.Car;
import isotherm.core.simulate.Session;

/** What a logger may have kept that teaches something about a car's oil. */
public enum LogChannel {
    /** Oil temperature where the car's sensor sits, K. */
    OIL(SessionEvidence.NOISE) {
        @Override
        double of(Session s, Car car, int cell) {
            return car.shown(s.at(car.sensor(), cell));
        }
    },
    /** Oil temperature on its way into the cooler, K. */
    COOLER_IN(SessionEvidence.NOISE) {
        @Override
        double of(Session s, Car car, int cell) {
            return s.oil()[cell];
        }
    },
    /** Oil temperature on its way out of the cooler, K. */
    COOLER_OUT(SessionEvidence.NOISE) {
        @Override
        double of(Session s, Car car, int cell) {
            return s.returned()[cell];
        }
    },
    /** Coolant temperature, K. */
    COOLANT(SessionEvidence.NOISE) {
        @Override
        double of(Session s, Car car, int cell) {
            return s.coolant()[cell];
        }
    };

    private final double deviation;

    LogChannel(double deviation) {
        this.deviation = deviation;
    }

    /** What the session has there, in the channel's unit. */
    abstract double of(Session s, Car car, int cell);

    /** Standard deviation of a reading, in the channel's unit. */
    double deviation() {
        return deviation;
    }

    /** Whether it is a temperature, of whose rise the model leaves a share out. */
    boolean temperature() {
        return true;
    }
}
