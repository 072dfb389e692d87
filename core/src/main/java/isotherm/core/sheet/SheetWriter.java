package isotherm.core.sheet;

import isotherm.core.airflow.Airway;
import isotherm.core.exchanger.Ports;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Measure;
import isotherm.core.nose.Placement;
import isotherm.core.plumb.Accessory;
import isotherm.core.plumb.CutList;
import isotherm.core.plumb.FittingChain;
import isotherm.core.plumb.HoseEnd;
import isotherm.core.plumb.HoseType;
import isotherm.core.plumb.Joint;
import isotherm.core.plumb.Line;
import isotherm.core.plumb.Plumbing;
import isotherm.core.plumb.Takeoff;
import isotherm.core.plumb.Tightening;
import isotherm.core.simulate.Design;
import isotherm.core.simulate.PressureCheck;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Writes the steps of a build from its design. */
final class SheetWriter {
    /** A loop that takes longer than this to fill starves the engine when the thermostat opens, s (default). */
    private static final double LONG_PRIME = 0.5;
    /** Time that push-on hose lies in the warm, s: a minute and a half to two. */
    private static final double HEAT_UP = 105;
    /** First idle after cranking, s (default). */
    private static final double FIRST_IDLE = 30;
    /** Warm run, s: 15 to 20 minutes. */
    private static final double WARM_RUN = 20 * 60;
    /** Torque of centre bolts as met in practice, N·m. */
    private static final double CENTRE_BOLT_LOW = 25;

    private static final double CENTRE_BOLT_HIGH = 40;
    /** Oil may be loaded from here on, K. */
    static final double LOADABLE = Units.kelvin(65);
    /** The far end of a core that oil flows through is at least this warm after the thermostat opened, K (default). */
    private static final double FAR_END_WARM = Units.kelvin(55);
    /** Skin may be burnt from here on, K. */
    private static final double TOUCHABLE = Units.kelvin(45);

    private static final String MAKER_FIRST = "usual in practice; the maker's figure comes first";
    private static final String OF_DESIGN = "computed from this design";

    private final Job job;
    private final Design.Cooler cooler;
    private final PressureCheck pressures;
    private final List<Step> steps = new ArrayList<>();

    SheetWriter(Job job) {
        this.job = job;
        this.cooler = job.design().cooler().orElseThrow();
        this.pressures =
                PressureCheck.of(job.car(), job.design(), job.car().limits().limitK());
    }

    RunSheet write() {
        prepare();
        strip();
        mount();
        takeoff();
        job.plumbing()
                .ifPresentOrElse(
                        p -> {
                            p.lines().forEach(l -> bench(l, p.hose()));
                            prefill();
                            p.lines().forEach(this::line);
                        },
                        () -> {
                            unplanned();
                            prefill();
                        });
        routed();
        fill();
        leakCheck();
        refit();
        drive();
        secondCheck();
        return new RunSheet(steps);
    }

    // ---- the stages
    // ---------------------------------------------------------------------------------------------------------

    private void prepare() {
        step(Stage.PREPARE, "prepare-parts")
                .what("Lay out parts, tools and consumables by the bill of materials; read this sheet to its end")
                .why("A part that is missing is found now, not with the oil out")
                .add();
        step(Stage.PREPARE, "prepare-stands")
                .what("Stand the car level on rated stands, wheels blocked, and rock it before going under")
                .why("The level is read later, and hands work above the face")
                .caution("A car on a jack alone kills. Stands under the maker's points, never under the sump.")
                .add();
        step(Stage.PREPARE, "prepare-cold")
                .what("Let engine, exhaust and coolant cool down")
                .why("Oil from a hot engine burns, and so does the exhaust beside the filter")
                .caution("Hot oil and coolant burn: do not open either circuit above hand-warm.")
                .reading(new Step.Reading(
                        "oil temperature",
                        Measure.TEMPERATURE,
                        Double.NEGATIVE_INFINITY,
                        TOUCHABLE,
                        false,
                        Optional.of(Channel.OIL)))
                .add();
        step(Stage.PREPARE, "prepare-battery")
                .what("Take the battery's negative lead off")
                .why("The filter is often beside the starter's cable")
                .add();
        step(Stage.PREPARE, "prepare-drain")
                .what("Drain the oil, or be ready to catch what the filter lets go")
                .why("The takeoff goes where the filter sits")
                .caution(
                        "Collect all of it and hand it in under your local rules. Oil on exhaust or tyres is wiped off at once.")
                .figure(
                        "oil that may come",
                        Measure.VOLUME,
                        job.car().oilVolume(),
                        Step.Source.OWN,
                        "the car's oil quantity")
                .add();
    }

