package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import gradino.server.TestServer;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Every page of the demo, at every width, and the journeys that are not the main one. */
public class PagesBrowserTest {
    private static final List<String> PAGES = List.of(
            "/",
            "/clients/new",
            "/clients/demo-bell-ringer",
            "/clients/demo-bell-ringer/edit",
            "/clients/demo-waller/measure/bench?motion=hip-internal-rotation&position=seated-90-90-rear&instrument=TAPE",
            "/clients/demo-puppeteer/measure",
            "/clients/demo-rower/measure",
            "/clients/demo-rower/measure/batteries",
            "/clients/demo-rower/measure/motions/hip-internal-rotation/prone-knee-bent/GONIOMETER",
            "/clients/demo-puppeteer/screening",
            "/clients/demo-rower/sharing",
            "/clients/demo-rower/measure/assessments/looked-at",
            "/noise",
            "/noise/looked-at",
            "/sessions/looked-at",
            "/sessions/looked-at/close",
            "/sessions/looked-at/replay",
            "/clients/demo-rower/home",
            "/studio/accounts",
            "/clients/demo-rower/prescribe",
            "/clients/demo-puppeteer/prescribe",
            "/clients/demo-rower/compose",
            "/library",
            "/clients/demo-rower/perform",
            "/clients/demo-bell-ringer/advance",
            "/clients/demo-puppeteer/advance",
            "/decisions",
            "/rules",
            "/rules/backtest",
            "/rules/rehearsal",
            "/studio",
            "/studio/nowhere");
    private TestServer server;
    private Browser browser;
    private Page page;
    private final List<String> troubles = new ArrayList<>();

