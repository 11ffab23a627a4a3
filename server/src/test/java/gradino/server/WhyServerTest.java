package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** A line told fact by fact, signs that are still open, answers after two days, and what runs at home meanwhile. */
public class WhyServerTest {
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

    @Test
    public void aLineIsToldFactByFact() {
        scene.cleanSession("s1").cleanSession("s2");
        var facts = server.get("/api/lines/" + Scene.LINE + "/why").body();
        assertThat(facts.size()).isGreaterThan(3);
        var last = facts.get(facts.size() - 1);
        assertThat(last.path("what").asString()).startsWith("Next morning: pain back to usual");
        assertThat(last.at("/sides/0/gates").size()).isEqualTo(5);
        assertThat(last.at("/sides/0/verdict").asString())
                .isEqualTo(scene.proposal("left").at("/proposal/verdict").asString());
    }

    @Test
    public void aSmallHistoryIsWorkedOutAndABrokenOneNamed() {
        var good = "at,fact,side,value,detail\\n2026-03-01T09:00:00Z,line,,prone-knee-bent,ramp-both-ways\\n"
                + "2026-03-02T09:00:00Z,session,,,\\n";
        var told = server.post("/api/why", "{\"csv\":\"" + good + "\"}");
        assertThat(told.status()).as(told.body().toString()).isEqualTo(200);
        assertThat(told.body().at("/0/what").asString()).startsWith("Session, a coach watching");
        assertThat(server.post("/api/why", "{\"csv\":\"" + good + "nonsense,line,,,\\n\"}")
                        .codes())
                .containsExactly("unreadable");
    }

    private int answer(String id, String question, boolean settled) {
        return server.post(
                        "/api/runs/s1/morning",
                        "{\"id\":\"%s\",\"question\":\"%s\",\"settled\":%b,\"soreness\":1}"
                                .formatted(id, question, settled))
                .status();
    }

    @Test
    public void painThatStaysForTwoDaysIsAskedAgainAndStops() {
        scene.open("s1");
        scene.close("s1");
        server.clock.move(Duration.ofHours(1));
        assertThat(answer("early", "NEXT_MORNING", true)).isEqualTo(422);
        server.clock.move(Duration.ofHours(20));
        assertThat(answer("no", "NEXT_MORNING", false)).isEqualTo(204);
        assertThat(server.get("/api/today").body().path("mornings").size()).isZero();
        assertThat(answer("soon", "AFTER_48_HOURS", false)).isEqualTo(422);
        server.clock.move(Duration.ofHours(28));
        assertThat(server.get("/api/today").body().at("/mornings/0/question").asString())
                .isEqualTo("AFTER_48_HOURS");
        assertThat(answer("still", "AFTER_48_HOURS", false)).isEqualTo(204);
        assertThat(scene.proposal("left").at("/proposal/verdict").asString()).isEqualTo("STOP_AND_REFER");
        var signs = server.get("/api/clients/" + Scene.CLIENT + "/stop-signs").body();
        assertThat(signs.at("/0/sign").asString()).isEqualTo("pain not back to usual after 48 hours");
        scene.clear("c", true);
        assertThat(server.get("/api/clients/" + Scene.CLIENT + "/stop-signs")
                        .body()
                        .size())
                .isZero();
        assertThat(scene.proposal("left").at("/proposal/verdict").asString()).isNotEqualTo("STOP_AND_REFER");
    }

    /** Five weeks without a lever moved: another method is taken up as a new version of the line, no deeper than before. */
    @Test
    public void aPlateauIsAnsweredByAnotherMethod() {
        server.close();
        server = TestServer.empty();
        // Far below the usual 33 − 8°: the range is short.
        scene = new Scene(server).client().measured(12, 10).prescribed();
        for (int i = 0; i < 8; i++) {
            scene.open("p" + i);
            scene.close("p" + i);
            server.clock.move(Duration.ofDays(5));
            server.me().signIn("hollis", TestServer.PASSWORD);
        }
        var proposal = scene.proposal("left").path("proposal");
        assertThat(proposal.path("notes").toString()).as(proposal.toString()).contains("PLATEAU");
        assertThat(proposal.path("methods").valueStream().map(m -> m.asString()))
                .contains("contract-relax-linger");
        assertThat(server.post("/api/lines/" + Scene.LINE + "/method", "{\"method\":\"light-breath\"}")
                        .codes())
                .containsExactly("changed-meanwhile");
        var before = server.get("/api/lines/" + Scene.LINE).body();
        var changed = server.post("/api/lines/" + Scene.LINE + "/method", "{\"method\":\"contract-relax-linger\"}");
        assertThat(changed.status()).as(changed.body().toString()).isEqualTo(200);
        var after = server.get("/api/lines/" + Scene.LINE).body();
        assertThat(after.at("/plan/method").asString()).isEqualTo("contract-relax-linger");
        assertThat(after.at("/plan/doses/left/angle").asDouble())
                .isLessThanOrEqualTo(before.at("/plan/doses/left/angle").asDouble());
        assertThat(after.at("/plan/sides").asString())
                .isEqualTo(before.at("/plan/sides").asString());
    }
}
