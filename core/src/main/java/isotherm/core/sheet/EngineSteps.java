package isotherm.core.sheet;

import isotherm.core.exchanger.Ports;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Measure;
import isotherm.core.plumb.Accessory;
import isotherm.core.plumb.Plumbing;
import isotherm.core.simulate.Design;
import isotherm.core.simulate.PressureCheck;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Steps with oil in it: filling, the leak check, what goes back on, the first drive and the second look. */
final class EngineSteps {
    /** A loop that takes longer than this to fill starves the engine when the thermostat opens, s (default). */
    private static final double LONG_PRIME = 0.5;
    /** First idle after cranking, s (default). */
    private static final double FIRST_IDLE = 30;
    /** Warm run, s: 15 to 20 minutes. */
    private static final double WARM_RUN = 20 * 60;
    /** The far end of a core that oil flows through is at least this warm after the thermostat opened, K (default). */
    private static final double FAR_END_WARM = Units.kelvin(55);

    private final Job job;
    private final Design.Cooler cooler;
    private final PressureCheck pressures;
    private final List<Step> steps;

    EngineSteps(Job job, PressureCheck pressures, List<Step> steps) {
        this.job = job;
        this.cooler = job.design().cooler().orElseThrow();
        this.pressures = pressures;
        this.steps = steps;
    }

    void write() {
        fill();
        leakCheck();
        refit();
        drive();
        secondCheck();
    }

    private void fill() {
        for (Accessory a : job.plumbing().map(Plumbing::accessories).orElse(List.of())) {
            if (a.kind() == Accessory.Kind.ACCUMULATOR) {
                step(Stage.FILL, "fill-accumulator")
                        .what("Shut the accumulator's valve")
                        .why("It takes its share when the engine runs; the level is read without it first")
                        .caution(
                                "It stays under pressure when the engine stands: let it down before any joint is opened.")
                        .figure("it takes", Measure.VOLUME, a.volume(), Step.Source.OWN, "the design")
                        .add();
            }
        }
        if (cooler.core().ports() != Ports.DOWN && pressures.primeSeconds() >= LONG_PRIME) {
            step(Stage.FILL, "fill-loop")
                    .what("Fill core and hoses through the upper joint before it is closed")
                    .why(String.format(
                            Locale.ROOT,
                            "An empty loop starves the engine for about %.1f s when oil first goes there",
                            pressures.primeSeconds()))
                    .figure(
                            "oil in core and hoses",
                            Measure.VOLUME,
                            pressures.loopVolume(),
                            Step.Source.ESTIMATE,
                            StepWriter.OF_DESIGN)
                    .add();
        }
        step(Stage.FILL, "fill-engine")
                .what("Fill the engine; the cooler's share comes on top, now and at every oil change")
                .why("Core and hoses hold it: without it the level is too low when they are full")
                .figure(
                        "ordinary change",
                        Measure.VOLUME,
                        job.car().oilVolume(),
                        Step.Source.OWN,
                        "the car's oil quantity")
                .figure(
                        "for the cooler",
                        Measure.VOLUME,
                        pressures.loopVolume(),
                        Step.Source.ESTIMATE,
                        StepWriter.OF_DESIGN)
                .reading(StepWriter.anything("oil poured in all", Measure.VOLUME))
                .add();
        step(Stage.FILL, "fill-battery")
                .what("Tools and rags out of the bay, battery's lead on")
                .why("Cranking comes next")
                .add();
    }

