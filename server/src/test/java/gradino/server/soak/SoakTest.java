package gradino.server.soak;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.management.UnixOperatingSystemMXBean;
import gradino.server.Scene;
import gradino.server.TestServer;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * A studio that works for more than a year without a restart: what the process holds does not grow with what was done in it. It
 * ends by itself after so many sessions, asks its own server only, and looks at what is held, never at how long anything took.
 */
public class SoakTest {
    private static final int SESSIONS = 240;
    private static final int EVERY = 40;
    private static final int MEASURED_EVERY = 5;
    private static final long MEGABYTE = 1 << 20;
    /** What a year of one client's sessions may come to, folded and kept. */
    private static final long MOST_MORE_MEGABYTES = 48;

    private static final long MOST_MORE = 10;
    private static final String CLIENT = "/api/clients/" + Scene.CLIENT;
    private static final List<String> PAGES = List.of(
            "/api/today",
            "/api/decisions",
            "/api/clients",
            "/api/library",
            CLIENT,
            CLIENT + "/day",
            CLIENT + "/lines",
            CLIENT + "/sessions",
            CLIENT + "/runs",
            CLIENT + "/ranges",
            CLIENT + "/load");

    private TestServer server;
    private Scene scene;

    /** What a process runs out of. */
    private record Held(long files, long threads, long megabytes) {
        static Held now() {
            System.gc();
            var system = (UnixOperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();
            var heap = ManagementFactory.getMemoryMXBean().getHeapMemoryUsage();
            return new Held(
                    system.getOpenFileDescriptorCount(),
                    ManagementFactory.getThreadMXBean().getThreadCount(),
                    heap.getUsed() / MEGABYTE);
        }
    }

    @BeforeClass
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server).client().measured(36, 30).prescribed();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    @Test
    public void aYearOfSessionsLeavesNothingBehindInTheProcess() {
        var held = new ArrayList<Held>();
        for (int n = 1; n <= SESSIONS; n++) {
            work(n);
            if (n % EVERY == 0) {
                held.add(Held.now());
            }
        }
        // The first stretch fills caches and pools.
        var first = held.get(0);
        var last = held.get(held.size() - 1);
        assertThat(last.files()).as(held.toString()).isLessThanOrEqualTo(first.files() + MOST_MORE);
        assertThat(last.threads()).as(held.toString()).isLessThanOrEqualTo(first.threads() + MOST_MORE);
        assertThat(last.megabytes()).as(held.toString()).isLessThanOrEqualTo(first.megabytes() + MOST_MORE_MEGABYTES);
    }

    private void work(int n) {
        if (n % MEASURED_EVERY == 0) {
            signIn();
            scene.measured(36, 30);
        }
        scene.cleanSession("s" + n);
        for (var page : PAGES) {
            var answer = server.get(page);
            assertThat(answer.status()).as(page + answer.body()).isEqualTo(200);
        }
        var preview = server.post(
                CLIENT + "/score/preview",
                server.get(CLIENT + "/sessions").body().get(0).path("draft").toString());
        assertThat(preview.status()).as(preview.body().toString()).isEqualTo(200);
        if (n % EVERY == 0) {
            var files = server.upload("runs.csv", server.bytes("/api/exchange/files/runs.csv"));
            assertThat(files.status()).as(files.body().toString()).isEqualTo(200);
            assertThat(new String(server.bytes("/api/exchange/files/blocks.csv"), StandardCharsets.UTF_8))
                    .contains("s" + n);
        }
    }

    /** Nobody stays signed in for a year. */
    private void signIn() {
        var answer = server.post(
                "/api/sign-in", "{\"signIn\":\"hollis\",\"password\":\"%s\"}".formatted(TestServer.PASSWORD));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    }
}
