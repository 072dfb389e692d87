package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is made for a car beside its hoses: shroud, room, senders, accumulator; and the view in space of all of it. */
class MakingTest extends Workshop {
    private final Garage.Own corvid = Garage.own("plumb");

    @BeforeEach
    void openCar() {
        open(corvid);
    }

    private Locator region(String name) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void aShroudIsMadeFromAnOpeningAtOnePressAndOneSideIsMended() throws IOException {
        station("Place");
        unfold("Shroud sides");
        button("Shroud from lower grille").click();
        Locator metal = region("Sheet metal");
        assertThat(metal.getByRole(AriaRole.IMG)).hasCount(4);
        assertThat(metal.getByRole(AriaRole.IMG).first())
                .hasAttribute("aria-label", Pattern.compile("^Pattern of panel S1: .* [23] bends$"));
        unfold("Panel S2");
        set("S2 bend radius", "1");
        assertThat(metal).containsText("S2: This sheet cracks at so sharp a bend: an inner radius of");
        set("S2 bend radius", "2");
        set("S2 car, flange", "10");
        assertThat(metal).containsText("S2: A flange is too narrow to be bent and drilled: it needs");
        set("S2 car, flange", "25");
        assertThat(metal.getByText("S2: A flange")).hasCount(0);
        Download svg = page.waitForDownload(() -> button("Sheet metal, SVG").click());
        assertThat(Files.readString(svg.path())).contains("S1", "S4", "<circle");
        saved();
    }

    @Test
    void whatStandsInTheWayIsListedWithItsPhotoAndIsInNobodysWay() throws IOException {
        station("Place");
        set("Depth behind bumper skin", "240");
        assertThat(page.getByLabel("Problems of this position")).containsText("The core is where condenser is");
        unfold("What moves or is cut");
        button("List condenser").click();
        assertThat(page.getByText("The core is where condenser is")).hasCount(0);
        Locator item = region("condenser");
        item.getByLabel("Where it goes, or where it is cut").fill("30 mm back, on longer feet");
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", png);
        item.getByLabel("Photo of condenser")
                .setInputFiles(new FilePayload("horn.png", "image/png", png.toByteArray()));
        Locator photo = item.getByAltText("Photo of condenser");
        comes(photo);
        assertThat(photo).hasJSProperty("naturalWidth", 40);
        saved();
        page.reload();
        unfold("What moves or is cut");
        comes(region("condenser").getByAltText("Photo of condenser"));
    }

    @Test
    void theViewInSpaceTurnsByKeysAndWhatIsPressedIsSelected() {
        station("Plumb");
        toggle("View in space");
        Locator space = region("In space");
        comes(space.locator("canvas"));
        Locator feed = space.getByRole(
                AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("feed").setExact(true));
        feed.click();
        assertThat(feed).hasAttribute("aria-pressed", "true");
        Locator block = space.getByRole(
                AriaRole.BUTTON,
                new Locator.GetByRoleOptions().setName("engine block").setExact(true));
        block.click();
        assertThat(feed).hasAttribute("aria-pressed", "false");
        unfold("The bay by tape");
        assertThat(button(Pattern.compile("Box or hole$"))).containsText("engine block");
        byte[] before = space.locator("canvas").screenshot();
        Locator view =
                page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(Pattern.compile("^View in space")));
        view.focus();
        for (int i = 0; i < 4; i++) {
            view.press("ArrowLeft");
        }
        page.waitForTimeout(400);
        assertThat(space.locator("canvas").screenshot()).as("turned").isNotEqualTo(before);
        toggle("View in space");
        comes(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("The engine bay to scale")));
    }

    @Test
    void theRestOfTheCircuitStandsInNotesAndBill() {
        station("Plumb");
        unfold("Accumulator, filters");
        button("Add accessory").click();
        Locator notes = page.getByLabel("To be minded");
        assertThat(notes).containsText("The accumulator holds");
        assertThat(notes).containsText("The check valve stands in the return");
        unfold("Senders");
        button("Add sender").click();
        choose("Sender thread", "Metric");
        assertThat(notes).containsText("it needs an adaptor");
        unfold("Bill of materials");
        Locator bill = table("Bill of materials");
        assertThat(bill).containsText("check valve");
        assertThat(bill).containsText("adaptor for a sender");
        unfold("Metal, washers");
        choose("Fittings", "steel");
        assertThat(notes).containsText("Steel fittings weigh");
        button("Remove accumulator").click();
        assertThat(bill).not().containsText("check valve");
        saved();
    }

    @Test
    void whatStandsBesideTheFilterLeavesAWrenchItsArc() {
        station("Plumb");
        unfold("Beside the filter");
        button("Add dipstick").click();
        Locator dipstick = region("dipstick");
        comes(dipstick);
        set("Clock angle", "170");
        assertThat(region("Fit of the takeoff")).containsText("Port towards dipstick");
        button("Remove dipstick").click();
        assertThat(dipstick).hasCount(0);
        saved();
    }
}
