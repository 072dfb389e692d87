package isotherm.server.testing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;

/** A server process with a database of its own, for tests that kill either of them. */
public final class OwnServer extends ApiClient implements AutoCloseable {
    private static final int FIRST_DATABASE_PORT = 20_000;
    private static final int DATABASE_PORTS = 10_000;
    private static final int LAST_LINES = 25;
    /** How long a test waits for what has to come, s: beside other work a start has taken more than two minutes. */
    public static final int PATIENCE = 300;

    private static final int EVERY_MS = 100;

    private final Path data;
    private final int heapMb;
    private final List<String> settings;
    private final boolean second;
    private Process process;
    private String databasePort;
    private volatile int port;

    /**
     * Starts both.
     *
     * @param data folder of its database, which is not there yet
     * @param heapMb memory of the server, MB
     * @param settings further settings of the application, as on its command line
     */
    public OwnServer(Path data, int heapMb, String... settings) {
        this.data = data;
        this.heapMb = heapMb;
        this.settings = List.of(settings);
        this.second = false;
        // Its port stays its own while it is stopped: the launcher, which other tests start, counts up from lower ones.
        int asked = FIRST_DATABASE_PORT + ThreadLocalRandom.current().nextInt(DATABASE_PORTS);
        database("ISOTHERM_PG_PORT=" + asked + " pg_start \"$1\"");
        this.databasePort = database("pg_port \"$1\"");
        start();
    }

    @Override
    public URI address() {
        return URI.create("http://127.0.0.1:" + port);
    }

    /**
     * Starts a second server on the same database.
     *
     * @return the server
     */
    public OwnServer second() {
        return new OwnServer(this);
    }

    private OwnServer(OwnServer first) {
        this.data = first.data;
        this.heapMb = first.heapMb;
        this.settings = first.settings;
        this.databasePort = first.databasePort;
        this.second = true;
        start();
    }

    /** Starts the server and waits until it is ready. */
    public void start() {
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        try {
            List<String> told = new ArrayList<>(List.of(
                    "--server.port=" + port,
                    "--spring.datasource.url=jdbc:postgresql://127.0.0.1:" + databasePort + "/isotherm",
                    "--spring.datasource.username=isotherm_app",
                    "--spring.datasource.password=" + Files.readString(Path.of(data + ".app.secret"))));
            told.addAll(settings);
            process = new ProcessBuilder(Program.command(List.of("-Xmx" + heapMb + "m"), told))
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.appendTo(log().toFile()))
                    .start();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        try {
            until(this::isReady);
        } catch (AssertionError e) {
            // Nobody else could end it.
            process.destroyForcibly();
            throw new AssertionError(e.getMessage() + "; its last words: " + lastWords(), e);
        }
    }

    private Path log() {
        return Path.of(data + ".log");
    }

    private String lastWords() {
        try (Stream<String> lines = Files.lines(log())) {
            List<String> all = lines.toList();
            return String.join("\n", all.subList(Math.max(0, all.size() - LAST_LINES), all.size()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private boolean isReady() {
        if (!process.isAlive()) {
            throw new AssertionError("The server has to start");
        }
        try {
            return send("GET", "/actuator/health/readiness", null).statusCode() == 200;
        } catch (UncheckedIOException e) {
            return false;
        }
    }

    /** Ends the server as the power does it: no last words. */
    public void kill() {
        process.destroyForcibly();
        until(() -> !process.isAlive());
    }

    /** @return whether the server runs */
    public boolean isAlive() {
        return process.isAlive();
    }

    /** Ends the database at once. */
    public void stopDatabase() {
        database("pg_as \"$(pg_bin)/pg_ctl\" -D \"$(pg_dir \"$1\")\" -m immediate -w stop >/dev/null");
    }

    /** Starts the database where it was. */
    public void startDatabase() {
        database("pg_start \"$1\" " + databasePort);
    }

    /** Runs a command with the launcher's own way of starting and stopping PostgreSQL; answers what it says. */
    private String database(String command) {
        try {
            Path out = Files.createTempFile("isotherm-own-server", ".out");
            Process bash = new ProcessBuilder(
                            "bash", "-c", ". ../config/postgres.sh; " + command, "bash", data.toString())
                    .redirectErrorStream(true)
                    .redirectOutput(out.toFile())
                    .start();
            boolean ended = bash.waitFor(PATIENCE, TimeUnit.SECONDS);
            String said = Files.readString(out).strip();
            Files.delete(out);
            if (!ended || bash.exitValue() != 0) {
                throw new AssertionError(command + ": " + said);
            }
            return said;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /**
     * @param there asked until it is so
     * @throws AssertionError when it is not within five minutes
     */
    public static void until(BooleanSupplier there) {
        until(there, EVERY_MS);
    }

    /**
     * @param there asked until it is so
     * @param everyMs time between two looks, ms
     * @throws AssertionError when it is not within five minutes
     */
    public static void until(BooleanSupplier there, int everyMs) {
        long deadline = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE);
        while (!there.getAsBoolean()) {
            if (System.nanoTime() > deadline) {
                throw new AssertionError("not within " + PATIENCE + " s");
            }
            try {
                Thread.sleep(everyMs);
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    @Override
    public void close() {
        process.destroyForcibly();
        if (second) {
            return;
        }
        database("pg_stop \"$1\"; rm -rf \"$(pg_dir \"$1\")\" \"$1\" \"$1.secret\" \"$1.app.secret\"");
    }
}
