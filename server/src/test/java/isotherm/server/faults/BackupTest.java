package isotherm.server.faults;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.testing.OwnServer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A garage in a file, and out of it again: every table, row by row. */
class BackupTest {
    private static final Path TESTS = Path.of(System.getenv("ISOTHERM_TEST_HOME"));
    /** What a backup leaves out: it opens nobody's session, and keeps nobody waiting. */
    private static final List<String> LEFT_OUT =
            List.of("spring_session", "spring_session_attributes", "sign_in_attempt");

    private static final Path FIRST = TESTS.resolve("backup-" + UUID.randomUUID());
    private final Path second = TESTS.resolve("restored-" + UUID.randomUUID());
    private final Path file = TESTS.resolve("garage-" + UUID.randomUUID() + ".dump");
    private static OwnServer server;

    @BeforeAll
    static void fill() throws IOException {
        Files.createDirectories(FIRST);
        server = new OwnServer(FIRST.resolve("postgres"), 512);
        assertThat(server.send("POST", "/api/demo", null).statusCode()).isEqualTo(200);
        String car = server.send("GET", "/api/cars", null).body().replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        signIn();
        for (int i = 0; i < 20; i++) {
            String entry =
                    """
                    {"id":"%s","at":"2026-05-01T09:00:00Z","who":"Ada","kind":"DRIVEN","odometerKm":%d}"""
                            .formatted(UUID.randomUUID(), 90_000 + i);
            assertThat(server.send("POST", "/api/cars/" + car + "/care/entries", entry)
                            .statusCode())
                    .isEqualTo(201);
        }
    }

