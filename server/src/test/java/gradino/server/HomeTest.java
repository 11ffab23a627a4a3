package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.IntStream;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A client's link: what it opens, and that it opens nothing else. */
public class HomeTest {
    private static final String LINKS = "/api/clients/" + Scene.CLIENT + "/home-links";
    private static final String SECRET = "Ottilie Secret";
    /** Open to anybody, or to whoever is at home, and about nobody else. */
    private static final Set<String> HARMLESS = Set.of(
            "GET /api/sign-in",
            "POST /api/sign-in",
            "POST /api/sign-in/owner",
            "GET /api/stop-signs",
            "POST /api/shared-report",
            "GET /api/home/plan",
            "POST /api/home/notes",
            "POST /api/home/enter",
            "POST /api/home/leave");

    private TestServer server;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        new Scene(server).client().measured(36, 30).prescribed();
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private String link(String id, int days, String pin) {
        var made = server.post(
                LINKS,
                "{\"id\":\"%s\",\"days\":%d%s}".formatted(id, days, pin == null ? "" : ",\"pin\":\"" + pin + "\""));
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        return made.body().path("token").asString();
    }

    private static TestServer.Answer enter(Caller who, String token, String pin) {
        return who.post(
                "/api/home/enter",
                "{\"token\":\"%s\"%s}".formatted(token, pin == null ? "" : ",\"pin\":\"" + pin + "\""));
    }

    private Caller home() {
        var home = server.visitor().atHome();
        assertThat(enter(home, link("l", 30, null), null).status()).isEqualTo(204);
        return home;
    }

    @Test
    public void everySessionOfTheClientIsThere() {
        var scene = new Scene(server);
        scene.eveningOf(scene.suggestedLine("hip-internal-rotation", "prone-knee-bent", "contract-relax-linger"));
        var plan = home().get("/api/home/plan").body();
        assertThat(plan.path("sessions").valueStream().map(s -> s.path("name").asString()))
                .containsExactly("Evening", "Daily");
        assertThat(plan.at("/sessions/1/due").asBoolean()).isTrue();
        assertThat(plan.at("/sessions/1/minutes").asInt()).isPositive();
    }

    @Test
    public void aClientRunsTheirOwnSessionAnswersTheMorningAndSendsANote() {
        var home = home();
        var plan = home.get("/api/home/plan").body();
        assertThat(plan.path("name").asString()).isEqualTo("Perrin");
        assertThat(plan.at("/sessions/0/name").asString()).isEqualTo("Daily");
        var scene = new Scene(server, home);
        var floor = scene.open("h1");
        assertThat(floor.status()).as(floor.body().toString()).isEqualTo(200);
        scene.doAll(floor.body());
        assertThat(home.post("/api/runs/h1/close", "{\"observer\":\"COACH\",\"note\":\"\"}")
                        .codes())
                .containsExactly("at-home");
        assertThat(home.post("/api/runs/h1/close", "{\"observer\":\"CLIENT\",\"rating\":4,\"note\":\"\"}")
                        .status())
                .isEqualTo(200);
        server.clock.move(Duration.ofHours(20));
        assertThat(home.get("/api/home/plan").body().at("/mornings/0/runId").asString())
                .isEqualTo("h1");
        scene.morning("h1");
        assertThat(home.get("/api/home/plan").body().path("mornings").size()).isZero();
        for (int i = 0; i < 2; i++) {
            assertThat(home.post("/api/home/notes", "{\"id\":\"n\",\"text\":\"left knee felt better\"}")
                            .status())
                    .isEqualTo(204);
        }
        var notes = server.get("/api/notes").body();
        assertThat(notes.size()).isEqualTo(1);
        assertThat(notes.at("/0/text").asString()).isEqualTo("left knee felt better");
        server.post("/api/clients/" + Scene.CLIENT + "/notes/read", "{}");
        assertThat(server.get("/api/notes").body().size()).isZero();
    }

