package isotherm.server.build;

import isotherm.core.bill.BillLine;
import isotherm.core.car.Work;
import isotherm.core.message.Measure;
import isotherm.core.sheet.Channel;
import isotherm.core.sheet.Entry;
import isotherm.core.sheet.Gate;
import isotherm.core.sheet.LeakKind;
import isotherm.core.sheet.LeakStep;
import isotherm.core.sheet.Loose;
import isotherm.core.sheet.Stage;
import isotherm.core.sheet.Step;
import isotherm.server.contract.Checked;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.CaseDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;

/** A build: what is asked for, what is stored, and what is shown. Figures are in the metric unit of their measure. */
public final class BuildDocuments {
    private static final Instant EARLIEST = Instant.parse("1950-01-01T00:00:00Z");
    private static final Instant LATEST = Instant.parse("2200-01-01T00:00:00Z");

    private BuildDocuments() {}

    /** Adds what is wrong with an entry's identity and moment. */
    public static void identified(String id, String at, String path, List<Problem> problems) {
        try {
            UUID.fromString(id);
        } catch (IllegalArgumentException e) {
            problems.add(Problem.of(path + "/id", id, "A UUID is expected here"));
        }
        moment(at, path + "/at", problems);
    }

    /** No car is older than this, and nobody writes of what is to come. */
    private static void moment(String at, String path, List<Problem> problems) {
        try {
            Instant moment = Instant.parse(at);
            if (moment.isBefore(EARLIEST) || !moment.isBefore(LATEST)) {
                problems.add(Problem.of(path, at, "A moment in the years 1950 to 2199 is expected here"));
            }
        } catch (DateTimeParseException e) {
            problems.add(Problem.of(path, at, "A moment in UTC is expected here, such as 2026-01-31T09:30:00Z"));
        }
    }

