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
 * @param outletArea area through which its air leaves where it has a stream to itself, m²; 0 for as wide as its face
 * @param mesh whether a stone mesh stands in the opening
 * @param ductHeads velocity heads lost in a duct, on the opening's speed; 0 without one
 * @param fan the core's own fan
 * @param measured a measured pressure that replaces the coefficients
 * @param intakeBehind whether an intercooler or the engine's intake breathes what leaves the core
 * @param heatAhead heat that a condenser or an intercooler ahead gives to the air of the core, W
 */
public record Airway(
        Place place,
        double cpIn,
        double cpOut,
        double sealing,
        double shadedShare,
        double openingArea,
        double outletArea,
        boolean mesh,
        double ductHeads,
        Optional<Fan> fan,
        Optional<MeasuredPressure> measured,
        boolean intakeBehind,
        double heatAhead) {
    /** Velocity heads lost at the edge of an opening (default, between a sharp edge and a bell mouth). */
    public static final double OPENING_HEADS = 0.3;
    /** Velocity heads lost in a stone mesh of about two thirds free area (default). */
    public static final double MESH_HEADS = 0.9;

    /** Most by which something ahead can warm the air: a condenser is hardly 30 K above it, K (default). */
    private static final double WARMEST_AHEAD = 30;

    /**
     * @param place where the core is
     * @param openingArea area of the opening that feeds it, m²
     * @return the place's preset, nothing shaded, no mesh, no fan, nothing ahead
     */
    public static Airway at(Place place, double openingArea) {
        return new Airway(
                place,
                place.cpIn(),
                place.cpOut(),
                place.sealing(),
                0,
                openingArea,
                0,
                false,
                0,
                Optional.empty(),
                Optional.empty(),
                false,
                0);
    }

    /** @return share of the core's face that gets air, 0 to 1 */
    public double openShare() {
        return Math.max(0, 1 - shadedShare);
    }

    /** The same airway with what changes about pressure, shade and opening. */
    private Airway changed(
            Place newPlace, double newCpIn, double newCpOut, double newSealing, double newShade, double newOpening) {
        return new Airway(
                newPlace,
                newCpIn,
                newCpOut,
                newSealing,
                newShade,
                newOpening,
                outletArea,
                mesh,
                ductHeads,
                fan,
                measured,
                intakeBehind && (newPlace.equals(place) || newPlace.stream() != Place.Stream.OWN),
                heatAhead);
    }

    /**
     * @param newSealing share of the available pressure that arrives, 0 to 1
     * @return the same airway sealed otherwise
     */
    public Airway withSealing(double newSealing) {
        return changed(place, cpIn, cpOut, newSealing, shadedShare, openingArea);
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
        return changed(place, cpOut + (cpIn - cpOut) * offered, cpOut, sealed, shadedShare, openingArea);
    }

    /**
     * @param newShade share of the face that gets no air, 0 to 1
     * @return the same airway shaded otherwise
     */
    public Airway withShade(double newShade) {
        return changed(place, cpIn, cpOut, sealing, newShade, openingArea);
    }

    /**
     * @param newOpening area of the opening that feeds the core, m²
     * @return the same airway with that opening
     */
    public Airway withOpening(double newOpening) {
        return changed(place, cpIn, cpOut, sealing, shadedShare, newOpening);
    }

    /**
     * @param newPlace where the core goes
     * @return the preset of that place with what was set for opening, shade, mesh, duct and fan
     */
    public Airway withPlace(Place newPlace) {
        return changed(newPlace, newPlace.cpIn(), newPlace.cpOut(), newPlace.sealing(), shadedShare, openingArea);
    }

    /** The same airway with other neighbours. */
    private Airway beside(double newOutlet, Optional<Fan> newFan, boolean newIntakeBehind, double newHeatAhead) {
        return new Airway(
                place,
                cpIn,
                cpOut,
                sealing,
                shadedShare,
                openingArea,
                newOutlet,
                mesh,
                ductHeads,
                newFan,
                measured,
                newIntakeBehind,
                newHeatAhead);
    }

    /**
     * @param newFan the core's own fan, if any
     * @return the same airway with that fan
     */
    public Airway withFan(Optional<Fan> newFan) {
        return beside(outletArea, newFan, intakeBehind, heatAhead);
    }

    /**
     * @param behind whether an intercooler or the engine's intake breathes what leaves the core
     * @return the same airway with that neighbour
     */
    public Airway withIntakeBehind(boolean behind) {
        return beside(outletArea, fan, behind, heatAhead);
    }

    /**
     * @param newOutlet area through which the core's air leaves, m²; 0 for as wide as its face
     * @return the same airway with that outlet
     */
    public Airway withOutlet(double newOutlet) {
        return beside(newOutlet, fan, intakeBehind, heatAhead);
    }

    /**
     * @param watts heat that stands ahead of the core, W
     * @return the same airway behind it
     */
    public Airway withHeatAhead(double watts) {
        return beside(outletArea, fan, intakeBehind, watts);
    }

    /**
     * @param airRate capacity rate of the core's air, W/K
     * @return by how much what stands ahead has warmed that air, K
     */
    public double warmedAhead(double airRate) {
        return heatAhead <= 0 || airRate <= 0 ? 0 : Math.min(heatAhead / airRate, WARMEST_AHEAD);
    }
}
