package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gradino.server.exchange.ExportService;
import gradino.server.platform.Heavy;
import gradino.server.platform.Problem;
import java.io.ByteArrayOutputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** What takes long: in its turn, seen, and ended when somebody asks for that. */
public class LongWorkTest {
    private TestServer server;

    @BeforeClass
    public void start() {
        server = TestServer.demo();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    @Test
    public void itIsSeenAndEndedThroughTheApi() throws Exception {
        var heavy = server.bean(Heavy.class);
        var who = server.get("/api/sign-in").body().at("/me/id").asString();
        var begun = new CountDownLatch(1);
        var asked = new CountDownLatch(1);
        var pool = Executors.newSingleThreadExecutor();
        try {
            Future<Integer> work = pool.submit(() -> heavy.run(who, "test", w -> {
                w.step(3, 10);
                begun.countDown();
                await(asked);
                w.step(4, 10);
                return 1;
            }));
            await(begun);
            assertThat(server.get("/api/me/work").body().toString())
                    .isEqualTo("[{\"name\":\"test\",\"done\":3,\"of\":10}]");
            assertThat(server.me().delete("/api/me/work?name=another").status()).isEqualTo(204);
            assertThat(server.get("/api/me/work").body()).hasSize(1);
            assertThat(server.me().delete("/api/me/work?name=test").status()).isEqualTo(204);
            asked.countDown();
            assertThatThrownBy(work::get).hasCauseInstanceOf(Problem.class);
            assertThat(server.get("/api/me/work").body()).isEmpty();
        } finally {
            pool.shutdownNow();
        }
    }

    /** What waits for its turn is seen as well, and ended without having begun. */
    @Test
    public void itMayBeEndedWhileItWaits() throws Exception {
        var heavy = server.bean(Heavy.class);
        int places = Math.max(1, Runtime.getRuntime().availableProcessors() - 1);
        var all = new CountDownLatch(places);
        var over = new CountDownLatch(1);
        var pool = Executors.newCachedThreadPool();
        try {
            for (int n = 0; n < places; n++) {
                var other = "other-" + n;
                pool.submit(() -> heavy.run(other, "test", w -> {
                    all.countDown();
                    await(over);
                    return 1;
                }));
            }
            await(all);
            Future<Integer> waiting = pool.submit(() -> heavy.run("waits", "test", w -> 2));
            while (heavy.of("waits").isEmpty()) {
                Thread.onSpinWait();
            }
            heavy.end("waits", "test");
            assertThatThrownBy(waiting::get).hasCauseInstanceOf(Problem.class);
        } finally {
            over.countDown();
            pool.shutdownNow();
        }
    }

    /** An archive is told table by table to whoever made it, and ends in the middle of one; the next begins anew. */
    @Test
    public void anArchiveIsSeenAndEnded() throws Exception {
        var heavy = server.bean(Heavy.class);
        var exports = server.bean(ExportService.class);
        var seen = new ArrayList<Heavy.Standing>();
        var ended = new OutputStream() {
            @Override
            public void write(int b) {
                seen.addAll(heavy.of("archivist"));
                if (seen.get(seen.size() - 1).done() > 2) {
                    heavy.end("archivist", "archive");
                }
            }
        };
        assertThatThrownBy(() -> exports.zip("archivist", ended)).isInstanceOf(Problem.class);
        assertThat(seen).extracting(Heavy.Standing::done).isSorted().endsWith(3);
        assertThat(heavy.of("archivist")).isEmpty();
        var whole = new ByteArrayOutputStream();
        exports.zip("archivist", whole);
        assertThat(whole.size()).isGreaterThan(seen.size());
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Twenty at once: each is answered, and each as if it were alone. */
    @Test
    public void manyAtOnceAreAllWorkedOut() throws Exception {
        var copied = server.me()
                .put(
                        "/api/policies/careful",
                        "{\"name\":\"Careful\",\"note\":\"\",\"values\":{\"SESSIONS_NEEDED\":3}}");
        assertThat(copied.status()).as(copied.body().toString()).isEqualTo(200);
        var alone = server.get("/api/backtests/careful").body();
        assertThat(alone.path("states").asInt()).isPositive();
        var pool = Executors.newFixedThreadPool(6);
        try {
            var callers = List.of(server.me(), server.visitor(), server.visitor());
            callers.get(1).signIn("maren", "lantern quay studio");
            callers.get(2).signIn("maren", "lantern quay studio");
            var answers = callers.stream()
                    .map(c -> pool.submit(() -> c.get("/api/backtests/careful")))
                    .toList();
            int good = 0;
            for (var answer : answers) {
                var got = answer.get();
                assertThat(got.status()).isIn(200, 409);
                if (got.status() == 200) {
                    good++;
                    assertThat(got.body()).isEqualTo(alone);
                }
            }
            assertThat(good).isPositive();
        } finally {
            pool.shutdownNow();
        }
    }
}
