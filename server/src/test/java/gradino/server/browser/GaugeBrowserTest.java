package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gradino.server.AnySession;
import gradino.server.Scene;
import gradino.server.TestServer;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.assertj.core.api.Assertions;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.node.ObjectNode;

/** Force gauges on the floor at real speed, the record with its traces, replay, corrections, and a second device. */
public class GaugeBrowserTest {
    private static final int MOST_PRESSES = 40;
    private TestServer server;
    private Browser browser;
    private Page page;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        var scene = new Scene(server).client().measured(36, 30).prescribed();
        longFirstStep();
        for (int i = 1; i <= 4; i++) {
            scene.cleanSession("s" + i);
        }
        var floor = scene.open("s5").body();
        floor.path("references")
                .forEach(r ->
                        reference(r.path("side").asString(), r.path("direction").asString()));
        browser = new Browser(server);
        page = browser.page;
        page.navigate(server.url("/runs/s5"));
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        browser.close();
        server.close();
    }

    /** So that a slow machine sees it too. */
    private void longFirstStep() {
        var scene = new Scene(server);
        var line = scene.line();
        for (var side : new String[] {"left", "right"}) {
            for (var block : line.path(side)) {
                if (block.path("form").asString().equals("GRADED_SET")) {
                    ((ObjectNode) block.at("/steps/0")).put("seconds", 60);
                }
            }
        }
        var answer = scene.keep(line);
        Assertions.assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    }

    /** As three tries would have left it: 100 % is 220 N, which is what the simulated person has. */
    private void reference(String side, String direction) {
        var tries = IntStream.range(0, 3)
                .mapToObj(t -> "{\"millis\":[%s],\"tenths\":[%s]}"
                        .formatted(
                                IntStream.rangeClosed(0, 200)
                                        .mapToObj(i -> "" + (t * 35_000 + 20 * i))
                                        .collect(Collectors.joining(",")),
                                IntStream.rangeClosed(0, 200)
                                        .mapToObj(i -> "2200")
                                        .collect(Collectors.joining(","))))
                .collect(Collectors.joining(","));
        var answer = server.post("/api/runs/s5/references", """
                {"id":"%s-%s","line":"lamplighter-line","side":"%s","direction":"%s","tries":[%s]}
                """.formatted(side, direction, side, direction, tries));
        Assertions.assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    }

    private Locator button(String pattern) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(pattern)));
    }

    private String block() {
        return page.getByTestId("now").getAttribute("data-block");
    }

    private void pressOnTo(String block) {
        for (int i = 0; i < MOST_PRESSES && !block().equals(block); i++) {
            page.keyboard().press("Enter");
        }
        Assertions.assertThat(block()).isEqualTo(block);
    }

    private void connect() {
        browser.button("Connect two force gauges");
        assertThat(page.getByText("Both gauges are there")).isVisible();
        assertThat(page.getByText("100 % is 220 N").first()).isVisible();
        browser.button("Start");
        assertThat(page.getByTestId("digits")).isVisible();
    }

    @Test
    public void thePressIsTracedRecordedCorrectedAndReplayed() {
        connect();
        pressOnTo("l1-left-1-press");
        // The first step of the ramp is lived through at real speed; the person comes up to its 20 %.
        assertThat(page.getByLabel("Force gauges")).containsText(Pattern.compile("Left (1[5-9]|2[0-5]) %"));
        assertThat(page.getByTestId("trace")).hasAttribute("data-second", Pattern.compile("[1-9].*"));
        var second = Double.parseDouble(page.getByTestId("trace").getAttribute("data-second"));
        Assertions.assertThat(second).isPositive();
        page.keyboard().press("Enter");
        browser.button("pull the cable");
        assertThat(page.getByText("Left gauge is out")).isVisible();
        assertThat(page.getByText("rate the effort after the set")).isVisible();
        browser.button("plug it in");
        assertThat(page.getByText("Left gauge is out")).isHidden();
        page.waitForResponse(r -> r.url().endsWith("/traces") && r.status() == 204, () -> pressOnTo("l1-left-1-pull"));

        page.navigate(server.url("/runs/s5/close"));
        assertThat(page.getByText("What the gauges saw")).isVisible();
        assertThat(page.getByText("of the time within 10 points").first()).isVisible();
        var trace = server.get("/api/runs/s5/traces").body().path(0);
        Assertions.assertThat(trace.path("blockId").asString()).isEqualTo("l1-left-1-press");
        Assertions.assertThat(trace.at("/analysis/steps").size()).isGreaterThan(1);

        page.getByText("Block by block, and corrections").click();
        page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("left set 1 press"))
                .getByRole(AriaRole.BUTTON)
                .click();
        page.getByLabel("Effort, 0 to 10").fill("4");
        page.getByLabel("Note").last().fill("was hardly pressed");
        browser.button("Save the correction");
        assertThat(page.getByText("effort 4")).isVisible();
        var record = server.get("/api/runs/s5/blocks")
                .body()
                .valueStream()
                .filter(b -> b.path("blockId").asString().equals("l1-left-1-press"))
                .findFirst()
                .orElseThrow();
        Assertions.assertThat(record.path("effortRating").asInt()).isEqualTo(4);
        Assertions.assertThat(record.path("note").asString()).isEqualTo("was hardly pressed");

        page.navigate(server.url("/runs/s5/replay"));
        page.getByText("8×").click();
        browser.button("Play");
        assertThat(button("From the start")).isVisible();
    }

    /** Nobody taps: the invented person lifts, lets down, and the count goes on by what the gauge saw. */
    @Test
    public void liftOffsAreCountedByTheGauge() {
        AnySession.everyBlock(server.me(), "all");
        var floor = server.post("/api/clients/" + Scene.CLIENT + "/sessions/all/runs", "{\"id\":\"lifts\"}")
                .body();
        Assertions.assertThat(floor.path("id").asString()).isEqualTo("lifts");
        page.navigate(server.url("/runs/lifts"));
        browser.button("Connect two force gauges");
        assertThat(page.getByText("Both gauges are there")).isVisible();
        browser.button("Start");
        for (int i = 0; i < 150 && !block().contains("lift-off"); i++) {
            page.keyboard().press("Enter");
        }
        var now = page.getByTestId("now");
        var first = now.getAttribute("data-second");
        assertThat(now).not().hasAttribute("data-second", first);
        assertThat(now).containsText(Pattern.compile("[2-9] of \\d+"));
    }

    @Test
    public void aSecondDeviceIsToldOf() {
        var second = browser.context.newPage();
        second.navigate(server.url("/runs/s5"));
        assertThat(second.getByText("open on another device too")).isVisible();
        second.close();
    }

    @Test
    public void loadedAnewItIsTheSameDevice() {
        assertThat(page.getByText("Make ready")).isVisible();
        page.waitForResponse(r -> r.url().contains("/devices/"), () -> page.reload());
        assertThat(page.getByText("Make ready")).isVisible();
        assertThat(page.getByText("open on another device too")).isHidden();
    }

    @Test
    public void aColdReadingIsKeptBeforeTheStart() {
        page.getByText("Measure cold first").click();
        page.getByLabel("Left, cold").fill("37");
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("cold reading"))
                .getByRole(AriaRole.BUTTON)
                .first()
                .click();
        assertThat(page.getByText("37° cold, saved")).isVisible();
        var last = server.get("/api/clients/" + Scene.CLIENT + "/measurements").body();
        Assertions.assertThat(last.valueStream()
                        .filter(m -> m.path("note").asString().equals("before the work"))
                        .map(m -> m.path("warmth").asString()))
                .containsExactly("COLD");
    }
}
