package isotherm.core.sheet;

import isotherm.core.airflow.Airway;
import isotherm.core.car.Design;
import isotherm.core.car.Work;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.nose.Placement;
import isotherm.core.nose.Relocation;
import isotherm.core.parts.MakersFigure;
import isotherm.core.parts.Takeoff;
import isotherm.core.plumb.Plumbing;
import isotherm.core.sheetmetal.FlatPattern;
import isotherm.core.sheetmetal.FoldedBracket;
import isotherm.core.sheetmetal.FoldedPanel;
import isotherm.core.simulate.PressureCheck;
import java.util.List;
import java.util.Optional;

/** Steps up to the takeoff: what comes off, where the core goes, what the oil leaves by. */
final class FittingSteps {
    /** Torque of centre bolts as met in practice, N·m. */
    private static final double CENTRE_BOLT_LOW = 25;

    private static final double CENTRE_BOLT_HIGH = 40;
    /** Skin may be burnt from here on, K. */
    private static final double TOUCHABLE = Units.kelvin(45);

    private final Job job;
    /** Empty where only an exchanger comes off. */
    private final Optional<Design.Cooler> cooler;

    private final PressureCheck pressures;
    private final LineSteps lines;
    private final List<Step> steps;

    FittingSteps(Job job, PressureCheck pressures, LineSteps lines, List<Step> steps) {
        this.pressures = pressures;
        this.lines = lines;
        this.job = job;
        this.cooler = job.design().cooler();
        this.steps = steps;
    }

    void write() {
        prepare();
        strip();
        if (job.work().core()) {
            mount(cooler.orElseThrow());
        }
        if (job.work().takeoff()) {
            takeoff();
        } else if (job.work() == Work.THERMOSTAT) {
            thermostat();
        } else if (job.work() == Work.EXCHANGER) {
            step(Stage.TAKEOFF, "exchanger-seat", StepText.EXCHANGER_SEAT)
                    .reading(StepWriter.anything(SheetFigure.TORQUE_USED, Measure.TORQUE))
                    .joint(LeakKind.GASKET, JointName.EXCHANGER.say("name"))
                    .add();
            filter();
        }
    }

    private void prepare() {
        step(Stage.PREPARE, "prepare-parts", StepText.PREPARE_PARTS).add();
        step(Stage.PREPARE, "prepare-stands", StepText.PREPARE_STANDS).add();
        step(Stage.PREPARE, "prepare-cold", StepText.PREPARE_COLD)
                .reading(new Step.Reading(
                        SheetFigure.OIL_TEMPERATURE.say("name"),
                        Measure.TEMPERATURE,
                        Double.NEGATIVE_INFINITY,
                        TOUCHABLE,
                        false,
                        Optional.of(Channel.OIL)))
                .add();
        step(Stage.PREPARE, "prepare-battery", StepText.PREPARE_BATTERY).add();
        step(Stage.PREPARE, "prepare-drain", StepText.PREPARE_DRAIN)
                .figure(
                        SheetFigure.OIL_THAT_MAY_COME,
                        Measure.VOLUME,
                        job.car().oilVolume(),
                        Step.Source.OWN,
                        FigureSource.OIL_QUANTITY)
                .add();
    }

    private void strip() {
        step(Stage.STRIP, RunSheet.STRIP_LIST, StepText.STRIP_LIST).add();
        for (int i = 0; i < job.relocations().size(); i++) {
            Relocation r = job.relocations().get(i);
            step(Stage.STRIP, "strip-room-" + (i + 1), StepText.MAKE_ROOM)
                    .saying(m -> m.name("name", r.name())
                            .choose("what", r.what())
                            .choose("said", !r.how().isBlank())
                            .name("how", r.how()))
                    .add();
        }
        if (job.coolantOpened()) {
            step(Stage.STRIP, "strip-coolant", StepText.COOLANT_DRAIN).add();
        }
        job.exchangerOff().ifPresent(c -> step(Stage.STRIP, "strip-exchanger", StepText.EXCHANGER_OFF)
                .saying(m -> m.choose("ends", c))
                .add());
        if (job.work() == Work.CORE) {
            step(Stage.STRIP, "strip-core", StepText.OLD_CORE_OFF).add();
        }
        if (job.work() == Work.HOSES) {
            step(Stage.STRIP, "strip-hoses", StepText.OLD_HOSES_OFF).add();
        }
    }

