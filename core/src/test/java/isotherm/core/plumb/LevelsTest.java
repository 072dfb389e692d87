package isotherm.core.plumb;

import static isotherm.core.plumb.Plumbings.CORE_PORT;
import static isotherm.core.plumb.Plumbings.PARTS;
import static isotherm.core.plumb.Plumbings.STAND;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.exchanger.Ports;
import isotherm.core.line.CutList;
import isotherm.core.line.CutOrder;
import isotherm.core.line.CutStep;
import isotherm.core.line.Direction;
import isotherm.core.line.Line;
import isotherm.core.line.Wire;
import isotherm.core.message.Message;
import isotherm.core.parts.HoseEnd;
import isotherm.core.parts.HoseType;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The same hoses by a wire, by their ends, and by the whole bay. */
class LevelsTest {
    private static Plumbing.Choice choice(HoseType.Family family) {
        return Plumbings.choice(family, List.of());
    }

    /** A wire along a line that was routed. */
    private static Wire along(Line l) {
        return new Wire(
                l.cut().orElseThrow().centreLine() + l.adaptors(),
                l.bends(),
                l.fromEnd().orElseThrow().angle(),
                l.toEnd().orElseThrow().angle());
    }

    private static Plumbing byWire(Wire feed, Wire back, Plumbing.Choice choice) {
        return Planner.byWire(Optional.empty(), feed, back, CORE_PORT, choice, PARTS);
    }

    @ParameterizedTest
    @EnumSource(HoseType.Family.class)
    void aWireAlongTheRouteGivesTheSameCutHoseAndJoints(HoseType.Family family) {
        Plumbing bay = Plumbings.plan(Plumbings.core(Ports.UP, 1), choice(family));
        Plumbing wire = byWire(along(bay.feed()), along(bay.back()), choice(family));
        assertThat(wire.level()).isEqualTo(Level.WIRE);
        assertThat(wire.fit()).as("nothing is known of the filter").isEmpty();
        for (int i = 0; i < 2; i++) {
            CutList one = bay.lines().get(i).cut().orElseThrow();
            CutList other = wire.lines().get(i).cut().orElseThrow();
            assertThat(other.cut()).isCloseTo(one.cut(), within(1e-9));
            assertThat(other.standard().isPresent()).isEqualTo(one.standard().isPresent());
            assertThat(wire.lines().get(i).elbows90())
                    .isCloseTo(bay.lines().get(i).elbows90(), within(1e-9));
            assertThat(wire.hose(wire.lines().get(i)).orElseThrow().length()).isCloseTo(one.centreLine(), within(1e-9));
        }
        assertThat(wire.made()).isEqualTo(bay.made());
        assertThat(wire.hoseToBuy()).isEqualTo(bay.hoseToBuy());
        assertThat(wire.heads()).isCloseTo(bay.heads(), within(1e-9));
        assertThat(wire.mass()).isCloseTo(bay.mass(), within(1e-9));
    }

    @ParameterizedTest
    @EnumSource(Ports.class)
    void theEndsAloneGiveALengthWithinThreeOfTheirTolerances(Ports ports) {
        Plumbing.Choice choice = choice(HoseType.Family.BRAIDED_RUBBER);
        Plumbing bay = Plumbings.plan(Plumbings.core(ports, 1), choice);
        Planner.Ends ends = new Planner.Ends(
                bay.feed().from().spot().orElseThrow(),
                bay.back().to().spot().orElseThrow(),
                bay.feed().to().spot().orElseThrow(),
                bay.back().from().spot().orElseThrow());
        Plumbing free = Planner.between(Optional.of(STAND), ends, CORE_PORT, choice, PARTS, () -> false);
        assertThat(free.level()).isEqualTo(Level.ENDS);
        assertThat(free.fit()).hasValueSatisfying(f -> assertThat(f.misfits()).isEmpty());
        for (int i = 0; i < 2; i++) {
            assertThat(free.lines().get(i).found()).isTrue();
            CutList rough = free.lines().get(i).cut().orElseThrow();
            double cut = bay.lines().get(i).cut().orElseThrow().cut();
            assertThat(rough.cut()).isCloseTo(cut, within(3 * rough.tolerance()));
            assertThat(rough.tolerance())
                    .isGreaterThan(bay.lines().get(i).cut().orElseThrow().tolerance());
        }
    }

