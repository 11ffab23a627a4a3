package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What is kept of a session, and what late word does to it. */
public class SessionsTest {
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

    private static JsonNode phase(JsonNode floor, String blockId) {
        return floor.at("/timeline/phases")
                .valueStream()
                .filter(p -> p.path("blockId").asString().equals(blockId))
                .findFirst()
                .orElseThrow();
    }

    private void hold(JsonNode floor, String record, int done) {
        var rows = "{\"kind\":\"HOLD\",\"plannedSeconds\":60,\"doneSeconds\":" + done + "}";
        var json = Scene.block(record, "l1-left-supported-hold", phase(floor, "l1-left-supported-hold"), "", rows);
        assertThat(server.post("/api/runs/" + floor.path("id").asString() + "/blocks", json)
                        .status())
                .isEqualTo(204);
    }

    @Test
    public void aLaterRecordOfABlockCorrectsTheEarlierAndBothAreKept() {
        var floor = scene.open("s1").body();
        hold(floor, "first", 20);
        hold(floor, "second", 60);
        hold(floor, "first", 5);
        assertThat(server.get("/api/runs/s1/summary")
                        .body()
                        .at("/sides/left/holdRatio")
                        .asDouble())
                .isEqualTo(1);
        var exported = new String(server.bytes("/api/exchange/files/blocks.csv"));
        assertThat(exported).contains("first,s1").contains("second,s1").contains("HOLD:60.0:20.0");
    }

    @Test
    public void howASideLayIsKeptExportedAndKnownToTheDecision() {
        for (var session : new String[] {"s1", "s2"}) {
            scene.cleanSession(session);
        }
        assertThat(scene.proposal("left").at("/proposal/verdict").asString()).isEqualTo("STEP_UP");
        var press = server.get("/api/runs/s2/blocks")
                .body()
                .valueStream()
                .filter(b -> b.path("blockId").asString().equals("l1-left-1-press"))
                .findFirst()
                .orElseThrow();
        var other = ((tools.jackson.databind.node.ObjectNode) press)
                .set("prop", TestServer.json("{\"angle\":25.5,\"stack\":18}"));
        assertThat(server.post("/api/runs/s2/blocks", "{\"id\":\"lay\",\"block\":" + other + "}")
                        .status())
                .isEqualTo(204);
        assertThat(new String(server.bytes("/api/exchange/files/blocks.csv"))).contains(",25.5,18.0,\r\n");
        assertThat(scene.proposal("left").at("/proposal/why/reason").asString()).isEqualTo("OTHER_ANGLE");
        assertThat(scene.proposal("right").at("/proposal/verdict").asString()).isEqualTo("STEP_UP");
    }

    @Test
    public void anOpenSessionIsResumedRatherThanOpenedTwice() {
        var floor = scene.open("s1").body();
        hold(floor, "r", 60);
        var again = scene.open("s2").body();
        assertThat(again.path("id").asString()).isEqualTo("s1");
        assertThat(again.path("doneBlocks").size()).isEqualTo(1);
        server.clock.move(Duration.ofHours(13));
        assertThat(scene.open("s3").body().path("id").asString()).isEqualTo("s3");
    }

    @Test
    public void aSessionKeepsThePlanItWasOpenedWith() {
        var before = scene.open("s1").body().path("timeline");
        assertThat(scene.keep(Scene.with(scene.line(), "GRADED_SET", "pull", 15))
                        .status())
                .isEqualTo(200);
        assertThat(server.get("/api/runs/s1").body().path("timeline")).isEqualTo(before);
    }

    @Test
    public void closingTwiceChangesNothing() {
        scene.doAll(scene.open("s1").body());
        scene.close("s1");
        server.post("/api/runs/s1/close", "{\"observer\":\"NOBODY\",\"rating\":9,\"note\":\"\"}");
        var closed = server.get("/api/runs/s1/summary").body().path("closed");
        assertThat(closed.path("observer").asString()).isEqualTo("COACH");
        assertThat(closed.path("rating").asInt()).isEqualTo(5);
        assertThat(server.get("/api/runs/s1").body().path("closed").asBoolean()).isTrue();
    }

    @Test
    public void theMorningIsAskedAfterTheSessionIsClosed() {
        scene.open("s1");
        assertThat(server.post("/api/runs/s1/morning", "{\"id\":\"a\",\"question\":\"NEXT_MORNING\",\"settled\":true}")
                        .codes())
                .containsExactly("still-open");
        scene.close("s1");
        assertThat(server.get("/api/today").body().path("mornings").size()).isZero();
        server.clock.move(Duration.ofDays(1));
        assertThat(server.get("/api/today").body().path("mornings").size()).isEqualTo(1);
        assertThat(server.post(
                                "/api/runs/s1/morning",
                                "{\"id\":\"a\",\"question\":\"NEXT_MORNING\",\"settled\":true,\"soreness\":11}")
                        .codes())
                .containsExactly("out-of-bounds");
        scene.morning("s1");
        assertThat(server.get("/api/today").body().path("mornings").size()).isZero();
    }