    /** As if somebody had signed in, and somebody else had tried. */
    private static void signIn() {
        String id = UUID.randomUUID().toString();
        try (Connection database = database(FIRST);
                Statement put = database.createStatement()) {
            put.execute(
                    "insert into spring_session values ('%s', '%s', 0, 0, 60, 9000000000000, null)".formatted(id, id));
            put.execute("insert into spring_session_attributes values ('%s', 'x', '')".formatted(id));
            put.execute("insert into sign_in_attempt values ('somebody', 1, now(), now())");
        } catch (SQLException | IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Connection database(Path home) throws IOException, SQLException {
        String port =
                Files.readAllLines(home.resolve("postgres/postmaster.pid")).get(3);
        return DriverManager.getConnection(
                "jdbc:postgresql://127.0.0.1:" + port + "/isotherm",
                "isotherm",
                Files.readString(home.resolve("postgres.secret")));
    }

    @AfterAll
    static void close() {
        server.close();
    }

    @AfterEach
    void end() throws IOException {
        launcher(second, "stop");
        Files.deleteIfExists(file);
    }

    private static String launcher(Path home, String... command) {
        try {
            List<String> all = new ArrayList<>(List.of("bash", "../isotherm"));
            all.addAll(List.of(command));
            ProcessBuilder builder = new ProcessBuilder(all).redirectErrorStream(true);
            builder.environment().keySet().removeIf(k -> k.startsWith("ISOTHERM_") || k.startsWith("SPRING_"));
            builder.environment().put("ISOTHERM_HOME", home.toString());
            Path out = Files.createTempFile("isotherm-backup", ".out");
            Process process = builder.redirectOutput(out.toFile()).start();
            assertThat(process.waitFor(OwnServer.PATIENCE, TimeUnit.SECONDS)).isTrue();
            String said = process.exitValue() + " " + Files.readString(out);
            Files.delete(out);
            return said;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Of every table how many rows it has and a digest of them all. */
    private static Map<String, String> tables(Path home) throws IOException, SQLException {
        String port =
                Files.readAllLines(home.resolve("postgres/postmaster.pid")).get(3);
        String password = Files.readString(home.resolve("postgres.secret"));
        Map<String, String> found = new TreeMap<>();
        try (Connection database = database(home);
                Statement ask = database.createStatement()) {
            List<String> names = new ArrayList<>();
            try (ResultSet all = ask.executeQuery("select tablename from pg_tables where schemaname = 'public'")) {
                while (all.next()) {
                    names.add(all.getString(1));
                }
            }
            for (String name : names) {
                try (ResultSet rows =
                        ask.executeQuery("select count(*) || ' rows, ' || coalesce(md5(string_agg(t::text, ','"
                                + " order by t::text)), 'none') from " + name + " t")) {
                    rows.next();
                    found.put(name, rows.getString(1));
                }
            }
        }
        return found;
    }

    @Test
    void everyTableComesBackRowByRow() throws Exception {
        Map<String, String> before = tables(FIRST);
        assertThat(before.get("car")).startsWith("3 rows");
        assertThat(before.get("care_entry")).startsWith("20 rows");
        assertThat(before.get("log_piece")).doesNotStartWith("0 rows");
        assertThat(launcher(FIRST, "backup", file.toString())).startsWith("0 ").contains("holds the whole garage");
        assertThat(launcher(FIRST, "backup", file.toString()))
                .as("another file's place is never taken")
                .startsWith("1 ")
                .contains("is there already");
        assertThat(launcher(second, "restore", file.toString()))
                .startsWith("0 ")
                .contains("restored");
        pg(second, "pg_start");
        assertThat(LEFT_OUT).allSatisfy(table -> assertThat(before.get(table)).startsWith("1 rows"));
        LEFT_OUT.forEach(table -> before.put(table, "0 rows, none"));
        assertThat(tables(second)).isEqualTo(before);
    }

    @Test
    void aFileThatIsNoBackupChangesNothing() throws Exception {
        Map<String, String> before = tables(FIRST);
        Files.writeString(file, "PGDMP, or so it says");
        assertThat(launcher(FIRST, "restore", file.toString()))
                .startsWith("1 ")
                .contains("is not an Isotherm backup", "Nothing was changed");
        assertThat(launcher(FIRST, "restore", "/nowhere/at/all"))
                .startsWith("1 ")
                .contains("cannot be read");
        assertThat(tables(FIRST)).isEqualTo(before);
    }

    @Test
    void aBackupThatBreaksOffChangesNothing() throws Exception {
        Map<String, String> before = tables(FIRST);
        assertThat(launcher(FIRST, "backup", file.toString())).startsWith("0 ");
        byte[] whole = Files.readAllBytes(file);
        Files.write(file, java.util.Arrays.copyOf(whole, whole.length / 2));
        assertThat(launcher(FIRST, "restore", file.toString())).startsWith("1 ").contains("Nothing was changed");
        assertThat(tables(FIRST)).isEqualTo(before);
    }

    /** The name of a backup that is made today; of yesterday's, if it was made before midnight. */
    private static String since(LocalDate day, Path folder) {
        String first = "garage-" + day + ".dump";
        return Files.exists(folder.resolve(first)) ? first : "garage-" + LocalDate.now() + ".dump";
    }

    @Test
    void oneIsMadeEachNightAndTheOldestGo() throws Exception {
        Path app = Files.createDirectories(TESTS.resolve("stand-in-" + UUID.randomUUID()));
        StandIn.jar(app);
        Path folder = Files.createDirectories(second.resolve("backups"));
        Files.setPosixFilePermissions(second, PosixFilePermissions.fromString("rwx--x--x"));
        for (String day : List.of("2020-01-01", "2020-01-02", "2020-01-03")) {
            Path old = Files.writeString(folder.resolve("garage-" + day + ".dump"), day);
            Files.setLastModifiedTime(old, FileTime.from(Instant.parse(day + "T03:00:00Z")));
        }
        Files.writeString(folder.resolve("mine.dump"), "made by hand");
        Files.setLastModifiedTime(folder.resolve("mine.dump"), FileTime.from(Instant.EPOCH));
        ProcessBuilder builder = new ProcessBuilder("bash", "../isotherm", "run")
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .redirectError(ProcessBuilder.Redirect.DISCARD);
        builder.environment().keySet().removeIf(k -> k.startsWith("ISOTHERM_") || k.startsWith("SPRING_"));
        builder.environment()
                .putAll(Map.of(
                        "ISOTHERM_HOME",
                        second.toString(),
                        "ISOTHERM_APP",
                        app.toString(),
                        "ISOTHERM_BACKUP_AFTER",
                        "1",
                        "ISOTHERM_BACKUPS",
                        "2"));
        LocalDate begun = LocalDate.now();
        Process running = builder.start();
        try {
            // They go one after the other.
            OwnServer.until(() -> Files.exists(folder.resolve(since(begun, folder)))
                    && Files.notExists(folder.resolve("garage-2020-01-01.dump"))
                    && Files.notExists(folder.resolve("garage-2020-01-02.dump")));
            String today = since(begun, folder);
            try (Stream<Path> left = Files.list(folder)) {
                assertThat(left.map(f -> f.getFileName().toString()))
                        .contains(today, "garage-2020-01-03.dump", "mine.dump")
                        .doesNotContain("garage-2020-01-01.dump", "garage-2020-01-02.dump");
            }
            assertThat(Files.getPosixFilePermissions(folder.resolve(today)))
                    .isEqualTo(PosixFilePermissions.fromString("rw-------"));
            assertThat(launcher(second, "restore", folder.resolve(today).toString()))
                    .as("not beside a running one")
                    .startsWith("1 ")
                    .contains("Isotherm runs with");
        } finally {
            launcher(second, "stop");
            running.destroyForcibly();
        }
    }

    private static void pg(Path home, String command) throws Exception {
        Process bash = new ProcessBuilder(
                        "bash",
                        "-c",
                        ". ../config/postgres.sh; " + command + " \"$1\" >/dev/null 2>&1",
                        "bash",
                        home.resolve("postgres").toString())
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        assertThat(bash.waitFor(OwnServer.PATIENCE, TimeUnit.SECONDS) && bash.exitValue() == 0)
                .isTrue();
    }
}
