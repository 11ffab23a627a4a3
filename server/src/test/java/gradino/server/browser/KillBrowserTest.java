package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Clock;
import com.microsoft.playwright.Page;
import gradino.server.TestServer;
import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The server is killed in the middle of a session: the floor goes on, and after the restart every finished block is there. */
public class KillBrowserTest {
    private final Path data = TestServer.directory();
    private int port;
    private Process process;
    private Browser browser;

    @BeforeClass
    public void start() throws Exception {
        try (var free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        process = server();
        browser = new Browser();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        browser.close();
        process.destroyForcibly();
    }

    /** A process of its own, so that it can be killed as a power cut would. */
    private Process server() throws IOException, InterruptedException {
        var command = Path.of(System.getProperty("java.home"), "bin", "java").toString();
        var started = new ProcessBuilder(
                        command,
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        "gradino.server.GradinoServer",
                        "--gradino.data=" + data,
                        "--gradino.demo=true",
                        "--server.port=" + port)
                .redirectErrorStream(true)
                .start();
        try (var lines = new BufferedReader(new InputStreamReader(started.getInputStream(), StandardCharsets.UTF_8))) {
            for (var line = lines.readLine(); line != null; line = lines.readLine()) {
                if (line.startsWith("Gradino is ready")) {
                    return started;
                }
            }
        }
        throw new IllegalStateException("the server did not start, exit " + started.waitFor());
    }

    private JsonNode get(String path) {
        return TestServer.json((String) browser.page.evaluate("path => fetch(path).then(r => r.text())", path));
    }

    @Test
    public void everyFinishedBlockIsThereAfterAKill() throws Exception {
        var page = browser.page;
        page.clock().install(new Clock.InstallOptions().setTime("2026-03-04T09:00:00"));
        page.navigate("http://localhost:" + port + "/clients/demo-rower/perform");
        browser.button("Joss Arkle, coach");
        browser.button("Open the floor");
        assertThat(page.getByText("Make ready")).isVisible();
        browser.standStill("2026-03-04T09:05:00");
        browser.button("Start");
        browser.run(70);
        assertThat(page.getByText("all kept")).isVisible();
        var session = page.url().substring(page.url().lastIndexOf('/') + 1);

        process.destroyForcibly().waitFor();
        browser.run(120);
        assertThat(page.getByRole(com.microsoft.playwright.options.AriaRole.STATUS))
                .containsText("to send");
        var block = page.getByTestId("now").getAttribute("data-block");

        process = server();
        browser.run(6);
        assertThat(page.getByText("all kept")).isVisible();
        var done = get("/api/sessions/" + session)
                .path("doneBlocks")
                .valueStream()
                .map(JsonNode::asString)
                .toList();
        var timeline = get("/api/sessions/" + session)
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
}
