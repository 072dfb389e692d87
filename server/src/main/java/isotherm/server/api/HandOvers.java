package isotherm.server.api;

import isotherm.core.sheet.Entry;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.build.BuildDocuments.EntryDocument;
import isotherm.server.build.BuildDocuments.SheetProgress;
import isotherm.server.build.BuildService;
import isotherm.server.build.Builds;
import isotherm.server.care.CareDocuments.CareView;
import isotherm.server.files.HandOver;
import isotherm.server.files.Speech;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Service;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import tools.jackson.databind.json.JsonMapper;

/** What goes with a car that was built: a paper to sign, and an archive that anything can open. */
@Service
class HandOvers {
    private static final String ABOUT =
            """
            What was built into a car and how, as Isotherm hands it over.

            hand-over.pdf   the paper: what was fitted, joints with their figures, readings, what is due
            build.json      the build: car, design, run sheet and parts, as they were when it was begun
            entries.json    everything that was written on the run sheet, oldest first
            care.json       the care book: tasks with what is due, trends, and everything that was written
            pictures/       pictures, named by their identity in entries.json

            Figures in JSON are in the metric unit of their measure; texts are UTF-8.
            """;

    private final BuildService builds;
    private final CareBooks care;
    private final Garage garage;
    private final JsonMapper json;

    HandOvers(BuildService builds, CareBooks care, Garage garage, JsonMapper json) {
        this.builds = builds;
        this.care = care;
        this.garage = garage;
        this.json = json;
    }

    private byte[] paper(UUID id, BuildDocument build, List<EntryDocument> entries, CareView view, Speech speech) {
        SheetProgress progress = Builds.shown(build, entries);
        return HandOver.pdf(build, progress, view, picture -> builds.picture(id, UUID.fromString(picture)), speech);
    }

    /**
     * @param id a build
     * @param speech how the reader is spoken to
     * @return the paper, as an answer
     */
    ResponseEntity<byte[]> pdf(UUID id, Speech speech) {
        byte[] pdf = paper(id, builds.build(id), builds.entries(id), care.view(garage.carOf(Kind.BUILD, id)), speech);
        return named("hand-over.pdf", MediaType.APPLICATION_PDF).body(pdf);
    }

    /**
     * @param id a build
     * @param speech how the reader is spoken to
     * @return the archive, as an answer
     */
    ResponseEntity<StreamingResponseBody> archive(UUID id, Speech speech) {
        BuildDocument build = builds.build(id);
        List<EntryDocument> entries = builds.entries(id);
        CareView view = care.view(garage.carOf(Kind.BUILD, id));
        byte[] pdf = paper(id, build, entries, view, speech);
        StreamingResponseBody body = out -> write(id, build, entries, view, pdf, out);
        return named("hand-over.zip", MediaType.parseMediaType("application/zip"))
                .body(body);
    }

    private void write(
            UUID id, BuildDocument build, List<EntryDocument> entries, CareView view, byte[] pdf, OutputStream out)
            throws IOException {
        try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
            put(zip, "README.txt", ABOUT.getBytes(StandardCharsets.UTF_8));
            put(zip, "hand-over.pdf", pdf);
            put(zip, "build.json", json.writeValueAsBytes(build));
            put(zip, "entries.json", json.writeValueAsBytes(entries));
            put(zip, "care.json", json.writeValueAsBytes(view));
            for (String picture : entries.stream()
                    .filter(e -> e.kind() == Entry.Kind.PICTURE)
                    .map(EntryDocument::text)
                    .distinct()
                    .toList()) {
                put(zip, "pictures/" + picture + ".jpg", builds.picture(id, UUID.fromString(picture)));
            }
        }
    }

    private static void put(ZipOutputStream zip, String name, byte[] content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(content);
        zip.closeEntry();
    }

    private static ResponseEntity.BodyBuilder named(String name, MediaType type) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString());
    }
}
