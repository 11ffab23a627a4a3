package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Plays a coach over HTTP: an invented client who is measured, prescribed for and trained. */
public final class Scene {
    public static final String CLIENT = "lamplighter";
    public static final String LINE = "lamplighter-line";
    public static final String DETAILS = """
            {"name":"Perrin Vale","goal":"climb to the lamp","history":"","minutes":20,"days":["MONDAY"],
             "equipment":["block"],"lengths":{"shank":42},"blockStepCm":1,
             "goals":[{"motion":"hip-internal-rotation","degrees":45,"replacesTable":false}]}
            """;
    /** Path of a session of one line. */
    public static final String EVENING = "/api/clients/" + CLIENT + "/sessions/evening";

    /** Path of the session that {@link #LINE} stands in. */
    public static final String DAILY = "/api/clients/" + CLIENT + "/sessions/daily";

    private static final String SESSION = """
            {"name":"%s","draft":{"warmUp":[],"stations":[{"lines":[%s],"rounds":1,"restSeconds":0,"oneSetUp":false}]}}
            """;
    private static final String RESTRICTION = """
            {"id":"%s","kind":"%s","scope":{"joints":[]}%s,"reason":"invented"}
            """;
    private static final String CLEARANCE = """
            {"id":"%s","clearedBy":"invented practitioner","writtenOn":"%s","until":"%s","note":"may train","stopSigns":%b,"names":[],
             "loosens":[%s]}
            """;
    private final TestServer.TestClock clock;
    private final Caller server;
    private int ids;

    public Scene(TestServer server) {
        this(server, server.me());
    }

    /** As above, played by somebody else. */
    public Scene(TestServer server, Caller who) {
        clock = server.clock;
        this.server = who;
    }

    public Scene client() {
        return client(CLIENT);
    }

    public Scene client(String id) {
        assertThat(server.post("/api/clients", "{\"id\":\"%s\",\"details\":%s}".formatted(id, DETAILS))
                        .status())
                .isEqualTo(200);
        return this;
    }

    /** A restriction that the coach adds; the limit may be null. */
    public TestServer.Answer restrict(String id, String kind, Integer limit) {
        var bound = limit == null ? "" : ",\"limit\":" + limit;
        return server.post("/api/clients/" + CLIENT + "/restrictions", RESTRICTION.formatted(id, kind, bound));
    }

    /** A clearance written today for three days; of stop signs, or of restrictions. */
    public TestServer.Answer clear(String id, boolean stopSigns, String... restrictions) {
        var loosens = java.util.Arrays.stream(restrictions)
                .map(r -> "{\"restriction\":\"" + r + "\",\"motionLimits\":[]}")
                .collect(Collectors.joining(","));
        var today = java.time.LocalDate.now(clock);
        return server.post(
                "/api/clients/" + CLIENT + "/clearances",
                CLEARANCE.formatted(id, today, today.plusDays(3), stopSigns, loosens));
    }

    public static String measurement(String id, String side, String mode, String trials) {
        return """
            {"id":"%s","motion":"hip-internal-rotation","side":"%s","mode":"%s","warmth":"COLD","position":"prone-knee-bent",
             "instrument":"GONIOMETER","tester":"COACH","trials":[%s],"endFeel":"STRETCH","pain":0,"note":""}
            """.formatted(id, side, mode, trials);
    }

    /** Both sides, passive and active, cold. */
    public Scene measured(int passive, int active) {
        for (var side : new String[] {"LEFT", "RIGHT"}) {
            for (var mode : new String[] {"PASSIVE", "ACTIVE"}) {
                int angle = mode.equals("PASSIVE") ? passive : active;
                var trials = angle + "," + (angle + 1) + "," + (angle - 1);
                var answer = server.post(
                        "/api/clients/" + CLIENT + "/measurements", measurement("m" + ++ids, side, mode, trials));
                assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
            }
        }
        return this;
    }

    /** {@link #LINE} by the house method, as the client may begin with it. */
    public ObjectNode suggestion() {
        return suggestedLine("hip-internal-rotation", "prone-knee-bent", "ramp-both-ways", LINE);
    }

    public Scene prescribed() {
        var answer = keep(suggestion());
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return this;
    }

    /** {@link #LINE} as it stands now. */
    public ObjectNode line() {
        return (ObjectNode) server.get(DAILY).body().at("/draft/stations/0/lines/0");
    }

    /** Keeps a session of {@link #LINE} alone, called Daily. */
    public TestServer.Answer keep(JsonNode line) {
        return server.put(DAILY, SESSION.formatted("Daily", line));
    }

    /** A number in every block of a kind, on both sides. */
    public static ObjectNode with(JsonNode line, String form, String number, double value) {
        var changed = (ObjectNode) line.deepCopy();
        for (var side : List.of("left", "right")) {
            for (var block : changed.path(side)) {
                if (block.path("form").asString().equals(form)) {
                    ((ObjectNode) block.path("numbers")).put(number, value);
                }
            }
        }
        return changed;
    }

    public static ObjectNode withAngle(JsonNode line, double degrees) {
        var changed = (ObjectNode) line.deepCopy();
        changed.putObject("angles").put("left", degrees).put("right", degrees);
        return changed;
    }

    /** The dose that a line has on a side, as decisions are sent. */
    public static String dose(JsonNode line, String side) {
        return "{\"angle\":%s,\"blocks\":%s}".formatted(line.at("/angles/" + side), line.path(side));
    }

