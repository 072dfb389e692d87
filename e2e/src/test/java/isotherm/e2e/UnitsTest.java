package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.function.Consumer;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whoever reads inches finds no millimetre at any station, and the other way round. */
class UnitsTest extends Workshop {
    private static final Pattern METRIC = unit("°C|°C/min|mm|m|km|km/h|kW|bar|N·m|kg|cm²|L|L/min|m³/s");
    private static final Pattern IMPERIAL = unit("°F|°F/min|in|ft|mi|mph|hp|psi|lb·ft|lb|in²|gal/min|qt|ft³/min");
    private static final List<String> STATIONS = List.of("Duty", "Core", "Place", "Plumb", "Prove", "Care");

    /** After a figure, or alone as the unit of a field. */
    private static Pattern unit(String symbols) {
        return Pattern.compile("(?<=\\d)[ \\u00a0]?(" + symbols + ")(?=[\\s.,;:)–]|$)|, (" + symbols + ")/|(?<=\\n)("
                + symbols + ")(?=\\n|$)");
    }

    /** Everything that is shown or read out, folded parts too: a line a text. */
    private String everything() {
        page.evaluate("document.querySelectorAll('details').forEach((d) => (d.open = true))");
        assertThat(page.getByText("Working…")).hasCount(0);
        assertThat(page.locator("[aria-busy=true]")).hasCount(0);
        String said = (String)
                page.evaluate(
                        """
                        () => {
                          const said = [''];
                          for (const e of document.querySelectorAll('body *:not(script):not(style)')) {
                            for (const a of ['aria-label', 'aria-valuetext', 'title']) {
                              if (e.getAttribute(a)) said.push(e.getAttribute(a));
                            }
                            const own = [...e.childNodes].filter((n) => n.nodeType === 3).map((n) => n.textContent).join('');
                            if (own.trim()) said.push(own);
                          }
                          return said.join('\\n');
                        }
                        """);
        // Wrenches for hose ends are made in inches and engines in litres, whoever reads it; odds are no inches.
        return said.replaceAll("\\([\\d /]+ in\\)", "")
                .replaceAll("(hp|kW), [\\d.]+ L", "")
                .replaceAll("Capacity\n, L\n(?:.*\n){1,4}?[\\d.]+ L\n", "")
                .replaceAll("\\d+ in \\d+ sessions", "");
    }

    private void units(String button) {
        button(Pattern.compile("^Units")).first().click();
        sheet("Units and currency").getByText(button).click();
        button("Done").click();
        assertThat(sheet("Units and currency")).hasCount(0);
    }

    private static List<String> found(Pattern units, String text) {
        return units.matcher(text)
                .results()
                .map(r -> around(text, r))
                .distinct()
                .collect(Collectors.toList());
    }

    private static String around(String text, MatchResult r) {
        return text.substring(Math.max(0, r.start() - 40), Math.min(text.length(), r.end() + 10))
                .replace('\n', '|');
    }

    @ParameterizedTest
    @ValueSource(strings = {"corvid", "hauler", "wren"})
    void noStationSpeaksInTheOtherSystemsUnits(String car) {
        open(Garage.own(car));
        boolean metric = true;
        for (String station : STATIONS) {
            station(station);
            // In the units that are chosen, then in the others, which the next station begins with.
            isIn(metric, car + ", " + station);
            metric = !metric;
            units(metric ? "All metric" : "All imperial");
            isIn(metric, car + ", " + station);
        }
    }

    private void isIn(boolean metric, String where) {
        String said = everything();
        String as = where + (metric ? ", metric" : ", imperial");
        assertThat(found(metric ? IMPERIAL : METRIC, said)).as(as).isEmpty();
        assertThat(found(metric ? METRIC : IMPERIAL, said)).as(as).isNotEmpty();
    }

    /** A dialog: where it is opened, and how. */
    private record Dialog(String station, Consumer<UnitsTest> opened) {}

    private static final List<Dialog> DIALOGS = List.of(
            new Dialog("Duty", t -> t.button("Files").click()),
            new Dialog(
                    "Duty",
                    t -> t.button(Pattern.compile("^Fit Skerry")).first().click()),
            new Dialog("Core", t -> t.button("Cores to buy…").click()),
            new Dialog("Plumb", t -> {
                t.everything();
                t.button("Own parts and lists…").click();
            }),
            new Dialog("Prove", t -> t.button("What the second log teaches…").click()));

    @Test
    void noDialogSpeaksInTheOtherSystemsUnits() {
        open("Aldane Corvid", "First choice, 10 rows");
        for (Dialog d : DIALOGS) {
            station(d.station());
            for (boolean metric : new boolean[] {true, false}) {
                units(metric ? "All metric" : "All imperial");
                d.opened().accept(this);
                comes(page.getByRole(AriaRole.DIALOG));
                assertThat(page.getByText("Fitting…")).hasCount(0);
                assertThat(found(metric ? IMPERIAL : METRIC, everything()))
                        .as(d.station() + (metric ? ", metric" : ", imperial"))
                        .isEmpty();
                page.keyboard().press("Escape");
                assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
            }
        }
    }

    @Test
    void designsSideBySideAreInTheReadersUnits() {
        open("Aldane Corvid", "First choice, 10 rows");
        button("Compare").click();
        unfold("Inside the plumbing");
        for (boolean metric : new boolean[] {true, false}) {
            units(metric ? "All metric" : "All imperial");
            comes(page.getByText("Feed hose, length"));
            assertThat(found(metric ? IMPERIAL : METRIC, everything())).isEmpty();
        }
    }

    @Test
    void aRunSheetKeepsItsWordsAndShowsItsFiguresInTheReadersUnits() {
        Garage.Own own = Garage.own("plumb");
        open(own, "Build");
        button("Begin a build of “" + own.design() + "”").click();
        button("Begin").click();
        comes(page.getByText("Say who works"));
        for (boolean metric : new boolean[] {true, false}) {
            units(metric ? "All metric" : "All imperial");
            page.evaluate("document.querySelectorAll('li button[aria-expanded=false]').forEach((b) => b.click())");
            assertThat(found(metric ? IMPERIAL : METRIC, everything())).isEmpty();
            assertThat(found(metric ? METRIC : IMPERIAL, everything())).isNotEmpty();
        }
        station("Care");
        Locator name = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Your name"));
        name.fill("Ada");
        name.press("Enter");
        button("Done…").first().click();
        comes(page.getByRole(AriaRole.DIALOG));
        assertThat(found(METRIC, everything())).isEmpty();
    }

    @Test
    void theCoresToBuyAreInTheReadersUnitsToo() {
        open(Garage.own("corvid"), "Core");
        units("All imperial");
        button("Cores to buy…").click();
        comes(page.getByRole(AriaRole.DIALOG));
        assertThat(found(METRIC, everything())).isEmpty();
    }
}
