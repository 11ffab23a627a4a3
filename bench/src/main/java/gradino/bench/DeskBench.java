package gradino.bench;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;

/** Finding one of five hundred clients: from the letter typed to the frame that shows who was found. */
final class DeskBench {
    private static final int CLIENTS = 500;
    private static final int LETTERS = 12;

    /** Notes when a letter comes in, and the frame after the list has changed. */
    private static final String WATCH = """
            () => {
              const field = document.querySelector('[role=combobox]');
              window.found = null;
              field.addEventListener('input', () => {
                const from = performance.now();
                requestAnimationFrame(() => setTimeout(() => { window.found = performance.now() - from; }));
              }, { capture: true });
            }
            """;

    private DeskBench() {}

    static List<Measured> finder() throws Exception {
        try (var server = Running.start(Files.createTempDirectory("gradino-bench"))) {
            server.visitor().signIn();
            ServerBench.upload(server.visitor(), "clients.csv", clients());
            return List.of(new Measured("finder-of-500", found(server), "ms", 50));
        }
    }

    private static double found(Running server) {
        var times = new ArrayList<Double>();
        try (var playwright = Playwright.create();
                var browser = DrawBench.chromium(playwright)) {
            var page = DrawBench.page(browser, server);
            page.navigate("http://localhost:" + server.port() + "/library");
            page.waitForSelector("h1");
            page.keyboard().press("/");
            page.locator("[role=combobox]").fill("Invented");
            // The list is fetched once, when the finder opens.
            page.waitForSelector("[role=option]:has-text('Invented')");
            page.evaluate(WATCH);
            for (int n = 0; n < LETTERS; n++) {
                times.add(typed(page, "Invented Person 4" + n));
            }
        }
        return Bench.median(times);
    }

    private static double typed(Page page, String name) {
        page.evaluate("() => { window.found = null; }");
        page.locator("[role=combobox]").fill(name);
        page.waitForFunction("() => window.found !== null");
        if (page.locator("[role=option]").count() == 0) {
            throw new IllegalStateException("nobody was found");
        }
        return ((Number) page.evaluate("() => window.found")).doubleValue();
    }

    private static String clients() {
        var one = ServerBench.clients();
        int row = one.indexOf("\r\n") + 2;
        var csv = new StringBuilder(one.substring(0, row));
        for (int n = 0; n < CLIENTS; n++) {
            csv.append(one.substring(row).replace("c,Invented Person,", "c" + n + ",Invented Person " + n + ","));
        }
        return csv.toString();
    }
}