    private void mount(Design.Cooler cooler) {
        step(Stage.MOUNT, "mount-accept", StepText.CORE_ACCEPT)
                .figure(
                        SheetFigure.CORE_MADE_FOR,
                        Measure.PRESSURE,
                        cooler.core().detail().ratedPressure(),
                        Step.Source.OWN,
                        FigureSource.CATALOGUE)
                .figure(
                        SheetFigure.CORE_SEES,
                        Measure.PRESSURE,
                        pressures.highestAtCore(),
                        Step.Source.ESTIMATE,
                        FigureSource.OF_DESIGN)
                .add();
        step(Stage.MOUNT, "mount-template", StepText.MOUNT_TEMPLATE).add();
        job.sheets().goodBrackets().forEach(this::bracket);
        List<Placement.Mount> mounts = job.placement().map(Placement::mounts).orElse(List.of());
        List<Placement.Mount> drilled = mounts.stream()
                .filter(m -> m.method() != Placement.Method.CLAMP)
                .toList();
        if (!drilled.isEmpty()) {
            boolean rivets = drilled.stream().anyMatch(m -> m.method() == Placement.Method.RIVET_NUT);
            StepWriter drill = step(Stage.MOUNT, "mount-drill", StepText.MOUNT_DRILL)
                    .saying(m -> m.count("holes", drilled.size()).choose("rivets", rivets));
            drilled.stream()
                    .map(Placement.Mount::hole)
                    .distinct()
                    .forEach(d ->
                            drill.figure(SheetFigure.HOLE, Measure.LENGTH, d, Step.Source.OWN, FigureSource.PLACEMENT));
            drill.add();
        }
        boolean rubber = mounts.isEmpty() || mounts.stream().anyMatch(Placement.Mount::rubber);
        StepWriter core = step(Stage.MOUNT, "mount-core", StepText.MOUNT_CORE)
                .saying(m -> m.count("mounts", mounts.size()).choose("rubber", rubber));
        mounts.stream()
                .flatMapToDouble(m -> m.torque().stream())
                .distinct()
                .forEach(t -> core.figure(
                        SheetFigure.BOLT_OR_NUT, Measure.TORQUE, t, Step.Source.OWN, FigureSource.PLACEMENT));
        core.add();
        job.sheets().goodPanels().forEach(this::panel);
        if (job.placement().filter(Placement::shroud).isPresent()) {
            boolean foam = job.placement().filter(Placement::foam).isPresent();
            step(Stage.MOUNT, "mount-shroud", StepText.MOUNT_SHROUD)
                    .saying(m -> m.choose("foam", foam))
                    .add();
        }
        if (job.placement().filter(Placement::skidPlate).isPresent()) {
            step(Stage.MOUNT, "mount-skid-plate", StepText.MOUNT_SKID_PLATE).add();
        }
        Airway air = cooler.airway();
        if (air.mesh()) {
            step(Stage.MOUNT, "mount-mesh", StepText.MOUNT_MESH).add();
        }
        air.fan().ifPresent(f -> step(Stage.MOUNT, "mount-fan", StepText.MOUNT_FAN)
                .figure(SheetFigure.SWITCHES_ON, Measure.TEMPERATURE, f.onK(), Step.Source.OWN, FigureSource.DESIGN)
                .add());
    }

    private void bracket(FoldedBracket b) {
        FlatPattern p = b.flat().orElseThrow();
        StepWriter w = step(Stage.MOUNT, "mount-bracket-" + b.bracket().mark(), StepText.MOUNT_BRACKET)
                .saying(m -> m.name("mark", b.bracket().mark())
                        .choose("sheet", b.bracket().sheet())
                        .count("bends", p.bends().size()))
                .figure(
                        SheetFigure.THICKNESS,
                        Measure.LENGTH,
                        b.bracket().thickness(),
                        Step.Source.OWN,
                        FigureSource.PLACEMENT)
                .figure(SheetFigure.LENGTH, Measure.LENGTH, p.length(), Step.Source.ESTIMATE, FigureSource.OF_DESIGN)
                .figure(SheetFigure.WIDTH, Measure.LENGTH, p.width(), Step.Source.ESTIMATE, FigureSource.OF_DESIGN);
        p.bends()
                .forEach(bend -> w.figure(
                        SheetFigure.BEND_AT, Measure.LENGTH, bend.at(), Step.Source.ESTIMATE, FigureSource.OF_DESIGN));
        w.add();
    }

    private void panel(FoldedPanel p) {
        step(Stage.MOUNT, "mount-panel-" + p.panel().mark(), StepText.MOUNT_PANEL)
                .saying(m -> m.name("mark", p.panel().mark())
                        .choose("sheet", p.panel().sheet())
                        .count("bends", p.flat().orElseThrow().folds().size()))
                .figure(
                        SheetFigure.THICKNESS,
                        Measure.LENGTH,
                        p.panel().thickness(),
                        Step.Source.OWN,
                        FigureSource.PLACEMENT)
                .add();
    }

