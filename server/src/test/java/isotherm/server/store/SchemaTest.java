package isotherm.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.bill.BillItem;
import isotherm.core.bill.BillLine;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class SchemaTest {
    private static final JsonMapper JSON = new JsonMapper();

    private static JsonNode lifted(Shelf shelf, String document) {
        return JSON.readTree(Schema.lift(shelf, 1, document));
    }

    private static String design(String have) {
        return "{\"name\":\"d\",\"plumbing\":{\"have\":[" + JSON.writeValueAsString(have) + "]}}";
    }

    /** The words are those of the first bills, as they have been kept. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "core, 19 rows of 330 mm, stacked plate | CORE",
                "thermostat in line, opens at 80 °C | THERMOSTAT",
                "thermostat for the filter housing, opens at 85 °C | THERMOSTAT",
                "fan, 0.25 m³/s, with switch 95/90 °C, relay and fuse | FAN",
                "heat sleeve -10 | HEAT_SLEEVE -10",
                "accumulator, 1.4 L | ACCESSORY accumulator",
                "P-clip with rubber, 19 mm | P_CLIP",
                "hose separator -10 | SEPARATOR -10",
                "engine oil, 0.80 L of it added by the cooler | ENGINE_OIL",
                "bonded washer M22x1.5 | BONDED_WASHER M22x1.5",
                "O-ring -10, spare | O_RING -10",
                "paint for bare holes, rivet nuts | PAINT_AT_RIVET_NUTS",
                "two open wrenches 25.4 mm (1 in), smooth jaws | WRENCHES 1",
                "two open wrenches 22.2 mm (7/8 in), smooth jaws | WRENCHES 7/8",
                "sharp knife, warm water or hot air, a push bench | HOSE_TOOLS",
                "torque wrench to 40 N·m, stands or a lift, eye protection, gloves | SAFETY_TOOLS",
                "Hawkrigg HPG-M20 | Hawkrigg HPG-M20",
            })
    void whatIsThereAlreadyIsKnownByItsItem(String words, String key) {
        assertThat(lifted(Shelf.DESIGN, design(words)).at("/plumbing/have/0").stringValue())
                .isEqualTo(key);
    }

    @Test
    void everyKeyIsOneThatABillGives() {
        for (String words : new String[] {"stone mesh for the opening", "skid plate under the core", "rubber mount"}) {
            String key =
                    lifted(Shelf.DESIGN, design(words)).at("/plumbing/have/0").stringValue();
            assertThat(Arrays.stream(BillItem.values())
                            .map(i -> BillLine.part(i.say("what")).key()))
                    .contains(key);
        }
    }

    @Test
    void theDesignOfABuildIsLiftedTooAndNothingElse() {
        String build = "{\"design\":" + design("fan, 0.35 m³/s") + ",\"steps\":[\"fan, 0.35 m³/s\"]}";
        JsonNode lifted = lifted(Shelf.BUILD, build);
        assertThat(lifted.at("/design/plumbing/have/0").stringValue()).isEqualTo("FAN");
        assertThat(lifted.at("/steps/0").stringValue()).isEqualTo("fan, 0.35 m³/s");
    }

    @Test
    void whatNeedsNoLiftingStaysLetterByLetter() {
        String car = "{ \"name\" : \"Wren\",\n \"plumbing\": {\"have\": [\"rubber mount\"]} }";
        assertThat(Schema.lift(Shelf.CAR, 1, car)).isSameAs(car);
        String design = design("rubber mount");
        assertThat(Schema.lift(Shelf.DESIGN, Schema.NEWEST, design)).isSameAs(design);
        assertThat(Schema.lift(Shelf.DESIGN, 1, "{\"name\": ")).isEqualTo("{\"name\": ");
    }
}
