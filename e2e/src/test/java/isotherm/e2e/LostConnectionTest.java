package isotherm.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import isotherm.server.testing.RunningServer;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The work at the car does not notice that nobody answers: everything waits, and arrives once and in order. */
class LostConnectionTest extends PhoneWorkshop {
    private static final int CUTS = 100;

    @Test
    void aWholeBuildFromPreviewToHandOverWithoutAConnectionInItsMiddle() throws IOException {
        atBuild();
        button("Preview this build…").tap();
        assertThat(sheet("Preview of this build")).containsText("steps in");
        page.keyboard().press("Escape");
        begin();
        keeps();
        comes(next());
        List<String> ids = StreamSupport.stream(build().at("/build/steps").spliterator(), false)
                .map(s -> s.get("id").stringValue())
                .toList();
        int third = ids.size() / 3;
        for (int i = 0; i < ids.size(); i++) {
            if (i == third) {
                arrived();
                connection(false);
            }
            if (i == third + 2) {
                withoutAnswer();
            }
            if (i == third + 4) {
                // The phone was dropped and its page is opened again, in the middle of nowhere.
                page.reload();
                comes(next());
            }
            if (i == 2 * third) {
                assertThat(written("DONE", "on"))
                        .as("nothing arrived meanwhile")
                        .hasSize(third);
                connection(true);
            }
            tickNext(ids.size() - i == 1);
        }
        arrived();
        assertThat(written("DONE", "on")).containsExactlyElementsOf(ids);
        assertThat(written("NOTE", "text")).containsExactly("Clamp was loose");
        assertThat(written("OFF", "text")).containsExactly("horn");
        assertThat(written("BACK_ON", "on")).hasSize(1);
        picturesArrived();
        assertThat(times()).isSorted();
        Download paper = page.waitForDownload(
                () -> page.getByText("Hand-over paper as PDF").tap());
        assertThat(Files.size(paper.path())).isGreaterThan(3000);
    }

    /** The last step leaves no next one behind it. */
    private void tickNext(boolean last) {
        if (nextStep().startsWith("Put back on")) {
            Locator horn = next().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Back on: horn"));
            horn.tap();
            assertThat(horn).hasAttribute("aria-pressed", "true");
        }
        if (!last) {
            tickNext();
            return;
        }
        next().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Done: ")))
                .tap();
        assertThat(next()).hasCount(0);
    }

    /** A note, a picture and something that came off, with nobody to send them to. */
    private void withoutAnswer() throws IOException {
        next().getByText("Write a note").tap();
        text("Note").fill("Clamp was loose");
        text("Note").press("Enter");
        comes(next().getByText("Clamp was loose"));
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB), "png", png);
        next().locator("input[type=file]").setInputFiles(new FilePayload("joint.png", "image/png", png.toByteArray()));
        comes(next().getByRole(AriaRole.IMG));
        unfold("All steps");
        text("Came off: what").fill("horn");
        text("Came off: what").press("Enter");
        comes(page.getByLabel("Mark A").first());
    }

    private void picturesArrived() {
        String build = build().get("id").stringValue();
        for (String id : written("PICTURE", "text")) {
            assertThat(UUID.fromString(id)).isNotNull();
            assertThat(RunningServer.get().bytes("GET", "/api/builds/" + build + "/pictures/" + id, null))
                    .isNotEmpty();
        }
        assertThat(written("PICTURE", "text")).hasSize(1);
    }

    private List<String> times() {
        List<String> times = new ArrayList<>();
        for (JsonNode e : entries()) {
            times.add(e.get("at").stringValue());
        }
        return times;
    }

    @Test
    void aHundredCutsAndReturnsLoseNothingAndDoubleNothing() {
        atBuild();
        begin();
        keeps();
        comes(next());
        Random random = new Random(100);
        List<String> expected = new ArrayList<>();
        for (int cut = 0; cut < CUTS; cut++) {
            connection(random.nextBoolean());
            if (random.nextInt(3) == 0) {
                String note = "note " + cut;
                next().getByText("Write a note").tap();
                text("Note").fill(note);
                text("Note").press("Enter");
                expected.add(note);
            }
            if (random.nextInt(25) == 0) {
                page.reload();
                comes(next());
            }
            connection(random.nextBoolean());
        }
        connection(true);
        arrived();
        assertThat(written("NOTE", "text")).containsExactlyElementsOf(expected);
        assertThat(written("NOTE", "id")).doesNotHaveDuplicates();
    }

    @Test
    void whatTheServerDoesNotTakeIsToldAndStaysUntilItIsRead() {
        atBuild();
        begin();
        keeps();
        comes(next());
        unfold("All steps");
        button("Off: undertray").tap();
        comes(page.getByLabel("Mark A").first());
        arrived();
        connection(false);
        button("Was not taken off: undertray").tap();
        // Meanwhile somebody else says the same at the bench.
        JsonNode off = build().at("/progress/off/0/off");
        String struck =
                """
                {"id":"%s","at":"2026-01-01T00:00:00Z","who":"Bo","kind":"NOT_OFF","on":"%s"}"""
                        .formatted(UUID.randomUUID(), off.get("id").stringValue());
        String path = "/api/builds/" + build().get("id").stringValue() + "/entries";
        assertThat(RunningServer.get().send("POST", path, struck).statusCode()).isEqualTo(201);
        connection(true);
        Locator told = page.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("Not taken"));
        assertThat(told).containsText("This is not on the list of what came off");
        page.reload();
        comes(told);
        button("I have read it").tap();
        assertThat(told).hasCount(0);
    }
}
