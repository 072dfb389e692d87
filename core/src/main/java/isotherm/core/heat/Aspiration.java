package isotherm.core.heat;

/** How an engine breathes, with the share of brake power that then goes into the oil (engineering default). */
public enum Aspiration {
    /** Naturally aspirated petrol. */
    NATURAL(0.06, 0.30),
    /** Turbocharged petrol, with piston jets. */
    TURBO(0.09, 0.30),
    /** Turbocharged diesel. */
    TURBO_DIESEL(0.07, 0.38);

    private final double oilShare;
    private final double brakeEfficiency;

    Aspiration(double oilShare, double brakeEfficiency) {
        this.oilShare = oilShare;
        this.brakeEfficiency = brakeEfficiency;
    }

    /** @return share of brake power that goes into the oil, 0 to 1 */
    public double oilShare() {
        return oilShare;
    }

    /** @return brake power over fuel power at load, 0 to 1 */
    public double brakeEfficiency() {
        return brakeEfficiency;
    }
}
