package isotherm.bench;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Locale;
import java.util.stream.DoubleStream;

/** What takes the whole program: a search and a drag from pointer to picture, a log that comes in, a start; each beside its yardstick. */
public final class ServedRun {
    private static final int MILLION = 1_000_000;
    private static final int ROUNDS = 5;
    private static final double MS = 1e3;

    private ServedRun() {}

    /** Does something, and says how long that took, s. */
    interface Clocked {
        double run() throws IOException, SQLException, InterruptedException;
    }

    /**
     * @param args address of a server with the demo garage; its database as a JDBC address with user and password; folder of the
     *     program's sources
     * @throws IOException when the demo garage is not there
     * @throws SQLException when the database does not answer
     * @throws InterruptedException when the run is stopped
     */
    public static void main(String[] args) throws IOException, SQLException, InterruptedException {
        URI server = URI.create(args[0]);
        System.out.println("| what | median | 95 of 100 | its yardstick | median | 95 of 100 |");
        System.out.println("|---|---|---|---|---|---|");
        try (SearchClock searches = new SearchClock(server)) {
            searches.search(1);
            row(
                    "the program's first search, press to first designs",
                    searches.first(),
                    "to all of them",
                    searches.whole());
        }
        try (SearchClock searches = new SearchClock(server)) {
            searches.search(ROUNDS);
            row("a later search, press to first designs", searches.first(), "to all of them", searches.whole());
        }
        Runnable log = new GarageGrowth(server).log(MILLION);
        double[] logs = rounds(() -> {
            long begun = System.nanoTime();
            log.run();
            return since(begun);
        });
        row("a million log rows in", logs, "COPY of the same rows", copies(args[1]));
        try (DragClock drag = new DragClock(server)) {
            row("drag, pointer to picture", drag.moves(), "an empty request", drag.emptyRequests());
        }
        StartClock starts = new StartClock(Path.of(args[2]), args[1]);
        row("a second start of the demo, to its address", starts.demo(), "a bare Spring Boot, to ready", starts.bare());
    }

    /** How long something takes, once it has been done, s. */
    static double[] rounds(Clocked clocked) throws IOException, SQLException, InterruptedException {
        clocked.run();
        double[] all = new double[ROUNDS];
        for (int i = 0; i < ROUNDS; i++) {
            all[i] = clocked.run();
        }
        return all;
    }

    /** Seconds since a moment of {@link System#nanoTime}. */
    static double since(long begun) {
        return (System.nanoTime() - begun) / 1e9;
    }

    private static double[] copies(String database) throws IOException, SQLException, InterruptedException {
        Path file = Files.createTempFile("isotherm-rows", ".csv");
        Files.write(file, SampleLog.of(MILLION));
        // The database's own process reads it.
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-r--r--"));
        try (Connection connection = DriverManager.getConnection(database);
                Statement statement = connection.createStatement()) {
            statement.execute("create table rows_copied (time float8, speed float8, rpm float8, oil float8)");
            try {
                return rounds(() -> {
                    long begun = System.nanoTime();
                    statement.execute("copy rows_copied from '" + file + "' with (format csv, header)");
                    return since(begun);
                });
            } finally {
                statement.execute("drop table rows_copied");
            }
        } finally {
            Files.delete(file);
        }
    }

    private static void row(String what, double[] took, String yardstick, double[] beside) {
        System.out.printf(
                "| %s | %s | %s | %s | %s | %s |%n",
                what, at(took, 0.5), at(took, 0.95), yardstick, at(beside, 0.5), at(beside, 0.95));
    }

    private static String at(double[] seconds, double share) {
        double[] sorted = DoubleStream.of(seconds).sorted().toArray();
        double s = sorted[(int) Math.ceil(share * sorted.length) - 1];
        return s < 1 ? String.format(Locale.ROOT, "%.0f ms", s * MS) : String.format(Locale.ROOT, "%.2f s", s);
    }
}
