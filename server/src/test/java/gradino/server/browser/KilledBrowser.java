package gradino.server.browser;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Path;
import java.util.Map;

/** A browser on a profile of its own that can be killed as a flat battery would. */
record KilledBrowser(Playwright playwright, BrowserContext context, Path profile) implements AutoCloseable {
    static KilledBrowser open(Path profile) {
        var playwright = Playwright.create(new Playwright.CreateOptions()
                .setEnv(Map.of(
                        "PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD",
                        "1",
                        "PLAYWRIGHT_NODEJS_PATH",
                        Browser.found("PLAYWRIGHT_NODEJS_PATH", "node"))));
        var context = playwright
                .chromium()
                .launchPersistentContext(
                        profile,
                        new BrowserType.LaunchPersistentContextOptions()
                                .setExecutablePath(Path.of(Browser.found("CHROMIUM_PATH", "chromium")))
                                .setHeadless(true)
                                .setServiceWorkers(ServiceWorkerPolicy.BLOCK)
                                .setViewportSize(1280, 800)
                                .setArgs(Browser.ARGS));
        return new KilledBrowser(playwright, context, profile);
    }

    Page page() {
        return context.pages().get(0);
    }

    /** Every process of this profile, at once. */
    void kill() {
        ProcessHandle.current()
                .descendants()
                .filter(p -> p.info().commandLine().orElse("").contains(profile.toString()))
                .forEach(ProcessHandle::destroyForcibly);
    }

    @Override
    public void close() {
        try {
            context.close();
        } catch (PlaywrightException gone) {
            // It was killed.
        }
        playwright.close();
    }
}
