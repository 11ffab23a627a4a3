package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.server.exchange.ExportService;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Map;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.json.JsonMapper;

public class ExchangeTest {
    private TestServer lived;
    private TestServer copy;

    @BeforeClass
    public void start() {
        lived = TestServer.demo();
        copy = TestServer.empty();
        compose();
    }

    /** A session kept twice, and a method of the studio's own. */
    private static final String ROWER = "/api/clients/demo-rower";

    private void compose() {
        var draft = lived.get(ROWER + "/score/suggestion").body().path("draft");
        for (var name : new String[] {"Mondays", "Tuesdays"}) {
            var body = "{\"name\":\"%s\",\"draft\":%s}".formatted(name, draft);
            assertThat(lived.put(ROWER + "/sessions/m", body).status()).isEqualTo(200);
            lived.clock.move(Duration.ofMinutes(1));
            copy.clock.move(Duration.ofMinutes(1));
        }
        var file = new String(lived.bytes("/api/methods/pulses.csv"), StandardCharsets.UTF_8)
                .replaceAll("(?m)^pulses,", "our-pulses,");
        var text = JsonMapper.builder().build().writeValueAsString(Map.of("text", file));
        assertThat(lived.post("/api/methods", text).status()).isEqualTo(200);
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        lived.close();
        copy.close();
    }

    @Test
    public void anImportedHistoryIsTheLivedOne() throws IOException {
        var answer = copy.upload("gradino.zip", lived.bytes("/api/exchange/gradino.zip"));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        assertThat(copy.archive()).isEqualTo(lived.archive());
        for (var line : new String[] {"demo-rower-line", "demo-bell-ringer-line", "demo-waller-line"}) {
            assertThat(copy.get("/api/lines/" + line + "/proposals").body())
                    .isEqualTo(lived.get("/api/lines/" + line + "/proposals").body());
        }
        assertThat(copy.get("/api/today").body())
                .isEqualTo(lived.get("/api/today").body());
    }

    @Test
    public void anArchiveFromBeforeAColumnWasAddedIsStillRead() {
        var file = lived.bytes("/api/exchange/files/blocks.csv");
        var older = new String(file, StandardCharsets.UTF_8)
                .replace(",used_degrees,used_stack_cm,used_apparatus\r\n", "\r\n")
                .replace(",,,\r\n", "\r\n");
        var answer = lived.upload("blocks.csv", older.getBytes(StandardCharsets.UTF_8));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        assertThat(answer.body().at("/0/added").asInt()).isZero();
    }

    @Test
    public void notesFromHomeTravel() {
        var notes = "note_id,client_id,text,happened_at,recorded_at,read_at\r\n"
                + "n1,demo-rower,\"stiff, after the regatta\",2026-01-02T08:00:00Z,,\r\n";
        assertThat(lived.upload("home-notes.csv", notes.getBytes(StandardCharsets.UTF_8))
                        .status())
                .isEqualTo(200);
        assertThat(new String(lived.bytes("/api/exchange/files/home-notes.csv"), StandardCharsets.UTF_8))
                .contains("n1,demo-rower,\"stiff, after the regatta\",2026-01-02T08:00:00Z,2026-01-02T08:00:00Z,");
        var lone = notes.replace("demo-rower", "nobody").replace("n1", "n2");
        assertThat(lived.upload("home-notes.csv", lone.getBytes(StandardCharsets.UTF_8))
                        .status())
                .isEqualTo(422);
    }

