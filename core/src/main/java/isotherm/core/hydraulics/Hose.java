package isotherm.core.hydraulics;

import isotherm.core.exchanger.OilState;
import isotherm.core.exchanger.TubeFlow;

/**
 * A hose with its end fittings.
 *
 * @param bore inner diameter, m
 * @param length centre-line length, m
 * @param elbows90 bends of 90°, two of 45° counting as one
 */
public record Hose(double bore, double length, double elbows90) {
    /** Bores of the sizes that are made, m: dash 6, 8, 10, 12 and 16. */
    public static final double[] BORES = {8.7e-3, 11.1e-3, 14.2e-3, 17.5e-3, 22.2e-3};

    /** Roughness of a hose liner, m (default, smooth elastomer). */
    static final double ROUGHNESS = 5e-6;
    /** Hooper's K1 of a 90° elbow, and of a fitting's two steps in bore. */
    static final double ELBOW_K1 = 800;
    /** Hooper's K∞ of a 90° elbow of 1.5 diameters' radius. */
    static final double ELBOW_K_INFINITY = 0.20;
    /** Hooper's K∞ of a hose end that narrows the bore to about 85 % (default). */
    static final double END_K_INFINITY = 0.6;

    /**
     * Pressure loss: Churchill (1977) friction in the hose, Hooper (1981) 2-K for elbows and two ends.
     *
     * @param massFlow oil mass flow, kg/s, 0 or more
     * @param oil oil properties
     * @return pressure loss, Pa
     */
    public double pressureDrop(double massFlow, OilState oil) {
        if (massFlow <= 0) {
            return 0;
        }
        double area = Math.PI / 4 * bore * bore;
        double speed = massFlow / (oil.density() * area);
        double re = speed * bore * oil.density() / oil.viscosity();
        double friction = TubeFlow.churchill(re, ROUGHNESS / bore) * length / bore;
        double boreInches = bore / 25.4e-3;
        double elbow = ELBOW_K1 / re + ELBOW_K_INFINITY * (1 + 1 / boreInches);
        double end = ELBOW_K1 / 2 / re + END_K_INFINITY * (1 + 1 / boreInches);
        return (friction + elbows90 * elbow + 2 * end) * oil.density() * speed * speed / 2;
    }

    /** @return oil that the hose holds, m³ */
    public double volume() {
        return Math.PI / 4 * bore * bore * length;
    }
}
