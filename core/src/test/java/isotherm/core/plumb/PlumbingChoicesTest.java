package isotherm.core.plumb;

import static isotherm.core.plumb.Plumbings.BAY;
import static isotherm.core.plumb.Plumbings.CORE_PORT;
import static isotherm.core.plumb.Plumbings.PARTS;
import static isotherm.core.plumb.Plumbings.STAND;
import static isotherm.core.plumb.Plumbings.at;
import static isotherm.core.plumb.Plumbings.choice;
import static isotherm.core.plumb.Plumbings.core;
import static isotherm.core.plumb.Plumbings.plan;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.bill.BillItem;
import isotherm.core.bill.BillLine;
import isotherm.core.bill.BillOfMaterials;
import isotherm.core.car.Work;
import isotherm.core.exchanger.Ports;
import isotherm.core.line.FittingChain;
import isotherm.core.line.Line;
import isotherm.core.line.MadeJoint;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.message.Value;
import isotherm.core.parts.Accessory;
import isotherm.core.parts.End;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Joint;
import isotherm.core.parts.Takeoff;
import isotherm.core.route.Bay;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What each choice between engine and core does to the lines and to the bill. */
class PlumbingChoicesTest {
    private static final Plumbing.Choice USUAL = choice(HoseType.Family.BRAIDED_RUBBER, List.of());

    private static Takeoff takeoff(String number) {
        return PARTS.takeoffs().stream()
                .filter(t -> t.number().equals(number))
                .findFirst()
                .orElseThrow();
    }

    private static Plumbing.Choice chosen(Takeoff takeoff, Plumbing.FeedPort feed, double slack) {
        return new Plumbing.Choice(
                takeoff,
                USUAL.clock(),
                USUAL.hose(),
                USUAL.wish(),
                USUAL.feedPoints(),
                USUAL.backPoints(),
                USUAL.sleeved(),
                feed,
                slack,
                USUAL.exchangerStays(),
                USUAL.circuit(),
                Optional.empty());
    }

    private static Plumbing to(End corePort) {
        return Planner.byBay(
                STAND, BAY, core(Ports.UP, 1), at(0, 0.4, 0.2, 0), corePort, USUAL, PARTS, true, () -> false);
    }

    private static double bought(Plumbing p, Message what) {
        return new BillOfMaterials(p, Work.WHOLE)
                .lines(0.8e-3, 5e-3).stream()
                        .filter(b -> b.what().equals(what))
                        .mapToDouble(BillLine::quantity)
                        .sum();
    }

    @ParameterizedTest
    @CsvSource({"BSPP, 1/2, BONDED_WASHER", "METRIC, M22x1.5, BONDED_WASHER", "O_RING_BOSS, -10, O_RING"})
    void eachJointBringsWhatItSealsWith(Joint joint, String size, BillItem consumable) {
        Plumbing p = to(new End(joint, size, false));
        assertThat(p.feed().toChain()).isPresent();
        assertThat(bought(p, consumable.say("what").name("size", size)))
                .as(joint.name())
                .isGreaterThanOrEqualTo(2);
        assertThat(p.made()).extracting(MadeJoint::pair).allMatch(FittingChain.Pair::tight);
    }

    @Test
    void theOtherPortIsFedWhereTheCoresMakerSaysSo() {
        Plumbing lower = plan(core(Ports.SIDE, 1), chosen(USUAL.takeoff(), Plumbing.FeedPort.LOWER, 0.015));
        Plumbing other = plan(core(Ports.SIDE, 1), chosen(USUAL.takeoff(), Plumbing.FeedPort.OTHER, 0.015));
        assertThat(lower.feed().to().at()).isNotEqualTo(other.feed().to().at());
        assertThat(lower.feed().to().at()).isEqualTo(other.back().from().at());
        assertThat(lower.back().from().at()).isEqualTo(other.feed().to().at());
    }

