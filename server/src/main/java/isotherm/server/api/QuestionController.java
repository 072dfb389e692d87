package isotherm.server.api;

import isotherm.server.catalogue.CoreCatalogue;
import isotherm.server.document.CaseDocument;
import isotherm.server.document.QuestionSolver;
import isotherm.server.document.Questions;
import isotherm.server.jobs.Desk;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The questions other than a session, answered without saving anything. */
@RestController
@RequestMapping("/api")
class QuestionController {
    private final CoreCatalogue catalogue;
    private final Desk desk;

    QuestionController(CoreCatalogue catalogue, Desk desk) {
        this.catalogue = catalogue;
        this.desk = desk;
    }

    @PostMapping("/rating")
    Questions.RatingAnswer rating(@RequestBody Questions.RatingQuestion question, Desk.Asker asker) {
        return desk.ask(asker, dropped -> QuestionSolver.rate(question));
    }

    @PostMapping("/air")
    List<Questions.AirAnswer> air(@RequestBody Questions.AirQuestion question, Desk.Asker asker) {
        return desk.ask(asker, dropped -> QuestionSolver.air(question));
    }

    @PostMapping("/places")
    List<Questions.PlaceAnswer> places(@RequestBody CaseDocument asked, Desk.Asker asker) {
        return desk.ask(asker, dropped -> QuestionSolver.places(asked));
    }

    @PostMapping("/circuit")
    Questions.CircuitAnswer circuit(@RequestBody Questions.CircuitQuestion question, Desk.Asker asker) {
        return desk.ask(asker, dropped -> QuestionSolver.circuit(question));
    }

    @PostMapping("/map")
    Questions.MapAnswer map(@RequestBody Questions.MapQuestion question, Desk.Asker asker) {
        return desk.ask(asker, dropped -> QuestionSolver.map(question, dropped));
    }

    @PostMapping("/fit")
    Questions.FitAnswer fit(@RequestBody Questions.FitQuestion question, Desk.Asker asker) {
        return desk.ask(asker, dropped -> QuestionSolver.fit(question));
    }

    @PostMapping("/compare")
    Questions.CompareAnswer compare(@RequestBody Questions.CompareQuestion question, Desk.Asker asker) {
        return desk.ask(asker, dropped -> QuestionSolver.compare(question));
    }

    @PostMapping("/search")
    Questions.SearchAnswer search(@RequestBody Questions.SearchQuestion question, Desk.Asker asker) {
        var parts = catalogue.parts();
        QuestionSolver.checkWaitedFor(question, parts);
        return desk.ask(asker, dropped -> QuestionSolver.search(question, parts, done -> {}, dropped));
    }

    @PostMapping("/placement")
    Questions.PlacementAnswer placement(@RequestBody Questions.PlacementQuestion question, Desk.Asker asker) {
        return desk.ask(asker, dropped -> QuestionSolver.placement(question));
    }

    @PostMapping("/schools")
    Questions.SchoolsAnswer schools(@RequestBody Questions.SchoolsQuestion question, Desk.Asker asker) {
        var parts = catalogue.parts();
        return desk.ask(asker, dropped -> QuestionSolver.schools(question, parts));
    }
}
