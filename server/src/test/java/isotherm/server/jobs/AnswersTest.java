package isotherm.server.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import isotherm.core.catalogue.CorePart;
import isotherm.core.catalogue.PlumbingParts;
import isotherm.core.whatif.Prices;
import isotherm.server.contract.DocumentReader;
import isotherm.server.garage.CaseDocument;
import isotherm.server.plumbing.PlumbQuestion;
import isotherm.server.plumbing.PlumbingSolver;
import isotherm.server.session.SearchQuestions;
import isotherm.server.session.SearchSolver;
import isotherm.server.session.Solver;
import isotherm.server.session.TeachingSolver;
import isotherm.server.session.WhatIfSolver;
import isotherm.server.testing.Examples;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AnswersTest {
    private static final Desk.Asker ASKER = new Desk.Asker("Bo", "", () -> false);

    private final Desk desk = new Desk(1, 3);
    private final Answers answers = new Answers(desk);
    private final AtomicInteger computed = new AtomicInteger();

    @AfterEach
    void stop() {
        desk.stop();
    }

    private static CaseDocument read(String json) {
        return DocumentReader.read(json, CaseDocument.class);
    }

    private static Answers.Question of(String kind, Object all) {
        return new Answers.Question(kind, 0, List.of(all));
    }

    private String ask(CaseDocument asked) {
        return answers.ask(ASKER, of("outcome", asked.nameless()), dropped -> "answer " + computed.incrementAndGet());
    }

    @Test
    void anEqualQuestionIsComputedOnceWhateverItsCarAndDutyAreCalled() {
        String corvid = Examples.read("corvid");
        assertThat(ask(read(corvid))).isEqualTo("answer 1");
        assertThat(ask(read(corvid))).isEqualTo("answer 1");
        CaseDocument asked = read(corvid);
        assertThat(ask(new CaseDocument(
                        asked.car().named("Another"), asked.duty().named("Mine"), asked.design(), null, null)))
                .isEqualTo("answer 1");
    }

    @Test
    void anotherRowAnotherAirAndAnotherKindOfQuestionAreComputed() {
        String corvid = Examples.read("corvid");
        ask(read(corvid));
        assertThat(ask(read(corvid.replace("\"rows\": 10", "\"rows\": 11")))).isEqualTo("answer 2");
        CaseDocument asked = read(corvid);
        assertThat(ask(read(corvid.replaceFirst("(\"design\"[^}]*?\"name\": *)\"[^\"]*\"", "$1\"Mine\""))))
                .as("a remedy is a design with its name")
                .isEqualTo("answer 3");
        assertThat(ask(new CaseDocument(asked.car(), asked.duty().withAir(3), asked.design(), null, null)))
                .isEqualTo("answer 4");
        String other = answers.ask(ASKER, of("interval", asked.nameless()), dropped -> "interval");
        assertThat(other).isEqualTo("interval");
    }

    @Test
    void whatWasDroppedOrFailedIsComputedWhenItIsAskedAgain() {
        for (RuntimeException ends : List.of(new CancellationException("gone"), new IllegalStateException("broken"))) {
            assertThatExceptionOfType(ends.getClass())
                    .isThrownBy(() -> answers.ask(ASKER, of("ends", ends), dropped -> {
                        throw ends;
                    }));
            String answer = answers.ask(ASKER, of("ends", ends), dropped -> "there");
            assertThat(answer).isEqualTo("there");
        }
    }

    @Test
    void ofLongLogsTwoAtMostAreKept() {
        int logs = 5;
        for (int i = 0; i < 2 * logs; i++) {
            answers.ask(
                    ASKER,
                    new Answers.Question("outcome", 200_000, List.of(i % logs)),
                    dropped -> computed.incrementAndGet());
        }
        assertThat(computed.get()).isGreaterThanOrEqualTo(2 * logs - 2);
    }

    @Test
    void aQuestionWithoutAnAnswerHasNoneAgain() {
        for (int i = 0; i < 2; i++) {
            Object none = answers.ask(ASKER, of("none", 0), dropped -> null);
            assertThat(none).isNull();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"corvid", "hauler", "wren"})
    void noAnswerAboutACaseTellsTheNameOfItsCarOrDuty(String example) {
        CaseDocument read = read(Examples.read(example));
        CaseDocument asked = new CaseDocument(read.car(), read.duty(), read.design(), 8, 1);
        Prices prices = new Prices(CorePart.shipped(), PlumbingParts.shipped().hoses());
        assertThat(Stream.of(asked, asked.nameless())
                        .map(a -> List.of(
                                Solver.solve(a),
                                Solver.interval(a),
                                TeachingSolver.next(a),
                                WhatIfSolver.whatIf(a, prices)))
                        .distinct())
                .hasSize(1);
    }

    @Test
    void norDoesOneThatRunsManyDesignsOrLaysHoses() {
        var map = DocumentReader.read(Examples.read("map"), SearchQuestions.MapQuestion.class);
        assertThat(SearchSolver.map(map.nameless(), () -> false)).isEqualTo(SearchSolver.map(map, () -> false));
        var schools = DocumentReader.read(Examples.read("schools"), SearchQuestions.SchoolsQuestion.class);
        assertThat(SearchSolver.schools(schools.nameless(), CorePart.shipped()))
                .isEqualTo(SearchSolver.schools(schools, CorePart.shipped()));
        var plumb = DocumentReader.read(Examples.read("plumb"), PlumbQuestion.class);
        assertThat(PlumbingSolver.plumb(plumb.nameless(), PlumbingParts.shipped(), CorePart.shipped(), () -> false))
                .isEqualTo(PlumbingSolver.plumb(plumb, PlumbingParts.shipped(), CorePart.shipped(), () -> false));
    }
}
