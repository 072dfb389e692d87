package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A car of which nobody has measured nose or bay: from a core to papers by two wires, then finer and finer. */
class WireStoryTest extends Workshop {
    private Locator cutRow() {
        return table("Cut list").locator("tr[aria-current=true]");
    }

    private Locator cell(int column) {
        return cutRow().getByRole(AriaRole.CELL).nth(column);
    }

    @Test
    void twoWiresGiveACutListAndABillAndNothingIsTypedTwice() throws IOException {
        Garage.Own stranger = Garage.unmeasured("wren");
        open(stranger);
        choose("Design", "As it is today");
        station("Plumb");
        button("Add a core").click();
        comes(page.getByText("What will be here"));
        assertThat(field("Feed wire")).hasValue("");
        set("Feed wire", "105");
        set("Return wire", "1180");
        assertThat(page.getByRole(AriaRole.ALERT))
                .containsText(Pattern.compile("needs at least \\d+ mm from port to port"));
        set("Feed wire", "1050");
        assertThat(cutRow()).containsText("mm ±");
        comes(page.getByText("Lengths rest on the two wires"));
        String byWire = cell(0).textContent();
        comes(page.getByRole(
                AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^On the bench: feed cut to"))));
        Download paper = page.waitForDownload(() -> button("Print cut list").click());
        assertThat(Files.readAllBytes(paper.path())).startsWith("%PDF-".getBytes(StandardCharsets.US_ASCII));
        unfold("Bill of materials");
        page.waitForDownload(() -> button("Bill as PDF").click());

        // An elbow at one end takes its length from the hose.
        unfold("Feed, ends");
        choose("Feed, end at the core", "90°");
        assertThat(cell(0)).not().hasText(byWire);
        String turned = cell(0).textContent();
        saved();
        page.reload();
        assertThat(cell(0)).hasText(turned);

        choose("Lengths rest on", "By the four ports");
        button("Put in the four ports").click();
        comes(page.getByText("Lengths rest on the four ports"));
        assertThat(cell(0)).not().hasText(turned);

        choose("Lengths rest on", "By the whole bay");
        button("Draw the bay").click();
        button("Put in the core's place").click();
        comes(page.getByText("Lengths rest on taped positions"));
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Fit of the takeoff")))
                .containsText("takeoff");

        // Going back loses nothing.
        choose("Lengths rest on", "By two wires");
        assertThat(field("Feed wire")).hasValue("1050");
        assertThat(cell(0)).hasText(turned);
    }
}
