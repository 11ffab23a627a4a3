package gradino.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.Cookie;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What only a browser can tell: how long a view takes from the server's answer to its drawing. */
final class DrawBench {
    private static final int RUNS = 9;
    private static final List<String> ARGS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");

    /** Waits for forty rows, then for the frame that shows them; milliseconds since the answer was there. */
    private static final String DRAWN = """
            () => new Promise((done) => {
              const look = () => {
                const rows = document.querySelectorAll('ol[aria-label="Range map"] > li').length;
                if (rows < 40) return requestAnimationFrame(look);
                requestAnimationFrame(() => setTimeout(() => {
                  const answer = performance.getEntriesByType('resource').filter((e) => e.name.endsWith('/ranges')).at(-1);
                  done(performance.now() - answer.responseEnd);
                }));
              };
              look();
            })
            """;

    private DrawBench() {}

    static List<Measured> rangeMap() throws Exception {
        var data = Files.createTempDirectory("gradino-bench");
        try (var server = Running.start(data)) {
            server.visitor().signIn();
            ServerBench.upload(server.visitor(), "clients.csv", ServerBench.clients());
            ServerBench.upload(server.visitor(), "measurements.csv", RangeBench.measurements());
            return List.of(new Measured("range-map-drawn", drawn(server), "ms", 300));
        }
    }

    private static double drawn(Running server) {
        var times = new ArrayList<Double>();
        try (var playwright = Playwright.create();
                var browser = chromium(playwright)) {
            var page = page(browser, server);
            for (int run = 0; run < RUNS; run++) {
                page.navigate("http://localhost:" + server.port() + "/clients/c/measure");
                times.add(((Number) page.evaluate(DRAWN)).doubleValue());
            }
        }
        return Bench.median(times);
    }

    static Browser chromium(Playwright playwright) {
        var path = Optional.ofNullable(System.getenv("CHROMIUM_PATH"))
                .filter(p -> !p.isEmpty())
                .orElse("/usr/bin/chromium");
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of(path))
                        .setHeadless(true)
                        .setArgs(ARGS));
    }

    static Page page(Browser browser, Running server) {
        var context = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
        context.addCookies(List.of(new Cookie("gradino", server.visitor().cookie())
                .setUrl("http://localhost:" + server.port() + "/")
                .setHttpOnly(true)));
        return context.newPage();
    }
}
