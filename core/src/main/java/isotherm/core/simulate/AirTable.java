package isotherm.core.simulate;

import isotherm.core.airflow.Radiator;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What the air does at each road speed of a session, with each fan off or on: solved on a grid of speeds, then laid out
 * cell by cell. Not for two threads at once.
 */
final class AirTable {
    /** Values a cell. */
    static final int VALUES = AirGrid.VALUES;

    static final int CORE_RATE = 0;
    static final int CORE_CONDUCTANCE = 1;
    static final int COVERED = 2;
    static final int OPEN = 3;

    /** Without and with the core's own fan, then the same with the radiator's; laid out when it is first asked for. */
    private final double[] @Nullable [] cells = new double[4][];

    private final double[] speed;
    private final boolean ownFan;
    private final AirGrid.Where where;
    private final Optional<AirGrid.Fitted> fitted;

    /**
     * @param speed road speed in each cell, m/s
     * @param fitted the core, if there is one
     * @param radiator the car's radiator
     * @param ambientK outside air, K
     * @param pascal its absolute pressure, Pa
     */
    AirTable(double[] speed, Optional<AirGrid.Fitted> fitted, Radiator radiator, double ambientK, double pascal) {
        this.speed = speed;
        this.ownFan = fitted.flatMap(f -> f.airway().fan()).isPresent();
        this.fitted = fitted;
        double fastest = 1;
        for (double v : speed) {
            fastest = Math.max(fastest, v);
        }
        this.where = new AirGrid.Where(radiator, ambientK, pascal, fastest);
    }

    /** What the air does in every cell with the fans off or on. */
    private double[] solved(int own, boolean radiatorFan) {
        if (own == 1 && !ownFan) {
            return cells(0, radiatorFan);
        }
        if (radiatorFan && where.radiator().fanPressure() <= 0) {
            return cells(own, false);
        }
        return lay(AirGrid.of(where, fitted, own == 1, radiatorFan));
    }

    private double[] cells(int own, boolean radiatorFan) {
        int which = radiatorFan ? own + 2 : own;
        double[] known = cells[which];
        if (known == null) {
            known = solved(own, radiatorFan);
            cells[which] = known;
        }
        return known;
    }

    private double[] lay(double[] grid) {
        double[] laid = new double[speed.length * VALUES];
        for (int c = 0; c < speed.length; c++) {
            double at = Math.min(speed[c] / where.top() * (AirGrid.NODES - 1), AirGrid.NODES - 1.000001);
            int i = (int) at;
            double f = at - i;
            for (int v = 0; v < VALUES; v++) {
                double low = grid[i * VALUES + v];
                laid[c * VALUES + v] = low + f * (grid[(i + 1) * VALUES + v] - low);
            }
        }
        return laid;
    }

    /**
     * @param own 1 with the core's own fan, 0 without
     * @param assist how far the radiator's fan helps, 0 to 1
     * @param index cell times {@link #VALUES} and which value
     * @return the value with that much of the radiator's fan
     */
    double at(int own, double assist, int index) {
        double off = cells(own, false)[index];
        return assist == 0 ? off : off + assist * (cells(own, true)[index] - off);
    }
}
