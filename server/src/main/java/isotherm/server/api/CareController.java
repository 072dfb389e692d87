package isotherm.server.api;

import isotherm.core.care.OilLife;
import isotherm.core.fluid.Units;
import isotherm.core.message.Measure;
import isotherm.server.access.Least;
import isotherm.server.access.Person;
import isotherm.server.access.Role;
import isotherm.server.care.CareDocuments.CareEntryDocument;
import isotherm.server.care.CareDocuments.CareView;
import isotherm.server.care.CareDocuments.OilHours;
import isotherm.server.contract.Attempt;
import isotherm.server.contract.Problem;
import isotherm.server.evidence.DrivenLog;
import isotherm.server.files.CareCalendar;
import isotherm.server.files.Speech;
import isotherm.server.garage.CarDocument;
import isotherm.server.logs.LogService;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import isotherm.words.UnitChoice;
import java.util.List;
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

/** Care: what is due after a build, and what was done of it. */
@RestController
@RequestMapping("/api")
class CareController {
    private static final double NOTHING_READ = -300;

    private final Garage garage;
    private final CareBooks care;
    private final LogService logs;

    CareController(Garage garage, CareBooks care, LogService logs) {
        this.garage = garage;
        this.care = care;
        this.logs = logs;
    }

    @Least(Role.VIEWER)
    @GetMapping("/cars/{carId}/care")
    CareView care(@PathVariable UUID carId) {
        return care.view(carId);
    }

    /** Writes in the care book. The same entry may be sent again by somebody who did not hear that it arrived. */
    @Least(Role.BUILDER)
    @PostMapping("/cars/{carId}/care/entries")
    ResponseEntity<CareView> write(@PathVariable UUID carId, @RequestBody CareEntryDocument entry) {
        boolean fresh = care.write(carId, entry.by(Person.nameOr(entry.who())));
        return ResponseEntity.status(fresh ? HttpStatus.CREATED : HttpStatus.OK).body(care(carId));
    }

    /** What is due as a calendar to subscribe to. */
    @Least(Role.VIEWER)
    @GetMapping(path = "/cars/{carId}/care.ics", produces = "text/calendar;charset=utf-8")
    String calendar(@PathVariable UUID carId, @RequestParam(defaultValue = "") Set<Measure> imperial) {
        String name = Attempt.document(garage.get(Kind.CAR, carId).document(), CarDocument.class)
                .name();
        return CareCalendar.of(carId, name, care(carId), care.today(), new Speech(new UnitChoice(imperial)));
    }

    /** What a log takes of an oil's life. */
    @Least(Role.VIEWER)
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
