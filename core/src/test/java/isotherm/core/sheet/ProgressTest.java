package isotherm.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.airflow.Place;
import isotherm.core.message.Message;
import isotherm.core.simulate.DemoCars;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What was written on a sheet decides what may be done next. */
class ProgressTest {
    private static final RunSheet SHEET = RunSheet.of(new Job(
            DemoCars.car(),
            DemoCars.design(13, Place.GRILLE_AHEAD),
            Optional.empty(),
            Optional.empty(),
            false,
            Job.LEAST_CRANK));

    private final List<Entry> entries = new ArrayList<>();

    private static Entry entry(Entry.Kind kind, String on, OptionalDouble value, String text) {
        return new Entry(UUID.randomUUID(), Instant.EPOCH, "Ada", kind, on, value, text);
    }

    private Entry write(Entry.Kind kind, String on, String text) {
        Entry e = entry(kind, on, OptionalDouble.empty(), text);
        entries.add(e);
        return e;
    }

    private void read(String on, double value) {
        entries.add(entry(Entry.Kind.READING, on, OptionalDouble.of(value), ""));
    }

    private Progress progress() {
        return Progress.of(SHEET, entries);
    }

    private Optional<Message> refusal(Entry.Kind kind, String on, String text) {
        return progress().refusal(entry(kind, on, OptionalDouble.empty(), text));
    }

    private void crankShows(double pascal) {
        read(RunSheet.CRANK, pascal);
        write(Entry.Kind.DONE, RunSheet.CRANK, "");
        write(Entry.Kind.DONE, RunSheet.CRANK_LEAK, "");
    }

    @Test
    void noStartBeforeCrankingShowedPressureAndNoLeak() {
        assertThat(refusal(Entry.Kind.DONE, "first-idle", "")).hasValueSatisfying(w -> assertThat(w.toString())
                .contains("sheetRefusal.GATE_SHUT", "gate.START.shut", "CRANK_PRESSURE", "CRANK_JOINTS"));
        assertThat(refusal(Entry.Kind.DONE, RunSheet.CRANK, ""))
                .hasValueSatisfying(w -> assertThat(w.key()).isEqualTo(SheetRefusal.NOT_READ.key("text")));
        read(RunSheet.CRANK, 0.9e5);
        assertThat(refusal(Entry.Kind.DONE, RunSheet.CRANK, ""))
                .hasValueSatisfying(w -> assertThat(w.key()).isEqualTo(SheetRefusal.NOT_ALLOWED.key("text")));
        read(RunSheet.CRANK, 1.5e5);
        assertThat(refusal(Entry.Kind.DONE, RunSheet.CRANK, "")).isEmpty();
        write(Entry.Kind.DONE, RunSheet.CRANK, "");
        assertThat(refusal(Entry.Kind.DONE, "first-idle", "")).isPresent();
        write(Entry.Kind.DONE, RunSheet.CRANK_LEAK, "");
        assertThat(refusal(Entry.Kind.DONE, "first-idle", "")).isEmpty();
    }

    @Test
    void aReadingThatIsCorrectedAfterwardsShutsTheGateAgain() {
        crankShows(2e5);
        assertThat(progress().gates().get(Gate.START).open()).isTrue();
        read(RunSheet.CRANK, 0.4e5);
        assertThat(progress().gates().get(Gate.START).missing()).containsExactly(RunSheet.CRANK);
    }

    @Test
    void noBumperBeforeTheWarmLeakCheckAfterTheThermostatOpened() {
        crankShows(2e5);
        assertThat(refusal(Entry.Kind.DONE, RunSheet.REFIT_LIST, ""))
                .hasValueSatisfying(w -> assertThat(w.toString()).contains("gate.BUMPER.shut"));
        read(RunSheet.WARM_OIL, 330);
        assertThat(refusal(Entry.Kind.DONE, RunSheet.WARM_OIL, ""))
                .as("not open yet")
                .isPresent();
        read(RunSheet.WARM_OIL, 375);
        read(RunSheet.WARM_FAR_END, 350);
        for (String id : Gate.BUMPER.needs()) {
            assertThat(refusal(Entry.Kind.DONE, id, "")).as(id).isEmpty();
            write(Entry.Kind.DONE, id, "");
        }
        assertThat(progress().gates().get(Gate.BUMPER).open()).isTrue();
        assertThat(refusal(Entry.Kind.DONE, RunSheet.REFIT_LIST, "")).isEmpty();
    }

