package isotherm.bench;

import isotherm.server.contract.DocumentReader;
import isotherm.server.garage.CaseDocument;
import isotherm.server.session.OutcomeDocument;
import isotherm.server.session.Solver;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a page asks of the demo garage's cars when a choice was made. No choice comes twice in a row of many, so that nothing is
 * answered from what was remembered of the same one.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
public class OutcomeBenchmarks {
    private static final int CHOICES = 400;
    /** As many as a page asks for. */
    private static final int SAMPLES = 48;

    /** The car, by its file in the demo garage. */
    @Param({"1-corvid", "2-hauler", "3-wren"})
    public String car = "1-corvid";

    private final List<CaseDocument> choices = new ArrayList<>();
    private final List<CaseDocument> sampled = new ArrayList<>();
    private int next;

    /**
     * Reads the first design of the car that has a cooler, sealed in many ways.
     *
     * @throws IOException when the demo garage is not there
     */
    @Setup
    public void read() throws IOException {
        ObjectNode asked = DemoCase.of(car, design -> design.has("cooler"));
        for (int i = 0; i < CHOICES; i++) {
            ((ObjectNode) asked.at("/design/cooler")).put("sealingPercent", 40 + 50.0 * i / CHOICES);
            choices.add(DocumentReader.read(asked.toString(), CaseDocument.class));
            sampled.add(
                    DocumentReader.read(asked.deepCopy().put("samples", SAMPLES).toString(), CaseDocument.class));
        }
    }

    private CaseDocument next(List<CaseDocument> cases) {
        next = (next + 1) % CHOICES;
        return cases.get(next);
    }

    /** @return the session alone, as a drag is followed */
    @Benchmark
    public OutcomeDocument.Quick drag() {
        return Solver.quick(next(choices));
    }

    /** @return the outcome with findings and remedies */
    @Benchmark
    public OutcomeDocument outcome() {
        return Solver.solve(next(choices));
    }

    /** @return the interval as it is shown */
    @Benchmark
    public OutcomeDocument.Interval interval() {
        return Solver.interval(next(sampled));
    }
}
