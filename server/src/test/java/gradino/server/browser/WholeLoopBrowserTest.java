package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Clock;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gradino.server.AnySession;
import gradino.server.Scene;
import gradino.server.TestServer;
import java.time.Duration;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** In the browser: from measuring to the new dose, and a long session with the page's clock driven. */
public class WholeLoopBrowserTest {
    private TestServer server;
    private Scene scene;
    private Browser browser;
    private Page page;

    @BeforeClass
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server).client().measured(36, 30).prescribed().cleanSession("s1");
        browser = new Browser(server);
        page = browser.page;
        browser.listenToTheFloor();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        browser.close();
        server.close();
    }

    @Test
    public void fromMeasuringToTheNewDose() {
        measure();
        runTheSecondSession();
        server.clock.move(Duration.ofDays(1));
        answerTheMorning();
        acceptTheStep();
        page.navigate(server.url("/clients/" + Scene.CLIENT + "/perform"));
        assertThat(page.getByRole(AriaRole.ROW)
                        .filter(new com.microsoft.playwright.Locator.FilterOptions().setHasText("left")))
                .containsText("strap at 31°");
        Assertions.assertThat(Scene.number(scene.line(), "left", "GRADED_SET", "top-hold"))
                .isEqualTo(15);
        Assertions.assertThat(Scene.number(scene.line(), "right", "GRADED_SET", "top-hold"))
                .isEqualTo(10);
    }

    private void measure() {
        page.navigate(server.url("/clients/" + Scene.CLIENT + "/measure/bench"));
        for (var keep : List.of("Save left passive", "Save right passive", "Save left active", "Save right active")) {
            for (int trial = 1; trial <= 3; trial++) {
                page.getByLabel("Trial " + trial, new Page.GetByLabelOptions().setExact(true))
                        .fill(keep.contains("passive") ? "36" : "30");
            }
            assertThat(page.getByText("median of 3")).isVisible();
            browser.button(keep);
            assertThat(page.getByText("Saved: " + keep.substring(5) + " cold.")).isVisible();
        }
        // 36 and two readings of it: the passive estimate stays at 36.
        assertThat(page.getByText(Pattern.compile("^36°$")).first()).isVisible();
    }

    private void runTheSecondSession() {
        page.clock().install(new Clock.InstallOptions().setTime("2026-03-04T09:00:00"));
        page.navigate(server.url("/clients/" + Scene.CLIENT + "/perform"));
        browser.button("Open the floor");
        browser.button("Start");
        var id = page.url().substring(page.url().lastIndexOf('/') + 1);
        for (var phase : server.get("/api/runs/" + id).body().at("/timeline/phases")) {
            rateWhenAsked();
            page.clock().fastForward(1000L * seconds(phase));
        }
        page.clock().resume();
        assertThat(page.getByText("Planned and done")).isVisible();
        assertThat(page.getByText("100 %")).hasCount(2);
        browser.click(AriaRole.RADIO, "coach");
        browser.button("Close");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Closed")))
                .isVisible();
    }

    private static int seconds(JsonNode phase) {
        return phase.path("endSecond").asInt() - phase.path("startSecond").asInt();
    }

    private void rateWhenAsked() {
        var rating =
                page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName("Effort of the set, 0 to 10"));
        if (rating.isVisible() && rating.locator("[aria-checked=true]").count() == 0) {
            rating.getByRole(AriaRole.RADIO).nth(5).click();
        }
    }

    private void answerTheMorning() {
        page.navigate(server.url("/"));
        browser.button("Yes");
        browser.button("Save the answer");
        assertThat(page.getByText("Every session of the week has its next-morning answer"))
                .isVisible();
        assertThat(page.getByText("Waits for your decision")).isVisible();
    }

    private void acceptTheStep() {
        browser.click(AriaRole.LINK, "Decide");
        assertThat(page.getByText("Top hold: 10 s → 15 s").first()).isVisible();
        assertThat(page.getByText("2 clean sessions at this rung")).isVisible();
        page.keyboard().press("a");
        assertThat(page.getByRole(
                        AriaRole.RADIO,
                        new Page.GetByRoleOptions().setName("Left").setExact(true)))
                .isVisible();
    }

    @Test(dependsOnMethods = "fromMeasuringToTheNewDose")
    public void aFortyMinuteProtocolIsRightInEveryPhaseCountAndSide() {
        server.clock.move(Duration.ofDays(3));
        lengthen();
        var phases = scene.open("long").body().at("/timeline/phases");
        int seconds = phases.path(phases.size() - 1).path("endSecond").asInt();
        Assertions.assertThat(seconds).isBetween(39 * 60, 42 * 60);
        // A window of its own: a driven clock replays all its past on every later page of the same window.
        try (var driven = new Browser(server)) {
            runDriven(driven, "long", phases);
        }
    }

    @Test(dependsOnMethods = "aFortyMinuteProtocolIsRightInEveryPhaseCountAndSide")
    public void aSessionOfEveryKindOfBlockIsToo() {
        AnySession.everyBlock(server.me(), "all");
        var opened = server.post("/api/clients/" + Scene.CLIENT + "/sessions/all/runs", "{\"id\":\"every\"}");
        Assertions.assertThat(opened.status()).as(opened.body().toString()).isEqualTo(200);
        try (var driven = new Browser(server)) {
            runDriven(driven, "every", opened.body().at("/timeline/phases"));
        }
    }

    private void runDriven(Browser driven, String session, JsonNode phases) {
        driven.listenToTheFloor();
        driven.page.clock().install(new Clock.InstallOptions().setTime("2026-03-07T09:00:00"));
        driven.page.navigate(server.url("/runs/" + session));
        assertThat(driven.page.getByText("Stop at once with")).isVisible();
        // Only what is driven passes: over half an hour even milliseconds of the machine's own would add up to a phase.
        driven.standStill("2026-03-07T09:05:00");
        driven.button("Start");
        for (var phase : phases) {
            driven.page.clock().fastForward(1000L * seconds(phase));
        }
        var told = (List<?>) driven.page.evaluate("told.phase.map(m => [m.second, m.side, m.kind, m.count].join(' '))");
        var compiled = phases.valueStream()
                .map(p -> "%d %s %s %d"
                        .formatted(
                                p.path("startSecond").asInt(),
                                p.path("side").asString(),
                                p.path("kind").asString(),
                                p.path("count").asInt()))
                .toList();
        Assertions.assertThat(told).isEqualTo(compiled);
        driven.page.clock().resume();
        assertThat(driven.page.getByText("Planned and done")).isVisible();
        assertThat(driven.page.getByText("100 %")).hasCount(2);
    }

    /** Longer rotations, settles and holds until the session takes forty minutes. */
    private void lengthen() {
        var scene = new Scene(server);
        var longer = Scene.with(scene.line(), "CONTROLLED_ROTATION", "repetitions", 20);
        longer = Scene.with(longer, "CONTROLLED_ROTATION", "seconds", 16);
        longer = Scene.with(longer, "GRADED_SET", "settle", 180);
        longer = Scene.with(longer, "GRADED_SET", "pull", 20);
        var answer = scene.keep(longer);
        Assertions.assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    }
}
