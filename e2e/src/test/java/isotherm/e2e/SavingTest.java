package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Nothing that was typed is lost: not by a lost connection, not by a reload, not by a second tab. */
class SavingTest {
    private final Garage.Own corvid = Garage.own("corvid");
    private final BrowserContext context = Browser.context();

    @AfterEach
    void close() {
        context.close();
    }

    private Page open() {
        return open(context);
    }

    private Page open(BrowserContext browser) {
        Page page = browser.newPage();
        page.navigate("/cars/" + corvid.id() + "/core");
        Workshop.comes(rows(page));
        return page;
    }

    private static Locator rows(Page page) {
        return page.getByRole(
                AriaRole.SPINBUTTON, new Page.GetByRoleOptions().setName("Rows").setExact(true));
    }

    private static void setRows(Page page, int value) {
        rows(page).fill(String.valueOf(value));
        rows(page).press("Enter");
    }

    private static Locator status(Page page) {
        return page.getByRole(AriaRole.STATUS);
    }

    private static Locator findings(Page page) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("Findings").setExact(true));
    }

    @Test
    void aChangeMadeWithoutAConnectionIsSentWhenItIsBack() {
        Page page = open();
        context.setOffline(true);
        setRows(page, 17);
        assertThat(status(page)).containsText("No connection");
        assertThat(findings(page)).containsText("None: no outcome was computed.");
        context.setOffline(false);
        assertThat(findings(page).getByRole(AriaRole.LISTITEM)).not().hasCount(0);
        assertThat(status(page)).hasText("Saved");
        page.reload();
        assertThat(rows(page)).hasValue("17");
    }

    @Test
    void aSecondTabTakesOverWhatTheFirstOneSavedWhileItHasNothingOfItsOwn() {
        Page one = open();
        Page two = open();
        setRows(one, 14);
        assertThat(status(one)).hasText("Saved");
        assertThat(rows(two)).hasValue("14");
        assertThat(status(two)).hasText("Taken over from another window");
        setRows(two, 15);
        assertThat(status(two)).hasText("Saved");
        assertThat(rows(one)).hasValue("15");
    }

    @Test
    void anotherBrowserIsToldOfTheChangeAndKeepsItsOwnIfItWants() {
        try (BrowserContext elsewhere = Browser.context()) {
            Page one = open();
            Page two = open(elsewhere);
            setRows(one, 14);
            assertThat(status(one)).hasText("Saved");
            setRows(two, 21);
            assertThat(two.getByRole(AriaRole.ALERT)).containsText("changed elsewhere");
            assertThat(rows(two)).hasValue("21");
            two.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Keep my changes"))
                    .click();
            assertThat(status(two)).hasText("Saved");
            one.reload();
            assertThat(rows(one)).hasValue("21");
        }
    }

    @Test
    void anotherBrowserCanTakeWhatTheFirstOneLeft() {
        try (BrowserContext elsewhere = Browser.context()) {
            Page one = open();
            Page two = open(elsewhere);
            setRows(one, 14);
            assertThat(status(one)).hasText("Saved");
            setRows(two, 21);
            two.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Use the saved version"))
                    .click();
            assertThat(rows(two)).hasValue("14");
            two.reload();
            assertThat(rows(two)).hasValue("14");
        }
    }

    @Test
    void whatWasDoneCanBeUndoneAndDoneAgainAfterAReload() {
        Page page = open();
        setRows(page, 17);
        assertThat(status(page)).hasText("Saved");
        page.waitForTimeout(800);
        setRows(page, 18);
        assertThat(status(page)).hasText("Saved");
        page.reload();
        button(page, "Undo").click();
        assertThat(rows(page)).hasValue("17");
        page.keyboard().press("Control+z");
        assertThat(rows(page)).hasValue("10");
        assertThat(button(page, "Undo")).isDisabled();
        page.keyboard().press("Control+Shift+z");
        assertThat(rows(page)).hasValue("17");
        button(page, "Redo").click();
        assertThat(rows(page)).hasValue("18");
        assertThat(status(page)).hasText("Saved");
        page.reload();
        assertThat(rows(page)).hasValue("18");
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void aReloadRightAfterAChangeKeepsIt() {
        Page page = open();
        setRows(page, 23);
        page.reload();
        assertThat(rows(page)).hasValue("23");
        assertThat(status(page)).hasText("Saved");
    }
}