    private void strip() {
        step(Stage.STRIP, RunSheet.STRIP_LIST)
                .what("Take off bumper and undertray; list every clip and bolt as it comes off")
                .why("The list is what goes back on, last off first on")
                .caution("If the front member comes off, the engine needs support of its own.")
                .add();
    }

    private void mount() {
        step(Stage.MOUNT, "mount-template")
                .what("Print the template at full size, measure its scale bar, offer it up where the core goes")
                .why("Paper finds what is in the way before the drill does")
                .add();
        List<Placement.Mount> mounts = job.placement().map(Placement::mounts).orElse(List.of());
        List<Placement.Mount> drilled = mounts.stream()
                .filter(m -> m.method() != Placement.Method.CLAMP)
                .toList();
        if (!drilled.isEmpty()) {
            boolean rivets = drilled.stream().anyMatch(m -> m.method() == Placement.Method.RIVET_NUT);
            Writing drill = step(Stage.MOUNT, "mount-drill")
                    .what("Drill " + drilled.size() + " holes" + (rivets ? " and set the rivet nuts" : "")
                            + ", deburr, paint the bare edges")
                    .why("A bare edge rusts, a burr cuts")
                    .caution("Goggles on; look what is behind the sheet before drilling.");
            drilled.stream()
                    .map(Placement.Mount::hole)
                    .distinct()
                    .forEach(d -> drill.figure("hole", Measure.LENGTH, d, Step.Source.OWN, "the placement"));
            drill.add();
        }
        boolean rubber = mounts.isEmpty() || mounts.stream().anyMatch(Placement.Mount::rubber);
        step(Stage.MOUNT, "mount-core")
                .what("Hang the core on its " + (mounts.isEmpty() ? "" : mounts.size() + " ") + "mounts"
                        + (rubber ? " with rubber between, and play for it to grow" : "")
                        + "; ports capped")
                .why(
                        rubber
                                ? "Vibration and heat crack a core that is held hard"
                                : "Without rubber vibration works on the core: look at it more often")
                .add();
        if (job.placement().filter(Placement::shroud).isPresent()) {
            step(Stage.MOUNT, "mount-shroud")
                    .what("Fit the shroud"
                            + (job.placement().filter(Placement::foam).isPresent()
                                    ? " and close its joints with foam"
                                    : "; its joints stay without foam in this design"))
                    .why("Air that goes round the core cools nothing")
                    .add();
        }
        if (job.placement().filter(Placement::skidPlate).isPresent()) {
            step(Stage.MOUNT, "mount-skid-plate")
                    .what("Fit the skid plate under the core")
                    .why("A core low in the nose is what a kerb meets first")
                    .add();
        }
        Airway air = cooler.airway();
        if (air.mesh()) {
            step(Stage.MOUNT, "mount-mesh")
                    .what("Fit the stone mesh in the opening")
                    .why("One stone in the fins is a leak")
                    .add();
        }
        air.fan().ifPresent(f -> step(Stage.MOUNT, "mount-fan")
                .what(
                        "Fit the core's fan with its switch, relay and fuse; try its direction with the battery on for a moment")
                .why("A fan that blows against the drive is worse than none")
                .caution("A fan starts by itself: fingers and sleeves away.")
                .figure("switches on", Measure.TEMPERATURE, f.onK(), Step.Source.OWN, "the design")
                .add());
    }

