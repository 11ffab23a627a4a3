package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A session on the floor: opened with what was prescribed that day, logged block by block, closed whole. */
public class SessionRunTest {
    private static final String CLIENT = "/api/clients/" + Scene.CLIENT;
    private TestServer server;
    private Scene scene;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server).client().measured(36, 30).prescribed();
        AnySession.everyBlock(server.me(), "all");
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private TestServer.Answer open(String id) {
        return server.post(CLIENT + "/sessions/all/runs", "{\"id\":\"" + id + "\"}");
    }

    private static List<JsonNode> firstPhases(JsonNode floor) {
        var seen = new java.util.HashSet<String>();
        return floor.at("/timeline/phases")
                .valueStream()
                .filter(p -> !List.of("SET_UP", "SIDE_CHANGE")
                        .contains(p.path("block").asString()))
                .filter(p -> seen.add(p.path("blockId").asString()))
                .toList();
    }

    /** All that was planned for a block, done. */
    private static String done(JsonNode floor, JsonNode first, String record) {
        var id = first.path("blockId").asString();
        var rows = floor.at("/timeline/phases")
                .valueStream()
                .filter(p -> p.path("blockId").asString().equals(id))
                .map(p -> {
                    int seconds =
                            p.path("endSecond").asInt() - p.path("startSecond").asInt();
                    return "{\"kind\":\"%s\",\"plannedSeconds\":%d,\"doneSeconds\":%d}"
                            .formatted(p.path("kind").asString(), seconds, seconds);
                })
                .collect(java.util.stream.Collectors.joining(","));
        return Scene.block(record, id, first, "", rows);
    }

    @Test
    public void everyKindOfBlockIsRunAndCountedOnBothSides() {
        var floor = open("r1").body();
        assertThat(floor.path("title").asString()).isEqualTo("Every block");
        assertThat(floor.at("/lines/0/faults").size()).isPositive();
        scene.doAll(floor);
        var closed = server.post("/api/runs/r1/close", "{\"observer\":\"COACH\",\"rating\":6,\"note\":\"\"}");
        assertThat(closed.status()).as(closed.body().toString()).isEqualTo(200);
        for (var side : new String[] {"left", "right"}) {
            assertThat(closed.body().at("/sides/" + side + "/ratio").asDouble()).isEqualTo(1);
            assertThat(closed.body().at("/sides/" + side + "/left").size()).isZero();
        }
        assertThat(closed.body()
                        .path("rows")
                        .valueStream()
                        .map(r -> r.path("kind").asString()))
                .contains("RELEASE", "CONTRACT_RELAX", "LIFT_OFF", "ECCENTRIC", "PULSES", "SIDESTEP", "TRANSITION");
        var runs = server.get(CLIENT + "/runs").body();
        assertThat(runs.at("/0/closed/rating").asInt()).isEqualTo(6);
    }

    @Test
    public void whatWasLeftOutIsSaidForTheSideAndForBothWhenItWasInTheMiddle() {
        var floor = open("r1").body();
        var closed = server.post("/api/runs/r1/close", "{\"observer\":\"COACH\",\"note\":\"\"}")
                .body();
        assertThat(closed.at("/sides/left/left").size())
                .isEqualTo(closed.at("/sides/right/left").size());
        assertThat(closed.at("/sides/left/left").valueStream().map(JsonNode::asString))
                .contains("rotation: not done", "set 1 press: not done");
        assertThat(closed.at("/sides/left/ratio").asDouble()).isZero();
        assertThat(server.get("/api/runs/r1").body().path("closed").asBoolean()).isTrue();
        assertThat(floor.path("closed").asBoolean()).isFalse();
    }

    @Test
    public void anOpenRunIsGoneOnWithAndKeepsWhatWasPrescribedThatDay() {
        var before = open("r1").body();
        AnySession.everyBlock(server.me(), "all", "\"seconds\":60", "\"seconds\":30");
        assertThat(open("r2").body().path("id").asString()).isEqualTo("r1");
        assertThat(open("r2").body().path("timeline")).isEqualTo(before.path("timeline"));
        server.clock.move(java.time.Duration.ofHours(13));
        assertThat(open("r3").body().path("timeline")).isNotEqualTo(before.path("timeline"));
    }

    @Test
    public void theSameBlockFiveTimesIsStoredOnceAndAnUnknownOneIsRefused() {
        var floor = open("r1").body();
        var block = done(floor, firstPhases(floor).get(0), "once");
        for (int i = 0; i < 5; i++) {
            assertThat(server.post("/api/runs/r1/blocks", block).status()).isEqualTo(204);
        }
        var csv = new String(server.bytes("/api/exchange/files/blocks.csv"), StandardCharsets.UTF_8);
        assertThat(csv.split("once,r1", -1)).hasSize(2);
        assertThat(server.post("/api/runs/r1/blocks", block.replace("l0-left-rotation", "l0-left-rotation-9"))
                        .codes())
                .containsExactly("unknown-block");
    }

    @Test
    public void aStopSignHoldsBackEverythingUntilItIsClearedInWriting() {
        open("r1");
        var stop = "{\"observer\":\"COACH\",\"stopSign\":\"SHARP_PAIN\",\"stopSide\":\"LEFT\",\"note\":\"\"}";
        assertThat(server.post("/api/runs/r1/close", stop).status()).isEqualTo(200);
        server.clock.move(java.time.Duration.ofDays(1));
        assertThat(open("r2").codes()).containsExactly("stop-sign");
        assertThat(scene.open("line-session").codes()).contains("stop-sign");
        assertThat(scene.clear("letter", true).status()).isLessThan(300);
        assertThat(open("r3").status()).isEqualTo(200);
    }

    @Test
    public void whatIsRestrictedSinceIsNotOpened() {
        assertThat(scene.restrict("later", "EFFORT_CAP", 20).status()).isLessThan(300);
        assertThat(open("r1").codes()).contains("effort-cap");
        assertThat(server.get(CLIENT + "/runs").body().size()).isZero();
    }

    @Test
    public void aRunTravelsWithItsBlocks() {
        scene.doAll(open("r1").body());
        server.post("/api/runs/r1/close", "{\"observer\":\"CLIENT\",\"rating\":4,\"note\":\"fine\"}");
        try (var copy = TestServer.empty()) {
            var answer = copy.upload("gradino.zip", server.bytes("/api/exchange/gradino.zip"));
            assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
            assertThat(copy.get("/api/runs/r1/summary").body())
                    .isEqualTo(server.get("/api/runs/r1/summary").body());
            assertThat(new String(copy.bytes("/api/exchange/files/runs.csv"), StandardCharsets.UTF_8))
                    .isEqualTo(new String(server.bytes("/api/exchange/files/runs.csv"), StandardCharsets.UTF_8));
        }
    }
}
