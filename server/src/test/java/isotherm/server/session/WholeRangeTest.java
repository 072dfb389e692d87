package isotherm.server.session;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.garage.CaseDocument;
import isotherm.server.testing.Examples;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Every case that the reader takes is answered: no exception, no hang, no figure that is not a number. */
class WholeRangeTest {
    private static final JsonMapper JSON = new JsonMapper();

    /** An example with a handful of its numbers moved anywhere in their range, by seed. */
    static Stream<Long> seeds() {
        return LongStream.range(0, 120).boxed();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aCaseWithNumbersAnywhereInTheirRangeIsAnsweredOrItsProblemsAreNamed(long seed) {
        Random random = new Random(seed);
        String[] names = {"corvid", "hauler", "wren"};
        JsonNode tree = JSON.readTree(Examples.read(names[random.nextInt(3)]));
        shake((ObjectNode) tree, CaseDocument.class, random);
        CaseDocument asked;
        try {
            asked = DocumentReader.read(tree.toString(), CaseDocument.class);
        } catch (InvalidDocument e) {
            assertThat(e.problems()).allSatisfy(p -> assertThat(p.message()).isNotBlank());
            return;
        }
        OutcomeDocument outcome = Solver.solve(asked);
        finite(JSON.valueToTree(outcome), "");
        OutcomeDocument.Balance b = outcome.balance();
        double out = b.storedKj() + b.sumpKj() + b.blockKj() + b.factoryKj() + b.coolerKj();
        double through = Math.abs(b.inKj())
                + Math.abs(b.storedKj())
                + Math.abs(b.sumpKj())
                + Math.abs(b.blockKj())
                + Math.abs(b.factoryKj())
                + Math.abs(b.coolerKj());
        assertThat(Math.abs(b.inKj() - out)).isLessThan(1e-3 * through + 0.5);
    }

    /** Moves about a third of the annotated numbers that are there. */
    private static void shake(ObjectNode node, Class<?> type, Random random) {
        for (RecordComponent c : type.getRecordComponents()) {
            JsonNode child = node.get(c.getName());
            Quantity q = c.getAnnotation(Quantity.class);
            if (child instanceof ObjectNode object && c.getType().isRecord()) {
                shake(object, c.getType(), random);
            } else if (child != null && child.isArray() && c.getGenericType() instanceof ParameterizedType) {
                continue;
            } else if (child != null && q != null && random.nextInt(3) == 0) {
                double u = random.nextDouble();
                double value = random.nextInt(4) == 0
                        ? (random.nextBoolean() ? q.min() : q.max())
                        : q.min() + (q.max() - q.min()) * u * u;
                boolean whole = c.getType() == int.class || c.getType() == Integer.class;
                if (c.getName().equals("flyers") || c.getName().equals("stints")) {
                    value = Math.min(value, 20);
                }
                if (whole) {
                    node.put(c.getName(), (int) value);
                } else {
                    node.put(c.getName(), value);
                }
            }
        }
    }

    private static void finite(JsonNode node, String path) {
        if (node.isNumber()) {
            assertThat(Double.isFinite(node.doubleValue())).as(path).isTrue();
        }
        node.properties().forEach(e -> finite(e.getValue(), path + "/" + e.getKey()));
        if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                finite(node.get(i), path + "/" + i);
            }
        }
        if (node.isString()) {
            assertThat(node.stringValue()).as(path).doesNotContain("NaN").doesNotContain("Infinity");
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "\"sealingPercent\": 45.1 -> \"sealingPercent\": 0",
                "\"shadedPercent\": 34.0 -> \"shadedPercent\": 100",
                "\"ambientC\": 31 -> \"ambientC\": -25",
                "\"ambientC\": 31 -> \"ambientC\": 55",
                "\"conductanceWPerK\": 1900 -> \"conductanceWPerK\": 60",
                "\"opensC\": 90 -> \"opensC\": 128",
                "\"cm3PerRev\": 9.0 -> \"cm3PerRev\": 1.0",
                "\"idleRpm\": 850 -> \"idleRpm\": 300",
            })
    void theEdgesThatBuildersMeetAreAnswered(String change) {
        String[] parts = change.split(" -> ");
        String json = Examples.read("corvid");
        assertThat(json).contains(parts[0]);
        OutcomeDocument outcome =
                Solver.solve(DocumentReader.read(json.replace(parts[0], parts[1]), CaseDocument.class));
        finite(JSON.valueToTree(outcome), "");
        assertThat(outcome.findings()).isNotEmpty();
    }

    @Test
    void aBoilingCoolantIsAFinding() {
        String json = Examples.read("corvid").replace("\"conductanceWPerK\": 1900", "\"conductanceWPerK\": 400");
        OutcomeDocument outcome = Solver.solve(DocumentReader.read(json, CaseDocument.class));
        assertThat(outcome.findings())
                .anySatisfy(f -> assertThat(f.topic().name()).isEqualTo("COOLANT_BOILS"));
    }

    @Test
    void aStopWithTheEngineOffCoolsDown() {
        ObjectNode tree = (ObjectNode) JSON.readTree(Examples.read("corvid"));
        ObjectNode duty = (ObjectNode) tree.get("duty");
        duty.remove("track");
        duty.putObject("soak")
                .put("idleSeconds", 60)
                .put("offSeconds", 600)
                .put("oilC", 130)
                .put("coolantC", 100);
        OutcomeDocument outcome = Solver.solve(DocumentReader.read(tree.toString(), CaseDocument.class));
        List<Double> oil = outcome.traces().oilC();
        assertThat(oil.get(oil.size() - 1)).isLessThan(130);
        finite(JSON.valueToTree(outcome), "");
    }

    @Test
    void theThreeWaysOfEstimatingTheHeatStandSideBySide() {
        OutcomeDocument fitted = Solver.solve(DocumentReader.read(
                withFit(
                        """
                        {"log": "Baseline", "factors": [{"factor": "HEAT", "value": 1.2, "standardError": 0.05}],
                         "correlation": [{"row": [1]}]}"""),
                CaseDocument.class));
        OutcomeDocument plain = Solver.solve(DocumentReader.read(Examples.read("corvid"), CaseDocument.class));
        assertThat(fitted.schools()).isEqualTo(plain.schools());
        // A little less than a fifth more: oil that runs hotter is thinner, and its shear brings less.
        assertThat(fitted.figures().meanHeatKw() / plain.figures().meanHeatKw()).isBetween(1.15, 1.2);
        assertThat(plain.planned().peakC()).isGreaterThan(plain.figures().peakC());
    }

    @Test
    void aDesignAtEveryPlaceHoldsItsOwnPlacesOutcome() {
        CaseDocument asked = DocumentReader.read(Examples.read("corvid"), CaseDocument.class);
        List<Questions.PlaceAnswer> places = QuestionSolver.places(asked);
        assertThat(places).hasSize(7);
        assertThat(places)
                .filteredOn(p -> p.place() == asked.design().cooler().place())
                .singleElement()
                .satisfies(p -> assertThat(p.peakC())
                        .isEqualTo(Solver.solve(asked).figures().peakC()));
    }

    private static String withFit(String fitted) {
        ObjectNode tree = (ObjectNode) JSON.readTree(Examples.read("corvid"));
        ((ObjectNode) tree.get("car")).set("fitted", JSON.readTree(fitted));
        return tree.toString();
    }

    @Test
    void aFitThatDoesNotAddUpIsRefusedFieldByField() {
        String twice =
                """
                {"log": "Baseline", "factors": [{"factor": "HEAT", "value": 1.2, "standardError": 0.05},
                  {"factor": "HEAT", "value": 1.1, "standardError": 0.05}],
                 "correlation": [{"row": [1, 0.5]}, {"row": [0.4, 0.9]}]}""";
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> DocumentReader.read(withFit(twice), CaseDocument.class))
                .isInstanceOfSatisfying(InvalidDocument.class, e -> assertThat(e.problems())
                        .extracting(Problem::path)
                        .containsExactly(
                                "/car/fitted/factors",
                                "/car/fitted/correlation/1/row/0",
                                "/car/fitted/correlation/1/row/1"));
    }
}
