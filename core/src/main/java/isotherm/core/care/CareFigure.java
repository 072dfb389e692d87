package isotherm.core.care;

import isotherm.core.message.Measure;
import isotherm.core.message.MessageTopic;
import java.util.List;

/** A figure that is read of an oil or a car, again and again. */
public enum CareFigure implements MessageTopic {
    /** Kinematic viscosity at 100 °C. */
    VISCOSITY_100(CareEntry.Kind.OIL_ANALYSIS, Measure.VISCOSITY, 1e-6, 60e-6),
    /** Fuel in the oil. */
    FUEL(CareEntry.Kind.OIL_ANALYSIS, Measure.SHARE, 0, 0.3),
    /** Water in the oil. */
    WATER(CareEntry.Kind.OIL_ANALYSIS, Measure.SHARE, 0, 0.1),
    /** Iron, mg/kg. */
    IRON(CareEntry.Kind.OIL_ANALYSIS, Measure.NUMBER, 0, 5000),
    /** Copper, mg/kg. */
    COPPER(CareEntry.Kind.OIL_ANALYSIS, Measure.NUMBER, 0, 5000),
    /** Aluminium, mg/kg. */
    ALUMINIUM(CareEntry.Kind.OIL_ANALYSIS, Measure.NUMBER, 0, 5000),
    /** Silicon, mg/kg: dust. */
    SILICON(CareEntry.Kind.OIL_ANALYSIS, Measure.NUMBER, 0, 5000),
    /** Base number, mg KOH/g. */
    BASE_NUMBER(CareEntry.Kind.OIL_ANALYSIS, Measure.NUMBER, 0, 30),
    /** Highest oil temperature. */
    OIL_PEAK(CareEntry.Kind.DASH, Measure.TEMPERATURE, 253.15, 473.15),
    /** Oil pressure at hot idle, above ambient. */
    IDLE_PRESSURE(CareEntry.Kind.DASH, Measure.PRESSURE, 0, 12e5);

    private final CareEntry.Kind kind;
    private final Measure measure;
    private final double least;
    private final double most;

    CareFigure(CareEntry.Kind kind, Measure measure, double least, double most) {
        this.kind = kind;
        this.measure = measure;
        this.least = least;
        this.most = most;
    }

    /** @return the kind of entry that it is read in */
    public CareEntry.Kind kind() {
        return kind;
    }

    /** @return what it measures */
    public Measure measure() {
        return measure;
    }

    /** @return least that is believed, in SI units */
    public double least() {
        return least;
    }

    /** @return greatest that is believed, in SI units */
    public double most() {
        return most;
    }

    @Override
    public String chapter() {
        return "careFigure";
    }

    @Override
    public List<String> parts() {
        return List.of("name");
    }
}
