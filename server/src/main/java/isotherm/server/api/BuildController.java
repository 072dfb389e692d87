package isotherm.server.api;

import isotherm.core.message.Measure;
import isotherm.server.access.Least;
import isotherm.server.access.Person;
import isotherm.server.access.Role;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.build.BuildDocuments.EntryDocument;
import isotherm.server.build.BuildDocuments.NewBuild;
import isotherm.server.build.BuildService;
import isotherm.server.build.Builds;
import isotherm.server.build.Feeds;
import isotherm.server.build.GaugePort;
import isotherm.server.build.LiveGauges;
import isotherm.server.build.LoggerKey;
import isotherm.server.catalogue.CoreCatalogue;
import isotherm.server.catalogue.PlumbingCatalogue;
import isotherm.server.contract.Attempt;
import isotherm.server.files.SheetFiles;
import isotherm.server.files.Speech;
import isotherm.server.logger.LoggerDocuments.EngineCommand;
import isotherm.server.logger.LoggerDocuments.LoggerChoice;
import isotherm.server.store.Garage;
import isotherm.server.store.IdentityTaken;
import isotherm.server.store.Kind;
import isotherm.server.store.Stored;
import isotherm.words.UnitChoice;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.databind.json.JsonMapper;

/** Builds: the run sheet of a design, worked through at the car. */
@RestController
@RequestMapping("/api")
class BuildController {
    private final BuildService builds;
    private final LiveGauges gauges;
    private final Feeds feeds;
    private final GaugePort port;
    private final Garage garage;
    private final PlumbingCatalogue catalogue;
    private final CoreCatalogue cores;
    private final JsonMapper json;

    BuildController(
            BuildService builds,
            LiveGauges gauges,
            Feeds feeds,
            GaugePort port,
            Garage garage,
            PlumbingCatalogue catalogue,
            CoreCatalogue cores,
            JsonMapper json) {
        this.builds = builds;
        this.gauges = gauges;
        this.feeds = feeds;
        this.port = port;
        this.garage = garage;
        this.catalogue = catalogue;
        this.cores = cores;
        this.json = json;
    }

    @Least(Role.VIEWER)
    @GetMapping("/cars/{carId}/builds")
    List<Views.BuildSummary> builds(@PathVariable UUID carId) {
        List<Stored> stored = garage.parts(Kind.BUILD, carId);
        Map<UUID, List<EntryDocument>> written =
                builds.entries(stored.stream().map(Stored::id).toList());
        return stored.stream()
                .flatMap(s -> Attempt.read(s.document(), BuildDocument.class).found().stream()
                        .map(build -> new Views.BuildSummary(
                                s.id(),
                                s.version(),
                                build.name(),
                                build.startedAt(),
                                Builds.shown(build, written.get(s.id())).done(),
                                build.steps().size())))
                .toList();
    }

    @Least(Role.BUILDER)
    @PostMapping("/cars/{carId}/builds")
    ResponseEntity<Views.BuildView> begin(
            @PathVariable UUID carId,
            @RequestBody NewBuild wanted,
            @RequestHeader(name = Etags.KEY, required = false) UUID key) {
        UUID id = Etags.identity(key);
        // One that was begun already has the moment of its own beginning.
        if (garage.find(Kind.BUILD, id).isEmpty()) {
            BuildDocument build = Builds.begin(
                    wanted, catalogue.parts(), cores.parts(), Instant.now().truncatedTo(ChronoUnit.SECONDS));
            garage.addPart(Kind.BUILD, id, carId, Attempt.written(json, build));
        } else if (!garage.carOf(Kind.BUILD, id).equals(carId)) {
            throw new IdentityTaken(id);
        }
        return ResponseEntity.status(HttpStatus.CREATED).body(build(id));
    }

    /** A sheet as a build of this design would begin with, with nothing kept: to be read before a tool is lifted. */
    @Least(Role.VIEWER)
    @PostMapping("/builds/preview")
    BuildDocument preview(@RequestBody NewBuild wanted) {
        return Builds.begin(
                wanted, catalogue.parts(), cores.parts(), Instant.now().truncatedTo(ChronoUnit.SECONDS));
    }

    @Least(Role.VIEWER)
    @PostMapping("/builds/preview.pdf")
    ResponseEntity<byte[]> previewPdf(
            @RequestBody NewBuild wanted, @RequestParam(defaultValue = "") Set<Measure> imperial) {
        BuildDocument build = preview(wanted);
        return paper(SheetFiles.pdf(
                build, Builds.shown(build, List.of()), picture -> new byte[0], new Speech(new UnitChoice(imperial))));
    }

