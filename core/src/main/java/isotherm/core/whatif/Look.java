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

/** A case run through all that its figures come from. */
record Look(
        Car car,
        Duty duty,
        Design design,
        Session session,
        Session road,
        PressureCheck pressure,
        OperatingPoint working) {

    /**
     * @param car the car
     * @param duty what it has to do
     * @param design the design
     * @param power brake power over that of the car, 1 for as it is
     * @return what comes of it
     */
    static Look at(Car car, Duty duty, Design design, double power) {
        Session session = power == 1
                ? Simulator.run(car, duty, design)
                : Assessment.planned(car, duty, design, power * car.engine().power());
        return new Look(
                car,
                duty,
                design,
                session,
                Assessment.road(car, duty, design),
                PressureCheck.of(car, design, session.peak()),
                OperatingPoint.underLoad(car, duty.weather(), design, session));
    }

    /** The same duty without the cooler. */
    Session bare() {
        return design.cooler().isEmpty() ? session : Simulator.run(car, duty, design.withCooler(Optional.empty()));
    }
}
