package isotherm.core.exchanger;

import java.util.Optional;

/** What follows from how a core is made: its surfaces, the oil in it, its mass. One class a construction. */
abstract sealed class CoreGeometry permits PlateCore, TubeAndFinCore {
    private static final double ALUMINIUM_DENSITY = 2700;
    /** Tanks are rounded: they hold this share of their box (default). */
    private static final double TANK_FILL = 0.6;

    private final Core core;

    CoreGeometry(Core core) {
        this.core = core;
    }

    static CoreGeometry of(Core core) {
        return switch (core.construction()) {
            case STACKED_PLATE, COMBINED_RADIATOR -> new StackedPlateCore(core);
            case BAR_AND_PLATE -> new BarAndPlateCore(core);
            case TUBE_AND_FIN -> new TubeAndFinCore(core);
        };
    }

    final Core core() {
        return core;
    }

    /** @return oil in core and tanks, m³ */
    final double holdUp() {
        double tanks = 2 * core.detail().tank() * core.depth() * core.height() * TANK_FILL;
        return passageVolume() + tanks;
    }

    /** @return dry mass of an aluminium core with tanks, kg */
    final double mass() {
        double tanks = 2
                * tankWall()
                * core.height()
                * 2
                * (core.depth() + core.detail().tank());
        return ALUMINIUM_DENSITY * (finMetal() + passageMetal() + tanks);
    }

    /** @return narrowest area that the air goes through, m² */
    abstract double airFreeArea();

    /** @return area of the whole finned side, m² */
    abstract double airTotalArea();

    /** @return share of it that is fin */
    abstract double airFinShare();

    /** @return the fins with their correlation */
    abstract AirFin airFin();

    /**
     * @param m the fin's parameter √(2h/kδ), 1/m
     * @return m times the length over which a fin conducts
     */
    abstract double finLength(double m);

    /** @return area that the oil of one pass goes through, m² */
    abstract double oilFreeArea();

    /** @return area that the oil of one pass touches, m² */
    abstract double oilTotalArea();

    /** @return hydraulic diameter of the oil's way, m */
    abstract double oilHydraulicDiameter();

    /** @return the turbulator in the oil's way; empty where it is a bare tube */
    abstract Optional<OffsetStrip> turbulator();

    /** @return oil in the rows, m³ */
    abstract double passageVolume();

    /** @return metal of the fins, m³ */
    abstract double finMetal();

    /** @return metal of the rows with what is in them, m³ */
    abstract double passageMetal();

    /** @return thickness of the tanks' walls, m */
    abstract double tankWall();
}
