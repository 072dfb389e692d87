package isotherm.server.api;

import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.catalogue.CarClasses;
import isotherm.server.contract.Attempt;
import isotherm.server.evidence.LogDocument;
import isotherm.server.garage.CarClass;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.CaseDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import isotherm.server.jobs.Desk;
import isotherm.server.session.FirstCase;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import isotherm.server.store.Stored;
import java.util.List;
import java.util.UUID;
import java.util.function.BiFunction;
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
    private final Desk desk;
    private final CarList carList;

    GarageController(Garage garage, JsonMapper json, CarClasses classes, Desk desk, CarList carList) {
        this.garage = garage;
        this.json = json;
        this.classes = classes;
        this.desk = desk;
        this.carList = carList;
    }

    @Least(Role.VIEWER)
    @GetMapping("/classes")
    List<CarClass> classes() {
        return classes.all();
    }

    /** The same as a case, without storing anything: what can be said of the car already. */
    @Least(Role.VIEWER)
    @PostMapping("/first-case")
    CaseDocument firstCase(@RequestBody CarClass.FromClass told, Desk.Asker asker) {
        return desk.ask(asker, dropped -> FirstCase.of(told, classes.all()));
    }

    /** A new car of a class, with a duty of its use and a design of the car as it is. */
    @Least(Role.BUILDER)
    @PostMapping("/cars/from-class")
    ResponseEntity<Views.CarView> fromClass(
            @RequestBody CarClass.FromClass wanted,
            @RequestHeader(name = Etags.KEY, required = false) UUID key,
            Desk.Asker asker) {
        CaseDocument first = firstCase(wanted, asker);
        Stored stored = garage.addCar(
                Etags.identity(key),
                Attempt.written(json, first.car()),
                Attempt.written(json, first.duty()),
                Attempt.written(json, first.design()));
        return created(stored, car(stored.id()));
    }

    @Least(Role.VIEWER)
    @GetMapping("/cars")
    List<Views.CarSummary> cars() {
        return carList.all();
    }

    /** A car with all that belongs to it. What today's rules refuse of that is left out and counted. */
    @Least(Role.VIEWER)
    @GetMapping("/cars/{id}")
    Views.CarView car(@PathVariable UUID id) {
        Stored stored = garage.get(Kind.CAR, id);
        CarDocument car = car(stored);
        List<Stored> duties = garage.parts(Kind.DUTY, id);
        List<Stored> designs = garage.parts(Kind.DESIGN, id);
        List<Stored> logs = garage.parts(Kind.LOG, id);
        List<Views.DutyView> readDuties =
                read(duties, DutyDocument.class, (s, d) -> new Views.DutyView(s.id(), s.version(), d));
        List<Views.DesignView> readDesigns =
                read(designs, DesignDocument.class, (s, d) -> new Views.DesignView(s.id(), s.version(), d));
        List<Views.LogView> readLogs =
                read(logs, LogDocument.class, (s, d) -> new Views.LogView(s.id(), s.version(), d));
        return new Views.CarView(
                id,
                stored.version(),
                car,
                readDuties,
                readDesigns,
                readLogs,
                duties.size()
                        + designs.size()
                        + logs.size()
                        - readDuties.size()
                        - readDesigns.size()
                        - readLogs.size());
    }

    private static <D extends Record, V> List<V> read(
            List<Stored> stored, Class<D> type, BiFunction<Stored, D, V> view) {
        return stored.stream()
                .flatMap(s -> Attempt.read(s.document(), type).found().map(d -> view.apply(s, d)).stream())
                .toList();
    }

    @Least(Role.BUILDER)
    @DeleteMapping("/cars/{id}")
    ResponseEntity<Void> removeCar(@PathVariable UUID id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch) {
        garage.remove(Kind.CAR, id, Etags.version(ifMatch));
        return ResponseEntity.noContent().build();
    }

    @Least(Role.BUILDER)
    @PostMapping("/cars")
    ResponseEntity<Views.CarView> addCar(
            @RequestBody CarDocument document, @RequestHeader(name = Etags.KEY, required = false) UUID key) {
        Stored stored = garage.addCar(Etags.identity(key), json.writeValueAsString(document));
        return created(stored, car(stored.id()));
    }

    @Least(Role.BUILDER)
    @PutMapping("/cars/{id}")
    ResponseEntity<Views.CarView> replaceCar(
            @PathVariable UUID id,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @RequestBody CarDocument document) {
        Stored stored = replace(Kind.CAR, id, ifMatch, document);
        return ResponseEntity.ok().eTag(Etags.of(stored)).body(car(id));
    }

    @Least(Role.BUILDER)
    @PostMapping("/cars/{carId}/duties")
    ResponseEntity<Views.DutyView> addDuty(
            @PathVariable UUID carId,
            @RequestBody DutyDocument document,
            @RequestHeader(name = Etags.KEY, required = false) UUID key) {
        Stored stored = garage.addPart(Kind.DUTY, Etags.identity(key), carId, json.writeValueAsString(document));
        return created(stored, duty(stored));
    }

    @Least(Role.BUILDER)
    @PutMapping("/duties/{id}")
    ResponseEntity<Views.DutyView> replaceDuty(
            @PathVariable UUID id,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @RequestBody DutyDocument document) {
        Stored stored = replace(Kind.DUTY, id, ifMatch, document);
        return ResponseEntity.ok().eTag(Etags.of(stored)).body(duty(stored));
    }

    @Least(Role.BUILDER)
    @DeleteMapping("/duties/{id}")
    ResponseEntity<Void> removeDuty(@PathVariable UUID id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch) {
        garage.remove(Kind.DUTY, id, Etags.version(ifMatch));
        return ResponseEntity.noContent().build();
    }

    @Least(Role.BUILDER)
    @PostMapping("/cars/{carId}/designs")
    ResponseEntity<Views.DesignView> addDesign(
            @PathVariable UUID carId,
            @RequestBody DesignDocument document,
            @RequestHeader(name = Etags.KEY, required = false) UUID key) {
        Stored stored = garage.addPart(Kind.DESIGN, Etags.identity(key), carId, json.writeValueAsString(document));
        return created(stored, design(stored));
    }

    @Least(Role.BUILDER)
    @PutMapping("/designs/{id}")
    ResponseEntity<Views.DesignView> replaceDesign(
            @PathVariable UUID id,
            @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch,
            @RequestBody DesignDocument document) {
        Stored stored = replace(Kind.DESIGN, id, ifMatch, document);
        return ResponseEntity.ok().eTag(Etags.of(stored)).body(design(stored));
    }

    @Least(Role.BUILDER)
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
        return Attempt.document(s.document(), CarDocument.class);
    }

    private Views.DutyView duty(Stored s) {
        return new Views.DutyView(s.id(), s.version(), Attempt.document(s.document(), DutyDocument.class));
    }

    private Views.DesignView design(Stored s) {
        return new Views.DesignView(s.id(), s.version(), Attempt.document(s.document(), DesignDocument.class));
    }
}
