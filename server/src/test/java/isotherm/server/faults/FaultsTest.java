package isotherm.server.faults;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isotherm.server.IsothermServer;
import isotherm.server.RefusedStarts;
import isotherm.server.testing.OwnServer;
import java.io.IOException;
import java.net.HttpURLConnection;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.DriverManager;
import java.util.List;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.flywaydb.core.api.exception.FlywayValidateException;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.builder.SpringApplicationBuilder;

/** The launcher where something is not as it was left: nothing of ours is deleted, nothing of others is touched. */
class FaultsTest {
    private static final Path TESTS = Path.of(System.getenv("ISOTHERM_TEST_HOME"));
    private static Path app;

    private Path home;
    private Process launcher;
    private Path said;
    private Process stranger;

    @BeforeAll
    static void pack() throws IOException {
        app = Files.createDirectories(TESTS.resolve("stand-in-" + UUID.randomUUID()));
        StandIn.jar(app);
        Files.setPosixFilePermissions(app, PosixFilePermissions.fromString("rwxr-xr-x"));
    }

    @BeforeEach
    void place() throws IOException {
        home = TESTS.resolve("faults-" + UUID.randomUUID());
        said = Files.createTempFile("isotherm-faults", ".out");
    }

    @AfterEach
    void stop() throws Exception {
        run("stop");
        if (launcher != null) {
            launcher.destroyForcibly();
        }
        if (stranger != null) {
            stranger.destroyForcibly();
        }
        Files.delete(said);
    }

    @AfterAll
    static void tell() {
        FaultTable.print();
    }

    private ProcessBuilder isotherm(String command, String... environment) {
        ProcessBuilder builder = new ProcessBuilder("bash", "../isotherm", command).redirectErrorStream(true);
        builder.environment().keySet().removeIf(k -> k.startsWith("ISOTHERM_") || k.startsWith("SPRING_"));
        builder.environment().put("ISOTHERM_HOME", home.toString());
        builder.environment().put("ISOTHERM_APP", app.toString());
        for (int i = 0; i < environment.length; i += 2) {
            builder.environment().put(environment[i], environment[i + 1]);
        }
        return builder;
    }

    /** Runs a command to its end; answers what it says. */
    private String run(String command, String... environment) throws Exception {
        Path out = Files.createTempFile("isotherm-faults", ".out");
        try {
            Process process =
                    isotherm(command, environment).redirectOutput(out.toFile()).start();
            assertThat(process.waitFor(OwnServer.PATIENCE, TimeUnit.SECONDS))
                    .as(Files.readString(out))
                    .isTrue();
            return process.exitValue() + " " + Files.readString(out);
        } finally {
            Files.delete(out);
        }
    }

    private void begin(String... environment) throws Exception {
        launcher = isotherm("run", environment).redirectOutput(said.toFile()).start();
        OwnServer.until(() -> said().contains("Isotherm is at") || !launcher.isAlive());
        assertThat(said()).contains("Isotherm is at");
    }

    private String said() {
        try {
            return Files.readString(said);
        } catch (IOException e) {
            return "";
        }
    }

    private List<String> pidfile() throws IOException {
        return Files.readAllLines(home.resolve("server.pid"));
    }

    private boolean answers() {
        try {
            var connection =
                    (HttpURLConnection) URI.create(pidfile().get(1)).toURL().openConnection();
            return connection.getResponseCode() == 200;
        } catch (IOException e) {
            return false;
        }
    }

    /** The line of its postmaster.pid: 0 the process, 3 the port. */
    private String database(int line) throws IOException {
        return Files.readAllLines(home.resolve("postgres/postmaster.pid")).get(line);
    }

