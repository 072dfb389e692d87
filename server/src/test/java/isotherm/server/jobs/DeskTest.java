package isotherm.server.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.Timer;
import isotherm.server.testing.Examples;
import isotherm.server.testing.OwnServer;
import isotherm.server.testing.RawHttp;
import isotherm.server.testing.RunningServer;
import java.net.Socket;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class DeskTest {
    private static final JsonMapper JSON = new JsonMapper();
    /** Nobody else asks it anything. */
    private static RunningServer server;

    private final Desk desk = new Desk(1, 3);
    private final CountDownLatch begun = new CountDownLatch(1);
    private final CountDownLatch freed = new CountDownLatch(1);

    @BeforeAll
    static void serve() {
        server = RunningServer.empty();
    }

    @AfterAll
    static void close() {
        server.close();
    }

    @AfterEach
    void stop() {
        freed.countDown();
        desk.stop();
    }

    private static Desk.Asker asker(String who, String view) {
        return new Desk.Asker(who, view, () -> false);
    }

    private <T> CompletableFuture<T> inBackground(java.util.concurrent.Callable<T> call) {
        CompletableFuture<T> future = new CompletableFuture<>();
        Thread thread = new Thread(() -> {
            try {
                future.complete(call.call());
            } catch (Throwable e) {
                future.completeExceptionally(e);
            }
        });
        thread.setDaemon(true);
        thread.start();
        return future;
    }

    private CompletableFuture<String> hold(Desk.Asker asker) throws InterruptedException {
        CompletableFuture<String> held = inBackground(() -> desk.ask(asker, dropped -> {
            begun.countDown();
            while (!dropped.getAsBoolean() && freed.getCount() > 0) {
                pause();
            }
            if (dropped.getAsBoolean()) {
                throw new CancellationException("dropped");
            }
            return "answer";
        }));
        assertThat(begun.await(10, TimeUnit.SECONDS)).isTrue();
        return held;
    }

    private static void pause() {
        try {
            Thread.sleep(2);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static void until(BooleanSupplier there) {
        OwnServer.until(there, 2);
    }

    @Test
    void aQuickQuestionIsNeverBehindALongOne() throws Exception {
        CompletableFuture<String> held = hold(asker("long", "map"));
        assertThat(desk.askQuickly(asker("somebody", "drag"), () -> "at once")).isEqualTo("at once");
        assertThat(held).isNotDone();
    }

    @Test
    void aQuestionOfTheSameViewTakesThePlaceOfTheOneBefore() throws Exception {
        CompletableFuture<String> first = hold(asker("page", "page map"));
        assertThat(desk.<String>ask(asker("page", "page map"), dropped -> "second"))
                .isEqualTo("second");
        assertThatExceptionOfType(CancellationException.class).isThrownBy(first::join);
    }

    @Test
    void aQuestionOfAnotherViewOrOfNobodyInParticularWaitsItsTurn() throws Exception {
        CompletableFuture<String> first = hold(asker("page", "page map"));
        CompletableFuture<String> second =
                inBackground(() -> desk.ask(asker("page", "page routes"), dropped -> "routes"));
        CompletableFuture<String> third = inBackground(() -> desk.ask(asker("127.0.0.1", ""), dropped -> "third"));
        freed.countDown();
        assertThat(first.get()).isEqualTo("answer");
        assertThat(second.get()).isEqualTo("routes");
        assertThat(third.get()).isEqualTo("third");
    }

    @Test
    void whoeverAsksMuchWaitsBehindWhoeverAsksLittle() throws Exception {
        CompletableFuture<String> held = hold(asker("greedy", ""));
        List<String> order = Collections.synchronizedList(new ArrayList<>());
        List<CompletableFuture<Boolean>> all = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            int before = desk.load();
            all.add(inBackground(() -> desk.ask(asker("greedy", ""), dropped -> order.add("greedy"))));
            until(() -> desk.load() == before + 1);
        }
        int before = desk.load();
        all.add(inBackground(() -> desk.ask(asker("modest", ""), dropped -> order.add("modest"))));
        until(() -> desk.load() == before + 1);
        freed.countDown();
        held.get();
        for (CompletableFuture<Boolean> one : all) {
            one.get();
        }
        assertThat(order.indexOf("modest")).isLessThanOrEqualTo(1);
    }

    @Test
    void moreThanCanWaitIsRefusedAtOnce() throws Exception {
        hold(asker("one", ""));
        List<CompletableFuture<String>> waiting = new ArrayList<>();
        for (int i = 0; i < 48; i++) {
            int before = desk.load();
            waiting.add(inBackground(() -> desk.ask(asker("one", ""), dropped -> "late")));
            until(() -> desk.load() == before + 1);
        }
        assertThatExceptionOfType(Busy.class).isThrownBy(() -> desk.ask(asker("one", ""), dropped -> "no"));
        CompletableFuture<String> other = inBackground(() -> desk.ask(asker("other", ""), dropped -> "yes"));
        freed.countDown();
        assertThat(other.get()).isEqualTo("yes");
    }

    @Test
    void nobodyWaitsLongerThanAPagesPatience() {
        assertThatExceptionOfType(Busy.class)
                .isThrownBy(() -> desk.ask(asker("one", ""), dropped -> {
                    while (!dropped.getAsBoolean()) {
                        pause();
                    }
                    return "too late";
                }))
                .withMessageContaining("longer than 3 s");
        until(() -> desk.load() == 0);
    }

    @Test
    void anErrorIsToldAndTheNextQuestionIsAnswered() {
        assertThatExceptionOfType(StackOverflowError.class)
                .isThrownBy(() -> desk.ask(asker("one", ""), dropped -> {
                    throw new StackOverflowError();
                }));
        assertThat(desk.<String>ask(asker("one", ""), dropped -> "next")).isEqualTo("next");
        assertThat(desk.load()).isZero();
    }

    @Test
    void whatNobodyWaitsForIsNotComputedOn() throws Exception {
        Desk real = server.bean(Desk.class);
        ObjectNode interval = (ObjectNode) JSON.readTree(Examples.read("corvid"));
        interval.put("samples", 2000);
        String map = JSON.readTree(Examples.read("map")).toString().replaceAll("\"count\":\\d+", "\"count\":60");
        for (String[] question : new String[][] {
            {"/api/interval", interval.toString()}, {"/api/map", map}, {"/api/plumb", Examples.read("plumb")}
        }) {
            try (Socket socket = RawHttp.ask(server.address(), question[0], question[1])) {
                until(() -> real.load() > 0);
                assertThat(socket.isConnected()).isTrue();
            }
            until(() -> real.load() == 0);
        }
    }

    /** That it is noticed at all; that a map or a plumbing stops at once then is the rules' own. */
    @Test
    void whoeverHasGoneIsNoticedBeforeTheAnswerIsThere() throws Exception {
        ObjectNode interval = (ObjectNode) JSON.readTree(Examples.read("corvid"));
        interval.put("samples", 2000).withObject("duty").put("ambientC", 33.125);
        String map = JSON.readTree(Examples.read("map")).toString().replaceAll("\"count\":\\d+", "\"count\":59");
        for (String[] question : new String[][] {{"/api/interval", interval.toString()}, {"/api/map", map}}) {
            long before = answered(server, question[0], "409");
            RawHttp.ask(server.address(), question[0], question[1]).close();
            until(() -> answered(server, question[0], "409") > before);
        }
    }

    private static long answered(RunningServer server, String path, String status) {
        return server
                .bean(MeterRegistry.class)
                .find("http.server.requests")
                .tags("uri", path, "status", status)
                .timers()
                .stream()
                .mapToLong(Timer::count)
                .sum();
    }

    @Test
    void aSearchThatWouldTakeHoursIsRefusedWithItsBounds() {
        ObjectNode search = (ObjectNode) JSON.readTree(Examples.read("search"));
        for (String list : List.of("sealingPercents", "boresMm", "thermostatsC")) {
            var values = search.putArray(list);
            for (int i = 0; i < (list.equals("boresMm") ? 10 : 20); i++) {
                values.add(list.equals("boresMm") ? 8 + i : 60 + i);
            }
        }
        search.put("largestWidthMm", 1000).put("largestHeightMm", 800);
        var places = search.putArray("places");
        for (String place : List.of("GRILLE_AHEAD", "LOWER_GRILLE_AHEAD", "BEHIND_RADIATOR", "UNDER_FLOOR")) {
            places.add(place);
        }
        String refused =
                server.send("POST", "/api/jobs/search", search.toString()).body();
        assertThat(refused).contains("designs; at most 30000 are taken");
    }

    @Test
    void whatIsComputedInParallelStaysAmongItsOwnThreads() {
        Desk two = new Desk(2, 30);
        try {
            List<String> threads = two.ask(asker("one", ""), dropped -> IntStream.range(0, 2000)
                    .parallel()
                    .mapToObj(i -> Thread.currentThread().getName())
                    .distinct()
                    .toList());
            assertThat(threads).isNotEmpty().allMatch(name -> name.startsWith("question-"));
        } finally {
            two.stop();
        }
    }
}
