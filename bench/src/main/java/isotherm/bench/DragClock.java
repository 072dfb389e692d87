package isotherm.bench;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.net.URI;
import java.util.regex.Pattern;

/** From a move of the pointer that holds the rows to the frame in which the thermal rule shows what they come to. */
final class DragClock implements AutoCloseable {
    private static final int MOVES = 120;
    private static final int WARM = 20;
    private static final int MOST_ROWS = 22;
    /** As a hand draws: ten moves a second, each to the next row. */
    private static final int BETWEEN_MS = 100;
    /** A move counts from its own time stamp, until the frame after the one in which the peak has changed has begun. */
    private static final String CLOCK =
            """
            peak => {
              window.took = [];
              let moved = 0;
              document.addEventListener('pointermove', e => { moved = moved || e.timeStamp; }, true);
              new MutationObserver(() => {
                const since = moved;
                moved = 0;
                if (since) {
                  requestAnimationFrame(() => setTimeout(() => window.took.push(performance.now() - since)));
                }
              }).observe(peak, { subtree: true, characterData: true, childList: true, attributes: true });
            }""";

    /** How far apart two rows are on the slider, px. */
    private static final String ROW =
            """
            thumb => {
              const rows = thumb.querySelector('input');
              return thumb.parentElement.getBoundingClientRect().width / (rows.max - rows.min);
            }""";

    /** Requests that compute and read nothing, one after the other, ms. */
    private static final String EMPTY =
            """
            async () => {
              const took = [];
              for (let i = 0; i < 120; i++) {
                const begun = performance.now();
                await (await fetch('/actuator/health/liveness', { cache: 'no-store' })).text();
                took.push(performance.now() - begun);
              }
              return took.slice(20);
            }""";

    private final Chromium browser;
    private final Page page;

    DragClock(URI server) {
        browser = new Chromium(server, "Core");
        page = browser.page();
    }

    /** Seconds, one for each move. */
    double[] moves() {
        Locator rows = page.getByRole(
                AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Rows").setExact(true));
        rows.waitFor();
        Locator thumb = page.locator(".thumb").first();
        thumb.scrollIntoViewIfNeeded();
        page.waitForTimeout(3000);
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Thermal rule"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Peak ")))
                .first()
                .evaluate(CLOCK);
        var box = thumb.boundingBox();
        double aRow = ((Number) thumb.evaluate(ROW)).doubleValue();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        int direction = 1;
        for (int i = 0; i < MOVES; i++) {
            int before = Integer.parseInt(rows.inputValue());
            direction = before >= MOST_ROWS ? -1 : before <= MOST_ROWS / 2 ? 1 : direction;
            x += direction * aRow;
            page.mouse().move(x, y);
            page.waitForTimeout(BETWEEN_MS);
        }
        page.mouse().up();
        page.waitForTimeout(BETWEEN_MS);
        return Chromium.seconds(page.evaluate("() => window.took"), WARM);
    }

    /** Seconds, of a request from the page that computes and reads nothing. */
    double[] emptyRequests() {
        return Chromium.seconds(page.evaluate(EMPTY), 0);
    }

    @Override
    public void close() {
        browser.close();
    }
}