    private static ResponseEntity<byte[]> paper(byte[] pdf) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("run-sheet.pdf")
                                .build()
                                .toString())
                .body(pdf);
    }

    @Least(Role.VIEWER)
    @GetMapping("/builds/{id}")
    Views.BuildView build(@PathVariable UUID id) {
        Stored stored = garage.get(Kind.BUILD, id);
        BuildDocument build = Attempt.document(stored.document(), BuildDocument.class);
        return new Views.BuildView(id, stored.version(), build, Builds.shown(build, builds.entries(id)));
    }

    @Least(Role.BUILDER)
    @DeleteMapping("/builds/{id}")
    ResponseEntity<Void> remove(@PathVariable UUID id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch) {
        garage.remove(Kind.BUILD, id, Etags.version(ifMatch));
        return ResponseEntity.noContent().build();
    }

    /** Everything that was ever written on a sheet, corrections included. */
    @Least(Role.VIEWER)
    @GetMapping("/builds/{id}/entries")
    List<EntryDocument> entries(@PathVariable UUID id) {
        garage.get(Kind.BUILD, id);
        return builds.entries(id);
    }

    /** Writes on a sheet. The same entry may be sent again by somebody who did not hear that it arrived. */
    @Least(Role.BUILDER)
    @PostMapping("/builds/{id}/entries")
    ResponseEntity<Views.BuildView> write(@PathVariable UUID id, @RequestBody EntryDocument entry) {
        BuildService.Written written = builds.write(id, entry.by(Person.nameOr(entry.who())));
        return ResponseEntity.status(written.fresh() ? HttpStatus.CREATED : HttpStatus.OK)
                .body(new Views.BuildView(
                        id, written.version(), written.build(), Builds.shown(written.build(), written.entries())));
    }

    @Least(Role.BUILDER)
    @PutMapping(path = "/builds/{id}/pictures/{picture}", consumes = "image/*")
    ResponseEntity<Void> keepPicture(@PathVariable UUID id, @PathVariable UUID picture, HttpServletRequest request)
            throws IOException {
        builds.keepPicture(id, picture, request.getInputStream());
        return ResponseEntity.noContent().build();
    }

    @Least(Role.VIEWER)
    @GetMapping(path = "/builds/{id}/pictures/{picture}", produces = MediaType.IMAGE_JPEG_VALUE)
    byte[] picture(@PathVariable UUID id, @PathVariable UUID picture) {
        return builds.picture(id, picture);
    }

    /** What the gauges show, as server-sent events. */
    @Least(Role.VIEWER)
    @GetMapping(path = "/builds/{id}/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter live(@PathVariable UUID id) {
        return gauges.listen(id);
    }

    @Least(Role.BUILDER)
    @PostMapping("/builds/{id}/logger")
    ResponseEntity<Void> attach(@PathVariable UUID id, @RequestBody LoggerChoice choice) {
        feeds.attach(id, choice);
        return ResponseEntity.noContent().build();
    }

    /** A key by which a logger that comes by itself is let in. */
    @Least(Role.BUILDER)
    @PostMapping("/builds/{id}/logger/key")
    LoggerKey key(@PathVariable UUID id) {
        return port.key(id);
    }

    @Least(Role.BUILDER)
    @DeleteMapping("/builds/{id}/logger")
    ResponseEntity<Void> detach(@PathVariable UUID id) {
        feeds.detach(id);
        return ResponseEntity.noContent().build();
    }

    @Least(Role.BUILDER)
    @PostMapping("/builds/{id}/logger/engine")
    ResponseEntity<Void> turn(@PathVariable UUID id, @RequestBody EngineCommand command) {
        feeds.turn(id, command.turning());
        return ResponseEntity.noContent().build();
    }

    @Least(Role.VIEWER)
    @GetMapping("/builds/{id}/sheet.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable UUID id, @RequestParam(defaultValue = "") Set<Measure> imperial) {
        BuildDocument build = builds.build(id);
        return paper(SheetFiles.pdf(
                build,
                Builds.shown(build, builds.entries(id)),
                picture -> builds.picture(id, UUID.fromString(picture)),
                new Speech(new UnitChoice(imperial))));
    }
}
