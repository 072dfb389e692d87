package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What the car has to do, by hand and from logs, and whether it needs a cooler for it. */
class DutyTest extends Workshop {
    private final Garage.Own corvid = Garage.own("corvid");

    private void ownDuty(String kind, String name) {
        open(corvid);
        act("More about this duty", kind);
        assertThat(button(Pattern.compile("Duty$")).first()).containsText(name);
    }

    @Test
    void aLapIsEditedByPointerByKeysAndByNumbers() {
        ownDuty("New: laps of a circuit", "A track session");
        comes(slider("Point 2 of the lap"));
        slider("Point 2 of the lap").focus();
        page.keyboard().press("ArrowUp");
        page.keyboard().press("ArrowUp");
        page.keyboard().press("ArrowRight");
        assertThat(field("Speed at point 2")).hasValue("182");
        assertThat(field("Length from there")).hasValue("115");
        drag(slider("Point 2 of the lap"), 0, 60);
        // 70 to 160, once the last of the moves has arrived.
        assertThat(field("Speed at point 2")).hasValue(Pattern.compile("^([7-9]\\d|1[0-5]\\d|160)$"));
        set("Speed at point 2", "150");
        button("Add point").click();
        comes(slider("Point 6 of the lap"));
        // The verdict's length moves what stands below it.
        assertThat(verdict()).hasAttribute("aria-busy", "false");
        button("Remove this point").click();
        assertThat(slider("Point 6 of the lap")).isHidden();
        set("Flying laps", "3");
        saved();
        page.reload();
        assertThat(field("Flying laps")).hasValue("3");
        slider("Point 2 of the lap").focus();
        assertThat(slider("Point 2 of the lap")).hasAttribute("aria-valuetext", Pattern.compile("^\\d+ km/h at"));
    }

    @Test
    void aClimbIsShapedSlopeBySlopeAndTheOilFollows() {
        ownDuty("New: a climb", "A climb");
        comes(ruleMark("Peak"));
        String before = ruleMark("Peak").getAttribute("aria-label");
        slider("Top of the climb").focus();
        set("Grade of slope 2", "12");
        assertThat(ruleMark("Peak")).not().hasAttribute("aria-label", before);
        set("Trailer", "1500");
        // The verdict's length moves what stands below it.
        saved();
        assertThat(verdict()).hasAttribute("aria-busy", "false");
        drag(slider("Point 1 of the climb"), 40, 0);
        slider("Point 1 of the climb").focus();
        assertThat(field("Length of slope 1")).not().hasValue("3000");
        saved();
    }

    @Test
    void theVerdictIsTheFirstAnswer() {
        open(corvid);
        assertThat(verdict()).containsText("Cannot tell yet whether this design holds");
        open("Pell Wren", "As it is today");
        assertThat(verdict()).containsText("No oil cooler is needed for this duty");
        Garage.Own hauler = Garage.own("hauler");
        open(hauler);
        assertThat(verdict()).containsText("Try first, before a larger core");
        verdict()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("Fit a fan")))
                .click();
        assertThat(verdict()).containsText(Pattern.compile("This design probably holds|this design covers it"));
    }

    @Test
    void anOwnOilIsEnteredByItsDataSheet() {
        // On a car of its own, since the oil belongs to the car.
        open(corvid);
        newCar("Hot hatch, turbocharged", "Oil test");
        choose("Oil", "Own, by its data sheet");
        set("KV100", "10.5");
        toggle("By viscosity index");
        set("Viscosity index", "155");
        saved();
        comes(ruleMark("Peak"));
        act("More about this car", "Remove this car…");
        button("Remove the car").click();
        assertThat(button(Pattern.compile("Car$")).first()).not().containsText("Oil test");
    }

    private void bringIn(String name, String content) {
        page.setInputFiles(
                "input[type=file][aria-label='Log file']",
                new FilePayload(name, "text/csv", content.getBytes(StandardCharsets.UTF_8)));
    }

    private static String baseline() {
        StringBuilder s = new StringBuilder("Sitzung;1\nZeit;Tempo;Drehzahl;Öl;Wasser\ns;km/h;U/min;°C;°C\n");
        double oil = 85;
        for (int i = 0; i < 6000; i++) {
            double t = i * 0.2;
            double v = 110 + 45 * Math.sin(t / 9);
            oil += (148 - oil) * 0.2 / 380;
            s.append(String.format(
                    java.util.Locale.GERMANY,
                    "%.1f;%.1f;%.0f;%s;%.1f%n",
                    t,
                    v,
                    4500 + 1500 * Math.sin(t / 9),
                    i == 700 ? "kaputt" : String.format(java.util.Locale.GERMANY, "%.1f", oil),
                    93.0));
            if (i == 900) {
                s.append("gestört;;;;\n");
            }
        }
        return s.toString();
    }

    @Test
    void aLogIsBroughtInCorrectedKeptShownFittedAndTakenOutAgain() {
        open(corvid.car(), "As it is today");
        bringIn("baseline.csv", baseline());
        Locator sheet = sheet("Import baseline.csv");
        comes(sheet);
        // The speed's name is not known: the preview says so, and a person corrects it.
        assertThat(button(Pattern.compile("Column Tempo holds"))).containsText("not read");
        choose("Column Tempo holds", "Road speed");
        assertThat(table("First rows as they were understood")).containsText("Road speed");
        button("Keep this log").click();
        assertThat(sheet("“baseline” is kept")).containsText("6,000 rows");
        assertThat(sheet("“baseline” is kept")).containsText("1 row is left out");
        button("Done").click();
        assertThat(table("Logs")).containsText("baseline");

        act("More about baseline", "Show it");
        comes(page.getByRole(
                AriaRole.IMG,
                new com.microsoft.playwright.Page.GetByRoleOptions().setName(Pattern.compile("^The log from"))));
        button("Zoom in").click();
        button("All of it").click();
        button("Close").click();

        String before = ruleMark("Peak").getAttribute("aria-label");
        button("Fit baseline").click();
        assertThat(table("What was learned")).containsText("Heat into the oil");
        button("Use it in the car's model").click();
        assertThat(table("The schools of heat")).containsText("Fitted to “baseline”");
        assertThat(ruleMark("Peak")).not().hasAttribute("aria-label", before);
        unfold("Heat into the oil");
        button("Take the log out again").click();
        assertThat(ruleMark("Peak"))
                .hasAttribute(
                        "aria-label",
                        Pattern.compile("^" + before.substring(0, 14).replace(".", "\\.")));
        saved();

        act("More about baseline", "Make a duty of it");
        assertThat(page).hasURL(Pattern.compile("duty="));
        comes(field("Oil at its start"));
        act("More about this duty", "Remove…");
        answersTake(1500);
        button("Remove it").click();
        // However long it takes, nothing behind the question is pressed before the duty is gone.
        assertThat(button("Remove it")).isDisabled();
        answersTake(0);
        act("More about baseline", "Remove…");
        button("Remove it").click();
        comes(page.getByText("None yet. A baseline log"));
    }

    @Test
    void whatIsNoLogIsRefusedInWordsAndNothingIsLost() {
        open(corvid);
        bringIn("empty.csv", "\n");
        comes(page.getByText("This file is empty"));
        bringIn("odd.csv", "a,b\n1,2\n2,3\n");
        button("Keep this log").click();
        comes(page.getByText("No column holds anything that is known here").first());
        button("Cancel").click();
        comes(field("Flying laps"));
    }
}
