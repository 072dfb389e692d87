package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import isotherm.server.testing.RunningServer;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Somebody who has never seen it, with a car that is in no demo, in an empty garage. */
class StrangerTest extends Workshop {
    /** Slow for English: it may be a second language. */
    private static final double WORDS_PER_SECOND = 2.2;
    /** To find a button, to aim, to press. */
    private static final double SECONDS_PER_PRESS = 3;

    private static final JsonMapper JSON = new JsonMapper();
    private static RunningServer server;

    /** Text as it is seen: what can be picked is seen when it is opened, though a browser keeps it beside for who hears it. */
    private static final String SEEN =
            """
            (e) => {
              const lists = [...e.querySelectorAll('select')];
              lists.forEach((s) => (s.hidden = true));
              const seen = e.innerText;
              lists.forEach((s) => (s.hidden = false));
              return seen;
            }
            """;

    private final Set<String> read = new HashSet<>();
    private int presses;
    private double seconds;
    private long first;

    @BeforeAll
    static void emptyGarage() {
        server = RunningServer.empty();
    }

    @AfterAll
    static void closeGarage() {
        server.close();
    }

    private static void emptied() {
        for (JsonNode car : JSON.readTree(server.send("GET", "/api/cars", null).body())) {
            String path = "/api/cars/" + car.get("id").stringValue();
            int version = JSON.readTree(server.send("GET", path, null).body())
                    .get("version")
                    .intValue();
            server.send("DELETE", path, null, "If-Match", "\"" + version + "\"");
        }
    }

    private void start() {
        page.navigate(server.address() + "/start");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Does this car need an oil cooler?");
    }

    private void pressed() {
        if (presses == 0) {
            first = System.nanoTime();
        }
        presses++;
        seconds += SECONDS_PER_PRESS;
    }

    private void press(Locator what) {
        pressed();
        what.click();
    }

    private void answers(String question, String option) {
        pressed();
        answer(question, option);
    }

    /** A press into the field, its figures, and Enter. */
    private void types(String label, String value) {
        pressed();
        field(label).click();
        for (char c : value.toCharArray()) {
            presses++;
            seconds += 0.5;
        }
        pressed();
        set(label, value);
    }

    /** Each line that stands there, once it is all there; nobody reads a line twice. */
    private void reads(Locator what) {
        assertThat(page.locator("main [aria-busy=true]")).hasCount(0);
        for (String line : ((String) what.evaluate(SEEN)).split("\n")) {
            if (!line.isBlank() && read.add(line.strip())) {
                seconds += line.strip().split("\\s+").length / WORDS_PER_SECOND;
            }
        }
    }

