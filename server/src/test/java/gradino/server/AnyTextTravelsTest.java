package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import org.apache.commons.csv.CSVFormat;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Whatever people type goes out and comes in again, and no spreadsheet takes it for a formula: nonsense in every text. */
public class AnyTextTravelsTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String CLIENT = "/api/clients/" + Scene.CLIENT;
    private static final List<String> BEGINNINGS =
            List.of("", "=", "+", "-", "@", "'", "''", "'=", ";", ":", "\\", "\"", " ", "-4.5", "{", "[");
    private static final String LETTERS = ";:\\'\"=+-@,|\t\nabc \u00e9\u05d0\u4e2d{}[]0";
    private static final String BATTERY = """
            {"body":{"items":[{"motion":"hip-internal-rotation","side":"LEFT","mode":"PASSIVE","warmth":"COLD",
             "position":"prone-knee-bent","instrument":"INCLINOMETER"}],
             "movements":[{"name":"","unit":"GRADE","higherIsBetter":true}]}}
            """;
    private final long seed = System.nanoTime();
    private final Random random = new Random(seed);
    private TestServer lived;
    private TestServer copy;
    private Scene scene;

    @BeforeClass
    public void start() {
        lived = TestServer.empty();
        copy = TestServer.empty();
        scene = new Scene(lived).client().measured(36, 30).prescribed();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        lived.close();
        copy.close();
    }

    private String nonsense() {
        var text = new StringBuilder(BEGINNINGS.get(random.nextInt(BEGINNINGS.size())));
        for (int i = random.nextInt(12); i >= 0; i--) {
            text.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        return text + "\ud83d\udef6";
    }

    /** On one line, as names are. */
    private String name() {
        return nonsense().replaceAll("[\\t\\n]", "_");
    }

    private void sent(String method, String path, ObjectNode body) {
        var answer = lived.me().send(method, path, body.toString());
        assertThat(answer.status())
                .as("seed " + seed + " " + path + " " + body + answer.body())
                .isBetween(200, 299);
    }

    private ObjectNode read(String json) {
        return (ObjectNode) JSON.readTree(json);
    }

    private void lives(int n) {
        lived.clock.move(java.time.Duration.ofMinutes(1));
        var details =
                read(Scene.DETAILS).put("name", name()).put("goal", nonsense()).put("history", nonsense());
        sent("PUT", CLIENT + "/details", details);
        sent(
                "POST",
                CLIENT + "/measurements",
                read(Scene.measurement("t" + n, "LEFT", "PASSIVE", "36,37")).put("note", nonsense()));
        var kept = (ObjectNode) lived.get(Scene.DAILY).body();
        sent("PUT", Scene.DAILY, JSON.createObjectNode().put("name", name()).set("draft", kept.path("draft")));
        var restriction = read("{\"kind\":\"MOVING_BREATH\",\"scope\":{\"joints\":[]}}");
        sent("POST", CLIENT + "/restrictions", restriction.put("id", "r" + n).put("reason", nonsense()));
        writes(n);
        runs(n);
    }

    /** What others are told or lies beside the sessions. */
    private void writes(int n) {
        var today = LocalDate.now(lived.clock);
        var clearance = read("{\"stopSigns\":false,\"names\":[],\"loosens\":[{\"motionLimits\":[]}]}")
                .put("id", "clear" + n)
                .put("clearedBy", name())
                .put("writtenOn", today.toString())
                .put("until", today.plusDays(3).toString())
                .put("note", nonsense());
        ((ObjectNode) clearance.at("/loosens/0")).put("restriction", "r" + n);
        sent("POST", CLIENT + "/clearances", clearance);
        var away = read("{\"kind\":\"OTHER\"}")
                .put("from", today.minusDays(9).toString())
                .put("until", today.minusDays(8).toString());
        sent("PUT", CLIENT + "/pauses/p" + n, away.put("note", nonsense()));
        var battery = read(BATTERY).put("id", "bat" + n).put("name", name());
        ((ObjectNode) battery.at("/body/movements/0")).put("name", name());
        sent("POST", CLIENT + "/batteries", battery);
    }

    /** What the coach answers to both sides' proposals, and why. */
    private void decides() {
        for (var side : List.of("LEFT", "RIGHT")) {
            var reason = JSON.createObjectNode().put("reason", nonsense()).toString();
            var answer = scene.decide("d" + side, side, "DECLINED", "," + reason.substring(1, reason.length() - 1));
            assertThat(answer.status()).as("seed " + seed + answer.body()).isEqualTo(200);
        }
    }

    private void runs(int n) {
        var floor = scene.open("run" + n);
        assertThat(floor.status()).as("seed " + seed + floor.body()).isEqualTo(200);
        var phase = floor.body()
                .path("timeline")
                .path("phases")
                .valueStream()
                .filter(p -> p.path("block").asString().equals("PRESS"))
                .findFirst()
                .orElseThrow();
        var rows = "{\"kind\":\"STEP\",\"plannedSeconds\":5,\"doneSeconds\":5}";
        var block = read(Scene.block("block" + n, phase.path("blockId").asString(), phase, "", rows));
        var record = (ObjectNode) block.path("block");
        record.put("note", nonsense()).put("skippedBecause", nonsense());
        record.putArray("faults").add(nonsense()).add("").add(nonsense());
        for (int i = 0; i < 2; i++) {
            ((tools.jackson.databind.node.ArrayNode) record.path("pains"))
                    .addObject()
                    .put("score", 1)
                    .put("kind", "WHILE_CONTRACTING")
                    .put("where", nonsense());
        }
        sent("POST", "/api/runs/run" + n + "/blocks", block);
        sent(
                "POST",
                "/api/runs/run" + n + "/close",
                read("{\"observer\":\"COACH\",\"rating\":5}").put("note", nonsense()));
        lived.clock.move(java.time.Duration.ofHours(20));
        var morning = read("{\"question\":\"NEXT_MORNING\",\"settled\":true,\"soreness\":1}");
        sent("POST", "/api/runs/run" + n + "/morning", morning.deepCopy().put("id", "m" + n));
        sent(
                "POST",
                "/api/runs/run" + n + "/morning",
                morning.put("id", "c" + n).put("correction", nonsense()));
        lived.clock.move(java.time.Duration.ofHours(28));
        lived.me().signIn("hollis", TestServer.PASSWORD);
    }

    @Test
    public void everyExportComesInAgainAsItWas() throws IOException {
        scene.cleanSession("first").cleanSession("second");
        decides();
        for (int n = 0; n < 12; n++) {
            lives(n);
        }
        var out = lived.archive();
        copy.clock.set(lived.clock.instant());
        copy.me().signIn("hollis", TestServer.PASSWORD);
        var taken = copy.upload("gradino.zip", lived.bytes("/api/exchange/gradino.zip"));
        assertThat(taken.status()).as("seed " + seed + " " + taken.body()).isEqualTo(200);
        var again = copy.archive();
        out.forEach((file, text) -> assertThat(again.get(file).lines())
                .as("seed " + seed + " " + file)
                .containsExactlyElementsOf(text.lines().toList()));
        for (var file : out.values()) {
            for (var row : CSVFormat.RFC4180.parse(new StringReader(file))) {
                assertThat(row).allSatisfy(cell -> assertThat(cell).matches("(?s)([^=@+\\-\t\r].*|-?[0-9.E]+)?"));
            }
        }
    }
}
