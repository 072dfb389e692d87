package isotherm.server.archive;

import isotherm.server.archive.FileDocuments.BuildContents;
import isotherm.server.archive.FileDocuments.CarContents;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.build.BuildDocuments.EntryDocument;
import isotherm.server.care.CareDocuments.CareEntryDocument;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.evidence.Channel;
import isotherm.server.evidence.LogDocument;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import isotherm.server.logs.LogService;
import isotherm.server.store.Schema;
import isotherm.server.store.Shelf;
import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A car of an archive with all its documents, read and checked; rows and pictures stay where they are until they are wanted.
 *
 * @param contents what belongs to it
 * @param name what the car is called
 * @param texts the documents' texts by the names of their files
 * @param books the books' entries by the names of their files
 */
record CarFiles(CarContents contents, String name, Map<String, String> texts, Map<String, List<Written>> books) {
    /**
     * An entry of a book.
     *
     * @param id its identity
     * @param text its JSON text
     */
    record Written(UUID id, String text) {}

    private static final JsonMapper JSON = new JsonMapper();

    static CarFiles read(Archive archive, CarContents contents, int schema) throws IOException {
        Lifting from = new Lifting(archive, schema);
        Map<String, String> texts = new LinkedHashMap<>();
        document(from, Shelf.CAR, contents, contents.id(), Names.car(contents), CarDocument.class, texts);
        for (String id : contents.duties()) {
            document(from, Shelf.DUTY, contents, id, Names.duty(contents, id), DutyDocument.class, texts);
        }
        for (String id : contents.designs()) {
            document(from, Shelf.DESIGN, contents, id, Names.design(contents, id), DesignDocument.class, texts);
        }
        for (String id : contents.logs()) {
            String name = Names.log(contents, id);
            document(from, Shelf.LOG, contents, id, name, LogDocument.class, texts)
                    .ifPresent(log -> check(name, log));
        }
        Map<String, List<Written>> books = new LinkedHashMap<>();
        for (BuildContents b : contents.builds()) {
            String name = Names.build(contents, b);
            document(from, Shelf.BUILD, contents, b.id(), name, BuildDocument.class, texts)
                    .ifPresent(build -> check(name, build));
            String sheet = Names.entries(contents, b);
            books.put(sheet, book(from, Shelf.SHEET_ENTRY, contents, sheet, EntryDocument.class));
        }
        String care = Names.care(contents);
        books.put(care, book(from, Shelf.CARE_ENTRY, contents, care, CareEntryDocument.class));
        return new CarFiles(contents, name(texts.get(Names.car(contents))), texts, books);
    }

    private static String name(String car) {
        try {
            return JSON.readTree(car).path("name").asString("Without a name");
        } catch (JacksonException e) {
            return "Not readable at all";
        }
    }

    /** The car's document under another name; as it is when it cannot be read. */
    String renamed(String to) {
        String car = texts.get(Names.car(contents));
        try {
            return JSON.readTree(car) instanceof ObjectNode node
                    ? node.put("name", to).toString()
                    : car;
        } catch (JacksonException e) {
            return car;
        }
    }

    /** The identity that an entry of a book gives itself; empty when it gives none. */
    static String identity(String entry) {
        try {
            return JSON.readTree(entry).path("id").asString("");
        } catch (JacksonException e) {
            return "";
        }
    }

    /** A document that was kept before today's rules, as its contents say, comes in as it is; nothing else of it is believed. */
    private static <T extends Record> Optional<T> document(
            Lifting from,
            Shelf shelf,
            CarContents contents,
            String id,
            String name,
            Class<T> type,
            Map<String, String> texts)
            throws IOException {
        String text = from.document(shelf, name);
        texts.put(name, text);
        return contents.isSpoiled(id) ? Optional.empty() : Optional.of(document(name, text, type));
    }

    /** Tells the file with every problem. */
    static <T extends Record> T document(String name, String text, Class<T> type) {
        try {
            return DocumentReader.read(text, type);
        } catch (InvalidDocument e) {
            throw new InvalidDocument(e.problems().stream()
                    .map(p -> new Problem(name + p.path(), p.value(), p.message(), p.min(), p.max(), p.unit()))
                    .toList());
        }
    }

    private static List<Written> book(
            Lifting from, Shelf shelf, CarContents contents, String name, Class<? extends Record> type)
            throws IOException {
        List<Written> entries = new ArrayList<>();
        for (String line : from.lines(shelf, name)) {
            String where = name + ", line " + (entries.size() + 1) + " ";
            String id = identity(line);
            if (!contents.isSpoiled(id)) {
                document(where, line, type);
            }
            try {
                entries.add(new Written(UUID.fromString(id), line));
            } catch (IllegalArgumentException e) {
                throw Archive.refused(where, "This entry has no identity");
            }
        }
        return entries;
    }

    /** An archive of any schema, read in today's. */
    private record Lifting(Archive archive, int schema) {
        String document(Shelf shelf, String name) throws IOException {
            return Schema.lift(shelf, schema, archive.text(name, Archive.LARGEST_DOCUMENT));
        }

        List<String> lines(Shelf shelf, String name) throws IOException {
            return archive.text(name, Archive.LARGEST_BOOK)
                    .lines()
                    .map(line -> Schema.lift(shelf, schema, line))
                    .toList();
        }
    }

    private static void check(String name, LogDocument log) {
        List<Channel> channels = log.channels();
        if (channels.get(0) != Channel.TIME || EnumSet.copyOf(channels).size() != channels.size()) {
            throw Archive.refused(name + "/channels", "The time first and every channel once is expected here");
        }
        if (log.rows() < 2 || log.rows() > LogService.MOST_ROWS) {
            throw Archive.refused(name + "/rows", "2 to " + LogService.MOST_ROWS + " rows are expected here");
        }
    }

    private static void check(String name, BuildDocument build) {
        List<Problem> problems = new ArrayList<>();
        build.car().check(name + "/car", problems);
        build.design().check(name + "/design", problems);
        if (!problems.isEmpty()) {
            throw new InvalidDocument(problems);
        }
    }

    /** Every identity in it, that of the car first. */
    Set<UUID> identities() {
        List<String> ids = new ArrayList<>(List.of(contents.id()));
        ids.addAll(contents.duties());
        ids.addAll(contents.designs());
        ids.addAll(contents.logs());
        ids.addAll(contents.ofTheCar());
        contents.builds().forEach(b -> {
            ids.add(b.id());
            ids.addAll(b.pictures());
        });
        Set<UUID> all = new LinkedHashSet<>(ids.stream().map(UUID::fromString).toList());
        for (var book : books.entrySet()) {
            for (Written w : book.getValue()) {
                if (!all.add(w.id())) {
                    throw Archive.refused(book.getKey(), "The identity " + w.id() + " stands in this archive twice");
                }
            }
        }
        return all;
    }
}
