package isotherm.core.trial;

import isotherm.core.airflow.Radiator;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import isotherm.core.duty.LogDuty;
import isotherm.core.duty.Trailer;
import isotherm.core.duty.Weather;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.OilCircuit;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.sheet.Channel;
import isotherm.core.sheet.Sample;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * An engine with a new cooler on its stands, as gauges would show it: the model of the car at a raised idle, with noise, and
 * with a fault if one is wanted. Not safe for use by several threads.
 */
public final class SimulatedEngine {
    private static final double CRANKING = 220;
    private static final double RAISED = 2200;
    /** Oil reaches the gauge after so much cranking, s. */
    private static final double PRIMING = 3;
    /** Share of the raised idle's warming that idle gives. */
    private static final double IDLE_WARMING = 0.4;
    /** The run is computed so long, s. */
    private static final int LONGEST = 5400;
    /** A slow leak takes pressure with this time constant, s of running. */
    private static final double LEAK_TIME = 400;
    /** A loose plug falls off after so much running, s. */
    private static final double PLUG_HOLDS = 90;
    /** Oil that takes the short way leaves this share's worth of the far end cold. */
    private static final double SHORT_WAY = 0.08;
    /** The far end follows with this time constant, s. */
    private static final double FAR_LAG = 30;

    private static final double NEVER_OPENS = 200;

    /** What the engine does. */
    public enum Turning {
        /** It stands. */
        OFF,
        /** The starter turns it. */
        CRANK,
        /** It idles. */
        IDLE,
        /** It runs at a raised idle. */
        WARM
    }

    /** What is wrong with it. */
    public enum Fault {
        /** Nothing. */
        NONE,
        /** Oil gets away slowly, and pressure with it. */
        SLOW_LEAK,
        /** The thermostat never opens. */
        STUCK_THERMOSTAT,
        /** Air stands in the core and lets no oil through. */
        AIRLOCK,
        /** The plug of the sensor at the far end of the core falls off. */
        SENSOR_DROPOUT,
        /** The radiator's fan does not run. */
        DEAD_FAN
    }

    private final Car car;
    private final Optional<CoolerLoop> loop;
    private final Optional<CoreModel> core;
    private final OilCircuit circuit;
    private final Session session;
    private final Fault fault;
    private final double ambientK;
    private final Random random;
    private Turning turning = Turning.OFF;
    private double clock;
    private double warmed;
    private double cranked;
    private double run;
    private double farK;

    /**
     * @param car the car
     * @param design a design with a cooler
     * @param fault what is wrong
     * @param ambientK air temperature, K; everything starts at it
     * @param seed the same seed gives the same noise
     */
    public SimulatedEngine(Car car, Design design, Fault fault, double ambientK, long seed) {
        this.car = fault == Fault.DEAD_FAN ? withoutFan(car) : car;
        Design built = built(design, fault);
        this.loop = built.cooler().map(Design.Cooler::loop);
        this.core = built.cooler().map(c -> new CoreModel(c.core()));
        this.circuit = new OilCircuit(car.oil(), car.pump(), car.gauge())
                .with(built.oil().orElse(car.oil()));
        this.fault = fault;
        this.ambientK = ambientK;
        this.farK = ambientK;
        this.random = new Random(seed);
        this.session = Simulator.run(this.car, warming(ambientK), built);
    }

    private static Car withoutFan(Car car) {
        return car.withCoolant(car.coolant().withRadiator(still(car.coolant().radiator())));
    }

    private static Radiator still(Radiator r) {
        return new Radiator(r.faceArea(), r.conductance(), r.pressureDrop(), r.openingArea(), 0, r.fanFlow());
    }

