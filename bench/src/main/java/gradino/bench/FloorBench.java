package gradino.bench;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Files;
import java.util.List;

/** The floor with two gauges, a press at real speed: how old a sample is when it is seen, and what the page spends. */
final class FloorBench {
    private static final int MOST_PRESSES = 40;
    private static final double MEASURED_SECONDS = 12;

    /**
     * Notes by the gauges' own clock when the samples of each message were made, and, once a frame that shows them is out, when
     * that was. The two clocks are put together by the quickest message, whose newest sample was made just before it was sent;
     * what the way takes at least, half of the quickest question to the server, is added.
     */
    private static final String WATCH = """
            (() => {
              window.seen = [];
              window.offset = Infinity;
              let arrived = [];
              const Plain = window.EventSource;
              window.EventSource = class extends Plain {
                constructor(...all) {
                  super(...all);
                  this.addEventListener('message', (e) => {
                    const now = performance.now();
                    for (const f of JSON.parse(e.data).forces) {
                      if (f.tenths.length === 0) continue;
                      arrived.push(f.firstMillis);
                      const last = f.firstMillis + f.everyMillis * (f.tenths.length - 1);
                      window.offset = Math.min(window.offset, now - last);
                    }
                  });
                }
              };
              new MutationObserver((changes) => {
                if (!changes.some((c) => c.attributeName === 'data-second')) return;
                const shown = arrived;
                arrived = [];
                requestAnimationFrame(() => setTimeout(() => {
                  const now = performance.now();
                  shown.forEach((made) => window.seen.push(now - made));
                }));
              }).observe(document, { attributes: true, subtree: true, attributeFilter: ['data-second'] });
            })()
            """;

    /** As three tries would have left it on every side and direction: 100 % is 220 N. */
    private static final String REFERENCES = """
            async (session) => {
              const floor = await (await fetch('/api/runs/' + session)).json();
              const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);
              for (const { line, side, direction } of floor.references) {
                const tries = [0, 1, 2].map((t) => ({
                  millis: Array.from({ length: 201 }, (_, i) => t * 35000 + 20 * i),
                  tenths: Array.from({ length: 201 }, () => 2200),
                }));
                const answer = await fetch(`/api/runs/${session}/references`, {
                  method: 'POST',
                  headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                  body: JSON.stringify({ id: `bench-${side}-${direction}`, line, side, direction, tries }),
                });
                if (!answer.ok) throw new Error(await answer.text());
              }
            }
            """;

    /** How old the oldest sample of each message was when it was seen, in milliseconds, over so many seconds. */
    private static final String AGES = """
            async (seconds) => {
              let way = Infinity;
              for (let i = 0; i < 10; i++) {
                const from = performance.now();
                await fetch('/api/stop-signs');
                way = Math.min(way, (performance.now() - from) / 2);
              }
              window.seen.length = 0;
              await new Promise((done) => setTimeout(done, 1000 * seconds));
              return window.seen.map((since) => since - window.offset + way).sort((a, b) => a - b);
            }
            """;

    private FloorBench() {}

    static List<Measured> gauges() throws Exception {
        var data = Files.createTempDirectory("gradino-bench");
        try (var server = Running.demo(data);
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
        page.waitForURL("**/runs/*");
        page.evaluate(REFERENCES, page.url().substring(page.url().lastIndexOf('/') + 1));
        page.reload();
        page.getByText("Connect two force gauges").click();
        page.getByText("Both gauges are there").waitFor();
        page.locator("button", new Page.LocatorOptions().setHasText("Start"))
                .last()
                .click();
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
                new Measured(
                        "sample-to-pixel-p99", ages.get(ages.size() * 99 / 100).doubleValue(), "ms", 100),
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