    @Test
    void portsThatFaceEachOtherAreOneStraightHoseAndRoomForADetour() {
        Line.Spot gives = new Line.Spot(new Vector3D(-0.1, 0.4, 1), Direction.FORWARD.unit());
        Line.Spot in = new Line.Spot(new Vector3D(-0.1, 0.4, 0.2), Direction.REARWARD.unit());
        Line.Spot out = new Line.Spot(new Vector3D(0.1, 0.4, 0.2), Direction.REARWARD.unit());
        Line.Spot takes = new Line.Spot(new Vector3D(0.1, 0.4, 1), Direction.FORWARD.unit());
        Plumbing p = Planner.between(
                Optional.empty(),
                new Planner.Ends(gives, takes, in, out),
                CORE_PORT,
                choice(HoseType.Family.BRAIDED_RUBBER),
                PARTS,
                () -> false);
        for (Line l : p.lines()) {
            assertThat(l.bends()).isZero();
            CutList c = l.cut().orElseThrow();
            double straight = 0.8 - l.adaptors() - c.deductionFrom() - c.deductionTo();
            assertThat(c.free()).isCloseTo(1.3 * straight, within(1e-6));
        }
    }

    @Test
    void whatIsCutIsTheWireLessWhatStandsAtItsEnds() {
        Random random = new Random(14);
        HoseType.Family[] families = HoseType.Family.values();
        for (int i = 0; i < 200; i++) {
            HoseType.Family family = families[random.nextInt(families.length)];
            Plumbing.Choice choice = choice(family);
            List<Double> angles = PARTS.endsFor(choice.hose()).stream()
                    .map(HoseEnd::angle)
                    .distinct()
                    .toList();
            Wire feed = wire(random, angles);
            Wire back = wire(random, angles);
            Plumbing p = byWire(feed, back, choice);
            for (Line l : p.lines()) {
                Wire w = l == p.feed() ? feed : back;
                HoseEnd from = l.fromEnd().orElseThrow();
                HoseEnd to = l.toEnd().orElseThrow();
                assertThat(from.angle()).isEqualTo(w.fromAngle());
                assertThat(to.angle()).isEqualTo(w.toAngle());
                double least = l.leastWire().orElseThrow();
                assertThat(l.found()).isEqualTo(w.length() >= least);
                assertThat(l.cut().isPresent()).isEqualTo(l.found());
                l.cut().ifPresent(c -> {
                    double between = w.length() - l.adaptors() - from.centreLine() - to.centreLine();
                    assertThat(c.cut())
                            .isCloseTo(between + from.insertion() + to.insertion() + choice.slack(), within(1e-9));
                    assertThat(c.free()).isGreaterThan(0.049);
                    assertThat(c.tolerance()).isGreaterThan(0.01 * w.length());
                    assertThat(c.clips()).allSatisfy(at -> assertThat(at).isBetween(0.0, c.free()));
                });
            }
        }
    }

    private static Wire wire(Random random, List<Double> angles) {
        return new Wire(
                0.1 + 2 * random.nextDouble(),
                random.nextInt(5),
                angles.get(random.nextInt(angles.size())),
                angles.get(random.nextInt(angles.size())));
    }

    @Test
    void howTwoElbowsStandIsFoundOutOnTheCar() {
        Plumbing.Choice choice = choice(HoseType.Family.BRAIDED_RUBBER);
        double right = Math.toRadians(90);
        Plumbing p = byWire(new Wire(0.9, 2, right, right), new Wire(0.9, 2, right, 0), choice);
        assertThat(order(p.feed(), choice)).contains(CutStep.TURN_ON_CAR.key("text"));
        assertThat(order(p.back(), choice))
                .as("one elbow turns as it likes")
                .doesNotContain(CutStep.TURN_ON_CAR.key("text"));
    }

    private static List<String> order(Line l, Plumbing.Choice choice) {
        return CutOrder.of(l.cut().orElseThrow(), choice.hose(), l.turnedOnCar()).stream()
                .map(Message::key)
                .toList();
    }

    @Test
    void aPortThatNoFittingFitsIsNoLine() {
        Plumbing p = Planner.byWire(
                Optional.empty(),
                new Wire(1, 2, 0, 0),
                new Wire(1, 2, 0, 0),
                new isotherm.core.parts.End(isotherm.core.parts.Joint.BSPP, "7/13", false),
                choice(HoseType.Family.BRAIDED_RUBBER),
                PARTS);
        assertThat(p.feed().found()).isFalse();
        assertThat(p.feed().cut()).isEmpty();
        assertThat(p.feed().leastWire()).isEmpty();
        assertThat(p.hose(p.feed())).isEmpty();
    }
}
