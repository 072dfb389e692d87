package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Visitor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A garage of several people: they join, do what is theirs to do, and go. */
class TogetherTest extends Workshop {
    private static final String CODE = "AAAA-BBBB-CCCC";

    private static RunningServer server;
    private static Visitor owner;

    @BeforeAll
    static void open() throws IOException {
        Path home = Files.createTempDirectory("isotherm-together");
        Files.writeString(home.resolve("owner.code"), CODE);
        server = RunningServer.with("--isotherm.together=true", "--isotherm.home=" + home);
        owner = new Visitor(server);
    }

    @AfterAll
    static void shut() {
        server.close();
    }

    /** Tests come in any order: whoever comes first is the first owner. */
    private static synchronized Visitor owner() {
        if (owner.cookie().isEmpty()) {
            owner.join(CODE, "Olive");
            owner.ask("POST", "/api/demo", null);
        }
        return owner;
    }

    private Locator text(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private void go(String path) {
        page.navigate(server.address() + path);
    }

    private void join(String word, String name) {
        go("/join#" + word);
        text("Your name").fill(name);
        text("Password").fill(Visitor.password(name));
        button("Join").click();
        comes(button(Pattern.compile("Car$")).first());
    }

    private void isAccessible() {
        assertThat(barriers(page)).isEmpty();
    }

    @Test
    void nobodyPassesTheDoorAndThePageThatWasWantedOpensBehindIt() {
        owner();
        go("/state");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Sign in to this garage");
        isAccessible();
        text("Name").fill("Olive");
        text("Password").fill("not hers");
        text("Password").press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("do not belong together");
        text("Password").fill(Visitor.password("Olive"));
        button("Sign in").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("State of this garage");
        assertThat(table("What is kept")).containsText("Newest backup");
        isAccessible();
    }

    @Test
    void aPhoneJoinsByAnInvitationAndIsEnded() {
        owner();
        go("/people");
        text("Name").fill("Olive");
        text("Password").fill(Visitor.password("Olive"));
        button("Sign in").click();
        answer("As", "Builder");
        button("Make an invitation").click();
        Locator made = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("New invitation"));
        comes(made.getByRole(AriaRole.IMG));
        isAccessible();
        String link = made.locator("code").first().innerText();
        assertThat(link).contains("/join#");
        button("Dark theme").click();
        isAccessible();

        Page phone = Browser.phone();
        phone.navigate(server.address() + link.substring(link.indexOf("/join")));
        phone.getByLabel("Your name").fill("Finn");
        phone.getByLabel("Password").fill("short");
        phone.getByLabel("Password").blur();
        comes(phone.getByText("Password: 10 to 72 characters are expected"));
        assertThat(barriers(phone)).isEmpty();
        phone.getByLabel("Password").fill(Visitor.password("Finn"));
        phone.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Join").setExact(true))
                .click();
        assertThat(phone).hasURL(Pattern.compile("/cars/"));

        page.reload();
        comes(button("Let Finn go…"));
        assertThat(page.getByText("It is shown this once")).hasCount(0);
        button("Let Finn go…").click();
        button("Let go").last().click();
        comes(page.getByText("Were here, and what they wrote stays: Finn"));
        phone.reload();
        assertThat(phone.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Sign in to this garage");
        phone.context().close();
    }

    @Test
    void aViewerTriesAndKeepsNothing() {
        join(owner().invites("VIEWER"), "Vic");
        station("Core");
        String before = field("Rows").inputValue();
        set("Rows", "31");
        comes(page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("Tried, not kept")));
        page.reload();
        assertThat(field("Rows")).hasValue(before);
        station("Care");
        comes(page.getByText("A viewer reads this book"));
        button("More about this design").click();
        assertThat(action("Copy…")).isDisabled();
        assertThat(action("Compare all designs")).isEnabled();
    }

    private Locator action(String name) {
        return page.getByRole(
                AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void aBuilderWritesUnderTheNameOfTheAccount() {
        join(owner().invites("BUILDER"), "Bente");
        station("Build");
        button(Pattern.compile("^Begin a build of")).first().click();
        button("Begin").click();
        assertThat(text("Your name")).hasCount(0);
        Locator next = page.locator("li[aria-current=step]");
        String name = next.getAttribute("aria-label");
        next.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Done: " + name))
                .click();
        assertThat(page.getByRole(AriaRole.LISTITEM, new Page.GetByRoleOptions().setName(name)))
                .containsText("Bente");
        act("More about this car", "Hand over by a link…");
        button("Make a link").click();
        String link = page.locator("[role=dialog] code").innerText();
        Page guest = Browser.context().newPage();
        guest.navigate(server.address() + link.substring(link.indexOf("/shared")));
        comes(guest.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Hand-over paper")));
        assertThat(barriers(guest)).isEmpty();
        button("Take back").click();
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Links that hold")))
                .hasCount(0);
        guest.reload();
        assertThat(guest.getByRole(AriaRole.ALERT)).containsText("This link opens nothing");
        guest.context().close();
    }

    @Test
    void whatWasWrittenWaitsUntilItsWriterHasSignedInAgain() {
        join(owner().invites("BUILDER"), "Wanda");
        station("Core");
        saved();
        // Somebody ends her session, as on a phone that was lost and found.
        Visitor wanda = new Visitor(server);
        wanda.signIn("Wanda", Visitor.password("Wanda"));
        for (var session : wanda.json("GET", "/api/me/sessions", null)) {
            if (!session.get("here").asBoolean()) {
                wanda.ask("DELETE", "/api/me/sessions/" + session.get("id").asString(), null);
            }
        }
        field("Rows").fill("23");
        page.keyboard().press("Enter");
        comes(signingIn());
        text("Name").fill("Wanda");
        text("Password").fill(Visitor.password("Wanda"));
        button("Sign in").click();
        assertThat(signingIn()).isHidden();
        assertThat(field("Rows")).hasValue("23");
        saved();
        page.reload();
        assertThat(field("Rows")).hasValue("23");
    }

    private Locator signingIn() {
        return page.getByRole(
                AriaRole.HEADING,
                new Page.GetByRoleOptions().setName("Sign in to this garage").setLevel(1));
    }
}
