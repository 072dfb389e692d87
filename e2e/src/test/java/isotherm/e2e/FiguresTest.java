package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Every figure opens and says what it is; what moves it leads to where that is entered. */
class FiguresTest extends Workshop {
    private static final List<String> STATIONS = List.of("Duty", "Core", "Place", "Plumb", "Build", "Prove", "Care");

    /** Cells of tables and lists that begin with a number and do not open. */
    private static final String SHUT =
            """
            () => [...document.querySelectorAll('.station td, .station dd')]
              .filter((e) => e.checkVisibility() && /^[^A-Za-z]*\\d/.test(e.textContent) && !e.querySelector('[data-figure], button, input, label'))
              .map((e) => e.closest('[aria-label]')?.getAttribute('aria-label') + ': ' + e.textContent)
            """;

    /** What is folded away is looked at too. */
    private static final String UNFOLD =
            "() => document.querySelectorAll('.station details:not([open]) > summary').forEach((s) => s.click())";

    private static final String KINDS = "() => [...new Set([...document.querySelectorAll('.station [data-figure]')]"
            + ".filter((e) => e.checkVisibility()).map((e) => e.dataset.figure))]";

    /** An explanation that is there, of which nothing is still on its way. */
    private static final Pattern WHOLE = Pattern.compile("^(?!.*Working…)(?=.*Source).*Equation", Pattern.DOTALL);

    private static final JsonNode NAMES = new JsonMapper()
            .readTree(Path.of("..", "words", "en.json").toFile())
            .get("figure");

    private void settled() {
        assertThat(page.locator("main [aria-busy=true]")).hasCount(0);
    }

    private Locator explanation() {
        return page.getByRole(AriaRole.DIALOG);
    }

    @SuppressWarnings("unchecked")
    private void allOpen(String where, Set<String> pressed) {
        settled();
        page.evaluate(UNFOLD);
        settled();
        assertThat((List<String>) page.evaluate(SHUT)).as(where).isEmpty();
        for (String kind : (List<String>) page.evaluate(KINDS)) {
            if (!pressed.add(kind)) {
                continue;
            }
            // A finding that came anew is folded again.
            page.evaluate(UNFOLD);
            Locator figure =
                    page.locator(".station [data-figure=" + kind + "]:visible").first();
            figure.click();
            assertThat(sheet(NAMES.at("/" + kind + "/name").stringValue())).containsText(WHOLE);
            assertThat(explanation().getByRole(AriaRole.ALERT)).hasCount(0);
            page.keyboard().press("Escape");
            assertThat(explanation()).hasCount(0);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"Aldane Corvid", "Brackwater Hauler", "Pell Wren"})
    void everyFigureOfACarOpens(String car) {
        // On the first car each kind is pressed on each station, on the others once: the figures are the same.
        Set<String> pressed = new HashSet<>();
        page.navigate("/");
        choose("Car", car);
        for (String station : STATIONS) {
            station(station);
            arrived(station);
            allOpen(car + ", " + station, car.equals("Aldane Corvid") ? new HashSet<>() : pressed);
        }
        if (button("Compare").count() > 0) {
            button("Compare").click();
            comes(table("Designs against duties"));
            allOpen(car + ", Compare", pressed);
        }
        for (String mark : List.of("Air", "Limit", "Peak", "Plateau", "Coolant")) {
            ruleMark(mark).press("Enter");
            assertThat(explanation()).containsText("Equation");
            page.keyboard().press("Escape");
        }
    }

    @Test
    void whatMovesAFigureLeadsToItsField() {
        open(Garage.unmeasured("corvid"), "Core");
        settled();
        for (Map.Entry<String, String> way : Map.of(
                        "Rows", "Rows",
                        "Sealing", "Sealing",
                        "Air temperature", "Air temperature",
                        "Engine power", "Engine power")
                .entrySet()) {
            ruleMark("Peak").click();
            assertThat(explanation()).containsText("8 times in 10 it lies between");
            Locator input = explanation()
                    .getByRole(
                            AriaRole.BUTTON,
                            new Locator.GetByRoleOptions().setName(way.getKey()).setExact(true));
            input.click();
            assertThat(page.getByRole(
                            AriaRole.SPINBUTTON,
                            new Page.GetByRoleOptions().setName(Pattern.compile("^" + way.getValue()))))
                    .isFocused();
        }
    }

