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
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Takeoff, routes, cut list and bill, as a builder goes through them. */
class PlumbStationTest extends Workshop {
    private final Garage.Own corvid = Garage.own("plumb");

    @BeforeEach
    void openPlumb() {
        open(corvid, "Plumb");
        assertThat(cutRow()).containsText("mm ±");
    }

    private Locator fit() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Fit of the takeoff"));
    }

    private Locator cutRow() {
        return table("Cut list").locator("tr[aria-current=true]");
    }

    private Locator wayPoint(String from) {
        return slider("Way-point 1 of the feed, from " + from);
    }

    private Locator row(String table, String text) {
        return table(table).getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText(text));
    }

    @Test
    void aPlateThatDoesNotFitIsToldWithItsRemedyAndTheRightOneFits() {
        assertThat(fit()).containsText("The takeoff fits");
        choose("Takeoff", "Plate HP-M22, M22x1.5, thermostat");
        assertThat(fit()).containsText("does not fit");
        assertThat(fit()).containsText("Thread: M22x1.5 on M20x1.5");
        assertThat(fit()).containsText("Take the same plate with M20x1.5");
        choose("Takeoff", "Plate HP-M20, M20x1.5, thermostat");
        assertThat(fit()).containsText("The takeoff fits");

        choose("Takeoff", "Plate HPG-M20, M20x1.5, thermostat, gauges");
        set("Clock angle", "60");
        assertThat(fit()).containsText("Port towards engine block");
        button(Pattern.compile("Turn it to")).click();
        assertThat(fit()).containsText("The takeoff fits");
        assertThat(field("Clock angle")).not().hasValue("60");
        unfold("Filter by tape");
        set("Room from the face", "110");
        assertThat(fit()).containsText("Stack height: 130 mm in 95 mm");
        assertThat(fit()).containsText("35 mm shorter");
    }

    @Test
    void aWayPointIsDraggedMovedByKeysAndTypedAndTheRestReflows() {
        String before = cutRow().textContent();
        unfold("Way-points");
        button("Point for the feed").click();
        comes(wayPoint("above"));
        assertThat(cutRow()).containsText("mm ±");
        drag(wayPoint("above"), -14, 6);
        assertThat(cutRow()).not().hasText(before);
        String dragged = wayPoint("above").getAttribute("aria-valuetext");
        wayPoint("the side").focus();
        page.keyboard().press("ArrowUp");
        assertThat(wayPoint("above")).not().hasAttribute("aria-valuetext", dragged);
        set("feed 1 across", "-430");
        assertThat(wayPoint("above")).hasAttribute("aria-valuetext", Pattern.compile("^[−-]430 mm across"));
        saved();
        page.reload();
        assertThat(field("feed 1 across")).hasValue(Pattern.compile("^[−-]430$"));
        button("Take the last out").click();
        assertThat(wayPoint("above")).hasCount(0);
        button("Undo").click();
        assertThat(wayPoint("above")).hasCount(1);
    }

    @Test
    void aWayPointInTheEngineSaysWhatIsInTheWay() {
        unfold("Way-points");
        button("Point for the feed").click();
        set("feed 1 across", "0");
        set("up", "450");
        set("back", "700");
        comes(page.getByText(Pattern.compile("No way for the feed: engine block in the way")));
        button("Take the last out").click();
        assertThat(page.getByText(Pattern.compile("No way for the feed"))).hasCount(0);
    }

    @Test
    void theCutListIsPrintedWithTheLengthsOfTheScreen() throws IOException, InterruptedException {
        Matcher shown = Pattern.compile("(\\d+) mm ±").matcher(cutRow().textContent());
        assertThat(shown.find()).isTrue();
        Download download = page.waitForDownload(() -> button("Print cut list").click());
        Process text = new ProcessBuilder(
                        "pdftotext", "-layout", download.path().toString(), "-")
                .redirectErrorStream(true)
                .start();
        String words = new String(text.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(text.waitFor()).isZero();
        assertThat(words)
                .contains(shown.group(1) + " mm")
                .contains("Feed, to the cooler")
                .contains("cut list")
                .contains("Orient the second end");
        page.context().setOffline(true);
        button("Print cut list").click();
        comes(page.getByText("▲ cut-list.pdf could not be made: There is no connection to the garage"));
    }

    @Test
    void whatIsThereAlreadyIsStruckOffTheBill() throws IOException {
        unfold("Bill of materials");
        Locator plate = row("Bill of materials", "sandwich plate");
        assertThat(plate).containsText("96.00");
        Locator short1 = page.locator("summary").filter(new Locator.FilterOptions().setHasText("Bill of materials"));
        String before = short1.textContent();
        plate.getByRole(AriaRole.SWITCH).press("Space");
        assertThat(short1).not().hasText(before);
        saved();
        Download download = page.waitForDownload(() -> button("Bill as CSV").click());
        String csv = Files.readString(download.path());
        assertThat(csv.lines().filter(l -> l.contains("sandwich plate")))
                .singleElement()
                .satisfies(l -> assertThat(l).endsWith(",yes"));
        assertThat(csv).startsWith("group,what,number,quantity,unit,each,price,currency,have");
    }

    @Test
    void sizesStandSideBySideAndOneIsTaken() {
        Locator sizes = table("Hose sizes side by side");
        table("Gallery pressure").scrollIntoViewIfNeeded();
        page.mouse().move(700, 600);
        page.mouse().wheel(0, 600);
        assertThat(sizes.locator("tr[aria-current=true]")).containsText("-10");
        button("Take -12").click();
        assertThat(sizes.locator("tr[aria-current=true]")).containsText("-12");
        assertThat(button(Pattern.compile("Size$"))).containsText("-12");
        assertThat(table("Gallery pressure")).containsText("hot, idle");
        choose("Hose", "Swaged");
        assertThat(table("Cut list")).containsText("Standard line");
    }

    @Test
    void anAccumulatorAddsItsOilAndItsCaution() {
        Locator oil = row("Consequences of the plumbing", "Added oil");
        assertThat(oil).containsText("L");
        String before = oil.textContent();
        unfold("Accumulator, filters");
        button("Add accessory").click();
        assertThat(oil).not().hasText(before);
        comes(page.getByText(Pattern.compile("stays under pressure when the engine stands")));
        unfold("Fittings, feed");
        assertThat(table("Joints of the feed")).containsText("O-ring under the shoulder");
        choose("Core's ports", "BSPP");
        assertThat(table("Joints of the feed")).containsText("bonded washer");
    }

    private static Locator removal(Locator sheet, String part) {
        return sheet.getByRole(
                AriaRole.BUTTON,
                new Locator.GetByRoleOptions().setName("Remove " + part).setExact(true));
    }

    @Test
    void aListOfHosesIsLookedAtKeptAndTaken() {
        unfold("Parts to buy");
        button("Own parts and lists…").click();
        Locator sheet = sheet("Parts between engine and core");
        sheet.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("Family$")))
                .click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Hoses"))
                .click();
        String list =
                """
                maker,number,family,dash,bore_mm,outside_mm,bend_radius_mm,rated_bar,max_c,price_per_m,mass_kg_per_m
                Lindle,LB-10,,,,,,,,21.5,
                Tarn Side,TS-10,braided rubber,-10,14.0,20.0,80,50,150,19,0.4
                Tarn Side,TS-99,braided rubber,-10,14.0,12.0,80,50,150,19,0.4
                """;
        sheet.getByLabel("List of parts")
                .setInputFiles(new FilePayload("hoses.csv", "text/csv", list.getBytes(StandardCharsets.UTF_8)));
        assertThat(sheet).containsText("1 new, 1 changed, 0 as they are, 1 refused");
        assertThat(sheet).containsText("Line 4: outsideMm: The outside has to be larger than the bore, 14 mm");
        sheet.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take it into the catalogue"))
                .click();
        assertThat(sheet).containsText("1 added, 1 changed");
        removal(sheet, "Tarn Side TS-10").click();
        assertThat(removal(sheet, "Tarn Side TS-10")).hasCount(0);
        removal(sheet, "Lindle LB-10").click();
        assertThat(removal(sheet, "Lindle LB-10")).hasCount(0);

        sheet.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("starting from$")))
                .click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Orme OP-8"))
                .click();
        Locator byHand = sheet.getByRole(AriaRole.REGION, new Locator.GetByRoleOptions().setName("A part by hand"));
        byHand.getByLabel("Number").fill("HAND-1");
        byHand.getByLabel("Number").press("Enter");
        byHand.getByRole(AriaRole.SPINBUTTON, new Locator.GetByRoleOptions().setName("Bend radius mm"))
                .fill("5");
        page.keyboard().press("Tab");
        assertThat(byHand).containsText("Bend radius mm: 5 is outside 10.0 to 600.0");
        byHand.getByRole(AriaRole.SPINBUTTON, new Locator.GetByRoleOptions().setName("Bend radius mm"))
                .fill("70");
        byHand.getByRole(AriaRole.SPINBUTTON, new Locator.GetByRoleOptions().setName("Bend radius mm"))
                .press("Enter");
        byHand.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Keep it as an own part"))
                .click();
        removal(sheet, "Orme HAND-1").click();
        assertThat(removal(sheet, "Orme HAND-1")).hasCount(0);
    }

    @Test
    void theBayIsMeasuredByTapeAndTheRoutesKeepClearOfANewBox() {
        String before = cutRow().textContent();
        unfold("The bay by tape");
        button("One box more").click();
        choose("Kind", "Hot: exhaust, turbine");
        set("Left edge", "-480");
        set("Lower edge", "300");
        set("Front behind skin", "420");
        set("Width", "200");
        set("Height", "250");
        set("Depth", "60");
        // It stands where both hoses have to go, and is what has to move.
        assertThat(page.getByText(Pattern.compile("No way for the feed.*box"))).isVisible();
        assertThat(cutRow()).not().hasText(before);
        button("Remove").click();
        assertThat(cutRow()).hasText(before);
        assertThat(page.getByText(Pattern.compile("No way for the"))).hasCount(0);
    }

    @Test
    void aDesignWithoutACoolerBeginsOneHere() {
        choose("Design", "As it is today");
        button("Add a core").click();
        comes(field("Feed wire"));
    }
}
