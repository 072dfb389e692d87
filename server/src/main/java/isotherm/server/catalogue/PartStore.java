package isotherm.server.catalogue;

import isotherm.server.contract.Attempt;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.store.Garage;
import isotherm.server.store.Stored;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * One family of parts: the shipped ones, with the garage's own entries and prices over them.
 *
 * @param <D> document of a part
 */
final class PartStore<D extends Record> {
    private final Garage garage;
    private final JsonMapper json;
    private final String family;
    private final Class<D> type;
    private final Supplier<List<D>> shipped;
    private final Function<D, String> maker;
    private final Function<D, String> number;

    PartStore(
            Garage garage,
            JsonMapper json,
            String family,
            Class<D> type,
            Supplier<List<D>> shipped,
            Function<D, String> maker,
            Function<D, String> number) {
        this.garage = garage;
        this.json = json;
        this.family = family;
        this.type = type;
        this.shipped = shipped;
        this.maker = maker;
        this.number = number;
    }

    /**
     * A part with where it comes from.
     *
     * @param id identity of an own entry; null for a shipped part
     * @param version its version
     * @param part the part
     */
    record Kept<D>(UUID id, Integer version, D part) {}

    /** Shipped parts first; an own entry stands in the place of the shipped one of its name. */
    List<Kept<D>> all() {
        Map<String, Kept<D>> entries = new LinkedHashMap<>();
        for (D p : shipped.get()) {
            entries.put(key(p), new Kept<>(null, null, p));
        }
        own().forEach((key, kept) -> entries.put(key, kept));
        return List.copyOf(entries.values());
    }

    /** The garage's own entries by their names; one that today's rules refuse is left out. */
    private Map<String, Kept<D>> own() {
        Map<String, Kept<D>> entries = new LinkedHashMap<>();
        for (Stored s : garage.ownParts(family)) {
            Attempt.read(s.document(), type)
                    .found()
                    .ifPresent(part -> entries.put(key(part), new Kept<>(s.id(), s.version(), part)));
        }
        return entries;
    }

    private String key(D part) {
        return key(maker.apply(part), number.apply(part));
    }

    private static String key(String maker, String number) {
        return maker.strip().toLowerCase(Locale.ROOT) + "\n" + number.strip().toLowerCase(Locale.ROOT);
    }

    /**
     * Enters a part. The same part sent again changes nothing.
     *
     * @param part a part
     * @param basedOn version of the own entry of its name that the writer had read; null for a part that is new
     * @return its entry
     * @throws StaleVersion when there is an own entry of its name, and in another version
     */
    Kept<D> put(D part, Integer basedOn) {
        garage.lockOwnParts();
        Kept<D> there = own().get(key(part));
        if (there != null && !there.part().equals(part)) {
            // The store refuses every version but the newest.
            Stored s = garage.replaceOwnPart(there.id(), basedOn == null ? -1 : basedOn, json.writeValueAsString(part));
            return new Kept<>(s.id(), s.version(), part);
        }
        return there != null ? there : add(part);
    }

    private Kept<D> add(D part) {
        Stored s = garage.addOwnPart(family, json.writeValueAsString(part));
        return new Kept<>(s.id(), s.version(), part);
    }

