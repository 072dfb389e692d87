package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import isotherm.server.testing.RunningServer;
import java.util.List;
import java.util.Random;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Each kind of build is begun, leaks at a joint, is mended and handed over; each with its own steps alone. */
class KindsOfBuildTest extends PhoneWorkshop {

    /** The car has a factory air cooler like the design's, and a factory exchanger. */
    private void withFactoryCooler() {
        JsonNode view = got("/api/cars/" + own.id());
        ObjectNode car = (ObjectNode) view.get("car").deepCopy();
        ObjectNode cooler = (ObjectNode) view.at("/designs/0/design/cooler").deepCopy();
        cooler.remove("placement");
        car.set("factoryCooler", cooler.put("rows", 9));
        car.put("factoryExchangerWPerK", 250);
        assertThat(RunningServer.get()
                        .send(
                                "PUT",
                                "/api/cars/" + own.id(),
                                car.toString(),
                                "If-Match",
                                "\"" + view.get("version") + "\"")
                        .statusCode())
                .isEqualTo(200);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "Another core, 'Takeoff, thermostat and both hoses stay.', Hang the core, Oil the, 1",
        "Another thermostat, Core and hoses stay., Change the thermostat, Hang the core, 2",
        "A core in series, this core comes after it., The feed begins at the outlet, Oil the, 3",
        "New hoses, 'Core, takeoff and thermostat stay.', Take both old hoses off, Hang the core, 4",
        "'Factory exchanger off, no core', No core goes on, Where the exchanger sat, Hang the core, 5"
    })
    void isBuiltWithALeakAtSomeJointAndEndsDry(String kind, String stays, String has, String lacks, int seed) {
        withFactoryCooler();
        page.navigate("/cars/" + own.id() + "/core");
        open("As it is today");
        comes(page.getByText("Factory air cooler in this design"));
        button(kind).tap();
        station("Build");
        comes(page.getByText(stays));
        begin();
        JsonNode steps = build().at("/build/steps");
        List<String> what = steps.findValuesAsString("what");
        assertThat(what).anyMatch(w -> w.startsWith(has)).noneMatch(w -> w.startsWith(lacks));
        int all = steps.size();
        doneElsewhere("crank-joints");
        leaksAndIsMended(new Random(seed));
        tickNext();
        arrived();
        doneElsewhere("second-hand-over");
        next().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Done: ")))
                .tap();
        assertThat(next()).hasCount(0);
        arrived();
        JsonNode leak = build().at("/progress/leaks/0");
        assertThat(leak.get("open").booleanValue()).isFalse();
        assertThat(leak.get("steps").findValues("done")).hasSize(7);
        assertThat(build().at("/progress/done").intValue()).isEqualTo(all);
    }

    private void open(String design) {
        button(Pattern.compile("Design$")).first().tap();
        page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName(design).setExact(true))
                .tap();
    }

    /** One press leads from the look for leaks through all that has to be done, in its order. */
    private void leaksAndIsMended(Random random) {
        button("A leak here…").tap();
        Locator where = page.getByRole(AriaRole.ALERTDIALOG);
        List<Locator> joints = where.getByRole(AriaRole.BUTTON).all().stream()
                .filter(b -> !Pattern.compile("Cancel|Record this leak|What leaks there")
                        .matcher(b.textContent())
                        .find())
                .filter(b -> b.getAttribute("aria-haspopup") == null)
                .toList();
        assertThat(joints).isNotEmpty();
        joints.get(random.nextInt(joints.size())).tap();
        Locator leak = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(Pattern.compile("^Leak: ")));
        assertThat(leak).containsText("The work waits until it is dry");
        for (int i = 0; i < 6; i++) {
            comes(leak.getByRole(AriaRole.NOTE));
            Locator torque = leak.getByLabel(Pattern.compile("^Torque used at the leak"));
            if (torque.count() > 0) {
                torque.fill("33");
                torque.press("Enter");
            }
            String doing = leak.locator("li[aria-current=step]").textContent();
            leak.getByText("Done, next").tap();
            assertThat(leak.locator("li[aria-current=step]")).not().hasText(doing);
        }
        assertThat(leak).containsText("33 N·m");
        leak.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("It is dry"))
                .tap();
        assertThat(leak).hasCount(0);
        assertThat(next()).containsText("mended and dry");
    }

    @Test
    void fastenersAreBaggedWithTheirPanelAndGoBackAfterIt() {
        atBuild();
        begin();
        unfold("All steps");
        button("Off: bumper cover").tap();
        button("Fasteners of A: bumper cover").tap();
        button("Bolt of A").tap();
        button("M8").tap();
        button("Add to A").tap();
        comes(page.getByLabel("Mark A1").first());
        Locator bolt = button("Back on: bolt M8");
        assertThat(bolt).isDisabled();
        button("Back on: bumper cover").tap();
        assertThat(bolt).isEnabled();
        bolt.tap();
        comes(page.getByText("All is back on."));
    }

    @Test
    void axeFindsNothingOnAnyStationAtTheNarrowestPhone() {
        page.setViewportSize(360, 740);
        page.navigate("/cars/" + own.id() + "/build");
        begin();
        for (String name : new String[] {"Duty", "Core", "Place", "Plumb", "Build", "Prove", "Care"}) {
            station(name);
            page.waitForTimeout(800);
            assertThat(barriers(page)).as(name).isEmpty();
        }
    }
}
