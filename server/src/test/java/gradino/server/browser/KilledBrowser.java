package gradino.server.browser;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import java.nio.file.Path;

/** A browser on a profile of its own that can be killed as a flat battery would. */
record KilledBrowser(BrowserContext context, Path profile) implements AutoCloseable {
    static KilledBrowser open(Path profile) {
        return new KilledBrowser(Browser.on(profile), profile);
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
    }
}
