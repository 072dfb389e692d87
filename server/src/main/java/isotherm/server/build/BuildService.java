package isotherm.server.build;

import isotherm.core.sheet.Entry;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.build.BuildDocuments.EntryDocument;
import isotherm.server.contract.Attempt;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.store.Books;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import isotherm.server.store.Stored;
import java.io.IOException;
import java.io.InputStream;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Builds and what is written on their sheets. */
@Service
public class BuildService {
    private final Garage garage;
    private final Books log;
    private final JsonMapper json;

    BuildService(Garage garage, Books log, JsonMapper json) {
        this.garage = garage;
        this.log = log;
        this.json = json;
    }

    /**
     * @param id a build
     * @return the build
     * @throws isotherm.server.store.NotStored when there is none
     */
    public BuildDocument build(UUID id) {
        return Attempt.document(garage.get(Kind.BUILD, id).document(), BuildDocument.class);
    }

    /**
     * @param id a build
     * @return what was written on its sheet, oldest first
     */
    public List<EntryDocument> entries(UUID id) {
        return read(log.entries(Kind.BUILD, id));
    }

    /**
     * @param ids builds
     * @return what was written on the sheet of each, oldest first
     */
    public Map<UUID, List<EntryDocument>> entries(Collection<UUID> ids) {
        Map<UUID, List<String>> written = log.entries(Kind.BUILD, ids);
        return ids.stream().collect(Collectors.toMap(id -> id, id -> read(written.getOrDefault(id, List.of()))));
    }

    private static List<EntryDocument> read(List<String> documents) {
        // An entry that today's rules refuse is told among what is broken; the others count without it.
        return documents.stream()
                .flatMap(d -> Attempt.read(d, EntryDocument.class).found().stream())
                .toList();
    }

    /**
     * A sheet after it was written on.
     *
     * @param fresh whether the entry is new: what is sent twice is written once
     * @param version the build's version
     * @param build the build
     * @param entries what is written on its sheet now, oldest first
     */
    public record Written(boolean fresh, int version, BuildDocument build, List<EntryDocument> entries) {}

    /**
     * @param id a build
     * @param entry what is to be written on its sheet
     * @return the sheet with it
     * @throws InvalidDocument when the sheet does not take it, with the reason
     */
    public Written write(UUID id, EntryDocument entry) {
        Stored stored = garage.get(Kind.BUILD, id);
        BuildDocument build = Attempt.document(stored.document(), BuildDocument.class);
        Entry wanted = Builds.entry(build, entry);
        if (entry.kind() == Entry.Kind.PICTURE) {
            log.picture(Kind.BUILD, id, pictureOf(entry));
        }
        Books.Book book =
                log.write(Kind.BUILD, id, wanted.id(), json.writeValueAsString(entry), before -> Builds.progress(
                                build, read(before))
                        .refusal(wanted)
                        .ifPresent(why -> {
                            throw Problem.refused("/on", entry.on(), why);
                        }));
        return new Written(book.fresh(), stored.version(), build, read(book.entries()));
    }

    private static UUID pictureOf(EntryDocument entry) {
        try {
            return UUID.fromString(entry.text());
        } catch (IllegalArgumentException | NullPointerException e) {
            throw Problem.refused("/text", entry.text(), "The identity of a picture that was sent is expected here");
        }
    }

    /**
     * @param id a build
     * @param picture identity of the picture, given by whoever sends it
     * @param in a JPEG, PNG or WebP
     * @throws IOException when it cannot be read
     * @throws InvalidDocument when it is no picture that is taken
     */
    public void keepPicture(UUID id, UUID picture, InputStream in) throws IOException {
        garage.get(Kind.BUILD, id);
        log.keepPicture(Kind.BUILD, id, picture, Pictures.taken(in));
    }

    /**
     * @param id a build
     * @param picture a picture
     * @return it as a JPEG
     */
    public byte[] picture(UUID id, UUID picture) {
        return log.picture(Kind.BUILD, id, picture);
    }
}
