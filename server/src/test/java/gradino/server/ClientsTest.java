package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.server.platform.Sql;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** The client's file, and how the pages are served. */
public class ClientsTest {
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

    private long rows(String table) {
        return server.bean(Sql.class)
                .first("SELECT count(*) FROM " + table, row -> row.getLong(1))
                .orElseThrow();
    }

    private static String details(String name, String birthDate, int beighton) {
        return """
            {"name":"%s","birthDate":"%s","goal":"g","history":"","days":[],"equipment":[],"lengths":{},"beighton":%d,
             "blockStepCm":0.5,"goals":[]}
            """.formatted(name, birthDate, beighton);
    }

    @Test
    public void aChangeOfTheFileIsANewVersionAndTheOldOneStays() {
        long before = rows("client_details");
        var changed =
                server.put("/api/clients/" + Scene.CLIENT + "/details", details("Perrin Vale-Moss", "1990-05-01", 2));
        assertThat(changed.status()).isEqualTo(200);
        assertThat(changed.body().at("/details/name").asString()).isEqualTo("Perrin Vale-Moss");
        assertThat(rows("client_details")).isEqualTo(before + 1);
        assertThat(server.put("/api/clients/" + Scene.CLIENT + "/details", details("", "1990-05-01", 2))
                        .codes())
                .containsExactly("required");
        assertThat(rows("client_details")).isEqualTo(before + 1);
    }

    @Test
    public void whoLeftIsInTheArchiveWithAllThatWasRecordedAndNobodyIsAskedAboutThem() {
        server.post("/api/clients", "{\"id\":\"leaver\",\"details\":" + details("Leaver", "1990-01-01", 0) + "}");
        assertThat(server.put("/api/clients/leaver/archived", "{\"archived\":true}")
                        .body()
                        .path("archivedAt")
                        .asString())
                .isNotEmpty();
        assertThat(server.get("/api/today").body().path("clients").toString()).doesNotContain("leaver");
        assertThat(server.get("/api/clients").body().toString()).contains("\"archivedAt\"", "leaver");
        assertThat(new String(server.bytes("/api/exchange/files/clients.csv"))).containsPattern("leaver,.*Z,.*Z\r");
        var file = server.bytes("/api/exchange/files/clients.csv");
        server.put("/api/clients/leaver/archived", "{\"archived\":false}");
        assertThat(server.upload("clients.csv", file).status()).isEqualTo(200);
        assertThat(server.get("/api/clients/leaver").body().has("archivedAt"))
                .as("as the file says")
                .isTrue();
        server.put("/api/clients/leaver/archived", "{\"archived\":false}");
        assertThat(server.get("/api/today").body().path("clients").toString()).contains("leaver");
    }

    @Test
    public void theOverviewHoldsTheNewestEstimateAgainstTheGoalAndShowsNotesWithTheirAuthor() {
        var goal = details("Climber", "1990-01-01", 0)
                .replace(
                        "\"goals\":[]",
                        "\"goals\":[{\"motion\":\"hip-internal-rotation\",\"degrees\":42,\"replacesTable\":false},"
                                + "{\"motion\":\"hip-flexion\",\"degrees\":120,\"replacesTable\":false}]");
        server.post("/api/clients", "{\"id\":\"climber\",\"details\":" + goal + "}");
        server.post("/api/clients/climber/measurements", Scene.measurement("c1", "LEFT", "PASSIVE", "30"));
        var goals = server.get("/api/clients/climber/overview").body().path("goals");
        assertThat(goals.valueStream()
                        .map(g -> g.path("motion").asString() + g.path("side").asString("")))
                .containsExactly("hip-flexion", "hip-internal-rotationLEFT", "hip-internal-rotationRIGHT");
        assertThat(goals.at("/0/now").isMissingNode()).isTrue();
        assertThat(goals.at("/1/now/shortOf").asDouble()).isEqualTo(12);
        assertThat(goals.at("/1/now/reached").asString()).isEqualTo("NO");
    }

    @Test
    public void aNoteIsSignedAndCorrectedOrRemovedWhileItsFirstFormStaysOnRecord() {
        server.post("/api/clients", "{\"id\":\"reader\",\"details\":" + details("Reader", "1996-01-01", 0) + "}");
        assertThat(note("n1", " ", "").status()).isEqualTo(422);
        for (int twice = 0; twice < 2; twice++) {
            assertThat(note("n1", "Likes the mourning.", "").status()).isEqualTo(200);
        }
        var corrected = note("n2", "Likes the morning.", "n1").body();
        assertThat(corrected).hasSize(1);
        assertThat(corrected.at("/0/text").asString()).isEqualTo("Likes the morning.");
        assertThat(corrected.at("/0/author").asString()).isNotEmpty();
        assertThat(corrected.at("/0/correctedAt").asString()).isNotEmpty();
        // A correction is of the first form, and of this client's.
        assertThat(note("n3", "x", "n2").paths()).containsExactly("corrects");
        assertThat(server.post(
                                "/api/clients/" + Scene.CLIENT + "/notes",
                                "{\"id\":\"n4\",\"text\":\"x\",\"corrects\":\"n1\"}")
                        .paths())
                .containsExactly("corrects");
        assertThat(note("n5", "", "n1").body()).isEmpty();
        assertThat(note("n6", "Likes the morning.", "n1").body()).hasSize(1);
        assertThat(new String(server.bytes("/api/exchange/files/client-notes.csv"), StandardCharsets.UTF_8))
                .contains("n1,reader,client,,Likes the mourning.", "n5,reader,client,n1,,");
    }