    @Test(dependsOnMethods = "anImportedHistoryIsTheLivedOne")
    public void sessionsAndOwnMethodsTravelAndKeepTheRestrictions() throws IOException {
        assertThat(copy.get(ROWER + "/sessions/m").body().path("name").asString())
                .isEqualTo("Tuesdays");
        assertThat(copy.get("/api/methods")
                        .body()
                        .valueStream()
                        .filter(m -> m.path("own").asBoolean()))
                .hasSize(1);
        var csv = lived.archive().get("sessions.csv");
        var broken =
                csv.replace("m,demo-rower,", "other,demo-rower,").replace("\"\"rounds\"\":1.0", "\"\"rounds\"\":99.0");
        assertThat(lived.upload("c.csv", broken.getBytes(StandardCharsets.UTF_8))
                        .paths())
                .isNotEmpty()
                .allMatch(path -> path.matches("c.csv, row \\d+, arrangement_json"));
        var notJson = csv.substring(0, csv.indexOf("\r\n") + 2) + "x,demo-rower,X,{oops},2026-01-01T00:00:00Z\r\n";
        assertThat(lived.upload("c.csv", notJson.getBytes(StandardCharsets.UTF_8))
                        .paths())
                .containsExactly("c.csv, row 2, arrangement_json");
        var shipped = lived.archive().get("studio-methods.csv").replace("our-pulses", "pulses");
        assertThat(lived.upload("s.csv", shipped.getBytes(StandardCharsets.UTF_8))
                        .codes())
                .contains("shipped-id");
    }

    @Test(dependsOnMethods = "anImportedHistoryIsTheLivedOne")
    public void importingTheExportAgainChangesNothing() throws IOException {
        var before = lived.archive();
        var answer = lived.upload("gradino.zip", lived.bytes("/api/exchange/gradino.zip"));
        assertThat(answer.body()
                        .valueStream()
                        .mapToInt(t -> t.path("added").asInt())
                        .sum())
                .isZero();
        assertThat(lived.archive()).isEqualTo(before);
    }

    @Test
    public void batteriesAreHeldToTheCatalogueAndMovementsToTheirBattery() {
        var battery = "battery_id,client_id,name,set_json,recorded_at\r\nb,demo-rower,Odd,"
                + "\"{\"\"items\"\":[{\"\"motion\"\":\"\"tail-wag\"\",\"\"side\"\":\"\"LEFT\"\",\"\"mode\"\":\"\"PASSIVE\"\",\"\"warmth\"\":\"\"COLD\"\","
                + "\"\"position\"\":\"\"prone-knee-bent\"\",\"\"instrument\"\":\"\"TAPE\"\"}],\"\"movements\"\":[]}\",2026-01-05T08:00:00Z\r\n";
        assertThat(lived.upload("b.csv", battery.getBytes(StandardCharsets.UTF_8))
                        .codes())
                .containsExactly("unknown-motion");
        var header =
                "result_id,client_id,assessment_id,run_id,movement,unit,warmth,value,happened_at,recorded_at,note\r\n";
        var nowhere = header + "r,demo-rower,none,,Deep squat,grade,cold,4,2026-01-05T08:00:00Z,,\r\n";
        assertThat(lived.upload("m.csv", nowhere.getBytes(StandardCharsets.UTF_8))
                        .codes())
                .containsExactly("unknown-assessment");
        assertThat(lived.upload("m.csv", nowhere.replace("none,,", ",none,").getBytes(StandardCharsets.UTF_8))
                        .codes())
                .containsExactly("unknown-run");
        var json = battery.replace("\"{", "\"{{");
        assertThat(lived.upload("b.csv", json.getBytes(StandardCharsets.UTF_8)).codes())
                .containsExactly("unreadable");
    }

    private static final String HEADER =
            "measurement_id,client_id,motion,side,mode,warmth,position,instrument,tester,happened_at,recorded_at,trials_deg,"
                    + "tape_lengths_cm,tape_start_cm,tape_body_cm,end_feel,pain,control_grade,note,measured_by,bench,incline_deg,"
                    + "assessment_id\r\n";

    private static String row(int n, String side, String trials) {
        return "bulk-%d,demo-puppeteer,hip-internal-rotation,%s,passive,cold,prone-knee-bent,goniometer,coach,"
                        .formatted(n, side)
                + "2026-01-%02dT08:00:00Z,,%s,,,,stretch,0,,\"said \"\"fine\"\", then left\",,,,\r\n"
                        .formatted(1 + n % 28, trials);
    }