    @ParameterizedTest
    @CsvSource({"0, 0.030", "0.010, 0.040"})
    void slackForTheEnginesMovementIsAddedToEachCut(double less, double more) {
        Plumbing tight = plan(core(Ports.UP, 1), chosen(USUAL.takeoff(), Plumbing.FeedPort.LOWER, less));
        Plumbing loose = plan(core(Ports.UP, 1), chosen(USUAL.takeoff(), Plumbing.FeedPort.LOWER, more));
        for (int i = 0; i < 2; i++) {
            double a = tight.lines().get(i).cut().orElseThrow().cut();
            double b = loose.lines().get(i).cut().orElseThrow().cut();
            assertThat(b - a).isEqualTo(more - less, within(1e-9));
        }
    }

    @Test
    void aRemoteHeadsAdaptorTakesNoFilter() {
        Plumbing p = plan(core(Ports.UP, 1), chosen(takeoff("HR-M20"), Plumbing.FeedPort.LOWER, 0.015));
        assertThat(bought(p, BillItem.OIL_FILTER.say("what"))).isZero();
        assertThat(bought(plan(core(Ports.UP, 1), USUAL), BillItem.OIL_FILTER.say("what")))
                .isEqualTo(1);
    }

    @Test
    void hoseIsSoldInItsStepsAndNeverTooShort() {
        for (HoseType.Family family : HoseType.Family.values()) {
            Plumbing p = plan(core(Ports.UP, 1), choice(family, List.of()));
            double cuts = p.lines().stream()
                    .mapToDouble(l -> l.cut().orElseThrow().cut())
                    .sum();
            assertThat(p.hoseToBuy()).as(family.name()).isGreaterThanOrEqualTo(cuts);
            assertThat(p.offcut()).isGreaterThanOrEqualTo(-1e-9);
            assertThat(p.hoseToBuy() * 2 % 1).as("half metres").isEqualTo(0, within(1e-9));
        }
    }

    @Test
    void twoHosesSideBySideAreHeldApart() {
        Plumbing p = plan(core(Ports.UP, 1), USUAL);
        assertThat(bought(
                                p,
                                BillItem.SEPARATOR
                                        .say("what")
                                        .name("size", p.hose().dash()))
                        > 0)
                .isEqualTo(p.paired() > 0.20);
        assertThat(bought(
                        p,
                        BillItem.P_CLIP
                                .say("what")
                                .with("size", Measure.LENGTH, p.hose().outside())))
                .isEqualTo(p.lines().stream()
                        .mapToInt(l -> l.cut().orElseThrow().clips().size())
                        .sum());
    }

    @Test
    void wrenchesAreNamedInBothMeasures() {
        List<Message> tools = new BillOfMaterials(plan(core(Ports.UP, 1), USUAL), Work.WHOLE)
                .lines(0, 0).stream()
                        .filter(b -> b.group() == BillLine.Group.TOOLS)
                        .map(BillLine::what)
                        .toList();
        assertThat(tools)
                .contains(BillItem.WRENCHES
                        .say("what")
                        .with("width", Measure.LENGTH, 25.4e-3, 1)
                        .name("inches", "1"))
                .contains(BillItem.SAFETY_TOOLS.say("what").with("torque", Measure.TORQUE, 40));
    }

    @Test
    void theSameThingTwiceIsOneLine() {
        List<BillLine> bill = new BillOfMaterials(plan(core(Ports.UP, 1), USUAL), Work.WHOLE).lines(0.8e-3, 5e-3);
        assertThat(bill.stream().map(b -> b.group() + b.what().toString() + b.number()))
                .doesNotHaveDuplicates();
        assertThat(bill).allSatisfy(b -> {
            assertThat(b.quantity()).isPositive();
            assertThat(b.price()).isEqualTo(b.quantity() * b.each(), within(1e-9));
        });
    }