    private TestServer.Answer note(String id, String text, String corrects) {
        var body = "{\"id\":\"%s\",\"text\":\"%s\"%s}"
                .formatted(id, text, corrects.isEmpty() ? "" : ",\"corrects\":\"" + corrects + "\"");
        return server.post("/api/clients/reader/notes", body);
    }

    @Test
    public void hypermobilityGoesByTheCutOffOfTheAge() {
        // Malfait et al. 2017 (value from memory): five points count to 50 years, four above.
        server.post("/api/clients", "{\"id\":\"young\",\"details\":" + details("Young", "1996-01-01", 4) + "}");
        server.post("/api/clients", "{\"id\":\"older\",\"details\":" + details("Older", "1970-01-01", 4) + "}");
        assertThat(server.get("/api/clients/young").body().path("hypermobile").asBoolean())
                .isFalse();
        var older = server.get("/api/clients/older").body();
        assertThat(older.path("hypermobile").asBoolean()).isTrue();
        assertThat(older.at("/restrictions/0/kind").asString()).isEqualTo("NO_DEEPENING");
    }

    @Test
    public void aRestrictionIsFreeToAddAndOnlyAClearanceLiftsIt() {
        var path = "/api/clients/" + Scene.CLIENT + "/restrictions";
        var blank = "{\"id\":\"x\",\"kind\":\"STOPPED\",\"scope\":{\"joints\":[]},\"reason\":\" \"}";
        assertThat(server.post(path, blank).codes()).containsExactly("required");
        var scene = new Scene(server);
        assertThat(scene.restrict("x", "EFFORT_CAP", null).paths()).containsExactly("limit");
        assertThat(scene.restrict("x", "EFFORT_CAP", 130).paths()).containsExactly("limit");
        assertThat(scene.restrict("x", "STOPPED", 3).paths()).containsExactly("limit");
        for (int twice = 0; twice < 2; twice++) {
            assertThat(scene.restrict("stop", "STOPPED", null).status()).isEqualTo(200);
        }
        assertThat(state()).isEqualTo("STOP");
        server.clock.move(Duration.ofDays(1));
        assertThat(scene.clear("wrong", false, "other").codes()).containsExactly("unknown-restriction");
        assertThat(scene.clear("right", false, "stop").status()).isEqualTo(200);
        assertThat(state()).isNotEqualTo("STOP");
        server.clock.move(Duration.ofDays(4));
        assertThat(state()).as("a clearance ends on its last day").isEqualTo("STOP");
        assertThat(scene.clear("again", false, "stop").status()).isEqualTo(200);
    }

    private String state() {
        return server.get("/api/clients/" + Scene.CLIENT + "/day")
                .body()
                .path("state")
                .asString();
    }

    @Test(dependsOnMethods = "aRestrictionIsFreeToAddAndOnlyAClearanceLiftsIt")
    public void aClearanceNamesWhoAndWhatAndIsStoredOnce() {
        var path = "/api/clients/" + Scene.CLIENT + "/clearances";
        var empty =
                "{\"id\":\"c\",\"clearedBy\":\"\",\"writtenOn\":\"2099-01-01\",\"note\":\"\",\"stopSigns\":false,\"names\":[],"
                        + "\"loosens\":[]}";
        assertThat(server.post(path, empty).paths())
                .containsExactlyInAnyOrder("clearedBy", "note", "writtenOn", "loosens");
        long before = rows("clearance");
        for (int n = 0; n < 2; n++) {
            assertThat(new Scene(server).clear("c", true).status()).isEqualTo(200);
        }
        assertThat(rows("clearance")).isEqualTo(before + 1);
    }

    private HttpResponse<String> page(String path) throws IOException, InterruptedException {
        return server.me().send(server.me().request(path), HttpResponse.BodyHandlers.ofString());
    }

    @Test
    public void everyDeepLinkIsServedAndAssetsAreKeptForAYear() throws Exception {
        for (var path : new String[] {"/", "/clients/x", "/clients/x/measure", "/runs/s", "/runs/s/close", "/studio"}) {
            var page = page(path);
            assertThat(page.statusCode()).as(path).isEqualTo(200);
            assertThat(page.body()).contains("<div id=\"root\">");
        }
        var script = page("/").body().replaceAll("(?s).*src=\"(/assets/[^\"]+\\.js)\".*", "$1");
        var asset = page(script);
        assertThat(asset.headers().firstValue("cache-control").orElse("")).contains("immutable");
        assertThat(asset.headers().firstValue("content-security-policy").orElse(""))
                .contains("default-src 'self'");
        assertThat(page("/api/nothing").statusCode()).isEqualTo(404);
    }

    @Test
    public void noPageOrScriptNamesAnotherHost() throws Exception {
        assertThat(page("/").body()).doesNotContain("http://").doesNotContain("https://");
    }
}
