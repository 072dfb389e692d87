package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Before against after with the demo garage's logs, and a car's care after its build. */
class ProveAndCareTest extends Workshop {
    private Locator proof() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Proof"));
    }

    @Test
    void beforeAndAfterAreHeldAgainstEachOtherAndTheModel() {
        open("Aldane Corvid", "First choice, 10 rows");
        station("Prove");
        assertThat(proof()).containsText("It runs cooler");
        assertThat(proof()).containsText(Pattern.compile("ran [\\d.]+ °C cooler \\([\\d.]+ °C to [\\d.]+ °C\\)"));
        assertThat(table("Brought to the first day")).containsText("Difference");
        assertThat(table("What was read")).containsText("Drop over the core");
        comes(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("The mean laps before and after")));
        // Each log knows the design that was driven.
        assertThat(button(Pattern.compile("Design in it then$")).first()).containsText("As it is today");
        assertThat(button(Pattern.compile("Design in it now$")).first()).containsText("As it was fitted");
        choose("Design in it now", "First choice, 10 rows");
        comes(page.getByText("look whether this design was in it"));
        assertThat(barriers(page)).isEmpty();
        choose("Before", "Skerry Moor, after");
        comes(page.getByText("Before and after are the same log"));
        choose("After", "Skerry Moor, before");
        assertThat(proof()).containsText("It runs hotter");
        button("What the second log teaches…").click();
        comes(sheet("What “Skerry Moor, before” says"));
    }

    @Test
    void aLogTeachesTheModelAndWhatItExpectedBeforeStaysBesideIt() {
        open("Aldane Corvid", "As it was fitted");
        station("Prove");
        Locator after = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Model, after"));
        assertThat(after).containsText("lies where the model expects it");
        Pattern peak = Pattern.compile("Peak predicted ([\\d.]+) °C");
        String untaught = found(peak, after.textContent());
        button("What the second log teaches…").click();
        comes(table("What was learned"));
        button("Use it in the car's model").click();
        assertThat(after).containsText("Before a log taught the model: " + untaught + " °C");
        saved();
        Download report =
                page.waitForDownload(() -> button("Report on one page").click());
        assertThat(report.suggestedFilename()).isEqualTo("proof.pdf");
        assertThat(report.path()).satisfies(p -> assertThat(Files.size(p)).isGreaterThan(3000));
        button("Take the log out again").click();
        assertThat(after).not().containsText("Before a log taught the model");
        assertThat(found(peak, after.textContent())).isEqualTo(untaught);
        saved();
    }

    private static String found(Pattern pattern, String text) {
        var matcher = pattern.matcher(text);
        assertThat(matcher.find()).as(text).isTrue();
        return matcher.group(1);
    }

    @Test
    void whatIsWrittenInTheCareBookWithoutAConnectionArrivesWhenItIsBack() {
        Garage.Own own = Garage.own("plumb");
        open(own, "Care");
        Locator who = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Your name"));
        who.fill("Ada");
        who.press("Enter");
        page.context().setOffline(true);
        set("Odometer", "91000");
        button("Save odometer reading").click();
        comes(page.getByText("an entry is kept here"));
        assertThat(table("The care book")).containsText("91000 km");
        assertThat(table("The care book")).containsText("waits");
        page.context().setOffline(false);
        assertThat(table("The care book")).not().containsText("waits");
        page.reload();
        assertThat(table("The care book")).containsText("91000 km");
    }

    @Test
    void whatHappensMakesTasksDueAndWhatIsDoneIsKept() {
        Garage.Own own = Garage.own("plumb");
        open(own, "Care");
        comes(page.getByText("Care begins with the first build"));
        station("Build");
        button("Begin a build of “" + own.design() + "”").click();
        button("Begin").click();
        comes(page.getByText("Say who works"));
        station("Care");
        Locator who = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Your name"));
        who.fill("Ada");
        who.press("Enter");
        Locator joints = page.getByRole(
                AriaRole.LISTITEM, new Page.GetByRoleOptions().setName(Pattern.compile("^Look at every joint with")));
        assertThat(joints).containsText("Later");
        set("Odometer", "84000");
        button("Save odometer reading").click();
        comes(page.getByText("at 84000 km now"));
        choose("Something happened", "First drive after the build");
        button("Record for today").click();
        assertThat(joints).containsText("Due");
        assertThat(joints).containsText("first drive on");
        assertThat(barriers(page)).isEmpty();
        joints.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Done…"))
                .click();
        Locator found =
                page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("What was found, figure used"));
        found.fill("all dry");
        found.press("Enter");
        assertThat(joints).containsText("Later");
        assertThat(joints).containsText("Last by Ada");
        assertThat(table("The care book")).containsText("all dry");
        button(Pattern.compile("^Does not count: Done")).click();
        Locator why = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Why not"));
        why.fill("that was the other car");
        why.press("Enter");
        assertThat(joints).containsText("Due");
        assertThat(table("The care book")).containsText("all dry");
        assertThat(table("The care book")).containsText("that was the other car");
        page.reload();
        assertThat(joints).containsText("Due");
    }
}