    @Test
    public void oneBrokenRowInTenThousandStoresNothingAndIsNamed() {
        var csv = new StringBuilder(HEADER);
        for (int n = 1; n <= 10_000; n++) {
            csv.append(row(n, n == 7_321 ? "leftish" : "left", n == 7_321 ? "30;NaN" : "30;31"));
        }
        var answer = lived.upload("mine.csv", csv.toString().getBytes(StandardCharsets.UTF_8));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.paths()).containsExactly("mine.csv, row 7322, side", "mine.csv, row 7322, trials_deg");
        assertThat(answer.body().at("/findings/0/message").asString())
                .contains("leftish")
                .contains("left, right");
        assertThat(lived.get("/api/clients/demo-puppeteer/measurements").body().size())
                .isZero();
    }

    @Test(dependsOnMethods = "oneBrokenRowInTenThousandStoresNothingAndIsNamed")
    public void quotesAndCommasComeThroughAsTheyWere() {
        var answer = copy.upload("m.csv", (HEADER + row(1, "left", "30;31")).getBytes(StandardCharsets.UTF_8));
        assertThat(answer.status()).isIn(200, 422);
        var stored = lived.upload("m.csv", (HEADER + row(1, "left", "30;31")).getBytes(StandardCharsets.UTF_8));
        assertThat(stored.body().at("/0/added").asInt()).isEqualTo(1);
        assertThat(lived.get("/api/clients/demo-puppeteer/measurements")
                        .body()
                        .at("/0/note")
                        .asString())
                .isEqualTo("said \"fine\", then left");
    }

    @Test
    public void nonsenseFilesAreSaidToBeNonsense() {
        assertThat(lived.upload("a.csv", "colour,shape\r\nred,round\r\n".getBytes())
                        .codes())
                .containsExactly("unknown-header");
        assertThat(lived.upload("b.csv", new byte[0]).codes()).containsExactly("empty-file");
        var open = HEADER + "x,\"never closed";
        assertThat(lived.upload("c.csv", open.getBytes()).codes()).containsExactly("not-csv");
        var unknown = HEADER + row(1, "left", "30").replace("demo-puppeteer", "nobody");
        assertThat(lived.upload("d.csv", unknown.getBytes()).codes()).containsExactly("unknown-client");
        var future = HEADER + row(1, "left", "30").replace("2026-01", "2099-01");
        assertThat(lived.upload("e.csv", future.getBytes()).codes()).containsExactly("in-the-future");
        var shortRow = HEADER + "x,y\r\n";
        assertThat(lived.upload("f.csv", shortRow.getBytes()).codes()).containsExactly("cells");
    }

    /** In a cell of its own: one ramp to an effort. */
    private static String dose(int effort) {
        return ("\"angle=20.0;blocks=[{\"\"form\"\":\"\"PRESS_RAMP\"\",\"\"numbers\"\":{},\"\"words\"\":{},"
                        + "\"\"steps\"\":[{\"\"effort\"\":%d,\"\"seconds\"\":5}],\"\"blocks\"\":[]}]\"")
                .formatted(effort);
    }

    @Test
    public void anImportCannotBreakARestriction() throws IOException {
        var decisions = lived.archive().get("decisions.csv").split("\r\n");
        var broken = "late,demo-bell-ringer-line,left,accepted,step-up,ceiling,"
                + dose(70) + "," + dose(80) + ",,"
                + "2026-03-01T10:00:00Z,2026-03-01T10:00:00Z,house-1,1,";
        // What a coach declined changed nothing, so it breaks nothing, wherever the dose stood.
        var kept =
                broken.replace("late,", "kept,").replace("accepted", "declined").replace(dose(70), dose(80));
        var csv = String.join("\r\n", decisions[0], kept, broken, "");
        var answer = lived.upload("decisions.csv", csv.getBytes(StandardCharsets.UTF_8));
        assertThat(answer.codes()).containsExactly("effort-cap");
        assertThat(answer.paths()).containsExactly("decisions.csv, row 3, dose");
    }

    /** Asked for while one is being written: the first byte of it asks for another. */
    @Test
    public void oneArchiveAtATimeIsTakenOut() throws IOException {
        var statuses = new ArrayList<Integer>();
        lived.bean(ExportService.class).zip("somebody", new OutputStream() {
            @Override
            public void write(int one) {
                if (statuses.isEmpty()) {
                    statuses.add(lived.get("/api/exchange/gradino.zip").status());
                }
            }
        });
        assertThat(statuses).containsExactly(429);
        assertThat(lived.get("/api/exchange/gradino.zip").status()).isEqualTo(200);
    }
}
