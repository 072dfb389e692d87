package isotherm.core.exchanger;

import java.util.Optional;

/** Plates with a turbulator in each oil gap and fins between them. */
abstract sealed class PlateCore extends CoreGeometry permits StackedPlateCore, BarAndPlateCore {
    private final double airFreeArea;
    private final double airTotalArea;
    private final double airFinShare;
    private final OffsetStrip turbulator;
    private final double oilFreeArea;

    /**
     * @param open share of each air passage that nothing closes
     */
    PlateCore(Core core, double open) {
        super(core);
        CoreDetail d = core.detail();
        double channels = core.width() / d.finPitch() * (core.rows() + 1);
        this.airFreeArea = channels * clear() * clearHeight() * open;
        double finArea = channels * 2 * core.finHeight() * core.depth() * open;
        double primeArea = channels * 2 * clear() * core.depth() * open;
        this.airTotalArea = finArea + primeArea;
        this.airFinShare = finArea / airTotalArea;
        this.turbulator = new OffsetStrip(
                d.turbulatorPitch() - d.turbulatorThickness(),
                d.oilGap() - d.turbulatorThickness(),
                d.turbulatorThickness(),
                d.stripLength());
        double rowsPerPass = (double) core.rows() / core.passes();
        this.oilFreeArea =
                rowsPerPass * core.depth() / d.turbulatorPitch() * turbulator.spacing() * turbulator.height();
    }

    final double clear() {
        return core().detail().finPitch() - core().detail().finThickness();
    }

    final double clearHeight() {
        return core().finHeight() - core().detail().finThickness();
    }

    @Override
    final double airFreeArea() {
        return airFreeArea;
    }

    @Override
    final double airTotalArea() {
        return airTotalArea;
    }

    @Override
    final double airFinShare() {
        return airFinShare;
    }

    @Override
    final double finLength(double m) {
        return m * core().finHeight() / 2;
    }

    @Override
    final double oilFreeArea() {
        return oilFreeArea;
    }

    @Override
    final double oilTotalArea() {
        return 4 * oilFreeArea * core().width() / oilHydraulicDiameter();
    }

    @Override
    final double oilHydraulicDiameter() {
        return turbulator.hydraulicDiameter();
    }

    @Override
    final Optional<OffsetStrip> turbulator() {
        return Optional.of(turbulator);
    }

    @Override
    final double passageVolume() {
        CoreDetail d = core().detail();
        double sheet = d.turbulatorThickness() / d.turbulatorPitch();
        return core().rows() * d.oilGap() * core().depth() * core().width() * (1 - sheet);
    }

    @Override
    final double finMetal() {
        CoreDetail d = core().detail();
        double perFin = Math.hypot(core().finHeight(), d.finPitch()) / d.finPitch();
        return (core().rows() + 1) * perFin * d.finThickness() * core().depth() * core().width();
    }

    @Override
    double passageMetal() {
        CoreDetail d = core().detail();
        double face = core().depth() * core().width();
        double sheet = d.turbulatorThickness() * (1 + d.oilGap() / d.turbulatorPitch()) * face;
        return core().rows() * (2 * d.plate() * face + sheet);
    }
}
