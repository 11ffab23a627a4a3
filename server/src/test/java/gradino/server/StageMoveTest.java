package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A line goes on in a harder position, alone or within a composed session, and comes back. */
public class StageMoveTest {
    private static final String CLIENT = "/api/clients/" + Scene.CLIENT;
    private static final String HARDER = "seated-90-90-rear";
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

    /** Everything but the position is at its top: nobody is a newcomer, the range leaves no room, both sides are graded. */
    private void atTheTop() {
        for (int n = 1; n <= 4; n++) {
            scene.cleanSession("early" + n);
        }
        var line = Scene.withAngle(scene.line(), 34);
        line = Scene.with(line, "SUPPORTED_HOLD", "seconds", 120);
        line = Scene.with(line, "GRADED_SET", "sets", 4);
        line = Scene.with(line, "GRADED_SET", "ceiling", 100);
        line = Scene.with(line, "GRADED_SET", "top-hold", 20);
        line = Scene.with(line, "GRADED_SET", "pull", 20);
        var more = server.put(CLIENT + "/details", Scene.DETAILS.replace("\"minutes\":20", "\"minutes\":90"));
        assertThat(more.status()).as(more.body().toString()).isEqualTo(200);
        assertThat(scene.keep(line).status()).isEqualTo(200);
        server.clock.move(Duration.ofHours(1));
        scene.cleanSession("top1");
        server.clock.move(Duration.ofDays(1));
        scene.cleanSession("top2");
        grade("prone-knee-bent");
    }

    private void grade(String position) {
        for (var side : new String[] {"LEFT", "RIGHT"}) {
            for (var mode : new String[] {"PASSIVE", "ACTIVE"}) {
                int angle = mode.equals("PASSIVE") ? 36 : 30;
                var text = Scene.measurement(position + side + mode, side, mode, angle + "," + angle)
                        .replace("prone-knee-bent", position);
                var graded = mode.equals("ACTIVE") ? text.replace("\"note\"", "\"controlGrade\":2,\"note\"") : text;
                var answer = server.post(CLIENT + "/measurements", graded);
                assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
            }
        }
    }

    private JsonNode lines() {
        return server.get("/api/today").body().at("/clients/0/lines");
    }

    private TestServer.Answer accept(String line, String id, String side) {
        var seen = server.get("/api/lines/" + line + "/proposals")
                .body()
                .at("/sides/" + side.toLowerCase(Locale.ROOT) + "/proposal");
        return server.post(
                "/api/lines/" + line + "/decisions",
                "{\"id\":\"%s\",\"side\":\"%s\",\"answer\":\"ACCEPTED\",\"seen\":%s,\"reason\":\"\"}"
                        .formatted(id, side, seen.path("to")));
    }

    @Test
    public void aLineGoesOnInTheHarderPositionAndComesBack() {
        atTheTop();
        var proposal = scene.proposal("left").path("proposal");
        assertThat(proposal.path("stage").asString()).as(proposal.toString()).isEqualTo(HARDER);
        grade(HARDER);
        assertThat(accept(Scene.LINE, "d2", "LEFT").status()).isEqualTo(200);
        assertThat(lines().size()).isEqualTo(1);
        assertThat(lines().at("/0/position").asString()).isEqualTo(HARDER);
        var back = server.me().delete("/api/lines/" + Scene.LINE + "/decisions/d2");
        assertThat(back.status()).as(back.body().toString()).isEqualTo(200);
        assertThat(lines().at("/0/position").asString()).isEqualTo("prone-knee-bent");
        assertThat(lines().at("/0/sessionsDone").asInt()).isEqualTo(6);
    }

    /** What was done before it went on is done: nothing is planned twice in the week. */
    @Test
    public void aLineThatGoesOnIsTheSameLineOfItsWeek() {
        atTheTop();
        var today = LocalDate.now(server.clock);
        var monday = today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        var before = week(monday);
        grade(HARDER);
        accept(Scene.LINE, "d3", "LEFT");
        var after = week(monday);
        assertThat(after.at("/units/0/lines/0/id").asString())
                .isEqualTo(lines().at("/0/lineId").asString())
                .isNotEqualTo(before.at("/units/0/lines/0/id").asString());
        isTheSameWeek(after, before, today);
        assertThat(server.me()
                        .delete("/api/lines/" + Scene.LINE + "/decisions/d3")
                        .status())
                .isEqualTo(200);
        var back = week(monday);
        isTheSameWeek(back, before, today);
        assertThat(back.at("/units/0/lines")).isEqualTo(before.at("/units/0/lines"));
    }

    private static void isTheSameWeek(JsonNode week, JsonNode before, LocalDate today) {
        for (int day = 0; day < today.getDayOfWeek().getValue(); day++) {
            var at = "/days/" + day + "/outcomes/0/outcome";
            assertThat(week.at(at)).isEqualTo(before.at(at));
        }
        assertThat(week.path("news").toString()).doesNotContain("is new", "has ended");
    }

    private JsonNode week(LocalDate monday) {
        return server.get(CLIENT + "/weeks/" + monday).body();
    }

    @Test
    public void whatWasTrainedInTheHarderPositionIsNotTakenBack() {
        atTheTop();
        grade(HARDER);
        accept(Scene.LINE, "d1", "LEFT");
        var harder = lines().at("/0/lineId").asString();
        server.clock.move(Duration.ofHours(1));
        assertThat(server.post("/api/lines/" + harder + "/runs", "{\"id\":\"s\"}")
                        .status())
                .isEqualTo(200);
        assertThat(server.me()
                        .delete("/api/lines/" + Scene.LINE + "/decisions/d1")
                        .status())
                .isEqualTo(409);
    }

    @Test
    public void aLineOfASessionGoesOnWithinItAndComesBackAsItWas() {
        grade("prone-knee-bent");
        var path = Scene.EVENING;
        var line = scene.suggestedLine("hip-internal-rotation", "prone-knee-bent", "stage-ladder");
        for (var side : new String[] {"left", "right"}) {
            for (var block : line.path(side)) {
                var numbers = (ObjectNode) block.path("numbers");
                if (block.path("form").asString().equals("LIFT_OFF")) {
                    numbers.put("repetitions", 10).put("hold", 5);
                } else if (block.path("form").asString().equals("TRANSITION")) {
                    numbers.put("repetitions", 10).put("pause", 3);
                }
            }
        }
        scene.eveningOf(line);
        var before =
                server.get(path).body().at("/draft/stations/0/lines/0/left").toString();
        scene.cleanRun("e1");
        server.clock.move(Duration.ofDays(1));
        scene.cleanRun("e2");
        var id = lines().valueStream()
                .filter(l -> l.path("session").asString().equals("Evening"))
                .findFirst()
                .orElseThrow()
                .path("lineId")
                .asString();
        var accepted = accept(id, "d1", "LEFT");
        assertThat(accepted.status()).as(accepted.body().toString()).isEqualTo(200);
        var draft = "/draft/stations/0/lines/0";
        assertThat(server.get(path).body().at(draft + "/position").asString()).isEqualTo(HARDER);
        var back = server.me().delete("/api/lines/" + id + "/decisions/d1");
        assertThat(back.status()).as(back.body().toString()).isEqualTo(200);
        assertThat(server.get(path).body().at(draft + "/position").asString()).isEqualTo("prone-knee-bent");
        assertThat(server.get(path).body().at(draft + "/left").toString()).isEqualTo(before);
    }
}
