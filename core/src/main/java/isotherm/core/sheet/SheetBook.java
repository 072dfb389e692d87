package isotherm.core.sheet;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;

/** What was written on a sheet, sorted by what it is about: one entry after the other, oldest first. */
final class SheetBook {
    private static final int LETTERS = 26;

    private final Map<String, Entry> done = new LinkedHashMap<>();
    private final Map<String, Entry> readings = new LinkedHashMap<>();
    private final Map<String, Entry> timers = new LinkedHashMap<>();
    private final Map<String, List<Entry>> notes = new LinkedHashMap<>();
    private final Map<String, Entry> overrides = new LinkedHashMap<>();
    private final Map<String, Entry> off = new LinkedHashMap<>();
    private final Map<String, Entry> back = new LinkedHashMap<>();
    private final Map<String, String> marks = new LinkedHashMap<>();
    private final Map<String, Integer> held = new LinkedHashMap<>();
    private final Map<String, Entry> leaks = new LinkedHashMap<>();
    private final Map<String, Map<LeakStep, Entry>> mended = new LinkedHashMap<>();
    private final Map<String, Entry> mistaken = new LinkedHashMap<>();
    private final List<Entry> alarms = new ArrayList<>();
    private int letters;

    SheetBook(List<Entry> entries) {
        entries.forEach(this::take);
    }

    private void take(Entry e) {
        String id = e.id().toString();
        switch (e.kind()) {
            case DONE -> done.put(e.on(), e);
            case NOT_DONE -> done.remove(e.on());
            case READING, LIVE_READING -> readings.put(e.on(), e);
            case TIMER -> timers.put(e.on(), e);
            case NOTE, PICTURE ->
                notes.computeIfAbsent(e.on(), k -> new ArrayList<>()).add(e);
            case OVERRIDE -> overrides.put(e.on(), e);
            case OFF -> {
                off.put(id, e);
                marks.put(id, marked(e));
            }
            case NOT_OFF -> {
                off.remove(e.on());
                // What held it is not off either: there is nothing for it to hold.
                off.values().removeIf(o -> o.on().equals(e.on()));
            }
            case BACK_ON -> back.put(e.on(), e);
            case LEAK -> leaks.put(id, e);
            case LEAK_STEP ->
                step(e).ifPresent(s -> mended.computeIfAbsent(e.on(), k -> new EnumMap<>(LeakStep.class))
                        .put(s, e));
            case NO_LEAK -> mistaken.put(e.on(), e);
            default -> alarms.add(e);
        }
    }

    /** The step of a leak that an entry names; empty where it names none. */
    static Optional<LeakStep> step(Entry e) {
        for (LeakStep s : LeakStep.values()) {
            if (s.name().equals(e.text())) {
                return Optional.of(s);
            }
        }
        return Optional.empty();
    }

    /** Fasteners have the letter of what they hold, and a number. */
    private String marked(Entry e) {
        String of = marks.get(e.on());
        return of == null ? mark(letters++) : of + held.merge(e.on(), 1, Integer::sum);
    }

    /** A to Z, then AA to AZ and on: what is struck out keeps its letter, so that no tag on a bag becomes wrong. */
    private static String mark(int number) {
        String last = String.valueOf((char) ('A' + number % LETTERS));
        return number < LETTERS ? last : mark(number / LETTERS - 1) + last;
    }

    /** Letters of what comes off next, so that it can be tagged before anybody is asked. */
    List<String> freeMarks() {
        return IntStream.range(letters, letters + LETTERS)
                .mapToObj(SheetBook::mark)
                .toList();
    }

    Map<String, Progress.At> steps(RunSheet sheet) {
        Map<String, Progress.At> steps = new LinkedHashMap<>();
        for (Step s : sheet.steps()) {
            steps.put(
                    s.id(),
                    new Progress.At(
                            s,
                            Optional.ofNullable(done.get(s.id())),
                            Optional.ofNullable(readings.get(s.id())),
                            Optional.ofNullable(timers.get(s.id())),
                            List.copyOf(notes.getOrDefault(s.id(), List.of()))));
        }
        return Collections.unmodifiableMap(steps);
    }

    List<Entry> alarms() {
        return List.copyOf(alarms);
    }

    Optional<Entry> override(Gate gate) {
        return Optional.ofNullable(overrides.get(gate.name()));
    }

    List<Leak> leaks() {
        return leaks.entrySet().stream()
                .map(l -> new Leak(
                        l.getValue(),
                        l.getValue().leak().orElse(LeakKind.OTHER),
                        mended.getOrDefault(l.getKey(), Map.of()),
                        Optional.ofNullable(mistaken.get(l.getKey()))))
                .toList();
    }

    /** What came off in the order in which it goes back on: last off, first on, and what holds a thing after it. */
    List<Loose> loose() {
        List<String> own = new ArrayList<>();
        Map<String, List<String>> holding = new LinkedHashMap<>();
        off.forEach((id, e) -> {
            if (marks.containsKey(e.on())) {
                holding.computeIfAbsent(e.on(), k -> new ArrayList<>()).add(0, id);
            } else {
                own.add(0, id);
            }
        });
        List<Loose> loose = new ArrayList<>();
        for (String id : own) {
            loose.add(loose(id));
            holding.getOrDefault(id, List.of()).forEach(h -> loose.add(loose(h)));
        }
        return List.copyOf(loose);
    }

    private Loose loose(String id) {
        return new Loose(
                Objects.requireNonNull(off.get(id)),
                Objects.requireNonNull(marks.get(id)),
                Optional.ofNullable(back.get(id)),
                List.copyOf(notes.getOrDefault(id, List.of())));
    }
}