    @ParameterizedTest
    @EnumSource(Accessory.Kind.class)
    void anAccessoryHoldsOilAndCostsTheLineItsHeads(Accessory.Kind kind) {
        Plumbing bare = plan(core(Ports.UP, 1), USUAL);
        Plumbing with = plan(
                core(Ports.UP, 1),
                choice(HoseType.Family.BRAIDED_RUBBER, List.of(new Accessory(kind, 0.9e-3, Accessory.Valve.ELECTRIC))));
        assertThat(with.extraVolume()).isEqualTo(0.9e-3);
        assertThat(with.heads() - bare.heads()).isEqualTo(kind.heads(), within(1e-9));
        assertThat(new BillOfMaterials(with, Work.WHOLE).lines(0, 0))
                .anySatisfy(b -> assertThat(b.what().values()).containsEntry("kind", new Value.Name(kind.words())));
    }

    /** A panel between core and engine with two holes: each hose leads through one, and which ends pass is said. */
    @Test
    void holesThatHosesLeadThroughAreNamed() {
        Bay.Box panel =
                new Bay.Box("panel", Bay.Kind.PANEL, new Vector3D(-0.8, 0.15, 0.45), new Vector3D(0.8, 1, 0.455));
        Bay.Hole wide = new Bay.Hole("wide", "panel", new Vector3D(-0.5, 0.6, 0.4525), Bay.Axis.ALONG, 0.06);
        Bay.Hole narrow = new Bay.Hole("narrow", "panel", new Vector3D(-0.35, 0.6, 0.4525), Bay.Axis.ALONG, 0.028);
        Bay holed = new Bay(
                BAY.room(),
                Stream.concat(BAY.boxes().stream(), Stream.of(panel)).toList(),
                List.of(wide, narrow));
        Plumbing p = Planner.byBay(
                STAND, holed, core(Ports.UP, 1), at(0, 0.4, 0.2, 0), CORE_PORT, USUAL, PARTS, true, () -> false);
        assertThat(p.lines()).allMatch(Line::found);
        List<Plumbing.Passage> passages = p.passages(holed);
        assertThat(passages).extracting(x -> x.line().name()).contains("feed", "return");
        for (Plumbing.Passage x : passages) {
            // What goes through leaves its grommet room.
            assertThat(p.hose().outside()).isLessThan(x.hole().diameter());
            double nearest = x.line().path().orElseThrow().points(1e-3).stream()
                    .filter(q -> Math.abs(q.getZ() - 0.4525) < 4e-3)
                    .mapToDouble(q -> x.hole().offAxis(q))
                    .min()
                    .orElseThrow();
            assertThat(nearest + p.hose().outside() / 2).isLessThan(x.hole().diameter() / 2);
            if (x.hole().name().equals("narrow")) {
                assertThat(x.endPasses()).as("28 mm let no hose end through").isFalse();
            }
        }
        assertThat(plan(core(Ports.UP, 1), USUAL).passages(BAY)).isEmpty();
    }

    @Test
    void aKitSavesTheHoursOfItsHoseEnds() {
        Plumbing cut = plan(core(Ports.UP, 1), USUAL);
        Plumbing made = plan(core(Ports.UP, 1), choice(HoseType.Family.SWAGED, List.of()));
        double loose = new BillOfMaterials(cut, Work.WHOLE)
                .kitOrLoose(new BillOfMaterials(cut, Work.WHOLE).lines(0, 0))
                .looseHours();
        assertThat(loose
                        - new BillOfMaterials(made, Work.WHOLE)
                                .kitOrLoose(new BillOfMaterials(made, Work.WHOLE).lines(0, 0))
                                .looseHours())
                .as("four ends of half an hour")
                .isEqualTo(2, within(1e-9));
        assertThat(new BillOfMaterials(cut, Work.WHOLE)
                        .kitOrLoose(new BillOfMaterials(cut, Work.WHOLE).lines(0, 0))
                        .kitHours())
                .isLessThan(loose);
    }
}
