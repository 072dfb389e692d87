package isotherm.server.store;

/** What is stored for a car. */
public enum Kind {
    /** The car itself. */
    CAR,
    /** A duty. */
    DUTY,
    /** A design. */
    DESIGN,
    /** A log. */
    LOG,
    /** A build. */
    BUILD
}
