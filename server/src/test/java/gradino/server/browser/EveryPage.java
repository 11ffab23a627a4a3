package gradino.server.browser;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import gradino.server.TestServer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Some pages of the demo, each opened once: it fits every width, asks nobody else, and keeps nobody out. */
abstract class EveryPage {
    private static final int[][] SIZES = {{360, 740}, {2560, 1440}, {1280, 800}};
    /** What React needs to draw what a new width changes. */
    private static final String OVER = """
            () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() =>
              done(document.documentElement.scrollWidth - innerWidth))))
            """;
    /** Serious or critical only; the dark theme differs by colour, so it is asked for contrast alone, in the long form. */
    private static final String AXE = """
            async (rule) => (await axe.run(rule ? { runOnly: [rule] } : {})).violations
              .filter((v) => v.impact === 'serious' || v.impact === 'critical')
              .map((v) => v.id + ': ' + v.nodes.slice(0, 3).map((n) => n.html.slice(0, 120)).join(' | '))
            """;

    private final List<String> paths;
    private final List<String> troubles = new ArrayList<>();
    private TestServer server;
    private Browser browser;
    private Page page;
    private String axe;

    EveryPage(List<String> paths) {
        this.paths = paths;
    }

    @BeforeClass
    public void start() throws IOException {
        axe = Files.readString(Path.of(System.getProperty("gradino.web.dir"), "node_modules/axe-core/axe.min.js"));
        server = TestServer.demo();
        server.post("/api/lines/demo-waller-line/runs", "{\"id\":\"looked-at\"}");
        server.post("/api/studies", """
            {"id":"looked-at","motion":"hip-flexion","instrument":"GONIOMETER","people":["A","B","C","D","E"],"visits":2,"trials":3}
            """);
        server.post("/api/clients/demo-rower/batteries", """
            {"id":"looked-at","name":"Catch","body":{"movements":[{"name":"deep squat","unit":"GRADE","higherIsBetter":true}],
             "items":[{"motion":"hip-flexion","side":"LEFT","mode":"PASSIVE","warmth":"COLD",
                       "position":"supine-knee-to-chest","instrument":"INCLINOMETER"}]}}
            """);
        server.post("/api/clients/demo-rower/assessments", "{\"id\":\"looked-at\",\"batteryId\":\"looked-at\"}");
        browser = new Browser(server);
        page = browser.page;
        page.onPageError(troubles::add);
        page.onRequest(request -> {
            if (!request.url().startsWith(server.url("")) && !request.url().startsWith("data:")) {
                troubles.add("asks elsewhere: " + request.url());
            }
        });
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        browser.close();
        server.close();
    }

    @DataProvider
    public Object[][] pages() {
        return paths.stream().map(p -> new Object[] {p}).toArray(Object[][]::new);
    }

    @Test(dataProvider = "pages")
    public void fitsEveryWidthAsksNobodyElseAndKeepsNobodyOut(String path) {
        troubles.clear();
        page.navigate(server.url(path));
        page.waitForLoadState(LoadState.NETWORKIDLE);
        for (var size : SIZES) {
            page.setViewportSize(size[0], size[1]);
            int over = ((Number) page.evaluate(OVER)).intValue();
            Assertions.assertThat(over).as(path + " at " + size[0]).isLessThanOrEqualTo(0);
        }
        page.evaluate(axe);
        Assertions.assertThat((List<?>) page.evaluate(AXE, "")).as(path).isEmpty();
        if (Boolean.getBoolean("gradino.long")) {
            page.evaluate("document.documentElement.dataset.theme = 'dark'");
            Assertions.assertThat((List<?>) page.evaluate(AXE, "color-contrast"))
                    .as(path + " dark")
                    .isEmpty();
        }
        Assertions.assertThat(page.locator("body").innerText())
                .as(path)
                .isNotBlank()
                .doesNotContain("One moment");
        Assertions.assertThat(troubles).as(path).isEmpty();
    }
}
