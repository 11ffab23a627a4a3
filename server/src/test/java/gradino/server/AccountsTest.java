package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.StreamSupport;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Who may do what: every address is tried by everybody who should not get in. */
public class AccountsTest {
    private TestServer server;
    private Caller owner;
    private Caller coach;
    private Caller other;
    private Caller assistant;

    /** For whoever has a link. */
    private static final java.util.Set<String> OPEN = java.util.Set.of("/api/home/enter", "/api/shared-report");

    @BeforeClass
    public void start() {
        server = TestServer.empty();
        owner = server.me();
        for (var role : new String[] {"coach", "other", "assistant"}) {
            var kind = role.equals("assistant") ? "ASSISTANT" : "COACH";
            var made = owner.post("/api/accounts", TestServer.account(role, "Somebody " + role, role, kind));
            assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        }
        coach = server.signedIn("coach");
        other = server.signedIn("other");
        assistant = server.signedIn("assistant");
        new Scene(server, coach).client().measured(36, 30).prescribed().open("coach-session");
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    /** Every address of the API document with the coach's own ids in it. */
    @DataProvider
    public Object[][] addresses() {
        var rows = new ArrayList<Object[]>();
        owner.get("/api/openapi").body().path("paths").properties().forEach(path -> {
            var address = path.getKey()
                    .replace("{clientId}", Scene.CLIENT)
                    .replace("{lineId}", Scene.LINE)
                    .replace("{sessionId}", "daily")
                    .replace("{runId}", "coach-session")
                    .replace("{accountId}", "coach")
                    .replace("{file}", "clients.csv")
                    .replaceAll("\\{[a-zA-Z]+\\}", "none");
            path.getValue().propertyNames().stream()
                    .filter(m -> List.of("get", "post", "put", "delete").contains(m))
                    .forEach(method -> rows.add(new Object[] {method.toUpperCase(java.util.Locale.ROOT), address}));
        });
        assertThat(rows).hasSizeGreaterThan(30);
        return rows.toArray(Object[][]::new);
    }

    private static int status(Caller caller, String method, String address) {
        return caller.send(
                        caller.request(address)
                                .header(
                                        "Content-Type",
                                        address.endsWith("/calendar/busy") ? "text/calendar" : "application/json")
                                .method(method, BodyPublishers.ofString("{}")),
                        BodyHandlers.ofString())
                .statusCode();
    }

    @Test(dataProvider = "addresses")
    public void nobodyGetsInWithoutSigningIn(String method, String address) {
        // A calendar program has nothing but its secret address.
        if (address.startsWith("/api/feeds/")) {
            assertThat(status(server.visitor(), method, address)).isEqualTo(404);
        } else if (!address.startsWith("/api/sign-in") && !OPEN.contains(address)) {
            assertThat(status(server.visitor(), method, address)).isEqualTo(401);
        }
    }

    @Test(dataProvider = "addresses")
    public void anotherCoachGetsNothingOfWhatIsNotShared(String method, String address) {
        if (address.matches(".*(" + Scene.CLIENT + "|coach-session).*")) {
            // What is the owner's alone is refused before anybody looks whose client it is.
            assertThat(status(other, method, address)).isEqualTo(address.endsWith("/erasure") ? 403 : 404);
        }
    }

    @Test(dataProvider = "addresses")
    public void anAssistantChangesNothing(String method, String address) {
        if (!method.equals("GET")
                && !address.startsWith("/api/sign-in")
                && !OPEN.contains(address)
                && !address.startsWith("/api/me")) {
            assertThat(status(assistant, method, address)).isEqualTo(403);
        }
    }

    @Test(dataProvider = "addresses")
    public void onlyTheOwnerManagesTheStudio(String method, String address) {
        if (address.matches("/api/(accounts|audit|exchange).*")) {
            assertThat(status(coach, method, address)).isEqualTo(403);
        }
    }

    @Test
    public void aRefusalIsTheSameWhetherTheThingExistsOrNot() {
        for (var pair : new String[][] {
            {"/api/clients/" + Scene.CLIENT, "/api/clients/nobody"},
            {"/api/lines/" + Scene.LINE, "/api/lines/none"},
            {"/api/runs/coach-session/summary", "/api/runs/none/summary"},
        }) {
            var there = other.get(pair[0]);
            var notThere = other.get(pair[1]);
            assertThat(there.status()).isEqualTo(notThere.status());
            assertThat(without(there.body())).isEqualTo(without(notThere.body()));
        }
        assertThat(other.post("/api/clients", "{\"id\":\"%s\",\"details\":%s}".formatted(Scene.CLIENT, Scene.DETAILS))
                        .status())
                .isEqualTo(404);
    }

    /** The asked address itself is in the document. */
    private static String without(JsonNode problem) {
        return problem.toString().replaceAll("\"instance\":\"[^\"]*\",?", "");
    }

    private static List<String> names(Caller caller) {
        return StreamSupport.stream(caller.get("/api/clients").body().spliterator(), false)
                .map(c -> c.path("id").asString())
                .toList();
    }

    @Test(dependsOnMethods = "aRefusalIsTheSameWhetherTheThingExistsOrNot")
    public void aSharedClientIsSeenUntilItIsNoLongerShared() {
        var sharing = "/api/clients/" + Scene.CLIENT + "/sharing/";
        assertThat(names(other)).isEmpty();
        assertThat(coach.put(sharing + "other", "{\"on\":true}").status()).isEqualTo(200);
        assertThat(coach.put(sharing + "assistant", "{\"on\":true}").status()).isEqualTo(200);
        assertThat(names(other)).containsExactly(Scene.CLIENT);
        assertThat(names(assistant)).containsExactly(Scene.CLIENT);
        assertThat(other.get("/api/today").body().path("clients").size()).isEqualTo(1);
        assertThat(assistant.get("/api/clients/" + Scene.CLIENT + "/ranges").status())
                .isEqualTo(200);
        assertThat(other.put(sharing + "assistant", "{\"on\":false}").status()).isEqualTo(404);
        coach.put(sharing + "other", "{\"on\":false}");
        assertThat(names(other)).isEmpty();
        assertThat(names(owner)).contains(Scene.CLIENT);
    }

    @Test
    public void wrongAndUnknownNamesAreRefusedInTheSameWordsAndLockForAWhile() {
        var wrong = server.visitor().signIn("other", "not the password");
        var unknown = server.visitor().signIn("nobody at all", "not the password");
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.body().path("findings")).isEqualTo(unknown.body().path("findings"));
        for (int n = 0; n < 20; n++) {
            server.visitor().signIn("other", "not the password");
        }
        assertThat(server.visitor().signIn("other", TestServer.PASSWORD).status())
                .isEqualTo(429);
        assertThat(server.visitor().signIn("Coach ", TestServer.PASSWORD).status())
                .isEqualTo(200);
        server.clock.move(Duration.ofMinutes(16));
        assertThat(server.visitor().signIn("other", TestServer.PASSWORD).status())
                .isEqualTo(200);
    }

