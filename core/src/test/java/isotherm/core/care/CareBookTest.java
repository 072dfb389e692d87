package isotherm.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What is due, by date, distance, hours and events, after what was written. */
class CareBookTest {
    private static final LocalDate BUILT = LocalDate.of(2026, 3, 1);
    private static final double START = 84_000e3;

    private final List<CareEntry> entries = new ArrayList<>();

    private CareEntry write(
            CareEntry.Kind kind, String on, LocalDate day, OptionalDouble odometer, OptionalDouble hours, String text) {
        Instant at = day.atTime(12, 0).toInstant(ZoneOffset.UTC);
        CareEntry e = new CareEntry(UUID.randomUUID(), at, "Ada", kind, on, odometer, hours, text);
        entries.add(e);
        return e;
    }

    private CareEntry done(String task, LocalDate day) {
        return write(CareEntry.Kind.DONE, task, day, OptionalDouble.empty(), OptionalDouble.empty(), "");
    }

    private void happened(Task.Happening what, LocalDate day) {
        write(CareEntry.Kind.HAPPENED, what.name(), day, OptionalDouble.empty(), OptionalDouble.empty(), "");
    }

    private void driven(double odometer, double hours, LocalDate day) {
        write(CareEntry.Kind.DRIVEN, "", day, OptionalDouble.of(odometer), OptionalDouble.of(hours), "");
    }

    private CareBook book() {
        return new CareBook(
                CarePlan.tasks(true, 6.3e-3, 0.8e-3, Optional.of(6), List.of(), Set.of()),
                BUILT,
                OptionalDouble.of(START),
                entries);
    }

