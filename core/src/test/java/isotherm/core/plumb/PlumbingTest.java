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
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.bill.BillItem;
import isotherm.core.bill.BillLine;
import isotherm.core.bill.BillOfMaterials;
import isotherm.core.car.Work;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.Ports;
import isotherm.core.line.CorePorts;
import isotherm.core.line.CutList;
import isotherm.core.line.FittingChain;
import isotherm.core.line.Line;
import isotherm.core.line.MadeJoint;
import isotherm.core.message.Measure;
import isotherm.core.message.Value;
import isotherm.core.parts.Accessory;
import isotherm.core.parts.End;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Joint;
import isotherm.core.route.Bay;
import isotherm.core.route.RouteFinderTest;
import isotherm.core.route.Routes;
import isotherm.core.route.Surroundings;
import isotherm.core.route.Trouble;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Takeoff, both hoses and the bill in a bay with room. */
class PlumbingTest {
    @ParameterizedTest
    @EnumSource(HoseType.Family.class)
    void bothHosesFindTheirWayAndKeepTheirDistance(HoseType.Family family) {
        Plumbing p = plan(core(Ports.UP, 1), choice(family, List.of()));
        Bay all = BAY.with(List.of(CorePorts.box(core(Ports.UP, 1), at(0, 0.4, 0.2, 0))));
        for (Line l : p.lines()) {
            assertThat(l.found()).as(l.name()).isTrue();
            assertThat(l.troubles()).isEmpty();
            RouteFinderTest.holds(
                    l.path().orElseThrow(), all, p.hose().outside(), p.hose().bendRadius());
        }
        List<Vector3D> feed = p.feed().path().orElseThrow().points(2e-3);
        List<Vector3D> back = p.back().path().orElseThrow().points(2e-3);
        double nearest = feed.stream()
                .flatMapToDouble(a -> back.stream().mapToDouble(b -> Vector3D.distance(a, b)))
                .min()
                .orElseThrow();
        assertThat(nearest).isGreaterThan(p.hose().outside() + Surroundings.SEPARATOR - 1e-3);
        assertThat(p.made()).extracting(MadeJoint::pair).isNotEmpty().allMatch(FittingChain.Pair::tight);
    }

    private static boolean is(BillLine line, BillItem item) {
        return line.what().key().equals(item.key("what"));
    }

    @Test
    void hoseLeavesItsEndInTheDirectionOfTheFitting() {
        Plumbing p = plan(core(Ports.UP, 1), choice(HoseType.Family.BRAIDED_RUBBER, List.of()));
        for (Line l : p.lines()) {
            double angle =
                    Vector3D.angle(l.path().orElseThrow().leaving(), l.from().out());
            assertThat(angle).as(l.name()).isEqualTo(l.fromEnd().orElseThrow().angle(), within(1e-6));
        }
    }

    @Test
    void feedGoesToTheLowerPort() {
        List<Line.Port> side = CorePorts.of(core(Ports.SIDE, 1), at(0, 0.4, 0.2, 0), CORE_PORT, -0.4);
        assertThat(side.get(0).at().getY()).isLessThan(side.get(1).at().getY());
        Plumbing p = plan(core(Ports.SIDE, 1), choice(HoseType.Family.BRAIDED_RUBBER, List.of()));
        assertThat(p.feed().to().at().getY()).isLessThan(p.back().from().at().getY());
    }

    @Test
    void portsFollowTheCore() {
        Core c = core(Ports.UP, 1);
        List<Line.Port> upright = CorePorts.of(c, at(0.1, 0.4, 0.2, 0), CORE_PORT, -0.4);
        assertThat(upright).allSatisfy(p -> {
            assertThat(Vector3D.angle(p.out(), Vector3D.PLUS_J)).isLessThan(1e-9);
            assertThat(p.at().getY()).isEqualTo(0.4 + c.outsideHeight() / 2, within(1e-9));
        });
        assertThat(upright.get(0).at().getX() + upright.get(1).at().getX()).isEqualTo(0.2, within(1e-9));
        List<Line.Port> leaning = CorePorts.of(c, at(0.1, 0.4, 0.2, Math.toRadians(30)), CORE_PORT, -0.4);
        assertThat(Vector3D.angle(leaning.get(0).out(), Vector3D.PLUS_J)).isEqualTo(Math.toRadians(30), within(1e-9));
        assertThat(CorePorts.of(core(Ports.DOWN, 1), at(0.1, 0.4, 0.2, 0), CORE_PORT, 0))
                .allSatisfy(p -> assertThat(p.out().getY()).isEqualTo(-1, within(1e-9)));
        List<Line.Port> oneEnd = CorePorts.of(core(Ports.SIDE, 2), at(0.1, 0.4, 0.2, 0), CORE_PORT, -0.4);
        assertThat(oneEnd).allSatisfy(p -> assertThat(p.at().getX()).isLessThan(0));
    }

