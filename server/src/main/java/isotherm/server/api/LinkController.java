package isotherm.server.api;

import isotherm.core.message.Measure;
import isotherm.server.access.AccessDocuments.LinkView;
import isotherm.server.access.AccessDocuments.NewLink;
import isotherm.server.access.CarLinks;
import isotherm.server.access.Least;
import isotherm.server.access.Open;
import isotherm.server.access.Person;
import isotherm.server.access.Role;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.care.CareDocuments.CareView;
import isotherm.server.contract.Attempt;
import isotherm.server.files.CareCalendar;
import isotherm.server.files.Speech;
import isotherm.server.garage.CarDocument;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import isotherm.server.store.NotStored;
import isotherm.words.UnitChoice;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** A car that is shown to somebody without an account: by a link that runs out and can be taken back, to be read alone. */
@RestController
@RequestMapping("/api")
class LinkController {
    private final CarLinks links;
    private final Garage garage;
    private final CareBooks care;
    private final HandOvers handOvers;

    LinkController(CarLinks links, Garage garage, CareBooks care, HandOvers handOvers) {
        this.links = links;
        this.garage = garage;
        this.care = care;
        this.handOvers = handOvers;
    }

    /**
     * A car as a link shows it.
     *
     * @param name name of the car
     * @param builds its builds, oldest first
     * @param care what is due and what was written
     */
    record SharedCar(String name, List<SharedBuild> builds, CareView care) {}

    /**
     * A build as a link shows it.
     *
     * @param id identity
     * @param name name
     * @param startedAt when it was begun
     */
    record SharedBuild(UUID id, String name, String startedAt) {}

    @Least(Role.BUILDER)
    @GetMapping("/cars/{carId}/links")
    List<LinkView> links(@PathVariable UUID carId) {
        return links.of(carId);
    }

    @Least(Role.BUILDER)
    @PostMapping("/cars/{carId}/links")
    ResponseEntity<LinkView> make(
            @PathVariable UUID carId,
            @RequestBody NewLink wanted,
            @RequestHeader(name = Etags.KEY, required = false) UUID key) {
        garage.get(Kind.CAR, carId);
        return ResponseEntity.status(HttpStatus.CREATED)
                .body(links.make(
                        carId,
                        wanted.days(),
                        Etags.identity(key),
                        Person.account().orElse(null)));
    }

    @Least(Role.BUILDER)
    @DeleteMapping("/cars/{carId}/links/{id}")
    ResponseEntity<Void> takeBack(@PathVariable UUID carId, @PathVariable UUID id) {
        links.takeBack(carId, id);
        return ResponseEntity.noContent().build();
    }

    @Open
    @GetMapping("/shared/{word}")
    SharedCar car(@PathVariable String word) {
        UUID carId = links.car(word);
        String name = Attempt.document(garage.get(Kind.CAR, carId).document(), CarDocument.class)
                .name();
        List<SharedBuild> builds = garage.parts(Kind.BUILD, carId).stream()
                .flatMap(s -> Attempt.read(s.document(), BuildDocument.class).found().stream()
                        .map(b -> new SharedBuild(s.id(), b.name(), b.startedAt())))
                .toList();
        return new SharedCar(name, builds, care.view(carId));
    }

    /** A link opens the builds of its own car alone. */
    private UUID ofThisCar(String word, UUID build) {
        if (!garage.carOf(Kind.BUILD, build).equals(links.car(word))) {
            throw new NotStored("build of this car", build);
        }
        return build;
    }

    @Open
    @GetMapping("/shared/{word}/builds/{id}/hand-over.pdf")
    ResponseEntity<byte[]> pdf(
            @PathVariable String word, @PathVariable UUID id, @RequestParam(defaultValue = "") Set<Measure> imperial) {
        return handOvers.pdf(ofThisCar(word, id), new Speech(new UnitChoice(imperial)));
    }

    @Open
    @GetMapping("/shared/{word}/builds/{id}/hand-over.zip")
    ResponseEntity<StreamingResponseBody> archive(
            @PathVariable String word, @PathVariable UUID id, @RequestParam(defaultValue = "") Set<Measure> imperial) {
        return handOvers.archive(ofThisCar(word, id), new Speech(new UnitChoice(imperial)));
    }

    @Open
    @GetMapping(path = "/shared/{word}/care.ics", produces = "text/calendar;charset=utf-8")
    String calendar(@PathVariable String word, @RequestParam(defaultValue = "") Set<Measure> imperial) {
        UUID carId = links.car(word);
        String name = Attempt.document(garage.get(Kind.CAR, carId).document(), CarDocument.class)
                .name();
        return CareCalendar.of(carId, name, care.view(carId), care.today(), new Speech(new UnitChoice(imperial)));
    }
}
