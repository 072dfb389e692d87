package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A build from its first step to its last, with a logger that is well, and with one that is not. */
class BuildStationTest extends Workshop {
    private static final int PATIENCE = 45_000;
    private static final LocatorAssertions.IsVisibleOptions SOON =
            new LocatorAssertions.IsVisibleOptions().setTimeout(PATIENCE);

    private final Garage.Own own = Garage.own("plumb");

    @BeforeEach
    void beginBuild() {
        open(own);
        station("Build");
        button("Begin a build of “" + own.design() + "”").click();
        button("Begin").click();
        assertThat(page.getByText("Say who works")).isVisible();
        text("Who works").fill("Ada");
        text("Who works").press("Enter");
        assertThat(page.getByText("Say who works")).hasCount(0);
    }

    private Locator text(String label) {
        return page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(label));
    }

    private Locator step(String beginning) {
        return page.getByRole(AriaRole.LISTITEM, new Page.GetByRoleOptions().setName(Pattern.compile("^" + beginning)));
    }

    /** Opens a step whose turn it is not. */
    private void look(String beginning) {
        assertThat(step(beginning)).isVisible();
        Locator closed = step(beginning).locator("button[aria-expanded=false]");
        if (closed.count() > 0) {
            closed.click();
        }
        assertThat(step(beginning).locator("button[aria-expanded=true]")).isVisible();
    }

    private Locator tick(String beginning) {
        return button(Pattern.compile("^(Done|Not done): " + beginning));
    }

    private void done(String beginning) {
        tick(beginning).click();
        assertThat(tick(beginning)).hasAttribute("aria-pressed", "true");
    }

    /** Ticks whatever comes next until a step is next. */
    private void doneUpTo(String beginning) {
        Locator next = page.locator("li[aria-current=step]");
        while (!next.getAttribute("aria-label").startsWith(beginning)) {
            String name = next.getAttribute("aria-label");
            next.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Done: " + name))
                    .click();
            assertThat(next).not().hasAttribute("aria-label", name);
        }
    }

    private void attach(String fault) {
        unfold("Simulated logger");
        choose("What is wrong with its engine", fault);
        set("Pace, seconds in one", "200");
        button("Attach the simulated logger").click();
        assertThat(table("What the gauges show")).isVisible(SOON);
    }

    private Locator alarm() {
        return page.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("▲"));
    }

    private void crank() {
        button("Crank").click();
        look("Fuel or ignition off");
        assertThat(step("Fuel or ignition off").getByText("filled in by the logger"))
                .isVisible(SOON);
        done("Fuel or ignition off");
        done("Look at every joint with a lamp");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "Nothing, ''",
        "A slow leak, oil pressure has fallen",
        "Thermostat stays shut, the thermostat does not open",
        "Air in the core, nothing flows through the core",
        "Fan does not run, The fan does not run",
        "A sensor plug falls off, far end of the core shows nothing"
    })
    void theCorvidIsBuiltFromItsFirstStepToItsFirstService(String fault, String said) {
        attach(fault);
        doneUpTo("Take off bumper");
        for (String off : List.of("undertray, nine bolts", "bumper, six clips")) {
            text("Came off").fill(off);
            text("Came off").press("Enter");
            assertThat(page.getByText(off).first()).isVisible();
        }
        doneUpTo("Fuel or ignition off");
        assertThat(tick("Start, idle")).isDisabled();
        crank();
        done("Start, idle");
        button("Raised idle").click();
        boolean sensor = fault.contains("sensor");
        if (!said.isEmpty()) {
            assertThat(alarm().filter(new Locator.FilterOptions().setHasText(said)))
                    .isVisible(SOON);
        }
        if (!said.isEmpty() && !sensor) {
            assertThat(alarm()).containsText("Stop the engine");
            button("Off").click();
            page.reload();
            // It stays on the sheet; what was wrong is put right, and the engine starts again.
            assertThat(alarm()).containsText(said);
            button("Let the logger go").click();
            attach("Nothing");
            button("Raised idle").click();
        }
        doneUpTo("Run it warm");
        assertThat(step("Run it warm").getByText("filled in by the logger")).isVisible(SOON);
        done("Run it warm");
        if (sensor) {
            readByHand();
        }
        assertThat(tick("Read the end of the core"))
                .isEnabled(new LocatorAssertions.IsEnabledOptions().setTimeout(PATIENCE));
        done("Read the end of the core");
        assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("No bumper yet")))
                .isVisible();
        button("Off").click();
        done("Engine off");
        assertThat(tick("Put back on")).isDisabled();
        button("Back on: bumper, six clips").click();
        assertThat(tick("Put back on")).isDisabled();
        button("Back on: undertray, nine bolts").click();
        assertThat(tick("Put back on")).isEnabled();
        doneUpTo("Hand over");
        done("Hand over");
        assertThat(page.getByText(Pattern.compile("(\\d+) of \\1 done"))).isVisible();
        assertThat(alarm()).hasCount(said.isEmpty() ? 0 : 1);
        Download pdf =
                page.waitForDownload(() -> page.getByText("Run sheet as PDF").click());
        assertThat(pdf.suggestedFilename()).isEqualTo("run-sheet.pdf");
        assertThat(pdf.path()).satisfies(p -> assertThat(Files.size(p)).isGreaterThan(5000));
        isServiced();
    }

    /** Where a sensor says nothing, the sheet takes what a person reads. */
    private void readByHand() {
        assertThat(alarm()).not().containsText("Stop");
        Locator far = step("Read the end of the core");
        look("Read the end of the core");
        assertThat(tick("Read the end of the core")).isDisabled();
        far.getByLabel("far end of the core").fill("30");
        far.getByLabel("far end of the core").press("Enter");
        assertThat(far).containsText("does not allow it");
        far.getByLabel("far end of the core").fill("160F");
        far.getByLabel("far end of the core").press("Enter");
        assertThat(far.getByLabel("far end of the core")).hasValue("71");
    }

    /** The first service after the build, in the care book. */
    private void isServiced() {
        station("Care");
        set("Odometer", "84500");
        button("Write the odometer down").click();
        choose("Something happened", "Service");
        button("It happened today").click();
        Locator oil = page.getByRole(
                AriaRole.LISTITEM, new Page.GetByRoleOptions().setName(Pattern.compile("^Change oil and filter")));
        oil.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Done…"))
                .click();
        text("What was found, figure used").fill("6.4 L, filter full of nothing");
        text("What was found, figure used").press("Enter");
        assertThat(oil).containsText("Last by Ada");
        assertThat(table("The care book")).containsText("filter full of nothing");
        assertThat(table("The care book")).containsText("Service");
        assertThat(table("The care book")).containsText("84500 km");
    }

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
        assertThat(page.getByText(Pattern.compile("No connection: 3 entries"))).isVisible(SOON);
        page.context().setOffline(false);
        assertThat(page.getByText("1 of").first())
                .containsText("Saved", new LocatorAssertions.ContainsTextOptions().setTimeout(PATIENCE));
        page.reload();
        assertThat(tick("Lay out parts")).hasAttribute("aria-pressed", "true");
        look("Lay out parts");
        assertThat(step("Lay out parts")).containsText("two clips are missing");
        assertThat(step("Lay out parts").getByRole(AriaRole.IMG)).isVisible();
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
        assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
        button("Dark paper").click();
        assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    }
}
