package isotherm.core.airflow;

import java.util.Optional;

/**
 * How air gets to a core and away from it.
 *
 * @param place where the core is
 * @param cpIn pressure coefficient at the inlet
 * @param cpOut pressure coefficient at the outlet
 * @param sealing share of the available pressure that arrives at the core, 0 to 1
 * @param shadedShare share of the face that gets no air, 0 to 1
 * @param openingArea area of the opening that feeds the core, m²
 * @param mesh whether a stone mesh stands in the opening
 * @param ductHeads velocity heads lost in a duct, on the opening's speed; 0 without one
 * @param fan the core's own fan
 * @param measured a measured pressure that replaces the coefficients
 * @param intakeBehind whether an intercooler or the engine's intake breathes what leaves the core
 */
public record Airway(
        Place place,
        double cpIn,
        double cpOut,
        double sealing,
        double shadedShare,
        double openingArea,
        boolean mesh,
        double ductHeads,
        Optional<Fan> fan,
        Optional<MeasuredPressure> measured,
        boolean intakeBehind) {
    /** Velocity heads lost at the edge of an opening (default, between a sharp edge and a bell mouth). */
    public static final double OPENING_HEADS = 0.3;
    /** Velocity heads lost in a stone mesh of about two thirds free area (default). */
    public static final double MESH_HEADS = 0.9;

    /**
     * @param place where the core is
     * @param openingArea area of the opening that feeds it, m²
     * @return the place's preset, nothing shaded, no mesh, no fan
     */
    public static Airway at(Place place, double openingArea) {
        return new Airway(
                place,
                place.cpIn(),
                place.cpOut(),
                place.sealing(),
                0,
                openingArea,
                false,
                0,
                Optional.empty(),
                Optional.empty(),
                false);
    }

    /**
     * @param newSealing share of the available pressure that arrives, 0 to 1
     * @return the same airway sealed otherwise
     */
    public Airway withSealing(double newSealing) {
        return new Airway(
                place, cpIn, cpOut, newSealing, shadedShare, openingArea, mesh, ductHeads, fan, measured, intakeBehind);
    }

    /**
     * More or less pressure than is assumed: what is not lost by leaking first, then what the place offers.
     *
     * @param factor on the pressure that arrives at the core, above 0
     * @return the same airway with that pressure
     */
    public Airway withPressure(double factor) {
        double wanted = sealing * factor;
        double sealed = Math.min(1, wanted);
        double offered = sealed > 0 ? wanted / sealed : 1;
        return new Airway(
                place,
                cpOut + (cpIn - cpOut) * offered,
                cpOut,
                sealed,
                shadedShare,
                openingArea,
                mesh,
                ductHeads,
                fan,
                measured,
                intakeBehind);
    }

    /**
     * @param newShade share of the face that gets no air, 0 to 1
     * @return the same airway shaded otherwise
     */
    public Airway withShade(double newShade) {
        return new Airway(
                place, cpIn, cpOut, sealing, newShade, openingArea, mesh, ductHeads, fan, measured, intakeBehind);
    }

    /**
     * @param newOpening area of the opening that feeds the core, m²
     * @return the same airway with that opening
     */
    public Airway withOpening(double newOpening) {
        return new Airway(
                place, cpIn, cpOut, sealing, shadedShare, newOpening, mesh, ductHeads, fan, measured, intakeBehind);
    }

    /**
     * @param newFan the core's own fan, if any
     * @return the same airway with that fan
     */
    public Airway withFan(Optional<Fan> newFan) {
        return new Airway(
                place, cpIn, cpOut, sealing, shadedShare, openingArea, mesh, ductHeads, newFan, measured, intakeBehind);
    }

    /**
     * @param newPlace where the core goes
     * @return the preset of that place with what was set for opening, shade, mesh, duct and fan
     */
    public Airway withPlace(Place newPlace) {
        return new Airway(
                newPlace,
                newPlace.cpIn(),
                newPlace.cpOut(),
                newPlace.sealing(),
                shadedShare,
                openingArea,
                mesh,
                ductHeads,
                fan,
                measured,
                intakeBehind && newPlace.stream() != Place.Stream.OWN);
    }

    /**
     * @param behind whether an intercooler or the engine's intake breathes what leaves the core
     * @return the same airway with that neighbour
     */
    public Airway withIntakeBehind(boolean behind) {
        return new Airway(
                place, cpIn, cpOut, sealing, shadedShare, openingArea, mesh, ductHeads, fan, measured, behind);
    }
}
