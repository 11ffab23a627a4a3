package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Lines are kept folded between two looks: whatever is written meanwhile, the next look is what a first look would be. */
public class KeptLinesTest {
    private static final String BLOCK = """
            {"id":"late","block":%s}
            """;
    private TestServer server;
    private Scene scene;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server)
                .client()
                .measured(36, 30)
                .prescribed()
                .cleanSession("s1")
                .cleanSession("s2");
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        server.close();
    }

    /** Everything that is worked out of kept lines. */
    private List<JsonNode> look() {
        return look(server);
    }

    private static List<JsonNode> look(TestServer server) {
        return List.of(
                server.get("/api/decisions").body(),
                server.get("/api/lines/" + Scene.LINE + "/proposals").body(),
                server.get("/api/today").body().path("clients"));
    }

    private interface Write {
        void on(TestServer server, Scene scene);
    }

    private static Object[] after(String what, boolean shows, Write write) {
        return new Object[] {what, shows, write};
    }

    private static TestServer.Answer fine(TestServer.Answer answer) {
        assertThat(answer.status()).as(answer.body().toString()).isBetween(200, 204);
        return answer;
    }

    private static String today(TestServer server) {
        return java.time.LocalDate.now(server.clock).toString();
    }

    @DataProvider
    public Object[][] writes() {
        return new Object[][] {
            after("a session and its morning", true, (server, scene) -> scene.cleanSession("s3")),
            after("a correction of a block", true, (server, scene) -> {
                var block = server.get("/api/runs/s2/blocks")
                        .body()
                        .valueStream()
                        .filter(b -> b.path("blockId").asString().equals("l1-left-1-press"))
                        .findFirst()
                        .orElseThrow();
                fine(server.post(
                        "/api/runs/s2/blocks",
                        BLOCK.formatted(block.toString().replace("\"effortRating\":5", "\"effortRating\":9"))));
            }),
            after(
                    "a corrected morning",
                    true,
                    (server, scene) -> fine(
                            server.post(
                                    "/api/runs/s2/morning",
                                    "{\"id\":\"again\",\"question\":\"NEXT_MORNING\",\"settled\":false,\"soreness\":7,\"correction\":\"a wrong tap\"}"))),
            after("a reading", true, (server, scene) -> scene.measured(20, 18)),
            after("a restriction", true, (server, scene) -> fine(scene.restrict("r", "EFFORT_CAP", 40))),
            after(
                    "an accepted step",
                    true,
                    (server, scene) -> fine(scene.decide("d1", "LEFT", "ACCEPTED", ",\"reason\":\"\""))),
            after("a step that was undone", false, (server, scene) -> {
                fine(scene.decide("d1", "LEFT", "ACCEPTED", ",\"reason\":\"\""));
                fine(server.me().delete("/api/lines/" + Scene.LINE + "/decisions/d1"));
            }),
            after(
                    "a pause",
                    true,
                    (server, scene) -> fine(server.put(
                            "/api/clients/" + Scene.CLIENT + "/pauses/p",
                            "{\"kind\":\"AWAY\",\"from\":\"%s\",\"note\":\"\"}".formatted(today(server))))),
            after(
                    "another length of the shank",
                    false,
                    (server, scene) -> fine(server.put(
                            "/api/clients/" + Scene.CLIENT + "/details",
                            Scene.DETAILS.replace("\"shank\":42", "\"shank\":38")))),
            after(
                    "fewer minutes",
                    true,
                    (server, scene) -> fine(server.put(
                            "/api/clients/" + Scene.CLIENT + "/details",
                            Scene.DETAILS.replace("\"minutes\":20", "\"minutes\":4")))),
            after("another policy", true, (server, scene) -> {
                fine(server.put(
                        "/api/policies/ours", "{\"name\":\"Ours\",\"note\":\"\",\"values\":{\"SESSIONS_NEEDED\":4}}"));
                fine(server.post("/api/policies/ours/use", ""));
            }),
            after("a line that was edited", true, (server, scene) -> {
                fine(scene.keep(Scene.with(scene.line(), "GRADED_SET", "sets", 3)));
            }),
            after("a session of every block", true, (server, scene) -> AnySession.everyBlock(server.me(), "all")),
            after("a run of a session of every block", true, (server, scene) -> {
                AnySession.everyBlock(server.me(), "all");
                var path = "/api/clients/" + Scene.CLIENT + "/sessions/all/runs";
                scene.doAll(fine(server.post(path, "{\"id\":\"run\"}")).body());
                scene.close("run");
            }),
            after("the same motion, trained in another line", true, (server, scene) -> {
                scene.eveningOf(
                        scene.suggestedLine("hip-internal-rotation", "prone-knee-bent", "contract-relax-linger"));
                look(server);
                scene.cleanRun("other");
            }),
            after("a file with a reading", true, (server, scene) -> {
                var file = new String(server.bytes("/api/exchange/files/measurements.csv"), StandardCharsets.UTF_8);
                var rows = file.split("\r\n");
                var other = rows[1].replaceFirst("^[^,]*", "brought").replaceAll("36.0|37.0|35.0", "19.0");
                fine(server.upload("m.csv", (rows[0] + "\r\n" + other + "\r\n").getBytes(StandardCharsets.UTF_8)));
            }),
            after("eight days", true, (server, scene) -> server.clock.move(Duration.ofDays(8))),
            after("three weeks", true, (server, scene) -> server.clock.move(Duration.ofDays(28))),
            after("a look alone", false, (server, scene) -> server.get("/api/clients/" + Scene.CLIENT))
        };
    }

    @Test(dataProvider = "writes")
    public void theNextLookIsWhatAFirstLookWouldBe(String what, boolean shows, Object write) {
        var before = look();
        ((Write) write).on(server, scene);
        var kept = look();
        server.forget();
        assertThat(kept).isEqualTo(look());
        if (shows) {
            assertThat(kept).isNotEqualTo(before);
        }
    }

    @Test
    public void pausesAndPoliciesTravelAndBadOnesAreNamed() {
        fine(server.put(
                "/api/clients/" + Scene.CLIENT + "/pauses/p",
                "{\"kind\":\"ILLNESS\",\"from\":\"%s\",\"note\":\"a cold, twice\"}".formatted(today(server))));
        fine(server.put("/api/policies/ours", "{\"name\":\"Ours\",\"note\":\"\",\"values\":{\"DONE_RATIO\":0.9}}"));
        try (var copy = TestServer.empty()) {
            copy.clock.move(Duration.between(copy.clock.instant(), server.clock.instant()));
            fine(copy.upload("gradino.zip", server.bytes("/api/exchange/gradino.zip")));
            for (var file : new String[] {"pauses.csv", "policies.csv", "decisions.csv"}) {
                assertThat(new String(copy.bytes("/api/exchange/files/" + file), StandardCharsets.UTF_8))
                        .isEqualTo(new String(server.bytes("/api/exchange/files/" + file), StandardCharsets.UTF_8));
            }
            assertThat(copy.get("/api/clients/" + Scene.CLIENT + "/pauses")
                            .body()
                            .at("/0/note")
                            .asString())
                    .isEqualTo("a cold, twice");
            var wild = new String(server.bytes("/api/exchange/files/policies.csv"), StandardCharsets.UTF_8)
                    .replace("DONE_RATIO=0.9", "DONE_RATIO=7")
                    .replace("ours,1", "wild,1");
            var answer = copy.upload("policies.csv", wild.getBytes(StandardCharsets.UTF_8));
            assertThat(answer.status()).isEqualTo(422);
            assertThat(answer.paths()).containsExactly("policies.csv, row 2, thresholds");
        }
    }
}
