package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The application in one hand, under a car. */
class PhoneTest extends Workshop {
    /** What a gloved thumb hits, pixels. */
    private static final double TARGET = 48;

    private final Garage.Own corvid = Garage.own("plumb");

    @BeforeEach
    void openOnAPhone() {
        page.setViewportSize(390, 844);
        open(corvid);
    }

    private Locator next() {
        return page.getByRole(
                AriaRole.REGION,
                new Page.GetByRoleOptions().setName("Next step").setExact(true));
    }

    private Locator done() {
        return next().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Done: ")));
    }

    @Test
    void aBuildIsReadBegunAndWorkedThroughStepByStep() {
        station("Build");
        button("Preview this build…").click();
        assertThat(sheet("Preview of this build")).containsText("mark it, cut square through the tape");
        assertThat(sheet("Preview of this build")).containsText(Pattern.compile("cut \\d+ mm to \\d+ mm"));
        assertThat(sheet("Preview of this build")).containsText("Aluminium shears or galls");
        page.keyboard().press("Escape");
        assertThat(sheet("Preview of this build")).isHidden();
        button(Pattern.compile("^Begin a build of")).click();
        button("Begin").click();
        page.getByLabel("Your name").fill("Ada");
        page.getByLabel("Your name").press("Tab");
        assertThat(next()).containsText("1 of ");
        assertThat(next()).containsText("Lay out parts, tools and consumables");
        for (Locator b : next().getByRole(AriaRole.BUTTON).all()) {
            if (b.isVisible() && !"true".equals(b.getAttribute("aria-expanded"))) {
                BoundingBox box = b.boundingBox();
                assertThat(Math.min(box.width, box.height)).as(b.textContent()).isGreaterThanOrEqualTo(TARGET - 0.5);
            }
        }
        done().click();
        assertThat(next()).containsText("2 of ");
        assertThat(next()).containsText("rated stands");
        assertThat(next().getByRole(AriaRole.NOTE)).containsText("A car on a jack alone kills");
        assertThat(next().locator("input[type=file]")).hasAttribute("capture", "environment");
        unfold("All steps");
        comes(page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Not done: Lay out parts"))));
    }

    @Test
    void whatComesOffIsListedWithTwoTapsAndCarriesItsLetter() {
        station("Build");
        button(Pattern.compile("^Begin a build of")).click();
        button("Begin").click();
        page.getByLabel("Your name").fill("Ada");
        page.getByLabel("Your name").press("Tab");
        unfold("All steps");
        button("Off: bumper cover").click();
        button("Off: undertray").click();
        comes(page.getByLabel("Mark A").first());
        comes(page.getByLabel("Mark B").first());
        assertThat(button("Off: bumper cover")).hasCount(0);
        button("Back on: undertray").click();
        assertThat(button("Back on: undertray")).hasAttribute("aria-pressed", "true");
        assertThat(button("Back on: bumper cover")).hasAttribute("aria-pressed", "false");
    }

    @Test
    void noStationRunsOffTheEdge() {
        for (String name : new String[] {"Duty", "Core", "Place", "Plumb", "Build", "Prove", "Care", "Compare"}) {
            if (name.equals("Compare")) {
                page.navigate("/cars/" + corvid.id() + "/compare");
            } else {
                station(name);
            }
            page.waitForTimeout(600);
            for (int width : new int[] {390, 360}) {
                page.setViewportSize(width, 800);
                // Drawings take the new width in the frame after the one in which they are told of it.
                page.waitForTimeout(300);
                Object wide = page.evaluate("document.documentElement.scrollWidth");
                assertThat(((Number) wide).intValue()).as(name + " at " + width).isLessThanOrEqualTo(width);
            }
        }
    }
}
