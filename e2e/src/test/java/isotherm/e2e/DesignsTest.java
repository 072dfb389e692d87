package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Designs side by side, units, screens and keys. */
class DesignsTest extends Workshop {
    private final Garage.Own corvid = Garage.own("corvid");

    @Test
    void aCopyIsComparedNamedShownOnTheRuleAndRemoved() {
        open(corvid, "Core");
        act("More about this design", "Copy…");
        page.getByLabel("Name of the copy").fill(corvid.design() + " with more");
        button("Copy").click();
        assertThat(button(Pattern.compile("Design$")).first()).containsText(corvid.design() + " with more");
        // The one that it was copied from stands on the rule.
        comes(ruleMark("The other"));
        set("Rows", "25");
        saved();
        button("Compare").click();
        var rows = table("Designs compared")
                .getByRole(AriaRole.ROW, new com.microsoft.playwright.Locator.GetByRoleOptions().setName("Rows"));
        assertThat(rows.first()).containsText("25");
        assertThat(table("Designs compared")).containsText("Peak of the oil");
        button("Show As it is today on the rule").click();
        assertThat(ruleMark("The other")).hasAccessibleName(Pattern.compile("As it is today"));
        button("Choose " + corvid.design()).click();
        assertThat(button(Pattern.compile("Design$")).first()).not().containsText("with more");
        act("More about this design", "Rename…");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill(corvid.design() + ", renamed");
        button("Rename").click();
        saved();
        act("More about this design", "Remove…");
        button("Remove it").click();
        assertThat(button(Pattern.compile("Design$")).first()).not().containsText(corvid.design() + ", renamed");
    }

    @Test
    void unitsSwitchForAllQuantitiesAtOnce() {
        open(corvid);
        button("Units").click();
        button("All imperial").click();
        button("Done").click();
        assertThat(field("Air temperature")).hasValue("88");
        set("Air temperature", "30 °C");
        assertThat(field("Air temperature")).hasValue("86");
        set("Air temperature", "31 °C");
        station("Core");
        assertThat(field("Finned width")).hasValue("8.27");
        page.reload();
        assertThat(field("Finned width")).hasValue("8.27");
        saved();
    }

    @ParameterizedTest
    @CsvSource({"1280, 800", "1024, 768"})
    void noStationScrollsThePage(int width, int height) {
        page.setViewportSize(width, height);
        open(corvid);
        for (String station : new String[] {"Duty", "Core", "Place", "Plumb"}) {
            station(station);
            comes(ruleMark("Peak"));
            assertThat((Boolean) page.evaluate("document.documentElement.scrollHeight <= innerHeight"
                            + " && document.documentElement.scrollWidth <= innerWidth"))
                    .as(station)
                    .isTrue();
        }
    }

    @Test
    void axeFindsNothingOnSheetsAndTheComparison() {
        open("Aldane Corvid", "As it is today");
        button("Fit Skerry Moor, before").click();
        comes(table("What was learned"));
        clean("fit");
        page.keyboard().press("Escape");
        act("More about Skerry Moor, before", "Show it");
        comes(button("Zoom in"));
        clean("log");
        button("Close").click();
        act("More about this car", "New car");
        answer("nearest", "Hot hatch");
        answer("show today", "A temperature on the dash");
        unfold("Figures that it starts from");
        comes(table("Figures of this class"));
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Measure next")))
                .containsText("after it within");
        clean("start");
        button(Pattern.compile("^Back to")).click();
        button("Units").click();
        clean("units");
        button("Done").click();
        open(corvid, "Core");
        button("Cores to buy…").click();
        comes(table("Cores"));
        clean("catalogue");
        button("Close").click();
        button("Compare").click();
        assertThat(table("Designs compared")).containsText("Peak of the oil");
        clean("compare");
    }

    private void clean(String what) {
        assertThat(barriersInEitherTheme()).as(what).isEmpty();
    }

    private void tabTo(String role, Pattern name) {
        for (int i = 0; i < 200; i++) {
            page.keyboard().press("Tab");
            boolean there = (Boolean) page.evaluate(
                    "([role, name]) => { const e = document.activeElement;"
                            + " const is = e.getAttribute('role') ?? ({BUTTON: 'button', A: 'link', SUMMARY: 'summary'})[e.tagName];"
                            + " const called = e.getAttribute('aria-label') ?? e.textContent ?? '';"
                            + " return is === role && new RegExp(name).test(called); }",
                    java.util.List.of(role, name.pattern()));
            if (there) {
                return;
            }
        }
        throw new AssertionError("No " + role + " " + name + " is reached by the keyboard");
    }

