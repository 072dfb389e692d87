package isotherm.server.store;

/** What kinds of documents are kept; each has a form of its own. */
public enum Shelf {
    /** Cars. */
    CAR,
    /** Duties. */
    DUTY,
    /** Designs. */
    DESIGN,
    /** Logs, without their rows. */
    LOG,
    /** Builds. */
    BUILD,
    /** Entries of run sheets. */
    SHEET_ENTRY,
    /** Entries of care books. */
    CARE_ENTRY,
    /** Parts of the garage's own. */
    PART,
    /** What holds for the whole garage. */
    SETTINGS
}