    private void takeoff() {
        Optional<Takeoff> takeoff = job.plumbing().map(Plumbing::takeoff);
        String name = takeoff.map(t -> t.kind().words()).orElse("takeoff");
        step(Stage.TAKEOFF, "takeoff-face")
                .what("Filter off, old gasket off with it; wipe the face and run a nail round it")
                .why("Two gaskets, one on the other, blow out at the first cold start")
                .caution("What runs out may be hot and is slippery: tray under it.")
                .add();
        if (takeoff.isEmpty() || takeoff.get().kind() != Takeoff.Kind.DISTRIBUTION_BLOCK) {
            Writing bolt = step(Stage.TAKEOFF, "takeoff-fit")
                    .what("Oil the " + name + "'s gasket, start it by hand, turn its ports to their angle, tighten it")
                    .why("A dry gasket creeps; ports that point wrong bend the hoses")
                    .figure(
                            "its bolt or nut",
                            Measure.TORQUE,
                            CENTRE_BOLT_LOW,
                            CENTRE_BOLT_HIGH,
                            Step.Source.ESTIMATE,
                            MAKER_FIRST)
                    .reading(anything("torque used", Measure.TORQUE));
            takeoff.ifPresent(t -> bolt.figure(
                    "height that it adds", Measure.LENGTH, t.height(), Step.Source.OWN, "the catalogue's part"));
            bolt.add();
        } else {
            step(Stage.TAKEOFF, "takeoff-fit")
                    .what("Fit the distribution block on the factory circuit with new seals")
                    .why("Old seals have taken the shape of the old part")
                    .reading(anything("torque used", Measure.TORQUE))
                    .add();
        }
        if (takeoff.filter(Takeoff::gaugePorts).isPresent()) {
            step(Stage.TAKEOFF, "takeoff-senders")
                    .what("Screw the senders for pressure and temperature in")
                    .why("The proof of the work is read here")
                    .add();
        }
        step(Stage.TAKEOFF, "takeoff-filter")
                .what(
                        "New filter: oil its gasket, fill it where it stands upright, three quarters of a turn after contact")
                .why("It needs the same by-pass and anti-drain-back valve as the one before")
                .add();
    }

    private void bench(Line line, HoseType hose) {
        // A line that is drawn through something has a length, and nobody is to cut a hose by it.
        if (line.cut().isEmpty() || !line.found()) {
            unplanned();
            return;
        }
        CutList cut = line.cut().get();
        String id = "bench-" + line.name();
        if (!hose.family().cuttable()) {
            step(Stage.BENCH, id + "-measure")
                    .what("Measure the made-up " + line.name() + " line, seat to seat, before it goes near the car")
                    .why("It cannot be shortened, and a short one pulls on both ports")
                    .figure(
                            "seat to seat, at least",
                            Measure.LENGTH,
                            cut.centreLine() + cut.slack(),
                            Step.Source.ESTIMATE,
                            OF_DESIGN)
                    .add();
            clean(line);
            return;
        }
        step(Stage.BENCH, id + "-cut")
                .what("Tape the " + line.name() + " hose, mark it, cut square through the tape"
                        + (hose.family() == HoseType.Family.PUSH_ON ? " with a sharp knife" : " with a fine saw"))
                .why("A square cut seats on the shoulder all round")
                .caution(
                        hose.family() == HoseType.Family.PUSH_ON
                                ? "Cut away from the hand."
                                : "Braid wire stabs: gloves on, tape over the end.")
                .figure(
                        "cut",
                        Measure.LENGTH,
                        cut.cut() - cut.tolerance(),
                        cut.cut() + cut.tolerance(),
                        Step.Source.ESTIMATE,
                        "computed from taped positions; try the route with a wire first")
                .add();
        if (hose.family() == HoseType.Family.PUSH_ON) {
            step(Stage.BENCH, id + "-clamps")
                    .what("Slide sleeves and P-clips on before any end")
                    .why("They do not go over an end")
                    .add();
            step(Stage.BENCH, id + "-heat")
                    .what("Warm the end of the " + line.name()
                            + " hose in hot water, push it home in one go, let it cool")
                    .why("Cold hose stops short of the last barb")
                    .caution("Water just off the boil scalds; no flame near rubber.")
                    .timer(HEAT_UP)
                    .add();
        }
        String twist = cut.twist().isPresent()
                ? String.format(
                        Locale.ROOT,
                        "; turn the second elbow %.0f° clockwise from the first, seen along the hose, before it is tight",
                        Math.toDegrees(cut.twist().getAsDouble()))
                : "";
        step(Stage.BENCH, id + "-ends")
                .what((hose.family() == HoseType.Family.PUSH_ON
                                ? "Both ends on to their collars"
                                : "Sockets on first, then both ends in soft jaws, oiled; tape mark at each collar")
                        + twist)
                .why("The mark shows push-out: a millimetre or two is fine, more is done again")
                .figure(
                        "hose inside the first end",
                        Measure.LENGTH,
                        cut.insertionFrom(),
                        Step.Source.OWN,
                        "the catalogue's part")
                .figure(
                        "hose inside the second end",
                        Measure.LENGTH,
                        cut.insertionTo(),
                        Step.Source.OWN,
                        "the catalogue's part")
                .add();
        clean(line);
    }