    @BeforeClass
    public void start() {
        server = TestServer.demo();
        server.post("/api/lines/demo-waller-line/sessions", "{\"id\":\"looked-at\"}");
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
    public Object[][] widths() {
        return new Object[][] {{360, 740}, {1280, 800}, {2560, 1440}};
    }

    @Test(dataProvider = "widths")
    public void noPageIsWiderThanItsWindowOrAsksElsewhere(int width, int height) {
        page.setViewportSize(width, height);
        for (var path : PAGES) {
            page.navigate(server.url(path));
            page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
            int over = ((Number) page.evaluate("document.documentElement.scrollWidth - innerWidth")).intValue();
            Assertions.assertThat(over).as(path + " at " + width).isLessThanOrEqualTo(0);
        }
        Assertions.assertThat(troubles).isEmpty();
    }

    @DataProvider
    public Object[][] themes() {
        return new Object[][] {{"light", ""}, {"dark", "color-contrast"}};
    }

    /** axe-core, the accessibility rules of WCAG: nothing serious or critical on any view; the dark theme differs by colour. */
    @Test(dataProvider = "themes")
    public void noViewKeepsAnybodyOut(String theme, String rule) throws IOException {
        var axe = Files.readString(Path.of("../web/node_modules/axe-core/axe.min.js"));
        page.setViewportSize(1280, 800);
        page.navigate(server.url("/"));
        page.evaluate("theme => localStorage.setItem('gradino.theme', theme)", theme);
        for (var path : PAGES) {
            page.navigate(server.url(path));
            page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
            page.evaluate(axe);
            var found = (List<?>) page.evaluate("""
                    async rule => (await axe.run(rule ? { runOnly: [rule] } : {})).violations
                      .filter(v => v.impact === 'serious' || v.impact === 'critical')
                      .map(v => v.id + ': ' + v.nodes.slice(0, 3).map(n => n.html.slice(0, 120)).join(' | '))
                    """, rule);
            Assertions.assertThat(found).as(path + " " + theme).isEmpty();
        }
        page.evaluate("localStorage.removeItem('gradino.theme')");
    }

    @Test
    public void theScreeningIsAnsweredByKeysAndLeadsToItsRestrictions() {
        page.setViewportSize(1280, 800);
        page.navigate(server.url("/clients/demo-puppeteer/screening"));
        assertThat(page.getByText("Has a doctor ever found something with your heart?"))
                .isVisible();
        for (var topic : List.of("nnnn", "nn", "nnyn", "n", "nnnn", "nn")) {
            for (var key : topic.split("")) {
                page.keyboard().press(key);
            }
            if (topic.contains("y")) {
                assertThat(page.getByText("Hernia: refer first")).isVisible();
            }
            page.keyboard().press("Enter");
        }
        browser.click(AriaRole.BUTTON, "What follows");
        assertThat(page.getByText("A hernia, of groin, navel or belly wall?")).isVisible();
        browser.button("Keep these answers");
        assertThat(page.getByText("No isometrics until cleared in writing").first())
                .isVisible();
        assertThat(page.getByText("Not screened yet")).hasCount(0);
    }

    @Test
    public void aNewClientIsTakenInAndLeadsToTheScreening() {
        page.setViewportSize(1280, 800);
        page.navigate(server.url("/clients/new"));
        page.getByLabel("Goal, in the client's words").fill("ring the noon bell without a twist");
        page.getByLabel("Stature").fill("12");
        browser.button("Take in, go on to the screening");
        assertThat(page.getByText("A name of up to 120 letters.")).isVisible();
        assertThat(page.getByText("Between 50 and 250 cm.")).isVisible();
        assertThat(page.getByLabel("Goal, in the client's words")).hasValue("ring the noon bell without a twist");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Wenna Quill");
        page.getByLabel("Stature").fill("170");
        browser.button("Take in, go on to the screening");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Wenna Quill")))
                .isVisible();
        Assertions.assertThat(page.url()).endsWith("/screening");
    }

    @Test
    public void tapeReadsLiveWithItsUncertaintyAndNamesWhatDisagrees() {
        page.setViewportSize(1280, 800);
        page.navigate(
                server.url(
                        "/clients/demo-waller/measure/bench?motion=hip-internal-rotation&position=seated-90-90-rear&instrument=TAPE"));
        page.getByLabel("Reading at the zero").fill("4");
        page.getByLabel("Trial 1", new Page.GetByLabelOptions().setExact(true)).fill("25");
        assertThat(page.getByText("29.2°").first()).isVisible();
        assertThat(page.getByText(Pattern.compile("± \\d\\.\\d°")).first()).isVisible();
        page.getByLabel("Trial 1", new Page.GetByLabelOptions().setExact(true)).fill("60");
        assertThat(page.getByText("56.0 cm across does not fit 43.0 cm, knee to ankle bone"))
                .isVisible();
        assertThat(page.getByLabel("Trial 1", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("60");
    }

    @Test
    public void aDeclinedDecisionKeepsItsReasonAndLeavesTheQueue() {
        page.setViewportSize(1280, 800);
        page.navigate(server.url("/clients/demo-bell-ringer/advance"));
        assertThat(page.getByText("Step down").first()).isVisible();
        assertThat(page.getByText("Pain 6/10 during the session").first()).isVisible();
        page.keyboard().press("d");
        browser.click(AriaRole.BUTTON, "Decline");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Decline").setExact(true))
                .last()
                .click();
        assertThat(page.getByText("Say why not: the record keeps it.")).isVisible();
        page.getByLabel("Why", new Page.GetByLabelOptions().setExact(true))
                .fill("a fall from the ladder, not the training");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Decline").setExact(true))
                .last()
                .click();
        assertThat(page.getByText("because a fall from the ladder, not the training"))
                .isVisible();
        assertThat(page.getByText("nothing waits")).isVisible();
    }

    @Test
    public void aBrokenFileIsNamedAndTheGoodOneTaken() {
        page.setViewportSize(1280, 800);
        page.navigate(server.url("/studio"));
        var header = "answer_id,session_id,settled,soreness,happened_at,recorded_at\r\n";
        choose("mornings.csv", header + "a1,nothing,perhaps,3,2026-02-01T08:00:00Z,\r\n");
        browser.button("Bring in");
        assertThat(page.getByText("mornings.csv, row 2, column settled")).isVisible();
        var session =
                server.get("/api/today").body().at("/mornings/0/sessionId").asString();
        choose("mornings.csv", header + "a1," + session + ",yes,3,2026-02-28T08:00:00Z,\r\n");
        browser.button("Bring in");
        assertThat(page.getByText("1 rows read, 1 new")).isVisible();
    }

    private void choose(String name, String content) {
        page.getByLabel("Files to bring in")
                .setInputFiles(new FilePayload(name, "text/csv", content.getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    public void theKeysAreOnTheirSheetAndTheThemeStays() {
        page.setViewportSize(1280, 800);
        page.navigate(server.url("/clients/demo-rower"));
        assertThat(page.getByText("What must not be done")).isVisible();
        page.keyboard().press("?");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("stop sign");
        page.keyboard().press("Escape");
        page.keyboard().press("3");
        assertThat(page.getByText("Press goes down")).isVisible();
        browser.button("Dark theme");
        page.reload();
        Assertions.assertThat(page.evaluate("document.documentElement.dataset.theme"))
                .isEqualTo("dark");
        browser.button("Light theme");
    }
}
