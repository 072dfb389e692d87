package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** What a run sheet keeps, and who may pass its gates. */
class BuildStationTest extends BuildWorkshop {
    @Test
    void aGateIsPassedOnlyWithAReasonThatStays() {
        Locator gate = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("No start yet"));
        gate.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Pass it all the same…"))
                .click();
        assertThat(sheet("No start yet").getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Pass it")))
                .isDisabled();
        text("Reason").fill("Pressure seen on a gauge of its own");
        text("Reason").press("Enter");
        assertThat(gate).containsText("passed all the same by Ada");
        assertThat(gate).containsText("Pressure seen on a gauge of its own");
        done("Start, idle");
    }

    @Test
    void whatIsWrittenWithoutAConnectionArrivesWhenItIsBack() throws IOException {
        page.context().setOffline(true);
        tick("Lay out parts").click();
        assertThat(tick("Lay out parts")).hasAttribute("aria-pressed", "true");
        look("Lay out parts");
        button("Write a note").first().click();
        text("Note").fill("two clips are missing");
        text("Note").press("Enter");
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", png);
        step("Lay out parts")
                .locator("input[type=file]")
                .setInputFiles(new FilePayload("clips.png", "image/png", png.toByteArray()));
        comes(page.getByText(Pattern.compile("No connection: 3 entries")));
        page.context().setOffline(false);
        assertThat(page.getByText("1 of").first()).containsText("Saved");
        page.reload();
        assertThat(tick("Lay out parts")).hasAttribute("aria-pressed", "true");
        look("Lay out parts");
        assertThat(step("Lay out parts")).containsText("two clips are missing");
        comes(step("Lay out parts").getByRole(AriaRole.IMG));
    }

    @Test
    void aTimerRunsOnThroughAReload() {
        Locator idle = step("Start, idle");
        look("Start, idle");
        assertThat(idle.getByRole(AriaRole.TIMER)).hasText("0:30");
        idle.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Start the timer"))
                .click();
        assertThat(idle.getByRole(AriaRole.TIMER)).hasText(Pattern.compile("0:2\\d"));
        page.reload();
        look("Start, idle");
        assertThat(idle.getByRole(AriaRole.TIMER)).hasText(Pattern.compile("0:[12]\\d"));
    }

    @Test
    void axeFindsNothingInEitherTheme() {
        look("Drain the oil");
        unfold("Simulated logger");
        assertThat(barriersInEitherTheme()).isEmpty();
    }
}
