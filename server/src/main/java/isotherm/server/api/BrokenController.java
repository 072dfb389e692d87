package isotherm.server.api;

import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.build.BuildDocuments.EntryDocument;
import isotherm.server.care.CareDocuments.CareEntryDocument;
import isotherm.server.catalogue.Families;
import isotherm.server.contract.Attempt;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.evidence.LogDocument;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import isotherm.server.logs.LogService;
import isotherm.server.store.Books;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import isotherm.server.store.Stored;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Stored documents that today's rules refuse: shown with what is wrong, mended, saved elsewhere, removed. */
@RestController
@RequestMapping("/api/broken")
class BrokenController {
    private final Garage garage;
    private final Books books;
    private final LogService logs;
    private final JsonMapper json;

    BrokenController(Garage garage, Books books, LogService logs, JsonMapper json) {
        this.garage = garage;
        this.books = books;
        this.logs = logs;
        this.json = json;
    }

    /** What a broken document is. */
    enum What {
        /** A car. */
        CAR,
        /** A duty. */
        DUTY,
        /** A design. */
        DESIGN,
        /** A log. */
        LOG,
        /** A build. */
        BUILD,
        /** A part of the garage's own. */
        PART,
        /** An entry of a run sheet, which can only be shown: nothing that was written there is ever changed. */
        BUILD_ENTRY,
        /** An entry of a care book, likewise. */
        CARE_ENTRY
    }

    /**
     * A document that today's rules refuse.
     *
     * @param what what it is
     * @param id its identity; of an entry that of its build or car
     * @param carId the car that it belongs to
     * @param version version, for If-Match
     * @param name what it calls itself
     * @param problems what is wrong
     */
    record BrokenView(
            What what,
            UUID id,
            @Missing("a part of the garage's own") UUID carId,
            int version,
            String name,
            List<Problem> problems) {}

    /** What today's rules refuse: of one car, or of the whole garage with its own parts. */
    @Least(Role.VIEWER)
    @GetMapping
    List<BrokenView> all(@RequestParam(name = "car", required = false) UUID carId) {
        List<BrokenView> broken = new ArrayList<>();
        List<Stored> cars = carId == null ? garage.cars() : List.of(garage.get(Kind.CAR, carId));
        cars.forEach(car -> add(broken, car));
        if (carId == null) {
            for (Garage.OwnPart own : garage.ownParts()) {
                Families.document(own.family()).ifPresent(type -> add(broken, What.PART, own.part(), null, type));
            }
        }
        return broken;
    }

    private void add(List<BrokenView> broken, Stored car) {
        UUID id = car.id();
        add(broken, What.CAR, car, id, CarDocument.class);
        garage.parts(Kind.DUTY, id).forEach(s -> add(broken, What.DUTY, s, id, DutyDocument.class));
        garage.parts(Kind.DESIGN, id).forEach(s -> add(broken, What.DESIGN, s, id, DesignDocument.class));
        garage.parts(Kind.LOG, id).forEach(s -> add(broken, What.LOG, s, id, LogDocument.class));
        List<Stored> builds = garage.parts(Kind.BUILD, id);
        Map<UUID, List<String>> sheets =
                books.entries(Kind.BUILD, builds.stream().map(Stored::id).toList());
        for (Stored build : builds) {
            add(broken, What.BUILD, build, id, BuildDocument.class);
            for (String entry : sheets.getOrDefault(build.id(), List.of())) {
                Stored written = new Stored(build.id(), build.version(), entry);
                add(broken, What.BUILD_ENTRY, written, id, EntryDocument.class);
            }
        }
        for (String entry : books.entries(Kind.CAR, id)) {
            add(broken, What.CARE_ENTRY, new Stored(id, car.version(), entry), id, CareEntryDocument.class);
        }
    }

    private void add(List<BrokenView> broken, What what, Stored stored, UUID carId, Class<? extends Record> type) {
        Attempt<?> read = Attempt.read(stored.document(), type);
        if (read.found().isEmpty()) {
            broken.add(new BrokenView(
                    what, stored.id(), carId, stored.version(), name(json, stored.document()), read.problems()));
        }
    }

    /** What a document calls itself, however broken it is. */
    static String name(JsonMapper json, String document) {
        try {
            JsonNode node = json.readTree(document);
            String name = node.path("name").asString(node.path("number").asString(""));
            return name.isBlank() ? "Without a name" : name;
        } catch (JacksonException e) {
            return "Not readable at all";
        }
    }

    /** The document as it is stored. */
    @Least(Role.VIEWER)
    @GetMapping(path = "/{what}/{id}", produces = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<String> text(@PathVariable What what, @PathVariable UUID id) {
        Stored stored = stored(what, id);
        return ResponseEntity.ok().eTag(Etags.of(stored)).body(stored.document());
    }

    private Stored stored(What what, UUID id) {
        return what == What.PART ? garage.ownPart(id).part() : garage.get(kind(what), id);
    }

    private static Kind kind(What what) {
        return switch (what) {
            case CAR -> Kind.CAR;
            case DUTY -> Kind.DUTY;
            case DESIGN -> Kind.DESIGN;
            case LOG -> Kind.LOG;
            case BUILD -> Kind.BUILD;
            case PART, BUILD_ENTRY, CARE_ENTRY ->
                throw Problem.refused("/what", what.name(), "What was written in a book stays as it was written");
        };
    }

    /** Puts a mended document in the place of a broken one. */
    @Least(Role.BUILDER)
    @PutMapping(path = "/{what}/{id}", consumes = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<Void> mend(
            @PathVariable What what,
            @PathVariable UUID id,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @RequestBody String text) {
        int basedOn = Etags.version(ifMatch);
        Stored stored;
        if (what == What.PART) {
            Class<? extends Record> type =
                    Families.document(garage.ownPart(id).family()).orElseThrow();
            stored = garage.replaceOwnPart(id, basedOn, json.writeValueAsString(DocumentReader.read(text, type)));
        } else {
            Class<? extends Record> type =
                    switch (kind(what)) {
                        case CAR -> CarDocument.class;
                        case DUTY -> DutyDocument.class;
                        case DESIGN -> DesignDocument.class;
                        case LOG -> LogDocument.class;
                        case BUILD -> BuildDocument.class;
                    };
            Record document = DocumentReader.read(text, type);
            if (document instanceof LogDocument log) {
                logs.checkRows(id, log);
            }
            stored = garage.replace(kind(what), id, basedOn, json.writeValueAsString(document));
        }
        return ResponseEntity.noContent().eTag(Etags.of(stored)).build();
    }

    @Least(Role.BUILDER)
    @DeleteMapping("/{what}/{id}")
    ResponseEntity<Void> remove(
            @PathVariable What what, @PathVariable UUID id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch) {
        if (what == What.PART) {
            garage.removeOwnPart(id, Etags.version(ifMatch));
        } else {
            garage.remove(kind(what), id, Etags.version(ifMatch));
        }
        return ResponseEntity.noContent().build();
    }
}
