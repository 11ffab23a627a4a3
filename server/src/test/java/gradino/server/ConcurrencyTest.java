package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Several devices at once: what is said twice is stored once, and nobody is turned away by a busy database. */
public class ConcurrencyTest {
    private static final int AT_ONCE = 12;
    private TestServer server;
    private Scene scene;

    @BeforeClass
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server).client().measured(36, 30).prescribed();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    /** What comes of calls made at once. */
    static List<TestServer.Answer> atOnce(List<Callable<TestServer.Answer>> calls) throws Exception {
        var pool = Executors.newFixedThreadPool(calls.size());
        try {
            var answers = new ArrayList<TestServer.Answer>();
            for (Future<TestServer.Answer> future : pool.invokeAll(calls)) {
                answers.add(future.get());
            }
            return answers;
        } finally {
            pool.shutdown();
        }
    }

    private int measurements() {
        return server.get("/api/clients/" + Scene.CLIENT + "/measurements")
                .body()
                .size();
    }

    @Test
    public void theSameMeasurementFromManyDevicesIsStoredOnce() throws Exception {
        int before = measurements();
        var one = Scene.measurement("same", "LEFT", "ACTIVE", "29,30,31");
        var calls = IntStream.range(0, AT_ONCE)
                .<Callable<TestServer.Answer>>mapToObj(
                        n -> () -> server.post("/api/clients/" + Scene.CLIENT + "/measurements", one))
                .toList();
        assertThat(atOnce(calls)).extracting(TestServer.Answer::status).containsOnly(200);
        assertThat(measurements()).isEqualTo(before + 1);
    }

    @Test
    public void manyWritersAndReadersAllGetThrough() throws Exception {
        int before = measurements();
        var calls = new ArrayList<Callable<TestServer.Answer>>();
        for (int n = 0; n < AT_ONCE; n++) {
            var one = Scene.measurement("own" + n, "RIGHT", "ACTIVE", "28,29,30");
            calls.add(() -> server.post("/api/clients/" + Scene.CLIENT + "/measurements", one));
            calls.add(() -> server.get("/api/today"));
        }
        assertThat(atOnce(calls)).extracting(TestServer.Answer::status).containsOnly(200);
        assertThat(measurements()).isEqualTo(before + AT_ONCE);
    }

    @Test
    public void aSessionOpenedOnTwoDevicesIsOneSession() throws Exception {
        var calls = IntStream.range(0, 4)
                .<Callable<TestServer.Answer>>mapToObj(n -> () -> scene.open("device" + n))
                .toList();
        var answers = atOnce(calls);
        assertThat(answers).extracting(TestServer.Answer::status).containsOnly(200);
        assertThat(answers.stream().map(a -> a.body().path("id").asString()).distinct())
                .hasSize(1);
        scene.close(answers.get(0).body().path("id").asString());
    }

    @Test(dependsOnMethods = "aSessionOpenedOnTwoDevicesIsOneSession")
    public void theSameDecisionPressedTwiceIsTakenOnce() throws Exception {
        server.clock.move(java.time.Duration.ofDays(2));
        scene.cleanSession("c1").cleanSession("c2");
        var seen = scene.proposal("left").at("/proposal/to");
        var body = "{\"id\":\"once\",\"side\":\"LEFT\",\"answer\":\"ACCEPTED\",\"reason\":\"\",\"seen\":%s}"
                .formatted(seen);
        var calls = IntStream.range(0, 4)
                .<Callable<TestServer.Answer>>mapToObj(
                        n -> () -> server.post("/api/lines/" + Scene.LINE + "/decisions", body))
                .toList();
        assertThat(atOnce(calls)).extracting(TestServer.Answer::status).containsOnly(200);
        var rows =
                new String(server.bytes("/api/exchange/files/decisions.csv"), java.nio.charset.StandardCharsets.UTF_8);
        assertThat(rows.lines().filter(row -> row.startsWith("once,"))).hasSize(1);
    }
}