    @Test
    void wallAcrossTheBayIsNamed() {
        Bay walled = BAY.with(List.of(
                new Bay.Box("bulkhead", Bay.Kind.SOLID, new Vector3D(-0.8, 0.15, 0.5), new Vector3D(0.8, 1, 0.52))));
        Plumbing p = Planner.byBay(
                STAND,
                walled,
                core(Ports.UP, 1),
                at(0, 0.4, 0.2, 0),
                CORE_PORT,
                choice(HoseType.Family.BRAIDED_RUBBER, List.of()),
                PARTS,
                true,
                () -> false);
        assertThat(p.lines()).allSatisfy(l -> {
            assertThat(l.found()).isFalse();
            assertThat(l.inTheWay()).containsExactly("bulkhead");
            assertThat(l.troubles())
                    .as("and it is drawn where it is too near")
                    .extracting(Trouble::what)
                    .contains("bulkhead");
        });
    }

    @Test
    void elbowThatWouldStandInABoxIsNotTaken() {
        HoseType hose = choice(HoseType.Family.BRAIDED_RUBBER, List.of()).hose();
        HoseEnd elbow = PARTS.endsFor(hose).stream()
                .filter(e -> Math.abs(e.angle() - Math.PI / 2) < 1e-9)
                .findFirst()
                .orElseThrow();
        Vector3D port = new Vector3D(0, 0.5, 0.5);
        List<Vector3D> body = elbow.body(port, Vector3D.PLUS_K, Vector3D.PLUS_I);
        assertThat(Vector3D.distance(body.get(body.size() - 1), elbow.collar(port, Vector3D.PLUS_K, Vector3D.PLUS_I)))
                .isLessThan(1e-9);
        Bay.Box box = new Bay.Box("battery", Bay.Kind.SOLID, new Vector3D(0.03, 0.3, 0.4), new Vector3D(0.3, 0.7, 0.7));
        Bay bay = new Bay(BAY.room(), List.of(box), List.of());
        Surroundings space = new Surroundings(bay, hose.outside(), List.of(), false);
        assertThat(space.takes(body, elbow.widest(), port)).isFalse();
        assertThat(space.takes(elbow.body(port, Vector3D.PLUS_K, Vector3D.MINUS_I), elbow.widest(), port))
                .isTrue();
        Bay.Box beside =
                new Bay.Box("block", Bay.Kind.SOLID, new Vector3D(-0.3, 0.3, 0.3), new Vector3D(0.3, 0.7, 0.495));
        Surroundings atEngine =
                new Surroundings(new Bay(BAY.room(), List.of(beside), List.of()), hose.outside(), List.of(), false);
        assertThat(atEngine.takes(body, elbow.widest(), port))
                .as("what stands right at the port does not count")
                .isTrue();
    }

    @Test
    void searchThatNobodyWaitsForIsDropped() {
        Routes.forget();
        assertThatThrownBy(() -> Planner.byBay(
                        STAND,
                        BAY,
                        core(Ports.UP, 1),
                        at(0, 0.4, 0.2, 0),
                        CORE_PORT,
                        choice(HoseType.Family.BRAIDED_RUBBER, List.of()),
                        PARTS,
                        true,
                        () -> true))
                .isInstanceOf(CancellationException.class);
    }

    @Test
    void portThatNothingFitsHasNoChain() {
        Plumbing p = Planner.byBay(
                STAND,
                BAY,
                core(Ports.UP, 1),
                at(0, 0.4, 0.2, 0),
                new End(Joint.METRIC, "M33x2", false),
                choice(HoseType.Family.BRAIDED_RUBBER, List.of()),
                PARTS,
                true,
                () -> false);
        assertThat(p.feed().toChain()).isEmpty();
        assertThat(p.feed().found()).isFalse();
        assertThat(p.hose(p.feed())).isEmpty();
    }

