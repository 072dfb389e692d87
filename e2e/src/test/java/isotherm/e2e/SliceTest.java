package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import isotherm.server.contract.DocumentReader;
import isotherm.server.garage.CaseDocument;
import isotherm.server.session.OutcomeDocument;
import isotherm.server.session.QuestionSolver;
import isotherm.server.session.Solver;
import isotherm.server.testing.Examples;
import isotherm.words.UnitChoice;
import isotherm.words.Words;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A user opens a car, changes a choice and sees what it does. */
class SliceTest extends Workshop {
    /** A Corvid that no other test touches. */
    private final Garage.Own corvid = Garage.own("corvid");

    private static OutcomeDocument corvid(int rows) {
        String json = Examples.read("corvid").replace("\"rows\": 10", "\"rows\": " + rows);
        return Solver.solve(DocumentReader.read(json, CaseDocument.class));
    }

    private static String said(OutcomeDocument outcome) {
        return Words.english().render(outcome.findings().get(0).what().toCore(), UnitChoice.METRIC);
    }

    @Test
    void rowsFromTenToTwentyFiveChangeRuleTraceAndFindingToWhatCoreComputesAndAreStillThereAfterAReload() {
        OutcomeDocument before = corvid(10);
        OutcomeDocument after = corvid(25);
        assertThat(before.findings().get(0).topic().name()).isEqualTo("TOO_HOT");
        assertThat(Math.round(after.figures().peakC()))
                .isNotEqualTo(Math.round(before.figures().peakC()));

        open(corvid, "Core");
        assertThat(ruleMark("Peak"))
                .hasAccessibleName(celsius("^Peak", before.figures().peakC()));
        assertThat(findings()).containsText(said(before));

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
        assertThat(findings()).containsText(said(after));
        assertThat(page.getByRole(AriaRole.STATUS)).hasText("Saved");

        page.reload();
        assertThat(field("Rows")).hasValue("25");
        assertThat(ruleMark("Peak"))
                .hasAccessibleName(celsius("^Peak", after.figures().peakC()));
    }

    @Test
    void rowsCanBeDragged() {
        open(corvid, "Core");
        Locator thumb = page.getByRole(
                AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Rows").setExact(true));
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
        // The last of the moves has arrived when all is saved.
        saved();
        int rows = Integer.parseInt(thumb.inputValue());
        assertThat(rows).isBetween(15, 30);
        assertThat(ruleMark("Peak"))
                .hasAccessibleName(celsius("^Peak", corvid(rows).figures().peakC()));
        thumb.focus();
        thumb.press("ArrowLeft");
        assertThat(field("Rows")).hasValue(String.valueOf(rows - 1));
    }

    private Locator mapHandle() {
        return page.getByRole(
                AriaRole.SLIDER, new Page.GetByRoleOptions().setName(Pattern.compile("^Rows and Sealing")));
    }

    @Test
    void theHandleOnTheMapMovesTheDesignByKeysAndByPointer() {
        open(corvid, "Core");
        comes(mapHandle());
        mapHandle().focus();
        for (int i = 0; i < 3; i++) {
            page.keyboard().press("ArrowRight");
        }
        page.keyboard().press("ArrowUp");
        assertThat(field("Rows")).hasValue("13");
        assertThat(field("Sealing")).hasValue("46");
        var box = mapHandle().boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse().move(box.x + 160, box.y - 60, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(10));
        page.mouse().up();
        assertThat(field("Rows")).not().hasValue("13");
        saved();
        int rows = Integer.parseInt(field("Rows").inputValue());
        int sealing = Integer.parseInt(field("Sealing").inputValue());
        assertThat(rows).isBetween(16, 34);
        assertThat(sealing).isBetween(65, 95);
        String json = Examples.read("corvid")
                .replace("\"rows\": 10", "\"rows\": " + rows)
                .replace("\"sealingPercent\": 45.1", "\"sealingPercent\": " + sealing);
        double peak = Solver.solve(DocumentReader.read(json, CaseDocument.class))
                .figures()
                .peakC();
        assertThat(ruleMark("Peak")).hasAccessibleName(celsius("^Peak", peak));
    }

    @Test
    void theCorvidIsMendedByTheRemedyOfItsFinding() {
        open(corvid, "Core");
        var remedy = corvid(10).findings().get(0).remedy();
        assertThat(findings()).containsText("above its target of");
        findings()
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions()
                                .setName(Words.english().render(remedy.label().toCore(), UnitChoice.METRIC)))
                .click();
        assertThat(ruleMark("Peak")).hasAccessibleName(celsius("^Peak", remedy.peakC()));
        assertThat(findings()).not().containsText("above its target of");
        assertThat(field("Rows"))
                .hasValue(String.valueOf(remedy.design().cooler().rows()));
    }

    @Test
    void theHaulerIsSavedByAFanOrByAnotherPlace() {
        Garage.Own under = Garage.own("hauler");
        CaseDocument asked = DocumentReader.read(Examples.read("hauler"), CaseDocument.class);
        OutcomeDocument before = Solver.solve(asked);
        open(under, "Place");
        assertThat(findings()).containsText("above its target of");
        toggle("Fan");
        assertThat(findings()).not().containsText("above its target of");
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
        assertThat(findings()).not().containsText("above its target of");
        assertThat(page.getByRole(AriaRole.STATUS)).hasText("Saved");
        page.reload();
        assertThat(ruleMark("Peak")).hasAccessibleName(celsius("^Peak", ahead.peakC()));
    }

    @Test
    void bothWaysOfEstimatingTheHeatStandOnTheDutyStation() {
        open(corvid);
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
        unfold("Heat into the oil");
        choose("Heat by", "Friction");
        assertThat(ruleMark("Peak"))
                .hasAccessibleName(celsius("^Peak", outcome.schools().get(1).peakC()));
        choose("Heat by", "Share of power");
        assertThat(page.getByRole(AriaRole.STATUS)).hasText("Saved");
    }

    @Test
    void aWrongEntrySaysItsRangeAndLosesNothing() {
        open(corvid, "Core");
        field("Rows").fill("900");
        field("Rows").press("Enter");
        comes(page.getByText("Rows: 900 is outside 2 to 60"));
        assertThat(field("Rows")).hasValue("900");
        field("Rows").press("Escape");
        assertThat(field("Rows")).hasValue("10");
    }

    @Test
    void unitsSwitchAndEitherMayBeTyped() {
        open(corvid, "Core");
        button("Units").click();
        choose("Temperatures in", "°F");
        button("Done").click();
        assertThat(field("Thermostat opens")).hasValue("194");
        field("Thermostat opens").fill("85 °C");
        field("Thermostat opens").press("Enter");
        assertThat(field("Thermostat opens")).hasValue("185");
        button("Units").click();
        choose("Lengths in", "in");
        button("Done").click();
        field("Finned width").fill("11 1/2");
        field("Finned width").press("Enter");
        assertThat(field("Finned width")).hasValue("11.50");
        button("Units").click();
        choose("Lengths in", "mm");
        button("Done").click();
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

    @Test
    void axeFindsNothingInEitherTheme() {
        open(corvid);
        for (String station : new String[] {"Duty", "Core", "Place", "Plumb", "Build", "Care"}) {
            station(station);
            comes(ruleMark("Peak"));
            if (station.equals("Core")) {
                comes(mapHandle());
            }
            assertThat(barriersInEitherTheme()).as(station).isEmpty();
        }
    }
}
