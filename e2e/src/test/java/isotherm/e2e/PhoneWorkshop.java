package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;

/** A run sheet worked through by touch, one step at a time. */
abstract class PhoneWorkshop extends Workshop {
    /** What is read where a sheet does not go on without it, in metric units. */
    private static final Map<String, String> READINGS = Map.of(
            "Fuel pump or injectors disabled", "2.2",
            "Run it warm", "96",
            "Read the end of the core", "72");

    final Garage.Own own = Garage.own("plumb");

    PhoneWorkshop() {
        super(Browser.phone());
    }

    Locator next() {
        return page.getByRole(
                AriaRole.REGION,
                new Page.GetByRoleOptions().setName("Next step").setExact(true));
    }

    Locator text(String label) {
        return page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(label));
    }

    /** Comes to the Build station of the test's own car. */
    void atBuild() {
        page.navigate("/cars/" + own.id() + "/build");
        comes(button(Pattern.compile("^Begin a build of")));
    }

    void begin() {
        button(Pattern.compile("^Begin a build of")).tap();
        button("Begin").tap();
        text("Your name").first().fill("Ada");
        text("Your name").first().press("Enter");
        comes(next());
    }

    /** What stands on the next step. */
    String nextStep() {
        return next().getByRole(AriaRole.LISTITEM).last().getAttribute("aria-label");
    }

    /** Reads what the next step asks for and ticks it. */
    void tickNext() {
        String name = nextStep();
        for (Map.Entry<String, String> r : READINGS.entrySet()) {
            if (name.startsWith(r.getKey())) {
                next().getByRole(AriaRole.TEXTBOX).first().fill(r.getValue());
                next().getByRole(AriaRole.TEXTBOX).first().press("Enter");
            }
        }
        next().getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Done: " + name).setExact(true))
                .tap();
        assertThat(next().getByRole(
                                AriaRole.BUTTON,
                                new Locator.GetByRoleOptions()
                                        .setName("Done: " + name)
                                        .setExact(true)))
                .hasCount(0);
    }

    /** The newest build of the test's own car as the server has it. */
    JsonNode build() {
        JsonNode all = got("/api/cars/" + own.id() + "/builds");
        return got("/api/builds/" + all.get(all.size() - 1).get("id").stringValue());
    }

    JsonNode entries() {
        return got("/api/builds/" + build().get("id").stringValue() + "/entries");
    }

    List<String> written(String kind, String field) {
        return StreamSupport.stream(entries().spliterator(), false)
                .filter(e -> e.get("kind").stringValue().equals(kind))
                .map(e -> e.get(field).stringValue())
                .toList();
    }

    /** Somebody else works through the sheet up to a step; the page is opened again then. */
    void doneElsewhere(String upTo) {
        RunSheets.doneUpTo("/api/builds/" + build().get("id").stringValue(), upTo);
        page.reload();
        comes(next());
    }

    static JsonNode got(String path) {
        return RunSheets.got(path);
    }

    /** The browser is to keep the page and what it shows from here on. */
    void keeps() {
        page.evaluate("navigator.serviceWorker.ready.then(() => true)");
        until("navigator.serviceWorker.controller !== null");
        page.reload();
    }

    void connection(boolean there) {
        page.context().setOffline(!there);
    }

    /** Everything that was written has arrived. */
    void arrived() {
        until("Object.keys(localStorage).every(k => !k.startsWith('isotherm.entries:') || k.endsWith(':refused'))");
    }

    /** Asked again and again from here: the page's own policy lets nothing be evaluated in it. */
    private void until(String condition) {
        for (int i = 0; i < 300; i++) {
            if (Boolean.TRUE.equals(page.evaluate(condition))) {
                return;
            }
            page.waitForTimeout(100);
        }
        throw new AssertionError("Not within half a minute: " + condition);
    }
}
