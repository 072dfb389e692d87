package isotherm.bench;

import isotherm.bench.bare.BareServer;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;

/** Starts of the program, by its launcher, and of one in which nothing is. */
final class StartClock {
    private static final int PORT = 8471;
    private static final int LOOK_EVERY_MS = 20;
    private static final int PATIENCE = 180;
    private static final int OK = 200;

    private final Path sources;
    private final String database;
    private final HttpClient client = HttpClient.newHttpClient();

    StartClock(Path sources, String database) {
        this.sources = sources;
        this.database = database;
    }

    /** Seconds from the command to the line with the address; the first start of a home, which makes its garage, is not among them. */
    double[] demo() throws IOException, SQLException, InterruptedException {
        Path home = Files.createTempDirectory("isotherm-start");
        Files.setPosixFilePermissions(home, PosixFilePermissions.fromString("rwxr-xr-x"));
        Path said = home.resolve("said");
        Path archive = sources.resolve("server/target/app/isotherm.jsa");
        try {
            return ServedRun.rounds(() -> {
                long begun = System.nanoTime();
                Process launched = launcher(home, "demo").start();
                try {
                    double took =
                            until(launched, begun, () -> Files.readString(said).contains("Isotherm is at"));
                    // Its classes are written once, beside the first server.
                    until(launched, begun, () -> Files.exists(archive));
                    return took;
                } finally {
                    launcher(home, "stop")
                            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                            .start()
                            .waitFor();
                    launched.waitFor();
                }
            });
        } finally {
            new ProcessBuilder("rm", "-rf", home.toString()).start().waitFor();
        }
    }

    private ProcessBuilder launcher(Path home, String command) {
        ProcessBuilder builder = new ProcessBuilder(sources.resolve("isotherm").toString(), command)
                .redirectErrorStream(true)
                .redirectOutput(home.resolve("said").toFile());
        builder.environment().keySet().removeIf(k -> k.equals("JAVA_TOOL_OPTIONS") || k.startsWith("SPRING_"));
        builder.environment().putAll(Map.of("ISOTHERM_HOME", home.toString(), "ISOTHERM_PORT", "" + PORT));
        return builder;
    }

    /** Seconds from the command to the answer that it is ready; its database runs already. */
    double[] bare() throws IOException, SQLException, InterruptedException {
        Path lib = sources.resolve("server/target/app/lib");
        List<String> command = List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-cp",
                sources.resolve("bench/target/classes") + ":" + lib + "/*",
                BareServer.class.getName(),
                "--server.port=" + PORT,
                "--spring.flyway.enabled=false",
                "--management.endpoint.health.probes.enabled=true",
                "--spring.datasource.url=" + database);
        HttpRequest asked = HttpRequest.newBuilder(
                        URI.create("http://127.0.0.1:" + PORT + "/actuator/health/readiness"))
                .build();
        return ServedRun.rounds(() -> {
            long begun = System.nanoTime();
            Process started = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            try {
                return until(started, begun, () -> answers(asked));
            } finally {
                started.destroy();
                started.waitFor();
            }
        });
    }

    private boolean answers(HttpRequest asked) throws InterruptedException {
        try {
            return client.send(asked, HttpResponse.BodyHandlers.discarding()).statusCode() == OK;
        } catch (IOException e) {
            return false;
        }
    }

    private interface There {
        boolean yet() throws IOException, InterruptedException;
    }

    /** Waits until it is there, while what is to bring it runs; seconds from the moment when it was begun. */
    private static double until(Process process, long begun, There there) throws IOException, InterruptedException {
        while (!there.yet()) {
            if (!process.isAlive() || ServedRun.since(begun) > PATIENCE) {
                throw new IOException("It was not there after " + PATIENCE + " s, or ended before");
            }
            Thread.sleep(LOOK_EVERY_MS);
        }
        return ServedRun.since(begun);
    }
}
