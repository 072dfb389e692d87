package isotherm.core.exchanger;

/** Pressed plates with louvred fins between them. */
final class StackedPlateCore extends PlateCore {
    /** Louvres are cut over this share of a fin's height (default). */
    private static final double LOUVRED_SHARE = 0.85;

    private static final double TANK_WALL = 2e-3;

    private final AirFin fin;

    StackedPlateCore(Core core) {
        super(core, 1);
        CoreDetail d = core.detail();
        this.fin = new LouvredFin(
                        d.finPitch(),
                        core.finHeight(),
                        d.finThickness(),
                        d.louvrePitch(),
                        LOUVRED_SHARE * core.finHeight(),
                        d.louvreAngle(),
                        d.rowPitch(),
                        core.tubeHeight(),
                        core.depth())
                .worked();
    }

    @Override
    AirFin airFin() {
        return fin;
    }

    @Override
    double tankWall() {
        return TANK_WALL;
    }
}