    private boolean databaseAnswers(String port) {
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), Integer.parseInt(port))) {
            return socket.isConnected();
        } catch (IOException e) {
            return false;
        }
    }

    private static boolean isAlive(String pid) {
        try {
            // Nothing stands there for one that has ended and waits for its parent.
            return !Files.readString(Path.of("/proc/" + pid + "/cmdline")).isEmpty();
        } catch (IOException e) {
            return false;
        }
    }

    /** As it is served: with its beans known from its build. */
    private static SpringApplicationBuilder program() {
        return new SpringApplicationBuilder(IsothermServer.class).main(IsothermServer.class);
    }

    private Process stranger() throws IOException {
        stranger = new ProcessBuilder("sleep", "300").start();
        return stranger;
    }

    private static TreeMap<String, Long> files(Path folder) throws IOException {
        TreeMap<String, Long> files = new TreeMap<>();
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path p : all.toList()) {
                files.put(folder.relativize(p).toString(), Files.isRegularFile(p) ? Files.size(p) : -1);
            }
        }
        return files;
    }

    @Test
    void aDatabaseWithoutItsVersionIsLeftAsItIs() throws Exception {
        begin();
        run("stop");
        OwnServer.until(() -> !launcher.isAlive());
        Path data = home.resolve("postgres");
        byte[] version = Files.readAllBytes(data.resolve("PG_VERSION"));
        Files.delete(data.resolve("PG_VERSION"));
        var before = files(data);
        String refused = run("run");
        assertThat(refused).startsWith("1 ").contains("PG_VERSION is missing", "Nothing was changed");
        assertThat(files(data)).isEqualTo(before);
        Files.write(data.resolve("PG_VERSION"), version);
        Files.setAttribute(
                data.resolve("PG_VERSION"), "unix:uid", Files.getAttribute(data.resolve("base"), "unix:uid"));
        begin();
        FaultTable.row(
                "PG_VERSION of the garage is missing", "refused, nothing deleted; starts again when it is put back");
    }

    @Test
    void aFolderOfSomethingElseIsLeftAsItIs() throws Exception {
        Path data = Files.createDirectories(home.resolve("postgres"));
        Files.writeString(data.resolve("thesis.txt"), "ten years of work");
        assertThat(run("run")).startsWith("1 ").contains("holds something, but no database");
        assertThat(data.resolve("thesis.txt")).hasContent("ten years of work");
        FaultTable.row("a folder of somebody else's stands where the database goes", "refused, nothing deleted");
    }

    @Test
    void aPasswordThatIsGoneIsNotMadeUp() throws Exception {
        begin();
        run("stop");
        OwnServer.until(() -> !launcher.isAlive());
        Path secret = home.resolve("postgres.secret");
        Files.delete(secret);
        assertThat(run("run")).startsWith("1 ").contains("postgres.secret", "is missing");
        assertThat(secret).doesNotExist();
        FaultTable.row("the database's password file is missing", "refused and told; nothing changed");
    }

    @Test
    void aStaleServerPidThatIsSomebodyElsesNowIsLeftAlone() throws Exception {
        Files.createDirectories(home);
        long pid = stranger().pid();
        Files.writeString(home.resolve("server.pid"), pid + "\nhttp://127.0.0.1:1/\n");
        assertThat(run("stop")).contains("is not Isotherm");
        assertThat(stranger.isAlive()).isTrue();
        Files.writeString(home.resolve("server.pid"), pid + "\nhttp://127.0.0.1:1/\nnobody/12\n");
        begin();
        assertThat(stranger.isAlive()).isTrue();
        assertThat(pidfile().get(0)).isNotEqualTo(String.valueOf(pid));
        FaultTable.row("server.pid names a process of somebody else", "starts; stop leaves that process alone");
    }

    @Test
    void aStalePostmasterPidThatIsSomebodyElsesNowIsLeftAlone() throws Exception {
        begin();
        run("stop");
        OwnServer.until(() -> !launcher.isAlive());
        long pid = stranger().pid();
        Path stale = home.resolve("postgres/postmaster.pid");
        Files.writeString(
                stale, pid + "\n" + home.resolve("postgres") + "\n1700000000\n54999\n\n127.0.0.1\n  1 1\nready\n");
        Files.setAttribute(stale, "unix:uid", Files.getAttribute(home.resolve("postgres/base"), "unix:uid"));
        assertThat(run("stop")).startsWith("0");
        assertThat(stranger.isAlive()).isTrue();
        begin();
        assertThat(said()).contains("stale postmaster.pid was put aside");
        assertThat(stranger.isAlive()).isTrue();
        FaultTable.row(
                "postmaster.pid names a process of somebody else", "put aside, starts; that process is left alone");
    }

    @Test
    void aSecondStartLeavesTheFirstOneRunning() throws Exception {
        begin();
        String server = pidfile().get(0);
        String database = database(0);
        assertThat(run("run")).startsWith("0").contains("already running at");
        Process third =
                isotherm("demo").redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
        assertThat(third.waitFor(OwnServer.PATIENCE, TimeUnit.SECONDS)).isTrue();
        assertThat(isAlive(server)).isTrue();
        assertThat(database(0)).isEqualTo(database);
        assertThat(isAlive(database)).isTrue();
        assertThat(answers()).isTrue();
        FaultTable.row(
                "a second and a third start on the same home", "told where it runs; server and database untouched");
    }

    @Test
    void aPortThatIsTakenIsTold() throws Exception {
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            assertThat(run("run", "ISOTHERM_PORT", String.valueOf(taken.getLocalPort())))
                    .startsWith("1 ")
                    .contains("port " + taken.getLocalPort() + " is used by another program");
        }
        assertThat(home.resolve("postgres/postmaster.pid"))
                .as("its database is stopped again")
                .doesNotExist();
        FaultTable.row("the port is taken by another program", "refused and told; the database is stopped again");
    }

    @Test
    void aHomeThatCannotBeWrittenAndADiskWithoutRoomAreTold() throws Exception {
        home = Path.of("/proc/isotherm-home");
        assertThat(run("run")).startsWith("1 ").contains("cannot be written");
        home = TESTS.resolve("faults-" + UUID.randomUUID());
        assertThat(run("run", "ISOTHERM_LEAST_FREE_MB", "999999999"))
                .startsWith("1 ")
                .contains("MB are free");
        assertThat(home.resolve("postgres")).doesNotExist();
        FaultTable.row("a home that cannot be written; a disk without room", "refused and told; nothing begun");
    }

    @Test
    void aDatabaseThatEndsIsStartedAgain() throws Exception {
        begin();
        String port = database(3);
        String killed = database(0);
        new ProcessBuilder("kill", "-9", killed).start().waitFor();
        OwnServer.until(() -> !isAlive(killed));
        OwnServer.until(() -> {
            try {
                return !database(0).equals(killed) && databaseAnswers(port);
            } catch (IOException e) {
                return false;
            }
        });
        assertThat(database(3)).as("on the port that the server knows").isEqualTo(port);
        assertThat(said()).contains("PostgreSQL has ended; it is started again");
        assertThat(answers()).isTrue();
        FaultTable.row("PostgreSQL is killed while the server runs", "started again within seconds on the same port");
    }

    @Test
    void aLauncherThatIsKilledLeavesWhatStopStops() throws Exception {
        begin();
        String server = pidfile().get(0);
        String database = database(0);
        launcher.destroyForcibly().waitFor();
        assertThat(run("run")).contains("already running");
        String stopped = run("stop");
        assertThat(stopped).startsWith("0").contains("stopped");
        OwnServer.until(() -> !isAlive(server));
        OwnServer.until(() -> !isAlive(database));
        FaultTable.row("the launcher is killed", "server and database go on; stop ends both");
    }

    @Test
    void aDatabaseOfANewerProgramIsNotTouched() throws Exception {
        String name = "newer_" + Long.toString(System.nanoTime(), 36);
        String url = System.getenv("ISOTHERM_TEST_DB");
        try (var connection = DriverManager.getConnection(url, "isotherm", System.getenv("ISOTHERM_TEST_PASSWORD"));
                var statement = connection.createStatement()) {
            statement.execute("create database " + name + " owner isotherm_app");
        }
        String own = url.replaceAll("/[^/]+$", "/" + name);
        String[] settings = {
            "--server.port=0",
            "--spring.datasource.url=" + own,
            "--spring.datasource.username=isotherm_app",
            "--spring.datasource.password=" + System.getenv("ISOTHERM_TEST_APP_PASSWORD")
        };
        program().run(settings).close();
        try (var connection =
                        DriverManager.getConnection(own, "isotherm_app", System.getenv("ISOTHERM_TEST_APP_PASSWORD"));
                var statement = connection.createStatement()) {
            statement.execute(
                    "insert into flyway_schema_history select 99, '99', 'of next year', type, script, checksum,"
                            + " installed_by, installed_on, execution_time, success from flyway_schema_history limit 1");
            assertThatThrownBy(() -> program().run(settings))
                    .hasStackTraceContaining(FlywayValidateException.class.getSimpleName())
                    .satisfies(e -> assertThat(new RefusedStarts().analyze(e).getDescription())
                            .contains("kept by a newer Isotherm"));
            assertThat(connection
                            .createStatement()
                            .executeQuery("select rolsuper or rolcreatedb or rolcreaterole from"
                                    + " pg_roles where rolname = current_user"))
                    .satisfies(r -> {
                        assertThat(r.next()).isTrue();
                        assertThat(r.getBoolean(1))
                                .as("the program's role is no superuser")
                                .isFalse();
                    });
        }
        FaultTable.row("an older program on the tables of a newer one", "refused and told; nothing changed");
    }
}
