package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.node.ObjectNode;

/** Nonsense gets a clear problem beside its field, and nothing is half-saved. */
public class BadInputTest {
    private TestServer server;
    private Scene scene;
    private String plan;

    @BeforeClass
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server).client().measured(36, 30);
        plan = scene.suggestion().path("plan").toString();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private static String with(String json, String from, String to) {
        assertThat(json).contains(from);
        return json.replace(from, to);
    }

    @DataProvider
    public Object[][] measurements() {
        var good = Scene.measurement("bad", "LEFT", "PASSIVE", "30,31,32");
        var tape = with(good, "GONIOMETER", "TAPE");
        return new Object[][] {
            {with(good, "30,31,32", "\"NaN\""), "trials[0]", "out-of-bounds"},
            {with(good, "30,31,32", "30,500"), "trials[1]", "out-of-bounds"},
            {with(good, "30,31,32", ""), "trials[0]", "required"},
            {with(good, "30,31,32", "1,2,3,4,5,6,7"), "trials", "too-many-trials"},
            {with(good, "30,31,32", "\"many\""), "trials[0]", "unreadable"},
            {with(good, "\"pain\":0", "\"pain\":11"), "pain", "out-of-bounds"},
            {with(good, "\"COLD\"", "\"TEPID\""), "warmth", "unreadable"},
            {with(good, "prone-knee-bent", "seated-90-90-front"), "position", "position-for-motion"},
            {
                with(good, "\"note\":\"\"", "\"note\":\"\",\"happenedAt\":\"2099-01-01T00:00:00Z\""),
                "happenedAt",
                "in-the-future"
            },
            {with(good, "\"LEFT\"", "\"MIDLINE\""), "side", "side-for-motion"},
            {
                with(good, "\"note\":\"\"", "\"note\":\"\",\"incline\":{\"bench\":\" \",\"degrees\":91}"),
                "incline.degrees",
                "out-of-bounds"
            },
            {with(good, "\"note\":\"\"", "\"note\":\"\",\"controlGrade\":4"), "controlGrade", "out-of-bounds"},
            {with(good, "\"note\":\"\"", "\"note\":\"\",\"colour\":\"red\""), "colour", "unreadable"},
            {
                with(
                        tape,
                        "\"trials\":[30,31,32]",
                        "\"trials\":[],\"tape\":{\"lengthsCm\":[43],\"startCm\":0,\"body\":{\"SHANK\":42}}"),
                "tape.lengthsCm[0]",
                "does-not-fit"
            },
            {
                with(
                        tape,
                        "\"trials\":[30,31,32]",
                        "\"trials\":[],\"tape\":{\"lengthsCm\":[-1],\"startCm\":0,\"body\":{\"SHANK\":42}}"),
                "tape.lengthsCm[0]",
                "out-of-bounds"
            },
            {
                with(
                        tape,
                        "\"trials\":[30,31,32]",
                        "\"trials\":[],\"tape\":{\"lengthsCm\":[20],\"startCm\":0,\"body\":{\"SHANK\":-42}}"),
                "tape.body.SHANK",
                "out-of-bounds"
            },
            {with(tape, "\"trials\":[30,31,32]", "\"trials\":[]"), "tape.lengthsCm[0]", "required"},
        };
    }

    @Test(dataProvider = "measurements")
    public void aMeasurementThatCannotBeIsRefusedBesideItsField(String json, String path, String code) {
        var before = server.get("/api/clients/" + Scene.CLIENT + "/measurements")
                .body()
                .size();
        var answer = server.post("/api/clients/" + Scene.CLIENT + "/measurements", json);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(422);
        assertThat(answer.paths()).contains(path);
        assertThat(answer.codes()).contains(code);
        assertThat(server.get("/api/clients/" + Scene.CLIENT + "/measurements")
                        .body()
                        .size())
                .isEqualTo(before);
    }

    private record Wrong(String what, UnaryOperator<ObjectNode> change, String path, String code) {}

    private static Wrong number(String form, String number, double value, String code) {
        return new Wrong(number + " " + value, line -> Scene.with(line, form, number, value), number, code);
    }

    private static Wrong text(String from, String to, String path, String code) {
        return new Wrong(to, line -> (ObjectNode) TestServer.json(with(line.toString(), from, to)), path, code);
    }

    @DataProvider
    public Object[][] lines() {
        return Stream.of(
                        number("GRADED_SET", "ceiling", 101, "out-of-bounds"),
                        number("GRADED_SET", "ceiling", -1, "out-of-bounds"),
                        number("GRADED_SET", "ceiling", 0, "out-of-bounds"),
                        number("GRADED_SET", "sets", 0, "out-of-bounds"),
                        number("GRADED_SET", "pull", -10, "out-of-bounds"),
                        number("SUPPORTED_HOLD", "seconds", 600, "hold-too-long"),
                        text("{\"effort\":40.0,", "{\"effort\":10,", "steps[1].effort", "ramp-not-rising"),
                        text("{\"effort\":40.0,", "{\"effort\":20,", "steps[1].effort", "ramp-not-rising"),
                        new Wrong("too deep", line -> Scene.withAngle(line, 37), "angles.left", "above-range"),
                        text("prone-knee-bent", "on-the-moon", "position", "unknown-position"),
                        text("\"id\":\"bad-line\"", "\"id\":\"no id\"", "id", "bad-id"))
                .map(w -> new Object[] {w.what(), w})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "lines")
    public void aLineThatCannotBeIsRefusedBesideItsField(String what, Object wrong) {
        var w = (Wrong) wrong;
        var line = w.change().apply(scene.suggestion().put("id", "bad-line"));
        var answer = scene.keep(line);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(422);
        assertThat(answer.paths()).anyMatch(p -> p.endsWith(w.path()));
        assertThat(answer.codes()).contains(w.code());
        assertThat(server.get("/api/lines/bad-line").status()).isEqualTo(404);
    }

    @Test
    public void unknownThingsAreNotFound() {
        for (var path : new String[] {
            "/api/clients/nobody",
            "/api/clients/nobody/measurements",
            "/api/clients/nobody/day",
            "/api/lines/none",
            "/api/runs/none",
            "/api/lines/none/proposals",
            "/api/exchange/files/secrets.csv"
        }) {
            assertThat(server.get(path).status()).as(path).isEqualTo(404);
        }
        assertThat(server.post("/api/clients/nobody/measurements", Scene.measurement("x", "LEFT", "PASSIVE", "30"))
                        .status())
                .isEqualTo(404);
    }

    @Test
    public void theSameIdIsStoredOnce() {
        var measurement = Scene.measurement("twice", "LEFT", "ACTIVE", "28,29");
        var before = server.get("/api/clients/" + Scene.CLIENT + "/measurements")
                .body()
                .size();
        for (int n = 0; n < 3; n++) {
            assertThat(server.post("/api/clients/" + Scene.CLIENT + "/measurements", measurement)
                            .status())
                    .isEqualTo(200);
        }
        assertThat(server.get("/api/clients/" + Scene.CLIENT + "/measurements")
                        .body()
                        .size())
                .isEqualTo(before + 1);
        scene.client();
        assertThat(server.get("/api/clients").body().size()).isEqualTo(1);
    }

    @Test
    public void aBlockIsStoredOnceAndOnlyIfTheSessionHasIt() {
        scene.prescribed();
        var floor = scene.open("once").body();
        var phase = floor.at("/timeline/phases/1");
        var good = Scene.block(
                "r1",
                phase.path("blockId").asString(),
                phase,
                "",
                "{\"kind\":\"CIRCLE_ONE_WAY\",\"plannedSeconds\":6,\"doneSeconds\":6}");
        for (int n = 0; n < 5; n++) {
            assertThat(server.post("/api/runs/once/blocks", good).status()).isEqualTo(204);
        }
        assertThat(server.get("/api/runs/once").body().path("doneBlocks").size())
                .isEqualTo(1);
        var foreign = Scene.block("r2", "l1-left-99-press", phase, "", "");
        assertThat(server.post("/api/runs/once/blocks", foreign).codes()).containsExactly("unknown-block");
        var negative = good.replace("\"doneSeconds\":6", "\"doneSeconds\":-6").replace("r1", "r3");
        assertThat(server.post("/api/runs/once/blocks", negative).codes()).containsExactly("out-of-bounds");
    }

    @Test
    public void aClientWithoutANameIsRefused() {
        var details =
                "{\"name\":\" \",\"goal\":\"\",\"history\":\"\",\"days\":[],\"equipment\":[\"yacht\"],\"lengths\":{\"leg\":4},"
                        + "\"blockStepCm\":1,\"goals\":[],\"beighton\":12,\"birthDate\":\"2090-01-01\"}";
        var answer = server.post("/api/clients", "{\"id\":\"x\",\"details\":" + details + "}");
        assertThat(answer.paths()).contains("name", "beighton", "birthDate", "equipment[0]", "lengths.leg");
        assertThat(server.post("/api/clients", "not json").status()).isEqualTo(422);
    }

    @Test
    public void foreignPagesAndHostsAreRefused() throws Exception {
        var request = java.net.http.HttpRequest.newBuilder(java.net.URI.create(server.url("/api/clients")))
                .header("Sec-Fetch-Site", "cross-site")
                .header("Content-Type", "application/json")
                .POST(java.net.http.HttpRequest.BodyPublishers.ofString("{}"))
                .build();
        var response = java.net.http.HttpClient.newHttpClient()
                .send(request, java.net.http.HttpResponse.BodyHandlers.ofString());
        assertThat(response.statusCode()).isEqualTo(403);
        try (var socket = new java.net.Socket("127.0.0.1", server.port)) {
            socket.getOutputStream()
                    .write("GET /api/today HTTP/1.1\r\nHost: elsewhere.example\r\nConnection: close\r\n\r\n"
                            .getBytes());
            assertThat(new String(socket.getInputStream().readAllBytes())).startsWith("HTTP/1.1 403");
        }
    }
}