    /** A step down that waits for the coach runs at home already, and says so; the coach's own session keeps the dose in force. */
    @Test
    public void aStepDownThatWaitsRunsAtHomeAlready() {
        var coach = new Scene(server);
        var floor = coach.open("s1").body();
        coach.doAll(floor);
        var press = floor.at("/timeline/phases")
                .valueStream()
                .filter(p -> p.path("blockId").asString().equals("l1-left-1-press"))
                .findFirst()
                .orElseThrow();
        var painful = Scene.block("painful", "l1-left-1-press", press, "\"effortRating\":5,", "")
                .replace("\"pains\":[]", "\"pains\":[{\"score\":7,\"kind\":\"WHILE_CONTRACTING\",\"where\":\"\"}]");
        assertThat(server.post("/api/runs/s1/blocks", painful).status()).isEqualTo(204);
        coach.close("s1");
        server.clock.move(Duration.ofHours(50));
        assertThat(coach.proposal("left").at("/proposal/verdict").asString()).isEqualTo("STEP_DOWN");
        var home = home();
        assertThat(home.get("/api/home/plan").body().at("/sessions/0/lowered/0").asString())
                .startsWith("Less for now, until your coach has looked");
        assertThat(hardest(new Scene(server, home).open("h1").body())).isEqualTo(30);
        assertThat(home.post("/api/runs/h1/close", "{\"observer\":\"CLIENT\",\"rating\":4,\"note\":\"\"}")
                        .status())
                .isEqualTo(200);
        assertThat(hardest(coach.open("s2").body())).isEqualTo(50);
        var paper = server.get(Scene.DAILY + "/handout");
        assertThat(paper.body().path("lowered").size())
                .as(paper.body().toString())
                .isEqualTo(1);
    }

    private static int hardest(JsonNode floor) {
        return floor.at("/timeline/phases")
                .valueStream()
                .filter(p -> p.path("side").asString().equals("LEFT"))
                .mapToInt(p -> p.path("effortTo").asInt())
                .max()
                .orElse(0);
    }

    @Test
    public void aLinkThatIsGuessedExpiredOrEndedIsRefusedInTheSameWords() {
        var token = link("short", 2, null);
        var home = server.visitor().atHome();
        assertThat(enter(home, token, null).status()).isEqualTo(204);
        var guessed = enter(server.visitor(), "0123456789abcdef", null);
        assertThat(guessed.status()).isEqualTo(410);
        server.clock.move(Duration.ofDays(2));
        var expired = enter(server.visitor(), token, null);
        assertThat(expired.body()).isEqualTo(guessed.body());
        assertThat(home.get("/api/home/plan").status()).isEqualTo(401);
        var other = link("ended", 30, null);
        var guest = server.visitor().atHome();
        enter(guest, other, null);
        assertThat(guest.get("/api/home/plan").status()).isEqualTo(200);
        assertThat(server.me().delete(LINKS + "/ended").status()).isEqualTo(204);
        assertThat(guest.get("/api/home/plan").status()).isEqualTo(401);
        assertThat(enter(server.visitor(), other, null).body()).isEqualTo(guessed.body());
    }

    @Test
    public void aPinIsAskedForAndFiveWrongOnesCloseTheLink() {
        var token = link("pin", 30, "4711");
        assertThat(enter(server.visitor(), token, null).codes()).containsExactly("pin-needed");
        for (int i = 0; i < 4; i++) {
            assertThat(enter(server.visitor(), token, "0000").codes()).containsExactly("wrong");
        }
        var home = server.visitor().atHome();
        assertThat(enter(home, token, "4711").status()).isEqualTo(204);
        assertThat(home.get("/api/home/plan").status()).isEqualTo(200);
        for (int i = 0; i < 5; i++) {
            assertThat(enter(server.visitor(), token, "0000").codes()).containsExactly("wrong");
        }
        assertThat(enter(server.visitor(), token, "4711").status()).isEqualTo(410);
        var links = server.get(LINKS).body();
        assertThat(links.at("/0/state").asString()).isEqualTo("closed after wrong PINs");
        assertThat(server.post(LINKS, "{\"id\":\"x\",\"days\":0}").codes()).containsExactly("out-of-bounds");
        assertThat(server.post(LINKS, "{\"id\":\"x\",\"days\":5,\"pin\":\"12ab\"}")
                        .codes())
                .containsExactly("digits");
    }