    @Test
    void billHasEveryPartOnceWithItsQuantityAndTheOil() {
        Accessory accumulator = new Accessory(Accessory.Kind.ACCUMULATOR, 1.4e-3, Accessory.Valve.MANUAL);
        Plumbing p = plan(core(Ports.UP, 1), choice(HoseType.Family.BRAIDED_RUBBER, List.of(accumulator)));
        List<BillLine> bill = new BillOfMaterials(p, Work.WHOLE).lines(0.8e-3, 5.5e-3);
        assertThat(bill.stream()
                        .filter(b -> is(b, BillItem.HOSE_END))
                        .mapToDouble(BillLine::quantity)
                        .sum())
                .isEqualTo(4);
        BillLine hose = bill.stream()
                .filter(b -> b.soldBy().isPresent() && b.soldBy().get() == Measure.DISTANCE)
                .findFirst()
                .orElseThrow();
        double cuts =
                p.lines().stream().mapToDouble(l -> l.cut().orElseThrow().cut()).sum();
        assertThat(hose.quantity()).isGreaterThan(cuts).isLessThan(cuts + 0.6);
        assertThat(p.offcut()).isEqualTo(hose.quantity() - cuts - 0.02, within(1e-9));
        assertThat(bill).anySatisfy(b -> {
            assertThat(is(b, BillItem.ENGINE_OIL)).isTrue();
            assertThat(b.what().figure("added")).isEqualTo(0.8e-3);
            assertThat(b.quantity()).isEqualTo(6.5e-3, within(1e-12));
        });
        assertThat(bill)
                .anySatisfy(b -> assertThat(b.what().values()).containsEntry("kind", new Value.Name("accumulator")));
        assertThat(bill).noneSatisfy(b -> assertThat(is(b, BillItem.TAPE)).isTrue());
        assertThat(bill.stream().map(b -> b.what() + b.number())).doesNotHaveDuplicates();
        BillOfMaterials.KitOrLoose kit = new BillOfMaterials(p, Work.WHOLE).kitOrLoose(bill);
        assertThat(kit.loosePrice())
                .isEqualTo(
                        bill.stream()
                                .filter(b -> b.group() == BillLine.Group.PARTS)
                                .mapToDouble(b -> b.quantity() * b.each())
                                .sum(),
                        within(1e-9));
        assertThat(kit.kitPrice()).isGreaterThan(kit.loosePrice());
        assertThat(kit.kitHours()).isLessThan(kit.looseHours());
        assertThat(p.extraVolume()).isEqualTo(1.4e-3);
    }

    @Test
    void tapeIsBoughtOnlyForTaperThreads() {
        Plumbing p = Planner.byBay(
                STAND,
                BAY,
                core(Ports.UP, 1),
                at(0, 0.4, 0.2, 0),
                new End(Joint.TAPER, "1/2", false),
                choice(HoseType.Family.BRAIDED_RUBBER, List.of()),
                PARTS,
                true,
                () -> false);
        assertThat(new BillOfMaterials(p, Work.WHOLE)
                        .lines(0, 0).stream().filter(b -> is(b, BillItem.TAPE)).mapToDouble(BillLine::quantity))
                .containsExactly(1.0);
    }

    @Test
    void madeUpLinesAreBoughtByTheirStandardLength() {
        Plumbing p = plan(core(Ports.UP, 1), choice(HoseType.Family.SWAGED, List.of()));
        assertThat(new BillOfMaterials(p, Work.WHOLE).lines(0, 0))
                .noneSatisfy(b -> assertThat(b.soldBy()).contains(Measure.DISTANCE));
        assertThat(new BillOfMaterials(p, Work.WHOLE)
                        .lines(0, 0).stream()
                                .filter(b -> is(b, BillItem.MADE_UP_LINE))
                                .mapToDouble(BillLine::quantity)
                                .sum())
                .isEqualTo(2);
        assertThat(p.lines()).allSatisfy(l -> {
            CutList c = l.cut().orElseThrow();
            assertThat(c.standard().orElseThrow()).isGreaterThanOrEqualTo(c.centreLine() + c.slack() - 1e-9);
        });
    }

    @Test
    void headsAndMassAddUp() {
        Plumbing p = plan(core(Ports.UP, 1), choice(HoseType.Family.BRAIDED_RUBBER, List.of()));
        double adaptors = p.lines().stream()
                .flatMap(l -> Stream.of(l.fromChain(), l.toChain()))
                .mapToDouble(c -> c.orElseThrow().heads(p.hose().bore()))
                .sum();
        assertThat(p.heads()).isEqualTo(p.takeoff().heads() + adaptors, within(1e-9));
        Plumbing remote = plan(
                core(Ports.UP, 1),
                choice(
                        HoseType.Family.BRAIDED_RUBBER,
                        List.of(new Accessory(Accessory.Kind.REMOTE_HEAD, 0.5e-3, Accessory.Valve.NONE))));
        assertThat(remote.heads() - p.heads()).isEqualTo(4, within(1e-9));
        assertThat(p.mass()).isBetween(0.8, 3.0);
    }

    @Test
    void sleeveLetsAHosePassNearerToSomethingHot() {
        Bay.Box hot = new Bay.Box("pipe", Bay.Kind.HOT, Vector3D.ZERO, new Vector3D(0.1, 0.1, 0.1));
        Bay bay = new Bay(BAY.room(), List.of(hot), List.of());
        Vector3D near = new Vector3D(0.05, 0.2, 0.05);
        assertThat(new Surroundings(bay, 0.02, List.of(), false).needed(hot)).isEqualTo(0.085, within(1e-9));
        assertThat(new Surroundings(bay, 0.02, List.of(), true).needed(hot)).isEqualTo(0.0475, within(1e-9));
        assertThat(new Surroundings(bay, 0.02, List.of(), false).nearest(near)).isEqualTo("pipe");
    }
}
