package isotherm.e2e;

import com.microsoft.playwright.PlaywrightException;
import org.junit.jupiter.api.extension.AfterTestExecutionCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/** Tells what the page showed when a test failed: what was waited for and did not come is seldom the reason. */
final class Witness implements AfterTestExecutionCallback {
    private static final int LONGEST = 6000;

    @Override
    public void afterTestExecution(ExtensionContext context) {
        if (context.getExecutionException().isEmpty()) {
            return;
        }
        Workshop workshop = (Workshop) context.getRequiredTestInstance();
        try {
            String shown = workshop.page.locator("body").ariaSnapshot();
            System.err.printf(
                    "%s failed at %s:%n%s%n",
                    context.getDisplayName(),
                    workshop.page.url(),
                    shown.length() > LONGEST ? shown.substring(0, LONGEST) : shown);
        } catch (PlaywrightException e) {
            System.err.printf(
                    "%s failed, and its page cannot be looked at: %s%n", context.getDisplayName(), e.getMessage());
        }
    }
}
