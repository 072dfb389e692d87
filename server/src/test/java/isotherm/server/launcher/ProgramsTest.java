package isotherm.server.launcher;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Every program that a script or a test runs is in config/programs, in a phase that the script's own phase includes. */
class ProgramsTest {
    private static final Path ROOT = Path.of("..");
    private static final Pattern STARTED =
            Pattern.compile("(?:ProcessBuilder\\(|does\\(|run\\(|List\\.of\\()\\s*\"([a-z][a-z0-9-]*)\",\\s*\"-");

    /** Programs that run another one, named by the first argument that is no option, number or setting. */
    private static final Set<String> RUNNERS = Set.of("exec", "xargs", "nice", "pg_as", "logged", "with_database");

    /** Scripts that need more than a start does. */
    private static final Map<String, String> PHASES = Map.of(
            "build.sh",
            "build",
            "node.sh",
            "build",
            "build-if-changed.sh",
            "build",
            "develop.sh",
            "test",
            "package.sh",
            "package",
            "fresh.sh",
            "fresh",
            "fresh-package.sh",
            "fresh");

    private static final Map<String, Set<String>> INCLUDED = Map.of(
            "start", Set.of("start"),
            "build", Set.of("start", "build"),
            "test", Set.of("start", "build", "test"),
            "package", Set.of("start", "build", "package"),
            "fresh", Set.of("start", "build", "package", "fresh"));

    private final JsonMapper json = JsonMapper.builder().build();

    private static String output(String given, String... command) throws IOException {
        Process process = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        try (var in = process.getOutputStream()) {
            in.write(given.getBytes(StandardCharsets.UTF_8));
        }
        return new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }

    private static List<Path> scripts() throws IOException {
        List<Path> all = new ArrayList<>(List.of(ROOT.resolve("isotherm"), ROOT.resolve("web/build-if-changed.sh")));
        try (Stream<Path> found = Files.list(ROOT.resolve("config"))) {
            found.filter(file -> file.toString().endsWith(".sh")).sorted().forEach(all::add);
        }
        return all;
    }

    /** @return program to phase */
    private static Map<String, String> known() throws IOException {
        return Files.readAllLines(ROOT.resolve("config/programs")).stream()
                .filter(line -> !line.isBlank() && !line.startsWith("#"))
                .map(line -> line.split("\\s+"))
                .collect(Collectors.toMap(cells -> cells[0], cells -> cells[2]));
    }

    private JsonNode parsed(String script) throws IOException {
        return json.readTree(output(script, "shfmt", "--to-json"));
    }

    /** The words of a call as far as they are written out; an empty one for what is expanded. */
    private static List<String> words(JsonNode call) {
        List<String> words = new ArrayList<>();
        for (JsonNode word : call.path("Args")) {
            JsonNode parts = word.path("Parts");
            words.add(parts.size() == 1 ? parts.get(0).path("Value").asString("") : "");
        }
        return words;
    }

    private void collect(JsonNode node, Set<String> functions, Set<String> programs) throws IOException {
        if (node.path("Type").asString("").equals("FuncDecl")) {
            functions.add(node.path("Name").path("Value").asString());
        }
        if (node.path("Type").asString("").equals("CallExpr")) {
            List<String> words = words(node);
            if (!words.isEmpty()) {
                programs.add(words.get(0));
                if (RUNNERS.contains(words.get(0))) {
                    words.stream()
                            .skip(1)
                            .filter(word -> !word.matches("-.*|[0-9]+|\\w+=.*"))
                            .findFirst()
                            .ifPresent(programs::add);
                }
                if (words.get(0).equals("bash")
                        && words.size() > 2
                        && words.get(1).equals("-c")) {
                    collect(parsed(words.get(2)), functions, programs);
                }
            }
        }
        for (JsonNode child : node) {
            collect(child, functions, programs);
        }
    }

    @Test
    void everyProgramOfAScriptIsInThePrerequisitesOfItsPhase() throws IOException {
        Set<String> ours =
                new TreeSet<>(List.of(output("", "bash", "-c", "compgen -b").split("\n")));
        Map<Path, Set<String>> run = new TreeMap<>();
        for (Path script : scripts()) {
            Set<String> programs = new TreeSet<>();
            collect(parsed(Files.readString(script)), ours, programs);
            run.put(script, programs);
        }
        Map<String, String> known = known();
        List<String> missing = new ArrayList<>();
        run.forEach((script, programs) -> {
            String phase = PHASES.getOrDefault(script.getFileName().toString(), "start");
            for (String program : programs) {
                boolean named = !program.isEmpty() && !program.contains("/") && !program.contains("$");
                if (named
                        && !ours.contains(program)
                        && !INCLUDED.get(phase).contains(known.getOrDefault(program, "none"))) {
                    missing.add(script.getFileName() + ": " + program);
                }
            }
        });
        assertThat(missing).isEmpty();
        assertThat(run.values()).anySatisfy(programs -> assertThat(programs).contains("curl", "java"));
    }

    @Test
    void everyProgramOfATestIsInThePrerequisites() throws IOException {
        Set<String> started = new TreeSet<>();
        for (String module : List.of("server/src/test", "e2e/src/test", "bench/src/main")) {
            try (Stream<Path> files = Files.walk(ROOT.resolve(module))) {
                for (Path file :
                        files.filter(f -> f.toString().endsWith(".java")).toList()) {
                    STARTED.matcher(Files.readString(file)).results().forEach(found -> started.add(found.group(1)));
                }
            }
        }
        assertThat(known()).containsKeys(started.toArray(String[]::new));
        assertThat(started).contains("kill", "pdftotext", "mount");
    }
}
