package isotherm.core.sheet;

import isotherm.core.message.Message;
import java.util.ArrayList;
import java.util.Collections;
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
 */
public record Progress(
        RunSheet sheet, Map<String, At> steps, Map<Gate, Passage> gates, List<Loose> off, List<Entry> alarms) {
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
     * Something that came off.
     *
     * @param off the entry that says so
     * @param mark its own letter, for it and its fasteners: A for what came off first
     * @param back the entry that says that it is back on
     * @param notes pictures and notes of it, oldest first
     */
    public record Loose(Entry off, String mark, Optional<Entry> back, List<Entry> notes) {}

    private static final int LETTERS = 26;

    /** A to Z, then AA to AZ and on: what is struck out keeps its letter, so that no tag on a bag becomes wrong. */
    private static String mark(int number) {
        String last = String.valueOf((char) ('A' + number % LETTERS));
        return number < LETTERS ? last : mark(number / LETTERS - 1) + last;
    }

    /**
     * @param sheet a sheet
     * @param entries what was written on it, oldest first
     * @return how far it is
     */
    public static Progress of(RunSheet sheet, List<Entry> entries) {
        Map<String, Entry> done = new LinkedHashMap<>();
        Map<String, Entry> readings = new LinkedHashMap<>();
        Map<String, Entry> timers = new LinkedHashMap<>();
        Map<String, List<Entry>> notes = new LinkedHashMap<>();
        Map<String, Entry> overrides = new LinkedHashMap<>();
        Map<String, Entry> off = new LinkedHashMap<>();
        Map<String, Entry> back = new LinkedHashMap<>();
        Map<String, String> marks = new LinkedHashMap<>();
        List<Entry> alarms = new ArrayList<>();
        for (Entry e : entries) {
            switch (e.kind()) {
                case DONE -> done.put(e.on(), e);
                case NOT_DONE -> done.remove(e.on());
                case READING, LIVE_READING -> readings.put(e.on(), e);
                case TIMER -> timers.put(e.on(), e);
                case NOTE, PICTURE ->
                    notes.computeIfAbsent(e.on(), k -> new ArrayList<>()).add(e);
                case OVERRIDE -> overrides.put(e.on(), e);
                case OFF -> {
                    off.put(e.id().toString(), e);
                    marks.put(e.id().toString(), mark(marks.size()));
                }
                case NOT_OFF -> off.remove(e.on());
                case BACK_ON -> back.put(e.on(), e);
                default -> alarms.add(e);
            }
        }
        Map<String, At> steps = new LinkedHashMap<>();
        for (Step s : sheet.steps()) {
            steps.put(
                    s.id(),
                    new At(
                            s,
                            Optional.ofNullable(done.get(s.id())),
                            Optional.ofNullable(readings.get(s.id())),
                            Optional.ofNullable(timers.get(s.id())),
                            List.copyOf(notes.getOrDefault(s.id(), List.of()))));
        }
        Map<Gate, Passage> gates = new LinkedHashMap<>();
        for (Gate g : Gate.values()) {
            List<String> missing = g.needs().stream()
                    .filter(steps::containsKey)
                    .map(steps::get)
                    .filter(a -> a.done().isEmpty() || a.reluctance().isPresent())
                    .map(a -> a.step().id())
                    .toList();
            Optional<Entry> override = Optional.ofNullable(overrides.get(g.name()));
            gates.put(g, new Passage(missing.isEmpty() || override.isPresent(), missing, override));
        }
        List<Loose> loose = off.values().stream()
                .map(e -> e.id().toString())
                .map(id -> new Loose(
                        Objects.requireNonNull(off.get(id)),
                        Objects.requireNonNull(marks.get(id)),
                        Optional.ofNullable(back.get(id)),
                        List.copyOf(notes.getOrDefault(id, List.of()))))
                .collect(Collectors.toCollection(ArrayList::new));
        Collections.reverse(loose);
        return new Progress(
                sheet,
                Collections.unmodifiableMap(steps),
                Collections.unmodifiableMap(gates),
                List.copyOf(loose),
                List.copyOf(alarms));
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
            case OFF -> wordless(entry, SheetRefusal.OFF_EMPTY);
            case BACK_ON, NOT_OFF ->
                isOff(entry) ? Optional.empty() : Optional.of(SheetRefusal.NOT_ON_LIST.say("text"));
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
                    a.step().id().equals(RunSheet.CRANK) ? rpm > 50 && rpm < Watch.RUNNING : rpm >= Watch.RUNNING;
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
        return off.stream().anyMatch(l -> l.off().id().toString().equals(entry.on()));
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
                .map(l -> l.off().text())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        return names.isEmpty()
                ? Optional.empty()
                : Optional.of(SheetRefusal.STILL_OFF.say("text").name("names", String.join(", ", names)));
    }
}
