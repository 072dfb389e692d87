package isotherm.core.airflow;

import java.util.function.DoubleUnaryOperator;

/**
 * A pressure loss Δp = linear·q + quadratic·q².
 *
 * @param linear Pa per m³/s, 0 or more
 * @param quadratic Pa per (m³/s)², 0 or more
 */
public record Resistance(double linear, double quadratic) {
    /** No loss at all. */
    public static final Resistance NONE = new Resistance(0, 0);

    /**
     * A loss of velocity heads.
     *
     * @param heads loss coefficient
     * @param density air density, kg/m³
     * @param area area to which the coefficient refers, m²
     * @return the loss
     */
    public static Resistance heads(double heads, double density, double area) {
        return new Resistance(0, heads * density / 2 / (area * area));
    }

    /**
     * The loss through two points of a curve, so that networks of cores solve in closed form.
     *
     * @param pressure pressure loss in Pa of a flow in m³/s
     * @param flow1 first flow, m³/s
     * @param flow2 second flow, m³/s, larger
     * @return the loss, with no negative part
     */
    public static Resistance through(DoubleUnaryOperator pressure, double flow1, double flow2) {
        double r1 = pressure.applyAsDouble(flow1) / flow1;
        double r2 = pressure.applyAsDouble(flow2) / flow2;
        double quadratic = Math.max((r2 - r1) / (flow2 - flow1), 0);
        return new Resistance(Math.max(r1 - quadratic * flow1, 0), quadratic);
    }

    /**
     * @param other a loss in series
     * @return both in series
     */
    public Resistance then(Resistance other) {
        return new Resistance(linear + other.linear, quadratic + other.quadratic);
    }

    /**
     * @param factor factor on the pressure loss
     * @return the scaled loss
     */
    public Resistance times(double factor) {
        return new Resistance(linear * factor, quadratic * factor);
    }

    /**
     * @param flow volume flow, m³/s, 0 or more
     * @return pressure loss, Pa
     */
    public double pressure(double flow) {
        return (linear + quadratic * flow) * flow;
    }

    /**
     * @param pascal pressure difference, Pa
     * @return the volume flow that it drives, m³/s; 0 for no pressure
     */
    public double flow(double pascal) {
        if (pascal <= 0) {
            return 0;
        }
        // The stable form of the root, good for quadratic = 0 as well.
        return 2 * pascal / (linear + Math.sqrt(linear * linear + 4 * quadratic * pascal));
    }
}
