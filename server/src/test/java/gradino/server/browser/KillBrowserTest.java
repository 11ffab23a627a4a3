package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Clock;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gradino.server.ServerProcess;
import gradino.server.TestServer;
import java.io.File;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The server is killed in the middle of a session: the floor goes on, and after the restart every finished block is there. */
public class KillBrowserTest {
    /** Each takes a start of a browser: 20 in the long form of the test command. */
    private static final int KILLS = Integer.getInteger("gradino.kills", 3);

    /** Fewer than a session has blocks. */
    private static final int MOST_KILLS_A_SESSION = 10;

    private static final int MOST_PRESSES = 40;

    private ServerProcess server;
    private Browser browser;

    @BeforeClass
    public void start() throws Exception {
        server = new ServerProcess(TestServer.demoDirectory());
        browser = new Browser();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        browser.close();
        server.close();
    }

    private JsonNode get(String path) {
        return TestServer.json((String) browser.page.evaluate("path => fetch(path).then(r => r.text())", path));
    }

    @Test
    public void everyFinishedBlockIsThereAfterAKill() throws Exception {
        var page = browser.page;
        page.clock().install(new Clock.InstallOptions().setTime("2026-03-04T09:00:00"));
        page.navigate("http://localhost:" + server.port + "/clients/demo-rower/perform");
        browser.button("Joss Arkle, coach");
        browser.button("Open the floor");
        assertThat(page.getByText("Make ready")).isVisible();
        browser.standStill("2026-03-04T09:05:00");
        browser.button("Start");
        browser.run(70);
        assertThat(page.getByText("all saved")).isVisible();
        var session = page.url().substring(page.url().lastIndexOf('/') + 1);

        server.kill();
        browser.run(120);
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("to send");
        var block = page.getByTestId("now").getAttribute("data-block");

        server.startAgain();
        browser.run(6);
        assertThat(page.getByText("all saved")).isVisible();
        var done = get("/api/runs/" + session)
                .path("doneBlocks")
                .valueStream()
                .map(JsonNode::asString)
                .toList();
        var timeline = get("/api/runs/" + session)
                .at("/timeline/phases")
                .valueStream()
                .map(p -> p.path("blockId").asString())
                .distinct()
                .filter(id -> !id.endsWith("set-up"))
                .toList();
        Assertions.assertThat(done).isEqualTo(timeline.subList(0, timeline.indexOf(block)));
        resumesWhereItStopped(page, session, done);
    }

    private void resumesWhereItStopped(Page page, String session, List<String> done) {
        page.clock().resume();
        page.reload();
        assertThat(page.getByText("Resume where it stopped")).isVisible();
        browser.button("Go on");
        Assertions.assertThat(done).doesNotContain(page.getByTestId("now").getAttribute("data-block"));
        Assertions.assertThat(page.url()).endsWith(session).doesNotContain(File.separator + "close");
    }

    /**
     * The browser is killed, not closed, in the moment in which it begins to send a block, and opened anew on the same profile:
     * a block is on the device before it goes out.
     */
    @Test(dependsOnMethods = "everyFinishedBlockIsThereAfterAKill")
    public void everyFinishedBlockIsThereAfterKillsOfTheBrowser() throws Exception {
        int kills = KILLS;
        for (var client : List.of("demo-rower", "demo-bell-ringer")) {
            kill(client, Math.min(kills, MOST_KILLS_A_SESSION));
            kills -= Math.min(kills, MOST_KILLS_A_SESSION);
        }
        Assertions.assertThat(kills).isZero();
    }

    private void kill(String client, int kills) throws Exception {
        var profile = TestServer.directory();
        var session = "";
        var finished = new LinkedHashSet<String>();
        for (int kill = 0; kill < kills; kill++) {
            try (var tablet = KilledBrowser.open(profile)) {
                var page = tablet.page();
                toTheFloor(page, "/clients/" + client + "/perform");
                session = page.url().substring(page.url().lastIndexOf('/') + 1);
                page.waitForRequest(r -> r.url().endsWith("/blocks"), () -> finished.add(finishOne(page)));
                tablet.kill();
            }
        }
        Assertions.assertThat(finished).hasSize(kills);
        if (kills > 0) {
            allAreThere(profile, session, finished);
        }
    }

    /** From what the device remembers one may be as far as the first buttons before the door says that nobody is known any more. */
    private void toTheFloor(Page page, String path) {
        var start = page.getByRole(AriaRole.BUTTON, named("^(Start|Go on)$"));
        var digits = page.getByTestId("digits");
        for (int tries = 0; tries < 2; tries++) {
            enter(page, path);
            page.getByRole(AriaRole.BUTTON, named("Open the floor|Continue the open session"))
                    .first()
                    .click();
            start.or(door(page)).first().waitFor();
            if (start.isVisible()) {
                start.click();
                digits.or(door(page)).first().waitFor();
            }
            if (digits.isVisible()) {
                return;
            }
        }
        throw new IllegalStateException("nobody is known, however often they sign in");
    }

    private static Locator door(Page page) {
        return page.getByRole(AriaRole.BUTTON, named("Maren Coyle, owner"));
    }

    private void allAreThere(Path profile, String session, Set<String> finished) {
        try (var tablet = KilledBrowser.open(profile)) {
            var page = tablet.page();
            enter(page, "/runs/" + session);
            assertThat(page.getByText("Resume where it stopped")).isVisible();
            assertThat(page.getByText("all saved")).isVisible();
            var floor = TestServer.json(
                    (String) page.evaluate("path => fetch(path).then(r => r.text())", "/api/runs/" + session));
            var done = floor.path("doneBlocks")
                    .valueStream()
                    .map(JsonNode::asString)
                    .toList();
            Assertions.assertThat(done).doesNotHaveDuplicates().containsAll(finished);
        }
    }

    /** What a browser has of its cookies may be younger than what it has on disk: who is not known any more signs in anew. */
    private void enter(Page page, String path) {
        page.navigate("http://localhost:" + server.port + path);
        door(page)
                .or(page.getByRole(AriaRole.BUTTON, named("floor|session|Start|Go on"))
                        .first())
                .first()
                .waitFor();
        if (door(page).isVisible()) {
            door(page).click();
        }
    }

    private static Page.GetByRoleOptions named(String pattern) {
        return new Page.GetByRoleOptions().setName(Pattern.compile(pattern));
    }

    /** Presses on until a block has ended, and says which. */
    private static String finishOne(Page page) {
        var now = page.getByTestId("now");
        for (int i = 0; i < MOST_PRESSES; i++) {
            var block = now.getAttribute("data-block");
            page.keyboard().press("Enter");
            if (!block.matches(".*(set-up|side-change).*")
                    && !now.getAttribute("data-block").equals(block)) {
                return block;
            }
        }
        throw new IllegalStateException("no block has ended");
    }
}