    private void clean(Line line) {
        step(Stage.BENCH, "bench-" + line.name() + "-flush")
                .what("Flush the " + line.name() + " hose, blow it out, cap both ends")
                .why("Rubber crumbs and swarf go to the bearings, before the filter sees them")
                .caution("No petrol as a flush: it is a fire hazard. Goggles when blowing out.")
                .add();
    }

    private void unplanned() {
        if (steps.stream().anyMatch(s -> s.id().equals("bench-by-hand"))) {
            return;
        }
        step(Stage.BENCH, "bench-by-hand")
                .what("Measure each hose with a wire along its route, cut it, fit its ends, flush it, cap it")
                .why(
                        "No route that keeps its distances was computed: Plumb gives one with its cut list, or says what is in the way")
                .caution("Braid wire stabs: gloves on. No petrol as a flush.")
                .add();
    }

    private void prefill() {
        Ports ports = cooler.core().ports();
        if (ports == Ports.DOWN) {
            step(Stage.BENCH, "prefill-core")
                    .what(
                            "Fill the core through its ports on the bench, cap them, keep them up until it hangs in its place")
                    .why("With ports that point down its air never leaves by itself")
                    .figure(
                            "oil in core and hoses",
                            Measure.VOLUME,
                            pressures.loopVolume(),
                            Step.Source.ESTIMATE,
                            OF_DESIGN)
                    .add();
        }
    }

    private void line(Line line) {
        String towards = line.name().equals("feed") ? "Feed, to the cooler" : "Return, from the cooler";
        side(line, towards, true);
        side(line, towards, false);
        line.cut().filter(c -> line.found() && !c.clips().isEmpty()).ifPresent(c -> {
            Writing held = step(Stage.LINES, "line-" + line.name() + "-clips")
                    .what(towards + ": P-clips over sleeve, at these distances from its first collar")
                    .why("A hose that moves chafes through whatever it touches, or is chafed through");
            c.clips().forEach(at -> held.figure("clip", Measure.LENGTH, at, Step.Source.ESTIMATE, OF_DESIGN));
            held.add();
        });
    }

    private void side(Line line, String towards, boolean first) {
        Optional<FittingChain> chain = first ? line.fromChain() : line.toChain();
        Optional<HoseEnd> end = first ? line.fromEnd() : line.toEnd();
        Line.Port port = first ? line.from() : line.to();
        if (chain.isEmpty() || end.isEmpty()) {
            step(Stage.LINES, "line-" + line.name() + (first ? "-first" : "-last"))
                    .what(towards + ": join it at the " + port.name() + " with a fitting of your own that seals")
                    .why("No chain of the catalogue leads there")
                    .add();
            return;
        }
        List<FittingChain.Pair> pairs = first
                ? chain.get().joints(port.end(), end.get().end())
                : chain.get().joints(end.get().end(), port.end());
        int n = 1;
        for (FittingChain.Pair pair : pairs) {
            joint(line, towards + ", at the " + port.name(), (first ? "first-" : "last-") + n++, pair);
        }
    }

