package isotherm.core.plumb;

import static isotherm.core.plumb.Plumbings.choice;
import static isotherm.core.plumb.Plumbings.core;
import static isotherm.core.plumb.Plumbings.plan;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.bill.BillItem;
import isotherm.core.bill.BillLine;
import isotherm.core.bill.BillOfMaterials;
import isotherm.core.car.Work;
import isotherm.core.exchanger.Ports;
import isotherm.core.line.MadeJoint;
import isotherm.core.line.Wire;
import isotherm.core.message.MessageTopic;
import isotherm.core.parts.Accessory;
import isotherm.core.parts.Circuit;
import isotherm.core.parts.End;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Joint;
import isotherm.core.parts.MakersFigure;
import isotherm.core.parts.Practice;
import isotherm.core.parts.Sender;
import isotherm.core.parts.Tightening;
import isotherm.core.sheet.Job;
import isotherm.core.sheet.RunSheet;
import isotherm.core.sheet.Step;
import isotherm.core.simulate.DemoCars;
import isotherm.core.takeoff.FilterStand;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The rest of the circuit: what it costs, what it buys, and which steps it brings. */
class CircuitTest {
    private static final Practice STEEL = new Practice(Practice.Washer.BONDED, Practice.Metal.STEEL, false);
    private static final Sender PIPE = new Sender(
            Sender.Senses.PRESSURE, Sender.Site.TAKEOFF, new End(Joint.TAPER, "1/8", true), Optional.empty());
    private static final Sender METRIC = new Sender(
            Sender.Senses.TEMPERATURE, Sender.Site.RETURN, new End(Joint.METRIC, "M10x1", true), Optional.empty());

    private static Circuit with(Practice practice) {
        return new Circuit(List.of(), List.of(), practice, Optional.empty());
    }

    private static Circuit with(Sender... senders) {
        return new Circuit(List.of(), List.of(senders), Practice.USUAL, Optional.empty());
    }

    private static Plumbing planned(Circuit circuit) {
        return plan(core(Ports.UP, 1), choice(HoseType.Family.BRAIDED_RUBBER, circuit));
    }

    private static double bought(Plumbing p, MessageTopic item) {
        String topic = item.say("what").topic();
        return new BillOfMaterials(p, Work.WHOLE)
                .lines(1e-3, 5e-3).stream()
                        .filter(b -> b.what().topic().equals(topic))
                        .mapToDouble(BillLine::quantity)
                        .sum();
    }

    private static List<Step> steps(Circuit circuit) {
        return RunSheet.of(new Job(
                        DemoCars.car(),
                        DemoCars.design(13, Place.GRILLE_AHEAD),
                        Optional.empty(),
                        Optional.of(planned(circuit)),
                        false,
                        Job.LEAST_CRANK))
                .steps();
    }

    private static List<String> ids(Circuit circuit) {
        return steps(circuit).stream().map(Step::id).toList();
    }

    @Test
    void steelWeighsMoreAndTakesItsTorqueOnlyBetweenTwoFittings() {
        Plumbing light = planned(Circuit.PLAIN);
        Plumbing heavy = planned(with(STEEL));
        double fittings =
                light.lines().stream().mapToDouble(CircuitNotes::fittings).sum();
        assertThat(heavy.mass() - light.mass()).isEqualTo(fittings * (7850.0 / 2700 - 1), within(1e-9));
        assertThat(heavy.made()).anyMatch(j -> j.tightening().source().contains("steel"));
        for (MadeJoint j : heavy.made()) {
            boolean port =
                    !j.first().matches("adaptor.*|hose end") || !j.second().matches("adaptor.*|hose end");
            if (port) {
                assertThat(j.tightening())
                        .as("%s and %s", j.first(), j.second())
                        .isEqualTo(Tightening.of(j.pair().one()));
            } else if (j.pair().one().joint() == Joint.FLARE_37) {
                // Ten sixteenths: 650 to 700 inch pounds.
                assertThat(j.tightening().torque().orElseThrow().high()).isEqualTo(700 * 0.1129848, within(1e-6));
            }
        }
    }

