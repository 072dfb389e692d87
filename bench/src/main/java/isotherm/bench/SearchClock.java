package isotherm.bench;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.net.URI;

/** From a press on the search of the whole catalogue to the frame in which its first designs stand on the page, and to its end. */
final class SearchClock implements AutoCloseable {
    private static final int LOOK_EVERY_MS = 100;

    /** A press counts from its own time stamp, until the frame after the one in which something has changed has begun. */
    private static final String CLOCK =
            """
            () => {
              window.first = [];
              window.whole = [];
              let pressed = 0;
              let seen = false;
              document.addEventListener('click', e => { pressed = e.timeStamp; seen = false; }, true);
              const then = (list, since) => requestAnimationFrame(() => setTimeout(() => list.push(performance.now() - since)));
              new MutationObserver(() => {
                if (pressed && !seen && document.querySelector('table[aria-label="Trade-off"] tbody tr')) {
                  seen = true;
                  then(window.first, pressed);
                }
                if (pressed && seen && !document.querySelector('[aria-label="Search"] [role="progressbar"]')) {
                  then(window.whole, pressed);
                  pressed = 0;
                }
              }).observe(document.body, { subtree: true, characterData: true, childList: true });
            }""";

    private final Chromium browser;

    SearchClock(URI server) {
        browser = new Chromium(server, "Core");
    }

    /** Searches so often, one after the other. */
    void search(int times) {
        Page page = browser.page();
        page.evaluate(CLOCK);
        for (int done = 1; done <= times; done++) {
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Search the whole catalogue"))
                    .click();
            page.waitForFunction(
                    "done => window.whole.length === done",
                    done,
                    new Page.WaitForFunctionOptions().setPollingInterval(LOOK_EVERY_MS));
        }
    }

    /** Seconds until the first designs were seen, of each search. */
    double[] first() {
        return Chromium.seconds(browser.page().evaluate("() => window.first"), 0);
    }

    /** Seconds until all of them were, of each search. */
    double[] whole() {
        return Chromium.seconds(browser.page().evaluate("() => window.whole"), 0);
    }

    @Override
    public void close() {
        browser.close();
    }
}
