package isotherm.server.files;

import com.fasterxml.jackson.annotation.JsonInclude;
import isotherm.core.catalogue.CorePart;
import isotherm.core.catalogue.PlumbingParts;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.garage.CaseDocument;
import isotherm.server.plumbing.Plumbed;
import isotherm.server.plumbing.PlumbingSolver;
import isotherm.server.session.EvidenceQuestions;
import isotherm.server.session.EvidenceSolver;
import isotherm.server.session.QuestionSolver;
import isotherm.server.session.Questions;
import isotherm.server.session.SearchQuestions;
import isotherm.server.session.SearchSolver;
import isotherm.server.session.Solver;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** {@code solve [KIND] FILE}: a question in, its answer out, with no server and no database. */
public final class SolveCommand {
    /** Everything went well. */
    public static final int OK = 0;
    /** The input cannot be taken; every problem is on the error stream. */
    public static final int BAD_INPUT = 2;

    /** What can be asked. */
    private static final List<String> KINDS = List.of(
            "session", "rating", "air", "circuit", "map", "fit", "compare", "search", "placement", "schools", "plumb");

    private static final int PROGRESS_STEP = 500;

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
                        DocumentReader.read(json, Plumbed.PlumbQuestion.class),
                        PlumbingParts.shipped(),
                        CorePart.shipped(),
                        () -> false);
            case "search" ->
                SearchSolver.search(
                        DocumentReader.read(json, SearchQuestions.SearchQuestion.class),
                        CorePart.shipped(),
                        done -> {
                            if (done % PROGRESS_STEP == 0) {
                                err.println("isotherm: " + done + " designs run");
                            }
                        },
                        () -> false);
            default -> Solver.solve(DocumentReader.read(json, CaseDocument.class));
        };
    }

    /**
     * @param args {@code solve}, a kind (session when left out) and a file, {@code -} for the standard input
     * @param in standard input
     * @param out receives the outcome as JSON
     * @param err receives problems, a line each
     * @return exit code, {@link #OK} or {@link #BAD_INPUT}
     */
    public static int run(String[] args, InputStream in, PrintStream out, PrintStream err) {
        if (args.length < 2 || args.length > 3 || args.length == 3 && !KINDS.contains(args[1])) {
            err.println("usage: ./isotherm solve [KIND] FILE   (FILE is JSON, - for the standard input; KIND is one of "
                    + String.join(", ", KINDS) + "; session without)");
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
            out.println(JsonMapper.builder()
                    .enable(SerializationFeature.INDENT_OUTPUT)
                    .changeDefaultPropertyInclusion(v -> v.withValueInclusion(JsonInclude.Include.NON_NULL))
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
