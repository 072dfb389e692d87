package isotherm.e2e;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import isotherm.server.testing.RunningServer;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** Headless Chromium on the running application: one browser for each thread that tests, one context for each test. */
final class Browser {
    private static final List<String> ARGUMENTS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");

    /** A busy machine may take a while; a wrong page stays wrong. */
    private static final int PATIENCE = 90_000;

    /** The driver belongs to the thread that made it; it ends with the process. */
    private static final ThreadLocal<com.microsoft.playwright.Browser> CHROMIUM = ThreadLocal.withInitial(() -> {
        Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                        .setArgs(ARGUMENTS));
    });

    static {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
    }

    private Browser() {}

    static BrowserContext context() {
        return patient(options().setServiceWorkers(ServiceWorkerPolicy.BLOCK).setViewportSize(1280, 800));
    }

    private static com.microsoft.playwright.Browser.NewContextOptions options() {
        return new com.microsoft.playwright.Browser.NewContextOptions()
                .setBaseURL(RunningServer.get().address().toString())
                .setReducedMotion(ReducedMotion.REDUCE);
    }

    private static BrowserContext patient(com.microsoft.playwright.Browser.NewContextOptions options) {
        BrowserContext context = CHROMIUM.get().newContext(options);
        context.setDefaultTimeout(PATIENCE);
        return context;
    }

    /** A phone in one hand, whose browser keeps what it saw for the time without a connection. */
    static Page phone() {
        return patient(options().setHasTouch(true).setIsMobile(true).setViewportSize(390, 844))
                .newPage();
    }

    static Page page() {
        return context().newPage();
    }
}
