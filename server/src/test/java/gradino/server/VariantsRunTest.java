package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What may be done instead of the plan is kept with the session, logged under its own name, and sent again without harm. */
public class VariantsRunTest {
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

    private static List<JsonNode> variants(JsonNode floor, String kind) {
        return floor.path("variants")
                .valueStream()
                .filter(v -> v.path("kind").asString().equals(kind))
                .toList();
    }

    private static int top(JsonNode phases) {
        return phases.valueStream()
                .mapToInt(p -> p.path("effortTo").asInt())
                .max()
                .orElse(0);
    }

    /** A block of a variant, all of it done. */
    private TestServer.Answer done(String record, JsonNode variant, int seconds) {
        var phases = variant.path("phases");
        var blockId = phases.path(0).path("blockId").asString();
        var rows = phases.valueStream()
                .filter(p -> p.path("blockId").asString().equals(blockId))
                .map(p -> "{\"kind\":\"%s\",\"plannedSeconds\":%d,\"doneSeconds\":%d}"
                        .formatted(
                                p.path("kind").asString(),
                                p.path("endSecond").asInt()
                                        - p.path("startSecond").asInt(),
                                seconds))
                .collect(Collectors.joining(","));
        return server.post("/api/runs/s/blocks", Scene.block(record, blockId, phases.path(0), "", rows));
    }

    @Test
    public void anEasierVersionAndAnExtraSetAreThereOnceForEachSideAndStayAsTheyWereOpened() {
        var floor = scene.open("s").body();
        assertThat(variants(floor, "EXTRA_SET")).hasSize(2);
        var press = variants(floor, "EASIER").stream()
                .filter(v -> v.path("blockId").asString().equals("l1-left-1-press"))
                .findFirst()
                .orElseThrow();
        var planned = floor.at("/timeline/phases")
                .valueStream()
                .filter(p -> p.path("blockId").asString().equals("l1-left-1-press"))
                .mapToInt(p -> p.path("effortTo").asInt())
                .max()
                .orElseThrow();
        assertThat(top(press.path("phases"))).isEqualTo(planned - 20);
        scene.restrict("cap", "EFFORT_CAP", 30);
        assertThat(server.get("/api/runs/s").body().path("variants")).isEqualTo(floor.path("variants"));
    }

    @Test
    public void theSameBlockPostedFiveTimesIsStoredOnceAndAnotherSessionsBlockIsRefused() {
        var floor = scene.open("s").body();
        var extra = variants(floor, "EXTRA_SET").get(0);
        for (int i = 0; i < 5; i++) {
            assertThat(done("again", extra, 5).status()).isEqualTo(204);
        }
        var csv = new String(
                server.me()
                        .send(
                                server.me().request("/api/exchange/files/blocks.csv"),
                                java.net.http.HttpResponse.BodyHandlers.ofByteArray())
                        .body(),
                java.nio.charset.StandardCharsets.UTF_8);
        assertThat(csv.lines().filter(line -> line.startsWith("again,"))).hasSize(1);
        var unknown = Scene.block("x", "l1-left-9-press", extra.path("phases").path(0), "", "");
        assertThat(server.post("/api/runs/s/blocks", unknown).codes()).containsExactly("unknown-block");
    }

    /** The closing sheet counts what was done besides the plan, and names what was left of it. */
    @Test
    public void theSheetTellsTheEasierVersionFromThePlannedOne() {
        var floor = scene.open("s").body();
        var easier = variants(floor, "EASIER").stream()
                .filter(v -> v.path("blockId").asString().equals("l1-left-1-press"))
                .findFirst()
                .orElseThrow();
        done("e", easier, 5);
        var blocks = server.get("/api/runs/s/blocks").body();
        assertThat(blocks.at("/0/blockId").asString()).isEqualTo("l1-left-1-press-easier");
        var summary = server.get("/api/runs/s/summary").body();
        assertThat(summary.at("/sides/left/left").valueStream().map(JsonNode::asString))
                .contains("set 1 press: not done")
                .noneMatch(left -> left.contains("easier"));
        // Done besides the plan: told by its kind, counted neither for nor against what was planned.
        assertThat(summary.at("/sides/left/done").asDouble()).isZero();
        var press = summary.path("rows")
                .valueStream()
                .filter(r -> r.path("kind").asString().equals("PRESS"))
                .findFirst()
                .orElseThrow();
        assertThat(press.at("/done/left").asDouble()).isPositive();
        assertThat(press.at("/planned/left").asDouble())
                .isEqualTo(press.at("/planned/right").asDouble());
    }

    /** Times of day are the server's: a block says how long, never when. */
    @Test
    public void theClockOfTheDeviceSaysNothingOfTheDay() {
        var floor = scene.open("s").body();
        server.clock.move(java.time.Duration.ofHours(1));
        done("late", variants(floor, "EXTRA_SET").get(0), 5);
        var closed = scene.close("s");
        assertThat(java.time.Instant.parse(closed.at("/closed/happenedAt").asString()))
                .isEqualTo(server.clock.instant());
    }

    /** All of the plan done and half of an extra set is all of the plan. */
    @Test
    public void anExtraSetThatWasLeftInTheMiddleTakesNothingFromTheDoneRatio() {
        var floor = scene.open("s").body();
        scene.doAll(floor);
        done("half", variants(floor, "EXTRA_SET").get(0), 1);
        var closed = scene.close("s");
        assertThat(closed.at("/sides/left/ratio").asDouble()).isEqualTo(1);
        assertThat(closed.at("/sides/right/ratio").asDouble()).isEqualTo(1);
        assertThat(closed.at("/sides/left/lowestPhase").asDouble()).isEqualTo(1);
    }

    /** A block that comes in after the session was closed is kept, and the sheet reads it. */
    @Test
    public void aLateBlockCorrectsWhatWasCountedAsNotDone() {
        var floor = scene.open("s").body();
        var first = floor.at("/timeline/phases")
                .valueStream()
                .filter(p -> p.path("block").asString().equals("SUPPORTED_HOLD"))
                .findFirst()
                .orElseThrow();
        var before = scene.close("s");
        var id = first.path("blockId").asString();
        assertThat(before.toString()).contains("supported hold: not done");
        int seconds =
                first.path("endSecond").asInt() - first.path("startSecond").asInt();
        var rows = "{\"kind\":\"%s\",\"plannedSeconds\":%d,\"doneSeconds\":%d}"
                .formatted(first.path("kind").asString(), seconds, seconds);
        assertThat(server.post("/api/runs/s/blocks", Scene.block("late", id, first, "", rows))
                        .status())
                .isEqualTo(204);
        assertThat(server.get("/api/runs/s/summary")
                        .body()
                        .at("/sides/" + id.split("-")[1] + "/left")
                        .toString())
                .doesNotContain("supported hold: not done");
    }
}