    private CareBook.Due due(String task, LocalDate today) {
        return book().due(today).stream()
                .filter(d -> d.task().id().equals(task))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theFirstDriveMakesTheJointsDueUntilTheyWereLookedAt() {
        assertThat(due("joints", BUILT).urgency()).isEqualTo(CareBook.Urgency.LATER);
        happened(Task.Happening.FIRST_DRIVE, BUILT.plusDays(2));
        assertThat(due("joints", BUILT.plusDays(2)).urgency()).isEqualTo(CareBook.Urgency.DUE);
        assertThat(due("joints", BUILT.plusDays(2)).reasons())
                .contains(happened(Task.Happening.FIRST_DRIVE, "2026-03-03"));
        done("joints", BUILT.plusDays(3));
        assertThat(due("joints", BUILT.plusDays(3)).urgency()).isEqualTo(CareBook.Urgency.LATER);
        assertThat(due("joints", BUILT.plusDays(3)).date()).hasValue(LocalDate.of(2027, 3, 4));
    }

    @Test
    void everyFilterChangeAsksForTheCentreBolt() {
        assertThat(due("centre-bolt", BUILT.plusYears(9)).urgency())
                .as("time alone does not")
                .isEqualTo(CareBook.Urgency.LATER);
        happened(Task.Happening.FILTER_CHANGE, BUILT.plusDays(10));
        assertThat(due("centre-bolt", BUILT.plusDays(10)).urgency()).isEqualTo(CareBook.Urgency.DUE);
        done("centre-bolt", BUILT.plusDays(11));
        happened(Task.Happening.FILTER_CHANGE, BUILT.plusDays(200));
        assertThat(due("centre-bolt", BUILT.plusDays(200)).urgency()).isEqualTo(CareBook.Urgency.DUE);
    }

    @Test
    void changingOilAndFilterAsksForTheCentreBoltByItself() {
        done("oil", BUILT.plusDays(20));
        assertThat(due("centre-bolt", BUILT.plusDays(20)).urgency()).isEqualTo(CareBook.Urgency.DUE);
        assertThat(due("centre-bolt", BUILT.plusDays(20)).reasons())
                .containsExactly(happened(Task.Happening.FILTER_CHANGE, "2026-03-21"));
        done("centre-bolt", BUILT.plusDays(21));
        assertThat(due("centre-bolt", BUILT.plusDays(21)).urgency()).isEqualTo(CareBook.Urgency.LATER);
        CareEntry second = done("oil", BUILT.plusDays(60));
        write(
                CareEntry.Kind.STRUCK,
                second.id().toString(),
                BUILT.plusDays(60),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                "not this car");
        assertThat(due("centre-bolt", BUILT.plusDays(60)).urgency())
                .as("what was struck asks for nothing")
                .isEqualTo(CareBook.Urgency.LATER);
    }

    @Test
    void fiveHundredKilometresAreLookedAtOnce() {
        driven(START + 300e3, 3, BUILT.plusDays(5));
        assertThat(due("joints-500", BUILT.plusDays(5)).urgency()).isEqualTo(CareBook.Urgency.LATER);
        assertThat(due("joints-500", BUILT.plusDays(5)).reasons())
                .containsExactly(CareReason.DISTANCE_LEFT.say("text").with("distance", Measure.TRAVEL, 200e3));
        driven(START + 470e3, 1, BUILT.plusDays(6));
        assertThat(due("joints-500", BUILT.plusDays(6)).urgency()).isEqualTo(CareBook.Urgency.SOON);
        driven(START + 560e3, 1, BUILT.plusDays(7));
        assertThat(due("joints-500", BUILT.plusDays(7)).reasons())
                .containsExactly(CareReason.DISTANCE_OVER.say("text").with("distance", Measure.TRAVEL, 60e3));
        done("joints-500", BUILT.plusDays(8));
        driven(START + 9000e3, 1, BUILT.plusDays(90));
        assertThat(due("joints-500", BUILT.plusDays(90)).urgency()).isEqualTo(CareBook.Urgency.DONE);
    }

    @Test
    void oilIsDueByWhateverComesFirst() {
        driven(START + 1000e3, 120, BUILT.plusDays(30));
        assertThat(due("oil", BUILT.plusDays(30)).urgency()).isEqualTo(CareBook.Urgency.LATER);
        driven(START + 1200e3, 85, BUILT.plusDays(40));
        assertThat(due("oil", BUILT.plusDays(40)).urgency()).as("hours").isEqualTo(CareBook.Urgency.DUE);
        done("oil", BUILT.plusDays(41));
        assertThat(due("oil", BUILT.plusDays(41)).reasons()).anySatisfy(r -> {
            assertThat(r.key()).isEqualTo(CareReason.HOURS_LEFT.key("text"));
            assertThat(r.figure("hours")).isEqualTo(200);
        });
        driven(START + 11_300e3, 10, BUILT.plusDays(100));
        assertThat(due("oil", BUILT.plusDays(100)).urgency()).as("distance").isEqualTo(CareBook.Urgency.DUE);
        done("oil", BUILT.plusDays(101));
        assertThat(due("oil", BUILT.plusDays(101 + 366)).urgency()).as("time").isEqualTo(CareBook.Urgency.DUE);
    }

    @Test
    void aStruckEntryDoesNotCountAndIsNotGone() {
        happened(Task.Happening.FIRST_DRIVE, BUILT.plusDays(1));
        CareEntry mistaken = done("joints", BUILT.plusDays(2));
        assertThat(due("joints", BUILT.plusDays(2)).urgency()).isEqualTo(CareBook.Urgency.LATER);
        write(
                CareEntry.Kind.STRUCK,
                mistaken.id().toString(),
                BUILT.plusDays(3),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                "that was the other car");
        assertThat(due("joints", BUILT.plusDays(3)).urgency()).isEqualTo(CareBook.Urgency.DUE);
        assertThat(book().entries()).contains(mistaken);
    }

    @Test
    void theMostUrgentComesFirstAndTheOilNamesTheCoolersShare() {
        happened(Task.Happening.HARD_DAY, BUILT.plusDays(1));
        List<CareBook.Due> all = book().due(BUILT.plusDays(1));
        assertThat(all).isSortedAccordingTo((a, b) -> a.urgency().compareTo(b.urgency()));
        assertThat(all.get(0).task().id()).isIn("chafe", "fins");
        assertThat(due("oil", BUILT).task().what().figure("all")).isEqualTo(6.3e-3, within(1e-9));
        assertThat(due("oil", BUILT).task().what().figure("cooler")).isEqualTo(0.8e-3, within(1e-9));
        assertThat(due("hoses", BUILT).date()).hasValue(BUILT.plusYears(6));
    }

    @Test
    void whatCannotBeWrittenSaysWhy() {
        OptionalDouble none = OptionalDouble.empty();
        for (CareEntry.Kind kind : CareEntry.Kind.values()) {
            CareEntry bad = new CareEntry(UUID.randomUUID(), Instant.EPOCH, "Ada", kind, "nothing", none, none, "");
            assertThat(book().refusal(bad)).as(kind.name()).isPresent();
        }
        assertThat(book().refusal(new CareEntry(
                        UUID.randomUUID(),
                        Instant.EPOCH,
                        "Ada",
                        CareEntry.Kind.DRIVEN,
                        "",
                        OptionalDouble.of(START),
                        none,
                        "")))
                .isEmpty();
    }

    @Test
    void anHourAt110CountsTwiceAndOneAt90Half() {
        double[] hour = new double[3600];
        for (double[] pair : new double[][] {{373.15, 1}, {383.15, 2}, {363.15, 0.5}, {393.15, 4}}) {
            Arrays.fill(hour, pair[0]);
            assertThat(OilLife.hours(hour, 1)).isEqualTo(pair[1], within(1e-9));
        }
        hour[0] = Double.NaN;
        assertThat(OilLife.hours(hour, 1)).isLessThan(4);
    }

    private Optional<Message> refusal(CareEntry.Kind kind, String on, OptionalDouble hours, String text) {
        return book().refusal(new CareEntry(
                UUID.randomUUID(), Instant.EPOCH, "Ada", kind, on, OptionalDouble.empty(), hours, text));
    }

    @Test
    void whatCanBeWrittenIsNotRefused() {
        OptionalDouble none = OptionalDouble.empty();
        for (Task t : CarePlan.tasks(true, 6e-3, 1e-3, Optional.of(4), List.of(), Set.of())) {
            assertThat(refusal(CareEntry.Kind.DONE, t.id(), none, ""))
                    .as(t.id())
                    .isEmpty();
        }
        for (Task.Happening h : Task.Happening.values()) {
            assertThat(refusal(CareEntry.Kind.HAPPENED, h.name(), none, ""))
                    .as(h.name())
                    .isEmpty();
        }
        assertThat(refusal(CareEntry.Kind.DRIVEN, "", OptionalDouble.of(2), "")).isEmpty();
        for (CareEntry.Kind reading : List.of(CareEntry.Kind.OIL_ANALYSIS, CareEntry.Kind.DASH, CareEntry.Kind.LAPS)) {
            assertThat(refusal(reading, "", none, "98 °C at the flag"))
                    .as(reading.name())
                    .isEmpty();
        }
        CareEntry wrong = done("chafe", BUILT);
        assertThat(refusal(CareEntry.Kind.STRUCK, wrong.id().toString(), none, "the other car"))
                .isEmpty();
        assertThat(refusal(CareEntry.Kind.STRUCK, wrong.id().toString(), none, ""))
                .hasValue(CareRefusal.REASON_EMPTY.say("text"));
    }

    @Test
    void anEntryIsStruckOnce() {
        CareEntry wrong = done("chafe", BUILT);
        write(
                CareEntry.Kind.STRUCK,
                wrong.id().toString(),
                BUILT,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                "the other car");
        assertThat(refusal(CareEntry.Kind.STRUCK, wrong.id().toString(), OptionalDouble.empty(), "again"))
                .hasValue(CareRefusal.NO_SUCH_ENTRY.say("text"));
        assertThat(book().counting()).isEmpty();
    }

    @Test
    void aTaskThatWasDoneWithItsOdometerCountsFromThere() {
        write(
                CareEntry.Kind.DONE,
                "oil",
                BUILT.plusDays(10),
                OptionalDouble.of(START + 2000e3),
                OptionalDouble.empty(),
                "6.3 L");
        driven(START + 5000e3, 0, BUILT.plusDays(60));
        assertThat(due("oil", BUILT.plusDays(60)).reasons())
                .contains(CareReason.DISTANCE_LEFT.say("text").with("distance", Measure.TRAVEL, 7000e3));
        assertThat(due("oil", BUILT.plusDays(60)).last()).isPresent();
    }

    @Test
    void entriesThatWereWrittenLateAreReadInTheOrderOfTheirDays() {
        done("joints", BUILT.plusDays(5));
        happened(Task.Happening.FIRST_DRIVE, BUILT.plusDays(2));
        assertThat(due("joints", BUILT.plusDays(6)).urgency())
                .as("the drive was before the look")
                .isEqualTo(CareBook.Urgency.LATER);
        assertThat(book().entries()).isSortedAccordingTo((a, b) -> a.at().compareTo(b.at()));
    }

    @Test
    void withoutAnOdometerDistanceIsNotGuessed() {
        CareBook blind = new CareBook(
                CarePlan.tasks(true, 6e-3, 1e-3, Optional.empty(), List.of(), Set.of()),
                BUILT,
                OptionalDouble.empty(),
                List.of());
        assertThat(blind.odometer()).isEmpty();
        CareBook.Due look = blind.due(BUILT.plusYears(3)).stream()
                .filter(d -> d.task().id().equals("joints-500"))
                .findFirst()
                .orElseThrow();
        assertThat(look.urgency()).isEqualTo(CareBook.Urgency.LATER);
        assertThat(look.reasons()).containsExactly(CareReason.NO_ODOMETER.say("text"));
        assertThat(blind.tasks()).as("hoses of unknown age").noneMatch(t -> t.id().equals("hoses"));
    }

    private static Message happened(Task.Happening event, String day) {
        return CareReason.HAPPENED.say("text").choose("event", event).name("day", day);
    }

    private CareEntry task(String on, String text, Interval interval, LocalDate day) {
        CareEntry e = new CareEntry(
                UUID.randomUUID(),
                day.atTime(12, 0).toInstant(ZoneOffset.UTC),
                "Ada",
                CareEntry.Kind.TASK,
                on,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                text,
                Map.of(),
                Optional.of(interval));
        assertThat(book().refusal(e)).isEmpty();
        entries.add(e);
        return e;
    }

    private static Interval every(int months) {
        return new Interval(
                List.of(), Optional.of(Period.ofMonths(months)), OptionalDouble.empty(), OptionalDouble.empty());
    }

    @Test
    void aTaskOfOnesOwnCountsFromTheDayOnWhichItWasWrittenAndGoesWhenItIsStruck() {
        CareEntry own = task("", "Clean the breather", every(3), BUILT.plusDays(10));
        String id = own.id().toString();
        assertThat(due(id, BUILT.plusDays(11)).urgency()).isEqualTo(CareBook.Urgency.LATER);
        assertThat(due(id, BUILT.plusDays(11)).task().what().toString()).contains("Clean the breather");
        assertThat(due(id, BUILT.plusDays(110)).urgency()).isEqualTo(CareBook.Urgency.DUE);
        done(id, BUILT.plusDays(110));
        assertThat(due(id, BUILT.plusDays(111)).urgency()).isEqualTo(CareBook.Urgency.LATER);
        write(
                CareEntry.Kind.STRUCK,
                id,
                BUILT.plusDays(120),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                "no breather any more");
        assertThat(book().due(BUILT.plusDays(121))).noneMatch(d -> d.task().id().equals(id));
    }

    @Test
    void anIntervalOfOnesOwnTakesThePlaceOfTheUsualOneWhichStaysBesideIt() {
        assertThat(due("fins", BUILT.plusDays(100)).urgency()).isEqualTo(CareBook.Urgency.LATER);
        task("fins", "the maker of the core", every(2), BUILT.plusDays(1));
        CareBook.Due fins = due("fins", BUILT.plusDays(100));
        assertThat(fins.urgency()).isEqualTo(CareBook.Urgency.DUE);
        assertThat(fins.task().whose()).isEqualTo("the maker of the core");
        assertThat(fins.task().usual().orElseThrow().period()).contains(Period.ofYears(1));
        task("fins", "second thoughts", every(6), BUILT.plusDays(2));
        assertThat(due("fins", BUILT.plusDays(100)).task().usual().orElseThrow().period())
                .as("the usual one, not the one before")
                .contains(Period.ofYears(1));
        assertThat(due("fins", BUILT.plusDays(100)).urgency()).isEqualTo(CareBook.Urgency.LATER);
    }

    @Test
    void aTaskWithoutWordsOrIntervalIsRefused() {
        CareEntry.Kind kind = CareEntry.Kind.TASK;
        Interval nothing = new Interval(List.of(), Optional.empty(), OptionalDouble.empty(), OptionalDouble.empty());
        assertThat(refused(kind, "", "Clean", Map.of(), Optional.empty())).contains("NO_INTERVAL");
        assertThat(refused(kind, "", "Clean", Map.of(), Optional.of(nothing))).contains("NO_INTERVAL");
        assertThat(refused(kind, "", " ", Map.of(), Optional.of(every(1)))).contains("TASK_EMPTY");
        assertThat(refused(kind, "no-such", "x", Map.of(), Optional.of(every(1))))
                .contains("NO_SUCH_TASK");
        assertThat(refused(CareEntry.Kind.DASH, "", "", Map.of(CareFigure.IRON, 3.0), Optional.empty()))
                .contains("FIGURE_UNLIKELY");
        assertThat(refused(CareEntry.Kind.OIL_ANALYSIS, "", "", Map.of(CareFigure.FUEL, 0.9), Optional.empty()))
                .contains("FIGURE_UNLIKELY");
        assertThat(refused(CareEntry.Kind.OIL_ANALYSIS, "", "", Map.of(), Optional.empty()))
                .contains("NOTHING_READ");
    }

    private String refused(
            CareEntry.Kind kind, String on, String text, Map<CareFigure, Double> figures, Optional<Interval> interval) {
        return book().refusal(new CareEntry(
                        UUID.randomUUID(),
                        Instant.EPOCH,
                        "Ada",
                        kind,
                        on,
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        text,
                        figures,
                        interval))
                .orElseThrow()
                .key();
    }
}