    @Test
    void axeFindsNothingInAnExplanationAndWhatIf() {
        open(Garage.own("corvid"), "Core");
        settled();
        comes(button(Pattern.compile("^Try: ")).first());
        assertThat(barriersInEitherTheme()).isEmpty();
        // By keyboard, and back to where it was opened.
        Locator figure = page.locator("dd [data-figure=CORE_HEAT]");
        figure.focus();
        page.keyboard().press("Enter");
        comes(table("Inputs"));
        assertThat(barriersInEitherTheme()).isEmpty();
        page.keyboard().press("Escape");
        assertThat(figure).isFocused();
        button("About this station").click();
        comes(page.getByText("Decided here: rows"));
        assertThat(barriersInEitherTheme()).isEmpty();
    }

    @Test
    void aFigureOfAnotherCaseSaysSoAndABoundDoesNot() {
        open(Garage.own("corvid"));
        arrived("Duty");
        settled();
        verdict().locator("[data-figure=PEAK]").first().click();
        comes(table("Inputs"));
        assertThat(explanation()).not().containsText("for another case");
        page.keyboard().press("Escape");
        verdict().locator("[data-figure=TARGET]").first().click();
        assertThat(explanation()).containsText("Your entry on Duty");
        assertThat(explanation()).not().containsText("for another case");
        page.keyboard().press("Escape");
        table("The schools of heat").locator("[data-figure=PEAK]").last().click();
        assertThat(explanation()).containsText("Equation");
        page.keyboard().press("Escape");
        findings().locator("[data-figure=PEAK]:visible").last().click();
        assertThat(explanation()).containsText("for another case than the one at hand");
        assertThat(table("Inputs")).hasCount(0);
    }

    @Test
    void oneStepIsTriedByAPressAndTakenBackByAnother() {
        open(Garage.own("corvid"), "Core");
        settled();
        String before = field("Rows").inputValue();
        String peak = ruleMark("Peak").getAttribute("aria-label");
        button(Pattern.compile("^Try: \\d+ rows")).click();
        assertThat(field("Rows")).not().hasValue(before);
        saved();
        station("Plumb");
        button("Take it back").click();
        station("Core");
        assertThat(field("Rows")).hasValue(before);
        settled();
        assertThat(ruleMark("Peak").getAttribute("aria-label").substring(0, 12)).isEqualTo(peak.substring(0, 12));
        assertThat(button("Take it back")).hasCount(0);
    }

    @Test
    void theRuleFoldsWhileOneReadsFurtherDownAndOpensByAPress() {
        page.setViewportSize(1280, 800);
        page.navigate("/");
        choose("Car", "Aldane Corvid");
        for (int[] size : new int[][] {{1280, 800, 70}, {1024, 768, 65}}) {
            page.setViewportSize(size[0], size[1]);
            station("Core");
            settled();
            double share = page.locator(".station").boundingBox().height / size[1] * 100;
            assertThat(share).as("decision area at " + size[0]).isGreaterThanOrEqualTo(size[2]);
        }
        page.setViewportSize(1280, 800);
        Locator beside = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Beside it"));
        beside.evaluate("e => e.scrollTo(0, 400)");
        comes(button("Open the thermal rule ▾"));
        comes(ruleMark("Peak"));
        button("Open the thermal rule ▾").click();
        assertThat(button("Open the thermal rule ▾")).hasCount(0);
        comes(ruleMark("Peak"));
        beside.evaluate("e => e.scrollTo(0, 0)");
        beside.evaluate("e => e.scrollTo(0, 400)");
        comes(button("Open the thermal rule ▾"));
        beside.evaluate("e => e.scrollTo(0, 0)");
        assertThat(button("Open the thermal rule ▾")).hasCount(0);
    }
}