    @Test
    public void signingOutEverywhereEndsEveryDevice() {
        owner.post("/api/accounts", TestServer.account("leaver", "Somebody", "leaver", "COACH"));
        var phone = server.signedIn("leaver");
        var tablet = server.signedIn("leaver");
        assertThat(phone.post("/api/me/sign-out", "{}").status()).isEqualTo(204);
        assertThat(phone.get("/api/clients").status()).isEqualTo(401);
        assertThat(tablet.get("/api/clients").status()).isEqualTo(200);
        var laptop = server.signedIn("leaver");
        assertThat(tablet.post("/api/me/sign-out?everywhere=true", "{}").status())
                .isEqualTo(204);
        assertThat(laptop.get("/api/clients").status()).isEqualTo(401);
    }

    @Test
    public void aClosedAccountIsOutAtOnceAndTheLastOwnerStays() {
        owner.post("/api/accounts", TestServer.account("gone", "Somebody", "gone", "COACH"));
        var gone = server.signedIn("gone");
        owner.put("/api/accounts/gone/disabled", "{\"on\":true}");
        assertThat(gone.get("/api/clients").status()).isEqualTo(401);
        assertThat(server.visitor().signIn("gone", TestServer.PASSWORD).status())
                .isEqualTo(422);
        assertThat(owner.put("/api/accounts/owner/disabled", "{\"on\":true}").codes())
                .containsExactly("last-owner");
    }