    @Test
    void aGateIsOverriddenOnlyWithAReasonAndTheReasonIsKept() {
        assertThat(refusal(Entry.Kind.OVERRIDE, Gate.START.name(), "  ")).isPresent();
        assertThat(refusal(Entry.Kind.OVERRIDE, "NO_GATE", "because")).isPresent();
        write(Entry.Kind.OVERRIDE, Gate.START.name(), "Gauge is broken, pressure seen on another one");
        assertThat(refusal(Entry.Kind.DONE, "first-idle", "")).isEmpty();
        assertThat(progress().gates().get(Gate.START).override())
                .hasValueSatisfying(e -> assertThat(e.text()).contains("Gauge is broken"));
    }

    @Test
    void whatCameOffGoesBackOnInReverseOrder() {
        Entry first = write(Entry.Kind.OFF, "", "undertray, 9 bolts");
        Entry second = write(Entry.Kind.OFF, "", "bumper, 6 clips");
        Entry mistake = write(Entry.Kind.OFF, "", "bonnet");
        write(Entry.Kind.NOT_OFF, mistake.id().toString(), "");
        assertThat(progress().off()).extracting(l -> l.off().text()).containsExactly(second.text(), first.text());
        write(Entry.Kind.OVERRIDE, Gate.BUMPER.name(), "shown by hand");
        assertThat(refusal(Entry.Kind.DONE, RunSheet.REFIT_LIST, ""))
                .hasValueSatisfying(w -> assertThat(w.toString()).contains(second.text(), first.text()));
        write(Entry.Kind.BACK_ON, second.id().toString(), "");
        write(Entry.Kind.BACK_ON, first.id().toString(), "");
        assertThat(refusal(Entry.Kind.DONE, RunSheet.REFIT_LIST, "")).isEmpty();
        assertThat(refusal(Entry.Kind.BACK_ON, mistake.id().toString(), "")).isPresent();
    }

    @Test
    void aStepThatWasCalledDoneByMistakeIsNotAndBothEntriesStay() {
        assertThat(progress().next()).map(Step::id).hasValue("prepare-parts");
        write(Entry.Kind.DONE, "prepare-parts", "");
        assertThat(progress().next()).map(Step::id).hasValue("prepare-stands");
        write(Entry.Kind.NOT_DONE, "prepare-parts", "");
        assertThat(progress().next()).map(Step::id).hasValue("prepare-parts");
        assertThat(entries).hasSize(2);
    }

    @Test
    void whatIsNotOnTheSheetIsRefused() {
        for (Entry.Kind kind : List.of(Entry.Kind.DONE, Entry.Kind.TIMER, Entry.Kind.PICTURE, Entry.Kind.READING)) {
            assertThat(refusal(kind, "no-such-step", "x")).as(kind.name()).isPresent();
        }
        assertThat(refusal(Entry.Kind.NOTE, "prepare-parts", " ")).isPresent();
        assertThat(refusal(Entry.Kind.READING, "prepare-parts", ""))
                .as("asks for none")
                .isPresent();
    }

    private static Sample sample(double rpm, double oilPascal, double oilK, double farK) {
        return new Sample(
                10,
                Map.of(
                        Channel.RPM, rpm,
                        Channel.OIL_PRESSURE, oilPascal,
                        Channel.OIL, oilK,
                        Channel.CORE_FAR, farK));
    }

