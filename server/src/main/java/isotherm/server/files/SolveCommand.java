package isotherm.server.files;

import com.fasterxml.jackson.annotation.JsonInclude;
import isotherm.server.document.CaseDocument;
import isotherm.server.document.DocumentReader;
import isotherm.server.document.InvalidDocument;
import isotherm.server.document.Solver;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** {@code solve FILE}: a case in, its outcome out, with no server and no database. */
public final class SolveCommand {
    /** Everything went well. */
    public static final int OK = 0;
    /** The input cannot be taken; every problem is on the error stream. */
    public static final int BAD_INPUT = 2;

    private SolveCommand() {}

    /**
     * @param args {@code solve} and a file, {@code -} for the standard input
     * @param in standard input
     * @param out receives the outcome as JSON
     * @param err receives problems, a line each
     * @return exit code, {@link #OK} or {@link #BAD_INPUT}
     */
    public static int run(String[] args, InputStream in, PrintStream out, PrintStream err) {
        if (args.length != 2) {
            err.println("usage: ./isotherm solve FILE   (FILE is a case as JSON, - for the standard input)");
            return BAD_INPUT;
        }
        String json;
        try {
            json = args[1].equals("-")
                    ? new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    : Files.readString(Path.of(args[1]));
        } catch (IOException e) {
            err.println("isotherm: cannot read " + args[1] + ": " + e.getMessage());
            return BAD_INPUT;
        }
        try {
            var outcome = Solver.solve(DocumentReader.read(json, CaseDocument.class));
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
