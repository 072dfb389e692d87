package isotherm.core.simulate;

import isotherm.core.airflow.Radiator;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What the air does in any cell of a session, with each fan off, on or partly on: between the speeds of its grid. Not for two
 * threads at once: what was looked up last stands in its fields.
 */
final class AirTable {
    /** Values of a speed in the grid. */
    static final int VALUES = AirGrid.VALUES;

    static final int CORE_RATE = 0;
    static final int CORE_CONDUCTANCE = 1;
    static final int COVERED = 2;
    static final int OPEN = 3;

    /** Capacity rate of the air through the core, W/K. */
    double coreRate;
    /** Air-side conductance of the part of the core's face that gets air, W/K. */
    double coreConductance;
    /** What the radiator gives behind the core, W/K. */
    double covered;
    /** What it gives beside the core, W/K. */
    double open;

    /** Without and with the core's own fan, then the same with the radiator's; asked for when it is first needed. */
    private final double[] @Nullable [] grids = new double[4][];

    private final double[] place;
    private final boolean ownFan;
    private final AirGrid.Where where;
    private final Optional<AirGrid.Fitted> fitted;

    /**
     * @param heats of the demand, with the place of each cell's speed in the grid
     * @param fitted the core, if there is one
     * @param radiator the car's radiator
     * @param ambientK outside air, K
     * @param pascal its absolute pressure, Pa
     */
    AirTable(CellHeats heats, Optional<AirGrid.Fitted> fitted, Radiator radiator, double ambientK, double pascal) {
        this.place = heats.place;
        this.ownFan = fitted.flatMap(f -> f.airway().fan()).isPresent();
        this.fitted = fitted;
        this.where = new AirGrid.Where(radiator, ambientK, pascal, heats.topSpeed());
    }

    private double[] solved(int own, boolean radiatorFan) {
        if (own == 1 && !ownFan) {
            return grid(0, radiatorFan);
        }
        if (radiatorFan && where.radiator().fanPressure() <= 0) {
            return grid(own, false);
        }
        return AirGrid.of(where, fitted, own == 1, radiatorFan);
    }

    private double[] grid(int own, boolean radiatorFan) {
        int which = radiatorFan ? own + 2 : own;
        double[] known = grids[which];
        if (known == null) {
            known = solved(own, radiatorFan);
            grids[which] = known;
        }
        return known;
    }

    /**
     * Looks up a cell.
     *
     * @param cell cell of the demand
     * @param own 1 with the core's own fan, 0 without
     * @param assist how far the radiator's fan helps, 0 to 1
     */
    void look(int cell, int own, double assist) {
        double at = place[cell];
        int speed = (int) at;
        double f = at - speed;
        int i = speed * VALUES;
        double[] off = grid(own, false);
        coreRate = between(off, i + CORE_RATE, f);
        coreConductance = between(off, i + CORE_CONDUCTANCE, f);
        covered = between(off, i + COVERED, f);
        open = between(off, i + OPEN, f);
        if (assist > 0) {
            double[] on = grid(own, true);
            coreRate += assist * (between(on, i + CORE_RATE, f) - coreRate);
            coreConductance += assist * (between(on, i + CORE_CONDUCTANCE, f) - coreConductance);
            covered += assist * (between(on, i + COVERED, f) - covered);
            open += assist * (between(on, i + OPEN, f) - open);
        }
    }

    private static double between(double[] grid, int index, double share) {
        double low = grid[index];
        return low + share * (grid[index + VALUES] - low);
    }
}
