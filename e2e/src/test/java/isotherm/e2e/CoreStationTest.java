package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Rows, make, thermostat; both schools of size; what can be bought. */
class CoreStationTest extends Workshop {
    private static final String FOUND = "(?:So far of|Of) [\\d,]+ designs ([\\d,]+) hold .*";

    private final Garage.Own corvid = Garage.own("corvid");

    @BeforeEach
    void openCore() {
        open(corvid, "Core");
        assertThat(field("Rows")).hasValue("10");
    }

    @Test
    void makeFinishAndThermostatShowTheirConsequence() {
        comes(ruleMark("Peak"));
        unfold("Make and finish");
        for (String[] choice : new String[][] {
            {"Construction", "Bar and plate"},
            {"On the fins", "Powder coat"},
            {"Passes", "Two, ports on one end"},
        }) {
            String before = ruleMark("Peak").getAttribute("aria-label");
            choose(choice[0], choice[1]);
            assertThat(ruleMark("Peak")).not().hasAttribute("aria-label", before);
        }
        choose("Ports point", "Down");
        assertThat(findings()).containsText("Ports that point down trap air in the core");
        set("Thermostat opens", "121");
        assertThat(findings()).containsText("The thermostat opens above the target");
        toggle("Thermostat");
        assertThat(findings()).containsText("Oil goes through the core at all times");
        assertThat(field("Thermostat opens")).isHidden();
        saved();
    }

    @Test
    void bothSchoolsAreOneClickAway() {
        set("Sealing", "90");
        set("Room across", "420");
        set("Room upwards", "280");
        field("Room upwards").scrollIntoViewIfNeeded();
        assertThat(table("Smallest and largest")).containsText("Largest that fits");
        button("Take: Smallest that holds").click();
        assertThat(findings()).not().containsText("above its target of");
        saved();
        int smallest = Integer.parseInt(field("Rows").inputValue());
        button("Take: Largest that fits").click();
        assertThat(field("Rows")).not().hasValue(String.valueOf(smallest));
        assertThat(Integer.parseInt(field("Rows").inputValue())).isGreaterThan(smallest);
        assertThat(button(Pattern.compile("Design$")).first()).containsText(corvid.design());
    }

    @Test
    void aCoreIsTakenFromTheCatalogueAndOneIsAddedToIt() {
        button("Cores to buy…").click();
        button(Pattern.compile("^Take 19 × 280 mm, Tarn & Fell")).click();
        assertThat(field("Rows")).hasValue("19");
        assertThat(field("Finned width")).hasValue("280");
        comes(page.getByText("per kW"));

        button("Cores to buy…").click();
        button("Own entry…").click();
        page.getByLabel("Number", new Page.GetByLabelOptions().setExact(true)).fill("Barn find");
        page.getByLabel("Number", new Page.GetByLabelOptions().setExact(true)).press("Enter");
        set("Part rows", "23");
        set("Outside width", "350");
        button("Add it to the catalogue").click();
        Locator own = table("Cores")
                .getByRole(AriaRole.ROW, new Locator.GetByRoleOptions().setName(Pattern.compile("Barn find")));
        assertThat(own).containsText("350 mm");
        own.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Remove")))
                .click();
        assertThat(own).isHidden();
        page.setInputFiles(
                "input[type=file][aria-label='Price list']",
                new FilePayload(
                        "list.csv",
                        "text/csv",
                        "maker,number,price\nTarn & Fell,TF13-210,99\nNobody,X,5\n".getBytes(StandardCharsets.UTF_8)));
        comes(page.getByText("0 new, 1 changed, 0 as before, 1 cannot be taken"));
        comes(page.getByText("Line 3"));
        button("Cancel").click();
        page.keyboard().press("Escape");
        assertThat(sheet("Cores to buy")).isHidden();
    }

    @Test
    void aSearchTellsHowFarItIsAndCanBeStopped() {
        set("Room across", "420");
        button("Search the whole catalogue").click();
        Locator progress =
                page.getByRole(AriaRole.PROGRESSBAR, new Page.GetByRoleOptions().setName("Designs looked at"));
        comes(progress);
        button("Stop").click();
        comes(page.getByText("It was stopped"));
        comes(button("Search the whole catalogue"));
    }

    @Test
    void aSearchShowsWhatItHasFoundWhileItGoesOn() {
        // So wide that the sentence beside the button takes one line, which is lower than how far the search is.
        page.setViewportSize(1920, 1080);
        page.evaluate(
                """
                () => {
                  window.said = [];
                  window.tops = new Set();
                  new MutationObserver(() => {
                    const table = document.querySelector('[aria-label="Trade-off"]');
                    if (table) {
                      window.tops.add(Math.round(
                        table.getBoundingClientRect().top - table.closest('section').getBoundingClientRect().top));
                    }
                    const text = document.querySelector('section[aria-label="Search"] > p')?.textContent;
                    if (text && text !== window.said.at(-1)) {
                      window.said.push(text);
                    }
                  }).observe(document.body, { subtree: true, childList: true, characterData: true });
                }""");
        button("Search the whole catalogue").click();
        comes(page.getByText(Pattern.compile("^Of [\\d,]+ designs")));
        comes(button("Search the whole catalogue"));
        assertThat((List<?>) page.evaluate("() => [...window.tops]"))
                .as("where the table stands, px")
                .hasSize(1);
        List<String> said = ((List<?>) page.evaluate("() => window.said"))
                .stream().map(String::valueOf).toList();
        assertThat(said).hasSizeGreaterThan(1).allMatch(text -> text.matches(FOUND));
        assertThat(said.subList(0, said.size() - 1)).allMatch(text -> text.startsWith("So far of "));
        List<Integer> holding = said.stream()
                .map(text -> Integer.valueOf(text.replaceAll(FOUND, "$1").replace(",", "")))
                .toList();
        assertThat(holding).isSorted().first().satisfies(first -> assertThat(first)
                .isPositive()
                .isLessThan(holding.get(holding.size() - 1)));
    }

    @Test
    void theColdRoadStandsBesideTheHotSession() {
        Locator cold = page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^Cold road")));
        comes(cold);
        String before = cold.getAttribute("aria-label");
        toggle("Thermostat");
        assertThat(cold).not().hasAttribute("aria-label", before);
    }
}
