package isotherm.bench;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.catalogue.PlumbingParts;
import isotherm.core.duty.TrackDuty;
import isotherm.core.route.Routes;
import isotherm.core.search.DesignSearch;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.Simulator;
import isotherm.server.contract.DocumentReader;
import isotherm.server.plumbing.PlumbQuestion;
import isotherm.server.plumbing.PlumbingSolver;
import java.io.IOException;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** How cost grows with what is asked for: times and the exponent between them, 1 where twice as much takes twice as long. */
public final class Growth {
    private static final JsonMapper JSON = new JsonMapper();
    private static final int ROUNDS = 5;
    private static final long WARM_NS = 3_000_000_000L;

    private Growth() {}

    /**
     * @param args address of a server with the demo garage, which is filled
     * @throws IOException when the demo garage is not there
     */
    public static void main(String[] args) throws IOException {
        System.out.println("| what | of how many, and how long that takes | exponent |");
        System.out.println("|---|---|---|");
        Car car = CoreBenchmarks.car();
        Design design = CoreBenchmarks.design();
        TrackDuty session = CoreBenchmarks.session();
        row("laps of a session", new int[] {5, 10, 20, 40}, laps -> {
            TrackDuty d = new TrackDuty(session.lap(), new TrackDuty.Plan(1, laps, 1, 0, 1), session.weather());
            return () -> {
                for (int i = 0; i < 50; i++) {
                    Simulator.run(car, d, design);
                }
            };
        });
        row("designs of a search", new int[] {1_000, 3_000, 9_000, 27_000}, designs -> {
            DesignSearch.Bounds bounds = bounds(designs);
            return () -> DesignSearch.search(car, session, Belief.prior(), bounds, () -> false);
        });
        row("boxes in the bay of a plumbing", new int[] {13, 20, 30, 40}, Growth::plumbing);
        GarageGrowth garage = new GarageGrowth(URI.create(args[0]));
        row("rows of a log that comes in", new int[] {10_000, 100_000, 1_000_000}, garage::log);
        int[] cars = {10, 100, 1_000};
        row("cars, to list them", cars, many -> garage.cars(many, "/api/cars"));
        row("cars, to tell the garage's state", cars, many -> garage.cars(many, "/api/state"));
        row("cars, to open one", cars, many -> garage.cars(many, garage.one()));
        row("lines of a price list", new int[] {150, 500, 1_500}, garage::prices);
    }

    /** What is timed for a number of something. */
    private interface Sized {
        Runnable of(int many) throws IOException;
    }

    private static void row(String what, int[] sizes, Sized work) throws IOException {
        double[] seconds = new double[sizes.length];
        for (int i = 0; i < sizes.length; i++) {
            Runnable run = work.of(sizes[i]);
            // The first is not to pay for what is compiled for all.
            for (long begun = System.nanoTime(); System.nanoTime() - begun < WARM_NS; ) {
                run.run();
            }
            seconds[i] = IntStream.range(0, ROUNDS)
                    .mapToDouble(k -> {
                        long begun = System.nanoTime();
                        run.run();
                        return (System.nanoTime() - begun) / 1e9;
                    })
                    .min()
                    .orElseThrow();
        }
        System.out.printf(
                Locale.ROOT,
                "| %s | %s | %.2f |%n",
                what,
                IntStream.range(0, sizes.length)
                        .mapToObj(i -> String.format(Locale.ROOT, "%d: %.4f s", sizes[i], seconds[i]))
                        .collect(Collectors.joining(", ")),
                exponent(sizes, seconds));
    }

    /** Slope of the straight line through the logarithms. */
    private static double exponent(int[] sizes, double[] seconds) {
        double mx = IntStream.of(sizes).mapToDouble(Math::log).average().orElseThrow();
        double my = DoubleStream.of(seconds).map(Math::log).average().orElseThrow();
        double xy = 0;
        double xx = 0;
        for (int i = 0; i < sizes.length; i++) {
            xy += (Math.log(sizes[i]) - mx) * (Math.log(seconds[i]) - my);
            xx += (Math.log(sizes[i]) - mx) * (Math.log(sizes[i]) - mx);
        }
        return xy / xx;
    }

    private static DesignSearch.Bounds bounds(int designs) {
        DesignSearch.Bounds b = CoreBenchmarks.bounds();
        double each = (double) DesignSearch.count(b) / b.sealings().size();
        int sealings = (int) Math.max(1, Math.round(designs / each));
        return b.withSealings(IntStream.range(0, sealings)
                .mapToObj(i -> 0.5 + 0.45 * (i + 0.5) / sealings)
                .toList());
    }

    /** A small thing at the rear of the bay, each in a place of its own. */
    private static ObjectNode thing(int i) {
        return JSON.createObjectNode()
                .put("name", "thing " + i)
                .put("kind", "SOLID")
                .put("leftMm", 400 + 40 * (i % 2))
                .put("bottomMm", 240 + 40 * (i / 2 % 6))
                .put("frontMm", 720 + 60 * (i / 12))
                .put("widthMm", 30)
                .put("heightMm", 30)
                .put("depthMm", 40);
    }

    /** The Corvid's plumbing, its bay filled with further boxes. */
    private static Runnable plumbing(int boxes) throws IOException {
        ObjectNode asked = DemoCase.of("1-corvid", DemoCase::isPlumbed);
        ArrayNode there = (ArrayNode) asked.at("/car/bay/boxes");
        List<JsonNode> own = new ArrayList<>();
        there.forEach(own::add);
        there.removeAll();
        for (int i = 0; i < boxes; i++) {
            there.add(i < own.size() ? own.get(i) : thing(i));
        }
        PlumbQuestion question = DocumentReader.read(asked.toString(), PlumbQuestion.class);
        List<CorePart> cores = CorePart.shipped();
        var parts = PlumbingParts.shipped();
        return () -> {
            Routes.forget();
            PlumbingSolver.plumb(question, parts, cores, () -> false);
        };
    }
}
