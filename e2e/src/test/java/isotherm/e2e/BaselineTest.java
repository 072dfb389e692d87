package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The car as it is stays beside what is planned for it: an order of designs, the one that is built, readings with their day. */
class BaselineTest extends Workshop {
    private void offers(String... designs) {
        button(Pattern.compile("Design$")).first().click();
        assertThat(page.getByRole(AriaRole.OPTION)).hasText(designs);
        page.keyboard().press("Escape");
    }

    @Test
    void designsHaveAnOrderAndOneOfThemIsBuilt() {
        Garage.Own own = Garage.own("corvid");
        open(own);
        offers(own.design(), "As it is today");
        act("More about this design", "Move down in the list");
        offers("As it is today", own.design());
        act("More about this design", "Mark as built");
        offers("As it is today", own.design() + ", as built");
        saved();
        page.reload();
        offers("As it is today", own.design() + ", as built");
        button("Undo").click();
        offers("As it is today", own.design());
        act("More about this design", "Mark as built");
        act("More about this design", "Not as built");
        offers("As it is today", own.design());
    }

    @Test
    void aReadingCarriesItsDayAndBeginsWithTheDesignThatIsBuilt() {
        Garage.Own own = Garage.own("corvid");
        open(own);
        act("More about this design", "Mark as built");
        button("Add a reading…").click();
        assertThat(button(Pattern.compile("Design that was driven$"))).containsText(own.design());
        page.getByLabel("Day it was read").fill("31 May");
        page.keyboard().press("Tab");
        assertThat(page.getByText("Day it was read: a day such as 2026-01-31 is expected, not “31 May”"))
                .hasCount(1);
        // Nothing else than what was typed is kept.
        assertThat(button("Keep it")).isDisabled();
        page.getByLabel("Day it was read").fill("2026-05-31");
        button("Keep it").click();
        assertThat(table("Readings")).containsText("2026-05-31");
        saved();
    }

    @Test
    void aRemedyIsTakenBackInOnePress() {
        open(Garage.own("corvid"), "Core");
        assertThat(page.locator("main [aria-busy=true]")).hasCount(0);
        String sealing = field("Sealing").inputValue();
        findings()
                .getByRole(
                        AriaRole.BUTTON,
                        new com.microsoft.playwright.Locator.GetByRoleOptions()
                                .setName("Seal the opening with a shroud and foam"))
                .click();
        assertThat(field("Sealing")).hasValue("90");
        assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Tried")))
                .containsText("Seal the opening with a shroud and foam");
        button("Take it back").click();
        assertThat(field("Sealing")).hasValue(sealing);
        saved();
    }
}
