package isotherm.core.sheet;

import isotherm.core.airflow.Airway;
import isotherm.core.fluid.Units;
import isotherm.core.message.Measure;
import isotherm.core.nose.Placement;
import isotherm.core.plumb.Plumbing;
import isotherm.core.plumb.Takeoff;
import isotherm.core.simulate.Design;
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
    private final Design.Cooler cooler;
    private final List<Step> steps;

    FittingSteps(Job job, List<Step> steps) {
        this.job = job;
        this.cooler = job.design().cooler().orElseThrow();
        this.steps = steps;
    }

    void write() {
        prepare();
        strip();
        mount();
        takeoff();
    }

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
            StepWriter drill = step(Stage.MOUNT, "mount-drill")
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
            StepWriter bolt = step(Stage.TAKEOFF, "takeoff-fit")
                    .what("Oil the " + name + "'s gasket, start it by hand, turn its ports to their angle, tighten it")
                    .why("A dry gasket creeps; ports that point wrong bend the hoses")
                    .figure(
                            "its bolt or nut",
                            Measure.TORQUE,
                            CENTRE_BOLT_LOW,
                            CENTRE_BOLT_HIGH,
                            Step.Source.ESTIMATE,
                            StepWriter.MAKER_FIRST)
                    .reading(StepWriter.anything("torque used", Measure.TORQUE));
            takeoff.ifPresent(t -> bolt.figure(
                    "height that it adds", Measure.LENGTH, t.height(), Step.Source.OWN, "the catalogue's part"));
            bolt.add();
        } else {
            step(Stage.TAKEOFF, "takeoff-fit")
                    .what("Fit the distribution block on the factory circuit with new seals")
                    .why("Old seals have taken the shape of the old part")
                    .reading(StepWriter.anything("torque used", Measure.TORQUE))
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

    private StepWriter step(Stage stage, String id) {
        return new StepWriter(stage, id, steps);
    }
}
