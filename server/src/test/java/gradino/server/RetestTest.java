package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A movement that is tested in a session: before its first work it is cold, after it warm. */
public class RetestTest {
    private static final String BLOCK = """
            {"form":"MOVEMENT_RETEST","numbers":{"seconds":30},"words":{"movement":"%s","told":"%s"},"steps":[],"blocks":[]}
            """;
    private static final String HOLD = """
            {"form":"SUPPORTED_HOLD","numbers":{"seconds":30},"words":{},"steps":[],"blocks":[]}
            """;

    private TestServer server;

    @BeforeMethod
    public void open() {
        server = TestServer.empty();
        var scene = new Scene(server).client().measured(36, 30);
        var line = (tools.jackson.databind.node.ObjectNode)
                scene.suggestedLine("hip-internal-rotation", "prone-knee-bent", "ramp-both-ways");
        line.put("sides", "LEFT").putArray("right");
        line.putRawValue(
                "left",
                new tools.jackson.databind.util.RawValue("[" + BLOCK.formatted("deep squat", "grade") + "," + HOLD + ","
                        + BLOCK.formatted("kick height", "length") + "]"));
        scene.eveningOf(line);
        assertThat(server.post(Scene.EVENING + "/runs", "{\"id\":\"r1\"}").status())
                .isEqualTo(200);
    }

    @AfterMethod(alwaysRun = true)
    public void close() {
        server.close();
    }

    private JsonNode block(String cue) {
        return server.get("/api/runs/r1")
                .body()
                .at("/timeline/phases")
                .valueStream()
                .filter(p -> p.path("cue").asString().equals(cue))
                .findFirst()
                .orElseThrow()
                .path("blockId");
    }

    private TestServer.Answer test(String id, JsonNode block, double value) {
        return server.post(
                "/api/runs/r1/movements",
                "{\"id\":\"%s\",\"blockId\":%s,\"value\":%s,\"note\":\"\"}".formatted(id, block, value));
    }

    @Test
    public void itsValueIsStoredColdBeforeTheWorkAndWarmAfterIt() {
        assertThat(test("t1", block("Test: deep squat"), 6).status()).isEqualTo(204);
        assertThat(test("t1", block("Test: deep squat"), 6).status()).isEqualTo(204);
        assertThat(test("t2", block("Test: kick height"), 112.5).status()).isEqualTo(204);
        var kept = server.get("/api/clients/" + Scene.CLIENT + "/movements").body();
        assertThat(kept).hasSize(2);
        assertThat(kept.at("/0/movement").asString()).isEqualTo("deep squat");
        assertThat(kept.at("/0/warmth").asString()).isEqualTo("COLD");
        assertThat(kept.at("/0/unit").asString()).isEqualTo("GRADE");
        assertThat(kept.at("/1/warmth").asString()).isEqualTo("WARM");
        assertThat(kept.at("/1/value").asDouble()).isEqualTo(112.5);
        var csv = new String(server.bytes("/api/exchange/files/movements.csv"), StandardCharsets.UTF_8);
        assertThat(csv).contains("t2,lamplighter,,r1,kick height,centimetre,warm,112.5");
    }

    @Test
    public void aGradeBeyondTenAndABlockWithoutAMovementAreRefused() {
        assertThat(test("t1", block("Test: deep squat"), 11).codes()).containsExactly("out-of-bounds");
        var hold = block("Rest at the end of the range, let the prop carry it");
        assertThat(test("t1", hold, 5).codes()).containsExactly("unknown-block");
        assertThat(server.get("/api/clients/" + Scene.CLIENT + "/movements").body())
                .isEmpty();
    }
}
