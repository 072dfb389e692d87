package isotherm.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import java.net.URI;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/** A browser of its own at one station of the demo garage's first car. */
final class Chromium implements AutoCloseable {
    private final Playwright playwright =
            Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    private final Page page;

    /**
     * @param server a server with the demo garage
     * @param station the name of a station
     */
    Chromium(URI server, String station) {
        Browser browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                        .setArgs(List.of("--no-sandbox", "--disable-gpu")));
        page = browser.newPage(
                new Browser.NewPageOptions().setBaseURL(server.toString()).setViewportSize(1280, 800));
        page.navigate("/");
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Stations"))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile(station)))
                .click();
    }

    Page page() {
        return page;
    }

    /** Numbers of milliseconds that the page's clock read, s; without the first so many. */
    static double[] seconds(Object milliseconds, int skipped) {
        return ((List<?>) milliseconds)
                .stream()
                        .skip(skipped)
                        .mapToDouble(ms -> ((Number) ms).doubleValue() / 1e3)
                        .toArray();
    }

    @Override
    public void close() {
        playwright.close();
    }
}
