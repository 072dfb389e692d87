package isotherm.server.launcher;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.faults.StandIn;
import isotherm.server.testing.OwnServer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A garage goes to a newer version after a backup, is refused by an older one, and comes back from that backup. */
class UpgradeTest {
    private static final Path TESTS = Path.of(System.getenv("ISOTHERM_TEST_HOME"));
    private final Path home = TESTS.resolve("upgrade-" + UUID.randomUUID());
    private Path app;
    private Path said;
    private Process running;

    @BeforeEach
    void pack() throws IOException {
        app = Files.createDirectories(TESTS.resolve("stand-in-" + UUID.randomUUID()));
        StandIn.jar(app);
        Files.setPosixFilePermissions(app, PosixFilePermissions.fromString("rwxr-xr-x"));
        said = Files.createTempFile("isotherm-upgrade", ".out");
    }

    @AfterEach
    void stop() throws Exception {
        run("0.2.0", "stop");
        if (running != null) {
            running.destroyForcibly();
        }
    }

    private ProcessBuilder isotherm(String version, String... command) {
        List<String> all = Stream.concat(Stream.of("bash", "../isotherm"), Stream.of(command))
                .toList();
        ProcessBuilder builder =
                new ProcessBuilder(all).redirectErrorStream(true).redirectOutput(said.toFile());
        builder.environment().keySet().removeIf(k -> k.startsWith("ISOTHERM_") || k.startsWith("SPRING_"));
        builder.environment().put("ISOTHERM_HOME", home.toString());
        builder.environment().put("ISOTHERM_APP", app.toString());
        builder.environment().put("ISOTHERM_VERSION", version);
        return builder;
    }

    private String run(String version, String... command) throws Exception {
        Process process = isotherm(version, command).start();
        assertThat(process.waitFor(OwnServer.PATIENCE, TimeUnit.SECONDS)).isTrue();
        return process.exitValue() + " " + Files.readString(said);
    }

    private void serve(String version) throws Exception {
        running = isotherm(version, "run").start();
        OwnServer.until(() -> told().contains("Isotherm is at") || !running.isAlive());
        assertThat(told()).contains("Isotherm is at");
    }

    private String told() {
        try {
            return Files.readString(said);
        } catch (IOException e) {
            return "";
        }
    }

    private String sql(String statement) throws IOException, SQLException {
        String port =
                Files.readAllLines(home.resolve("postgres/postmaster.pid")).get(3);
        String password = Files.readString(home.resolve("postgres.app.secret"));
        try (Connection database = DriverManager.getConnection(
                        "jdbc:postgresql://127.0.0.1:" + port + "/isotherm", "isotherm_app", password);
                Statement asked = database.createStatement()) {
            if (!asked.execute(statement)) {
                return "";
            }
            try (ResultSet rows = asked.getResultSet()) {
                rows.next();
                return rows.getString(1);
            }
        }
    }

    @Test
    void aNewerVersionMakesABackupFirstAndAnOlderOneGoesBackToIt() throws Exception {
        serve("0.1.9");
        sql("create table kept as select 'before' as word");
        run("0.1.9", "stop");

        serve("0.2.0");
        assertThat(told()).contains("upgrade from 0.1.9 to 0.2.0");
        Path backup = home.resolve("backups/before-0.2.0-from-0.1.9.dump");
        assertThat(backup).isNotEmptyFile();
        assertThat(Files.getPosixFilePermissions(backup)).isEqualTo(PosixFilePermissions.fromString("rw-------"));
        sql("update kept set word = 'after'");
        run("0.2.0", "stop");
        assertThat(home.resolve("version")).hasContent("0.2.0");

        assertThat(run("0.1.9", "run"))
                .startsWith("1 ")
                .contains("last served by version 0.2.0", "isotherm rollback", "Nothing was changed");
        assertThat(run("0.1.9", "rollback")).startsWith("0 ").contains("as it was before the upgrade");
        serve("0.1.9");
        assertThat(sql("select word from kept")).isEqualTo("before");
    }

    @Test
    void withoutABackupThereIsNoUpgradeAndNothingToGoBackTo() throws Exception {
        serve("0.1.9");
        sql("create table kept as select 'before' as word");
        run("0.1.9", "stop");
        Files.writeString(home.resolve("backups"), "no folder can be made here");
        assertThat(run("0.2.0", "run")).startsWith("1 ");
        assertThat(home.resolve("version")).hasContent("0.1.9");
        assertThat(run("0.1.9", "rollback")).startsWith("1 ").contains("there is no backup");
    }

    @Test
    void noPasswordIsOnACommandLine() throws Exception {
        Process process = new ProcessBuilder(
                        "bash",
                        "-c",
                        // psql is replaced by a program that prints its own command line.
                        """
                        . ../config/postgres.sh
                        mkdir -p "$1/bin" && printf '#!/bin/sh\\ncat /proc/$$/cmdline >>"%s/said"; cat >/dev/null\\n' "$1" \
                            >"$1/bin/psql" && chmod +x "$1/bin/psql"
                        printf secret-of-the-administrator >"$1/db.secret"
                        printf secret-of-the-application >"$1/db.app.secret"
                        pg_port() { echo 1; }
                        pg_role "$1/db" "$1/bin\"""",
                        "bash",
                        Files.createDirectories(home).toString())
                .redirectErrorStream(true)
                .redirectOutput(said.toFile())
                .start();
        assertThat(process.waitFor()).as(told()).isZero();
        assertThat(Files.readString(home.resolve("said"))).contains("psql").doesNotContain("secret");
    }
}
