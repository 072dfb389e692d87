package isotherm.core.sheet;

import isotherm.core.message.Message;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * How far a run sheet is worked through, from what was written on it.
 *
 * @param sheet the sheet
 * @param steps every step with what was written on it, in the sheet's order
 * @param gates every gate
 * @param off what came off, in the order in which it goes back on: last off, first on
 * @param alarms what the watch said
 * @param leaks what leaked, and how far it is mended, in the order in which it was found
 * @param freeMarks letters of what comes off next, in their order
 */
public record Progress(
        RunSheet sheet,
        Map<String, At> steps,
        Map<Gate, Passage> gates,
        List<Loose> off,
        List<Entry> alarms,
        List<Leak> leaks,
        List<String> freeMarks) {
    /**
     * A step with what was written on it.
     *
     * @param step the step
     * @param done the entry that says that it is done
     * @param reading the reading that counts
     * @param timer when its timer was last started
     * @param notes notes and pictures, oldest first
     */
    public record At(
            Step step, Optional<Entry> done, Optional<Entry> reading, Optional<Entry> timer, List<Entry> notes) {
        /** @return why it may not be called done with its reading; empty when it may */
        public Optional<Message> reluctance() {
            return step.reading().flatMap(wanted -> {
                if (reading.isEmpty()) {
                    return wanted.needed()
                            ? Optional.of(SheetRefusal.NOT_READ.say("text").say("reading", wanted.name()))
                            : Optional.empty();
                }
                double value = reading.get().value().orElse(Double.NaN);
                return wanted.allows(value)
                        ? Optional.empty()
                        : Optional.of(SheetRefusal.NOT_ALLOWED.say("text").say("reading", wanted.name()));
            });
        }
    }

    /**
     * A gate.
     *
     * @param open whether the work may go on past it
     * @param missing ids of the steps that it waits for
     * @param override the entry that overrides it
     */
    public record Passage(boolean open, List<String> missing, Optional<Entry> override) {}

    /**
     * @param sheet a sheet
     * @param entries what was written on it, oldest first
     * @return how far it is
     */
    public static Progress of(RunSheet sheet, List<Entry> entries) {
        SheetBook book = new SheetBook(entries);
        Map<String, At> steps = book.steps(sheet);
        List<Loose> off = book.loose();
        List<Leak> leaks = book.leaks();
        Map<Gate, Passage> gates = new EnumMap<>(Gate.class);
        for (Gate g : Gate.values()) {
            List<String> missing = g.needs().stream()
                    .filter(steps::containsKey)
                    .filter(id -> waits(Objects.requireNonNull(steps.get(id)), off, leaks))
                    .toList();
            Optional<Entry> override = book.override(g);
            gates.put(g, new Passage(missing.isEmpty() || override.isPresent(), missing, override));
        }
        return new Progress(
                sheet, steps, Collections.unmodifiableMap(gates), off, book.alarms(), leaks, book.freeMarks());
    }

    /** Whether a gate waits for a step, called done as it may be: a leak that was found there opens it again. */
    private static boolean waits(At a, List<Loose> off, List<Leak> leaks) {
        String id = a.step().id();
        return a.done().isEmpty()
                || a.reluctance().isPresent()
                || leaks.stream().anyMatch(l -> l.open() && l.found().on().equals(id))
                || id.equals(RunSheet.REFIT_LIST)
                        && off.stream().anyMatch(l -> l.back().isEmpty());
    }

    /** @return the first step that is not done; empty when all are */
    public Optional<Step> next() {
        return steps.values().stream()
                .filter(a -> a.done().isEmpty())
                .map(At::step)
                .findFirst();
    }

    /**
     * @param entry something that is to be written on the sheet
     * @return why it cannot be; empty when it can
     */
    public Optional<Message> refusal(Entry entry) {
        return switch (entry.kind()) {
            case DONE ->
                ofStep(entry)
                        .or(() -> shut(entry.on()))
                        .or(() -> leaking(entry.on()))
                        .or(() -> at(entry.on()).reluctance())
                        .or(() -> entry.on().equals(RunSheet.REFIT_LIST) ? stillOff() : Optional.empty());
            case NOT_DONE, TIMER -> ofStep(entry);
            case PICTURE -> isOff(entry) ? Optional.empty() : ofStep(entry);
            case NOTE ->
                (isOff(entry) ? Optional.<Message>empty() : ofStep(entry))
                        .or(() -> wordless(entry, SheetRefusal.NOTE_EMPTY));
            case READING, LIVE_READING ->
                ofStep(entry)
                        .or(() -> at(entry.on()).step().reading().isEmpty()
                                        || entry.value().isEmpty()
                                ? Optional.of(SheetRefusal.NO_READING.say("text"))
                                : Optional.empty());
            case OVERRIDE ->
                gates.keySet().stream().noneMatch(g -> g.name().equals(entry.on()))
                        ? Optional.of(SheetRefusal.NO_SUCH_GATE.say("text"))
                        : wordless(entry, SheetRefusal.REASON_EMPTY);
            case OFF ->
                entry.on().isEmpty() || isOff(entry)
                        ? wordless(entry, SheetRefusal.OFF_EMPTY)
                        : Optional.of(SheetRefusal.NOT_ON_LIST.say("text"));
            case BACK_ON ->
                loose(entry).map(this::held).orElseGet(() -> Optional.of(SheetRefusal.NOT_ON_LIST.say("text")));
            case NOT_OFF -> isOff(entry) ? Optional.empty() : Optional.of(SheetRefusal.NOT_ON_LIST.say("text"));
            case LEAK -> ofStep(entry).or(() -> wordless(entry, SheetRefusal.LEAK_NOWHERE));
            case LEAK_STEP ->
                open(entry)
                        .map(l -> order(l, entry))
                        .orElseGet(() -> Optional.of(SheetRefusal.NO_SUCH_LEAK.say("text")));
            case NO_LEAK ->
                open(entry)
                        .map(l -> wordless(entry, SheetRefusal.NOTE_EMPTY))
                        .orElseGet(() -> Optional.of(SheetRefusal.NO_SUCH_LEAK.say("text")));
            case ALARM -> wordless(entry, SheetRefusal.ALARM_EMPTY);
        };
    }

    /**
     * What a logger can fill in: readings that a step needs, that the work has come to, and that let it go on.
     *
     * @param sample what the gauges show
     * @return values in SI units by the id of their step
     */
    public Map<String, Double> readable(Sample sample) {
        Map<String, Double> readable = new LinkedHashMap<>();
        double rpm = sample.get(Channel.RPM).orElse(0);
        for (At a : steps.values()) {
            boolean wanted = a.step().reading().filter(Step.Reading::needed).isPresent()
                    && a.done().isEmpty()
                    && a.reading().isEmpty()
                    && a.step().behind().map(g -> passage(g).open()).orElse(true);
            boolean turning =
                    a.step().id().equals(RunSheet.CRANK) ? sample.turns() && rpm < Watch.RUNNING : rpm >= Watch.RUNNING;
            if (wanted && turning) {
                Step.Reading reading = a.step().reading().get();
                reading.channel()
                        .map(sample::get)
                        .filter(v -> v.isPresent() && reading.allows(v.getAsDouble()))
                        .ifPresent(v -> readable.put(a.step().id(), v.getAsDouble()));
            }
        }
        return readable;
    }

    /** A step that is known to be on the sheet. */
    private At at(String id) {
        return Objects.requireNonNull(steps.get(id), id);
    }

    private Passage passage(Gate gate) {
        return Objects.requireNonNull(gates.get(gate), gate.name());
    }

    private boolean isOff(Entry entry) {
        return loose(entry).isPresent();
    }

    private Optional<Loose> loose(Entry entry) {
        return off.stream()
                .filter(l -> l.off().id().toString().equals(entry.on()))
                .findFirst();
    }

    /** Fasteners go back after what they hold. */
    private Optional<Message> held(Loose fastener) {
        return off.stream()
                .filter(l -> l.off().id().toString().equals(fastener.off().on()))
                .filter(l -> l.back().isEmpty())
                .findFirst()
                .map(l -> SheetRefusal.HELD_STILL_OFF
                        .say("text")
                        .name("mark", l.mark())
                        .name("name", l.off().text()));
    }

    private Optional<Leak> open(Entry entry) {
        return leaks.stream()
                .filter(l -> l.open() && l.found().id().toString().equals(entry.on()))
                .findFirst();
    }

    /** Nobody opens a joint before the engine stands and the pressure is off: what is done about a leak has its order. */
    private static Optional<Message> order(Leak leak, Entry entry) {
        LeakStep next = leak.next().orElseThrow();
        return SheetBook.step(entry).filter(s -> s == next).isPresent()
                ? Optional.empty()
                : Optional.of(SheetRefusal.LEAK_ORDER.say("text").say("step", next.what(leak.kind())));
    }

    /** No step that comes with a leak or after it is done before that is dry. */
    private Optional<Message> leaking(String step) {
        List<String> order = List.copyOf(steps.keySet());
        return leaks.stream()
                .filter(l -> l.open() && order.indexOf(l.found().on()) <= order.indexOf(step))
                .findFirst()
                .map(l -> SheetRefusal.LEAK_OPEN
                        .say("text")
                        .name("where", l.found().text()));
    }

    private Optional<Message> ofStep(Entry entry) {
        return steps.containsKey(entry.on()) ? Optional.empty() : Optional.of(SheetRefusal.NO_SUCH_STEP.say("text"));
    }

    private static Optional<Message> wordless(Entry entry, SheetRefusal otherwise) {
        return entry.text().isBlank() ? Optional.of(otherwise.say("text")) : Optional.empty();
    }

    private Optional<Message> shut(String step) {
        return at(step).step().behind().filter(g -> !passage(g).open()).map(g -> SheetRefusal.GATE_SHUT
                .say("text")
                .say("gate", g.say("shut"))
                .say("steps", passage(g).missing().stream().map(this::quoted).toList()));
    }

    private Message quoted(String step) {
        return SheetRefusal.STEP_QUOTED.say("text").say("step", at(step).step().what());
    }

    private Optional<Message> stillOff() {
        Set<String> names = off.stream()
                .filter(l -> l.back().isEmpty())
                .map(l -> l.mark() + " " + l.off().text())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        return names.isEmpty()
                ? Optional.empty()
                : Optional.of(SheetRefusal.STILL_OFF.say("text").name("names", String.join(", ", names)));
    }
}
