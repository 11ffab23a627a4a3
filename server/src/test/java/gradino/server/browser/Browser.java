package gradino.server.browser;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import gradino.server.TestServer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The machine's own Chromium, headless. */
public final class Browser implements AutoCloseable {
    public static final List<String> ARGS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--autoplay-policy=no-user-gesture-required");

    private static final Playwright PLAYWRIGHT = Playwright.create(new Playwright.CreateOptions()
            .setEnv(Map.of(
                    "PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD",
                    "1",
                    "PLAYWRIGHT_NODEJS_PATH",
                    found("PLAYWRIGHT_NODEJS_PATH", "node"))));
    /** Started once; every test has a context of its own, which shares nothing with another's. */
    private static final com.microsoft.playwright.Browser CHROMIUM = launched(List.of());

    /** Long, so that a slow machine only takes longer. */
    private static final double PATIENCE_MS = 60_000;

    static {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
    }

    private final com.microsoft.playwright.@Nullable Browser own;
    final BrowserContext context;
    final Page page;

    Browser() {
        this(false, ServiceWorkerPolicy.BLOCK, List.of());
    }

    /** A phone held upright. */
    static Browser phone(boolean keepsOffline, String... arguments) {
        return new Browser(
                true, keepsOffline ? ServiceWorkerPolicy.ALLOW : ServiceWorkerPolicy.BLOCK, List.of(arguments));
    }

    private Browser(boolean phone, ServiceWorkerPolicy workers, List<String> more) {
        own = more.isEmpty() ? null : launched(more);
        context = (own == null ? CHROMIUM : own)
                .newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                        .setViewportSize(phone ? 390 : 1280, phone ? 844 : 800)
                        .setServiceWorkers(workers)
                        .setLocale("en-GB")
                        .setTimezoneId("UTC"));
        context.setDefaultTimeout(PATIENCE_MS);
        page = context.newPage();
    }

    private static com.microsoft.playwright.Browser launched(List<String> more) {
        return PLAYWRIGHT
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of(found("CHROMIUM_PATH", "chromium")))
                        .setHeadless(true)
                        .setArgs(Stream.concat(ARGS.stream(), more.stream()).toList()));
    }

    /** On a profile of its own. */
    static BrowserContext on(Path profile) {
        return PLAYWRIGHT
                .chromium()
                .launchPersistentContext(
                        profile,
                        new BrowserType.LaunchPersistentContextOptions()
                                .setExecutablePath(Path.of(found("CHROMIUM_PATH", "chromium")))
                                .setHeadless(true)
                                .setServiceWorkers(ServiceWorkerPolicy.BLOCK)
                                .setViewportSize(1280, 800)
                                .setArgs(ARGS));
    }

    /** A window in which the studio's owner is signed in. */
    Browser(TestServer server) {
        this();
        context.addCookies(List.of(
                new Cookie("gradino", server.me().cookie("gradino"))
                        .setUrl(server.url("/"))
                        .setHttpOnly(true),
                new Cookie("XSRF-TOKEN", server.me().cookie("XSRF-TOKEN")).setUrl(server.url("/"))));
    }

    public static String found(String variable, String command) {
        return Optional.ofNullable(System.getenv(variable))
                .orElseGet(() -> List.of("/usr/bin/", "/usr/local/bin/").stream()
                        .map(directory -> directory + command)
                        .filter(path -> Files.isExecutable(Path.of(path)))
                        .findFirst()
                        .orElseThrow(() -> new IllegalStateException("no " + command + " on this machine")));
    }

    public static final String LISTEN = """
            window.told = { phase: [], tone: [], speak: [] };
            for (const what of Object.keys(window.told)) {
              addEventListener(`floor:${what}`, (event) => window.told[what].push(event.detail));
            }
            """;

    /** Collects what the floor tells, from the next page on. */
    void listenToTheFloor() {
        page.addInitScript(LISTEN);
    }

    /** The page's own clock stands still from here on; only the test moves it. */
    void standStill(String at) {
        page.clock().pauseAt(at);
    }

    /** Lets seconds pass on the page's clock, one at a time. */
    void run(int seconds) {
        for (int second = 0; second < seconds; second++) {
            page.clock().fastForward(1_000);
        }
    }

    void click(AriaRole role, String name) {
        page.getByRole(role, new Page.GetByRoleOptions().setName(name).setExact(true))
                .first()
                .click();
    }

    void button(String name) {
        click(AriaRole.BUTTON, name);
    }

    @Override
    public void close() {
        context.close();
        if (own != null) {
            own.close();
        }
    }
}
