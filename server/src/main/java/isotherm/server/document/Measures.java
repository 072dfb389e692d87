package isotherm.server.document;

import isotherm.core.fluid.Units;
import isotherm.core.sheet.Step;

/** Units in which figures of a run sheet are written: bar, °C, N·m, L, mm and °. */
final class Measures {
    private static final double PASCAL_PER_BAR = 1e5;

    private Measures() {}

    /**
     * @param measure what is measured
     * @param si the value in SI units
     * @return the value as it is written
     */
    static double written(Step.Measure measure, double si) {
        return switch (measure) {
            case PRESSURE -> si / PASCAL_PER_BAR;
            case TEMPERATURE -> Units.celsius(si);
            case TORQUE -> si;
            case VOLUME, LENGTH -> si * 1e3;
            case ANGLE -> Math.toDegrees(si);
        };
    }

    /**
     * @param measure what is measured
     * @param written the value as it is written
     * @return the value in SI units
     */
    static double si(Step.Measure measure, double written) {
        return switch (measure) {
            case PRESSURE -> written * PASCAL_PER_BAR;
            case TEMPERATURE -> Units.kelvin(written);
            case TORQUE -> written;
            case VOLUME, LENGTH -> written * 1e-3;
            case ANGLE -> Math.toRadians(written);
        };
    }
}