    /**
     * A list: a header line, then a part in each line. {@code maker} and {@code number} are needed; the other columns are the
     * fields of the part, in words joined by underscores. A part that is known changes where the list has a figure for it.
     *
     * @param text the list, separated by commas, semicolons or tabulators
     * @param keep whether to keep it, or only say what it would do
     * @param needed columns without which it says nothing
     * @return what it changes, and every line that cannot be taken
     * @throws InvalidDocument when there is no such header
     */
    Imported importList(String text, boolean keep, List<String> needed) {
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
        if (text.indexOf('\0') >= 0) {
            throw Problem.refused("", null, "This is no text: a list of parts is a text file, separated by commas");
        }
        garage.lockOwnParts();
        Map<String, D> known = new HashMap<>();
        all().forEach(e -> known.put(key(e.part()), e.part()));
        Map<String, D> wanted = new LinkedHashMap<>();
        int added = 0;
        int changed = 0;
        int same = 0;
        List<Imported.Refused> refused = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(text.startsWith("\uFEFF") ? text.substring(1) : text, format)) {
            for (String column : needed) {
                if (!parser.getHeaderMap().containsKey(column)) {
                    throw Problem.refused(
                            "",
                            null,
                            "The list needs a first line with the columns " + String.join(", ", needed) + "; " + column
                                    + " is not there");
                }
            }
            for (CSVRecord row : parser) {
                long line = parser.getCurrentLineNumber();
                try {
                    D part = part(row, parser.getHeaderMap(), delimiter == ';', known);
                    D before = known.put(key(part), part);
                    if (part.equals(before)) {
                        same++;
                        continue;
                    }
                    added += before == null ? 1 : 0;
                    changed += before == null ? 0 : 1;
                    wanted.put(key(part), part);
                } catch (InvalidDocument e) {
                    Problem p = e.problems().get(0);
                    refused.add(new Imported.Refused(line, (p.path() + ": " + p.message()).replaceFirst("^/", "")));
                } catch (IllegalArgumentException e) {
                    refused.add(new Imported.Refused(line, "it has fewer columns than the first line"));
                }
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw Problem.refused("", null, "This list cannot be read: " + e.getMessage());
        }
        if (keep) {
            keep(wanted);
        }
        return new Imported(added, changed, same, List.copyOf(refused));
    }

    private void keep(Map<String, D> wanted) {
        Map<String, Kept<D>> own = own();
        List<String> fresh = new ArrayList<>();
        Map<UUID, String> changed = new LinkedHashMap<>();
        wanted.forEach((key, part) -> {
            Kept<D> there = own.get(key);
            if (there == null) {
                fresh.add(json.writeValueAsString(part));
            } else {
                changed.put(there.id(), json.writeValueAsString(part));
            }
        });
        garage.putOwnParts(family, fresh, changed);
    }

    private D part(CSVRecord row, Map<String, Integer> header, boolean decimalComma, Map<String, D> known) {
        D there = known.get(key(row.get("maker"), row.get("number")));
        ObjectNode node = there == null ? json.createObjectNode() : json.valueToTree(there);
        for (String column : header.keySet()) {
            Fields.field(type, column).ifPresent(f -> {
                String cell = row.isSet(column) ? row.get(column) : "";
                if (!cell.isEmpty()) {
                    set(node, f, cell, decimalComma);
                }
            });
        }
        Fields.defaults(type, node);
        return DocumentReader.read(node.toString(), type);
    }

    private static void set(ObjectNode node, Fields.Field field, String cell, boolean decimalComma) {
        if (field.type() == String.class) {
            node.put(field.name(), cell);
        } else if (field.type().isEnum()) {
            node.put(field.name(), cell.toUpperCase(Locale.ROOT).replace(' ', '_'));
        } else if (field.type() == boolean.class || field.type() == Boolean.class) {
            switch (cell.toLowerCase(Locale.ROOT)) {
                case "true", "yes", "1" -> node.put(field.name(), true);
                case "false", "no", "0" -> node.put(field.name(), false);
                default -> node.put(field.name(), cell);
            }
        } else if (List.class.isAssignableFrom(field.type())) {
            ArrayNode list = node.putArray(field.name());
            for (String one : cell.split("[ |]+")) {
                list.addPOJO(number(one, decimalComma));
            }
        } else {
            Object number = number(cell, decimalComma);
            if (number instanceof Double d) {
                if (d == Math.rint(d) && Math.abs(d) < 1e9) {
                    node.put(field.name(), d.longValue());
                } else {
                    node.put(field.name(), d);
                }
            } else {
                node.put(field.name(), cell);
            }
        }
    }

    /** The number, or what stands there instead, which the reader then refuses with its range. */
    private static Object number(String cell, boolean decimalComma) {
        try {
            return Double.parseDouble(decimalComma ? cell.replace(',', '.') : cell);
        } catch (NumberFormatException e) {
            return cell;
        }
    }
}
