package isotherm.core.exchanger;

/** How a core is made. */
public enum Construction {
    /** Pressed plates with a turbulator in each oil gap and louvred fins between them. */
    STACKED_PLATE,
    /** Plates closed by bars, offset strips on both sides: stronger, heavier, less free air area. */
    BAR_AND_PLATE,
    /** Round tubes through plain fins: light and cheap, little heat for its size. */
    TUBE_AND_FIN,
    /** The oil section of a combined radiator: flat tubes with turbulators in the frame and the fins of the water's. */
    COMBINED_RADIATOR
}
