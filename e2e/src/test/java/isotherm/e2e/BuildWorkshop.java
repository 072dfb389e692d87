package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;

/** What a builder does on a run sheet, of a build of the test's own. */
abstract class BuildWorkshop extends Workshop {
    final Garage.Own own = Garage.own("plumb");

    @BeforeEach
    void beginBuild() {
        open(own, "Build");
        button("Begin a build of “" + own.design() + "”").click();
        button("Begin").click();
        comes(page.getByText("Say who works"));
        text("Your name").fill("Ada");
        text("Your name").press("Enter");
        assertThat(page.getByText("Say who works")).hasCount(0);
    }

    Locator text(String label) {
        return page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(label));
    }

    Locator step(String beginning) {
        return page.getByRole(AriaRole.LISTITEM, new Page.GetByRoleOptions().setName(Pattern.compile("^" + beginning)));
    }

    /** Opens a step whose turn it is not. */
    void look(String beginning) {
        Locator closed = step(beginning).locator("button[aria-expanded=false]");
        Locator open = step(beginning).locator("button[aria-expanded=true]");
        comes(closed.or(open));
        if (!open.isVisible()) {
            closed.click();
        }
        comes(open);
    }

    Locator tick(String beginning) {
        return button(Pattern.compile("^(Done|Not done): " + beginning));
    }

    void done(String beginning) {
        tick(beginning).click();
        assertThat(tick(beginning)).hasAttribute("aria-pressed", "true");
    }

    /** Ticks whatever comes next until a step is next. */
    void doneUpTo(String beginning) {
        Locator next = page.locator("li[aria-current=step]");
        for (String name = next.getAttribute("aria-label");
                !name.startsWith(beginning);
                name = next.getAttribute("aria-label")) {
            next.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Done: " + name))
                    .click();
            assertThat(next).not().hasAttribute("aria-label", name);
        }
    }

    void attach(String fault) {
        unfold("Simulated logger");
        choose("What is wrong with its engine", fault);
        set("Pace, seconds in one", "200");
        button("Attach the simulated logger").click();
        comes(table("What the gauges show"));
    }

    Locator alarm() {
        return page.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("▲"));
    }

    void crank() {
        button("Crank").click();
        look("Fuel pump or injectors disabled");
        comes(step("Fuel pump or injectors disabled").getByText("filled in by the logger"));
        done("Fuel pump or injectors disabled");
        done("Look at every joint with a lamp");
    }
}
