package isotherm.core.sheet;

import isotherm.core.car.Design;
import isotherm.core.exchanger.Ports;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.line.MadeJoint;
import isotherm.core.message.Measure;
import isotherm.core.parts.Accessory;
import isotherm.core.parts.MakersFigure;
import isotherm.core.parts.Tightening;
import isotherm.core.simulate.PressureCheck;
import java.util.List;
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
    private final Optional<Design.Cooler> cooler;
    private final PressureCheck pressures;
    private final List<Step> steps;

    EngineSteps(Job job, PressureCheck pressures, List<Step> steps) {
        this.job = job;
        this.cooler = job.design().cooler().filter(c -> job.work().cooled());
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
        for (Accessory a : accessories()) {
            if (a.kind() == Accessory.Kind.ACCUMULATOR) {
                if (a.detail().preCharge() > 0) {
                    step(Stage.FILL, "fill-precharge", StepText.FILL_PRECHARGE)
                            .figure(
                                    SheetFigure.PRE_CHARGE,
                                    Measure.PRESSURE,
                                    a.detail().preCharge(),
                                    Step.Source.OWN,
                                    FigureSource.DESIGN)
                            .add();
                }
                step(Stage.FILL, "fill-accumulator", StepText.FILL_ACCUMULATOR)
                        .figure(
                                SheetFigure.ACCUMULATOR_TAKES,
                                Measure.VOLUME,
                                a.volume(),
                                Step.Source.OWN,
                                FigureSource.DESIGN)
                        .add();
            }
        }
        boolean opened = cooler.filter(c -> job.work().coreJoints() && c.core().ports() != Ports.DOWN)
                .isPresent();
        if (opened && pressures.primeSeconds() >= LONG_PRIME) {
            step(Stage.FILL, "fill-loop", StepText.FILL_LOOP)
                    .saying(m -> m.with("prime", Measure.TIME, pressures.primeSeconds(), 1))
                    .figure(
                            SheetFigure.OIL_IN_LOOP,
                            Measure.VOLUME,
                            pressures.loopVolume(),
                            Step.Source.ESTIMATE,
                            FigureSource.OF_DESIGN)
                    .add();
        }
        StepWriter engine = step(Stage.FILL, "fill-engine", StepText.FILL_ENGINE)
                .saying(m -> m.choose("cooled", cooler.isPresent()))
                .figure(
                        SheetFigure.ORDINARY_CHANGE,
                        Measure.VOLUME,
                        job.car().oilVolume(),
                        Step.Source.OWN,
                        FigureSource.OIL_QUANTITY)
                .reading(StepWriter.anything(SheetFigure.OIL_POURED, Measure.VOLUME));
        if (cooler.isPresent()) {
            engine.figure(
                    SheetFigure.FOR_THE_COOLER,
                    Measure.VOLUME,
                    pressures.loopVolume(),
                    Step.Source.ESTIMATE,
                    FigureSource.OF_DESIGN);
        }
        engine.add();
        if (job.coolant()) {
            step(Stage.FILL, "fill-coolant", StepText.FILL_COOLANT)
                    .reading(StepWriter.anything(SheetFigure.COOLANT_POURED, Measure.VOLUME))
                    .add();
        }
        step(Stage.FILL, "fill-battery", StepText.FILL_BATTERY).add();
    }

    /** What else is in the loop; where its hoses are not opened it stays as it is. */
    private List<Accessory> accessories() {
        return job.plumbing()
                .filter(p -> job.work().hoses())
                .map(p -> p.circuit().accessories())
                .orElse(List.of());
    }

    private void leakCheck() {
        step(Stage.LEAK_CHECK, RunSheet.CRANK, StepText.CRANK_PRESSURE)
                .figure(
                        SheetFigure.AT_LEAST,
                        Measure.PRESSURE,
                        job.leastCrank(),
                        job.leastCrank() == Job.LEAST_CRANK ? Step.Source.ESTIMATE : Step.Source.OWN,
                        FigureSource.PRACTICE_OR_OWN)
                .reading(new Step.Reading(
                        SheetFigure.CRANKING_PRESSURE.say("name"),
                        Measure.PRESSURE,
                        job.leastCrank(),
                        Double.POSITIVE_INFINITY,
                        true,
                        Optional.of(Channel.OIL_PRESSURE)))
                .add();
        step(Stage.LEAK_CHECK, RunSheet.CRANK_LEAK, StepText.CRANK_JOINTS).add();
        step(Stage.LEAK_CHECK, "first-idle", StepText.FIRST_IDLE)
                .saying(m -> m.with("empty", Measure.TIME, pressures.drainSeconds(), 0))
                .timer(FIRST_IDLE)
                .behind(Gate.START)
                .add();
        step(Stage.LEAK_CHECK, "first-level", StepText.FIRST_LEVEL)
                .reading(StepWriter.anything(SheetFigure.OIL_TOPPED_UP, Measure.VOLUME))
                .behind(Gate.START)
                .add();
        Optional<OilThermostat> thermostat = cooler.flatMap(c -> c.loop().thermostat());
        step(Stage.LEAK_CHECK, RunSheet.WARM_OIL, StepText.WARM_OIL)
                .saying(m -> m.choose("thermostat", thermostat.isPresent()))
                .timer(WARM_RUN)
                .figure(
                        thermostat.isPresent() ? SheetFigure.THERMOSTAT_OPENS : SheetFigure.MAY_BE_LOADED,
                        Measure.TEMPERATURE,
                        thermostat.map(OilThermostat::opensK).orElse(StepWriter.LOADABLE),
                        thermostat.isPresent() ? Step.Source.OWN : Step.Source.ESTIMATE,
                        thermostat.isPresent() ? FigureSource.DESIGN : FigureSource.PRACTICE)
                .reading(new Step.Reading(
                        SheetFigure.OIL_TEMPERATURE.say("name"),
                        Measure.TEMPERATURE,
                        thermostat.map(OilThermostat::opensK).orElse(StepWriter.LOADABLE),
                        job.car().limits().limitK(),
                        true,
                        Optional.of(Channel.OIL)))
                .behind(Gate.START)
                .add();
        if (cooler.isPresent()) {
            step(Stage.LEAK_CHECK, RunSheet.WARM_FAR_END, StepText.WARM_FAR_END)
                    .reading(new Step.Reading(
                            SheetFigure.FAR_END.say("name"),
                            Measure.TEMPERATURE,
                            FAR_END_WARM,
                            job.car().limits().limitK(),
                            true,
                            Optional.of(Channel.CORE_FAR)))
                    .behind(Gate.START)
                    .add();
        }
        if (job.coolant()) {
            step(Stage.LEAK_CHECK, "warm-coolant", StepText.WARM_COOLANT)
                    .behind(Gate.START)
                    .add();
        }
        accessories().stream()
                .filter(a -> a.kind() == Accessory.Kind.ACCUMULATOR && a.valve() != Accessory.Valve.NONE)
                .findFirst()
                .ifPresent(a -> step(Stage.LEAK_CHECK, "open-accumulator", StepText.OPEN_ACCUMULATOR)
                        .figure(
                                SheetFigure.ACCUMULATOR_TAKES,
                                Measure.VOLUME,
                                a.holds(job.car().pump().reliefPressure()),
                                Step.Source.ESTIMATE,
                                FigureSource.OF_DESIGN)
                        .reading(StepWriter.anything(SheetFigure.OIL_TOPPED_UP, Measure.VOLUME))
                        .behind(Gate.START)
                        .add());
        step(Stage.LEAK_CHECK, RunSheet.WARM_LEAK, StepText.WARM_JOINTS)
                .behind(Gate.START)
                .add();
    }

    private void refit() {
        step(Stage.REFIT, RunSheet.REFIT_LIST, StepText.REFIT_LIST)
                .behind(Gate.BUMPER)
                .add();
        if (cooler.isPresent()) {
            step(Stage.REFIT, "refit-air", StepText.REFIT_AIR)
                    .behind(Gate.BUMPER)
                    .add();
        }
    }

    private void drive() {
        step(Stage.FIRST_DRIVE, "drive-gentle", StepText.DRIVE_GENTLE)
                .saying(m -> m.choose("coolant", job.coolant()))
                .figure(
                        SheetFigure.LOAD_FROM,
                        Measure.TEMPERATURE,
                        StepWriter.LOADABLE,
                        Step.Source.ESTIMATE,
                        FigureSource.PRACTICE)
                .reading(new Step.Reading(
                        SheetFigure.HIGHEST_OIL.say("name"),
                        Measure.TEMPERATURE,
                        Double.NEGATIVE_INFINITY,
                        job.car().limits().limitK(),
                        false,
                        Optional.of(Channel.OIL)))
                .behind(Gate.DRIVE)
                .add();
    }

    /** Joints whose makers want them tightened again once they have been hot, each with its figure. */
    private void retorqued() {
        int n = 1;
        for (MadeJoint j : job.plumbing().map(p -> p.made(job.work())).orElse(List.of())) {
            Tightening t = j.tightening();
            if (t.retorque() != MakersFigure.Retorque.COLD_AFTER_FIRST_HEAT
                    && t.retorque() != MakersFigure.Retorque.COLD_AFTER_FIRST_DRIVE) {
                continue;
            }
            StepWriter again = step(Stage.SECOND_CHECK, "second-retorque-" + n++, StepText.SECOND_RETORQUE)
                    .saying(m -> m.name("first", j.first()).name("second", j.second()))
                    .reading(StepWriter.anything(SheetFigure.TORQUE_OR_ANGLE_USED, Measure.TORQUE))
                    .behind(Gate.DRIVE);
            t.torque()
                    .ifPresent(r -> again.figure(
                            SheetFigure.TORQUE,
                            Measure.TORQUE,
                            r.low(),
                            r.high(),
                            Step.Source.PUBLISHED,
                            FigureSource.MAKERS.say("name").name("source", t.source())));
            again.add();
        }
    }

    private void secondCheck() {
        step(Stage.SECOND_CHECK, "second-joints", StepText.SECOND_JOINTS)
                .behind(Gate.DRIVE)
                .add();
        retorqued();
        if (job.coolant()) {
            step(Stage.SECOND_CHECK, "second-coolant", StepText.SECOND_COOLANT)
                    .reading(StepWriter.anything(SheetFigure.COOLANT_POURED, Measure.VOLUME))
                    .behind(Gate.DRIVE)
                    .add();
        }
        step(Stage.SECOND_CHECK, "second-level", StepText.SECOND_LEVEL)
                .reading(StepWriter.anything(SheetFigure.OIL_TOPPED_UP, Measure.VOLUME))
                .behind(Gate.DRIVE)
                .add();
        step(Stage.SECOND_CHECK, RunSheet.HAND_OVER, StepText.SECOND_HAND_OVER)
                .figure(
                        SheetFigure.OIL_AT_CHANGE,
                        Measure.VOLUME,
                        job.car().oilVolume() + (cooler.isPresent() ? pressures.loopVolume() : 0),
                        Step.Source.ESTIMATE,
                        FigureSource.OF_DESIGN)
                .behind(Gate.DRIVE)
                .add();
    }

    private StepWriter step(Stage stage, String id, StepText text) {
        return new StepWriter(stage, id, text, steps);
    }
}
