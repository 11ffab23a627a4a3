package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What two clean sessions of each kind of work come to, composed, run and judged over HTTP (common practice, no source). */
public class SchoolsTest {
    private TestServer server;
    private Scene scene;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server).client().measured(36, 30);
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        server.close();
    }

    @DataProvider
    public Object[][] rows() {
        return new Object[][] {
            {"hip-internal-rotation", "prone-knee-bent", "contract-relax-linger", "Contraction: 3 s → 4 s"},
            {"hip-flexion", "lunge-rocks", "controlled-movement", "Repetitions: 5 → 6"},
            {"hip-flexion", "standing-hip-circles", "controlled-circles", "Circles each way: 5 → 6"},
            {"hip-internal-rotation", "prone-knee-bent", "ramp-ten-scale", "Effort, both ways: 50 % → 60 %"},
            {"hip-internal-rotation", "prone-knee-bent", "ramp-ten-to-max", "Effort: 50 % → 60 %"},
            {"hip-internal-rotation", "prone-knee-bent", "ramp-gentle", "Top hold: 5 s → 6 s"},
            {"hip-internal-rotation", "prone-knee-bent", "sidestep", "Times away and in: 2 → 3"},
            {"hip-internal-rotation", "prone-knee-bent", "hands-off", "Hands-off hold: 10 s → 12 s"},
            {"hip-internal-rotation", "prone-knee-bent", "pulses", "Pulses: 9 → 10"},
            {"hip-internal-rotation", "prone-knee-bent", "light-breath", "Each contraction by one breath: 12 s → 18 s"},
            {"hip-internal-rotation", "seated-90-90-rear", "strength-first", "Rounds: 2 → 3"},
            {"hip-flexion", "supine-strap-raise", "sidestep-strap", "Rounds: 2 → 3"},
            {"hip-flexion", "long-lunge", "release-activate-load", "Activation hold: 5 s → 6 s"},
            {"ankle-dorsiflexion", "calf-lean", "loaded-lengthening", "Rounds: 3 → 4"},
            {"hip-internal-rotation", "seated-90-90-rear", "stage-ladder", "Lifts: 3 → 4"},
            {"hip-abduction", "all-fours-leg-out", "ramp-gentle", "Top hold: 5 s → 6 s"},
            {"hip-abduction", "kneeling-sidestep", "sidestep", "Times away and in: 2 → 3"},
            {"knee-flexion", "prone-strap-turned-out", "sidestep-strap", "Rounds: 2 → 3"},
            {"hip-internal-rotation", "closed-chain-lying", "stage-ladder", "Lifts: 3 → 4"},
            {"hip-abduction", "wide-knee-rocks", "controlled-movement", "Repetitions: 5 → 6"},
        };
    }

    @Test(dataProvider = "rows")
    public void twoCleanSessionsClimbTheMethodsOwnLadder(String motion, String position, String method, String step) {
        scene.eveningOf(scene.suggestedLine(motion, position, method)).cleanRun("r1");
        server.clock.move(java.time.Duration.ofDays(3));
        scene.cleanRun("r2");
        var line = server.get("/api/today").body().at("/clients/0/lines/0");
        assertThat(line.path("why").asString()).as(line.toString()).isEqualTo(step);
        assertThat(line.path("verdict").asString()).isEqualTo("STEP_UP");
    }

    /** Squat rocks, soles together: both legs in one stretch of time are one dose, and may be parted again. */
    @Test
    public void bothLegsAtOnceAreOneDoseUntilTheyAreSplit() {
        var line = (ObjectNode) scene.suggestedLine("hip-abduction", "wide-knee-rocks", "controlled-movement");
        assertThat(line.path("sides").asString()).isEqualTo("TOGETHER");
        assertThat(line.path("right")).isEmpty();
        scene.eveningOf(line).cleanRun("r1");
        server.clock.move(java.time.Duration.ofDays(3));
        scene.cleanRun("r2");
        assertThat(proposals().path("trained")).hasSize(1);
        scene.eveningOf(line.put("sides", "ONE_AFTER_OTHER").set("right", line.path("left")));
        var split = proposals();
        assertThat(split.path("trained")).hasSize(2);
        for (var side : List.of("left", "right")) {
            assertThat(split.at("/sides/" + side + "/proposal/verdict").asString())
                    .isEqualTo("STEP_UP");
        }
    }

    /** Rocks at their top: the coach accepts the harder option, and the next session's set-up says it. */
    @Test
    public void aHarderOptionThatIsAcceptedStandsInTheNextSetUp() {
        var line = (ObjectNode) scene.suggestedLine("ankle-dorsiflexion", "squat-rocks", "controlled-movement");
        for (var side : List.of("left", "right")) {
            for (var block : line.withArray(side)) {
                ((ObjectNode) block.path("numbers"))
                        .put("repetitions", 10)
                        .put("pause", 3)
                        .put("seconds", 6);
            }
        }
        scene.eveningOf(line).cleanRun("r1");
        server.clock.move(java.time.Duration.ofDays(3));
        scene.cleanRun("r2");
        var proposal = proposals().at("/sides/left/proposal");
        assertThat(proposal.path("lever").asString()).as(proposal.toString()).isEqualTo("OPTION");
        var accept = "{\"id\":\"d1\",\"side\":\"LEFT\",\"answer\":\"ACCEPTED\",\"seen\":%s,\"reason\":\"\"}"
                .formatted(proposal.path("to"));
        var said = server.post("/api/lines/l1/decisions", accept);
        assertThat(said.status()).as(said.body().toString()).isLessThan(300);
        var floor = server.post(Scene.EVENING + "/runs", "{\"id\":\"r3\"}").body();
        assertThat(floor.at("/timeline/phases").valueStream())
                .anyMatch(p -> p.path("cue").asString().contains("no hands"));
    }

    private JsonNode proposals() {
        return server.get("/api/lines/l1/proposals").body();
    }

    /** Prescribed, shown on the floor, logged as really used, and in the files. */
    @Test
    public void aBenchIsPartOfTheSetUp() {
        var line = (ObjectNode) scene.suggestedLine("hip-external-rotation", "bench-figure-four", "strength-first");
        for (var side : List.of("left", "right")) {
            var bench = line.withArray(side).insertObject(0);
            bench.put("form", "PROP").putObject("numbers").put("bench", 45);
            bench.putObject("words");
            bench.putArray("steps");
            bench.putArray("blocks");
        }
        scene.eveningOf(line);
        var floor = server.post(Scene.EVENING + "/runs", "{\"id\":\"r1\"}").body();
        assertThat(floor.at("/lines/0/apparatus/left/benchCm").asDouble()).isEqualTo(45);
        var phases = floor.at("/timeline/phases").valueStream().toList();
        assertThat(phases).anyMatch(p -> p.path("cue").asString().equals("Set up: bench 45 cm"));
        var pull = phases.stream()
                .filter(p -> p.path("block").asString().equals("PULL"))
                .findFirst()
                .orElseThrow();
        var used =
                "\"prop\":{\"angle\":0,\"apparatus\":{\"benchCm\":52,\"inclineDegrees\":0,\"strapMark\":0,\"band\":\"\",\"bandCm\":0}},";
        var block = Scene.block("b1", pull.path("blockId").asString(), pull, used, "");
        assertThat(server.post("/api/runs/r1/blocks", block).status()).isEqualTo(204);
        assertThat(server.get("/api/runs/r1/blocks")
                        .body()
                        .at("/0/prop/apparatus/benchCm")
                        .asDouble())
                .isEqualTo(52);
        var csv = new String(server.bytes("/api/exchange/files/blocks.csv"), java.nio.charset.StandardCharsets.UTF_8);
        assertThat(csv).contains("\"\"benchCm\"\":52.0");
    }

    /** Five hundred repetitions tapped in a second are told, and none of them counts. */
    @Test
    public void whatNobodyCanHaveDoneDoesNotCount() {
        scene.eveningOf(scene.suggestedLine("hip-flexion", "lunge-rocks", "controlled-movement"));
        var floor = server.post(Scene.EVENING + "/runs", "{\"id\":\"r1\"}").body();
        var rock = floor.at("/timeline/phases")
                .valueStream()
                .filter(p -> p.path("block").asString().equals("TRANSITION"))
                .findFirst()
                .orElseThrow();
        var taps = "{\"kind\":\"MOVE\",\"plannedSeconds\":4,\"doneSeconds\":0.002},".repeat(500);
        var block = Scene.block("b1", rock.path("blockId").asString(), rock, "", taps.substring(0, taps.length() - 1));
        assertThat(server.post("/api/runs/r1/blocks", block).status()).isEqualTo(204);
        var side = scene.close("r1").at("/sides/" + rock.path("side").asString().toLowerCase(java.util.Locale.ROOT));
        assertThat(side.path("ratio").asDouble()).isLessThan(0.01);
        assertThat(side.path("left").toString()).contains("500 tapped in under half a second, which is no repetition");
    }
}
