package isotherm.server.faults;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import isotherm.server.testing.OwnServer;
import isotherm.server.testing.Wren;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** A disk that fills up while people work. It needs a small disk of its own, which only root can make. */
class FullDiskTest {
    private static final int SPARE = 30_000_000;

    @AfterAll
    static void tell() {
        FaultTable.print();
    }

    private static boolean does(String... command) throws Exception {
        return new ProcessBuilder(command).redirectErrorStream(true).start().waitFor() == 0;
    }

    @Test
    void aFullDiskIsToldAndLosesNothingThatWasAcknowledged() throws Exception {
        Path disk = Files.createDirectories(Path.of(System.getenv("ISOTHERM_TEST_HOME"), "disk-" + UUID.randomUUID()));
        assumeTrue(
                does("mount", "-t", "tmpfs", "-o", "size=170m,mode=0755", "tmpfs", disk.toString()),
                "no small disk can be made here");
        try {
            Path spare = disk.resolve("spare");
            Files.write(spare, new byte[SPARE]);
            try (OwnServer server = new OwnServer(disk.resolve("postgres"), 300)) {
                fill(server, spare);
            }
        } finally {
            does("umount", "-l", disk.toString());
        }
    }

    private static void fill(OwnServer server, Path spare) throws IOException {
        Wren wren = new Wren(server);
        String build = wren.begin("Full disk", 1.2);
        List<String> acknowledged = new ArrayList<>();
        byte[] noise = new byte[4_000_000];
        Random random = new Random(1);
        String refusal = "";
        for (int i = 0; i < 80 && refusal.isEmpty(); i++) {
            var note = Wren.entry("NOTE", "prepare-parts").put("text", "note " + i);
            HttpResponse<String> entry = server.send("POST", build + "/entries", note.toString());
            if (entry.statusCode() == 201) {
                acknowledged.add(note.get("id").stringValue());
            }
            random.nextBytes(noise);
            noise[0] = 't';
            HttpResponse<String> upload = server.upload(wren.car() + "/uploads?name=noise.csv", noise);
            for (HttpResponse<String> answer : List.of(entry, upload)) {
                if (answer.statusCode() >= 500) {
                    assertThat(answer.statusCode()).isEqualTo(503);
                    refusal = answer.body();
                }
            }
        }
        assertThat(refusal).containsAnyOf("The disk is full", "The database does not answer");
        Files.delete(spare);
        // A database that could not write its journal has ended, and is started again as the launcher does it.
        server.startDatabase();
        OwnServer.until(
                () -> server.send("GET", "/actuator/health/readiness", null).statusCode() == 200);
        String entries = server.send("GET", build + "/entries", null).body();
        assertThat(acknowledged).isNotEmpty().allSatisfy(id -> assertThat(entries)
                .contains(id));
        var late = Wren.entry("NOTE", "prepare-parts").put("text", "after room was made");
        assertThat(server.send("POST", build + "/entries", late.toString()).statusCode())
                .isEqualTo(201);
        FaultTable.row(
                "the disk fills up while people work",
                "503 in plain words; " + acknowledged.size()
                        + " entries acknowledged, 0 lost; goes on when there is room");
    }
}
