package isotherm.core.exchanger;

import java.util.Optional;

/** Round tubes through plain fins. */
final class TubeAndFinCore extends CoreGeometry {
    /** Tubes stand so far behind each other at least (default), m. */
    private static final double LEAST_SPACING = 16.5e-3;

    private static final double TANK_WALL = 2e-3;

    private final int deep;
    private final double airFreeArea;
    private final double airTotalArea;
    private final double airFinShare;
    private final PlainFinTubes fin;

    TubeAndFinCore(Core core) {
        super(core);
        CoreDetail d = core.detail();
        this.deep = Math.max(1, (int) Math.floor(core.depth() / LEAST_SPACING));
        double od = d.oilGap() + 2 * d.plate();
        double collar = od + 2 * d.finThickness();
        double fins = core.width() / d.finPitch();
        double longitudinal = core.depth() / deep;
        double blocked = core.rows() * collar * core.width();
        double open = 1 - d.finThickness() / d.finPitch();
        this.airFreeArea = (core.faceArea() - blocked) * open;
        double finArea = 2 * fins * (core.height() * core.depth() - core.rows() * deep * Math.PI / 4 * collar * collar);
        double tubeArea = core.rows() * deep * Math.PI * collar * core.width() * open;
        this.airTotalArea = finArea + tubeArea;
        this.airFinShare = finArea / airTotalArea;
        double dh = 4 * airFreeArea * core.depth() / airTotalArea;
        this.fin = new PlainFinTubes(collar, d.rowPitch(), longitudinal, d.finPitch(), deep, dh);
    }

    private double tubes() {
        return core().rows() * deep;
    }

    private double tubesPerPass() {
        return (double) core().rows() / core().passes() * deep;
    }

    @Override
    double airFreeArea() {
        return airFreeArea;
    }

    @Override
    double airTotalArea() {
        return airTotalArea;
    }

    @Override
    double airFinShare() {
        return airFinShare;
    }

    @Override
    AirFin airFin() {
        return fin;
    }

    /** Schmidt's equivalent circular fin for a staggered plate fin. */
    @Override
    double finLength(double m) {
        double r = fin.collarDiameter() / 2;
        double xm = fin.transversePitch() / 2;
        double xl = Math.hypot(xm, fin.longitudinalPitch()) / 2;
        double ratio = 1.27 * xm / r * Math.sqrt(Math.max(xl / xm - 0.3, 0.1));
        return m * r * (ratio - 1) * (1 + 0.35 * Math.log(ratio));
    }

    @Override
    double oilFreeArea() {
        double bore = core().detail().oilGap();
        return tubesPerPass() * Math.PI / 4 * bore * bore;
    }

    @Override
    double oilTotalArea() {
        return tubesPerPass() * Math.PI * core().detail().oilGap() * core().width();
    }

    @Override
    double oilHydraulicDiameter() {
        return core().detail().oilGap();
    }

    @Override
    Optional<OffsetStrip> turbulator() {
        return Optional.empty();
    }

    @Override
    double passageVolume() {
        double bore = core().detail().oilGap();
        return tubes() * Math.PI / 4 * bore * bore * core().width();
    }

    @Override
    double finMetal() {
        CoreDetail d = core().detail();
        return core().width() / d.finPitch() * d.finThickness() * core().depth() * core().height();
    }

    @Override
    double passageMetal() {
        CoreDetail d = core().detail();
        return tubes() * Math.PI * d.oilGap() * d.plate() * core().width();
    }

    @Override
    double tankWall() {
        return TANK_WALL;
    }
}
