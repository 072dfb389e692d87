package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** A build from its first step until it is handed over, and serviced: with a logger that is well and with each that is not. */
class BuildStoryTest extends BuildWorkshop {
    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "Nothing, ''",
        "A slow leak, oil pressure has fallen",
        "Thermostat stays shut, the thermostat does not open",
        "Air in the core, nothing flows through the core",
        "Fan does not run, The fan does not run",
        "A sensor plug falls off, far end of the core shows nothing"
    })
    void theCorvidIsBuiltFromItsFirstStepOn(String fault, String said) {
        if (!said.isEmpty()) {
            // The first story shows every press; what the others show begins with the engine.
            RunSheets.doneUpTo(build(), "strip-list");
            page.reload();
        }
        attach(fault);
        doneUpTo("Take off bumper");
        for (String off : List.of("undertray, nine bolts", "bumper, six clips")) {
            text("Came off").fill(off);
            text("Came off").press("Enter");
            comes(page.getByText(off).first());
        }
        if (!said.isEmpty()) {
            done("Take off bumper");
            RunSheets.doneUpTo(build(), "crank-pressure");
            page.reload();
        }
        doneUpTo("Fuel pump or injectors disabled");
        assertThat(tick("Start, idle")).isDisabled();
        crank();
        done("Start, idle");
        button("Raised idle").click();
        boolean sensor = fault.contains("sensor");
        if (!said.isEmpty()) {
            comes(alarm().filter(new Locator.FilterOptions().setHasText(said)));
        }
        if (!said.isEmpty() && !sensor) {
            assertThat(alarm()).containsText("Stop the engine");
            button("Off").click();
            page.reload();
            // It stays on the sheet; what was wrong is put right, and the engine starts again.
            assertThat(alarm()).containsText(said);
            button("Disconnect logger").click();
            attach("Nothing");
            button("Raised idle").click();
        }
        doneUpTo("Run it warm");
        comes(step("Run it warm").getByText("filled in by the logger"));
        done("Run it warm");
        if (sensor) {
            readByHand();
        }
        assertThat(tick("Read the end of the core")).isEnabled();
        done("Read the end of the core");
        comes(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("No bumper yet")));
        isHandedOver(said.isEmpty() ? 0 : 1);
        // What was wrong with the logger does not reach the care book.
        if (said.isEmpty() || sensor) {
            isServiced();
        }
    }

    /** With the alarms that it had: they stay on its sheet. */
    private void isHandedOver(int alarms) {
        button("Off").click();
        done("Engine off");
        assertThat(tick("Put back on")).isDisabled();
        button("Back on: bumper, six clips").click();
        assertThat(tick("Put back on")).isDisabled();
        button("Back on: undertray, nine bolts").click();
        assertThat(tick("Put back on")).isEnabled();
        doneUpTo("Hand over");
        done("Hand over");
        comes(page.getByText(Pattern.compile("(\\d+) of \\1 done")));
        assertThat(alarm()).hasCount(alarms);
        Download pdf =
                page.waitForDownload(() -> page.getByText("Run sheet as PDF").click());
        assertThat(pdf.suggestedFilename()).isEqualTo("run-sheet.pdf");
        assertThat(pdf.path()).satisfies(p -> assertThat(Files.size(p)).isGreaterThan(5000));
    }

    private String build() {
        JsonNode all = RunSheets.got("/api/cars/" + own.id() + "/builds");
        return "/api/builds/" + all.get(all.size() - 1).get("id").stringValue();
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
        button("Save odometer reading").click();
        choose("Something happened", "Service");
        button("Record for today").click();
        Locator oil = page.getByRole(
                AriaRole.LISTITEM, new Page.GetByRoleOptions().setName(Pattern.compile("^Change oil and filter")));
        oil.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Done…"))
                .click();
        Locator odometer = page.getByRole(AriaRole.DIALOG)
                .getByRole(AriaRole.SPINBUTTON, new Locator.GetByRoleOptions().setName("Odometer"));
        assertThat(odometer).hasValue("84500");
        odometer.fill("84510");
        odometer.press("Enter");
        text("What was found, figure used").fill("6.4 L, filter full of nothing");
        text("What was found, figure used").press("Enter");
        assertThat(oil).containsText(Pattern.compile("Last by Ada, .*, at 84510 km"));
        assertThat(table("The care book")).containsText("filter full of nothing");
        assertThat(table("The care book")).containsText("Service");
        assertThat(table("The care book")).containsText("84500 km");
    }
}
