package isotherm.core.exchanger;

/** Where the ports point when the core is fitted, which decides whether air can leave it. */
public enum Ports {
    /** Upwards: air leaves by itself. */
    UP,
    /** Sideways: air leaves when the feed is the lower port. */
    SIDE,
    /** Downwards: air stays in, the core has to be filled before it is fitted. */
    DOWN
}