    @Test
    public void aNewPasswordSignsOutTheOtherDevices() {
        owner.post("/api/accounts", TestServer.account("changer", "Somebody", "changer", "COACH"));
        var here = server.signedIn("changer");
        var there = server.signedIn("changer");
        var short1 =
                here.post("/api/me/password", "{\"old\":\"%s\",\"wanted\":\"short\"}".formatted(TestServer.PASSWORD));
        assertThat(short1.paths()).containsExactly("wanted");
        assertThat(here.post("/api/me/password", "{\"old\":\"wrong\",\"wanted\":\"quite long enough\"}")
                        .paths())
                .containsExactly("old");
        var changed = "{\"old\":\"%s\",\"wanted\":\"quite long enough\"}".formatted(TestServer.PASSWORD);
        assertThat(here.post("/api/me/password", changed).status()).isEqualTo(200);
        assertThat(here.get("/api/clients").status()).isEqualTo(200);
        assertThat(there.get("/api/clients").status()).isEqualTo(401);
    }

    @Test
    public void nobodyBecomesOwnerASecondTimeAndTheDemosNamesAreNotHere() {
        var again = server.visitor().post("/api/sign-in/owner", server.firstOwner("x", "xx"));
        assertThat(again.codes()).containsExactly("not-first");
        var standing = server.visitor().get("/api/sign-in").body();
        assertThat(standing.path("demo").size()).isZero();
        assertThat(standing.path("me").isMissingNode()).isTrue();
        assertThat(standing.has("demoPassword")).isFalse();
    }

    @Test
    public void theAntiForgeryTokenBelongsToTheSignInAndToNoOther() {
        var one = server.signedIn("coach");
        var token = one.cookie("XSRF-TOKEN");
        one.get("/api/today");
        assertThat(one.cookie("XSRF-TOKEN")).isEqualTo(token).isNotEmpty();
        // Somebody else's own and right token, in cookie and header alike, is none of theirs.
        var another = server.signedIn("other");
        var planted = another.request("/api/clients")
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token)
                .POST(BodyPublishers.ofString("{}"));
        assertThat(another.send(planted, BodyHandlers.ofString()).statusCode()).isEqualTo(403);
        // In the address or a form it does not count.
        var form = another.request("/api/clients?_csrf=" + another.cookie("XSRF-TOKEN"))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", "")
                .POST(BodyPublishers.ofString("{}"));
        assertThat(another.send(form, BodyHandlers.ofString()).statusCode()).isEqualTo(403);
    }

    @Test
    public void aForgedFormOfAnotherSiteIsRefused() {
        var forged = coach.request("/api/clients")
                .header("Content-Type", "application/json")
                .POST(BodyPublishers.ofString("{}"));
        forged.header("X-XSRF-TOKEN", "guessed");
        // The right token comes second and does not count.
        assertThat(coach.send(forged, BodyHandlers.ofString()).statusCode()).isEqualTo(403);
    }

    @Test(dependsOnMethods = "aSharedClientIsSeenUntilItIsNoLongerShared")
    public void theOwnerReadsWhoSawAndChangedWhat() {
        var entries = owner.get("/api/audit?clientId=" + Scene.CLIENT).body();
        var said = entries.valueStream()
                .map(e -> e.path("account").asString() + " " + e.path("action").asString() + " "
                        + e.path("what").asString())
                .toList();
        assertThat(said)
                .contains(
                        "Somebody assistant SAW /api/clients/{clientId}/ranges",
                        "Somebody coach CHANGED /api/clients/{clientId}/measurements",
                        "Somebody coach CHANGED /api/clients/{clientId}/sessions/{sessionId}/runs")
                .noneMatch(s -> s.startsWith("Somebody other SAW"));
        assertThat(entries.at("/0/clientName").asString()).isEqualTo("Perrin Vale");
    }
}