    private Locator answer() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Answer"));
    }

    @Test
    void fiveAnswersAVerdictACoreACutListAndAPrintedPreview() throws IOException {
        emptied();
        page.navigate(server.address() + "/");
        assertThat(page).hasURL(Pattern.compile("/start$"));
        reads(page.locator("main"));
        answers("nearest", "Hot hatch, turbocharged");
        answers("hardest", "Track sessions");
        types("3  Engine power", "205");
        types("4  Hottest air that it is driven in", "31");
        answers("show today", "A temperature on the dash");
        types("Highest oil temperature shown", "134");
        assertThat(answer()).containsText("An oil cooler is needed");
        assertThat(answer()).containsText(Pattern.compile("sessions like this stay under the oil's limit of 135 °C"));
        assertThat(answer()).containsText(Pattern.compile("after it within about \\d+ °C"));
        reads(answer());
        press(button("Add this car"));
        assertThat(verdict()).containsText("An oil cooler is needed");
        reads(verdict());

        // The first core, beside the car as it is.
        press(verdict().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("core of"))));
        assertThat(button(Pattern.compile("Design$")).first()).containsText("core of");
        assertThat(verdict()).containsText(Pattern.compile("holds|covers"));
        reads(verdict());
        pressed();
        station("Core");
        comes(findings().getByRole(AriaRole.LISTITEM).first());
        reads(findings());

        pressed();
        station("Plumb");
        arrived("Plumb");
        reads(page.locator(".station"));
        types("Feed wire", "1150");
        types("Return wire", "1280");
        assertThat(table("Cut list").locator("tr[aria-current=true]")).containsText("mm ±");
        reads(table("Cut list"));

        pressed();
        station("Build");
        arrived("Build");
        reads(page.locator(".station"));
        press(button("Preview this build…"));
        assertThat(sheet("Preview of this build")).containsText("steps in");
        pressed();
        Download paper =
                page.waitForDownload(() -> button("Print preview as PDF").click());
        assertThat(Files.readAllBytes(paper.path())).startsWith("%PDF-".getBytes(StandardCharsets.US_ASCII));
        System.out.printf(
                "A stranger took %d presses, %.0f s of reading and pressing and %.0f s at the machine%n",
                presses, seconds, (System.nanoTime() - first) / 1e9);
        assertThat(presses).isLessThan(60);
        assertThat(seconds).isLessThan(600);
    }

    /** Of each station of a car that has nothing: the ways on that it offers, of which at least one has to be there. */
    private static final Map<String, List<String>> WAYS = Map.of(
            "Duty", List.of("Import log…", "Add a reading…"),
            "Core", List.of("Add a core"),
            "Place", List.of("Add a core", "Draw the nose"),
            "Plumb", List.of("Add a core"),
            "Build", List.of("Add a core"),
            "Prove", List.of("Import log…"),
            "Care", List.of("Add task…", "Begin a build"));

    @Test
    void everyStationOfACarThatHasNothingHasAWayOn() {
        start();
        answer("nearest", "Ordinary road car");
        page.getByLabel("Name of the car").fill("Has nothing");
        button("Add this car").click();
        assertThat(button(Pattern.compile("Car$")).first()).containsText("Has nothing");
        for (String station : List.of("Duty", "Core", "Place", "Plumb", "Build", "Prove", "Care")) {
            station(station);
            arrived(station);
            assertThat(page.locator("main [aria-busy=true]")).hasCount(0);
            assertThat(page.locator(".station")).containsText(Pattern.compile("\\w+"));
            assertThat(WAYS.get(station).stream()
                            .map(this::button)
                            .filter(b -> b.count() > 0 && b.first().isEnabled())
                            .toList())
                    .as("ways on of " + station)
                    .isNotEmpty();
        }
        // What a station needs from elsewhere is begun there, and the station goes on with it.
        station("Build");
        button("Add a core").click();
        comes(button("Preview this build…"));
        station("Care");
        assertThat(page.locator(".station")).containsText("What is due");
    }

    @ParameterizedTest
    @CsvSource({"light, 1280, 800", "dark, 1280, 800", "light, 1024, 768", "dark, 390, 844"})
    void axeFindsNothingOnTheFirstPage(String theme, int width, int height) {
        page.setViewportSize(width, height);
        start();
        if (button("Dark theme").count() > 0 && theme.equals("dark")) {
            button("Dark theme").click();
        }
        answer("nearest", "Diesel pick-up");
        answer("show today", "A temperature on the dash");
        set("Highest oil temperature shown", "118");
        assertThat(answer()).containsText("after it within");
        assertThat(barriers(page)).isEmpty();
        assertThat((int) page.evaluate("document.documentElement.scrollWidth")).isLessThanOrEqualTo(width);
        page.navigate(server.address() + "/guide");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("From the first question to the first service");
        assertThat(barriers(page)).isEmpty();
        assertThat((int) page.evaluate("document.documentElement.scrollWidth")).isLessThanOrEqualTo(width);
    }

    @Test
    void byKeyboardAloneFromTheFirstQuestionToACar() {
        start();
        comes(page.getByText("Hot hatch, turbocharged"));
        page.getByRole(AriaRole.RADIO).first().focus();
        page.keyboard().press("ArrowDown");
        assertThat(answer()).containsText("Without an oil cooler");
        page.keyboard().press("Tab");
        page.keyboard().press("Space");
        page.keyboard().press("Tab");
        page.keyboard().type("180");
        page.keyboard().press("Enter");
        assertThat(field("3  Engine power")).hasValue("180");
        page.keyboard().press("Tab");
        page.keyboard().type("90F");
        page.keyboard().press("Enter");
        assertThat(field("4  Hottest air that it is driven in")).hasValue("32");
        page.getByLabel("Name of the car").focus();
        page.keyboard().press("Tab");
        page.keyboard().press("Enter");
        assertThat(page).hasURL(Pattern.compile("/duty/"));
    }

    @Test
    void theDemoGarageIsLoadedAndRemovedFromTheFirstPage() {
        start();
        button("Load demo garage").click();
        assertThat(button(Pattern.compile("Car$")).first()).containsText("Aldane Corvid");
        act("More about this car", "New car");
        button("Remove demo garage…").click();
        button("Remove demo garage").last().click();
        comes(button("Load demo garage"));
        assertThat(button("Remove demo garage…")).hasCount(0);
    }

    @Test
    void aLogThatCannotBeReadIsToldAndTheCarStays() {
        start();
        answer("nearest", "Hot hatch");
        answer("show today", "A log of a session");
        page.getByLabel("Log file").first().setInputFiles(new FilePayload("empty.csv", "text/csv", new byte[0]));
        assertThat(page).hasURL(Pattern.compile("/duty/"));
        comes(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Logs"))
                .getByRole(AriaRole.ALERT));
    }

    @Test
    void theGuideIsThereWithoutAConnection() {
        Page phone = Browser.phone();
        phone.navigate(server.address() + "/start");
        phone.waitForFunction("() => navigator.serviceWorker.controller !== null");
        // All that is kept is kept when the worker is active.
        phone.evaluate("() => navigator.serviceWorker.ready");
        phone.context().setOffline(true);
        phone.navigate(server.address() + "/guide");
        comes(phone.getByText("1. Does it need one?"));
        phone.getByText("Plumb", new Page.GetByTextOptions().setExact(true)).click();
        comes(phone.getByText("Three ways in, from rough to fine"));
        assertThat((boolean) phone.evaluate("() => document.querySelector('img').complete"
                        + " && document.querySelector('img').naturalWidth > 0"))
                .isTrue();
        phone.context().close();
    }

    @Test
    void whatCannotBeIsSaidWhenItsFieldIsLeft() {
        start();
        answer("nearest", "Hot hatch");
        Locator power = field("3  Engine power");
        power.fill("");
        page.keyboard().type("2");
        assertThat(page.getByText("is outside")).hasCount(0);
        page.keyboard().press("Tab");
        assertThat(page.getByText("3 Engine power: 2 is outside 10 to 1500 kW")).hasCount(1);
        power.fill("205");
        page.keyboard().press("Enter");
        assertThat(page.getByText("is outside")).hasCount(0);
    }

    @Test
    void whatIsNewIsToldOnceAfterAnUpgrade() {
        open(Garage.own("wren"));
        assertThat(page.getByText("was upgraded to version")).hasCount(0);
        page.evaluate("() => localStorage.setItem('isotherm.version', '0.1.0')");
        page.reload();
        comes(page.getByText("Isotherm was upgraded to version"));
        button("What is new").click();
        comes(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Installing and upgrading")));
        open(Garage.own("wren"));
        assertThat(page.getByText("was upgraded to version")).hasCount(0);
    }
}
