package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.catalogue.CorePart;
import isotherm.core.catalogue.PlumbingParts;
import isotherm.server.build.BuildDocuments.NewBuild;
import isotherm.server.build.BuildDocuments.SheetStep;
import isotherm.server.build.Builds;
import isotherm.server.contract.DocumentReader;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.CaseDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The rest of the circuit and what makes room, over HTTP: from the document into bill, notes, joints and run sheet. */
class CircuitApiTest {
    private static final CarDocument CAR =
            DocumentReader.read(Examples.read("corvid"), CaseDocument.class).car();

    private static final RunningServer SERVER = RunningServer.get();
    private static final JsonMapper JSON = new JsonMapper();

    private static ObjectNode question() {
        return (ObjectNode) JSON.readTree(Examples.read("plumb"));
    }

    private static ObjectNode plumbing(ObjectNode q) {
        return (ObjectNode) q.get("design").get("plumbing");
    }

    private static JsonNode plumbed(ObjectNode q) {
        HttpResponse<String> r = SERVER.send("POST", "/api/plumb", q.toString());
        assertThat(r.statusCode()).as(r.body()).isEqualTo(200);
        return JSON.readTree(r.body());
    }

    private static List<String> keys(JsonNode messages) {
        return messages.valueStream().map(m -> m.get("key").stringValue()).toList();
    }

    private static List<String> billed(JsonNode plumbed) {
        return plumbed.get("bill")
                .valueStream()
                .map(b -> b.get("what").get("key").stringValue())
                .toList();
    }

    private static List<SheetStep> steps(ObjectNode q) {
        ObjectNode wanted = JSON.createObjectNode().put("name", "build");
        wanted.set("car", q.get("car"));
        wanted.set("duty", q.get("duty"));
        wanted.set("design", q.get("design"));
        NewBuild build = DocumentReader.read(wanted.toString(), NewBuild.class);
        return Builds.begin(build, PlumbingParts.shipped(), CorePart.shipped(), Instant.EPOCH)
                .steps();
    }

    @Test
    void anAccumulatorTellsWhatItGivesAndASenderItsAdaptor() {
        ObjectNode q = question();
        plumbing(q)
                .putArray("accessories")
                .addObject()
                .put("kind", "ACCUMULATOR")
                .put("volumeL", 1.5)
                .put("valve", "MANUAL")
                .put("preChargeBar", 0.5)
                .put("checkValve", true)
                .put("hoseM", 0.8);
        plumbing(q)
                .putArray("senders")
                .addObject()
                .put("senses", "PRESSURE")
                .put("site", "RETURN")
                .put("joint", "METRIC")
                .put("size", "M10x1");
        JsonNode plumbed = plumbed(q);
        assertThat(keys(plumbed.get("notes")))
                .contains(
                        "plumbingNote.ACCUMULATOR_GIVES.text",
                        "plumbingNote.CHECK_VALVE.text",
                        "plumbingNote.SENDER_ADAPTOR.text");
        assertThat(billed(plumbed))
                .contains("bill.TEE.what", "bill.CHECK_VALVE.what", "bill.THIRD_HOSE.what", "bill.SENDER.what");
    }

    @Test
    void steelAndCopperAreToldWithWhatTheyWeighAndAsk() {
        double light = plumbed(question()).get("figures").get("massKg").doubleValue();
        ObjectNode q = question();
        plumbing(q).put("metal", "STEEL").put("washer", "COPPER");
        JsonNode plumbed = plumbed(q);
        assertThat(plumbed.get("figures").get("massKg").doubleValue()).isGreaterThan(light + 0.1);
        assertThat(keys(plumbed.get("notes"))).contains("plumbingNote.STEEL.text", "plumbingNote.COPPER.text");
    }

    @Test
    void anExchangerThatIsNotKeptIsOnBillAndSheet() {
        ObjectNode q = question();
        ((ObjectNode) q.get("car")).put("factoryExchangerWPerK", 80);
        ((ObjectNode) q.get("design")).put("keepFactoryExchanger", false);
        plumbing(q).put("coolantEnds", "BLANKED");
        JsonNode plumbed = plumbed(q);
        assertThat(billed(plumbed)).contains("bill.COOLANT_CAPS.what", "bill.COOLANT.what");
        assertThat(steps(q)).extracting(SheetStep::id).contains("strip-exchanger", "fill-coolant");
        ((ObjectNode) q.get("design")).put("keepFactoryExchanger", true);
        assertThat(steps(q)).extracting(SheetStep::id).doesNotContain("strip-exchanger", "fill-coolant");
    }

