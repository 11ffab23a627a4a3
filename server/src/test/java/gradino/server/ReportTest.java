package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A client's report over HTTP: what it says, what it cannot say, and who may read it. */
public class ReportTest {
    private static final String REPORT = "/api/clients/" + Scene.CLIENT + "/report";
    private static final String LINKS = "/api/clients/" + Scene.CLIENT + "/report-links";

    private TestServer server;
    private Scene scene;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server).client();
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private JsonNode section(String part, String query) {
        var report = server.get(REPORT + query);
        assertThat(report.status()).as(report.body().toString()).isEqualTo(200);
        return report.body()
                .at("/told/sections")
                .valueStream()
                .filter(s -> s.path("part").asString().equals(part))
                .findFirst()
                .orElseThrow();
    }

    private static String all(JsonNode section) {
        return section.toString();
    }

    private void later(int days) {
        server.clock.move(Duration.ofDays(days));
        assertThat(server.me().signIn("hollis", TestServer.PASSWORD).status()).isEqualTo(200);
    }

    @Test
    public void withNothingMeasuredAndNothingDoneItSaysSo() {
        assertThat(section("BETTER", "").path("answer").asString()).startsWith("Nothing was measured twice");
        assertThat(section("STAYED", "").path("answer").asString()).startsWith("Not told");
        assertThat(section("DONE", "").path("answer").asString()).startsWith("No session was recorded");
        assertThat(section("CLIMBED", "").path("answer").asString()).isEqualTo("Nothing is prescribed.");
        assertThat(section("HARD", "").path("answer").asString()).contains("No stop sign.");
        assertThat(all(section("BETTER", ""))).doesNotContain("0°", "NaN");
    }

    @Test
    public void saysMoreWithTheIntervalOfTheDifferenceOnceBothDaysAreThere() {
        scene.measured(30, 20);
        assertThat(all(section("BETTER", ""))).contains("measured on one day only");
        later(28);
        scene.measured(44, 40);

        var better = section("BETTER", "");
        // Two readings of SEM 3°: 14 ± 1.96·√18.
        assertThat(better.path("answer").asString()).startsWith("2 of 2 motions and sides changed");
        assertThat(all(better)).contains("5.7 to 22.3°", "more", "Control gap");
        var plain = section("BETTER", "?audience=CLIENT");
        assertThat(all(plain))
                .contains("From 30° to 44°: more than before", "Your goal is")
                .doesNotContain("interval");
    }

    @Test
    public void whatIsWithinNoiseIsSaidKindly() {
        scene.measured(30, 20);
        later(28);
        scene.measured(33, 22);

        assertThat(all(section("BETTER", "?audience=CLIENT"))).contains("a change of 9° or more would show");
        assertThat(all(section("BETTER", ""))).contains("within measurement noise");
    }

    @Test
    public void whatWasHardIsToldToEverybodyWhateverIsLeftOut() {
        scene.restrict("r", "NO_DEEPENING", null);
        for (var audience : List.of("CLIENT", "COACH", "PROFESSIONAL")) {
            var query = "?audience=" + audience + "&left=HARD,BETTER,STAYED,DONE,CLIMBED,NEXT";
            var sections = server.get(REPORT + query).body().at("/told/sections");
            assertThat(sections.valueStream().map(s -> s.path("part").asString()))
                    .containsExactly("HARD");
            assertThat(sections.toString()).contains("No deepening");
        }
    }

    @Test
    public void aClientWithEverythingStoppedHasAReport() {
        scene.measured(36, 30).prescribed().restrict("r", "STOPPED", null);

        assertThat(all(section("HARD", ""))).contains("Stopped");
        assertThat(all(section("NEXT", ""))).contains("stop and refer");
    }

    @Test
    public void daysThatCannotBeAreRefusedBesideTheirField() {
        assertThat(server.get(REPORT + "?period=DATES&from=2026-03-02").paths()).containsExactly("to");
        assertThat(server.get(REPORT + "?period=DATES&from=2026-03-02&to=2026-03-01")
                        .paths())
                .containsExactly("to");
        assertThat(server.get(REPORT + "?period=DATES&from=1990-01-01&to=2026-03-01")
                        .paths())
                .containsExactly("from");
        assertThat(server.get(REPORT + "?period=BLOCK").paths()).containsExactly("period");
        assertThat(server.get(REPORT + "?period=DATES&from=yesterday&to=2026-03-01")
                        .status())
                .isBetween(400, 422);
        assertThat(server.get(
                                REPORT
                                        + "/comparison?firstFrom=2026-03-02&firstTo=2026-03-01&secondFrom=2026-03-02&secondTo=2026-03-03")
                        .paths())
                .containsExactly("firstTo");
    }

    @Test
    public void theNoteStandsAboveTheReportAndKeepsItsEarlierForm() {
        assertThat(server.put(REPORT + "/note", "{\"text\":\"Well done.\"}").status())
                .isEqualTo(204);
        assertThat(server.put(REPORT + "/note", "{\"text\":\"Well done, keep on.\"}")
                        .status())
                .isEqualTo(204);
        assertThat(server.put(REPORT + "/note", "{\"text\":\"%s\"}".formatted("x".repeat(2001)))
                        .status())
                .isEqualTo(422);

        assertThat(server.get(REPORT).body().at("/told/note").asString()).isEqualTo("Well done, keep on.");
        assertThat(new String(server.bytes("/api/exchange/files/client-notes.csv")))
                .contains("Well done.", "Well done, keep on.");
    }

    @Test
    public void whoWasMeasuredLongAgoHasAReportOfTheLastTenYears() {
        var old = Scene.measurement("old", "LEFT", "PASSIVE", "30")
                .replace("\"note\"", "\"happenedAt\":\"2001-03-02T09:00:00Z\",\"note\"");
        assertThat(server.post("/api/clients/" + Scene.CLIENT + "/measurements", old)
                        .status())
                .isEqualTo(200);

        assertThat(server.get(REPORT).status()).isEqualTo(200);
        assertThat(server.bytes("/api/clients/" + Scene.CLIENT + "/archive.zip"))
                .isNotEmpty();
    }

    @Test
    public void itIsWrittenDownWhoTookAReport() {
        server.bytes(REPORT + ".pdf");
        server.bytes("/api/clients/" + Scene.CLIENT + "/archive.zip");

        var seen = server.get("/api/audit").body().toString();
        assertThat(seen).contains("/api/clients/{clientId}/report.pdf", "/api/clients/{clientId}/archive.zip");
    }

    @Test
    public void anAssistantReadsAReportAndAnotherCoachDoesNot() {
        for (var role : List.of("ASSISTANT", "COACH")) {
            server.post("/api/accounts", TestServer.account(role, role, role.toLowerCase(java.util.Locale.ROOT), role));
        }
        var other = server.signedIn("coach");
        for (var path : List.of(".pdf", ".csv", ".json", "-fhir.json", "")) {
            assertThat(other.get(REPORT + path).status()).as(path).isEqualTo(404);
        }
        assertThat(other.get("/api/clients/" + Scene.CLIENT + "/archive.zip").status())
                .isEqualTo(404);
        assertThat(other.get("/api/studio-report").body().toString()).doesNotContain("Perrin");
        assertThat(server.signedIn("assistant")
                        .put(REPORT + "/note", "{\"text\":\"x\"}")
                        .status())
                .isEqualTo(403);
    }

    private String link(String pin) {
        var made = server.post(
                LINKS,
                "{\"id\":\"l%s\",\"days\":30%s,\"report\":{\"period\":\"BASELINE\",\"audience\":\"COACH\"}}"
                        .formatted(pin, pin.isEmpty() ? "" : ",\"pin\":\"" + pin + "\""));
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        return made.body().path("token").asString();
    }

    private static TestServer.Answer open(Caller who, String token, String pin) {
        return who.post(
                "/api/shared-report",
                "{\"token\":\"%s\"%s}".formatted(token, pin.isEmpty() ? "" : ",\"pin\":\"" + pin + "\""));
    }

    @Test
    public void aLinkOpensTheClientsReportAndNothingElse() {
        scene.measured(36, 30);
        var token = link("");
        var visitor = server.visitor();

        var told = open(visitor, token, "");
        assertThat(told.status()).isEqualTo(200);
        // Whatever the coach looked at: the client is told in the client's words.
        assertThat(told.body().path("title").asString()).isEqualTo("How it is going");
        assertThat(visitor.get(REPORT).status()).isEqualTo(401);
        assertThat(visitor.get("/api/home/plan").status()).isEqualTo(401);
        assertThat(visitor.atHome()
                        .post("/api/home/enter", "{\"token\":\"%s\"}".formatted(token))
                        .status())
                .isEqualTo(410);
    }

    @Test
    public void aTrainingLinkOpensNoReportAndAnEndedOneNothing() {
        var training = server.post("/api/clients/" + Scene.CLIENT + "/home-links", "{\"id\":\"t\",\"days\":30}")
                .body()
                .path("token")
                .asString();
        assertThat(open(server.visitor(), training, "").status()).isEqualTo(410);
        var token = link("");
        assertThat(open(server.visitor(), token, "").status()).isEqualTo(200);
        server.me().delete("/api/clients/" + Scene.CLIENT + "/home-links/l");
        assertThat(open(server.visitor(), token, "").status()).isEqualTo(410);
        var late = link("1234");
        later(31);
        assertThat(open(server.visitor(), late, "1234").status()).isEqualTo(410);
    }

    @Test
    public void aReportBehindAPinIsClosedAfterFiveWrongOnes() {
        var token = link("4321");
        assertThat(open(server.visitor(), token, "").codes()).containsExactly("pin-needed");
        for (int i = 0; i < 5; i++) {
            assertThat(open(server.visitor(), token, "0000").status()).isEqualTo(422);
        }
        assertThat(open(server.visitor(), token, "4321").status()).isEqualTo(410);
    }
}
