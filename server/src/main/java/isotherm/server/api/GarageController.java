package isotherm.server.api;

import isotherm.server.catalogue.CarClasses;
import isotherm.server.document.CarClass;
import isotherm.server.document.CarDocument;
import isotherm.server.document.DesignDocument;
import isotherm.server.document.DocumentReader;
import isotherm.server.document.DutyDocument;
import isotherm.server.document.InvalidDocument;
import isotherm.server.document.LogDocument;
import isotherm.server.document.Problem;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import isotherm.server.store.Stored;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Cars with their duties and designs. Every change names the version it is based on. */
@RestController
@RequestMapping("/api")
class GarageController {
    private final Garage garage;
    private final JsonMapper json;
    private final CarClasses classes;

    GarageController(Garage garage, JsonMapper json, CarClasses classes) {
        this.garage = garage;
        this.json = json;
        this.classes = classes;
    }

    @GetMapping("/classes")
    List<CarClass> classes() {
        return classes.all();
    }

    /** A new car of a class, with that class's usual duty and a design of the car as it is. */
    @PostMapping("/cars/from-class")
    ResponseEntity<Views.CarView> fromClass(@RequestBody CarClass.FromClass wanted) {
        CarClass from = classes.find(wanted.classId())
                .orElseThrow(() -> new InvalidDocument(List.of(Problem.of(
                        "/classId",
                        wanted.classId(),
                        "This class is not known; known are "
                                + classes.all().stream().map(CarClass::id).collect(Collectors.joining(", "))))));
        Stored stored = garage.addCar(
                json.writeValueAsString(from.car().named(wanted.name())),
                json.writeValueAsString(from.duty()),
                json.writeValueAsString(new DesignDocument("As it is today", null, true, null, null)));
        return created(stored, car(stored.id()));
    }

    @GetMapping("/cars")
    List<Views.CarSummary> cars() {
        return garage.cars().stream()
                .map(s -> new Views.CarSummary(s.id(), car(s).name()))
                .toList();
    }

    @GetMapping("/cars/{id}")
    Views.CarView car(@PathVariable UUID id) {
        Stored stored = garage.get(Kind.CAR, id);
        return new Views.CarView(
                id,
                stored.version(),
                car(stored),
                garage.parts(Kind.DUTY, id).stream().map(this::duty).toList(),
                garage.parts(Kind.DESIGN, id).stream().map(this::design).toList(),
                garage.parts(Kind.LOG, id).stream()
                        .map(s -> new Views.LogView(
                                s.id(), s.version(), DocumentReader.read(s.document(), LogDocument.class)))
                        .toList());
    }

    @DeleteMapping("/cars/{id}")
    ResponseEntity<Void> removeCar(@PathVariable UUID id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch) {
        garage.remove(Kind.CAR, id, Etags.version(ifMatch));
        return ResponseEntity.noContent().build();
    }

    @PostMapping("/cars")
    ResponseEntity<Views.CarView> addCar(@RequestBody CarDocument document) {
        Stored stored = garage.addCar(json.writeValueAsString(document));
        return created(
                stored, new Views.CarView(stored.id(), stored.version(), document, List.of(), List.of(), List.of()));
    }

    @PutMapping("/cars/{id}")
    ResponseEntity<Views.CarView> replaceCar(
            @PathVariable UUID id,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @RequestBody CarDocument document) {
        Stored stored = replace(Kind.CAR, id, ifMatch, document);
        return ResponseEntity.ok().eTag(Etags.of(stored)).body(car(id));
    }

    @PostMapping("/cars/{carId}/duties")
    ResponseEntity<Views.DutyView> addDuty(@PathVariable UUID carId, @RequestBody DutyDocument document) {
        Stored stored = garage.addPart(Kind.DUTY, carId, json.writeValueAsString(document));
        return created(stored, duty(stored));
    }

    @PutMapping("/duties/{id}")
    ResponseEntity<Views.DutyView> replaceDuty(
            @PathVariable UUID id,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @RequestBody DutyDocument document) {
        Stored stored = replace(Kind.DUTY, id, ifMatch, document);
        return ResponseEntity.ok().eTag(Etags.of(stored)).body(duty(stored));
    }

    @DeleteMapping("/duties/{id}")
    ResponseEntity<Void> removeDuty(@PathVariable UUID id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch) {
        garage.remove(Kind.DUTY, id, Etags.version(ifMatch));
        return ResponseEntity.noContent().build();
    }

    @PostMapping("/cars/{carId}/designs")
    ResponseEntity<Views.DesignView> addDesign(@PathVariable UUID carId, @RequestBody DesignDocument document) {
        Stored stored = garage.addPart(Kind.DESIGN, carId, json.writeValueAsString(document));
        return created(stored, design(stored));
    }

    @PutMapping("/designs/{id}")
    ResponseEntity<Views.DesignView> replaceDesign(
            @PathVariable UUID id,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @RequestBody DesignDocument document) {
        Stored stored = replace(Kind.DESIGN, id, ifMatch, document);
        return ResponseEntity.ok().eTag(Etags.of(stored)).body(design(stored));
    }

    @DeleteMapping("/designs/{id}")
    ResponseEntity<Void> removeDesign(@PathVariable UUID id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch) {
        garage.remove(Kind.DESIGN, id, Etags.version(ifMatch));
        return ResponseEntity.noContent().build();
    }

    private Stored replace(Kind kind, UUID id, String ifMatch, Object document) {
        return garage.replace(kind, id, Etags.version(ifMatch), json.writeValueAsString(document));
    }

    private static <T> ResponseEntity<T> created(Stored stored, T view) {
        return ResponseEntity.status(HttpStatus.CREATED).eTag(Etags.of(stored)).body(view);
    }

    private CarDocument car(Stored s) {
        return DocumentReader.read(s.document(), CarDocument.class);
    }

    private Views.DutyView duty(Stored s) {
        return new Views.DutyView(s.id(), s.version(), DocumentReader.read(s.document(), DutyDocument.class));
    }

    private Views.DesignView design(Stored s) {
        return new Views.DesignView(s.id(), s.version(), DocumentReader.read(s.document(), DesignDocument.class));
    }
}