    @Test
    void aLoggerFillsInThePressureOfCrankingWhileTheEngineIsCrankedAndNotBefore() {
        assertThat(progress().readable(sample(0, 2e5, 300, 300))).isEmpty();
        assertThat(progress().readable(sample(250, 0.5e5, 300, 300)))
                .as("too little lets nothing go on")
                .isEmpty();
        assertThat(progress().readable(sample(250, 1.6e5, 300, 300)))
                .containsOnlyKeys(RunSheet.CRANK)
                .containsValue(1.6e5);
        assertThat(progress().readable(sample(850, 3e5, 300, 300)))
                .as("an engine that runs is not cranked")
                .doesNotContainKey(RunSheet.CRANK);
    }

    @Test
    void aLoggerFillsInNothingBehindAShutGateAndNothingTwice() {
        Sample warm = sample(1500, 3e5, 375, 350);
        assertThat(progress().readable(warm)).isEmpty();
        crankShows(2e5);
        assertThat(progress().readable(warm)).containsEntry(RunSheet.WARM_OIL, 375.0);
        read(RunSheet.WARM_OIL, 374);
        assertThat(progress().readable(warm)).doesNotContainKey(RunSheet.WARM_OIL);
        assertThat(progress().readable(new Sample(11, Map.of(Channel.RPM, 1500.0))))
                .as("a channel that shows nothing fills nothing in")
                .isEmpty();
    }

    @Test
    void timersNotesAndPicturesStayWithTheirStep() {
        write(Entry.Kind.TIMER, "first-idle", "");
        Entry later = write(Entry.Kind.TIMER, "first-idle", "");
        write(Entry.Kind.NOTE, "first-idle", "knocks a little");
        write(Entry.Kind.PICTURE, "first-idle", "b7c0");
        write(Entry.Kind.NOTE, "prepare-parts", "two clips missing");
        Progress.At idle = progress().steps().get("first-idle");
        assertThat(idle.timer()).as("the last start counts").contains(later);
        assertThat(idle.notes()).extracting(Entry::text).containsExactly("knocks a little", "b7c0");
        assertThat(progress().steps().get("prepare-stands").notes()).isEmpty();
    }

    @Test
    void whatTheWatchSaidStaysOnTheSheetInItsOrder() {
        write(Entry.Kind.ALARM, "", "stop: oil pressure has fallen");
        write(Entry.Kind.ALARM, "", "stop: the fan does not run");
        assertThat(progress().alarms())
                .extracting(Entry::text)
                .containsExactly("stop: oil pressure has fallen", "stop: the fan does not run");
        assertThat(refusal(Entry.Kind.ALARM, "", " ")).isPresent();
        assertThat(refusal(Entry.Kind.ALARM, "", "stop")).isEmpty();
    }

    @Test
    void whatMayBeWrittenIsNotRefused() {
        Entry bumper = write(Entry.Kind.OFF, "", "bumper");
        assertThat(refusal(Entry.Kind.OFF, "", "undertray")).isEmpty();
        assertThat(refusal(Entry.Kind.OFF, "", "")).hasValue(SheetRefusal.OFF_EMPTY.say("text"));
        assertThat(refusal(Entry.Kind.BACK_ON, bumper.id().toString(), "")).isEmpty();
        assertThat(refusal(Entry.Kind.NOT_OFF, bumper.id().toString(), "")).isEmpty();
        assertThat(refusal(Entry.Kind.NOTE, "prepare-parts", "words")).isEmpty();
        assertThat(refusal(Entry.Kind.TIMER, "first-idle", "")).isEmpty();
        assertThat(refusal(Entry.Kind.NOT_DONE, "prepare-parts", "")).isEmpty();
        assertThat(progress().refusal(entry(Entry.Kind.READING, RunSheet.CRANK, OptionalDouble.of(1e5), "")))
                .as("a reading that does not let the work go on is written down all the same")
                .isEmpty();
        assertThat(refusal(Entry.Kind.READING, RunSheet.CRANK, ""))
                .as("no figure")
                .isPresent();
    }

    @Test
    void theSheetIsDoneWhenEveryStepIs() {
        for (Step s : SHEET.steps()) {
            write(Entry.Kind.DONE, s.id(), "");
        }
        assertThat(progress().next()).isEmpty();
    }

