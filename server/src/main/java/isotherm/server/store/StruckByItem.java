package isotherm.server.store;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * From 1 to 2: what a design's people have already was kept by the words of the bill, figures and all, so that oil came back onto
 * the bill when its quantity changed. It is kept by the item now.
 */
final class StruckByItem implements Upcaster {
    private static final Map<Pattern, String> ITEMS = new LinkedHashMap<>();

    static {
        item("core, .*", "CORE");
        item("thermostat (for the filter housing|in line), opens at .*", "THERMOSTAT");
        item("fan, .*", "FAN");
        item("stone mesh for the opening", "MESH");
        item("sheet for the shroud", "SHROUD");
        item("skid plate under the core", "SKID_PLATE");
        item("bracket that clamps", "CLAMP");
        item("bolt with washers and lock nut", "BOLT");
        item("rivet nut with bolt", "RIVET_NUT");
        item("rubber mount", "RUBBER_MOUNT");
        item("heat sleeve (.+)", "HEAT_SLEEVE $1");
        item("(accumulator|by-pass filter|remote filter head), .*", "ACCESSORY $1");
        item("P-clip with rubber, .*", "P_CLIP");
        item("hose separator (.+)", "SEPARATOR $1");
        item("engine oil, .*", "ENGINE_OIL");
        item("oil filter as the engine needs it", "OIL_FILTER");
        item("PTFE tape for taper threads", "TAPE");
        item("bonded washer (.+)", "BONDED_WASHER $1");
        item("copper washer (.+)", "COPPER_WASHER $1");
        item("O-ring (.+), spare", "O_RING $1");
        item("assembly oil, caps for open ports, rags, a drip tray", "SUNDRIES");
        item("foam strip for the shroud's joints", "FOAM");
        item("paint for bare holes, bolts", "PAINT_AT_BOLTS");
        item("paint for bare holes, rivet nuts", "PAINT_AT_RIVET_NUTS");
        item("two open wrenches .* \\((.+) in\\), smooth jaws", "WRENCHES $1");
        item("(soft jaws|sharp knife|none: it comes).*", "HOSE_TOOLS");
        item("rivet-nut tool and drill", "RIVET_TOOL");
        item("torque wrench to .*", "SAFETY_TOOLS");
    }

    private static void item(String words, String key) {
        ITEMS.put(Pattern.compile(words), key);
    }

    @Override
    public int from() {
        return 1;
    }

    @Override
    public void lift(Shelf shelf, ObjectNode document) {
        JsonNode design =
                switch (shelf) {
                    case DESIGN -> document;
                    case BUILD -> document.path("design");
                    default -> document.path("none");
                };
        if (design.path("plumbing").path("have") instanceof ArrayNode have) {
            for (int i = 0; i < have.size(); i++) {
                if (have.get(i).isString()) {
                    have.set(i, key(have.get(i).stringValue()));
                }
            }
        }
    }

    /** A maker's number stays what it is. */
    private static String key(String words) {
        for (Map.Entry<Pattern, String> item : ITEMS.entrySet()) {
            Matcher m = item.getKey().matcher(words);
            if (m.matches()) {
                return m.replaceFirst(item.getValue());
            }
        }
        return words;
    }
}