    /**
     * A build that is to be begun.
     *
     * @param name what its people call it
     * @param leastCrankBar gauge pressure that cranking has to show
     * @param car the car
     * @param duty the duty
     * @param design a design; one with a cooler unless only a factory exchanger comes off
     * @param coolantOpened whether the cooling circuit is opened
     */
    public record NewBuild(
            @Text(value = "what its people call it", min = 1, max = 120) String name,
            @Quantity(value = "gauge pressure that cranking has to show", min = 0.2, max = 6, unit = "bar")
                    @Missing("1.4 bar")
                    Double leastCrankBar,
            @Text("the car") CarDocument car,
            @Text("the duty") DutyDocument duty,
            @Text("a design; one with a cooler unless only a factory exchanger comes off") DesignDocument design,
            @Missing("as the design says: when the radiator moves")
                    @Text("whether the cooling circuit is opened, as where the radiator comes out")
                    Boolean coolantOpened)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            new CaseDocument(car, duty, design, null, null).check(path, problems);
            Work work = design.built();
            if (work == Work.EXCHANGER && design.keepFactoryExchanger()) {
                problems.add(Problem.of(
                        path + "/design/keepFactoryExchanger",
                        "true",
                        "The exchanger cannot stay in a build that takes it off"));
            }
            if (work == Work.IN_SERIES && car.factoryCooler() == null) {
                problems.add(Problem.of(
                        path + "/car/factoryCooler",
                        null,
                        "A factory air cooler is expected here to be in series with"));
            }
            if (work.cooled() && design.cooler() == null) {
                problems.add(Problem.of(path + "/design/cooler", null, "A design with a cooler is expected here"));
            }
        }
    }

    /**
     * A build with its run sheet as it was made from the design.
     *
     * @param name what its people call it
     * @param startedAt when it was begun, ISO 8601
     * @param leastCrankBar gauge pressure that cranking has to show
     * @param car the car as it was then
     * @param design the design as it was then
     * @param steps the run sheet
     * @param bill what was to be bought for it
     */
    public record BuildDocument(
            @Text(value = "what its people call it", min = 1, max = 120) String name,
            @Text(value = "when it was begun, ISO 8601", min = 10, max = 40) String startedAt,
            @Quantity(value = "gauge pressure that cranking has to show", min = 0.2, max = 6, unit = "bar")
                    double leastCrankBar,
            @Text("the car as it was then") CarDocument car,
            @Text("the design as it was then") DesignDocument design,
            @Text(value = "the run sheet", min = 1, max = 300) List<SheetStep> steps,
            @Missing("not known: begun by an earlier version") @Text(value = "what was to be bought for it", max = 300)
                    List<BillDocument> bill)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            moment(startedAt, path + "/startedAt", problems);
            car.check(path + "/car", problems);
            design.check(path + "/design", problems);
        }
    }

    /**
     * A line of what was to be bought.
     *
     * @param group what it belongs to
     * @param what what it is
     * @param number maker and number; empty for what any shop has
     * @param quantity how much: pieces, or in the metric unit of what it is sold by
     * @param soldBy what it is sold by
     */
    public record BillDocument(
            @Text("what it belongs to") BillLine.Group group,
            @Text(value = "what it is", min = 1, max = 300) String what,
            @Text(value = "maker and number; empty for what any shop has", max = 120) String number,
            @Quantity(value = "how much", min = 0, max = 1e5) double quantity,
            @Missing("pieces") @Text("what it is sold by") Measure soldBy) {}

    /**
     * A step of a run sheet.
     *
     * @param id what it is known by
     * @param stage stage that it belongs to
     * @param what what is done
     * @param why why it is done
     * @param caution what can hurt
     * @param figures figures to keep
     * @param reading what is read and written down
     * @param timerSeconds seconds to wait
     * @param behind what has to be shown before
     * @param joint the joint that is made here
     */
    public record SheetStep(
            @Text(value = "what it is known by", min = 1, max = 60) String id,
            @Text("stage that it belongs to") Stage stage,
            @Text(value = "what is done", min = 1, max = 600) String what,
            @Text(value = "why it is done", max = 600) String why,
            @Missing("nothing can hurt") @Text(value = "what can hurt", max = 600) String caution,
            @Text(value = "figures to keep", max = 40) List<SheetFigure> figures,
            @Missing("nothing is read") @Text("what is read and written down") SheetReading reading,
            @Missing("no wait") @Quantity(value = "seconds to wait", min = 1, max = 86_400, unit = "s")
                    Double timerSeconds,
            @Missing("nothing") @Text("what has to be shown before") Gate behind,
            @Missing("no joint") @Text("the joint that is made here") SeamDocument joint) {}

    /**
     * A joint that is made.
     *
     * @param kind how it seals
     * @param name what it is called
     */
    public record SeamDocument(
            @Text("how it seals") LeakKind kind, @Text(value = "what it is called", min = 1, max = 200) String name) {}

    /**
     * A figure to keep.
     *
     * @param name what it is
     * @param measure what it measures
     * @param low least
     * @param high greatest
     * @param source where it comes from
     * @param from that in words
     */
    public record SheetFigure(
            @Text(value = "what it is", min = 1, max = 120) String name,
            @Text("what it measures") Measure measure,
            @Quantity(value = "least", min = -1e6, max = 1e6) double low,
            @Quantity(value = "greatest", min = -1e6, max = 1e6) double high,
            @Text("where it comes from") Step.Source source,
            @Text(value = "that in words", max = 200) String from) {}

    /**
     * Something that is read and written down.
     *
     * @param name what it is
     * @param measure what it measures
     * @param least least that lets the work go on
     * @param most greatest that does
     * @param needed whether the step is not done without it
     * @param channel channel of a logger that shows it
     */
    public record SheetReading(
            @Text(value = "what it is", min = 1, max = 120) String name,
            @Text("what it measures") Measure measure,
            @Missing("anything") @Quantity(value = "least that lets the work go on", min = -1e6, max = 1e6)
                    Double least,
            @Missing("anything") @Quantity(value = "greatest that does", min = -1e6, max = 1e6) Double most,
            @Text("whether the step is not done without it") boolean needed,
            @Missing("none shows it") @Text("channel of a logger that shows it") Channel channel) {}

    /**
     * What somebody wrote on a sheet.
     *
     * @param id its identity, given by whoever wrote it
     * @param at when, ISO 8601 in UTC
     * @param who who wrote it
     * @param kind what it is
     * @param on the step, the gate or the entry that it is about
     * @param value what was read, in the unit of the step's measure
     * @param text words, or the identity of a picture
     * @param message what an alarm says, for any reader's units; its text says it in metric ones
     * @param item what a thing that came off is
     * @param leak how a joint that leaks seals
     */
    public record EntryDocument(
            @Text(value = "its identity, a UUID given by whoever wrote it", min = 36, max = 36) String id,
            @Text(value = "when, ISO 8601 in UTC", min = 10, max = 40) String at,
            @Text(value = "who wrote it", min = 1, max = 60) String who,
            @Text("what it is") Entry.Kind kind,
            @Missing("about nothing else") @Text(value = "the step, the gate or the entry that it is about", max = 60)
                    String on,
            @Missing("nothing was read")
                    @Quantity(value = "what was read, in the unit of the step's measure", min = -1e5, max = 1e5)
                    Double value,
            @Missing("no words") @Text(value = "words, or the identity of a picture", max = 2000) String text,
            @Missing("no alarm") @Text("what an alarm says, for any reader's units") MessageDocument message,
            @Missing("not said, or nothing came off") @Text("what a thing that came off is") ItemDocument item,
            @Missing("no leak") @Text("how a joint that leaks seals") LeakKind leak)
            implements Checked {
        /** The same, written by whoever is known to have sent it. */
        public EntryDocument by(String name) {
            return new EntryDocument(id, at, name, kind, on, value, text, message, item, leak);
        }

        @Override
        public void check(String path, List<Problem> problems) {
            identified(id, at, path, problems);
            if (message != null && (kind != Entry.Kind.ALARM || !message.hasWords())) {
                problems.add(Problem.of(
                        path + "/message", message.key(), "Only an alarm has a message here, one of the catalogue"));
            }
            if (item != null && kind != Entry.Kind.OFF) {
                problems.add(Problem.of(
                        path + "/item", null, "An item belongs to what came off: to an entry of kind OFF alone"));
            }
            if (leak != null && kind != Entry.Kind.LEAK) {
                problems.add(Problem.of(
                        path + "/leak", leak.name(), "How a joint seals belongs to an entry of kind LEAK alone"));
            }
            if (kind == Entry.Kind.LEAK_STEP
                    && Arrays.stream(LeakStep.values()).noneMatch(s -> s.name().equals(text))) {
                problems.add(Problem.of(
                        path + "/text", text, "One of " + Arrays.toString(LeakStep.values()) + " is expected here"));
            }
        }
    }

    /**
     * A thing that came off.
     *
     * @param kind what it is
     * @param size thread or size
     * @param lengthMm length
     * @param count how many
     * @param place where it sat
     */
    public record ItemDocument(
            @Text("what it is") Loose.Kind kind,
            @Missing("not said") @Text(value = "thread or size, such as M6", max = 40) String size,
            @Missing("not said") @Quantity(value = "length", min = 1, max = 3000, unit = "mm") Double lengthMm,
            @Missing("1") @Quantity(value = "how many", min = 1, max = 500) Integer count,
            @Missing("not said") @Text(value = "where it sat", max = 120) String place) {
        Loose.Item toCore() {
            return new Loose.Item(
                    kind,
                    size == null ? "" : size,
                    lengthMm == null ? OptionalDouble.empty() : OptionalDouble.of(lengthMm * 1e-3),
                    count == null ? 1 : count,
                    place == null ? "" : place);
        }
    }

    /**
     * How far a sheet is.
     *
     * @param done number of steps that are done
     * @param next the first step that is not
     * @param steps what was written on each step
     * @param gates the gates
     * @param off what came off, in the order in which it goes back on
     * @param alarms what the watch on the gauges said
     * @param leaks what leaked, and how far it is mended
     * @param freeMarks letters of what comes off next, in their order
     */
    public record SheetProgress(
            int done,
            @Missing("all are done") String next,
            List<StepState> steps,
            List<GateState> gates,
            List<LooseDocument> off,
            List<EntryDocument> alarms,
            List<LeakDocument> leaks,
            List<String> freeMarks) {}

    /**
     * A leak that was found at a step.
     *
     * @param found the entry that says so
     * @param kind how the joint seals
     * @param steps what is done about it, in its order
     * @param open whether the work waits for it
     * @param mistaken the entry that says that there was none
     */
    public record LeakDocument(
            EntryDocument found,
            LeakKind kind,
            List<LeakStepDocument> steps,
            boolean open,
            @Missing("it was one") EntryDocument mistaken) {}

    /**
     * Something that is done about a leak.
     *
     * @param step which
     * @param what in words
     * @param caution what can hurt
     * @param done the entry that says that it is done
     */
    public record LeakStepDocument(
            LeakStep step, MessageDocument what, MessageDocument caution, @Missing("it is not") EntryDocument done) {}

    /**
     * What was written on a step.
     *
     * @param id the step
     * @param done the entry that says that it is done
     * @param reading the reading that counts
     * @param timer when its timer was last started
     * @param notes notes and pictures, oldest first
     * @param refusal why it may not be called done now
     */
    public record StepState(
            String id,
            @Missing("it is not") EntryDocument done,
            @Missing("none yet") EntryDocument reading,
            @Missing("not started") EntryDocument timer,
            List<EntryDocument> notes,
            @Missing("it may") MessageDocument refusal) {}

    /**
     * A gate.
     *
     * @param gate the gate
     * @param words what it says while it is shut
     * @param open whether the work may go on past it
     * @param missing steps that it waits for
     * @param override the entry that overrides it
     */
    public record GateState(
            Gate gate,
            MessageDocument words,
            boolean open,
            List<String> missing,
            @Missing("not overridden") EntryDocument override) {}

    /**
     * Something that came off.
     *
     * @param off the entry that says so
     * @param mark its own letter, for it and its fasteners
     * @param back the entry that says that it is back on
     * @param notes pictures and notes of it, oldest first
     */
    public record LooseDocument(
            EntryDocument off, String mark, @Missing("still off") EntryDocument back, List<EntryDocument> notes) {}
}
