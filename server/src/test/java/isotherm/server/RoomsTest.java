package isotherm.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The server's rooms: none leads back to one that it came from, none holds more than its share. */
@AnalyzeClasses(packages = "isotherm.server", importOptions = ImportOption.DoNotIncludeTests.class)
class RoomsTest {
    private static final Path SOURCES = Path.of("src", "main", "java", "isotherm", "server");
    private static final double MOST_OF_ALL = 0.15;
    private static final int LONGEST = 400;

    @ArchTest
    static final ArchRule ROOMS_ARE_FREE_OF_CIRCLES =
            slices().matching("isotherm.server.(*)..").should().beFreeOfCycles();

    /** What everybody stands on knows nobody. */
    @ArchTest
    static final ArchRule CONTRACT_AND_STORE_KNOW_NO_ROOM = noClasses()
            .that()
            .resideInAnyPackage("isotherm.server.contract", "isotherm.server.store")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "isotherm.server.api..",
                    "isotherm.server.garage..",
                    "isotherm.server.session..",
                    "isotherm.server.plumbing..",
                    "isotherm.server.evidence..",
                    "isotherm.server.logs..",
                    "isotherm.server.build..",
                    "isotherm.server.care..",
                    "isotherm.server.proof..",
                    "isotherm.server.archive..");

    /** Documents say what they are without knowing HTTP or a database. */
    @ArchTest
    static final ArchRule DOCUMENTS_KNOW_NO_FRAMEWORK = noClasses()
            .that()
            .resideInAnyPackage(
                    "isotherm.server.contract",
                    "isotherm.server.garage",
                    "isotherm.server.session",
                    "isotherm.server.plumbing",
                    "isotherm.server.evidence",
                    "isotherm.server.care",
                    "isotherm.server.proof")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "jakarta.persistence..", "isotherm.server.store..");

    private static List<String> lines(Path file) {
        try {
            return Files.readAllLines(file);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @Test
    void noRoomHoldsMoreThanItsShare() throws IOException {
        Map<String, Integer> rooms = new TreeMap<>();
        try (Stream<Path> files = Files.walk(SOURCES)) {
            files.filter(f -> f.toString().endsWith(".java"))
                    .forEach(f ->
                            rooms.merge(SOURCES.relativize(f).getName(0).toString(), lines(f).size(), Integer::sum));
        }
        int all = rooms.values().stream().mapToInt(Integer::intValue).sum();
        assertThat(rooms).hasSizeGreaterThan(10).allSatisfy((room, lines) -> assertThat((double) lines / all)
                .as(room)
                .isLessThanOrEqualTo(MOST_OF_ALL));
    }

    @Test
    void noFileIsLong() throws IOException {
        try (Stream<Path> files = Files.walk(SOURCES)) {
            assertThat(files.filter(f -> f.toString().endsWith(".java")))
                    .allSatisfy(
                            f -> assertThat(lines(f).size()).as(f.toString()).isLessThanOrEqualTo(LONGEST));
        }
    }
}
