package isotherm.server.build;

import isotherm.core.sheet.Channel;
import isotherm.server.live.Bulletin;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.databind.json.JsonMapper;

/** Tells browsers what gauges show, whichever server listens to their logger. */
@Service
public class LiveGauges {
    private static final String SAMPLE = "sample";
    private static final String WRITTEN = "written";
    private static final String TOPIC = "gauges";
    /** Other servers are told so often at most, ns: nobody reads faster. */
    private static final long EVERY_NS = 200_000_000;
    /** What another server told last is not shown any more after so long, ns. */
    private static final long STALE_NS = TimeUnit.SECONDS.toNanos(5);

    private static final long LONGEST_LOOK_MS = TimeUnit.MINUTES.toMillis(10);

    private final BuildService builds;
    private final Bulletin bulletin;
    private final JsonMapper json;
    private final Map<UUID, List<SseEmitter>> listeners = new ConcurrentHashMap<>();
    private final Map<UUID, Shown> latest = new ConcurrentHashMap<>();
    private final Map<UUID, Long> told = new ConcurrentHashMap<>();

    LiveGauges(BuildService builds, Bulletin bulletin, JsonMapper json) {
        this.builds = builds;
        this.bulletin = bulletin;
        this.json = json;
        bulletin.hear(TOPIC, this::heard);
    }

    /**
     * What the gauges show, as it is told to browsers.
     *
     * @param listening whether a logger is attached
     * @param simulated whether it is the simulated one
     * @param turning whether the engine turns, as far as they show it
     * @param time on the logger's clock, s
     * @param values by channel, in bar, °C and 1/min; none when nothing has come for a while
     * @param spoiled channels that show what no sensor can
     * @param silentSeconds for how long nothing has come; 0 while rows come
     */
    public record LiveSample(
            boolean listening,
            boolean simulated,
            boolean turning,
            double time,
            Map<Channel, Double> values,
            List<Channel> spoiled,
            int silentSeconds) {}

    /** What was shown last, as it was told, and when. */
    private record Shown(String sample, long at) {}

    static LiveSample silent() {
        return new LiveSample(false, false, false, 0, Map.of(), List.of(), 0);
    }

    /**
     * @param id a build
     * @return a stream of what its gauges show; named events are {@code sample} and {@code written}
     */
    public SseEmitter listen(UUID id) {
        builds.build(id);
        // Asked for again by the browser itself: who may not look any more is out by then.
        SseEmitter emitter = new SseEmitter(LONGEST_LOOK_MS);
        List<SseEmitter> all = listeners.computeIfAbsent(id, k -> new CopyOnWriteArrayList<>());
        all.add(emitter);
        Runnable gone = () -> all.remove(emitter);
        emitter.onCompletion(gone);
        emitter.onTimeout(emitter::complete);
        emitter.onError(e -> gone.run());
        Shown shown = latest.get(id);
        boolean fresh = shown != null && System.nanoTime() - shown.at() < STALE_NS;
        // To whoever came alone: the others know what is shown, or wait for a row that is late.
        say(emitter, SAMPLE, fresh ? shown.sample() : json.writeValueAsString(silent()), gone);
        return emitter;
    }

    /**
     * @param id a build
     * @param sample what its gauges show now
     */
    void tell(UUID id, LiveSample sample) {
        String text = json.writeValueAsString(sample);
        remember(id, text);
        show(id, SAMPLE, text);
        long now = System.nanoTime();
        // The last word, that nobody listens any more, is never left out.
        if (!sample.listening()) {
            latest.remove(id);
            told.remove(id);
            bulletin.tell(TOPIC, id + " " + SAMPLE + " " + text);
        } else if (now - told.getOrDefault(id, now - EVERY_NS) >= EVERY_NS) {
            told.put(id, now);
            bulletin.mention(TOPIC, id + " " + SAMPLE + " " + text);
        }
    }

    /**
     * @param id a build on whose sheet something was written
     * @param at when
     */
    void written(UUID id, String at) {
        String text = json.writeValueAsString(Map.of("at", at));
        show(id, WRITTEN, text);
        bulletin.tell(TOPIC, id + " " + WRITTEN + " " + text);
    }

    private void remember(UUID id, String text) {
        latest.put(id, new Shown(text, System.nanoTime()));
    }

    /** Another server tells what a logger of its shows. */
    private void heard(String told) {
        String[] parts = told.split(" ", 3);
        UUID id = UUID.fromString(parts[0]);
        if (parts[1].equals(SAMPLE)) {
            remember(id, parts[2]);
        }
        show(id, parts[1], parts[2]);
    }

    private void show(UUID id, String event, String text) {
        List<SseEmitter> all = listeners.getOrDefault(id, List.of());
        all.forEach(emitter -> say(emitter, event, text, () -> all.remove(emitter)));
    }

    private static void say(SseEmitter emitter, String event, String text, Runnable gone) {
        try {
            emitter.send(SseEmitter.event().name(event).data(text));
        } catch (IOException | IllegalStateException e) {
            // A browser that has gone is noticed when it is told something.
            gone.run();
        }
    }

    /** Streams are ended before the server waits for its requests to end. */
    @EventListener(ContextClosedEvent.class)
    void stop() {
        listeners.values().forEach(all -> all.forEach(SseEmitter::complete));
    }
}
