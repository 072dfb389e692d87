package isotherm.core.airflow;

/**
 * Where a core is fitted, with the pressure coefficients that drive air through it.
 *
 * <p>Orders of magnitude after Hucho, Aerodynamics of Road Vehicles; engineering defaults, each replaceable by a measured
 * pressure.
 */
public enum Place {
    /** Grille centre, in front of the radiator. */
    GRILLE_AHEAD(0.85, 0.05, 0.60, Stream.AHEAD_OF_RADIATOR),
    /** Lower grille, in front of the radiator. */
    LOWER_GRILLE_AHEAD(0.75, 0.05, 0.60, Stream.AHEAD_OF_RADIATOR),
    /** Behind the radiator, in its stream. */
    BEHIND_RADIATOR(0.85, 0.05, 0.90, Stream.BEHIND_RADIATOR),
    /** Front corner by the wheel arch, duct in, vented arch liner out. */
    FRONT_CORNER_VENTED(0.55, -0.15, 0.90, Stream.OWN),
    /** Front corner by the wheel arch, duct in, closed arch liner. */
    FRONT_CORNER_CLOSED(0.55, 0.25, 0.90, Stream.OWN),
    /** Under the floor. */
    UNDER_FLOOR(0.15, -0.10, 0.60, Stream.OWN),
    /** Duct to a rear quarter. */
    REAR_QUARTER(0.25, -0.10, 0.90, Stream.OWN);

    /** Whose air a core breathes. */
    public enum Stream {
        /** It takes the radiator's air first. */
        AHEAD_OF_RADIATOR,
        /** It gets what the radiator leaves. */
        BEHIND_RADIATOR,
        /** It has a stream to itself. */
        OWN
    }

    private final double cpIn;
    private final double cpOut;
    private final double sealing;
    private final Stream stream;

    Place(double cpIn, double cpOut, double sealing, Stream stream) {
        this.cpIn = cpIn;
        this.cpOut = cpOut;
        this.sealing = sealing;
        this.stream = stream;
    }

    /** @return pressure coefficient at the inlet */
    public double cpIn() {
        return cpIn;
    }

    /** @return pressure coefficient at the outlet */
    public double cpOut() {
        return cpOut;
    }

    /** @return default share of the available pressure that arrives at the core, 0 to 1 */
    public double sealing() {
        return sealing;
    }

    /** @return whose air the core breathes */
    public Stream stream() {
        return stream;
    }
}
