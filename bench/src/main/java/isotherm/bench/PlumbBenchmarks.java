package isotherm.bench;

import isotherm.core.catalogue.CorePart;
import isotherm.core.catalogue.PlumbingParts;
import isotherm.core.parts.Parts;
import isotherm.core.route.Routes;
import isotherm.server.contract.DocumentReader;
import isotherm.server.plumbing.PlumbQuestion;
import isotherm.server.plumbing.Plumbed;
import isotherm.server.plumbing.PlumbingSolver;
import java.io.IOException;
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

/** The plumbing of the demo garage's cars, as the page asks for it: routes, fittings, pressures and bill. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 3)
public class PlumbBenchmarks {
    /** The car, by its file in the demo garage. */
    @Param({"1-corvid", "2-hauler", "3-wren"})
    public String car = "1-corvid";

    private final Parts parts = PlumbingParts.shipped();
    private final List<CorePart> cores = CorePart.shipped();

    @SuppressWarnings("NullAway.Init")
    private PlumbQuestion question;

    /**
     * Reads the first design of the car that has its plumbing.
     *
     * @throws IOException when the demo garage is not there
     */
    @Setup
    public void read() throws IOException {
        question = DocumentReader.read(DemoCase.of(car, DemoCase::isPlumbed).toString(), PlumbQuestion.class);
    }

    /** @return what the plumbing comes to where nothing is known of its routes */
    @Benchmark
    public Plumbed plumbing() {
        Routes.forget();
        return plumbingOfKnownRoutes();
    }

    /** @return the same where the routes are as before: with another price, on another duty, on paper */
    @Benchmark
    public Plumbed plumbingOfKnownRoutes() {
        return PlumbingSolver.plumb(question, parts, cores, () -> false);
    }
}
