package isotherm.core.exchanger;

/** Plates closed by bars, offset strips on both sides. */
final class BarAndPlateCore extends PlateCore {
    /** Width of a bar (default), m. */
    private static final double BAR = 5e-3;

    private static final double TANK_WALL = 3e-3;

    private final AirFin fin;

    BarAndPlateCore(Core core) {
        // Bars close the two ends of every air passage.
        super(core, 1 - 2 * BAR / core.width());
        CoreDetail d = core.detail();
        this.fin = new OffsetStrip(clear(), clearHeight(), d.finThickness(), d.louvrePitch());
    }

    @Override
    AirFin airFin() {
        return fin;
    }

    @Override
    double passageMetal() {
        double oilBars = core().rows() * 2 * BAR * core().detail().oilGap() * core().width();
        double airBars = (core().rows() + 1) * 2 * BAR * core().finHeight() * core().depth();
        return super.passageMetal() + oilBars + airBars;
    }

    @Override
    double tankWall() {
        return TANK_WALL;
    }
}
