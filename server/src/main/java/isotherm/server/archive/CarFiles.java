package isotherm.server.archive;

import isotherm.server.document.BuildDocuments.BuildDocument;
import isotherm.server.document.BuildDocuments.EntryDocument;
import isotherm.server.document.CarDocument;
import isotherm.server.document.CareDocuments.CareEntryDocument;
import isotherm.server.document.Channel;
import isotherm.server.document.DesignDocument;
import isotherm.server.document.DocumentReader;
import isotherm.server.document.DutyDocument;
import isotherm.server.document.FileDocuments.BuildContents;
import isotherm.server.document.FileDocuments.CarContents;
import isotherm.server.document.InvalidDocument;
import isotherm.server.document.LogDocument;
import isotherm.server.document.Problem;
import isotherm.server.logs.LogService;
import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;

/**
 * A car of an archive with all its documents, read and checked; rows and pictures stay where they are until they are wanted.
 *
 * @param contents what belongs to it
 * @param car the car
 * @param texts the documents' texts by the names of their files
 * @param books the books' entries by the names of their files
 */
record CarFiles(CarContents contents, CarDocument car, Map<String, String> texts, Map<String, List<Written>> books) {
    /**
     * An entry of a book.
     *
     * @param id its identity
     * @param text its JSON text
     */
    record Written(UUID id, String text) {}

    static CarFiles read(Archive archive, CarContents contents) throws IOException {
        Map<String, String> texts = new LinkedHashMap<>();
        CarDocument car = document(archive, Names.car(contents), CarDocument.class, texts);
        for (String id : contents.duties()) {
            document(archive, Names.duty(contents, id), DutyDocument.class, texts);
        }
        for (String id : contents.designs()) {
            document(archive, Names.design(contents, id), DesignDocument.class, texts);
        }
        for (String id : contents.logs()) {
            String name = Names.log(contents, id);
            check(name, document(archive, name, LogDocument.class, texts));
        }
        Map<String, List<Written>> books = new LinkedHashMap<>();
        for (BuildContents b : contents.builds()) {
            String name = Names.build(contents, b);
            check(name, document(archive, name, BuildDocument.class, texts));
            String sheet = Names.entries(contents, b);
            books.put(sheet, book(archive, sheet, EntryDocument.class, EntryDocument::id));
        }
        String care = Names.care(contents);
        books.put(care, book(archive, care, CareEntryDocument.class, CareEntryDocument::id));
        return new CarFiles(contents, car, texts, books);
    }

    private static <T extends Record> T document(Archive archive, String name, Class<T> type, Map<String, String> texts)
            throws IOException {
        String text = archive.text(name, Archive.LARGEST_DOCUMENT);
        texts.put(name, text);
        return document(name, text, type);
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

    private static <T extends Record> List<Written> book(
            Archive archive, String name, Class<T> type, Function<T, String> id) throws IOException {
        List<Written> entries = new ArrayList<>();
        for (String line : archive.text(name, Archive.LARGEST_BOOK).lines().toList()) {
            String where = name + ", line " + (entries.size() + 1) + " ";
            entries.add(new Written(UUID.fromString(id.apply(document(where, line, type))), line));
        }
        return entries;
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
