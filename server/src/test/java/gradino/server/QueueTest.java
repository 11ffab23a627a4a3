package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The queue of decisions, taking back, policies, pauses, the flight, other rules over what was recorded, and rehearsal. */
public class QueueTest {
    private static final String OWN = """
            {"name":"%s","note":"invented","values":{%s}}
            """;
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

    private List<JsonNode> queue() {
        return server.get("/api/decisions").body().path("waiting").valueStream().toList();
    }

    private static List<String> standings(List<JsonNode> queue) {
        return queue.stream().map(w -> w.path("urgency").asString()).toList();
    }

    @Test
    public void whatNobodyHasLookedAtStandsInTheQueueAndLeavesItWhenDecided() {
        assertThat(queue()).isEmpty();
        scene.cleanSession("s1");
        assertThat(queue()).as("a plain stay asks for nothing").isEmpty();
        scene.cleanSession("s2");
        var waiting = queue();
        assertThat(standings(waiting)).containsExactly("STEP_UP", "STEP_UP");
        assertThat(waiting.get(0).path("plain").asBoolean()).isTrue();
        assertThat(waiting.get(0).at("/why/text").asString()).isNotEmpty();
        assertThat(scene.decide("d1", "LEFT", "ACCEPTED", ",\"reason\":\"\"").status())
                .isEqualTo(200);
        assertThat(queue()).hasSize(1);
        assertThat(queue().get(0).path("side").asString()).isEqualTo("RIGHT");
    }

    @Test
    public void aClientsLinesAreCountedByWhatTheyWaitFor() {
        scene.cleanSession("s1").cleanSession("s2");
        var sum = server.get("/api/decisions").body().at("/clients/0");
        assertThat(sum.path("lines").asInt()).isEqualTo(1);
        assertThat(sum.path("counts").propertyNames()).containsExactly("STEP_UP");
        assertThat(sum.at("/counts/STEP_UP").asInt()).isEqualTo(1);
        assertThat(queue()).hasSize(2).allMatch(w -> w.path("plain").asBoolean());
    }

    @Test
    public void reasonsThatCameAndWentSinceLastWeekAreTold() {
        scene.cleanSession("s1");
        server.clock.move(Duration.ofDays(6));
        scene.cleanSession("s2");
        var left = queue().get(0);
        assertThat(left.path("fresh").valueStream().map(r -> r.path("reason").asString()))
                .contains("STEP_NUMBER");
        assertThat(left.path("gone").valueStream().map(r -> r.path("reason").asString()))
                .contains("TOO_FEW_SESSIONS");
        var judged = scene.proposal("left");
        assertThat(judged.path("evidence").size()).isEqualTo(2);
        assertThat(judged.at("/evidence/0/doneRatio").asDouble()).isEqualTo(1);
        assertThat(judged.at("/range/upper").asDouble())
                .isGreaterThan(judged.at("/range/degrees").asDouble());
    }