    /** Worked case 20 over HTTP: the answer comes four days late, when the step is already accepted. */
    @Test
    public void aLateAnswerSuspendsTheAcceptedStep() {
        scene.cleanSession("s1").cleanSession("s2");
        var floor = scene.open("s3").body();
        scene.doAll(floor);
        var press = phase(floor, "l1-left-1-press");
        var painful = Scene.block("painful", "l1-left-1-press", press, "\"effortRating\":5,", "")
                .replace("\"pains\":[]", "\"pains\":[{\"score\":3,\"kind\":\"WHILE_CONTRACTING\",\"where\":\"\"}]")
                .replace("\"phases\":[]", "\"phases\":[{\"kind\":\"STEP\",\"plannedSeconds\":25,\"doneSeconds\":25}]");
        assertThat(server.post("/api/runs/s3/blocks", painful).status()).isEqualTo(204);
        scene.close("s3");
        server.clock.move(Duration.ofHours(80));
        // What is known of the silent session keeps the line from stepping up; the coach does all the same.
        assertThat(scene.proposal("left").at("/proposal/verdict").asString()).isEqualTo("STAY");
        var further = Scene.dose(Scene.with(scene.line(), "GRADED_SET", "top-hold", 15), "left");
        assertThat(scene.decide("d1", "LEFT", "CHANGED", ",\"dose\":" + further + ",\"reason\":\"felt easy\"")
                        .status())
                .isEqualTo(200);
        server.clock.move(Duration.ofHours(2));
        server.post(
                "/api/runs/s3/morning",
                "{\"id\":\"late\",\"question\":\"NEXT_MORNING\",\"settled\":false,\"soreness\":2}");
        var proposal = scene.proposal("left");
        assertThat(proposal.at("/proposal/suspends").asString()).isEqualTo("d1");
        assertThat(proposal.at("/proposal/verdict").asString()).isEqualTo("STEP_DOWN");
        assertThat(scene.open("s4").status()).isEqualTo(200);
        assertThat(Scene.number(scene.line(), "left", "GRADED_SET", "top-hold")).isEqualTo(10);
    }

    @Test
    public void aLateBlockSuspendsTheAcceptedStep() {
        scene.cleanSession("s1").cleanSession("s2").cleanSession("s3");
        assertThat(scene.proposal("left").at("/proposal/verdict").asString()).isEqualTo("STEP_UP");
        assertThat(scene.decide("d1", "LEFT", "ACCEPTED", ",\"reason\":\"\"").status())
                .isEqualTo(200);
        server.clock.move(Duration.ofHours(2));
        var floor = server.get("/api/runs/s3").body();
        var late = Scene.block("late", "l1-left-1-press", phase(floor, "l1-left-1-press"), "\"effortRating\":9,", "")
                .replace("\"pains\":[]", "\"pains\":[{\"score\":7,\"kind\":\"WHILE_CONTRACTING\",\"where\":\"\"}]");
        for (int i = 0; i < 5; i++) {
            assertThat(server.post("/api/runs/s3/blocks", late).status()).isEqualTo(204);
        }
        var proposal = scene.proposal("left");
        assertThat(proposal.at("/proposal/suspends").asString()).isEqualTo("d1");
        assertThat(proposal.at("/proposal/verdict").asString()).isEqualTo("STEP_DOWN");
        var exported = new String(server.bytes("/api/exchange/files/blocks.csv"));
        assertThat(exported).containsOnlyOnce("late,s3");
    }

    @Test
    public void theNextMorningsAnswerIsCorrectedAndTheFirstIsKept() {
        scene.cleanSession("s1");
        server.post(
                "/api/runs/s1/morning",
                "{\"id\":\"better\",\"question\":\"NEXT_MORNING\",\"settled\":false,\"soreness\":6,\"correction\":\"a wrong tap\"}");
        assertThat(server.post(
                                "/api/runs/s1/morning",
                                "{\"id\":\"evening\",\"question\":\"NEXT_MORNING\",\"settled\":true,\"soreness\":0}")
                        .codes())
                .containsExactly("answered");
        var morning = server.get("/api/runs/s1/summary").body().at("/mornings/1");
        assertThat(morning.path("correction").asString()).isEqualTo("a wrong tap");
        assertThat(morning.path("settled").asBoolean()).isFalse();
        assertThat(morning.path("soreness").asInt()).isEqualTo(6);
        assertThat(new String(server.bytes("/api/exchange/files/mornings.csv")))
                .contains("better,s1")
                .hasLineCount(3);
        assertThat(scene.proposal("left").at("/proposal").toString()).contains("orning");
    }

    @Test
    public void rangesSayWhatIsNoiseAndWhatIsShort() {
        var row = server.get("/api/clients/" + Scene.CLIENT + "/ranges").body().path(0);
        assertThat(row.at("/sides/0/limiter").asString()).isEqualTo("RANGE");
        assertThat(row.at("/usualPassive/source").asString()).contains("Roaas & Andersson 1982");
        assertThat(row.at("/usualPassive/lower").asDouble()).isEqualTo(32.6 - 8.2);
        assertThat(row.at("/asymmetry/real").asBoolean()).isFalse();
        assertThat(row.at("/goalDegrees").asDouble()).isEqualTo(45);
        var passive = row.at("/sides/0/passive");
        assertThat(passive.path("upper").asDouble() - passive.path("lower").asDouble())
                .isBetween(11.0, 12.0);
    }
}