    private void takeoff() {
        Optional<Takeoff> takeoff = job.plumbing().map(Plumbing::takeoff);
        String name = takeoff.map(t -> t.kind().words()).orElse("takeoff");
        step(Stage.TAKEOFF, "takeoff-face", StepText.TAKEOFF_FACE).add();
        lines.outOfReach();
        if (takeoff.isEmpty() || takeoff.get().kind() != Takeoff.Kind.DISTRIBUTION_BLOCK) {
            StepWriter bolt = step(Stage.TAKEOFF, "takeoff-fit", StepText.TAKEOFF_FIT)
                    .saying(m -> m.name("takeoff", name))
                    .reading(StepWriter.anything(SheetFigure.TORQUE_USED, Measure.TORQUE));
            centreBolt(bolt, takeoff.flatMap(Takeoff::figure));
            bolt.joint(LeakKind.GASKET, JointName.TAKEOFF.say("name"));
            takeoff.ifPresent(t -> bolt.figure(
                    SheetFigure.HEIGHT_ADDED, Measure.LENGTH, t.height(), Step.Source.OWN, FigureSource.CATALOGUE));
            bolt.add();
        } else {
            step(Stage.TAKEOFF, "takeoff-fit", StepText.TAKEOFF_BLOCK)
                    .reading(StepWriter.anything(SheetFigure.TORQUE_USED, Measure.TORQUE))
                    .joint(LeakKind.O_RING, JointName.TAKEOFF.say("name"))
                    .add();
        }
        boolean listed =
                job.plumbing().filter(p -> !p.circuit().senders().isEmpty()).isPresent();
        if (!listed && takeoff.filter(Takeoff::gaugePorts).isPresent()) {
            step(Stage.TAKEOFF, "takeoff-senders", StepText.TAKEOFF_SENDERS).add();
        }
        lines.senders(Stage.TAKEOFF);
        filter();
    }

    private void filter() {
        step(Stage.TAKEOFF, "takeoff-filter", StepText.TAKEOFF_FILTER)
                .joint(LeakKind.GASKET, JointName.FILTER.say("name"))
                .add();
    }

    /** Another thermostat, where the one that is there sits: under the filter, or in the line. */
    private void thermostat() {
        OilThermostat.Site site = cooler.orElseThrow()
                .loop()
                .thermostat()
                .map(OilThermostat::site)
                .orElse(OilThermostat.Site.PLATE);
        boolean inLine = site == OilThermostat.Site.IN_LINE;
        StepWriter swap = step(Stage.TAKEOFF, "thermostat-swap", StepText.THERMOSTAT_SWAP)
                .saying(m -> m.choose("site", site))
                .reading(StepWriter.anything(SheetFigure.TORQUE_USED, Measure.TORQUE))
                .joint(inLine ? LeakKind.CONE : LeakKind.GASKET, JointName.THERMOSTAT.say("name"));
        cooler.get()
                .loop()
                .thermostat()
                .ifPresent(t -> swap.figure(
                        SheetFigure.THERMOSTAT_OPENS,
                        Measure.TEMPERATURE,
                        t.opensK(),
                        Step.Source.OWN,
                        FigureSource.DESIGN));
        if (site == OilThermostat.Site.PLATE) {
            centreBolt(swap, job.plumbing().map(Plumbing::takeoff).flatMap(Takeoff::figure));
        }
        swap.add();
        if (site == OilThermostat.Site.PLATE) {
            filter();
        }
    }

    private static void centreBolt(StepWriter bolt, Optional<MakersFigure> figure) {
        if (figure.isEmpty()) {
            bolt.figure(
                    SheetFigure.BOLT_OR_NUT,
                    Measure.TORQUE,
                    CENTRE_BOLT_LOW,
                    CENTRE_BOLT_HIGH,
                    Step.Source.ESTIMATE,
                    FigureSource.MAKER_FIRST.say("name"));
            return;
        }
        Message source =
                FigureSource.MAKERS.say("name").name("source", figure.get().source());
        figure.get()
                .torque()
                .ifPresent(t -> bolt.figure(
                        SheetFigure.BOLT_OR_NUT, Measure.TORQUE, t.low(), t.high(), Step.Source.PUBLISHED, source));
        figure.get()
                .turn()
                .ifPresent(t -> bolt.figure(
                        SheetFigure.PAST_CONTACT, Measure.ANGLE, t.least(), t.most(), Step.Source.PUBLISHED, source));
    }

    private StepWriter step(Stage stage, String id, StepText text) {
        return new StepWriter(stage, id, text, steps);
    }
}
