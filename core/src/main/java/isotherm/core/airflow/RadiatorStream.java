package isotherm.core.airflow;

/**
 * A radiator whose face is in part covered by an oil cooler: two streams, through the cooler and beside it, that share the
 * openings before them and, behind the radiator, one room with one fan and one way out. Source of the form: Kirchhoff's two
 * laws, for volumes at the outside air's density.
 */
final class RadiatorStream {
    private final Resistance covered;
    private final Resistance open;
    private final double openings;
    private final double wayOut;
    private final double fanPressure;
    private final double fanFall;
    private final double freeFlow;

    /**
     * @param radiator the radiator
     * @param coveredShare share of its face that the cooler covers, 0 to 1
     * @param density of the outside air, kg/m³
     * @param ambientK of the outside air, K
     */
    RadiatorStream(Radiator radiator, double coveredShare, double density, double ambientK) {
        double within = 1 + Radiator.RISE / 2 / ambientK;
        double behind = 1 + Radiator.RISE / ambientK;
        this.covered = coveredShare > 0 ? radiator.resistance(coveredShare, within) : Resistance.NONE;
        this.open = radiator.resistance(Math.max(1 - coveredShare, 1e-6), within);
        this.openings = Resistance.heads(Airway.OPENING_HEADS, density, radiator.openingArea())
                .quadratic();
        this.wayOut = Resistance.heads(Radiator.BAY_EXIT_HEADS, density, radiator.faceArea())
                .times(behind)
                .quadratic();
        // The fan turns in the air that the radiator has warmed: thinner, and more of it.
        this.fanPressure = radiator.fanPressure() * density / behind / Fan.REFERENCE_DENSITY;
        this.freeFlow = radiator.fanFlow() / behind;
        this.fanFall = fanPressure / (freeFlow * freeFlow);
    }

    /**
     * The radiator while so much goes through the cooler.
     *
     * @param beside flow beside the cooler, m³/s
     * @param behindOpening pressure behind the openings, Pa above what is outside
     * @param radiator loss of the covered part of the radiator, Pa
     * @param behindRadiator pressure in the room behind it, Pa above what is outside; below it where a fan draws
     * @param outlet loss on the way out, Pa
     * @param fanPressure what the fan adds, Pa
     */
    record State(
            double beside,
            double behindOpening,
            double radiator,
            double behindRadiator,
            double outlet,
            double fanPressure) {}

    /**
     * @param ram pressure that speed offers, Pa
     * @param through flow through the cooler, m³/s
     * @param fanOn whether the fan is driven; one that would only stand in the way is left to idle
     * @return flows and pressures
     */
    State at(double ram, double through, boolean fanOn) {
        if (fanOn && fanPressure > 0) {
            double beside = beside(ram + fanPressure, through, fanFall);
            double all = through + beside;
            if (all < freeFlow) {
                return state(ram, through, beside, fanPressure - fanFall * all * all);
            }
        }
        return state(ram, through, beside(ram, through, 0), 0);
    }

    private State state(double ram, double through, double beside, double fan) {
        double all = through + beside;
        double outlet = wayOut * all * all;
        return new State(beside, ram - openings * all * all, covered.pressure(through), outlet - fan, outlet, fan);
    }

    /** (K+k)·b² + (2K·a+l)·b + K·a² = p for the flow b beside a, with K of what both streams pass. */
    private double beside(double pressure, double through, double fan) {
        double shared = openings + wayOut + fan;
        return new Resistance(2 * shared * through + open.linear(), shared + open.quadratic())
                .flow(pressure - shared * through * through);
    }
}
