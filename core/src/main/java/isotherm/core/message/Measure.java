package isotherm.core.message;

import static isotherm.core.message.Unit.of;

/**
 * The one table of units: everything that is measured, with the metric unit, in which documents are written, and the imperial one.
 * Factors after BIPM, The International System of Units (9th edition), and NIST Special Publication 811, appendix B.
 */
public enum Measure {
    /** Temperature; SI value in K. */
    TEMPERATURE(
            of("°C", 1, 0, "c", "degc").from(-273.15),
            of("°F", 1.8, 0, "f", "degf").from(-459.67)),
    /** Difference of two temperatures; SI value in K. */
    TEMPERATURE_DIFFERENCE(of("°C", 1, 0, "c", "k"), of("°F", 1.8, 0, "f", "degf")),
    /** Change of temperature with time; SI value in K/s. */
    TEMPERATURE_RATE(of("°C/min", 60, 1), of("°F/min", 108, 1)),
    /** Length of a part; SI value in m. */
    LENGTH(of("mm", 1e3, 0), of("in", 1 / 0.0254, 2, "\"", "inch")),
    /** Length of a way, or height; SI value in m. */
    DISTANCE(of("m", 1, 0), of("ft", 1 / 0.3048, 0, "'", "feet")),
    /** Way that a car has driven; SI value in m. */
    TRAVEL(of("km", 1e-3, 0), of("mi", 1 / 1609.344, 0, "mile", "miles")),
    /** Speed of a car; SI value in m/s. */
    SPEED(of("km/h", 3.6, 0, "kmh", "kph"), of("mph", 3600 / 1609.344, 0)),
    /** Speed of air or oil; SI value in m/s. */
    AIR_SPEED(of("m/s", 1, 1), of("ft/s", 1 / 0.3048, 0)),
    /** Power of an engine; SI value in W. */
    POWER(of("kW", 1e-3, 0), of("hp", 1 / 745.699872, 0, "bhp")),
    /** Flow of heat; SI value in W. */
    HEAT(of("kW", 1e-3, 1), of("hp", 1 / 745.699872, 1)),
    /** Pressure; SI value in Pa. */
    PRESSURE(of("bar", 1e-5, 2), of("psi", 1 / 6894.757, 0)),
    /** Volume of oil; SI value in m³. */
    VOLUME(of("L", 1e3, 2, "l", "litre", "liter"), of("qt", 1 / 0.946352946e-3, 2, "quart", "quarts")),
    /** Flow of oil; SI value in m³/s. */
    FLOW(of("L/min", 60e3, 1), of("gal/min", 60 / 3.785411784e-3, 1)),
    /** Flow of air; SI value in m³/s. */
    AIR_FLOW(of("m³/s", 1, 2), of("ft³/min", 60 / 0.028316846592, 0, "cfm")),
    /** Mass; SI value in kg. */
    MASS(of("kg", 1, 0), of("lb", 1 / 0.45359237, 0, "lbs")),
    /** Torque; SI value in N·m. */
    TORQUE(of("N·m", 1, 0, "nm"), of("lb·ft", 1 / 1.3558179483, 0, "lbft", "ftlb", "lb-ft")),
    /** Angle of a joint or port; SI value in rad. */
    ANGLE(of("°", 180 / Math.PI, 0, "deg"), of("turn", 0.5 / Math.PI, 3, "turns")),
    /** Area; SI value in m². */
    AREA(of("cm²", 1e4, 0, "cm2"), of("in²", 1 / (0.0254 * 0.0254), 0, "in2", "sqin")),
    /** Kinematic viscosity; SI value in m²/s. */
    VISCOSITY(of("cSt", 1e6, 1), of("cSt", 1e6, 1)),
    /** Engine speed; SI value in 1/s. */
    ENGINE_SPEED(of("rpm", 60, 0), of("rpm", 60, 0)),
    /** Time; SI value in s. */
    TIME(of("s", 1, 0), of("s", 1, 0)),
    /** Share of a whole; SI value from 0 to 1. */
    SHARE(of("%", 100, 0), of("%", 100, 0)),
    /** A pure number. */
    NUMBER(of("", 1, 2), of("", 1, 2));

    private final Unit metric;
    private final Unit imperial;

    Measure(Unit metric, Unit imperial) {
        this.metric = metric;
        this.imperial = imperial;
    }

    /** @return the metric unit, in which documents are written */
    public Unit metric() {
        return metric;
    }

    /** @return the imperial unit; the same where people who measure in inches have no other */
    public Unit imperial() {
        return imperial;
    }
}
