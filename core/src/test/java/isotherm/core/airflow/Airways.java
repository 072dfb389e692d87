package isotherm.core.airflow;

import java.util.Optional;

/** An airway with one thing otherwise that no rule of the job changes by itself. */
public final class Airways {
    private Airways() {}

    /**
     * @param a an airway
     * @param mesh whether a stone mesh stands before the core
     * @return the same airway with or without it
     */
    public static Airway meshed(Airway a, boolean mesh) {
        return of(a, mesh, a.measured());
    }

    /**
     * @param a an airway
     * @param pressure what was measured across the core
     * @return the same airway with that in place of its preset
     */
    public static Airway measured(Airway a, MeasuredPressure pressure) {
        return of(a, a.mesh(), Optional.of(pressure));
    }

    private static Airway of(Airway a, boolean mesh, Optional<MeasuredPressure> measured) {
        return new Airway(
                a.place(),
                a.cpIn(),
                a.cpOut(),
                a.sealing(),
                a.shadedShare(),
                a.openingArea(),
                a.outletArea(),
                mesh,
                a.ductHeads(),
                a.fan(),
                measured,
                a.intakeBehind(),
                a.heatAhead());
    }
}
