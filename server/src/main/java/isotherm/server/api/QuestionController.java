package isotherm.server.api;

import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.catalogue.CoreCatalogue;
import isotherm.server.garage.CaseDocument;
import isotherm.server.jobs.Answers;
import isotherm.server.jobs.Desk;
import isotherm.server.session.EvidenceQuestions;
import isotherm.server.session.EvidenceSolver;
import isotherm.server.session.QuestionSolver;
import isotherm.server.session.Questions;
import isotherm.server.session.SearchQuestions;
import isotherm.server.session.SearchSolver;
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
    private final Answers answers;

    QuestionController(CoreCatalogue catalogue, Desk desk, Answers answers) {
        this.answers = answers;
        this.catalogue = catalogue;
        this.desk = desk;
    }

    @Least(Role.VIEWER)
    @PostMapping("/rating")
    Questions.RatingAnswer rating(@RequestBody Questions.RatingQuestion question, Desk.Asker asker) {
        return desk.askQuickly(asker, () -> QuestionSolver.rate(question));
    }

    @Least(Role.VIEWER)
    @PostMapping("/air")
    List<Questions.AirAnswer> air(@RequestBody Questions.AirQuestion question, Desk.Asker asker) {
        return desk.askQuickly(asker, () -> QuestionSolver.air(question));
    }

    @Least(Role.VIEWER)
    @PostMapping("/places")
    List<Questions.PlaceAnswer> places(@RequestBody CaseDocument asked, Desk.Asker asker) {
        return desk.askQuickly(asker, () -> QuestionSolver.places(asked));
    }

    @Least(Role.VIEWER)
    @PostMapping("/circuit")
    Questions.CircuitAnswer circuit(@RequestBody Questions.CircuitQuestion question, Desk.Asker asker) {
        return desk.askQuickly(asker, () -> QuestionSolver.circuit(question));
    }

    @Least(Role.VIEWER)
    @PostMapping("/map")
    SearchQuestions.MapAnswer map(@RequestBody SearchQuestions.MapQuestion question, Desk.Asker asker) {
        return answers.ask(
                asker,
                new Answers.Question("map", question.duty().logRows(), List.of(question.nameless())),
                dropped -> SearchSolver.map(question, dropped));
    }

    @Least(Role.VIEWER)
    @PostMapping("/fit")
    EvidenceQuestions.FitAnswer fit(@RequestBody EvidenceQuestions.FitQuestion question, Desk.Asker asker) {
        return desk.ask(asker, dropped -> EvidenceSolver.fit(question));
    }

    @Least(Role.VIEWER)
    @PostMapping("/compare")
    EvidenceQuestions.CompareAnswer compare(@RequestBody EvidenceQuestions.CompareQuestion question, Desk.Asker asker) {
        return desk.ask(asker, dropped -> EvidenceSolver.compare(question));
    }

    @Least(Role.VIEWER)
    @PostMapping("/search")
    SearchQuestions.SearchAnswer search(@RequestBody SearchQuestions.SearchQuestion question, Desk.Asker asker) {
        var parts = catalogue.parts();
        SearchSolver.checkWaitedFor(question, parts);
        return desk.ask(asker, dropped -> SearchSolver.search(question, parts, dropped::getAsBoolean));
    }

    @Least(Role.VIEWER)
    @PostMapping("/placement")
    Questions.PlacementAnswer placement(@RequestBody Questions.PlacementQuestion question, Desk.Asker asker) {
        return desk.askQuickly(asker, () -> QuestionSolver.placement(question));
    }

    @Least(Role.VIEWER)
    @PostMapping("/schools")
    SearchQuestions.SchoolsAnswer schools(@RequestBody SearchQuestions.SchoolsQuestion question, Desk.Asker asker) {
        var parts = catalogue.parts();
        return answers.ask(
                asker,
                new Answers.Question("schools", question.duty().logRows(), List.of(question.nameless(), parts)),
                dropped -> SearchSolver.schools(question, parts));
    }
}
