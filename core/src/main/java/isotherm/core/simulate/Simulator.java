package isotherm.core.simulate;

import isotherm.core.airflow.Fan;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.Weather;
import java.util.Optional;
import java.util.concurrent.CancellationException;

/** Runs a car with a design through a duty. */
public final class Simulator {
    /** Longest step over the fastest time constant of its cell; the method is stable to 1 and accurate well below. */
    static final double STEP_LIMIT = 0.8;

    /** Cells, less one, between two looks at whether the session is still wanted; a power of two. */
    private static final int ASK_EVERY = 255;

    private Simulator() {}

    /**
     * A session from the duty's own start.
     *
     * @param car the car
     * @param duty what it has to do
     * @param design the design
     * @return the session
     */
    public static Session run(Car car, Duty duty, Design design) {
        return run(car, duty, duty.demand(car.vehicle(), car.engine()), design);
    }

    /**
     * The same for a duty whose demand is known already, as where many cars or designs are run through one.
     *
     * @param car the car
     * @param duty what it has to do
     * @param demand what that asks of the engine
     * @param design the design
     * @return the session
     */
    public static Session run(Car car, Duty duty, DemandTrace demand, Design design) {
        return runUntil(car, duty, demand, design, Double.POSITIVE_INFINITY);
    }

    /**
     * A session from any start.
     *
     * @param car the car
     * @param demand what the engine is asked for
     * @param weather the air
     * @param design the design
     * @param startOilK oil temperature at the start, K
     * @param startCoolantK coolant temperature at the start, K
     * @return the session
     * @throws CancellationException when this thread is interrupted: nobody wants the session any more
     */
    public static Session run(
            Car car, DemandTrace demand, Weather weather, Design design, double startOilK, double startCoolantK) {
        return run(car, demand, weather, design, startOilK, startCoolantK, Double.POSITIVE_INFINITY);
    }

    /**
     * The same where a design that gets too warm is not looked at further: the session goes no further than that.
     *
     * @param car the car
     * @param duty what it has to do
     * @param demand what that asks of the engine
     * @param design the design
     * @param untilK oil temperature with which the session ends, K
     * @return the session; where its peak is {@code untilK} or more, the whole one's is at least as high, and what would come after
     *     it is 0
     */
    public static Session runUntil(Car car, Duty duty, DemandTrace demand, Design design, double untilK) {
        Duty.Start start = duty.start();
        return run(car, demand, duty.weather(), design, start.oilK(), start.coolantK(), untilK);
    }

    /**
     * How long the oil takes to get warm: the session goes no further than that.
     *
     * @param car the car
     * @param duty what it has to do
     * @param design the design
     * @param kelvin how warm, K
     * @return time until the oil first reaches it, s; infinite when it never does
     */
    public static double timeTo(Car car, Duty duty, Design design, double kelvin) {
        return runUntil(car, duty, duty.demand(car.vehicle(), car.engine()), design, kelvin)
                .timeTo(kelvin);
    }

    /** @param untilK the session ends when the oil is so warm; what would come after it stays 0 */
    private static Session run(
            Car car,
            DemandTrace demand,
            Weather weather,
            Design design,
            double startOilK,
            double startCoolantK,
            double untilK) {
        SessionEquations equations = new SessionEquations(car, demand, weather, design);
        Optional<Fan> fan = design.cooler()
                .flatMap(c -> c.airway().fan().or(() -> c.loop().upstream().flatMap(u -> u.airway()
                        .fan())));
        int n = demand.cells();
        double[] oil = new double[n];
        double[] returned = new double[n];
        double[] coolant = new double[n];
        double[] lift = new double[n];
        double[] share = new double[n];
        boolean[] fanOn = new boolean[n];
        double[] y = equations.start(startOilK, startCoolantK);
        double before = equations.stored(y);
        MidpointStepper stepper = new MidpointStepper(equations);
        boolean running = fan.isPresent() && startOilK >= fan.get().onK();
        for (int cell = 0; cell < n && y[SessionEquations.OIL] < untilK; cell++) {
            if ((cell & ASK_EVERY) == 0 && Thread.currentThread().isInterrupted()) {
                throw new CancellationException("The session was interrupted");
            }
            // The faster the pump turns, the sooner is what is in the cooler exchanged.
            int substeps = (int) Math.ceil(equations.fastestRate(cell) * demand.cell() / STEP_LIMIT);
            double h = demand.cell() / substeps;
            for (int s = 0; s < substeps; s++) {
                stepper.step(cell, running, y, h);
            }
            if (fan.isPresent()) {
                running = y[SessionEquations.OIL]
                        >= (running ? fan.get().offK() : fan.get().onK());
            }
            oil[cell] = y[SessionEquations.OIL];
            returned[cell] = y[SessionEquations.RETURN];
            coolant[cell] = y[SessionEquations.COOLANT];
            lift[cell] = y[SessionEquations.LIFT];
            share[cell] = equations.share(y[SessionEquations.LIFT]);
            fanOn[cell] = running;
        }
        Session.Balance balance = new Session.Balance(
                y[SessionEquations.HEAT_IN],
                equations.stored(y) - before,
                y[SessionEquations.HEAT_SUMP],
                y[SessionEquations.HEAT_BLOCK],
                y[SessionEquations.HEAT_FACTORY],
                y[SessionEquations.HEAT_COOLER]);
        return new Session(
                demand,
                oil,
                returned,
                coolant,
                lift,
                () -> equations.galleryPressures(oil, returned, lift),
                share,
                fanOn,
                balance,
                car.limits(),
                startOilK);
    }
}
