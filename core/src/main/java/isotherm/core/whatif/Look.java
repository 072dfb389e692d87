package isotherm.core.whatif;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import isotherm.core.findings.Assessment;
import isotherm.core.simulate.OperatingPoint;
import isotherm.core.simulate.PressureCheck;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * A case and what its figures come from, each run when it is first asked for: most figures come from one of them. One thread at
 * a time.
 */
final class Look {
    private final Car car;
    private final Duty duty;
    private final Design design;
    private final Once<Session> session;
    private final Once<Session> road;
    private final Once<PressureCheck> pressure;
    private final Once<OperatingPoint> working;

    private Look(Car car, Duty duty, Design design, Supplier<Session> driven) {
        this.car = car;
        this.duty = duty;
        this.design = design;
        this.session = new Once<>(driven);
        this.road = new Once<>(() -> Assessment.road(car, duty, design));
        this.pressure = new Once<>(() -> PressureCheck.of(car, design, session().peak()));
        this.working = new Once<>(() -> OperatingPoint.underLoad(car, duty.weather(), design, session()));
    }

    private static final class Once<T> {
        private final Supplier<T> source;
        private @Nullable T value;

        Once(Supplier<T> source) {
            this.source = source;
        }

        T get() {
            T known = value;
            if (known == null) {
                known = source.get();
                value = known;
            }
            return known;
        }
    }

    /**
     * @param car the car
     * @param duty what it has to do
     * @param design the design
     * @param power brake power over that of the car, 1 for as it is
     * @return what comes of it
     */
    static Look at(Car car, Duty duty, Design design, double power) {
        return new Look(
                car,
                duty,
                design,
                () -> power == 1
                        ? Simulator.run(car, duty, design)
                        : Assessment.planned(
                                car, duty, design, power * car.engine().power()));
    }

    Car car() {
        return car;
    }

    Duty duty() {
        return duty;
    }

    Design design() {
        return design;
    }

    /** The duty as it goes. */
    Session session() {
        return session.get();
    }

    /** A cold start into a cool day's road. */
    Session road() {
        return road.get();
    }

    /** Pressures with the oil at its peak. */
    PressureCheck pressure() {
        return pressure.get();
    }

    /** Core and circuit at the last moment under load. */
    OperatingPoint working() {
        return working.get();
    }

    /** The same duty without the cooler. */
    Session bare() {
        return design.cooler().isEmpty() ? session() : Simulator.run(car, duty, design.withCooler(Optional.empty()));
    }
}