    @Test
    public void aDecisionIsTakenBackUntilTheNextSessionHasBegun() {
        scene.cleanSession("s1").cleanSession("s2");
        var before = scene.proposal("left").path("proposal");
        scene.decide("d1", "LEFT", "ACCEPTED", ",\"reason\":\"\"");
        assertThat(scene.proposal("left").path("proposal")).isNotEqualTo(before);
        var path = "/api/lines/" + Scene.LINE + "/decisions/";
        assertThat(server.me().delete(path + "nobody").status()).isEqualTo(404);
        assertThat(server.me().delete(path + "d1").status()).isEqualTo(200);
        assertThat(server.me().delete(path + "d1").status()).isEqualTo(200);
        assertThat(scene.proposal("left").path("proposal")).isEqualTo(before);
        var kept = server.get("/api/lines/" + Scene.LINE + "/decisions").body();
        assertThat(kept.at("/0/undoneAt").asString()).isNotEmpty();
        assertThat(kept.at("/0/mayBeTakenBack").asBoolean()).isFalse();
        assertThat(new String(server.bytes("/api/exchange/files/decisions.csv"), StandardCharsets.UTF_8))
                .contains("undone_at")
                .contains("d1");
        scene.decide("d2", "LEFT", "ACCEPTED", ",\"reason\":\"\"");
        var now = server.get("/api/lines/" + Scene.LINE + "/decisions").body();
        assertThat(now.at("/1/mayBeTakenBack").asBoolean()).isTrue();
        server.clock.move(Duration.ofMinutes(1));
        scene.open("s3");
        var late = server.me().delete(path + "d2");
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.body().path("detail").asString()).contains("session has begun");
    }

    @Test
    public void aStudiosOwnRulesAreVersionsAndDecisionsNameThem() {
        scene.cleanSession("s1").cleanSession("s2");
        var three = OWN.formatted("Ours", "\"SESSIONS_NEEDED\":3");
        assertThat(server.put("/api/policies/ours", three).status()).isEqualTo(200);
        assertThat(server.put("/api/policies/ours", three)
                        .body()
                        .at("/1/version")
                        .asInt())
                .as("the same again is no new version")
                .isEqualTo(1);
        assertThat(scene.proposal("left").at("/proposal/verdict").asString()).isEqualTo("STEP_UP");
        assertThat(server.post("/api/policies/ours/use", "")
                        .body()
                        .at("/1/inUse")
                        .asBoolean())
                .isTrue();
        var proposal = scene.proposal("left").path("proposal");
        assertThat(proposal.path("verdict").asString()).isEqualTo("STAY");
        assertThat(proposal.path("policyVersion").asString()).isEqualTo("ours-1");
        scene.decide("d1", "LEFT", "ACCEPTED", ",\"reason\":\"\"");
        assertThat(server.get("/api/lines/" + Scene.LINE + "/decisions")
                        .body()
                        .at("/0/policyVersion")
                        .asString())
                .isEqualTo("ours-1");
        var changed = server.put("/api/policies/ours", OWN.formatted("Ours", "\"SESSIONS_NEEDED\":4"));
        assertThat(changed.body().at("/1/version").asInt()).isEqualTo(2);
        assertThat(changed.body().at("/1/inUse").asBoolean())
                .as("a change is used when somebody says so")
                .isFalse();
        assertThat(server.post("/api/policies/house/use", "")
                        .body()
                        .at("/0/inUse")
                        .asBoolean())
                .isTrue();
        assertThat(new String(server.bytes("/api/exchange/files/policies.csv"), StandardCharsets.UTF_8))
                .contains("SESSIONS_NEEDED=4.0");
    }

    @Test
    public void aNumberOutsideItsRangeIsSaidBesideItAndTheHouseStays() {
        var wild = server.put("/api/policies/ours", OWN.formatted("Ours", "\"PAIN_TOO_MUCH\":9"));
        assertThat(wild.status()).isEqualTo(422);
        assertThat(wild.body().at("/findings/0/path").asString()).isEqualTo("values.PAIN_TOO_MUCH");
        assertThat(server.put("/api/policies/ours", OWN.formatted("", "")).status())
                .isEqualTo(422);
        assertThat(server.put("/api/policies/house", OWN.formatted("House", "")).status())
                .isEqualTo(409);
        assertThat(server.post("/api/policies/nobody/use", "").status()).isEqualTo(404);
    }

    @Test
    public void whoPausesIsLeftAloneAndAskedAnewAfterwards() {
        scene.cleanSession("s1").cleanSession("s2");
        var today = java.time.LocalDate.now(server.clock);
        var path = "/api/clients/" + Scene.CLIENT + "/pauses/ill";
        var ill = "{\"kind\":\"ILLNESS\",\"from\":\"%s\",\"note\":\"a cold\"}".formatted(today);
        assertThat(server.put(path, ill).status()).isEqualTo(200);
        assertThat(scene.proposal("left").at("/proposal/why/reason").asString()).isEqualTo("PAUSED");
        assertThat(queue()).isEmpty();
        server.clock.move(Duration.ofDays(8));
        var over = "{\"kind\":\"ILLNESS\",\"from\":\"%s\",\"until\":\"%s\",\"note\":\"a cold\"}"
                .formatted(today, today.plusDays(8));
        assertThat(server.put(path, over).body().size()).isEqualTo(1);
        assertThat(scene.proposal("left").at("/proposal/why/reason").asString()).isEqualTo("AFTER_ILLNESS");
        var backwards =
                over.replace(today.plusDays(8).toString(), today.minusDays(1).toString());
        assertThat(server.put(path, backwards).body().at("/findings/0/path").asString())
                .isEqualTo("until");
    }

    @Test
    public void theFlightTellsEveryStepWithItsReason() {
        scene.cleanSession("s1").cleanSession("s2");
        scene.decide("d1", "LEFT", "ACCEPTED", ",\"reason\":\"\"");
        var dose = scene.proposal("right").at("/proposal/from").toString().replace("\"sets\":2", "\"sets\":3");
        assertThat(scene.decide("d2", "RIGHT", "CHANGED", ",\"dose\":" + dose + ",\"reason\":\"a race is near\"")
                        .status())
                .isEqualTo(200);
        var flight = server.get("/api/lines/" + Scene.LINE + "/flight").body().path("sides");
        assertThat(flight.at("/left").size()).isEqualTo(2);
        assertThat(flight.at("/left/1/rung/level").asInt()).isEqualTo(1);
        assertThat(flight.at("/left/1/why").asString()).startsWith("Top hold");
        assertThat(flight.at("/right/1/rung/override").asBoolean()).isTrue();
        assertThat(flight.at("/right/1/reason").asString()).isEqualTo("a race is near");
    }

    @Test
    public void otherRulesOverWhatWasRecordedAreListedCountedAndExported() {
        scene.cleanSession("s1").cleanSession("s2");
        scene.decide("d1", "LEFT", "ACCEPTED", ",\"reason\":\"\"");
        server.put("/api/policies/ours", OWN.formatted("Ours", "\"SESSIONS_NEEDED\":3"));
        var test = server.get("/api/backtests/ours").body();
        assertThat(test.path("differences").asInt()).isEqualTo(2);
        assertThat(test.at("/turns/0/one").asString()).isEqualTo("STEP_UP");
        assertThat(test.at("/turns/0/other").asString()).isEqualTo("STAY");
        assertThat(server.get("/api/backtests/ours?client=somebody-else")
                        .body()
                        .path("states")
                        .asInt())
                .isZero();
        var csv = new String(server.bytes("/api/backtests/ours/differences.csv"), StandardCharsets.UTF_8);
        assertThat(csv.split("\r\n")).hasSize(3);
        assertThat(csv).contains("step-up").contains("2 of 3 sessions");
        assertThat(server.get("/api/backtests/house").body().path("differences").asInt())
                .isZero();
    }

    @Test
    public void theWeeksLoadIsTheSumOfItsSessions() {
        scene.cleanSession("s1").cleanSession("s2");
        var one = server.get("/api/runs/s1/summary").body().at("/load/points").asDouble();
        var load = server.get("/api/clients/" + Scene.CLIENT + "/load").body();
        assertThat(load.at("/weeks/0/total").asDouble()).isCloseTo(2 * one, within(1e-6));
        assertThat(load.at("/weeks/0/monotony").asDouble()).isPositive();
        assertThat(load.at("/weeks/1/total").asDouble()).isZero();
        assertThat(load.at("/weeks/1").has("monotony")).isFalse();
    }

    @Test
    public void inventedClientsAreRehearsedAndBadCastsAreSaid() {
        var cast = """
                {"policyId":"house","casts":[{"traits":["SORE"],"seed":4,"adherence":%s,"weeks":6,"sessionsPerWeek":3,
                 "leftDegrees":30,"rightDegrees":33}]}
                """;
        var lived = server.post("/api/rehearsals/preview", cast.formatted("0.9"));
        assertThat(lived.status()).isEqualTo(200);
        assertThat(lived.body().at("/0/weeks").size()).isEqualTo(6);
        assertThat(lived.body())
                .isEqualTo(server.post("/api/rehearsals/preview", cast.formatted("0.9"))
                        .body());
        var wild = server.post("/api/rehearsals/preview", cast.formatted("1.5"));
        assertThat(wild.status()).isEqualTo(422);
        assertThat(wild.body().at("/findings/0/path").asString()).isEqualTo("casts[0].adherence");
    }

    @Test
    public void anotherCoachesLinesAreInNobodyElsesQueue() {
        scene.cleanSession("s1");
        server.post("/api/accounts", TestServer.account("other", "Somebody", "other", "COACH"));
        var other = server.signedIn("other");
        assertThat(other.get("/api/decisions").body().path("waiting").size()).isZero();
        assertThat(other.get("/api/lines/" + Scene.LINE + "/flight").status()).isEqualTo(404);
        assertThat(other.put("/api/policies/ours", OWN.formatted("Ours", "")).status())
                .isEqualTo(403);
    }
}
