package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import isotherm.server.store.Garage.OwnPart;
import isotherm.server.store.Kind;
import isotherm.server.testing.Examples;
import isotherm.server.testing.RunningServer;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What was saved under older rules is shown with what is wrong, and repaired. Alone: every page of its garage tells of it. */
@Isolated
class RepairTest extends Workshop {
    private static final JsonMapper JSON = new JsonMapper();
    private final isotherm.server.store.Garage stored = RunningServer.get().bean(isotherm.server.store.Garage.class);
    private final Garage.Own corvid = Garage.own("corvid");
    private final UUID brokenCar = UUID.randomUUID();

    @AfterEach
    void clean() {
        stored.find(Kind.CAR, brokenCar).ifPresent(s -> stored.remove(Kind.CAR, brokenCar, s.version()));
        stored.ownParts().stream()
                .map(OwnPart::part)
                .filter(p -> p.document().contains("Broken maker"))
                .forEach(p -> stored.removeOwnPart(p.id(), p.version()));
    }

    private Locator toRepair() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("To be repaired"));
    }

    @Test
    void aDutyOfACarIsRepairedWhileTheRestWorks() {
        ObjectNode duty = (ObjectNode) JSON.readTree(Examples.read("corvid")).get("duty");
        duty.put("name", "Desert day").put("ambientC", 900);
        stored.addPart(Kind.DUTY, UUID.randomUUID(), UUID.fromString(corvid.id()), duty.toString());
        open(corvid);
        comes(page.getByText("One document of this car cannot be used as saved."));
        button("Show what is wrong…").click();
        assertThat(toRepair().first()).containsText("Duty: Desert day");
        assertThat(toRepair().first()).containsText("900 °C is outside -40 to 55 °C");
        assertThat(barriers(page)).isEmpty();
        button("Repair…").click();
        page.getByLabel("Air temperature, °C").last().fill("80");
        button("Save").click();
        assertThat(sheet("Repair “Desert day”")).containsText("80 °C is outside -40 to 55 °C");
        page.getByLabel("Air temperature, °C").last().fill("42");
        button("Save").click();
        assertThat(sheet("Repair “Desert day”")).hasCount(0);
        assertThat(page.getByText("cannot be used as saved")).hasCount(0);
    }

    @Test
    void aCarThatCannotBeShownLeavesTheWayToTheOthers() {
        ObjectNode car = (ObjectNode) JSON.readTree(Examples.read("wren")).get("car");
        stored.addCar(
                brokenCar, car.put("name", "Dry sump").put("oilVolumeL", 0).toString());
        page.navigate("/cars/" + brokenCar + "/duty");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("This car cannot be used as saved");
        assertThat(toRepair()).containsText("0 L is outside");
        button("Open " + corvid.car()).click();
        assertThat(button(java.util.regex.Pattern.compile("Design$")).first()).containsText(corvid.design());
        page.goBack();
        button("Repair…").click();
        page.getByLabel("Oil in the engine").fill("4.2");
        button("Save").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("no duty that can be used");
    }

    @Test
    void aPartThatCannotBeUsedIsRemoved() {
        stored.addOwnPart("CORE", "{\"maker\":\"Broken maker\",\"number\":\"B-1\",\"rows\":900}");
        open(corvid);
        button("Files").click();
        assertThat(toRepair()).containsText("Part of your own: B-1");
        toRepair()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Remove…"))
                .click();
        button("Remove").click();
        assertThat(page.getByText("B-1")).hasCount(0);
        assertThat(stored.ownParts().toString()).doesNotContain("Broken maker");
    }
}
