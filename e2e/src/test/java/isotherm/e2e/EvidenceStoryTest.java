package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.options.FilePayload;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import isotherm.core.fluid.Units;
import isotherm.core.simulate.Factor;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import isotherm.server.contract.DocumentReader;
import isotherm.server.garage.CaseDocument;
import isotherm.server.testing.Examples;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A verdict reached with what there is, and what it is worth: two looks at the dash, one log, a borrowed small cooler. */
class EvidenceStoryTest extends Workshop {
    private static final CaseDocument ASKED = DocumentReader.read(Examples.read("corvid"), CaseDocument.class);
    private static final Duty DUTY = ASKED.duty().toCore();
    /** A car that makes less heat than is assumed. */
    private static final Car COOL = Factor.HEAT.scale(ASKED.car().toCore(), 0.75);

    private final Garage.Own corvid = Garage.own("corvid");

    private static String shown(Design design) {
        return String.valueOf(
                Math.round(Units.celsius(Simulator.run(COOL, DUTY, design).peak())));
    }

    private void lookAtTheDash(String design, String shown) {
        button("Add a reading…").click();
        choose("Design that was driven", design);
        set("Highest oil temperature shown", shown);
        button("Keep it").click();
        assertThat(table("Readings")).containsText("Dash: " + design);
    }

    @Test
    void twoLooksAtTheDashBeforeAndAfterReachAVerdict() {
        open(corvid);
        assertThat(verdict()).containsText("Cannot tell yet whether this design holds");
        assertThat(verdict()).containsText("Measure next: Borrow a small cooler");
        String before = ruleMark("Peak").getAttribute("aria-label");
        lookAtTheDash("As it is today", shown(Design.NO_COOLER));
        lookAtTheDash(corvid.design(), shown(ASKED.design().toCore(ASKED.car())));
        button("Use them in the car's model").click();
        assertThat(table("The schools of heat")).containsText("Fitted to “Dash: As it is today and 1 more”");
        assertThat(ruleMark("Peak")).not().hasAttribute("aria-label", before);
        assertThat(verdict())
                .containsText(Pattern.compile("No oil cooler is needed|Needed, and this design covers it"));
        // What it is worth: the odds, and never that it is sure.
        assertThat(verdict()).containsText(Pattern.compile("in [89]\\d % of sessions like this"));
        saved();
    }

    private static FilePayload log(String name, Design design) {
        Session s = Simulator.run(COOL, DUTY, design);
        StringBuilder rows = new StringBuilder("Time (s),Speed (km/h),RPM,Oil Temp (C),Cooler Out (C),Coolant (C)\n");
        for (int i = 0; i < s.demand().cells(); i++) {
            rows.append(String.format(
                    Locale.ROOT,
                    "%.1f,%.1f,%.0f,%.1f,%.1f,%.1f%n",
                    i + 1.0,
                    s.demand().speed()[i] * 3.6,
                    s.demand().rpm()[i],
                    Units.celsius(s.oil()[i]),
                    Units.celsius(s.returned()[i]),
                    Units.celsius(s.coolant()[i])));
        }
        return new FilePayload(name, "text/csv", rows.toString().getBytes(StandardCharsets.UTF_8));
    }

    private void fit(FilePayload log, String design) {
        page.setInputFiles("input[type=file][aria-label='Log file']", log);
        button("Keep this log").click();
        button("Done").click();
        button("Fit baseline").click();
        choose("Design that was driven", design);
        assertThat(table("What was learned")).containsText("Heat into the oil");
    }

    @Test
    void oneLogReachesAVerdictAndSaysWhatItIsWorth() {
        open(corvid);
        fit(log("baseline.csv", Design.NO_COOLER), "As it is today");
        assertThat(table("What was learned")).not().containsText("Air that arrives");
        button("Use it in the car's model").click();
        assertThat(table("The schools of heat")).containsText("Fitted to “baseline”");
        assertThat(verdict())
                .containsText(Pattern.compile("No oil cooler is needed|Needed, and this design covers it"));
        assertThat(verdict()).containsText(Pattern.compile("in [89]\\d % of sessions like this"));
        // The dash says little more now.
        assertThat(table("Measurements")).containsText("Look at the dash");
    }

    @Test
    void oilIntoAndOutOfABorrowedCoolerTeachesTheCoolerToo() {
        open(corvid);
        fit(log("baseline.csv", ASKED.design().toCore(ASKED.car())), corvid.design());
        assertThat(table("What was learned")).containsText("Air that arrives");
        button("Use it in the car's model").click();
        assertThat(table("The schools of heat")).containsText("Fitted to “baseline”");
        assertThat(verdict()).containsText(Pattern.compile("in [89]\\d % of sessions like this"));
    }

    @Test
    void howSureOneWantsToBeIsOnesOwnChoice() {
        open(corvid);
        lookAtTheDash("As it is today", shown(Design.NO_COOLER));
        button("Use it in the car's model").click();
        assertThat(verdict()).not().containsText("Cannot tell yet");
        unfold("Target, limit, sensor");
        choose("How sure do you want to be", "19 times in 20 (95 %)");
        saved();
        page.reload();
        unfold("Target, limit, sensor");
        assertThat(button(Pattern.compile("How sure do you want to be$"))).containsText("95 %");
        // A reading that is taken out again is gone; what it taught stays until it is taken out of the model.
        button("Take out Dash: As it is today").click();
        comes(page.getByText("Nothing yet. One look at the dash"));
    }
}