    @Test
    void eachThingThatCameOffKeepsItsLetterAndItsPictures() {
        Entry bumper = write(Entry.Kind.OFF, "", "bumper");
        Entry mistake = write(Entry.Kind.OFF, "", "wrong car");
        Entry tray = write(Entry.Kind.OFF, "", "undertray");
        write(Entry.Kind.NOT_OFF, mistake.id().toString(), "");
        assertThat(refusal(Entry.Kind.PICTURE, bumper.id().toString(), "p")).isEmpty();
        assertThat(refusal(Entry.Kind.PICTURE, mistake.id().toString(), "p")).isPresent();
        write(Entry.Kind.PICTURE, bumper.id().toString(), "p");
        // Last off, first on.
        assertThat(progress().off())
                .satisfiesExactly(
                        l -> {
                            assertThat(l.off()).isEqualTo(tray);
                            assertThat(l.mark()).isEqualTo("C");
                            assertThat(l.notes()).isEmpty();
                        },
                        l -> {
                            assertThat(l.mark()).isEqualTo("A");
                            assertThat(l.notes()).hasSize(1);
                        });
        for (int i = 0; i < 26; i++) {
            write(Entry.Kind.OFF, "", "bolt " + i);
        }
        assertThat(progress().off().get(0).mark()).isEqualTo("AC");
    }

    private Entry off(String text, String on) {
        return write(Entry.Kind.OFF, on, text);
    }

    @Test
    void fastenersHaveTheLetterOfWhatTheyHoldAndGoBackAfterIt() {
        Entry bumper = off("bumper", "");
        Entry bolts = off("bolts", bumper.id().toString());
        Entry tray = off("undertray", "");
        Entry clips = off("clips", bumper.id().toString());
        assertThat(progress().off()).extracting(Loose::mark).containsExactly("B", "A", "A2", "A1");
        assertThat(progress().freeMarks()).startsWith("C", "D").endsWith("AB").hasSize(26);
        assertThat(refusal(Entry.Kind.BACK_ON, bolts.id().toString(), ""))
                .hasValueSatisfying(w -> assertThat(w.toString()).contains("HELD_STILL_OFF", "bumper"));
        write(Entry.Kind.BACK_ON, bumper.id().toString(), "");
        assertThat(refusal(Entry.Kind.BACK_ON, bolts.id().toString(), "")).isEmpty();
        write(Entry.Kind.BACK_ON, bolts.id().toString(), "");
        assertThat(progress().off().stream().filter(l -> l.back().isEmpty()).map(Loose::mark))
                .containsExactly("B", "A2");
        write(Entry.Kind.NOT_OFF, bumper.id().toString(), "");
        assertThat(progress().off()).extracting(Loose::off).containsExactly(tray);
        assertThat(off("nut", tray.id().toString())).isNotNull();
        assertThat(refusal(Entry.Kind.OFF, clips.id().toString(), "nut"))
                .as("held by nothing")
                .isPresent();
    }

    @Test
    void noDriveBeforeAllIsBackOn() {
        Entry bumper = off("bumper", "");
        write(Entry.Kind.DONE, RunSheet.REFIT_LIST, "");
        assertThat(progress().gates().get(Gate.DRIVE).open())
                .as("called done, but not")
                .isFalse();
        write(Entry.Kind.BACK_ON, bumper.id().toString(), "");
        assertThat(progress().gates().get(Gate.DRIVE).open()).isTrue();
        off("arch liner", "");
        assertThat(progress().gates().get(Gate.DRIVE).open()).as("off again").isFalse();
    }

    @Test
    void anEngineOnItsStarterTurnsAndOneThatShowsNoSpeedDoesNot() {
        assertThat(new Sample(1, Map.of(Channel.RPM, 200.0)).turns()).isTrue();
        assertThat(new Sample(1, Map.of(Channel.RPM, 50.0)).turns()).isFalse();
        assertThat(new Sample(1, Map.of(Channel.OIL, 350.0)).turns()).isFalse();
    }
}