    @Test
    void copperWashersStandOnBillAndJointInsteadOfBondedOnes() {
        Practice copper = new Practice(Practice.Washer.COPPER, Practice.Metal.ALUMINIUM, false);
        End metric = new End(Joint.METRIC, "M22x1.5", false);
        Wire wire = new Wire(1, 2, 0, 0);
        Plumbing bonded = Planner.byWire(
                Optional.empty(),
                wire,
                wire,
                metric,
                choice(HoseType.Family.BRAIDED_RUBBER, Circuit.PLAIN),
                Plumbings.PARTS);
        Plumbing soft = Planner.byWire(
                Optional.empty(),
                wire,
                wire,
                metric,
                choice(HoseType.Family.BRAIDED_RUBBER, with(copper)),
                Plumbings.PARTS);
        assertThat(bought(bonded, BillItem.BONDED_WASHER)).isEqualTo(2);
        assertThat(bought(soft, BillItem.BONDED_WASHER)).isZero();
        assertThat(bought(soft, BillItem.COPPER_WASHER)).isEqualTo(2);
        assertThat(soft.made())
                .anyMatch(j -> j.seal().contains("copper") && j.onThread().contains("copper"));
        assertThat(bonded.made()).noneMatch(j -> j.seal().contains("copper"));
    }

    @Test
    void clampsAreForPushOnHoseAlone() {
        Practice clamped = new Practice(Practice.Washer.BONDED, Practice.Metal.ALUMINIUM, true);
        Plumbing push = plan(core(Ports.UP, 1), choice(HoseType.Family.PUSH_ON, with(clamped)));
        assertThat(bought(push, BillItem.BAND_CLAMP)).isEqualTo(4);
        assertThat(bought(planned(with(clamped)), BillItem.BAND_CLAMP)).isZero();
        assertThat(bought(plan(core(Ports.UP, 1), choice(HoseType.Family.PUSH_ON, Circuit.PLAIN)), BillItem.BAND_CLAMP))
                .isZero();
    }

    @Test
    void aSenderInAHoseBuysATeeAndOneThatDoesNotFitAnAdaptor() {
        Plumbing pipe = planned(with(PIPE));
        assertThat(bought(pipe, BillItem.SENDER)).isEqualTo(1);
        assertThat(bought(pipe, BillItem.SENDER_ADAPTOR)).isZero();
        assertThat(bought(pipe, BillItem.TEE))
                .as("a plate without ports for gauges")
                .isEqualTo(1);
        Plumbing both = planned(with(PIPE, METRIC));
        assertThat(bought(both, BillItem.SENDER_ADAPTOR)).isEqualTo(1);
        assertThat(both.heads() - planned(Circuit.PLAIN).heads()).isEqualTo(Sender.TEE, within(1e-9));
    }

    @Test
    void aSendersStepHasItsMakersFigure() {
        MakersFigure figure = new MakersFigure(
                Optional.of(new Tightening.Range(12, 15)),
                Optional.empty(),
                false,
                "its bag",
                MakersFigure.Retorque.NEVER);
        Sender own = new Sender(PIPE.senses(), PIPE.site(), PIPE.end(), Optional.of(figure));
        Step step = steps(with(own)).stream()
                .filter(s -> s.id().equals("sender-1"))
                .findFirst()
                .orElseThrow();
        assertThat(step.figures()).singleElement().satisfies(f -> {
            assertThat(f.low()).isEqualTo(12);
            assertThat(f.high()).isEqualTo(15);
        });
        assertThat(step.what().values().get("thread").toString()).contains("dry thread");
        assertThat(ids(Circuit.PLAIN)).noneMatch(id -> id.startsWith("sender-"));
    }