    @Test
    public void manyPinsAtOnceAreNoMoreTriesThanFive() throws Exception {
        var token = link("pin", 30, "4711");
        var tries = IntStream.range(0, 24)
                .<Callable<TestServer.Answer>>mapToObj(n -> () -> enter(server.visitor(), token, "%04d".formatted(n)))
                .toList();
        var statuses = ConcurrencyTest.atOnce(tries).stream()
                .map(TestServer.Answer::status)
                .toList();
        assertThat(statuses).containsOnly(410, 422);
        assertThat(statuses.stream().filter(s -> s == 422)).hasSize(5);
        assertThat(enter(server.visitor(), token, "4711").status()).isEqualTo(410);
    }

    /** Another client with one of everything, and a guest who knows all their ids. */
    @Test
    public void noAddressGivesAGuestAnythingOfAnotherClientOrOfTheStudio() {
        server.post(
                "/api/clients",
                "{\"id\":\"other\",\"details\":%s}".formatted(Scene.DETAILS.replace("Perrin Vale", SECRET)));
        server.post("/api/clients/other/measurements", Scene.measurement("om", "LEFT", "PASSIVE", "33,34,33"));
        var home = home();
        int tried = 0;
        var paths = server.get("/api/openapi").body().path("paths");
        for (var path : paths.propertyNames()) {
            for (var method : paths.path(path).propertyNames()) {
                var operation = method.toUpperCase(java.util.Locale.ROOT) + " " + path;
                if (!HARMLESS.contains(operation)) {
                    refused(home, operation, path, "other");
                    tried++;
                }
            }
        }
        assertThat(tried).isGreaterThan(80);
        for (var operation : HARMLESS) {
            if (operation.startsWith("GET ")) {
                assertThat(home.get(operation.substring(4)).body().toString()).doesNotContain(SECRET);
            }
        }
    }

    private static void refused(Caller home, String operation, String path, String clientId) {
        var address = path.replace("{clientId}", clientId)
                .replace("{lineId}", "other-line")
                .replace("{sessionId}", "daily")
                .replace("{runId}", "other-session")
                .replaceAll("\\{\\w+}", "any");
        var answer = home.send(operation.substring(0, operation.indexOf(' ')), address, "{}");
        assertThat(answer.status()).as(operation).isIn(400, 401, 403, 404, 405, 410, 415, 422);
        assertThat(answer.body().toString()).as(operation).doesNotContain(SECRET);
        if (path.contains("{clientId}")) {
            assertThat(answer.status()).as(operation).isIn(403, 404);
        }
    }

    /** With their own ids, only what home is made of opens. */
    @Test
    public void ofTheirOwnOnlyWhatHomeIsMadeOfOpens() {
        var home = home();
        new Scene(server, home).open("h1");
        var open = new ArrayList<String>();
        var paths = server.get("/api/openapi").body().path("paths");
        for (var path : paths.propertyNames()) {
            if (paths.path(path).has("get") && path.contains("{") && !path.contains("/devices/")) {
                var address = path.replace("{clientId}", Scene.CLIENT)
                        .replace("{lineId}", Scene.LINE)
                        .replace("{runId}", "h1")
                        .replaceAll("\\{\\w+}", "any");
                if (home.get(address).status() < 300) {
                    open.add(path);
                }
            }
        }
        assertThat(open)
                .containsExactlyInAnyOrderElementsOf(List.of(
                        "/api/clients/{clientId}/day",
                        "/api/runs/{runId}",
                        "/api/runs/{runId}/blocks",
                        "/api/runs/{runId}/summary"));
        assertThat(home.post(
                                "/api/clients/" + Scene.CLIENT + "/measurements",
                                Scene.measurement("m", "LEFT", "PASSIVE", "30"))
                        .codes())
                .contains("tester");
        JsonNode day = home.get("/api/clients/" + Scene.CLIENT + "/day").body();
        assertThat(day.path("id").asString()).isEqualTo(Scene.CLIENT);
    }
}
