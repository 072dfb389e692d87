package isotherm.server.api;

import isotherm.server.catalogue.CoreCatalogue;
import isotherm.server.document.CaseDocument;
import isotherm.server.document.QuestionSolver;
import isotherm.server.document.Questions;
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

    QuestionController(CoreCatalogue catalogue) {
        this.catalogue = catalogue;
    }

    @PostMapping("/rating")
    Questions.RatingAnswer rating(@RequestBody Questions.RatingQuestion question) {
        return QuestionSolver.rate(question);
    }

    @PostMapping("/air")
    List<Questions.AirAnswer> air(@RequestBody Questions.AirQuestion question) {
        return QuestionSolver.air(question);
    }

    @PostMapping("/places")
    List<Questions.PlaceAnswer> places(@RequestBody CaseDocument asked) {
        return QuestionSolver.places(asked);
    }

    @PostMapping("/circuit")
    Questions.CircuitAnswer circuit(@RequestBody Questions.CircuitQuestion question) {
        return QuestionSolver.circuit(question);
    }

    @PostMapping("/map")
    Questions.MapAnswer map(@RequestBody Questions.MapQuestion question) {
        return QuestionSolver.map(question, () -> false);
    }

    @PostMapping("/fit")
    Questions.FitAnswer fit(@RequestBody Questions.FitQuestion question) {
        return QuestionSolver.fit(question);
    }

    @PostMapping("/compare")
    Questions.CompareAnswer compare(@RequestBody Questions.CompareQuestion question) {
        return QuestionSolver.compare(question);
    }

    @PostMapping("/search")
    Questions.SearchAnswer search(@RequestBody Questions.SearchQuestion question) {
        return QuestionSolver.search(question, catalogue.parts(), done -> {}, () -> false);
    }

    @PostMapping("/placement")
    Questions.PlacementAnswer placement(@RequestBody Questions.PlacementQuestion question) {
        return QuestionSolver.placement(question);
    }

    @PostMapping("/schools")
    Questions.SchoolsAnswer schools(@RequestBody Questions.SchoolsQuestion question) {
        return QuestionSolver.schools(question, catalogue.parts());
    }
}
