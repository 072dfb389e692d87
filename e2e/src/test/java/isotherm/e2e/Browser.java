package isotherm.e2e;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import isotherm.server.testing.RunningServer;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** Headless Chromium on the running application, one browser for all tests, one context for each. */
final class Browser {
    private static final Playwright PLAYWRIGHT =
            Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    private static final com.microsoft.playwright.Browser CHROMIUM = PLAYWRIGHT
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setArgs(List.of(
                            "--no-sandbox",
                            "--disable-gpu",
                            "--disable-quic",
                            "--no-first-run",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync")));

    static {
        Runtime.getRuntime().addShutdownHook(new Thread(PLAYWRIGHT::close));
    }

    private Browser() {}

    static BrowserContext context() {
        return CHROMIUM.newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                .setBaseURL(RunningServer.get().address().toString())
                .setViewportSize(1280, 800));
    }

    static Page page() {
        return context().newPage();
    }
}
