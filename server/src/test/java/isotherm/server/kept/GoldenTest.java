package isotherm.server.kept;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.catalogue.CorePart;
import isotherm.core.catalogue.PlumbingParts;
import isotherm.server.build.BuildDocuments.NewBuild;
import isotherm.server.build.Builds;
import isotherm.server.contract.DocumentReader;
import isotherm.server.files.SolveCommand;
import isotherm.server.testing.Examples;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Answers as they were, so that what is rebuilt is held to them: every figure to 1e-9, every name of a thing (not every sentence).
 * {@code ISOTHERM_UPDATE=1 ./isotherm test} writes them anew, when figures are meant to change.
 */
class GoldenTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final Path FOLDER = Path.of("src", "test", "resources", "golden");
    private static final double SAME = 1e-9;
    /** Names of things are written without blanks; sentences may be mended. */
    private static final Pattern NAME = Pattern.compile("[A-Za-z0-9_./+-]+");

    /** A question and how it is answered. */
    private record Question(String name, String kind, String json) {}

    private static List<Question> questions() throws IOException {
        List<Question> all = new ArrayList<>();
        for (String kind : List.of(
                "rating", "air", "circuit", "map", "fit", "compare", "search", "placement", "schools", "plumb")) {
            all.add(new Question(kind, kind, Examples.read(kind)));
        }
        for (String example : List.of("corvid", "hauler", "wren")) {
            all.add(new Question("session-" + example, "session", Examples.read(example)));
        }
        for (String demo : List.of("1-corvid", "2-hauler", "3-wren")) {
            JsonNode garage = JSON.readTree(Files.readString(Path.of("..", "demo", demo + ".json")));
            JsonNode duties = garage.get("duties");
            for (int i = 0; i < garage.get("designs").size(); i++) {
                JsonNode design = garage.get("designs").get(i);
                for (int d = 0; d < duties.size(); d++) {
                    ObjectNode asked = JSON.createObjectNode();
                    asked.set("car", garage.get("car"));
                    asked.set("duty", duties.get(d));
                    asked.set("design", design);
                    String name = demo.substring(2) + "-" + i + "-" + d;
                    all.add(new Question("outcome-" + name, "session", asked.toString()));
                    boolean plumbed =
                            design.has("plumbing") && garage.get("car").has("bay") && d == 0;
                    if (plumbed) {
                        all.add(new Question("plumb-" + name, "plumb", asked.toString()));
                    }
                    if (design.has("cooler") && d == 0) {
                        all.add(new Question(
                                "sheet-" + name,
                                "sheet",
                                asked.put("name", "A build").toString()));
                    }
                }
            }
        }
        return all;
    }

    private static String answer(Question q) {
        if (q.kind().equals("sheet")) {
            return JSON.writeValueAsString(Builds.begin(
                    DocumentReader.read(q.json(), NewBuild.class),
                    PlumbingParts.shipped(),
                    CorePart.shipped(),
                    Instant.EPOCH));
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        int code = SolveCommand.run(
                new String[] {"solve", q.kind(), "-"},
                new ByteArrayInputStream(q.json().getBytes(StandardCharsets.UTF_8)),
                new PrintStream(out, false, StandardCharsets.UTF_8),
                new PrintStream(err, false, StandardCharsets.UTF_8));
        assertThat(code).as(err.toString(StandardCharsets.UTF_8)).isZero();
        return JSON.readTree(out.toString(StandardCharsets.UTF_8)).toString();
    }

    @TestFactory
    Stream<DynamicTest> answersAreAsTheyWere() throws IOException {
        return questions().stream().map(q -> DynamicTest.dynamicTest(q.name(), () -> check(q)));
    }

    private static void check(Question q) throws IOException {
        Path file = FOLDER.resolve(q.name() + ".json.gz");
        String now = answer(q);
        if (System.getenv("ISOTHERM_UPDATE") != null || !Files.exists(file) && System.getenv("CI") == null) {
            Files.createDirectories(FOLDER);
            try (GZIPOutputStream out = new GZIPOutputStream(Files.newOutputStream(file))) {
                out.write(now.getBytes(StandardCharsets.UTF_8));
            }
            return;
        }
        try (GZIPInputStream in = new GZIPInputStream(Files.newInputStream(file))) {
            JsonNode before = JSON.readTree(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            List<String> differences = new ArrayList<>();
            compare("", before, JSON.readTree(now), differences);
            assertThat(differences).as(q.name()).isEmpty();
        }
    }

    /** What is new beside what was there is no difference. */
    private static void compare(String path, JsonNode before, JsonNode now, List<String> differences) {
        if (before.isNumber()) {
            double was = before.doubleValue();
            boolean same = now.isNumber() && Math.abs(now.doubleValue() - was) <= SAME * Math.max(1, Math.abs(was));
            note(same, path, before, now, differences);
        } else if (before.isString()) {
            boolean name = NAME.matcher(before.stringValue()).matches();
            note(!name || before.equals(now), path, before, now, differences);
        } else if (before.isObject()) {
            for (Iterator<String> it = before.propertyNames().iterator(); it.hasNext(); ) {
                String field = it.next();
                compare(path + "/" + field, before.get(field), now.path(field), differences);
            }
        } else if (before.isArray()) {
            note(before.size() == now.size(), path + " (length)", before, now, differences);
            for (int i = 0; i < Math.min(before.size(), now.size()); i++) {
                compare(path + "/" + i, before.get(i), now.get(i), differences);
            }
        } else {
            note(before.equals(now), path, before, now, differences);
        }
    }

    private static void note(boolean same, String path, JsonNode before, JsonNode now, List<String> differences) {
        if (!same && differences.size() < 20) {
            String was = before.toString();
            String is = now.toString();
            differences.add(path + ": " + was.substring(0, Math.min(80, was.length())) + " → "
                    + is.substring(0, Math.min(80, is.length())));
        }
    }
}
