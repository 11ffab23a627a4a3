package gradino.bench;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Files;
import java.util.List;
import java.util.Map;

/** The floor with two gauges, a press at real speed: how old a sample is when it is seen, and what the page spends. */
final class FloorBench {
    private static final int MOST_PRESSES = 40;
    private static final double MEASURED_SECONDS = 12;

    /**
     * Notes when the page's devices were born, by the earliest moment they can have been, when each sample came, and, once a
     * frame that shows it is out, how old the oldest sample of it is.
     */
    private static final String WATCH = """
            (() => {
              window.ages = [];
              let born = null, arrived = [];
              const plain = window.fetch;
              window.fetch = (input, init) => {
                const url = input instanceof Request ? input.url : String(input);
                if (born === null && /\\/api\\/devices\\/[^/]+$/.test(url)) born = performance.now();
                return plain(input, init);
              };
              const Plain = window.EventSource;
              window.EventSource = class extends Plain {
                constructor(...all) {
                  super(...all);
                  this.addEventListener('message', (e) => {
                    for (const f of JSON.parse(e.data).forces)
                      if (f.tenths.length > 0) arrived.push(born + f.firstMillis);
                  });
                }
              };
              new MutationObserver((changes) => {
                if (!changes.some((c) => c.attributeName === 'data-second')) return;
                const shown = arrived;
                arrived = [];
                requestAnimationFrame(() => setTimeout(() => {
                  const now = performance.now();
                  shown.forEach((made) => window.ages.push(now - made));
                }));
              }).observe(document, { attributes: true, subtree: true, attributeFilter: ['data-second'] });
            })()
            """;

    /** As three tries would have left it on every side and direction: 100 % is 220 N. */
    private static final String REFERENCES = """
            async (session) => {
              const floor = await (await fetch('/api/sessions/' + session)).json();
              const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);
              for (const { line, side, direction } of floor.references) {
                const tries = [0, 1, 2].map((t) => ({
                  millis: Array.from({ length: 201 }, (_, i) => t * 35000 + 20 * i),
                  tenths: Array.from({ length: 201 }, () => 2200),
                }));
                const answer = await fetch(`/api/sessions/${session}/references`, {
                  method: 'POST',
                  headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                  body: JSON.stringify({ id: `bench-${side}-${direction}`, line, side, direction, tries }),
                });
                if (!answer.ok) throw new Error(await answer.text());
              }
            }
            """;

    /** Seconds in which the page's thread was busy while so many seconds went by, and the ages it noted. */
    private static final String AGES = """
            (seconds) => new Promise((done) => {
              window.ages.length = 0;
              setTimeout(() => done([...window.ages].sort((a, b) => a - b)), 1000 * seconds);
            })
            """;

    private FloorBench() {}

    static List<Measured> gauges() throws Exception {
        var data = Files.createTempDirectory("gradino-bench");
        try (var server = ServerBench.Running.start(data, Map.of("GRADINO_DEMO", "true"));
                var playwright = Playwright.create();
                var browser = DrawBench.chromium(playwright)) {
            var page = browser.newPage();
            page.setViewportSize(1280, 800);
            page.addInitScript(WATCH);
            openFloor(page, "http://localhost:" + server.port());
            return measured(page);
        }
    }

    private static void openFloor(Page page, String address) {
        page.navigate(address + "/clients/demo-waller/perform");
        page.getByText("Maren Coyle, owner").click();
        page.getByText("Open the floor").first().click();
        page.waitForURL("**/sessions/*");
        page.evaluate(REFERENCES, page.url().substring(page.url().lastIndexOf('/') + 1));
        page.reload();
        page.getByText("Connect two force gauges").click();
        page.getByText("Both gauges are there").waitFor();
        page.locator("button", new Page.LocatorOptions().setHasText("Start")).last().click();
        var now = page.locator("[data-testid=now]");
        for (int i = 0; i < MOST_PRESSES && !now.getAttribute("data-block").endsWith("-press"); i++) {
            page.keyboard().press("Enter");
        }
        if (!now.getAttribute("data-block").endsWith("-press")) {
            throw new IllegalStateException("no press came");
        }
    }

    private static List<Measured> measured(Page page) {
        var thread = page.context().newCDPSession(page);
        thread.send("Performance.enable");
        double before = taskSeconds(thread);
        @SuppressWarnings("unchecked") // A script's array of numbers.
        var ages = (List<Number>) page.evaluate(AGES, MEASURED_SECONDS);
        double busy = 100 * (taskSeconds(thread) - before) / MEASURED_SECONDS;
        if (ages.size() < MEASURED_SECONDS * 10) {
            throw new IllegalStateException("only " + ages.size() + " messages were drawn");
        }
        return List.of(
                new Measured("sample-to-pixel", ages.get(ages.size() / 2).doubleValue(), "ms", 100),
                new Measured("sample-to-pixel-p99", ages.get(ages.size() * 99 / 100).doubleValue(), "ms", 100),
                new Measured("two-gauges-main-thread", busy, "%", 25));
    }

    private static double taskSeconds(com.microsoft.playwright.CDPSession thread) {
        for (var metric : thread.send("Performance.getMetrics").getAsJsonArray("metrics")) {
            if (metric.getAsJsonObject().get("name").getAsString().equals("TaskDuration")) {
                return metric.getAsJsonObject().get("value").getAsDouble();
            }
        }
        throw new IllegalStateException("no TaskDuration");
    }
}