    private static Design built(Design design, Fault fault) {
        Optional<OilThermostat> fitted = design.cooler().flatMap(c -> c.loop().thermostat());
        return switch (fault) {
            case STUCK_THERMOSTAT ->
                design.withThermostat(fitted.map(
                        t -> new OilThermostat(t.opensK() + NEVER_OPENS, t.fullK() + NEVER_OPENS, t.leak(), t.site())));
            case AIRLOCK ->
                design.withThermostat(Optional.of(
                        new OilThermostat(273 + NEVER_OPENS, 284 + NEVER_OPENS, 0, OilThermostat.Site.PLATE)));
            case DEAD_FAN ->
                design.radiator().map(r -> design.withRadiator(still(r))).orElse(design);
            case NONE, SLOW_LEAK, SENSOR_DROPOUT -> design;
        };
    }

    private static Duty warming(double ambientK) {
        double[] time = new double[LONGEST / 30 + 1];
        Arrays.setAll(time, i -> 30.0 * i);
        double[] still = new double[time.length];
        double[] rpm = new double[time.length];
        Arrays.fill(rpm, RAISED);
        return new LogDuty(
                time,
                still,
                rpm,
                still,
                new double[0],
                new double[0],
                Trailer.NONE,
                new Duty.Start(ambientK, ambientK),
                new Weather(ambientK, 100));
    }

    /** @param what what it does from now on */
    public void turn(Turning what) {
        turning = what;
    }

    /**
     * @param seconds time to let pass
     * @return what the gauges show then
     */
    public Sample after(double seconds) {
        double left = seconds;
        while (left > 1e-9) {
            double step = Math.min(1, left);
            pass(step);
            left -= step;
        }
        return sample();
    }

    private void pass(double step) {
        clock += step;
        cranked += turning == Turning.OFF ? 0 : step;
        if (turning == Turning.IDLE || turning == Turning.WARM) {
            run += step;
            warmed = Math.min(LONGEST - 60, warmed + step * (turning == Turning.IDLE ? IDLE_WARMING : 1));
        }
        double through = fault == Fault.AIRLOCK
                ? 0
                : loop.map(l -> l.share(session.lift()[cell()])).orElse(0.0);
        double target = ambientK + (returned() - ambientK) * through / (through + SHORT_WAY);
        if (turning != Turning.OFF) {
            farK += (target - farK) * Math.min(1, step / FAR_LAG);
        }
    }

    private int cell() {
        return Math.min(
                session.oil().length - 1, (int) (warmed / session.demand().cell()));
    }

    private double returned() {
        // Nothing passes an airlock: what is read at the return is the air and a little of the plate.
        double share = fault == Fault.AIRLOCK ? 0.1 : 1;
        double from = fault == Fault.AIRLOCK ? session.oil()[cell()] : session.returned()[cell()];
        return ambientK + share * (from - ambientK);
    }

    private double rpm() {
        return switch (turning) {
            case OFF -> 0;
            case CRANK -> CRANKING;
            case IDLE -> car.engine().idleRpm();
            case WARM -> RAISED;
        };
    }

    private double pressure() {
        if (turning == Turning.OFF || cranked < PRIMING) {
            return 0;
        }
        double full = circuit.at(rpm(), session.oil()[cell()], loop, core, session.lift()[cell()])
                .galleryPressure();
        return fault == Fault.SLOW_LEAK ? full * Math.exp(-run / LEAK_TIME) : full;
    }

    private Sample sample() {
        Map<Channel, Double> v = new EnumMap<>(Channel.class);
        double rpm = rpm();
        v.put(Channel.RPM, rpm == 0 ? 0 : rpm + 8 * random.nextGaussian());
        v.put(Channel.OIL_PRESSURE, Math.max(0, pressure() + 0.02e5 * random.nextGaussian()));
        v.put(Channel.OIL, session.oil()[cell()] + 0.3 * random.nextGaussian());
        v.put(Channel.OIL_RETURN, returned() + 0.3 * random.nextGaussian());
        v.put(Channel.COOLANT, session.coolant()[cell()] + 0.3 * random.nextGaussian());
        v.put(Channel.AMBIENT, ambientK + 0.1 * random.nextGaussian());
        if (fault != Fault.SENSOR_DROPOUT || run < PLUG_HOLDS) {
            v.put(Channel.CORE_FAR, farK + 0.3 * random.nextGaussian());
        }
        return new Sample(clock, v);
    }
}
