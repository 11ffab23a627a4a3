package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Studies, batteries, histories and the tape's inverse, over HTTP. */
public class MeasuringTest {
    private static final String CLIENT = "/api/clients/" + Scene.CLIENT;
    private TestServer server;

    @BeforeClass
    public void start() {
        server = TestServer.empty();
        new Scene(server).client();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private TestServer.Answer begin(String id, int people, int visits, int trials) {
        var names = "\"A\",".repeat(people);
        return server.post("/api/studies", """
            {"id":"%s","motion":"hip-internal-rotation","instrument":"GONIOMETER","people":[%s],"visits":%d,"trials":%d}
            """.formatted(
                        id, people == 0 ? "" : names.substring(0, names.length() - 1), visits, trials));
    }

    private TestServer.Answer reading(String study, int person, int visit, String trials) {
        return server.post(
                "/api/studies/" + study + "/readings",
                "{\"person\":%d,\"visit\":%d,\"trials\":[%s]}".formatted(person, visit, trials));
    }

    @Test
    public void aStudyLeadsThroughItsVisitsAndItsFiguresAreUsedFromThenOn() {
        assertThat(begin("study", 5, 2, 2).body().at("/next/person").asInt()).isZero();
        int[] truth = {20, 28, 35, 41, 50};
        for (int visit = 0; visit < 2; visit++) {
            for (int person = 0; person < 5; person++) {
                int value = truth[person] + (visit == 0 ? 0 : person % 2 == 0 ? 1 : -1);
                var answer = reading("study", person, visit, value + "," + (value + 1));
                assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
                assertThat(answer.body().path("result").isMissingNode()).isEqualTo(visit == 0 || person < 4);
            }
        }
        var result = server.get("/api/studies/study").body().path("result");
        // One-way: each person's two medians differ by 1, so MS_within = 0.5 and SEM = √0.5 (computed).
        assertThat(result.path("sem").asDouble()).isCloseTo(Math.sqrt(0.5), within(1e-9));
        assertThat(result.path("mdc95").asDouble()).isCloseTo(1.96 * Math.sqrt(2) * Math.sqrt(0.5), within(1e-9));
        assertThat(result.at("/icc/icc11").asDouble()).isBetween(0.99, 1.0);
        assertThat(sem()).isEqualTo(3);
        assertThat(server.post("/api/studies/study/finish", "{}").status()).isEqualTo(200);
        assertThat(sem()).isCloseTo(Math.sqrt(0.5), within(0.01));
        assertThat(reading("study", 0, 0, "1,2").codes()).containsExactly("finished");
    }

    @Test
    public void aStudyIsHeldAgainstTheHouseValueOfThisStudio() {
        begin("house", 5, 2, 1);
        for (int n = 0; n < 10; n++) {
            reading("house", n % 5, n / 5, String.valueOf(20 + 7 * (n % 5) + n / 5 * (n % 2)));
        }
        server.put("/api/noise", house(2.5, 4, 15));
        var result = server.get("/api/studies/house").body().path("result");
        server.put("/api/noise", house(3, 4, 15));
        assertThat(result.path("houseSem").asDouble()).isEqualTo(2.5);
    }

    private static String house(double coach, double self, double gap) {
        return "{\"semCoachDegrees\":%s,\"semSelfDegrees\":%s,\"gapMostDegrees\":%s,\"gapPercent\":33.3,\"gapLeastDegrees\":8}"
                .formatted(coach, self, gap);
    }

    @Test
    public void theOwnersGapLimitStandsOnTheRangeMapAndIsHeldToItsBounds() {
        server.post(CLIENT + "/measurements", Scene.measurement("gap-p", "RIGHT", "PASSIVE", "60,60"));
        assertThat(gapLimit()).isEqualTo(15);
        server.put("/api/noise", house(3, 4, 12));
        assertThat(gapLimit()).isEqualTo(12);
        assertThat(server.put("/api/noise", house(3, 4, 7)).paths()).containsExactly("gapLeastDegrees");
        server.put("/api/noise", house(3, 4, 15));
        assertThat(gapLimit()).isEqualTo(15);
    }

    private double gapLimit() {
        return server.get(CLIENT + "/ranges")
                .body()
                .valueStream()
                .flatMap(row -> row.path("sides").valueStream())
                .filter(side -> side.path("side").asString().equals("RIGHT"))
                .mapToDouble(side -> side.path("gapLimit").asDouble())
                .max()
                .orElseThrow();
    }

    private double sem() {
        var preview = server.post(CLIENT + "/measurements/preview", Scene.measurement("p", "LEFT", "PASSIVE", "30,31"));
        return preview.body().path("sem").asDouble();
    }

    @DataProvider
    public Object[][] badStudies() {
        return new Object[][] {{4, 2, 2, "people"}, {5, 1, 2, "visits"}, {5, 5, 2, "visits"}, {5, 2, 7, "trials"}};
    }

    @Test(dataProvider = "badStudies")
    public void aStudyThatCannotSayAnythingIsRefused(int people, int visits, int trials, String path) {
        assertThat(begin("bad", people, visits, trials).paths()).containsExactly(path);
    }

    @Test
    public void aMissingValueAndReadingsWithoutVarianceAreSaidClearly() {
        begin("gap", 5, 2, 1);
        for (int person = 0; person < 5; person++) {
            reading("gap", person, 0, "30");
        }
        reading("gap", 0, 1, "30");
        var view = server.get("/api/studies/gap").body();
        assertThat(view.path("result").isMissingNode()).isTrue();
        assertThat(view.path("missing").asString()).isNotBlank();
        assertThat(server.post("/api/studies/gap/finish", "{}").codes()).containsExactly("not-complete");
        for (int person = 1; person < 5; person++) {
            reading("gap", person, 1, "30");
        }
        assertThat(server.post("/api/studies/gap/finish", "{}").codes()).containsExactly("no-variance");
        assertThat(reading("gap", 0, 0, "30,31").codes()).containsExactly("number-of-trials");
        assertThat(reading("gap", 9, 0, "30").codes()).containsExactly("unknown");
        assertThat(reading("gap", 0, 0, "400").codes()).containsExactly("out-of-bounds");
    }

    @Test
    public void aStudyIsItsMakersAlone() {
        begin("mine", 5, 2, 1);
        server.post("/api/accounts", TestServer.account("other", "Other", "other", "COACH"));
        var other = server.signedIn("other");
        assertThat(other.get("/api/studies/mine").status()).isEqualTo(404);
        assertThat(other.get("/api/studies/nothing").body().path("detail"))
                .isEqualTo(other.get("/api/studies/mine").body().path("detail"));
        assertThat(other.put("/api/noise", house(2, 3, 15)).status()).isEqualTo(403);
        assertThat(server.put("/api/noise", house(0, 30, 15)).paths())
                .containsExactly("semCoachDegrees", "semSelfDegrees");
    }

    @Test
    public void aReTestRepeatsItsBatteryInOrderAndIsPairedWithTheFirstTime() {
        var item = "{\"motion\":\"hip-internal-rotation\",\"side\":\"%s\",\"mode\":\"PASSIVE\",\"warmth\":\"COLD\","
                + "\"position\":\"prone-knee-bent\",\"instrument\":\"INCLINOMETER\"}";
        var body =
                "{\"items\":[%s,%s],\"movements\":[{\"name\":\"deep squat\",\"unit\":\"GRADE\",\"higherIsBetter\":true}]}"
                        .formatted(item.formatted("LEFT"), item.formatted("RIGHT"));
        var saved =
                server.post(CLIENT + "/batteries", "{\"id\":\"b\",\"name\":\"Baseline\",\"body\":%s}".formatted(body));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        round("first", 30, 4);
        server.clock.move(Duration.ofDays(10));
        assertThat(retested().isMissingNode()).isTrue();
        var paired = round("second", 45, 7);
        assertThat(Instant.parse(retested().asString())).isEqualTo(server.clock.instant());
        assertThat(server.get(CLIENT + "/report")
                        .body()
                        .at("/told/sections/0/answer")
                        .asString())
                .startsWith("2 of 2 motions and sides changed");
        assertThat(paired.path("next").isMissingNode()).isTrue();
        assertThat(paired.at("/items/0/then").asDouble()).isEqualTo(30);
        assertThat(paired.at("/items/0/now").asDouble()).isEqualTo(45);
        // The difference of two days' readings: fifteen are more than 1.96·√(9 + 9) = 8.3° (house value).
        assertThat(paired.at("/items/0/change/degrees").asDouble()).isEqualTo(15);
        assertThat(paired.at("/items/0/change/lower").asDouble()).isCloseTo(15 - 8.3, within(0.05));
        assertThat(paired.at("/items/0/change/real").asBoolean()).isTrue();
        assertThat(paired.at("/movements/0/then").asDouble()).isEqualTo(4);
        assertThat(paired.at("/movements/0/now").asDouble()).isEqualTo(7);
        assertThat(server.post(CLIENT + "/assessments/first/movements", movement("m9", 11))
                        .codes())
                .containsExactly("out-of-bounds");
        assertThat(server.post(
                                CLIENT + "/batteries",
                                "{\"id\":\"c\",\"name\":\"\",\"body\":{\"items\":[],\"movements\":[]}}")
                        .paths())
                .containsExactly("name", "body.items");
        assertThat(server.post(CLIENT + "/assessments", "{\"id\":\"x\",\"batteryId\":\"nobodys\"}")
                        .status())
                .isEqualTo(404);
    }

    /** When Today says that all was measured again. */
    private JsonNode retested() {
        return server.get("/api/today")
                .body()
                .path("clients")
                .valueStream()
                .filter(c -> CLIENT.endsWith(c.path("id").asString()))
                .findFirst()
                .orElseThrow()
                .path("retestedAt");
    }

    private static String movement(String id, int value) {
        return "{\"id\":\"%s\",\"movement\":\"deep squat\",\"value\":%d,\"note\":\"\"}".formatted(id, value);
    }

    private JsonNode round(String id, int degrees, int squat) {
        var begun = server.post(CLIENT + "/assessments", "{\"id\":\"%s\",\"batteryId\":\"b\"}".formatted(id));
        assertThat(begun.body().path("next").asInt()).isZero();
        for (var side : new String[] {"LEFT", "RIGHT"}) {
            var json = Scene.measurement(id + side, side, "PASSIVE", String.valueOf(degrees))
                    .replace("GONIOMETER", "INCLINOMETER")
                    .replace("\"note\":\"\"", "\"note\":\"\",\"assessmentId\":\"" + id + "\"");
            assertThat(server.post(CLIENT + "/measurements", json).status()).isEqualTo(200);
        }
        return server.post(CLIENT + "/assessments/" + id + "/movements", movement("m-" + id, squat))
                .body();
    }

    @Test
    public void aMeasurementBeforeBirthIsRefused() {
        var born = Scene.DETAILS.replace("\"name\"", "\"birthDate\":\"2000-01-01\",\"name\"");
        server.post("/api/clients", "{\"id\":\"born\",\"details\":%s}".formatted(born));
        var early = Scene.measurement("e", "LEFT", "PASSIVE", "30")
                .replace("\"note\":\"\"", "\"note\":\"\",\"happenedAt\":\"1999-12-31T08:00:00Z\"");
        assertThat(server.post("/api/clients/born/measurements", early).codes()).containsExactly("before-birth");
    }

    @Test
    public void theTapesInverseRoundsDownToTheBlocksAndNamesWhatIsMissing() {
        var wanted = "{\"position\":\"%s\",\"degrees\":%d,\"startCm\":0,\"body\":{}}";
        // 42·sin 22° = 15.73 cm: 15 cm, which gives 20.92° (computed).
        var stack = server.post(CLIENT + "/props", wanted.formatted("seated-90-90-rear", 22))
                .body();
        assertThat(stack.path("readingCm").asDouble()).isEqualTo(15);
        assertThat(stack.path("reachedDegrees").asDouble()).isCloseTo(20.92, within(0.01));
        assertThat(server.post(CLIENT + "/props", wanted.formatted("seated-tall", 22))
                        .codes())
                .containsExactly("no-tape-here");
        assertThat(server.post(CLIENT + "/props", wanted.formatted("wall-lunge", 22))
                        .paths())
                .containsExactly("tape.body.TOE_TO_ANKLE");
        var impossible = server.post(CLIENT + "/props", wanted.formatted("seated-90-90-rear", 120));
        assertThat(impossible.body().at("/findings/0/code").asString()).isEqualTo("not-given");
        // 42 cm of shank, straight up.
        assertThat(impossible.body().at("/findings/0/message").asString()).contains("nearest is 90.0° at 42.0 cm");
    }

    @Test
    public void aHistoryTellsEveryPublishedValueAndTheBenchsOwnLine() {
        for (int n = 0; n < 4; n++) {
            var json = Scene.measurement("i" + n, "RIGHT", "PASSIVE", String.valueOf(40 - 3 * n))
                    .replace(
                            "\"note\":\"\"",
                            "\"note\":\"\",\"incline\":{\"bench\":\"grey\",\"degrees\":%d}".formatted(10 * n));
            assertThat(server.post(CLIENT + "/measurements", json).status()).isEqualTo(200);
        }
        var history = server.get(
                        CLIENT
                                + "/ranges/hip-internal-rotation?position=prone-knee-bent&instrument=GONIOMETER&since=2026-01-01T00:00:00Z")
                .body();
        assertThat(history.at("/benches/0/line/slope").asDouble()).isCloseTo(-0.3, within(1e-9));
        assertThat(history.path("tables").valueStream().map(t -> t.path("kind").asString()))
                .contains("STUDY", "ROUND");
        assertThat(history.at("/sides/1/dots").size()).isEqualTo(4);
    }
}