    @Test
    void anExchangerOfNothingIsNone() {
        ObjectNode q = question();
        ((ObjectNode) q.get("car")).put("factoryExchangerWPerK", 0);
        ((ObjectNode) q.get("car").get("bay").get("stand")).remove("exchangerMm");
        ((ObjectNode) q.get("design")).put("keepFactoryExchanger", false);
        assertThat(steps(q)).extracting(SheetStep::id).doesNotContain("strip-exchanger", "fill-coolant");
    }

    @Test
    void aHoseGoesWhereSomethingMovesAway() {
        ObjectNode q = question();
        JsonNode free = feed(q);
        JsonNode way = free.get("points").get(free.get("points").size() / 2);
        ((ArrayNode) q.get("car").get("bay").get("boxes"))
                .addObject()
                .put("name", "bottle")
                .put("kind", "SOFT")
                .put("leftMm", way.get("xMm").doubleValue() - 10)
                .put("bottomMm", way.get("yMm").doubleValue() - 10)
                .put("frontMm", way.get("zMm").doubleValue() - 10)
                .put("widthMm", 20)
                .put("heightMm", 20)
                .put("depthMm", 20);
        assertThat(feed(q).get("points")).as("round it").isNotEqualTo(free.get("points"));
        ((ObjectNode) q.get("design"))
                .putArray("relocations")
                .addObject()
                .put("name", "bottle")
                .put("what", "MOVED");
        assertThat(feed(q).get("points")).isEqualTo(free.get("points"));
    }

    private static JsonNode feed(ObjectNode q) {
        return plumbed(q).get("lines").get(0);
    }

    @Test
    void whatMovesHasItsStepAndIsInNobodysWay() {
        ObjectNode q = question();
        ObjectNode ask = JSON.createObjectNode();
        ask.set("car", q.get("car"));
        ask.set("design", q.get("design"));
        JsonNode before = placed(ask);
        String name = before.get("clearances").get(0).get("name").stringValue();
        ((ObjectNode) q.get("design"))
                .putArray("relocations")
                .addObject()
                .put("name", name)
                .put("what", "MOVED")
                .put("how", "20 mm to the left");
        assertThat(placed(ask).get("clearances").valueStream().map(c -> c.get("name")
                        .stringValue()))
                .doesNotContain(name);
        assertThat(steps(q))
                .filteredOn(s -> s.id().equals("strip-room-1"))
                .singleElement()
                .satisfies(s -> assertThat(s.what()).contains(name, "20 mm to the left"));
    }

    private static JsonNode placed(ObjectNode ask) {
        HttpResponse<String> r = SERVER.send("POST", "/api/placement", ask.toString());
        assertThat(r.statusCode()).as(r.body()).isEqualTo(200);
        return JSON.readTree(r.body());
    }

    @Test
    void platesCostAirOnceAndStayInTheDrawing() {
        ObjectNode q = question();
        DesignDocument plain = DocumentReader.read(q.get("design").toString(), DesignDocument.class);
        ((ObjectNode) q.get("design").get("cooler").get("placement"))
                .put("skidPlate", true)
                .put("baffle", true);
        DesignDocument plates = DocumentReader.read(q.get("design").toString(), DesignDocument.class);
        double more = heads(plates) - heads(plain);
        assertThat(more).isEqualTo(0.9, within(1e-9));
        DesignDocument again = plates.changedTo(CAR, plates.toCore(CAR));
        assertThat(heads(again)).as("a remedy's design does not pay twice").isEqualTo(heads(plates), within(1e-4));
        assertThat(again.cooler().placement().baffle()).isTrue();
    }

    private static double heads(DesignDocument d) {
        return d.toCore(CAR).cooler().orElseThrow().airway().ductHeads();
    }
}
