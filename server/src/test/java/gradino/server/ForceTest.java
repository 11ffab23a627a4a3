package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.http.HttpResponse.BodyHandlers;
import java.util.function.IntUnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What 100 % is, and what gauges gave over each block: checked, kept once, computed by core. */
public class ForceTest {
    private static final int HERTZ = 50;
    private TestServer server;
    private Scene scene;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server).client().measured(36, 30).prescribed();
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        server.close();
    }

    /** No newcomer any more: the fifth session. */
    private JsonNode fifth() {
        for (int i = 1; i <= 4; i++) {
            scene.cleanSession("s" + i);
        }
        return scene.open("s5").body();
    }

    private static String samples(int fromMillis, int count, IntUnaryOperator tenths) {
        var times = IntStream.range(0, count).mapToObj(i -> "" + (fromMillis + 1000 * i / HERTZ));
        var forces = IntStream.range(0, count).mapToObj(i -> "" + tenths.applyAsInt(i));
        return "{\"millis\":[%s],\"tenths\":[%s]}"
                .formatted(times.collect(Collectors.joining(",")), forces.collect(Collectors.joining(",")));
    }

    private TestServer.Answer reference(String side, String direction, int restMillis) {
        var tries = IntStream.range(0, 3)
                .mapToObj(i -> samples(i * (4000 + restMillis), 4 * HERTZ + 1, n -> n < 40 ? 1000 : 2000))
                .collect(Collectors.joining(","));
        return server.post("/api/runs/s5/references", """
                {"id":"ref-%s-%s","line":"lamplighter-line","side":"%s","direction":"%s","tries":[%s]}
                """.formatted(side, direction, side, direction, tries));
    }

    private static JsonNode referenceOf(JsonNode floor, String side, String direction) {
        return floor.path("references")
                .valueStream()
                .filter(r -> r.path("side").asString().equals(side))
                .filter(r -> r.path("direction").asString().equals(direction))
                .findFirst()
                .orElseThrow();
    }

    /** The first press of a floor, and a trace that keeps to it but for what is added. */
    private static String press(JsonNode floor, String id, String samples) {
        var phases = pressOf(floor).toList();
        var seconds = phases.stream()
                .map(p -> ""
                        + (p.path("endSecond").asInt() - p.path("startSecond").asInt()))
                .collect(Collectors.joining(","));
        return """
                {"id":"%s","blockId":"%s","side":"LEFT","phaseSeconds":[%s],"samples":%s}
                """.formatted(id, phases.get(0).path("blockId").asString(), seconds, samples);
    }

    private static java.util.stream.Stream<JsonNode> pressOf(JsonNode floor) {
        var id = floor.at("/timeline/phases")
                .valueStream()
                .filter(p -> p.path("block").asString().equals("PRESS"))
                .filter(p -> p.path("side").asString().equals("LEFT"))
                .findFirst()
                .orElseThrow()
                .path("blockId")
                .asString();
        return floor.at("/timeline/phases")
                .valueStream()
                .filter(p -> p.path("blockId").asString().equals(id));
    }

    /** Tenths of a newton asked at a sample, when 100 % is 200 N. */
    private static IntUnaryOperator asked(JsonNode floor) {
        var phases = pressOf(floor).toList();
        int start = phases.get(0).path("startSecond").asInt();
        return i -> phases.stream()
                .filter(p -> (double) i / HERTZ < p.path("endSecond").asInt() - start)
                .findFirst()
                .map(p -> p.path("effortTo").asInt() * 20)
                .orElse(0);
    }

    @Test
    public void aNewcomerIsNotAskedForAllTheirStrengthAndTheFloorSaysSo() {
        var floor = scene.open("s5").body();
        assertThat(referenceOf(floor, "LEFT", "PRESS").path("allowed").asBoolean())
                .isFalse();
        assertThat(referenceOf(floor, "LEFT", "PRESS").path("why").asString()).contains("New to this motion");
        assertThat(reference("LEFT", "PRESS", 31_000).codes()).containsExactly("newcomer");
    }

    @Test
    public void threeTriesMakeAReferenceAndTheTraceIsHeldAgainstIt() {
        var floor = fifth();
        assertThat(reference("LEFT", "PRESS", 20_000).codes()).contains("try-rest");
        var known = reference("LEFT", "PRESS", 31_000);
        assertThat(known.status()).as(known.body().toString()).isEqualTo(200);
        assertThat(known.body().path("newtons").asDouble()).isCloseTo(200, within(1e-6));
        assertThat(reference("LEFT", "PRESS", 31_000).status()).isEqualTo(200);
        new Scene(server).close("s5");
        var load = server.get("/api/runs/s5/summary").body().path("load");
        assertThat(load.path("referenceMinutes").asDouble()).isPositive();
        assertThat(load.path("minutes").asDouble())
                .isEqualTo(load.path("referenceMinutes").asDouble());

        var asked = asked(floor);
        int seconds = pressOf(floor)
                .mapToInt(
                        p -> p.path("endSecond").asInt() - p.path("startSecond").asInt())
                .sum();
        var trace = press(floor, "t1", samples(0, seconds * HERTZ, i -> asked.applyAsInt(i) + 80));
        for (int i = 0; i < 5; i++) {
            assertThat(server.post("/api/runs/s5/traces", trace).status()).isEqualTo(204);
        }
        var traces = server.get("/api/runs/s5/traces").body();
        assertThat(traces.size()).isEqualTo(1);
        // 8 N over at 100 % = 200 N is 4 points.
        assertThat(traces.at("/0/analysis/rmse").asDouble()).isCloseTo(4, within(1e-6));
        assertThat(traces.at("/0/analysis/within").asDouble()).isEqualTo(1);
        assertThat(traces.at("/0/points").size()).isBetween(100, 600);
    }

    @Test
    public void theGaugeSeesWhatTheRatingDoesNotSay() {
        var floor = fifth();
        reference("LEFT", "PRESS", 31_000);
        scene.doAll(floor);
        int seconds = pressOf(floor)
                .mapToInt(
                        p -> p.path("endSecond").asInt() - p.path("startSecond").asInt())
                .sum();
        var half = asked(floor);
        server.post(
                "/api/runs/s5/traces", press(floor, "t1", samples(0, seconds * HERTZ, i -> half.applyAsInt(i) / 2)));
        scene.close("s5");
        server.clock.move(java.time.Duration.ofHours(20));
        scene.morning("s5");
        server.clock.move(java.time.Duration.ofHours(28));
        assertThat(scene.proposal("left").toString()).contains("The gauge saw the effort on target");
        assertThat(scene.proposal("left").at("/proposal/verdict").asString()).isEqualTo("STAY");
        assertThat(scene.proposal("right").toString()).doesNotContain("The gauge saw");
    }

    @Test
    public void referencesAndTracesGoOutAndComeInAgain() throws Exception {
        var floor = fifth();
        reference("LEFT", "PRESS", 31_000);
        server.post("/api/runs/s5/traces", press(floor, "t1", samples(0, 900, i -> 700 + i % 7)));
        var out = server.me()
                .send(server.me().request("/api/exchange/gradino.zip"), BodyHandlers.ofByteArray())
                .body();
        try (var other = TestServer.empty()) {
            other.clock.move(java.time.Duration.ofDays(10));
            var came = other.me().upload("gradino.zip", out);
            assertThat(came.status()).as(came.body().toString()).isEqualTo(200);
            var traces = other.get("/api/runs/s5/traces").body();
            assertThat(traces).isEqualTo(server.get("/api/runs/s5/traces").body());
            assertThat(traces.at("/0/analysis/rmse").asDouble()).isPositive();
            assertThat(referenceOf(other.get("/api/runs/s5").body(), "LEFT", "PRESS")
                            .path("newtons")
                            .asDouble())
                    .isCloseTo(200, within(1e-6));
        }
    }

    @Test
    public void withoutAReferenceTheForceIsKeptAndNothingIsSaidInPercent() {
        var floor = fifth();
        assertThat(server.post("/api/runs/s5/traces", press(floor, "t1", samples(0, 500, i -> 900)))
                        .status())
                .isEqualTo(204);
        var traces = server.get("/api/runs/s5/traces").body();
        assertThat(traces.at("/0/analysis").isMissingNode()).isTrue();
        assertThat(traces.at("/0/points/0/newtons").asDouble()).isCloseTo(90, within(1e-9));
    }

    @Test
    public void aReferenceIsVoidAfterFourWeeks() {
        fifth();
        reference("LEFT", "PRESS", 31_000);
        server.clock.move(java.time.Duration.ofDays(29));
        server.me().signIn("hollis", TestServer.PASSWORD);
        var floor = server.get("/api/runs/s5").body();
        assertThat(referenceOf(floor, "LEFT", "PRESS").has("newtons")).isFalse();
        assertThat(referenceOf(floor, "LEFT", "PRESS").path("why").asString()).contains("29 days");
    }

    @DataProvider
    public Object[][] badTraces() {
        return new Object[][] {
            {"{\"millis\":[0,20,10],\"tenths\":[1,2,3]}", "time-backwards"},
            {"{\"millis\":[0,1,2,3],\"tenths\":[1,2,3,4]}", "too-fast"},
            {"{\"millis\":[0,20],\"tenths\":[1,90000]}", "not-a-number"},
            {"{\"millis\":[0],\"tenths\":[1]}", "too-few"},
        };
    }

    @Test(dataProvider = "badTraces")
    public void aTraceThatCannotBeIsSaidAndNotKept(String samples, String code) {
        var floor = scene.open("s5").body();
        assertThat(server.post("/api/runs/s5/traces", press(floor, "t", samples))
                        .codes())
                .containsExactly(code);
        assertThat(server.post("/api/runs/s5/traces", press(floor, "t", "{\"millis\":[0,20],\"tenths\":[1]}"))
                        .status())
                .isEqualTo(422);
        assertThat(server.post("/api/runs/s5/traces", press(floor, "t", "{\"millis\":[0,20],\"tenths\":[\"NaN\",1]}"))
                        .status())
                .isIn(400, 422);
        assertThat(server.get("/api/runs/s5/traces").body().size()).isZero();
    }
}
