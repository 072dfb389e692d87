package isotherm.core.fit;

import isotherm.core.car.Car;
import isotherm.core.simulate.Session;
import java.util.Optional;

/** What a logger may have kept and what teaches something about a car's oil: temperatures in K, pressures in Pa. */
public enum LogChannel {
    /** Oil where the car's sensor sits, as it is shown. */
    OIL {
        @Override
        double of(Logged l, int cell) {
            return l.car().shown(l.session().at(l.car().sensor(), cell));
        }
    },
    /** Oil on its way into the cooler. */
    COOLER_IN {
        @Override
        double of(Logged l, int cell) {
            return l.session().oil()[cell];
        }
    },
    /** Oil on its way out of the cooler. */
    COOLER_OUT {
        @Override
        double of(Logged l, int cell) {
            return l.session().returned()[cell];
        }
    },
    /** Coolant. */
    COOLANT {
        @Override
        double of(Logged l, int cell) {
            return l.session().coolant()[cell];
        }
    },
    /** Oil pressure in the gallery above ambient. */
    PRESSURE {
        @Override
        double of(Logged l, int cell) {
            return l.session().pressure()[cell];
        }

        @Override
        double deviation() {
            return PRESSURE_ERROR;
        }

        @Override
        boolean rises() {
            return false;
        }
    },
    /** Air pressure across the core. */
    CORE_AIR {
        @Override
        double of(Logged l, int cell) {
            return l.coreAir().orElseThrow().at(l.session(), cell);
        }

        @Override
        double deviation() {
            return CORE_AIR_ERROR;
        }

        @Override
        boolean rises() {
            return false;
        }
    };

    /** What the model has while a log is driven: the session, the car that drove it, and the air at its core where there is one. */
    record Logged(Session session, Car car, Optional<CoreAir> coreAir) {}

    /** Standard deviation of what the model leaves out from one reading to the next, K. */
    private static final double TEMPERATURE_ERROR = 1.0;
    /** The same for a pressure, Pa (default): a gauge's own error, with air in the oil and the leakage of a hot pump. */
    private static final double PRESSURE_ERROR = 0.4e5;

    /** The same for the air across a core, Pa (default): gusts, traffic ahead, and where its two hoses end. */
    private static final double CORE_AIR_ERROR = 25;

    /** What the session has there, in the channel's unit. */
    abstract double of(Logged l, int cell);

    /** Standard deviation of one reading's own error, in the channel's unit. */
    double deviation() {
        return TEMPERATURE_ERROR;
    }

    /** Whether what the model leaves out of a day's rise over the air is left out of it too. */
    boolean rises() {
        return true;
    }
}
