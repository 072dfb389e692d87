package isotherm.server.files;

import com.fasterxml.jackson.annotation.JsonInclude;
import isotherm.core.catalogue.CorePart;
import isotherm.core.catalogue.PlumbingParts;
import isotherm.core.search.DesignSearch;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.garage.CaseDocument;
import isotherm.server.plumbing.PlumbQuestion;
import isotherm.server.plumbing.PlumbingSolver;
import isotherm.server.session.EvidenceQuestions;
import isotherm.server.session.EvidenceSolver;
import isotherm.server.session.QuestionSolver;
import isotherm.server.session.Questions;
import isotherm.server.session.SearchQuestions;
import isotherm.server.session.SearchSolver;
import isotherm.server.session.Solver;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * {@code solve [KIND] FILE}: a question in, its answer out, with no server and no database. {@code solve --lines KIND}: a question a
 * line in, an answer a line out, for scripts.
 */
public final class SolveCommand {
    /** Everything went well. */
    public static final int OK = 0;
    /** The input cannot be taken; every problem is on the error stream. */
    public static final int BAD_INPUT = 2;

    /** What can be asked. */
    private static final List<String> KINDS = List.of(
            "session", "rating", "air", "circuit", "map", "fit", "compare", "search", "placement", "schools", "plumb");

    private static final int PROGRESS_STEP = 500;
    private static final String LINES = "--lines";
    private static final JsonMapper JSON = JsonMapper.builder()
            .changeDefaultPropertyInclusion(v -> v.withValueInclusion(JsonInclude.Include.NON_NULL))
            .build();

    private SolveCommand() {}

    private static Object answer(String kind, String json, PrintStream err) {
        return switch (kind) {
            case "rating" -> QuestionSolver.rate(DocumentReader.read(json, Questions.RatingQuestion.class));
            case "air" -> QuestionSolver.air(DocumentReader.read(json, Questions.AirQuestion.class));
            case "circuit" -> QuestionSolver.circuit(DocumentReader.read(json, Questions.CircuitQuestion.class));
            case "map" -> SearchSolver.map(DocumentReader.read(json, SearchQuestions.MapQuestion.class), () -> false);
            case "fit" -> EvidenceSolver.fit(DocumentReader.read(json, EvidenceQuestions.FitQuestion.class));
            case "compare" ->
                EvidenceSolver.compare(DocumentReader.read(json, EvidenceQuestions.CompareQuestion.class));
            case "placement" -> QuestionSolver.placement(DocumentReader.read(json, Questions.PlacementQuestion.class));
            case "schools" ->
                SearchSolver.schools(
                        DocumentReader.read(json, SearchQuestions.SchoolsQuestion.class), CorePart.shipped());
            case "plumb" ->
                PlumbingSolver.plumb(
                        DocumentReader.read(json, PlumbQuestion.class),
                        PlumbingParts.shipped(),
                        CorePart.shipped(),
                        () -> false);
            case "search" ->
                SearchSolver.search(
                        DocumentReader.read(json, SearchQuestions.SearchQuestion.class),
                        CorePart.shipped(),
                        new Teller(err));
            default -> Solver.solve(DocumentReader.read(json, CaseDocument.class));
        };
    }

    /** Says now and then how far a search is. */
    private static final class Teller implements DesignSearch.Asker {
        private final PrintStream err;
        private final AtomicInteger steps = new AtomicInteger();

        Teller(PrintStream err) {
            this.err = err;
        }

        @Override
        public boolean gone() {
            return false;
        }

        @Override
        public void reached(int done) {
            int step = done / PROGRESS_STEP;
            if (steps.getAndAccumulate(step, Math::max) < step) {
                err.println("isotherm: " + step * PROGRESS_STEP + " designs looked at");
            }
        }
    }

    /**
     * What a line could not be taken for.
     *
     * @param line its number, from 1
     * @param problems what is wrong with it
     */
    private record Refused(int line, List<Problem> problems) {}

    /** Every line is answered, in its order: those that cannot be taken with their problems. */
    private static int lines(String kind, InputStream in, PrintStream out, PrintStream err) {
        int number = 0;
        int refused = 0;
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                number++;
                if (line.isBlank()) {
                    continue;
                }
                Object answered;
                try {
                    answered = answer(kind, line, err);
                } catch (InvalidDocument e) {
                    refused++;
                    answered = new Refused(number, e.problems());
                }
                out.println(JSON.writeValueAsString(answered));
            }
        } catch (IOException e) {
            err.println("isotherm: cannot read line " + (number + 1) + ": " + e.getMessage());
            return BAD_INPUT;
        }
        if (refused > 0) {
            err.println("isotherm: " + refused + " of " + number + " lines cannot be taken");
            return BAD_INPUT;
        }
        return OK;
    }

    /**
     * @param args {@code solve}, a kind (session when left out) and a file, {@code -} for the standard input
     * @param in standard input
     * @param out receives the outcome as JSON
     * @param err receives problems, a line each
     * @return exit code, {@link #OK} or {@link #BAD_INPUT}
     */
    public static int run(String[] args, InputStream in, PrintStream out, PrintStream err) {
        if (args.length == 3 && args[1].equals(LINES) && KINDS.contains(args[2])) {
            return lines(args[2], in, out, err);
        }
        if (args.length < 2 || args.length > 3 || args.length == 3 && !KINDS.contains(args[1])) {
            err.println(
                    "usage: ./isotherm solve [KIND] FILE   (FILE is JSON, - for the standard input; KIND is one of "
                            + String.join(", ", KINDS) + "; session without)\n"
                            + "       ./isotherm solve --lines KIND   (a question a line on the standard input, an answer a line)");
            return BAD_INPUT;
        }
        String kind = args.length == 3 ? args[1] : "session";
        String file = args[args.length - 1];
        String json;
        try {
            json = file.equals("-")
                    ? new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    : Files.readString(Path.of(file));
        } catch (IOException e) {
            err.println("isotherm: cannot read " + file + ": " + e.getMessage());
            return BAD_INPUT;
        }
        try {
            Object outcome = answer(kind, json, err);
            out.println(JSON.rebuild()
                    .enable(SerializationFeature.INDENT_OUTPUT)
                    .build()
                    .writeValueAsString(outcome));
            return OK;
        } catch (InvalidDocument e) {
            e.problems()
                    .forEach(p -> err.println((p.path().isEmpty() ? "/" : p.path())
                            + ": " + p.message()
                            + (p.value() == null ? "" : " [found " + p.value() + "]")));
            return BAD_INPUT;
        }
    }
}