    /** A number of the first block of a kind on a side. */
    public static double number(JsonNode line, String side, String form, String number) {
        return line.path(side)
                .valueStream()
                .filter(b -> b.path("form").asString().equals(form))
                .findFirst()
                .orElseThrow()
                .at("/numbers/" + number)
                .asDouble();
    }

    public TestServer.Answer open(String id) {
        return server.post(DAILY + "/runs", "{\"id\":\"" + id + "\"}");
    }

    /** Every block of an open session, done to the second. */
    public Scene doAll(JsonNode floor) {
        for (var block : blocks(floor, "b" + ++ids)) {
            var answer = server.post("/api/runs/" + floor.path("id").asString() + "/blocks", block);
            assertThat(answer.status()).as(answer.body().toString()).isEqualTo(204);
        }
        return this;
    }

    /** What is sent when every block of a floor is done to the second, under ids of its own. */
    public static List<String> blocks(JsonNode floor, String ids) {
        return phasesByBlock(floor).entrySet().stream()
                .map(block -> done(ids + "-" + block.getKey(), block.getKey(), block.getValue()))
                .toList();
    }

    /** The phases of a floor that are of a block, by its id and in their order. */
    public static Map<String, List<JsonNode>> phasesByBlock(JsonNode floor) {
        return floor.path("timeline")
                .path("phases")
                .valueStream()
                .filter(p -> !p.path("block").asString().matches("SET_UP|SIDE_CHANGE"))
                .collect(Collectors.groupingBy(
                        p -> p.path("blockId").asString(), LinkedHashMap::new, Collectors.toList()));
    }

    private static String done(String record, String id, List<JsonNode> phases) {
        var first = phases.get(0);
        boolean press = first.path("block").asString().equals("PRESS");
        int top =
                phases.stream().mapToInt(p -> p.path("effortTo").asInt()).max().orElse(0);
        var rows = phases.stream()
                .map(p -> "{\"kind\":\"%s\",\"plannedSeconds\":%d,\"doneSeconds\":%d}"
                        .formatted(p.path("kind").asString(), seconds(p), seconds(p)))
                .collect(Collectors.joining(","));
        return block(record, id, first, press ? "\"effortRating\":" + top / 10 + "," : "", rows);
    }

    public static String block(String recordId, String blockId, JsonNode phase, String rating, String phases) {
        return """
            {"id":"%s","block":{"blockId":"%s","side":"%s","kind":"%s",%s"phases":[%s],"faults":[],"pains":[],"cramps":0,
             "effortMissed":false,"note":""}}
            """.formatted(
                        recordId,
                        blockId,
                        phase.path("side").asString(),
                        phase.path("block").asString(),
                        rating,
                        phases);
    }

    public static int seconds(JsonNode phase) {
        return phase.path("endSecond").asInt() - phase.path("startSecond").asInt();
    }

    public JsonNode close(String session) {
        return server.post("/api/runs/" + session + "/close", "{\"observer\":\"COACH\",\"rating\":5,\"note\":\"\"}")
                .body();
    }

    public Scene morning(String session) {
        assertThat(server.post(
                                "/api/runs/" + session + "/morning",
                                "{\"id\":\"a" + ++ids
                                        + "\",\"question\":\"NEXT_MORNING\",\"settled\":true,\"soreness\":1}")
                        .status())
                .isEqualTo(204);
        return this;
    }

    /** A clean session, answered the next morning; the clock ends two days on. */
    public Scene cleanSession(String id) {
        var floor = open(id);
        assertThat(floor.status()).as(floor.body().toString()).isEqualTo(200);
        doAll(floor.body());
        close(id);
        clock.move(Duration.ofHours(20));
        morning(id);
        clock.move(Duration.ofHours(28));
        return this;
    }

    /** A line of a session as the client may begin with it. */
    public JsonNode suggestedLine(String motion, String position, String method) {
        return suggestedLine(motion, position, method, "l1");
    }

    public ObjectNode suggestedLine(String motion, String position, String method, String id) {
        var answer = server.get("/api/clients/%s/score/line?motion=%s&position=%s&id=%s&method=%s"
                .formatted(CLIENT, motion, position, id, method));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return (ObjectNode) answer.body();
    }

    /** Keeps a session of one line, called Evening. */
    public Scene eveningOf(JsonNode line) {
        var kept = server.put(EVENING, SESSION.formatted("Evening", line));
        assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
        return this;
    }

    /** As above, run and answered the next morning; the clock ends two days on. */
    public Scene cleanRun(String id) {
        var floor = server.post(EVENING + "/runs", "{\"id\":\"" + id + "\"}");
        assertThat(floor.status()).as(floor.body().toString()).isEqualTo(200);
        doAll(floor.body());
        close(id);
        clock.move(Duration.ofHours(20));
        morning(id);
        clock.move(Duration.ofHours(28));
        return this;
    }

    public JsonNode proposal(String side) {
        return server.get("/api/lines/" + LINE + "/proposals")
                .body()
                .path("sides")
                .path(side);
    }

    public TestServer.Answer decide(String id, String side, String answer, String extra) {
        var seen = proposal(side.toLowerCase(java.util.Locale.ROOT))
                .path("proposal")
                .path("to");
        return server.post(
                "/api/lines/" + LINE + "/decisions",
                "{\"id\":\"%s\",\"side\":\"%s\",\"answer\":\"%s\",\"seen\":%s%s}"
                        .formatted(id, side, answer, seen, extra));
    }
}
