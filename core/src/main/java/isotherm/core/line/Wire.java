package isotherm.core.line;

import isotherm.core.parts.HoseEnd;

/**
 * A hose as a builder finds it out with a wire: bent along the way that the hose will take, from one port's face to the other's,
 * then stretched and measured.
 *
 * @param length from port to port along the way, m
 * @param bends right angles that the hose itself goes round on its way, 0 or more
 * @param fromAngle bend of the hose end at the first port, rad
 * @param toAngle bend of the hose end at the last port, rad
 */
public record Wire(double length, double bends, double fromAngle, double toAngle) {
    /** Standard deviation of where a wire's end is held, m (default). */
    private static final double END = 5e-3;
    /** Standard deviation of a bent wire, as a share of its length (default): a hose lies wider in its bends. */
    private static final double SHARE = 0.01;
    /** Free hose between two collars below which nothing is left to bend or to hold, m (default). */
    private static final double LEAST_HOSE = 50e-3;

    /** @return one standard deviation of its length, m */
    public double deviation() {
        return Math.sqrt(2 * END * END + SHARE * SHARE * length * length);
    }

    /**
     * @param adaptors length of all adaptors at both ends, m
     * @param from the first hose end
     * @param to the second
     * @return the shortest wire between whose ends these fittings and a hose find room, m
     */
    public static double least(double adaptors, HoseEnd from, HoseEnd to) {
        return adaptors + from.centreLine() + to.centreLine() + LEAST_HOSE;
    }
}
