package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;

/** What is kept goes out as files and comes in again. Alone: nobody else may change a car of the garage meanwhile. */
@Isolated
class FilesTest extends Workshop {
    private final Garage.Own corvid = Garage.own("corvid");

    private Locator part(String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
    }

    private Path saved(String link) {
        Download download =
                page.waitForDownload(() -> page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(link))
                        .click());
        return download.path();
    }

    private void bringIn(String label, String name, byte[] content) {
        page.getByLabel(label).setInputFiles(new FilePayload(name, "application/octet-stream", content));
    }

    @Test
    void aDesignGoesToAFileAndComesBackAsAnotherDesign() throws IOException {
        open(corvid);
        button("Files").click();
        byte[] file = Files.readAllBytes(saved("Save “" + corvid.design() + "”"));
        assertThat(new String(file, StandardCharsets.UTF_8)).contains("isotherm-design", corvid.design());
        bringIn(
                "Design file",
                "broken.json",
                "{\"format\":\"isotherm-design\",\"version\":9}".getBytes(StandardCharsets.UTF_8));
        assertThat(part("One design").getByRole(AriaRole.ALERT)).containsText("newer Isotherm");
        bringIn(
                "Design file",
                "broken.json",
                new String(file, StandardCharsets.UTF_8)
                        .replaceFirst("\"rows\" : \\d+", "\"rows\" : 900")
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(part("One design").getByRole(AriaRole.ALERT))
                .containsText("/design/cooler/rows: 900 is outside 2 to 60");
        assertThat(barriers(page)).isEmpty();
        String other = new String(file, StandardCharsets.UTF_8).replace(corvid.design(), corvid.design() + " by mail");
        bringIn("Design file", "mail.json", other.getBytes(StandardCharsets.UTF_8));
        assertThat(sheet("Files")).hasCount(0);
        assertThat(button(Pattern.compile("Design$")).first()).containsText(corvid.design() + " by mail");
        comes(ruleMark("Peak"));
    }

    @Test
    void theGarageGoesToAFileAndItsCarsComeBack() throws IOException {
        open(corvid);
        button("Files").click();
        byte[] file = Files.readAllBytes(saved("Save the garage"));
        bringIn("Garage file", "garage.zip", file);
        assertThat(part("The whole garage").getByRole(AriaRole.STATUS))
                .containsText(Pattern.compile("Here already, without a difference: .*" + corvid.car()));
        bringIn("Garage file", "garage.zip", "no zip at all".getBytes(StandardCharsets.UTF_8));
        assertThat(part("The whole garage").getByRole(AriaRole.ALERT)).containsText("Nothing was taken in.");
        button("Done").click();
        // The car is changed here: what comes from the file then stands beside it.
        set("Air temperature", "12");
        saved();
        button("Files").click();
        bringIn("Garage file", "garage.zip", file);
        assertThat(part("The whole garage").getByRole(AriaRole.STATUS))
                .containsText(Pattern.compile("different, left as they are here: " + corvid.car()));
        button("Bring those in beside them").click();
        assertThat(part("The whole garage").getByRole(AriaRole.STATUS))
                .containsText("Came in: " + corvid.car() + ", from a file");
        button("Done").click();
        assertThat(field("Air temperature")).hasValue("12");
        choose("Car", corvid.car() + ", from a file");
        assertThat(field("Air temperature")).hasValue("31");
        comes(ruleMark("Peak"));
    }
}