    private void leakCheck() {
        step(Stage.LEAK_CHECK, RunSheet.CRANK)
                .what("Fuel or ignition off: crank, ten seconds at most at a time, until the gauge shows pressure")
                .why("It shows that pump, takeoff and filter are full, before anything is loaded")
                .caution("Out of gear, nobody under the car. Let the starter cool between tries.")
                .figure(
                        "at least",
                        Measure.PRESSURE,
                        job.leastCrank(),
                        job.leastCrank() == Job.LEAST_CRANK ? Step.Source.ESTIMATE : Step.Source.OWN,
                        "usual in practice, unless you set another")
                .reading(new Step.Reading(
                        "pressure while cranking",
                        Measure.PRESSURE,
                        job.leastCrank(),
                        Double.POSITIVE_INFINITY,
                        true,
                        Optional.of(Channel.OIL_PRESSURE)))
                .add();
        step(Stage.LEAK_CHECK, RunSheet.CRANK_LEAK)
                .what("Look at every joint with a lamp and a dry cloth: no oil anywhere")
                .why("What weeps now sprays at running pressure")
                .add();
        step(Stage.LEAK_CHECK, "first-idle")
                .what("Start, idle, watch gauge and joints, stop")
                .why("The first pressure of its own")
                .caution(String.format(
                        Locale.ROOT,
                        "A leak at full pressure and speed empties the sump in about %.0f s, by this design's figures. At any leak: ignition off at once.",
                        pressures.drainSeconds()))
                .timer(FIRST_IDLE)
                .behind(Gate.START)
                .add();
        step(Stage.LEAK_CHECK, "first-level")
                .what("Wait until the oil has run down, read the level, top up")
                .why("Part of the oil is in core and hoses now")
                .reading(StepWriter.anything("oil topped up", Measure.VOLUME))
                .behind(Gate.START)
                .add();
        Optional<OilThermostat> thermostat = cooler.loop().thermostat();
        step(Stage.LEAK_CHECK, RunSheet.WARM_OIL)
                .what("Run it warm at a raised idle, 15 to 20 minutes, "
                        + (thermostat.isPresent() ? "until the thermostat opens" : "until the oil may be loaded"))
                .why(
                        thermostat.isPresent()
                                ? "Until it opens the loop has not been under load"
                                : "Without a thermostat oil goes through the core from the start")
                .caution(
                        "Outside or with the exhaust led out. Hot oil, fans and belts: hands away. Never leave it alone.")
                .timer(WARM_RUN)
                .figure(
                        thermostat.isPresent() ? "thermostat opens" : "may be loaded",
                        Measure.TEMPERATURE,
                        thermostat.map(OilThermostat::opensK).orElse(StepWriter.LOADABLE),
                        thermostat.isPresent() ? Step.Source.OWN : Step.Source.ESTIMATE,
                        thermostat.isPresent() ? "the design" : "usual in practice")
                .reading(new Step.Reading(
                        "oil temperature",
                        Measure.TEMPERATURE,
                        thermostat.map(OilThermostat::opensK).orElse(StepWriter.LOADABLE),
                        job.car().limits().limitK(),
                        true,
                        Optional.of(Channel.OIL)))
                .behind(Gate.START)
                .add();
        step(Stage.LEAK_CHECK, RunSheet.WARM_FAR_END)
                .what("Read the end of the core that is farthest from its ports, with a probe")
                .why("It stays cold when the thermostat is shut or air stands in the core")
                .caution("Probe or infrared, not the hand: it may burn.")
                .reading(new Step.Reading(
                        "far end of the core",
                        Measure.TEMPERATURE,
                        FAR_END_WARM,
                        job.car().limits().limitK(),
                        true,
                        Optional.of(Channel.CORE_FAR)))
                .behind(Gate.START)
                .add();
        step(Stage.LEAK_CHECK, RunSheet.WARM_LEAK)
                .what("Engine off: look at every joint again, warm; level again")
                .why("Warm oil finds gaps that cold oil did not")
                .caution("Everything is hot now: gloves, sleeves down.")
                .behind(Gate.START)
                .add();
    }

    private void refit() {
        step(Stage.REFIT, RunSheet.REFIT_LIST)
                .what("Put back on what came off, in reverse order, by the list")
                .why("A bolt that is left over is missing somewhere")
                .behind(Gate.BUMPER)
                .add();
        step(Stage.REFIT, "refit-air")
                .what("Look that nothing blocks the way out of the air: undertray, seals, liner")
                .why("A core without through-flow does nothing")
                .behind(Gate.BUMPER)
                .add();
    }

    private void drive() {
        step(Stage.FIRST_DRIVE, "drive-gentle")
                .what(
                        "Drive gently for a quarter of an hour, eyes on pressure and temperature; no load before the oil is warm")
                .why("The first heat under way, with somewhere to stop")
                .caution("Off the road at once if pressure falls. Oil on tyres or exhaust: stop, do not drive home.")
                .figure(
                        "load from",
                        Measure.TEMPERATURE,
                        StepWriter.LOADABLE,
                        Step.Source.ESTIMATE,
                        "usual in practice")
                .reading(new Step.Reading(
                        "highest oil temperature",
                        Measure.TEMPERATURE,
                        Double.NEGATIVE_INFINITY,
                        job.car().limits().limitK(),
                        false,
                        Optional.of(Channel.OIL)))
                .behind(Gate.BUMPER)
                .add();
    }

    private void secondCheck() {
        step(Stage.SECOND_CHECK, "second-joints")
                .what("Cold again: look at every joint, takeoff and filter; tighten only what has moved")
                .why("Gaskets settle in the first heat")
                .caution("On stands again, engine cold.")
                .behind(Gate.BUMPER)
                .add();
        step(Stage.SECOND_CHECK, "second-level")
                .what("Read the level, note what was added")
                .why("The last air has left the core by now")
                .reading(StepWriter.anything("oil topped up", Measure.VOLUME))
                .behind(Gate.BUMPER)
                .add();
        step(Stage.SECOND_CHECK, "second-hand-over")
                .what(
                        "Hand over: what was fitted and tightened, oil with the cooler's share, the next look by the care plan")
                .why("Whoever changes the oil next has to know of it")
                .figure(
                        "oil at each change",
                        Measure.VOLUME,
                        job.car().oilVolume() + pressures.loopVolume(),
                        Step.Source.ESTIMATE,
                        StepWriter.OF_DESIGN)
                .behind(Gate.BUMPER)
                .add();
    }

    private StepWriter step(Stage stage, String id) {
        return new StepWriter(stage, id, steps);
    }
}
