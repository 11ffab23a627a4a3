package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A line of any method is advanced like any other: what was prescribed, run, proposed, decided and run anew. */
public class LinesAdvanceTest {
    private static final String CLIENT = "/api/clients/" + Scene.CLIENT;
    private static final String SESSION = Scene.EVENING;
    private TestServer server;
    private Scene scene;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server).client().measured(36, 30);
        scene.eveningOf(scene.suggestedLine("hip-internal-rotation", "prone-knee-bent", "contract-relax-linger"));
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private JsonNode day() {
        return server.get("/api/today").body().at("/clients/0");
    }

    private String lineId() {
        return day().at("/lines/0/lineId").asString();
    }

    private JsonNode proposal(String side) {
        return server.get("/api/lines/" + lineId() + "/proposals").body().at("/sides/" + side + "/proposal");
    }

    private TestServer.Answer decide(String id, String side, String answer, String more) {
        return server.post(
                "/api/lines/" + lineId() + "/decisions",
                "{\"id\":\"%s\",\"side\":\"%s\",\"answer\":\"%s\",\"seen\":%s,\"reason\":\"\"%s}"
                        .formatted(
                                id,
                                side,
                                answer,
                                proposal(side.toLowerCase(java.util.Locale.ROOT))
                                        .path("to"),
                                more));
    }

    private double contract(String side) {
        return server.get(SESSION)
                .body()
                .at("/draft/stations/0/lines/0/" + side + "/0/numbers/contract")
                .asDouble();
    }

    @Test
    public void twoCleanRunsLengthenTheContractionAndTheNextRunAsksForIt() {
        scene.cleanRun("r1");
        scene.cleanRun("r2");
        var queue = server.get("/api/decisions").body().path("waiting");
        assertThat(queue.size()).isEqualTo(2);
        assertThat(queue.at("/0/session").asString()).isEqualTo("Evening");
        assertThat(queue.at("/0/why/text").asString()).isEqualTo("Contraction: 3 s → 4 s");
        assertThat(day().path("state").asString()).isEqualTo("DECIDE");
        assertThat(decide("d1", "LEFT", "ACCEPTED", "").status()).isEqualTo(200);
        assertThat(contract("left")).isEqualTo(4);
        assertThat(contract("right")).isEqualTo(3);
        var floor = server.post(SESSION + "/runs", "{\"id\":\"r3\"}").body();
        assertThat(floor.at("/timeline/phases")
                        .valueStream()
                        .filter(p -> p.path("blockId").asString().startsWith("l1-left-contract-relax"))
                        .mapToInt(p -> p.path("endSecond").asInt()
                                - p.path("startSecond").asInt()))
                .contains(4);
    }

    @Test
    public void aDecisionIsTakenBackUntilTheSessionIsRunWithIt() {
        scene.cleanRun("r1");
        scene.cleanRun("r2");
        decide("d1", "LEFT", "ACCEPTED", "");
        var undone = server.me().delete("/api/lines/" + lineId() + "/decisions/d1");
        assertThat(undone.status()).as(undone.body().toString()).isEqualTo(200);
        assertThat(contract("left")).isEqualTo(3);
        decide("d2", "LEFT", "ACCEPTED", "");
        server.clock.move(Duration.ofHours(1));
        server.post(SESSION + "/runs", "{\"id\":\"r3\"}");
        assertThat(server.me()
                        .delete("/api/lines/" + lineId() + "/decisions/d2")
                        .status())
                .isEqualTo(409);
    }

    @Test
    public void aChangeOfTheCoachMeetsTheRulesOfTheComposer() {
        scene.cleanRun("r1");
        scene.cleanRun("r2");
        var wanted = (ObjectNode) proposal("left").path("to").deepCopy();
        ((ObjectNode) wanted.at("/blocks/0/numbers")).put("contract", 99);
        var refused = decide("d1", "LEFT", "CHANGED", ",\"dose\":" + wanted);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body()
                        .at("/findings")
                        .valueStream()
                        .map(f -> f.path("path").asString()))
                .contains("left[0].numbers.contract", "reason");
        ((ObjectNode) wanted.at("/blocks/0/numbers")).put("contract", 4);
        assertThat(decide("d1", "LEFT", "CHANGED", ",\"dose\":" + wanted).status())
                .isEqualTo(200);
        assertThat(contract("left")).isEqualTo(4);
    }

    @Test
    public void whatTheComposerChangesIsAnEditAndWhatItTakesOutEnds() {
        scene.cleanRun("r1");
        var line = (ObjectNode) server.get(SESSION).body().at("/draft/stations/0/lines/0");
        ((ObjectNode) line.at("/left/0/numbers")).put("cycles", 5);
        line.put("unequalReason", "the left is behind");
        scene.eveningOf(line);
        var kept = server.get("/api/lines/" + lineId() + "/decisions").body();
        assertThat(kept.at("/0/answer").asString()).isEqualTo("EDITED");
        assertThat(kept.at("/0/changes/0/what").asString()).isEqualTo("contract–relax, cycles");
        scene.eveningOf(line.deepCopy().put("id", "l2"));
        assertThat(day().path("lines").size()).isEqualTo(1);
        assertThat(day().at("/lines/0/sessionsDone").asInt()).isZero();
        scene.eveningOf(line);
        assertThat(day().at("/lines/0/sessionsDone").asInt()).isEqualTo(1);
    }

    /** Only what is left out of every session ends; a line that two of them have goes on. */
    @Test
    public void aLineInTwoSessionsGoesOnWhenOneIsRemoved() {
        var line = server.get(SESSION).body().at("/draft/stations/0/lines/0");
        assertThat(scene.keep(line).status()).isEqualTo(200);
        scene.cleanRun("r1");
        scene.cleanSession("d1");
        assertThat(day().path("lines").size()).isEqualTo(1);
        assertThat(day().at("/lines/0/session").asString()).isEqualTo("Daily, Evening");
        assertThat(day().at("/lines/0/sessionsDone").asInt()).isEqualTo(2);
        assertThat(server.me().delete(SESSION).status()).isEqualTo(204);
        assertThat(server.get(SESSION).status()).isEqualTo(404);
        assertThat(day().at("/lines/0/session").asString()).isEqualTo("Daily");
        assertThat(server.me().delete(Scene.DAILY).status()).isEqualTo(204);
        assertThat(day().path("lines").size()).isZero();
        assertThat(server.get(CLIENT + "/runs").body().size()).isEqualTo(2);
    }

    @Test
    public void aLineOfAnotherClientOneTwiceAndASessionOfNothingAreFindingsAtTheirPlace() {
        var line = (ObjectNode) server.get(SESSION).body().at("/draft/stations/0/lines/0");
        scene.client("stranger");
        var body = server.get(SESSION).body().path("draft");
        var theirs =
                server.put("/api/clients/stranger/sessions/theirs", "{\"name\":\"Mine\",\"draft\":%s}".formatted(body));
        assertThat(theirs.status()).isEqualTo(404);
        assertThat(scene.keep(line.deepCopy().put("position", "seated-90-90-rear"))
                        .codes())
                .contains("another-line");
        var twice = (ObjectNode) body.deepCopy();
        ((tools.jackson.databind.node.ArrayNode) twice.at("/stations/0/lines")).add(line);
        var refused = server.put(SESSION, "{\"name\":\"Evening\",\"draft\":%s}".formatted(twice));
        assertThat(refused.codes()).contains("twice");
        var nothing = server.put(SESSION, "{\"name\":\"Evening\",\"draft\":{\"warmUp\":[],\"stations\":[]}}");
        assertThat(nothing.codes()).containsExactly("empty");
        assertThat(server.get(SESSION).body().path("draft")).isEqualTo(body);
    }

    @Test
    public void painInTheSessionTakesItsLineDown() {
        scene.cleanRun("r1");
        var floor = server.post(SESSION + "/runs", "{\"id\":\"r2\"}").body();
        scene.doAll(floor);
        var first = floor.at("/timeline/phases")
                .valueStream()
                .filter(p -> p.path("blockId").asString().startsWith("l1-left-contract-relax"))
                .findFirst()
                .orElseThrow();
        var hurt = Scene.block(
                        "hurt",
                        first.path("blockId").asString(),
                        first,
                        "",
                        "{\"kind\":\"%s\",\"plannedSeconds\":5,\"doneSeconds\":5}"
                                .formatted(first.path("kind").asString()))
                .replace("\"pains\":[]", "\"pains\":[{\"score\":6,\"kind\":\"WHILE_CONTRACTING\",\"where\":\"hip\"}]");
        assertThat(server.post("/api/runs/r2/blocks", hurt).status()).isEqualTo(204);
        scene.close("r2");
        assertThat(proposal("left").path("verdict").asString()).isEqualTo("STEP_DOWN");
        assertThat(proposal("right").path("verdict").asString()).isEqualTo("STAY");
    }

    @Test
    public void theArchiveCarriesLinesWithTheirDecisions() {
        scene.cleanRun("r1");
        scene.cleanRun("r2");
        decide("d1", "LEFT", "ACCEPTED", "");
        var before = server.get(SESSION).body().path("draft");
        var flight = "/api/lines/" + lineId() + "/flight";
        var rung = server.get(flight).body().at("/sides/left/1/rung");
        try (var copy = TestServer.empty()) {
            copy.clock.move(Duration.ofDays(5));
            var taken = copy.upload("gradino.zip", server.bytes("/api/exchange/gradino.zip"));
            assertThat(taken.status()).as(taken.body().toString()).isEqualTo(200);
            assertThat(copy.get(SESSION).body().path("draft")).isEqualTo(before);
            assertThat(copy.get(flight).body().at("/sides/left/1/rung")).isEqualTo(rung);
        }
    }

    @Test
    public void aFileWithABlockThatCannotBeIsRefusedByItsRow() {
        var file = new String(server.bytes("/api/exchange/files/lines.csv"), StandardCharsets.UTF_8);
        for (var wrong : new String[] {"\"\"cycles\"\":99", "\"\"cycles\"\":\"\"x\"\""}) {
            var bad = file.replaceAll("\"\"cycles\"\":[0-9.]+", wrong).replaceAll("(?m)^l1,", "other,");
            var answer = server.upload("lines.csv", bad.getBytes(StandardCharsets.UTF_8));
            assertThat(answer.status()).as(wrong).isEqualTo(422);
        }
        var nowhere = file.replace("prone-knee-bent", "on-the-ceiling").replaceAll("(?m)^l1,", "other,");
        assertThat(server.upload("lines.csv", nowhere.getBytes(StandardCharsets.UTF_8))
                        .codes())
                .contains("unknown-position");
    }

    /** A supported hold of 70 s would be too long for a newcomer, and so would every step that leaves it so. */
    @Test
    public void whoTrainsTheMotionInOneSessionIsNoNewcomerToItInAnother() {
        scene.prescribed();
        for (int n = 1; n <= 4; n++) {
            scene.cleanSession("s" + n);
        }
        var line = scene.suggestedLine("hip-internal-rotation", "prone-knee-bent", "contract-relax-linger");
        for (var side : new String[] {"left", "right"}) {
            ((ObjectNode) line.at("/" + side + "/1/numbers")).put("seconds", 70);
        }
        scene.eveningOf(line);
        server.clock.move(Duration.ofHours(1));
        scene.cleanRun("r1").cleanRun("r2");
        var evening = day().path("lines")
                .valueStream()
                .filter(l -> l.path("session").asString().equals("Evening"))
                .findFirst()
                .orElseThrow();
        assertThat(evening.path("verdict").asString()).as(evening.toString()).isEqualTo("STEP_UP");
        assertThat(evening.path("why").asString()).isEqualTo("Contraction: 3 s → 4 s");
    }

    @Test
    public void aLineOfTheMiddleIsJudgedOnce() {
        scene.eveningOf(scene.suggestedLine("lumbar-flexion", "seated-fold", "light-breath", "mid"));
        scene.cleanRun("r1");
        scene.cleanRun("r2");
        var proposals = server.get("/api/lines/" + lineId() + "/proposals").body();
        assertThat(proposals.path("trained").size()).isEqualTo(1);
        assertThat(proposals.at("/sides/left/proposal/verdict").asString())
                .as(proposals.at("/sides/left/proposal").toString())
                .isEqualTo("STEP_UP");
        assertThat(server.get("/api/decisions").body().path("waiting").size()).isEqualTo(1);
    }
}
