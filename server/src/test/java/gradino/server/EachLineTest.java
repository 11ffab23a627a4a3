package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.server.advance.line.LineDoor;
import gradino.server.platform.Sql;
import java.time.Duration;
import java.util.List;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A line that cannot be judged is a finding of that line: pages, other lines and other clients go on. */
public class EachLineTest {
    private static final String CLIENT = "/api/clients/" + Scene.CLIENT;
    private TestServer server;
    private Scene scene;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server).client().measured(36, 30).prescribed().cleanSession("s1");
        scene.eveningOf(scene.suggestedLine("hip-flexion", "supine-strap-raise", "contract-relax-linger"));
        scene.cleanRun("r1");
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        server.close();
    }

    /** As no release has written it: a record that fits no more. */
    @DataProvider
    public Object[][] wrecks() {
        return new Object[][] {
            {"UPDATE line_version SET body = '{}' WHERE line_id = ?"},
            {"UPDATE line_version SET body = replace(body, 'ramp-both-ways', 'of-another-house') WHERE line_id = ?"},
            {"DELETE FROM line_version WHERE line_id = ?"},
        };
    }

    @Test(dataProvider = "wrecks")
    public void oneBadLineTakesNoneOfTheOthersDown(String wreck) {
        server.bean(Sql.class).update(wreck, Scene.LINE);
        server.bean(LineDoor.class).forget();

        var day = fine("/api/today").at("/clients/0");
        assertThat(day.path("state").asString()).isEqualTo("DECIDE");
        assertThat(day.at("/lines/0/lineId").asString()).isEqualTo(Scene.LINE);
        assertThat(day.at("/lines/0/trouble/code").asString()).isEqualTo("not-judged");
        assertThat(day.at("/lines/0/trouble/message").asString()).contains(Scene.LINE);
        assertThat(day.at("/lines/1/verdict").asString()).isEqualTo("STAY");

        var queue = fine("/api/decisions");
        assertThat(queue.at("/unjudged/0/lineId").asString()).isEqualTo(Scene.LINE);
        assertThat(queue.path("unjudged").size()).isEqualTo(1);
        assertThat(queue.path("waiting").size()).as("the other one only stays").isZero();

        assertThat(server.put("/api/policies/ours", "{\"name\":\"Ours\",\"note\":\"\",\"values\":{\"DONE_RATIO\":0.9}}")
                        .status())
                .isEqualTo(200);
        assertThat(fine("/api/backtests/ours").path("unjudged").asInt()).isEqualTo(1);
        for (var path : List.of("/day", "/lines", "/sessions", "/ranges", "/score/suggestion")) {
            fine(CLIENT + path);
        }
        scene.suggestedLine("hip-internal-rotation", "prone-knee-bent", "hands-off");
        scene.cleanRun("r2");
    }

    @Test(dataProvider = "wrecks")
    public void theBadLineItselfSaysWhatToDo(String wreck) {
        server.bean(Sql.class).update(wreck, Scene.LINE);
        server.bean(LineDoor.class).forget();
        for (var answer : List.of(
                server.get("/api/lines/" + Scene.LINE),
                server.get("/api/lines/" + Scene.LINE + "/proposals"),
                server.get("/api/lines/" + Scene.LINE + "/flight"),
                scene.open("s2"))) {
            assertThat(answer.status()).as(answer.body().toString()).isEqualTo(409);
            assertThat(answer.codes()).containsExactly("not-judged");
        }
    }

    /** Away for weeks, one side only, by a method that has no supported hold. */
    @Test
    public void aLineOfOneSideIsJudgedAfterALongGap() {
        var line = (ObjectNode) scene.suggestedLine("hip-flexion", "supine-strap-raise", "light-breath");
        line.put("sides", "LEFT");
        line.putArray("right");
        line.put("unequalReason", "the right one rests");
        scene.eveningOf(line);
        scene.cleanRun("r2");
        server.clock.move(Duration.ofDays(60));
        assertThat(server.me().signIn("hollis", TestServer.PASSWORD).status()).isEqualTo(200);
        var lines = fine("/api/today").at("/clients/0/lines");
        assertThat(lines.valueStream().map(l -> l.path("verdict").asString())).containsOnly("STEP_DOWN", "STAY");
        assertThat(fine("/api/decisions").path("unjudged").size()).isZero();
    }

    private JsonNode fine(String path) {
        var answer = server.get(path);
        assertThat(answer.status()).as(path + answer.body()).isEqualTo(200);
        return answer.body();
    }
}
