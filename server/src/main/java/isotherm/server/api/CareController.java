package isotherm.server.api;

import isotherm.core.care.CareEntry;
import isotherm.core.care.OilLife;
import isotherm.core.fluid.Units;
import isotherm.core.message.Measure;
import isotherm.server.build.BuildDocuments.BuildDocument;
import isotherm.server.care.Care;
import isotherm.server.care.CareDocuments.CareEntryDocument;
import isotherm.server.care.CareDocuments.CareView;
import isotherm.server.care.CareDocuments.OilHours;
import isotherm.server.catalogue.PlumbingCatalogue;
import isotherm.server.contract.Attempt;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Problem;
import isotherm.server.evidence.DrivenLog;
import isotherm.server.files.CareCalendar;
import isotherm.server.files.Speech;
import isotherm.server.garage.CarDocument;
import isotherm.server.logs.LogService;
import isotherm.server.store.Books;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import isotherm.words.UnitChoice;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Care: what is due after a build, and what was done of it. */
@RestController
@RequestMapping("/api")
class CareController {
    private static final double NOTHING_READ = -300;

    private final Garage garage;
    private final Books books;
    private final PlumbingCatalogue catalogue;
    private final LogService logs;
    private final JsonMapper json;

    CareController(Garage garage, Books books, PlumbingCatalogue catalogue, LogService logs, JsonMapper json) {
        this.garage = garage;
        this.books = books;
        this.catalogue = catalogue;
        this.logs = logs;
        this.json = json;
    }

    private static LocalDate today() {
        return LocalDate.now(ZoneOffset.UTC);
    }

    private static List<CareEntryDocument> read(List<String> documents) {
        return documents.stream()
                .flatMap(d -> Attempt.read(d, CareEntryDocument.class).found().stream())
                .toList();
    }

    private Optional<BuildDocument> newestBuild(UUID carId) {
        return garage.parts(Kind.BUILD, carId).stream()
                .flatMap(s -> Attempt.read(s.document(), BuildDocument.class).found().stream())
                .reduce((older, newer) -> newer);
    }

    @GetMapping("/cars/{carId}/care")
    CareView care(@PathVariable UUID carId) {
        garage.get(Kind.CAR, carId);
        return Care.shown(newestBuild(carId), read(books.entries(Kind.CAR, carId)), catalogue.parts(), today());
    }

    /** Writes in the care book. The same entry may be sent again by somebody who did not hear that it arrived. */
    @PostMapping("/cars/{carId}/care/entries")
    ResponseEntity<CareView> write(@PathVariable UUID carId, @RequestBody CareEntryDocument entry) {
        CareEntry wanted = Care.entry(entry);
        Optional<BuildDocument> build = newestBuild(carId);
        boolean fresh = books.write(Kind.CAR, carId, wanted.id(), json.writeValueAsString(entry), before -> Care.book(
                        build, read(before), catalogue.parts())
                .refusal(wanted)
                .ifPresent(why -> {
                    throw Problem.refused("/on", entry.on(), why);
                }));
        return ResponseEntity.status(fresh ? HttpStatus.CREATED : HttpStatus.OK).body(care(carId));
    }

    /** What is due as a calendar to subscribe to. */
    @GetMapping(path = "/cars/{carId}/care.ics", produces = "text/calendar;charset=utf-8")
    String calendar(@PathVariable UUID carId, @RequestParam(defaultValue = "") Set<Measure> imperial) {
        String name = DocumentReader.read(garage.get(Kind.CAR, carId).document(), CarDocument.class)
                .name();
        return CareCalendar.of(carId, name, care(carId), today(), new Speech(new UnitChoice(imperial)));
    }

    /** What a log takes of an oil's life. */
    @GetMapping("/logs/{id}/oil-hours")
    OilHours oilHours(@PathVariable UUID id) {
        DrivenLog driven = logs.driven(id);
        if (driven.oilC() == null) {
            throw Problem.refused("", null, "This log holds no oil temperature");
        }
        List<Double> time = driven.duty().log().timeSeconds();
        double step = (time.get(time.size() - 1) - time.get(0)) / (time.size() - 1);
        double[] oil = driven.oilC().stream()
                .mapToDouble(v -> v < NOTHING_READ ? Double.NaN : Units.kelvin(v))
                .toArray();
        return new OilHours(Math.round(OilLife.hours(oil, step) * 100) / 100.0);
    }
}
