package isotherm.core.exchanger;

/** What is on the fins, with the share of the bare fin's air-side conductance that is left (engineering default). */
public enum Finish {
    /** Bare aluminium. */
    BARE(1.00),
    /** One thin coat of paint. */
    THIN_PAINT(0.99),
    /** Thick powder coat, which insulates. */
    POWDER_COAT(0.94);

    private final double factor;

    Finish(double factor) {
        this.factor = factor;
    }

    /** @return share of the air-side conductance that is left, 0 to 1 */
    public double factor() {
        return factor;
    }
}
