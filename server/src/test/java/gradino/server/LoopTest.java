package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.state.Policy;
import gradino.core.body.Side;
import gradino.server.advance.line.DecisionRepository;
import gradino.server.advance.line.Inputs;
import gradino.server.platform.Json;
import java.time.Duration;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** The whole loop over HTTP and a real database. */
public class LoopTest {
    private TestServer server;
    private Scene scene;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server);
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private Scene twoClean() {
        return scene.client().measured(36, 30).prescribed().cleanSession("s1").cleanSession("s2");
    }

    @Test
    public void fromAMeasuredHipToTheNextDose() {
        scene.client().measured(36, 30).prescribed();
        // 36 with SE √(225·9/234) = 2.94: 36 − 1.645·2.94 = 31.16, on half degrees 31.0.
        assertThat(server.get("/api/lines/" + Scene.LINE)
                        .body()
                        .at("/plan/doses/left/angle")
                        .asDouble())
                .isEqualTo(31.0);
        scene.cleanSession("s1");
        assertThat(scene.proposal("left").at("/proposal/verdict").asString()).isEqualTo("STAY");
        scene.cleanSession("s2");
        var proposal = scene.proposal("left");
        assertThat(proposal.at("/proposal/verdict").asString()).isEqualTo("STEP_UP");
        assertThat(proposal.at("/proposal/why/text").asString()).isEqualTo("Top hold: 10 s → 15 s");
        assertThat(proposal.path("waits").asBoolean()).isTrue();
        assertThat(scene.decide("d1", "LEFT", "ACCEPTED", ",\"reason\":\"\"").status())
                .isEqualTo(200);
        var next = scene.open("s3").body();
        assertThat(next.path("id").asString()).isEqualTo("s3");
        assertThat(Scene.number(scene.line(), "left", "GRADED_SET", "top-hold")).isEqualTo(15);
        assertThat(Scene.number(scene.line(), "right", "GRADED_SET", "top-hold"))
                .isEqualTo(10);
    }

    @Test
    public void aStoredDecisionReplaysToTheSameProposal() {
        twoClean();
        scene.decide("d1", "LEFT", "ACCEPTED", ",\"reason\":\"\"");
        scene.decide("d2", "RIGHT", "DECLINED", ",\"reason\":\"asked for a rest\"");
        var json = server.bean(Json.class);
        for (var stored : server.bean(DecisionRepository.class).of(Scene.LINE)) {
            var inputs = json.read(stored.inputs(), Inputs.class);
            var replayed = inputs.replay(Side.valueOf(stored.decided().side().name()), Policy.house());
            assertThat(json.write(replayed)).isEqualTo(stored.proposal());
        }
    }

    @Test
    public void aDeclinedProposalDoesNotWaitAgainUntilSomethingIsHeard() {
        twoClean();
        assertThat(scene.decide("d1", "LEFT", "DECLINED", ",\"reason\":\"\"").codes())
                .containsExactly("required");
        assertThat(scene.decide("d1", "LEFT", "DECLINED", ",\"reason\":\"tired\"")
                        .status())
                .isEqualTo(200);
        assertThat(scene.proposal("left").path("waits").asBoolean()).isFalse();
        scene.cleanSession("s3");
        assertThat(scene.proposal("left").path("waits").asBoolean()).isTrue();
    }

    @Test
    public void aChangeBeyondTheProposalNeedsAReasonAndObeysTheRestriction() {
        twoClean();
        assertThat(scene.restrict("cap", "EFFORT_CAP", 50).status()).isLessThan(300);
        var line = Scene.with(scene.line(), "GRADED_SET", "top-hold", 20);
        var further = ",\"dose\":" + Scene.dose(line, "left");
        var harder = ",\"dose\":" + Scene.dose(Scene.with(line, "GRADED_SET", "ceiling", 60), "left");
        assertThat(scene.decide("d1", "LEFT", "CHANGED", further + ",\"reason\":\"\"")
                        .codes())
                .containsExactly("reason-needed");
        assertThat(scene.decide("d1", "LEFT", "CHANGED", harder + ",\"reason\":\"x\"")
                        .codes())
                .containsExactly("effort-cap");
        assertThat(scene.decide("d1", "LEFT", "CHANGED", further + ",\"reason\":\"felt easy\"")
                        .status())
                .isEqualTo(200);
    }

    @Test
    public void aDecisionOnWhatHasChangedMeanwhileIsRefused() {
        twoClean();
        var stale = "{\"id\":\"d1\",\"side\":\"LEFT\",\"answer\":\"ACCEPTED\",\"reason\":\"\",\"seen\":%s}"
                .formatted(Scene.dose(Scene.with(scene.line(), "GRADED_SET", "sets", 3), "left"));
        var answer = server.post("/api/lines/" + Scene.LINE + "/decisions", stale);
        assertThat(answer.status()).isEqualTo(409);
        assertThat(answer.codes()).containsExactly("changed-meanwhile");
    }

    @Test
    public void aStopSignSuspendsUntilItIsClearedInWriting() {
        scene.client().measured(36, 30).prescribed();
        scene.open("s1");
        server.post(
                "/api/runs/s1/close",
                "{\"observer\":\"COACH\",\"stopSign\":\"NUMBNESS_TINGLING_WEAKNESS\",\"stopSide\":\"LEFT\",\"note\":\"\"}");
        assertThat(scene.proposal("right").at("/proposal/verdict").asString()).isEqualTo("STOP_AND_REFER");
        var refused = scene.open("s2");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.codes()).contains("stop-sign");
        server.clock.move(Duration.ofDays(1));
        assertThat(scene.clear("c0", false).codes()).containsExactly("required");
        assertThat(scene.clear("c1", true).status()).isEqualTo(200);
        assertThat(scene.proposal("right").at("/proposal/verdict").asString()).isNotEqualTo("STOP_AND_REFER");
        assertThat(scene.open("s2").status()).isEqualTo(200);
    }

    @Test
    public void aRestrictionHoldsWhereverAChangeComesFrom() {
        scene.client().measured(36, 30).prescribed();
        server.clock.move(Duration.ofHours(1));
        assertThat(scene.restrict("r1", "EFFORT_CAP", 40).status()).isEqualTo(200);
        assertThat(scene.restrict("r2", "NO_DEEPENING", null).status()).isEqualTo(200);
        var line = scene.line();
        assertThat(scene.keep(line).codes()).contains("effort-cap");
        assertThat(scene.open("s1").codes()).contains("effort-cap");
        var lowered = Scene.with(line, "GRADED_SET", "ceiling", 40);
        assertThat(scene.keep(Scene.withAngle(lowered, 32)).codes()).containsOnly("no-deepening");
        assertThat(scene.keep(lowered).status()).isEqualTo(200);
        assertThat(scene.open("s1").status()).isEqualTo(200);
    }

    @Test
    public void whatWasLeftOutStaysInTheRecord() {
        scene.client().measured(36, 30).prescribed();
        var floor = scene.open("s1").body();
        var summary = scene.close(floor.path("id").asString());
        assertThat(summary.at("/sides/left/ratio").asDouble()).isZero();
        assertThat(summary.at("/sides/left/left").size()).isEqualTo(8);
    }

    @Test
    public void everyStateIsThereInTheDemo() {
        try (var demo = TestServer.demo()) {
            var clients = demo.get("/api/today").body().path("clients");
            assertThat(clients.size()).isEqualTo(15);
            assertThat(clients.valueStream().map(c -> c.path("state").asString()))
                    .contains("STOP", "DECIDE", "DUE", "NEW", "QUIET");
            var ringer = clients.valueStream()
                    .filter(c -> c.path("id").asString().equals("demo-bell-ringer"))
                    .findFirst()
                    .orElseThrow();
            assertThat(ringer.at("/lines/0/verdict").asString()).isEqualTo("STEP_DOWN");
            assertThat(demo.get("/api/today").body().path("mornings").size()).isEqualTo(2);
            var ranges = demo.get("/api/clients/demo-waller/ranges").body();
            var rear = ranges.valueStream()
                    .filter(r -> r.path("position").asString().equals("seated-90-90-rear"))
                    .findFirst()
                    .orElseThrow();
            assertThat(rear.at("/sides/0/limiter").asString()).isIn("CONTROL", "BOTH");
        }
    }
}
