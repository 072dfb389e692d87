package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import isotherm.server.document.CaseDocument;
import isotherm.server.document.DocumentReader;
import isotherm.server.document.OutcomeDocument;
import isotherm.server.document.QuestionSolver;
import isotherm.server.document.Solver;
import isotherm.server.testing.Examples;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A user opens a car, changes a choice and sees what it does. */
class SliceTest {
    private final Page page = Browser.page();
    /** A design of the Corvid that no other test touches. */
    private final String design = Garage.copyOfTheFirstDesign("Aldane Corvid", "corvid");

    @AfterEach
    void close() {
        page.context().close();
    }

    private static OutcomeDocument corvid(int rows) {
        String json = Examples.read("corvid").replace("\"rows\": 10", "\"rows\": " + rows);
        return Solver.solve(DocumentReader.read(json, CaseDocument.class));
    }

    private void open(String car, String design) {
        page.navigate("/");
        choose("Car", car);
        choose("Design", design);
    }

    private void choose(String label, String option) {
        Locator pick =
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(label + "$")));
        pick.click();
        page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName(option).setExact(true))
                .click();
    }

    private void station(String name) {
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Stations"))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile(name)))
                .click();
    }

    private Locator field(String label) {
        return page.getByRole(
                AriaRole.SPINBUTTON, new Page.GetByRoleOptions().setName(label).setExact(true));
    }

    private Locator ruleMark(String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Thermal rule"))
                .getByRole(AriaRole.IMG, new Locator.GetByRoleOptions().setName(Pattern.compile("^" + name + " ")));
    }

    private Locator findings() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Findings"));
    }

    private static Pattern celsius(String prefix, double value) {
        // To a tenth of a kelvin on the rule, to a kelvin in the trace's summary; either way of rounding a half.
        String shown = Stream.of(Math.floor(value * 10) / 10, Math.ceil(value * 10) / 10)
                .map(v -> String.format(Locale.ROOT, "%.1f", v).replace(".", "\\."))
                .collect(Collectors.joining("|"));
        return Pattern.compile(prefix + (prefix.isEmpty() ? "(" : " (") + Math.round(value) + "|" + shown + ") °C");
    }

    @Test
    void rowsFromTenToTwentyFiveChangeRuleTraceAndFindingToWhatCoreComputesAndAreStillThereAfterAReload() {
        OutcomeDocument before = corvid(10);
        OutcomeDocument after = corvid(25);
        assertThat(before.findings().get(0).topic().name()).isEqualTo("TOO_HOT");
        assertThat(Math.round(after.figures().peakC()))
                .isNotEqualTo(Math.round(before.figures().peakC()));

        open("Aldane Corvid", design);
        station("Core");
        assertThat(ruleMark("Peak"))
                .hasAccessibleName(celsius("^Peak", before.figures().peakC()));
        assertThat(findings()).containsText(before.findings().get(0).figure());

        for (int i = 10; i < 24; i++) {
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("More: Rows"))
                    .click();
        }
        field("Rows").press("ArrowUp");
        assertThat(field("Rows")).hasValue("25");
        assertThat(ruleMark("Peak"))
                .hasAccessibleName(celsius("^Peak", after.figures().peakC()));
        assertThat(ruleMark("Plateau"))
                .hasAccessibleName(celsius("^Plateau", after.figures().plateauC()));
        assertThat(page.getByRole(
                        AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^Oil temperature over"))))
                .hasAccessibleName(celsius("peak", after.figures().peakC()));
        assertThat(findings()).containsText(after.findings().get(0).figure());
        assertThat(page.getByRole(AriaRole.STATUS)).hasText("Saved");

        page.reload();
        assertThat(field("Rows")).hasValue("25");
        assertThat(ruleMark("Peak"))
                .hasAccessibleName(celsius("^Peak", after.figures().peakC()));
    }

    @Test
    void rowsCanBeDragged() {
        open("Aldane Corvid", design);
        station("Core");
        Locator thumb = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Rows"));
        var box = page.locator(".thumb").boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse()
                .move(
                        box.x + 120,
                        box.y + box.height / 2,
                        new com.microsoft.playwright.Mouse.MoveOptions().setSteps(8));
        page.mouse().up();
        assertThat(field("Rows")).not().hasValue("10");
        int rows = Integer.parseInt(thumb.inputValue());
        assertThat(rows).isBetween(15, 30);
        assertThat(ruleMark("Peak"))
                .hasAccessibleName(celsius("^Peak", corvid(rows).figures().peakC()));
        thumb.focus();
        thumb.press("ArrowLeft");
        assertThat(field("Rows")).hasValue(String.valueOf(rows - 1));
    }

    private void toggle(String label) {
        page.getByRole(
                        AriaRole.SWITCH,
                        new Page.GetByRoleOptions().setName(label).setExact(true))
                .press("Space");
    }

    private Locator mapHandle() {
        return page.getByRole(
                AriaRole.SLIDER, new Page.GetByRoleOptions().setName(Pattern.compile("^Rows and Sealing")));
    }

    @Test
    void theHandleOnTheMapMovesTheDesignByKeysAndByPointer() {
        open("Aldane Corvid", design);
        station("Core");
        assertThat(mapHandle()).isVisible();
        mapHandle().focus();
        for (int i = 0; i < 3; i++) {
            page.keyboard().press("ArrowRight");
        }
        page.keyboard().press("ArrowUp");
        assertThat(field("Rows")).hasValue("13");
        assertThat(field("Sealing")).hasValue("61");
        var box = mapHandle().boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse().move(box.x + 160, box.y - 60, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(10));
        page.mouse().up();
        assertThat(field("Rows")).not().hasValue("13");
        int rows = Integer.parseInt(field("Rows").inputValue());
        int sealing = Integer.parseInt(field("Sealing").inputValue());
        assertThat(rows).isBetween(16, 34);
        assertThat(sealing).isBetween(65, 95);
        String json = Examples.read("corvid")
                .replace("\"rows\": 10", "\"rows\": " + rows)
                .replace("\"sealingPercent\": 60", "\"sealingPercent\": " + sealing);
        double peak = Solver.solve(DocumentReader.read(json, CaseDocument.class))
                .figures()
                .peakC();
        assertThat(ruleMark("Peak")).hasAccessibleName(celsius("^Peak", peak));
    }

    @Test
    void theCorvidIsMendedByTheRemedyOfItsFinding() {
        open("Aldane Corvid", design);
        station("Core");
        var remedy = corvid(10).findings().get(0).remedy();
        assertThat(findings()).containsText("The oil gets hotter than its limit");
        findings()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(remedy.label()))
                .click();
        assertThat(ruleMark("Peak")).hasAccessibleName(celsius("^Peak", remedy.peakC()));
        assertThat(findings()).not().containsText("The oil gets hotter than its limit");
        assertThat(field("Rows"))
                .hasValue(String.valueOf(remedy.design().cooler().rows()));
    }

    @Test
    void theHaulerIsSavedByAFanOrByAnotherPlace() {
        String under = Garage.copyOfTheFirstDesign("Brackwater Hauler", "hauler");
        CaseDocument asked = DocumentReader.read(Examples.read("hauler"), CaseDocument.class);
        OutcomeDocument before = Solver.solve(asked);
        open("Brackwater Hauler", under);
        station("Place");
        assertThat(findings()).containsText("The oil leaves its target band");
        toggle("Fan");
        assertThat(findings()).not().containsText("The oil leaves its target band");
        assertThat(field("Fan on at")).hasValue("98");
        toggle("Fan");
        assertThat(ruleMark("Peak"))
                .hasAccessibleName(celsius("^Peak", before.figures().peakC()));

        var ahead = QuestionSolver.places(asked).get(0);
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions()
                                .setName("Grille, ahead of radiator")
                                .setExact(true))
                .click();
        assertThat(ruleMark("Peak")).hasAccessibleName(celsius("^Peak", ahead.peakC()));
        assertThat(findings()).not().containsText("The oil leaves its target band");
        assertThat(page.getByRole(AriaRole.STATUS)).hasText("Saved");
        page.reload();
        assertThat(ruleMark("Peak")).hasAccessibleName(celsius("^Peak", ahead.peakC()));
    }

    @Test
    void bothWaysOfEstimatingTheHeatStandOnTheDutyStation() {
        open("Aldane Corvid", design);
        OutcomeDocument outcome = corvid(10);
        for (var school : outcome.schools()) {
            assertThat(page.getByRole(
                            AriaRole.ROW,
                            new Page.GetByRoleOptions()
                                    .setName(Pattern.compile(
                                            school.school().name().equals("FRICTION")
                                                    ? "Heat from friction"
                                                    : "Heat as a share of power"))))
                    .containsText(celsius("", school.peakC()));
        }
        choose("Heat by", "Friction");
        assertThat(ruleMark("Peak"))
                .hasAccessibleName(celsius("^Peak", outcome.schools().get(1).peakC()));
        choose("Heat by", "Share of power");
        assertThat(page.getByRole(AriaRole.STATUS)).hasText("Saved");
    }

    @Test
    void aWrongEntrySaysItsRangeAndLosesNothing() {
        open("Aldane Corvid", design);
        station("Core");
        field("Rows").fill("900");
        field("Rows").press("Enter");
        assertThat(page.getByText("Rows: 900 is outside 2 to 60")).isVisible();
        assertThat(field("Rows")).hasValue("900");
        field("Rows").press("Escape");
        assertThat(field("Rows")).hasValue("10");
    }

    @Test
    void unitsSwitchAndEitherMayBeTyped() {
        open("Aldane Corvid", design);
        station("Core");
        choose("Temperatures in", "°F");
        assertThat(field("Thermostat opens")).hasValue("194");
        field("Thermostat opens").fill("85 °C");
        field("Thermostat opens").press("Enter");
        assertThat(field("Thermostat opens")).hasValue("185");
        choose("Lengths in", "in");
        field("Finned width").fill("11 1/2");
        field("Finned width").press("Enter");
        assertThat(field("Finned width")).hasValue("11.50");
        choose("Lengths in", "mm");
        assertThat(field("Finned width")).hasValue("292");
    }

    @Test
    void theWrenIsToldThatItNeedsNone() {
        open("Pell Wren", "As it is today");
        assertThat(findings()).containsText("This car does not need an oil cooler for this duty");
    }

    @Test
    void numberKeysGoToTheStations() {
        open("Brackwater Hauler", "Under the floor");
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Isotherm"))
                .click();
        page.keyboard().press("2");
        assertThat(page).hasURL(Pattern.compile("/core/"));
        page.keyboard().press("1");
        assertThat(page).hasURL(Pattern.compile("/duty/"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"Light", "Dark"})
    void axeFindsNothing(String theme) {
        open("Aldane Corvid", design);
        if (theme.equals("Dark")) {
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Dark paper"))
                    .click();
        }
        for (String station : new String[] {"Duty", "Core", "Place"}) {
            station(station);
            assertThat(ruleMark("Peak")).isVisible();
            if (station.equals("Core")) {
                assertThat(mapHandle()).isVisible();
            }
            assertThat(new AxeBuilder(page).analyze().getViolations())
                    .as(station + " on " + theme + " paper")
                    .isEmpty();
        }
    }
}