    @Test
    void anExchangerThatComesOffBringsItsPartsAndStepsInOrder() {
        Circuit joined = new Circuit(List.of(), List.of(), Practice.USUAL, Optional.of(Circuit.CoolantEnds.JOINED));
        Circuit capped = new Circuit(List.of(), List.of(), Practice.USUAL, Optional.of(Circuit.CoolantEnds.BLANKED));
        assertThat(bought(planned(joined), BillItem.COOLANT_HOSE)).isEqualTo(1);
        assertThat(bought(planned(capped), BillItem.COOLANT_CAPS)).isEqualTo(2);
        assertThat(bought(planned(capped), BillItem.COOLANT_HOSE)).isZero();
        List<String> ids = ids(joined);
        assertThat(ids).containsSubsequence("strip-exchanger", "takeoff-fit", "fill-coolant", "drive-gentle");
        assertThat(steps(joined))
                .filteredOn(s -> s.id().equals("strip-exchanger") || s.id().equals("fill-coolant"))
                .hasSize(2)
                .allMatch(s -> s.caution().isPresent());
        assertThat(ids(Circuit.PLAIN)).doesNotContain("strip-exchanger", "fill-coolant");
    }

    @Test
    void anAccumulatorIsChargedEmptyShutFilledRoundAndOpenedLast() {
        Accessory bottle = new Accessory(
                Accessory.Kind.ACCUMULATOR,
                1.5e-3,
                Accessory.Valve.MANUAL,
                new Accessory.Detail(0.8, 0.5e5, true, Accessory.Way.BESIDE, Accessory.Detail.RESTRICTOR));
        Circuit circuit = Circuit.PLAIN.with(List.of(bottle));
        assertThat(ids(circuit))
                .containsSubsequence("fill-precharge", "fill-accumulator", "fill-engine", "open-accumulator");
        Plumbing p = planned(circuit);
        assertThat(bought(p, BillItem.TEE)).isEqualTo(1);
        assertThat(bought(p, BillItem.CHECK_VALVE)).isEqualTo(1);
        assertThat(bought(p, BillItem.THIRD_HOSE)).isEqualTo(0.8, within(1e-12));
        assertThat(p.heads() - planned(Circuit.PLAIN).heads()).isEqualTo(Accessory.CHECK_VALVE, within(1e-9));
        Step opened = steps(circuit).stream()
                .filter(s -> s.id().equals("open-accumulator"))
                .findFirst()
                .orElseThrow();
        assertThat(opened.figures().get(0).low())
                .isEqualTo(bottle.holds(DemoCars.car().pump().reliefPressure()), within(1e-12));
    }

    @Test
    void aJointThatNoWrenchReachesIsMadeBeforeTheTakeoffGoesOn() {
        FilterStand open = Plumbings.STAND;
        FilterStand walled = new FilterStand(
                open.thread(),
                open.faceInner(),
                open.faceOuter(),
                open.stud(),
                open.at(),
                open.axis(),
                open.roomBeyond(),
                open.exchanger(),
                open.filter(),
                List.of(
                        new FilterStand.Neighbour("left", Math.toRadians(342), Math.toRadians(420), 0.06),
                        new FilterStand.Neighbour("right", Math.toRadians(230), Math.toRadians(318), 0.06)));
        Plumbing p = Planner.byBay(
                walled,
                Plumbings.BAY,
                core(Ports.UP, 1),
                Plumbings.at(0, 0.4, 0.2, 0),
                Plumbings.CORE_PORT,
                choice(HoseType.Family.BRAIDED_RUBBER, Circuit.PLAIN),
                Plumbings.PARTS,
                false,
                () -> false);
        assertThat(p.fit().orElseThrow().reachable(true)).isFalse();
        List<String> ids = RunSheet.of(new Job(
                        DemoCars.car(),
                        DemoCars.design(13, Place.GRILLE_AHEAD),
                        Optional.empty(),
                        Optional.of(p),
                        false,
                        Job.LEAST_CRANK))
                .steps()
                .stream()
                .map(Step::id)
                .toList();
        assertThat(ids)
                .doesNotHaveDuplicates()
                .containsSubsequence(
                        "reach-feed", "bench-feed-cut", "line-feed-first-1", "takeoff-fit", "line-feed-last-1");
        assertThat(CircuitTest.ids(Circuit.PLAIN)).doesNotContain("reach-feed");
    }
}