    private void joint(Line line, String where, String id, FittingChain.Pair pair) {
        Joint joint = pair.one().joint();
        Tightening t = Tightening.of(pair.one());
        Writing w = step(Stage.LINES, "line-" + line.name() + "-" + id)
                .what(where + ": " + pair.one().size() + " " + joint.words() + ", started by hand; " + joint.onThread())
                .why("It seals by " + joint.seal())
                .reading(anything("torque or angle used", Measure.TORQUE));
        t.torque()
                .ifPresent(
                        r -> w.figure("torque", Measure.TORQUE, r.low(), r.high(), Step.Source.PUBLISHED, t.source()));
        if (t.mostTurn() > 0) {
            w.figure(
                    "past finger tight", Measure.ANGLE, t.leastTurn(), t.mostTurn(), Step.Source.ESTIMATE, MAKER_FIRST);
        }
        w.add();
    }

    private void routed() {
        step(Stage.LINES, "lines-clear")
                .what("Turn the steering from lock to lock, work the suspension, look along both hoses"
                        + (job.sleeved() ? ", heat sleeve over all that is near the exhaust" : ""))
                .why("Belts, exhaust, edges and wheels find a hose in the first minutes")
                .add();
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
                            OF_DESIGN)
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
                .figure("for the cooler", Measure.VOLUME, pressures.loopVolume(), Step.Source.ESTIMATE, OF_DESIGN)
                .reading(anything("oil poured in all", Measure.VOLUME))
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
                .reading(anything("oil topped up", Measure.VOLUME))
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
                        thermostat.map(OilThermostat::opensK).orElse(LOADABLE),
                        thermostat.isPresent() ? Step.Source.OWN : Step.Source.ESTIMATE,
                        thermostat.isPresent() ? "the design" : "usual in practice")
                .reading(new Step.Reading(
                        "oil temperature",
                        Measure.TEMPERATURE,
                        thermostat.map(OilThermostat::opensK).orElse(LOADABLE),
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
                .figure("load from", Measure.TEMPERATURE, LOADABLE, Step.Source.ESTIMATE, "usual in practice")
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
                .reading(anything("oil topped up", Measure.VOLUME))
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
                        OF_DESIGN)
                .behind(Gate.BUMPER)
                .add();
    }

    // ---- writing
    // ------------------------------------------------------------------------------------------------------------

    private static Step.Reading anything(String name, Measure measure) {
        return new Step.Reading(
                name, measure, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, false, Optional.empty());
    }

    private Writing step(Stage stage, String id) {
        return new Writing(stage, id);
    }

    /** A step while it is written. */
    private final class Writing {
        private final Stage stage;
        private final String id;
        private final List<Step.Figure> figures = new ArrayList<>();
        private String what = "";
        private String why = "";
        private String caution = "";
        private double timer;
        private Optional<Step.Reading> reading = Optional.empty();
        private Optional<Gate> behind = Optional.empty();

        Writing(Stage stage, String id) {
            this.stage = stage;
            this.id = id;
        }

        Writing what(String words) {
            what = words;
            return this;
        }

        Writing why(String words) {
            why = words;
            return this;
        }

        Writing caution(String words) {
            caution = words;
            return this;
        }

        Writing figure(String name, Measure measure, double value, Step.Source source, String from) {
            return figure(name, measure, value, value, source, from);
        }

        Writing figure(String name, Measure measure, double low, double high, Step.Source source, String from) {
            figures.add(new Step.Figure(name, measure, low, high, source, from));
            return this;
        }

        Writing reading(Step.Reading wanted) {
            reading = Optional.of(wanted);
            return this;
        }

        Writing timer(double seconds) {
            timer = seconds;
            return this;
        }

        Writing behind(Gate gate) {
            behind = Optional.of(gate);
            return this;
        }

        void add() {
            steps.add(new Step(id, stage, what, why, caution, figures, reading, timer, behind));
        }
    }
}
