package isotherm.server.catalogue;

import isotherm.core.catalogue.CorePart;
import isotherm.server.document.CorePartDocument;
import isotherm.server.document.DocumentReader;
import isotherm.server.document.InvalidDocument;
import isotherm.server.document.Missing;
import isotherm.server.document.Problem;
import isotherm.server.store.Garage;
import isotherm.server.store.Stored;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Cores: the shipped ones, with the garage's own entries and prices over them. */
@Service
public class CoreCatalogue {
    private static final String FAMILY = "CORE";

    private final Garage garage;
    private final JsonMapper json;

    CoreCatalogue(Garage garage, JsonMapper json) {
        this.garage = garage;
        this.json = json;
    }

    /**
     * A core with where it comes from.
     *
     * @param id identity of an own entry; missing for a shipped part
     * @param version its version
     * @param part the core
     */
    public record Entry(
            @Missing("a shipped part") UUID id, @Missing("a shipped part") Integer version, CorePartDocument part) {}

    /**
     * How an import went, or would go.
     *
     * @param added parts that are new
     * @param changed parts whose price or dimensions change
     * @param same parts that stay as they are
     * @param refused lines that cannot be taken
     */
    public record Imported(int added, int changed, int same, List<Refused> refused) {}

    /**
     * A line that cannot be taken.
     *
     * @param line its line, counted from 1
     * @param reason why
     */
    public record Refused(long line, String reason) {}

    /** @return all cores, shipped ones first; an own entry stands in the place of the shipped one of its name */
    public List<Entry> all() {
        Map<String, Entry> entries = new LinkedHashMap<>();
        for (CorePart p : CorePart.shipped()) {
            CorePartDocument document = CorePartDocument.of(p);
            entries.put(key(document), new Entry(null, null, document));
        }
        for (Stored s : garage.ownParts(FAMILY)) {
            CorePartDocument part = DocumentReader.read(s.document(), CorePartDocument.class);
            entries.put(key(part), new Entry(s.id(), s.version(), part));
        }
        return List.copyOf(entries.values());
    }

    /** @return all cores for the computation */
    public List<CorePart> parts() {
        return all().stream().map(e -> e.part().toCore()).toList();
    }

    private static String key(CorePartDocument part) {
        return part.maker().strip().toLowerCase(Locale.ROOT) + "\n"
                + part.number().strip().toLowerCase(Locale.ROOT);
    }

    /**
     * @param part a core
     * @return its entry, new or in the place of the own entry of its name
     */
    @Transactional
    public Entry put(CorePartDocument part) {
        String document = json.writeValueAsString(part);
        for (Entry e : all()) {
            if (e.id() != null && key(e.part()).equals(key(part))) {
                Stored s = garage.replaceOwnPart(e.id(), e.version(), document);
                return new Entry(s.id(), s.version(), part);
            }
        }
        Stored s = garage.addOwnPart(FAMILY, document);
        return new Entry(s.id(), s.version(), part);
    }

    /**
     * @param id an own entry
     * @param basedOn version that the writer had read
     */
    public void remove(UUID id, int basedOn) {
        garage.removeOwnPart(id, basedOn);
    }

    /**
     * A price list: a header line, then a part in each line. {@code maker}, {@code number} and {@code price} are needed; a part
     * that is not known yet needs {@code construction, rows, width_mm, depth_mm} too, and may give {@code passes} and
     * {@code port_thread}.
     *
     * @param text the list, separated by commas, semicolons or tabulators
     * @param keep whether to keep it, or only say what it would do
     * @return what it changes, and every line that cannot be taken
     * @throws InvalidDocument when there is no such header
     */
    @Transactional
    public Imported importList(String text, boolean keep) {
        String head = text.lines().findFirst().orElse("");
        char delimiter = head.indexOf('\t') >= 0 ? '\t' : head.indexOf(';') >= 0 ? ';' : ',';
        CSVFormat format = CSVFormat.Builder.create()
                .setDelimiter(delimiter)
                .setQuote('"')
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreHeaderCase(true)
                .get();
        Map<String, CorePartDocument> known = new LinkedHashMap<>();
        all().forEach(e -> known.put(key(e.part()), e.part()));
        int added = 0;
        int changed = 0;
        int same = 0;
        List<Refused> refused = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(text.startsWith("\uFEFF") ? text.substring(1) : text, format)) {
            for (String needed : List.of("maker", "number", "price")) {
                if (!parser.getHeaderMap().containsKey(needed)) {
                    throw new InvalidDocument(List.of(Problem.of(
                            "",
                            null,
                            "The list needs a first line with the columns maker, number and price; " + needed
                                    + " is not there")));
                }
            }
            for (CSVRecord row : parser) {
                long line = parser.getCurrentLineNumber();
                try {
                    CorePartDocument part = part(row, delimiter == ';', known);
                    CorePartDocument before = known.put(key(part), part);
                    if (part.equals(before)) {
                        same++;
                        continue;
                    }
                    added += before == null ? 1 : 0;
                    changed += before == null ? 0 : 1;
                    if (keep) {
                        put(part);
                    }
                } catch (InvalidDocument e) {
                    Problem p = e.problems().get(0);
                    refused.add(new Refused(line, (p.path() + ": " + p.message()).replaceFirst("^/", "")));
                } catch (IllegalArgumentException e) {
                    refused.add(new Refused(line, "it has fewer columns than the first line"));
                }
            }
        } catch (IOException | IllegalStateException e) {
            throw new InvalidDocument(List.of(Problem.of("", null, "This list cannot be read: " + e.getMessage())));
        }
        return new Imported(added, changed, same, List.copyOf(refused));
    }

    private CorePartDocument part(CSVRecord row, boolean decimalComma, Map<String, CorePartDocument> known) {
        ObjectNode node = json.createObjectNode();
        node.put("maker", row.get("maker"));
        node.put("number", row.get("number"));
        number(node, "price", row.get("price"), decimalComma);
        CorePartDocument there = known.get(row.get("maker").toLowerCase(Locale.ROOT) + "\n"
                + row.get("number").toLowerCase(Locale.ROOT));
        if (there != null) {
            ObjectNode whole = json.valueToTree(there);
            whole.set("price", node.get("price"));
            return DocumentReader.read(whole.toString(), CorePartDocument.class);
        }
        text(
                node,
                "construction",
                cell(row, "construction").toUpperCase(Locale.ROOT).replace(' ', '_'));
        number(node, "rows", cell(row, "rows"), decimalComma);
        number(node, "widthMm", cell(row, "width_mm"), decimalComma);
        number(node, "depthMm", cell(row, "depth_mm"), decimalComma);
        number(node, "passes", cell(row, "passes").isEmpty() ? "1" : cell(row, "passes"), decimalComma);
        text(node, "portThread", cell(row, "port_thread"));
        return DocumentReader.read(node.toString(), CorePartDocument.class);
    }

    private static String cell(CSVRecord row, String column) {
        return row.isMapped(column) && row.isSet(column) ? row.get(column) : "";
    }

    private static void text(ObjectNode node, String field, String cell) {
        if (!cell.isEmpty()) {
            node.put(field, cell);
        }
    }

    private static void number(ObjectNode node, String field, String cell, boolean decimalComma) {
        if (cell.isEmpty()) {
            return;
        }
        try {
            double value = Double.parseDouble(decimalComma ? cell.replace(',', '.') : cell);
            if (value == Math.rint(value) && Math.abs(value) < 1e9) {
                node.put(field, (long) value);
            } else {
                node.put(field, value);
            }
        } catch (NumberFormatException e) {
            node.put(field, cell);
        }
    }
}
