package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.deque.html.axecore.args.AxeRunOnlyOptions;
import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.extension.ExtendWith;

/** What a user does on every station, by role and name. */
@ExtendWith(Witness.class)
abstract class Workshop {
    private static final String PAPER = "() => getComputedStyle(document.body).backgroundColor";

    /** The page under test. */
    protected final Page page;

    Workshop() {
        this(Browser.page());
    }

    Workshop(Page page) {
        this.page = page;
    }

    @AfterEach
    void close() {
        page.context().close();
    }

    void open(String car, String design) {
        page.navigate("/");
        choose("Car", car);
        choose("Design", design);
    }

    /** Comes to a car by its address, as from a bookmark: its oldest design is open. */
    void open(Garage.Own own) {
        open(own, "Duty");
    }

    /** The same at one of its stations. */
    void open(Garage.Own own, String station) {
        page.navigate("/cars/" + own.id() + "/" + station.toLowerCase(Locale.ROOT));
        comes(button(Pattern.compile("Design$")).first());
        assertThat(button(Pattern.compile("Design$")).first()).containsText(own.design());
        arrived(station);
    }

    /** Waits for what takes its time: an assertion writes the whole page down each time that it is not there yet. */
    static void comes(Locator what) {
        what.waitFor();
    }

    void choose(String label, String option) {
        button(Pattern.compile(label + "$")).first().click();
        page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName(option).setExact(true))
                .click();
        assertThat(button(Pattern.compile(label + "$")).first()).containsText(option);
    }

    /** Opens a list of actions and runs one. */
    void act(String menu, String action) {
        button(menu).click();
        page.getByRole(
                        AriaRole.MENUITEM,
                        new Page.GetByRoleOptions().setName(action).setExact(true))
                .click();
    }

    /** A slow connection: each answer of the server comes after so many milliseconds. */
    void answersTake(int milliseconds) {
        JsonObject slow = new JsonObject();
        slow.addProperty("offline", false);
        slow.addProperty("latency", milliseconds);
        slow.addProperty("downloadThroughput", -1);
        slow.addProperty("uploadThroughput", -1);
        CDPSession network = page.context().newCDPSession(page);
        network.send("Network.enable");
        network.send("Network.emulateNetworkConditions", slow);
    }

    /** Answers a question whose answers are all in sight. */
    void answer(String question, String option) {
        page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName(Pattern.compile(question)))
                .locator("label")
                .filter(new Locator.FilterOptions().setHasText(option))
                .click();
    }

    /** A car of a class, by the first page. */
    void newCar(String carClass, String name) {
        act("More about this car", "New car");
        answer("nearest", carClass);
        page.getByLabel("Name of the car").fill(name);
        button("Add this car").click();
        assertThat(button(Pattern.compile("Car$")).first()).containsText(name);
    }

    void station(String name) {
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Stations"))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile(name)))
                .click();
        // A station comes when it is first gone to: what is pressed next belongs to it.
        assertThat(page).hasURL(Pattern.compile("/" + name.toLowerCase(Locale.ROOT) + "/"));
    }

    /** The address is that of the station before its page is: until then the one before is still there, unseen. */
    void arrived(String station) {
        comes(page.locator("[data-at=" + station.toLowerCase(Locale.ROOT) + "] .station > *:visible")
                .first());
    }

    Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    Locator button(Pattern name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    Locator field(String label) {
        return page.getByRole(
                AriaRole.SPINBUTTON, new Page.GetByRoleOptions().setName(label).setExact(true));
    }

    void set(String label, String value) {
        field(label).fill(value);
        field(label).press("Enter");
    }

    void toggle(String label) {
        page.getByRole(
                        AriaRole.SWITCH,
                        new Page.GetByRoleOptions().setName(label).setExact(true))
                .press("Space");
    }

    /** Unfolds a part of the choices. */
    void unfold(String name) {
        page.locator("details:not([open]) > summary")
                .filter(new Locator.FilterOptions().setHasText(name))
                .first()
                .click();
    }

    Locator sheet(String title) {
        return page.getByRole(
                AriaRole.DIALOG, new Page.GetByRoleOptions().setName(title).setExact(true));
    }

    Locator table(String name) {
        return page.getByRole(
                AriaRole.TABLE, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    Locator ruleMark(String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Thermal rule"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^" + name + " ")));
    }

    Locator findings() {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("Findings").setExact(true));
    }

    Locator verdict() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Verdict"));
    }

    Locator status() {
        return page.getByRole(AriaRole.STATUS);
    }

    Locator slider(String name) {
        return page.getByRole(
                AriaRole.SLIDER, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    void saved() {
        assertThat(status()).hasText("Saved");
    }

    /** Drags something from its middle, once an outcome that is on its way has come: its length moves what stands below. */
    void drag(Locator what, double dx, double dy) {
        if (verdict().count() > 0) {
            assertThat(verdict()).hasAttribute("aria-busy", "false");
        }
        what.scrollIntoViewIfNeeded();
        var box = what.boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x + dx, y + dy, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(10));
        page.mouse().up();
    }

    /**
     * What keeps somebody from using a page, by axe. Only what is wrong is written down: a megabyte of JSON and more for all that is
     * right takes three quarters of its time. No page has frames, so that it may end where it began instead of in a page of its own.
     */
    static List<Rule> barriers(Page page) {
        return barriers(page, new AxeRunOptions());
    }

    private static List<Rule> barriers(Page page, AxeRunOptions options) {
        options.setResultTypes(List.of("violations"));
        return new AxeBuilder(page)
                .setLegacyMode(true)
                .options(options)
                .analyze()
                .getViolations();
    }

    /** In the theme that the page is in by all of axe's rules, in the other one by what a theme changes: contrast. */
    List<Rule> barriersInEitherTheme() {
        List<Rule> all = new ArrayList<>(barriers(page));
        otherTheme();
        AxeRunOptions contrast = new AxeRunOptions();
        AxeRunOnlyOptions only = new AxeRunOnlyOptions();
        only.setType("rule");
        only.setValues(List.of("color-contrast", "link-in-text-block"));
        contrast.setRunOnly(only);
        all.addAll(barriers(page, contrast));
        otherTheme();
        return all;
    }

    /** Behind a dialog, too, where nobody could press it. */
    private void otherTheme() {
        String before = (String) page.evaluate(PAPER);
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions()
                                .setName(Pattern.compile("^(Light|Dark) theme$"))
                                .setIncludeHidden(true))
                .dispatchEvent("click");
        page.waitForFunction("before => (" + PAPER + ")() !== before", before);
    }

    static Pattern celsius(String prefix, double value) {
        // To a tenth of a kelvin on the rule, to a kelvin in the trace's summary; either way of rounding a half.
        String shown = Stream.of(Math.floor(value * 10) / 10, Math.ceil(value * 10) / 10)
                .map(v -> String.format(Locale.ROOT, "%.1f", v).replace(".", "\\."))
                .collect(Collectors.joining("|"));
        return Pattern.compile(prefix + (prefix.isEmpty() ? "(" : " (") + Math.round(value) + "|" + shown + ") °C");
    }
}
