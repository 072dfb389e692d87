package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The nose to scale, and the core in it. */
class PlaceStationTest extends Workshop {
    private final Garage.Own corvid = Garage.own("corvid");

    @BeforeEach
    void openPlace() {
        open(corvid, "Place");
        comes(front());
    }

    private Locator front() {
        return slider("Core, from the front");
    }

    private Locator side() {
        return slider("Core, from the side");
    }

    private Locator figures() {
        return page.getByLabel("Figures of this position");
    }

    @Test
    void theCoreIsMovedByKeysByPointerAndByNumbersAndTheAirFollows() {
        assertThat(figures()).containsText("34 %");
        front().focus();
        for (int i = 0; i < 6; i++) {
            page.keyboard().press("ArrowDown");
        }
        assertThat(field("Up")).not().hasValue("332");
        // Lower in its opening the plate hides nothing of it any more.
        assertThat(figures()).containsText("0 %");
        unfold("Airflow assumptions");
        assertThat(field("Shaded face")).hasValue("0");
        drag(front(), 60, 0);
        assertThat(field("Across")).not().hasValue("0");
        drag(side(), 0, -40);
        set("Up", "300");
        set("Tilt", "20");
        assertThat(field("Up")).hasValue("300");
        saved();
        page.reload();
        assertThat(field("Tilt")).hasValue("20");
    }

    @Test
    void behindTheRadiatorItIsAnotherPlace() {
        set("Up", "430");
        set("Depth behind bumper skin", "390");
        assertThat(table("Places for this core")
                        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Behind the radiator")))
                .hasAttribute("aria-pressed", "true");
        set("Depth behind bumper skin", "240");
        assertThat(page.getByLabel("Problems of this position")).containsText("The core is where condenser is");
    }

    @Test
    void aShroudAndFoamSealTheOpeningAndTheRemedyDoesTheSame() {
        String before = ruleMark("Peak").getAttribute("aria-label");
        toggle("Foam seals");
        assertThat(figures()).containsText("90 %");
        assertThat(ruleMark("Peak")).not().hasAttribute("aria-label", before);
        toggle("Shroud");
        assertThat(figures()).containsText("45 %");
        page.locator("summary")
                .filter(new Locator.FilterOptions().setHasText("Air leaks past the core"))
                .click();
        button("Seal the opening with a shroud and foam").click();
        assertThat(page.getByRole(AriaRole.SWITCH, new Page.GetByRoleOptions().setName("Foam seals")))
                .isChecked();
    }

    @Test
    void whatIsSetByHandIsSaidToDifferFromTheDrawing() {
        unfold("Airflow assumptions");
        set("Sealing", "80");
        comes(page.getByText("Set by hand: not what the drawing says."));
        button("Take what the drawing says").click();
        assertThat(field("Sealing")).hasValue("45");
    }

    @Test
    void theNoseIsMeasuredByTapeWithNumberedDimensions() {
        unfold("Front-end measurements");
        choose("What is being measured", "Number plate: number plate");
        set("2 Lower edge", "420");
        assertThat(figures()).containsText("0 %");
        set("2 Lower edge", "345");
        assertThat(figures()).containsText("34 %");
        button("One part more").click();
        assertThat(field("5 Front behind skin")).hasValue("150");
        button("Remove from the drawing").click();
        saved();
    }

    @Test
    void mountsAreCountedAndTheTemplateIsLoaded() throws IOException {
        unfold("Mounts");
        button("One mount more").click();
        assertThat(page.getByLabel("Problems of this position")).containsText("hold the core at 3 points");
        button("Four at the corners").click();
        assertThat(page.getByLabel("Problems of this position")).isHidden();
        unfold("Template, true to size");
        Download svg = page.waitForDownload(() -> button("SVG").click());
        assertThat(Files.readString(svg.path())).startsWith("<svg").contains("mm\"");
        Download pdf = page.waitForDownload(() -> button("PDF on A4").click());
        assertThat(Files.readAllBytes(pdf.path())).startsWith("%PDF".getBytes());
        Download dxf = page.waitForDownload(() -> button("DXF").click());
        assertThat(dxf.suggestedFilename()).isEqualTo("template.dxf");
    }

    @Test
    void aCarWithoutANoseStartsFromABody() {
        newCar("Light roadster, naturally aspirated", "Nose test");
        station("Core");
        button("Add a core").click();
        station("Place");
        choose("Body", "Low sports car, one mouth");
        button("Draw the nose").click();
        button("Put the core into the nose").click();
        comes(front());
        assertThat(figures()).containsText("Opening that feeds it");
        saved();
        act("More about this car", "Remove this car…");
        button("Remove the car").click();
        assertThat(button(Pattern.compile("Car$")).first()).not().containsText("Nose test");
    }

    @Test
    void aBracketIsFoldedFromTwoPointsAndSaysWhatCannotStaySo() throws IOException {
        unfold("Brackets");
        button("One bracket more").click();
        Locator brackets = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Sheet metal"));
        assertThat(brackets.getByRole(AriaRole.IMG))
                .hasAttribute("aria-label", Pattern.compile("^Pattern of bracket A: .* 1 bends$"));
        assertThat(brackets).containsText("It goes through: condenser");
        set("A bend radius", "1");
        assertThat(brackets).containsText("an inner radius of 2 mm would do");
        set("A bend radius", "3");
        // Down beside the core's left side, where nothing stands.
        set("A car, back", "200");
        set("A car, across", "-200");
        set("A core, right", "-125");
        set("A core, behind the face", "25");
        choose("A core, face looks", "to the left");
        assertThat(brackets.getByText(Pattern.compile("^✕"))).hasCount(0);
        saved();
        Download dxf = page.waitForDownload(() -> button("Sheet metal, DXF").click());
        assertThat(Files.readString(dxf.path())).contains("CIRCLE");
        button("Remove bracket A").click();
        assertThat(brackets).hasCount(0);
    }

    @Test
    void theAirIsReckonedFromAssumptionsThenOpeningsThenTheWholeNose() {
        open(Garage.unmeasured("wren"), "Place");
        comes(page.getByText("The air rests on typed assumptions:"));
        comes(field("Sealing"));
        button("Only its openings").click();
        button("Put the core into the nose").click();
        comes(page.getByText("The air rests on openings and core by tape."));
        assertThat(figures()).containsText("0 %");
        unfold("Front-end measurements");
        button("One part more").click();
        comes(page.getByText("The air rests on the whole nose by tape."));
        saved();
    }
}
