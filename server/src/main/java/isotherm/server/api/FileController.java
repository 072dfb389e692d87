package isotherm.server.api;

import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.archive.DesignFiles;
import isotherm.server.archive.FileDocuments.GarageReport;
import isotherm.server.archive.GarageReader;
import isotherm.server.archive.GarageWriter;
import isotherm.server.contract.Attempt;
import isotherm.server.garage.DesignDocument;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import isotherm.server.store.LargeStore;
import isotherm.server.store.Stored;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Files that are taken from one installation to another. */
@RestController
@RequestMapping("/api")
class FileController {
    private static final int LARGEST_DESIGN = 2_000_000;

    private final GarageWriter writer;
    private final GarageReader reader;
    private final DesignFiles designs;
    private final Garage garage;
    private final JsonMapper json;

    FileController(GarageWriter writer, GarageReader reader, DesignFiles designs, Garage garage, JsonMapper json) {
        this.writer = writer;
        this.reader = reader;
        this.designs = designs;
        this.garage = garage;
        this.json = json;
    }

    /** The whole garage as a zip archive. */
    @Least(Role.VIEWER)
    @GetMapping(path = "/garage.zip", produces = "application/zip")
    void garage(HttpServletResponse response) throws IOException {
        // Whole before the first byte goes out: what fails on the way is told as a failure and not as half an archive.
        Path archive = Files.createTempFile("isotherm-garage", ".zip");
        try {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(archive))) {
                writer.write(out);
            }
            response.setContentType("application/zip");
            response.setContentLengthLong(Files.size(archive));
            response.setHeader(HttpHeaders.CONTENT_DISPOSITION, attachment("isotherm-garage.zip"));
            Files.copy(archive, response.getOutputStream());
        } finally {
            Files.deleteIfExists(archive);
        }
    }

    /** Takes in a garage that was written elsewhere, whole or not at all. What is here already is never changed. */
    @Least(Role.BUILDER)
    @PostMapping(path = "/garage", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    GarageReport takeIn(@RequestParam(defaultValue = "false") boolean copies, HttpServletRequest request)
            throws IOException {
        return reader.read(request.getInputStream(), copies);
    }

    /** One design as a file. */
    @Least(Role.VIEWER)
    @GetMapping(path = "/designs/{id}/file", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> design(@PathVariable UUID id) {
        DesignDocument design = Attempt.document(garage.get(Kind.DESIGN, id).document(), DesignDocument.class);
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, attachment(design.name() + ".json"))
                .body(designs.write(design));
    }

    /** Takes in a design out of a file. */
    @Least(Role.BUILDER)
    @PostMapping(path = "/cars/{carId}/designs/file", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    ResponseEntity<Views.DesignView> takeInDesign(
            @PathVariable UUID carId,
            @RequestHeader(name = Etags.KEY, required = false) UUID key,
            HttpServletRequest request)
            throws IOException {
        byte[] data = request.getInputStream().readNBytes(LARGEST_DESIGN + 1);
        if (data.length > LARGEST_DESIGN) {
            throw new LargeStore.TooLarge(LARGEST_DESIGN);
        }
        DesignDocument design = designs.read(new String(data, StandardCharsets.UTF_8));
        Stored stored = garage.addPart(Kind.DESIGN, Etags.identity(key), carId, json.writeValueAsString(design));
        return ResponseEntity.status(HttpStatus.CREATED)
                .eTag(Etags.of(stored))
                .body(new Views.DesignView(stored.id(), stored.version(), design));
    }

    private static String attachment(String name) {
        return ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString();
    }
}
