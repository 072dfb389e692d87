package isotherm.core.simulate;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import isotherm.core.car.Car;
import isotherm.core.car.Coolant;
import isotherm.core.duty.DemandTrace;
import isotherm.core.heat.Engine;
import isotherm.core.heat.HeatSchool;
import isotherm.core.hydraulics.OilPump;
import java.util.Arrays;

/**
 * What a demand does to a car in each of its cells, whatever design stands in the car: the designs of a search, a map or a drag
 * share it. The arrays are shared, not copied: do not change them.
 */
final class CellHeats {
    /** In cells: some 10 MB, and 5 MB for the drives that they belong to. */
    private static final long REMEMBERED = 200_000;

    private static final Cache<Question, CellHeats> LAST = Caffeine.newBuilder()
            .maximumWeight(REMEMBERED)
            .weigher((Question asked, CellHeats heats) -> heats.oil.length)
            .build();

    /** Heat into the oil that does not depend on it, W. */
    final double[] oil;

    /** Heat of shear with the oil of the maker's figure, W. */
    final double[] shear;

    /** Heat into the coolant from the engine, W. */
    final double[] coolant;

    /** Heat lost by the sump, W/K. */
    final double[] sump;

    /** What the pump delivers, m³/s. */
    final double[] delivered;

    /** Where the speed stands among those of {@link AirGrid}, 0 to just below its last node. */
    final double[] place;

    /** Highest brake power, W. */
    final double mostPower;

    /** Highest road speed, m/s. */
    final double mostSpeed;

    private record Question(
            Engine engine,
            HeatSchool school,
            Coolant coolant,
            Car.PassiveLosses losses,
            OilPump pump,
            DemandTrace demand) {}

    private CellHeats(Question q) {
        DemandTrace demand = q.demand();
        int n = demand.cells();
        oil = new double[n];
        shear = new double[n];
        coolant = new double[n];
        sump = new double[n];
        delivered = new double[n];
        place = new double[n];
        mostPower = Arrays.stream(demand.brakePower()).max().orElse(0);
        mostSpeed = Arrays.stream(demand.speed()).max().orElse(0);
        for (int i = 0; i < n; i++) {
            double power = demand.brakePower()[i];
            double rpm = demand.rpm()[i];
            double heat = q.school().oilHeat(q.engine(), power, rpm);
            shear[i] = heat * q.school().shearShare(q.engine(), power, rpm);
            oil[i] = heat - shear[i];
            coolant[i] = q.coolant().heatShare() * power
                    + Coolant.idleHeat(q.engine().displacement(), rpm);
            sump[i] = q.losses().still() + q.losses().moving() * Math.pow(demand.speed()[i], 0.8);
            delivered[i] = q.pump().flow(rpm);
            place[i] = Math.min(demand.speed()[i] / topSpeed() * (AirGrid.NODES - 1), AirGrid.NODES - 1.000001);
        }
    }

    /** Highest speed of the air's grid, m/s: for one that hardly moves, too. */
    double topSpeed() {
        return Math.max(1, mostSpeed);
    }

    /**
     * @param car the car
     * @param demand what its engine is asked for
     * @return what that does in each cell
     */
    static CellHeats of(Car car, DemandTrace demand) {
        return LAST.get(
                new Question(car.engine(), car.school(), car.coolant(), car.losses(), car.pump(), demand),
                CellHeats::new);
    }
}
