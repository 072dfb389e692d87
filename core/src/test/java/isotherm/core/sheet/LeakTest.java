package isotherm.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.airflow.Place;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.Ports;
import isotherm.core.message.Message;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Joint;
import isotherm.core.plumb.Plumbings;
import isotherm.core.simulate.DemoCars;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** A leak stops the work where it was found until its joint is dry, in the order that hurts nobody. */
class LeakTest {
    private static final Core CORE = Plumbings.core(Ports.UP, 1);
    private static final RunSheet SHEET = RunSheetTest.sheet(
            DemoCars.design(13, Place.GRILLE_AHEAD).withCore(CORE),
            Optional.empty(),
            Optional.of(Plumbings.plan(CORE, Plumbings.choice(HoseType.Family.BRAIDED_RUBBER, List.of()))));

    private final List<Entry> entries = new ArrayList<>();

    private static Entry entry(Entry.Kind kind, String on, String text, Optional<LeakKind> leak) {
        return new Entry(
                UUID.randomUUID(),
                Instant.EPOCH,
                "Ada",
                kind,
                on,
                OptionalDouble.empty(),
                text,
                Optional.empty(),
                leak);
    }

    private Entry write(Entry.Kind kind, String on, String text) {
        Entry e = entry(kind, on, text, Optional.empty());
        assertThat(progress().refusal(e)).as(kind + " " + on + " " + text).isEmpty();
        entries.add(e);
        return e;
    }

    private Optional<Message> refusal(Entry.Kind kind, String on, String text) {
        return progress().refusal(entry(kind, on, text, Optional.empty()));
    }

    private Entry leak(String step, String where, LeakKind kind) {
        Entry e = entry(Entry.Kind.LEAK, step, where, Optional.of(kind));
        assertThat(progress().refusal(e)).isEmpty();
        entries.add(e);
        return e;
    }

    private Progress progress() {
        return Progress.of(SHEET, entries);
    }

    private void doneUpTo(String last) {
        for (Step s : SHEET.steps()) {
            s.reading()
                    .filter(Step.Reading::needed)
                    .ifPresent(r -> entries.add(new Entry(
                            UUID.randomUUID(),
                            Instant.EPOCH,
                            "Ada",
                            Entry.Kind.READING,
                            s.id(),
                            OptionalDouble.of(Double.isInfinite(r.most()) ? r.least() * 2 : r.most()),
                            "")));
            write(Entry.Kind.DONE, s.id(), "");
            if (s.id().equals(last)) {
                return;
            }
        }
    }

    @Test
    void aLeakAtAnyJointFoundAtAnyCheckEndsInADryRecord() {
        List<Step> joints =
                SHEET.steps().stream().filter(s -> s.joint().isPresent()).toList();
        assertThat(joints).hasSizeGreaterThan(4);
        Random random = new Random(15);
        for (String check : List.of(RunSheet.CRANK_LEAK, "first-idle", RunSheet.WARM_LEAK, "second-joints")) {
            entries.clear();
            doneUpTo(check);
            Step joint = joints.get(random.nextInt(joints.size()));
            Entry found = leak(check, joint.id(), joint.joint().orElseThrow().kind());
            String id = found.id().toString();
            assertThat(refusal(Entry.Kind.DONE, check, ""))
                    .hasValueSatisfying(w -> assertThat(w.key()).isEqualTo("sheetRefusal.LEAK_OPEN.text"));
            for (LeakStep s : LeakStep.values()) {
                for (LeakStep later : LeakStep.values()) {
                    if (later.compareTo(s) > 0) {
                        assertThat(refusal(Entry.Kind.LEAK_STEP, id, later.name()))
                                .as(later + " before " + s)
                                .isPresent();
                    }
                }
                assertThat(progress().leaks().get(0).next()).contains(s);
                write(Entry.Kind.LEAK_STEP, id, s.name());
            }
            Leak dry = progress().leaks().get(0);
            assertThat(dry.open()).isFalse();
            assertThat(dry.next()).isEmpty();
            assertThat(dry.kind()).isEqualTo(joint.joint().orElseThrow().kind());
            assertThat(dry.done()).containsOnlyKeys(LeakStep.values());
            assertThat(refusal(Entry.Kind.DONE, check, "")).isEmpty();
            assertThat(refusal(Entry.Kind.LEAK_STEP, id, "DRY"))
                    .as("a dry one is closed")
                    .isPresent();
        }
    }

    @Test
    void anOpenLeakShutsTheGateBehindItsCheckAgain() {
        doneUpTo(RunSheet.CRANK_LEAK);
        assertThat(gate(Gate.START).open()).isTrue();
        Entry found = leak(RunSheet.CRANK_LEAK, "feed, at the takeoff", LeakKind.CONE);
        assertThat(gate(Gate.START).open()).isFalse();
        assertThat(gate(Gate.START).missing()).containsExactly(RunSheet.CRANK_LEAK);
        assertThat(refusal(Entry.Kind.DONE, "first-idle", "")).isPresent();
        assertThat(refusal(Entry.Kind.NO_LEAK, found.id().toString(), " ")).isPresent();
        write(Entry.Kind.NO_LEAK, found.id().toString(), "a drop from the filling");
        assertThat(gate(Gate.START).open()).isTrue();
        assertThat(progress().leaks().get(0).open()).isFalse();
    }

    private Progress.Passage gate(Gate gate) {
        return progress().gates().get(gate);
    }

    @Test
    void whatCameBeforeTheLeakMayStillBeDone() {
        doneUpTo(RunSheet.CRANK);
        leak(RunSheet.CRANK_LEAK, "filter", LeakKind.GASKET);
        assertThat(refusal(Entry.Kind.DONE, "fill-engine", "")).isEmpty();
        assertThat(refusal(Entry.Kind.LEAK, RunSheet.CRANK_LEAK, " "))
                .hasValueSatisfying(w -> assertThat(w.key()).isEqualTo("sheetRefusal.LEAK_NOWHERE.text"));
        assertThat(refusal(Entry.Kind.LEAK, "no-step", "filter")).isPresent();
        assertThat(refusal(Entry.Kind.LEAK_STEP, UUID.randomUUID().toString(), "STOP"))
                .isPresent();
    }

    @Test
    void everyJointOfTheCircuitLeaksInItsOwnWay() {
        for (Joint j : Joint.values()) {
            assertThat(LeakKind.of(j)).as(j.name()).isNotEqualTo(LeakKind.OTHER);
        }
        assertThat(SHEET.steps())
                .filteredOn(s -> s.id().startsWith("line-") && s.reading().isPresent())
                .isNotEmpty()
                .allMatch(s -> s.joint().isPresent());
    }
}
