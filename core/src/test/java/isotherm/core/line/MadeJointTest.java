package isotherm.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import isotherm.core.airflow.Place;
import isotherm.core.message.Measure;
import isotherm.core.parts.End;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Joint;
import isotherm.core.parts.MakersFigure;
import isotherm.core.parts.MakersFigure.Retorque;
import isotherm.core.parts.MakersFigure.Turn;
import isotherm.core.parts.Parts;
import isotherm.core.parts.Practice;
import isotherm.core.parts.Tightening;
import isotherm.core.parts.Tightening.Range;
import isotherm.core.plumb.Planner;
import isotherm.core.plumb.Plumbing;
import isotherm.core.plumb.Plumbings;
import isotherm.core.sheet.Job;
import isotherm.core.sheet.RunSheet;
import isotherm.core.sheet.Step;
import isotherm.core.simulate.DemoCars;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Each joint by its maker's figure where one of its two parts has one, by ours where none has. */
class MadeJointTest {
    private static final MakersFigure NUT = new MakersFigure(
            Optional.of(new Range(35, 42)), Optional.empty(), true, "Larch, sheet 7", Retorque.COLD_AFTER_FIRST_DRIVE);
    private static final MakersFigure BOSS =
            new MakersFigure(Optional.of(new Range(18, 22)), Optional.empty(), false, "core's label", Retorque.NEVER);
    private static final Wire WIRE = new Wire(1, 2, 0, 0);

    private static Parts parts(boolean withFigures) {
        Parts p = Plumbings.PARTS;
        return withFigures
                ? new Parts(
                        p.takeoffs(),
                        p.adaptors(),
                        p.hoses(),
                        p.ends().stream().map(e -> e.with(NUT)).toList())
                : p;
    }

    private static Plumbing plan(boolean withFigures, Optional<MakersFigure> core) {
        Plumbing.Choice c = Plumbings.choice(HoseType.Family.BRAIDED_RUBBER, List.of());
        Plumbing.Choice choice = new Plumbing.Choice(
                c.takeoff(),
                c.clock(),
                c.hose(),
                c.wish(),
                c.feedPoints(),
                c.backPoints(),
                c.sleeved(),
                c.feed(),
                c.slack(),
                c.exchangerStays(),
                c.circuit(),
                core);
        return Planner.byWire(Optional.empty(), WIRE, WIRE, Plumbings.CORE_PORT, choice, parts(withFigures));
    }

    @Test
    void withoutAMakersFigureOursStandsAndSaysSo() {
        assertThat(plan(false, Optional.empty()).made()).isNotEmpty().allSatisfy(j -> {
            assertThat(j.tightening()).isEqualTo(Tightening.of(j.pair().one()));
            assertThat(j.tightening().makers()).isFalse();
        });
    }

    @Test
    void aHoseEndsFigureRulesItsNutAndTheCoresItsBoss() {
        Plumbing p = plan(true, Optional.of(BOSS));
        for (Line l : p.lines()) {
            List<MadeJoint> first = MadeJoint.atFirst(l, Practice.USUAL);
            MadeJoint nut = first.get(first.size() - 1);
            assertThat(nut.second()).isEqualTo("hose end");
            assertThat(nut.tightening().torque()).hasValue(new Range(35, 42));
            assertThat(nut.tightening().source()).isEqualTo("Larch, sheet 7");
        }
        List<MadeJoint> atCore = MadeJoint.atLast(p.feed(), Practice.USUAL);
        MadeJoint boss = atCore.get(atCore.size() - 1);
        assertThat(boss.second()).isEqualTo("core inlet");
        assertThat(boss.tightening().torque()).hasValue(new Range(18, 22));
        assertThat(boss.tightening().oiled()).isFalse();
        assertThat(boss.tightening().makers()).isTrue();
        assertThat(boss.onThread())
                .as("not oiled, although its joint usually is")
                .startsWith("nothing");
        assertThat(atCore.get(0).onThread())
                .isEqualTo(atCore.get(0).pair().one().joint().onThread());
    }

    @Test
    void theWeakerOfTwoPartsDecides() {
        assertThat(MakersFigure.weaker(Optional.of(NUT), Optional.of(BOSS))).hasValue(BOSS);
        assertThat(MakersFigure.weaker(Optional.of(BOSS), Optional.of(NUT))).hasValue(BOSS);
        assertThat(MakersFigure.weaker(Optional.empty(), Optional.of(NUT))).hasValue(NUT);
        MakersFigure byTurn =
                new MakersFigure(Optional.empty(), Optional.of(new Turn(0.5, 1)), true, "card", Retorque.NOT_SAID);
        assertThat(MakersFigure.weaker(Optional.of(byTurn), Optional.of(NUT))).hasValue(NUT);
        Tightening t = Tightening.of(new End(Joint.FLARE_37, "-10", true), Optional.of(byTurn));
        assertThat(t.torque())
                .as("a table's torque is not mixed with a maker's turn")
                .isEmpty();
        assertThat(t.mostTurn()).isEqualTo(1);
        assertThatIllegalArgumentException()
                .isThrownBy(
                        () -> new MakersFigure(Optional.empty(), Optional.empty(), true, "nothing", Retorque.NOT_SAID));
    }

    @Test
    void theRunSheetAsksForItOnceMoreWhereTheMakerDoes() {
        List<Step> steps = sheet(plan(true, Optional.of(BOSS)));
        assertThat(steps)
                .filteredOn(s -> s.id().startsWith("second-retorque"))
                .isNotEmpty()
                .allSatisfy(s -> {
                    assertThat(s.caution()).isPresent();
                    assertThat(s.figures()).anySatisfy(f -> assertThat(f.high()).isEqualTo(42));
                });
        assertThat(steps)
                .filteredOn(s -> s.id().startsWith("line-feed-first"))
                .flatExtracting(Step::figures)
                .extracting(Step.Figure::source)
                .contains(Step.Source.PUBLISHED);
        assertThat(sheet(plan(false, Optional.empty()))).noneMatch(s -> s.id().startsWith("second-retorque"));
    }

    @Test
    void theCentreBoltIsTightenedByTheTakeoffsMaker() {
        Plumbing p = plan(false, Optional.empty());
        Plumbing makers =
                new Plumbing(p.level(), p.takeoff().with(BOSS), p.fit(), p.feed(), p.back(), p.hose(), p.circuit());
        assertThat(bolt(makers).high()).isEqualTo(22);
        assertThat(bolt(makers).source()).isEqualTo(Step.Source.PUBLISHED);
        assertThat(bolt(p).source()).as("ours, and marked so").isEqualTo(Step.Source.ESTIMATE);
    }

    private static Step.Figure bolt(Plumbing p) {
        return sheet(p).stream()
                .filter(s -> s.id().equals("takeoff-fit"))
                .flatMap(s -> s.figures().stream())
                .filter(f -> f.measure() == Measure.TORQUE)
                .findFirst()
                .orElseThrow();
    }

    private static List<Step> sheet(Plumbing p) {
        return RunSheet.of(new Job(
                        DemoCars.car(),
                        DemoCars.design(16, Place.LOWER_GRILLE_AHEAD),
                        Optional.empty(),
                        Optional.of(p),
                        false,
                        Job.LEAST_CRANK))
                .steps();
    }
}