    @Test
    void theCorvidsStoryByKeyboardAlone() {
        open(corvid);
        page.keyboard().press("Escape");
        page.evaluate("document.activeElement.blur()");
        page.keyboard().press("2");
        assertThat(page).hasURL(Pattern.compile("/core/"));
        assertThat(findings()).containsText("above its target of");
        tabTo("button", Pattern.compile("^Seal the opening with"));
        page.keyboard().press("Enter");
        assertThat(findings()).not().containsText("above its target of");
        assertThat(field("Sealing")).hasValue("90");
        saved();
    }

    @Test
    void theHaulersStoryByKeyboardAlone() {
        Garage.Own under = Garage.own("hauler");
        open(under);
        page.evaluate("document.activeElement.blur()");
        page.keyboard().press("3");
        assertThat(page).hasURL(Pattern.compile("/place/"));
        assertThat(findings()).containsText("above its target of");
        // Out from under the floor, into the lower grille, by arrow keys on the drawing and by numbers.
        tabTo("slider", Pattern.compile("^Core, from the front$"));
        for (int i = 0; i < 50; i++) {
            page.keyboard().press("ArrowLeft");
        }
        for (int i = 0; i < 44; i++) {
            page.keyboard().press("ArrowUp");
        }
        field("Depth behind bumper skin").focus();
        field("Depth behind bumper skin").fill("200");
        page.keyboard().press("Enter");
        assertThat(findings()).not().containsText("above its target of");
        saved();
    }

    @Test
    void theWrensStoryByKeyboardAlone() {
        Garage.Own friend = Garage.own("wren");
        open(friend);
        assertThat(verdict()).containsText("No oil cooler is needed");
        page.evaluate("document.activeElement.blur()");
        tabTo("summary", Pattern.compile("This car does not need an oil cooler"));
        if (button("Leave the cooler out").isHidden()) {
            page.keyboard().press("Enter");
        }
        tabTo("button", Pattern.compile("^Leave the cooler out$"));
        page.keyboard().press("Enter");
        assertThat(ruleMark("No cooler")).isHidden();
        saved();
    }

    @Test
    void aCopyThatTheServerRefusesIsTold() {
        open(corvid);
        page.route(
                "**/api/cars/*/designs",
                route -> route.fulfill(new com.microsoft.playwright.Route.FulfillOptions()
                        .setStatus(422)
                        .setContentType("application/problem+json")
                        .setBody("{\"detail\":\"This garage takes no more designs\"}")));
        act("More about this design", "Copy…");
        button("Copy").click();
        assertThat(page.getByRole(AriaRole.ALERT))
                .containsText("The design was not copied: This garage takes no more designs");
    }

    @Test
    void behindADialogNothingCanBeReached() {
        open(corvid);
        // An inert part of a page takes no focus and no pointer, and is hidden from assistive technology.
        var inert = page.locator("#root[inert]");
        assertThat(inert).hasCount(0);
        button("Files").click();
        comes(sheet("Files"));
        assertThat(inert).hasCount(1);
        for (int i = 0; i < 12; i++) {
            page.keyboard().press("Tab");
            assertThat(sheet("Files").locator(":focus").or(page.locator("body:focus")))
                    .hasCount(1);
        }
        page.keyboard().press("Escape");
        assertThat(inert).hasCount(0);
    }

    @Test
    void aRemedyThatAddsACoreMakesADesignBesideTheCarAsItIsAndIsTakenBackInOnePress() {
        Garage.Own own = Garage.own("corvid");
        open(own);
        choose("Design", "As it is today");
        button(Pattern.compile("^Fit a shrouded core of \\d+ rows")).first().click();
        assertThat(button(Pattern.compile("Design$")).first()).containsText("Fit a shrouded core");
        assertThat(verdict()).containsText("A design beside “As it is today”, which stays as it is");
        button("Take it back").click();
        assertThat(button(Pattern.compile("Design$")).first()).containsText("As it is today");
        button(Pattern.compile("Design$")).first().click();
        assertThat(page.getByRole(AriaRole.OPTION)).hasCount(2);
    }
}
