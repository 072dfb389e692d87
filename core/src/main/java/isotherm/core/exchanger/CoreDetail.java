package isotherm.core.exchanger;

/**
 * The dimensions inside a core that its data sheet seldom gives. The defaults are typical of each construction; a user
 * who has measured a core replaces them.
 *
 * @param rowPitch from one oil row to the next, m
 * @param oilGap clear height of an oil passage, or inner diameter of a round tube, m
 * @param plate plate or tube wall thickness, m
 * @param finPitch air fin pitch, m
 * @param finThickness air fin thickness, m
 * @param louvrePitch louvre pitch, or strip length of an offset strip on the air side, m
 * @param louvreAngle louvre angle, degrees
 * @param turbulatorPitch turbulator fin pitch on the oil side, m
 * @param stripLength turbulator strip length, m
 * @param turbulatorThickness turbulator sheet thickness, m
 * @param portBore inner diameter of each port, m
 * @param tank length of the tank at each end of the rows, m
 * @param endPlate thickness of the plates above and below the fins, m
 * @param ratedPressure working pressure for which it is made, Pa above ambient; the maker's figure comes first
 */
public record CoreDetail(
        double rowPitch,
        double oilGap,
        double plate,
        double finPitch,
        double finThickness,
        double louvrePitch,
        double louvreAngle,
        double turbulatorPitch,
        double stripLength,
        double turbulatorThickness,
        double portBore,
        double tank,
        double endPlate,
        double ratedPressure) {

    /** Stacked plate, the usual after-market pattern. */
    public static final CoreDetail STACKED_PLATE = new CoreDetail(
            7.7e-3, 2.6e-3, 0.4e-3, 1.6e-3, 0.08e-3, 1.2e-3, 27, 1.6e-3, 3.0e-3, 0.2e-3, 14e-3, 20e-3, 3e-3, 10e5);

    /** Bar and plate: thicker walls and bars leave 10 to 15 % less free air area than a stacked plate. */
    public static final CoreDetail BAR_AND_PLATE = new CoreDetail(
            7.7e-3, 2.7e-3, 0.6e-3, 1.6e-3, 0.10e-3, 3.2e-3, 0, 1.8e-3, 3.2e-3, 0.2e-3, 14e-3, 20e-3, 3e-3, 15e5);

    /** Tube and fin: 9.5 mm round tubes through plain fins. */
    public static final CoreDetail TUBE_AND_FIN =
            new CoreDetail(19e-3, 8.5e-3, 0.5e-3, 2.0e-3, 0.12e-3, 0, 0, 0, 0, 0, 14e-3, 20e-3, 3e-3, 8e5);

    /** Oil section of a combined radiator: flat tubes of 2.4 mm at the water section's pitch, soldered thinner than a plate core. */
    public static final CoreDetail COMBINED_RADIATOR = new CoreDetail(
            10e-3, 1.8e-3, 0.3e-3, 1.5e-3, 0.08e-3, 1.2e-3, 27, 2.0e-3, 4.0e-3, 0.2e-3, 14e-3, 30e-3, 3e-3, 7e5);

    /**
     * @param pascal working pressure, Pa above ambient
     * @return the same dimensions made for it
     */
    public CoreDetail ratedFor(double pascal) {
        return new CoreDetail(
                rowPitch,
                oilGap,
                plate,
                finPitch,
                finThickness,
                louvrePitch,
                louvreAngle,
                turbulatorPitch,
                stripLength,
                turbulatorThickness,
                portBore,
                tank,
                endPlate,
                pascal);
    }

    /**
     * @param construction how the core is made
     * @return typical inner dimensions of that construction
     */
    public static CoreDetail typical(Construction construction) {
        return switch (construction) {
            case STACKED_PLATE -> STACKED_PLATE;
            case BAR_AND_PLATE -> BAR_AND_PLATE;
            case TUBE_AND_FIN -> TUBE_AND_FIN;
            case COMBINED_RADIATOR -> COMBINED_RADIATOR;
        };
    }
}
