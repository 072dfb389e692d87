package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ReducedMotion;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is on its way keeps its room: nothing moves away under a finger when answers arrive. */
class SteadyTest extends Workshop {
    /** Of a page: the part of it that moved times how far. A button that is pushed down by a line is 0.001 or so. */
    private static final double SEEN = 0.03;

    private static final String WATCH =
            """
            window.moved = [];
            new PerformanceObserver((list) => {
              for (const e of list.getEntries()) {
                const what = e.sources.map((s) => (s.node?.nodeType === 1 ? s.node : s.node?.parentElement))
                  // The page itself comes once, in the place of nothing.
                  .filter((n) => n && n.closest('.station')).map((n) => n.tagName + ' ' + n.textContent.slice(0, 60));
                if (what.length > 0) window.moved.push([e.value, what.join('; ')]);
              }
            }).observe({ type: 'layout-shift', buffered: true });
            """;

    private static final String LONGEST_COLUMN =
            """
            [...document.querySelectorAll('.station, .station *')]
              .filter((e) => e.scrollHeight - e.clientHeight > 350 && getComputedStyle(e).overflowY !== 'visible')
              .sort((a, b) => b.scrollHeight - a.scrollHeight)[0]\
            """;

    /** Scrolls the longest column to its end or half of the way; how far the last thing in sight moves from then on. */
    private static final String SCROLLED =
            """
            async (share) => {
              const column = %s;
              column.scrollTop = share * (column.scrollHeight - column.clientHeight);
              const things = [...column.querySelectorAll('button, summary')]
                .filter((b) => b.getBoundingClientRect().bottom < innerHeight);
              const last = things.at(-1);
              const before = last.getBoundingClientRect().top;
              await new Promise((done) => setTimeout(done, 800));
              return [last.getBoundingClientRect().top - before,
                document.querySelector('[aria-label="Thermal rule"] [aria-expanded=false]') !== null];
            }
            """
                    .formatted(LONGEST_COLUMN);

    private void openWithALongColumn() {
        open(Garage.own("corvid"));
        assertThat(page.locator("main [aria-busy=true]")).hasCount(0);
        page.waitForFunction("() => " + LONGEST_COLUMN + " !== undefined");
    }

    @Test
    void aScrollThatIsUnderWayIsNotEndedByTheRule() {
        page.emulateMedia(new Page.EmulateMediaOptions().setReducedMotion(ReducedMotion.NO_PREFERENCE));
        openWithALongColumn();
        page.evaluate("() => " + LONGEST_COLUMN + ".scrollTo({ top: 100000, behavior: 'smooth' })");
        comes(button("Open the thermal rule ▾"));
        Number left = (Number) page.evaluate(
                "() => { const c = " + LONGEST_COLUMN + "; return c.scrollHeight - c.clientHeight - c.scrollTop; }");
        assertThat(left.doubleValue()).as("px to its end").isBetween(-2.0, 2.0);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.5, 1})
    void whatIsReadStaysWhereItIsWhenTheRuleFolds(double share) {
        openWithALongColumn();
        List<?> moved = (List<?>) page.evaluate(SCROLLED, share);
        assertThat(moved.get(1)).as("the rule has folded").isEqualTo(true);
        assertThat(((Number) moved.get(0)).doubleValue()).as("moved by, px").isBetween(-1.0, 1.0);
    }

    @ParameterizedTest
    @ValueSource(strings = {"duty", "core", "place", "plumb", "prove", "compare"})
    void nothingMovesWhenAnswersArrive(String station) {
        page.navigate("/");
        choose("Car", "Aldane Corvid");
        String at = page.url().replace("/duty/", "/" + station + "/");
        page.addInitScript(WATCH);
        answersTake(300);
        page.navigate(at);
        comes(page.locator(".station h2").first());
        assertThat(page.locator("main [aria-busy=true]")).hasCount(0);
        assertThat(page.evaluate("() => PerformanceObserver.supportedEntryTypes.includes('layout-shift')"))
                .as("this browser can tell")
                .isEqualTo(true);
        assertThat((List<?>) page.evaluate("() => window.moved.filter(([much]) => much > " + SEEN + ")"))
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(ints = {1280, 1024, 390})
    void theWayOnStaysWhereItIsWhenTheFirstAnswerComes(int width) {
        page.setViewportSize(width, 800);
        List<Route> held = new ArrayList<>();
        page.route("**/api/outcome", held::add);
        page.navigate("/start");
        answer("nearest", "Hot hatch, turbocharged");
        comes(button("Add this car"));
        page.waitForCondition(() -> !held.isEmpty());
        Locator add = button("Add this car");
        double before = add.boundingBox().y;
        page.unroute("**/api/outcome");
        held.forEach(Route::resume);
        comes(page.getByText("The peak is known within"));
        assertThat(add.boundingBox().y).as("a press on it would be lost").isBetween(before - 1, before + 1);
    }

    @ParameterizedTest
    @ValueSource(ints = {1280, 390})
    void theStationsStayWhereTheyAreWhenFindingsCome(int width) {
        page.setViewportSize(width, 800);
        List<Route> held = new ArrayList<>();
        page.route("**/api/outcome", held::add);
        open(Garage.own("corvid"), "Core");
        page.waitForCondition(() -> !held.isEmpty());
        List<List<Double>> before = placesOfStations();
        assertThat(before).hasSize(7).doesNotHaveDuplicates();
        page.unroute("**/api/outcome");
        held.forEach(Route::resume);
        comes(page.getByLabel(Pattern.compile("^\\d findings?$")).first());
        assertThat(placesOfStations()).as("a press on them would be lost").isEqualTo(before);
    }

    /** Where each begins: from the left and from the top, px. */
    private List<List<Double>> placesOfStations() {
        List<List<Double>> places = new ArrayList<>();
        for (Locator link : page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Stations"))
                .getByRole(AriaRole.LINK)
                .all()) {
            places.add(List.of(link.boundingBox().x, link.boundingBox().y));
        }
        return places;
    }
}
