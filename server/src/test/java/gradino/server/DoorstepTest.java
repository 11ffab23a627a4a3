package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.server.account.people.OwnerCode;
import gradino.server.platform.Commands;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Who comes in, who is kept out and for how long, and what ends with whose right. */
public class DoorstepTest {
    private static final String CLIENT = "/api/clients/" + Scene.CLIENT;
    private TestServer server;
    private Caller owner;

    @BeforeClass
    public void start() {
        server = TestServer.empty();
        owner = server.me();
        for (var name : new String[] {"coach", "other", "tried", "leaver"}) {
            owner.post("/api/accounts", TestServer.account(name, "Somebody " + name, name, "COACH"));
        }
        new Scene(server, server.signedIn("coach")).client().measured(36, 30).prescribed();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    /** Whoever guesses locks their own way in; the device on which somebody signed in before stays open to them. */
    @Test
    public void nobodyLocksAnybodyOutOfTheirOwnDevice() {
        var mine = server.signedIn("tried");
        for (int n = 0; n < 25; n++) {
            server.visitor().signIn("tried", "not the password");
        }
        assertThat(server.visitor().signIn("tried", TestServer.PASSWORD).status())
                .isEqualTo(429);
        assertThat(mine.signIn("tried", TestServer.PASSWORD).status()).isEqualTo(200);
        // A device that was let in guesses no more than others.
        int refused = 0;
        while (mine.signIn("tried", "not the password").status() == 422 && refused < 30) {
            refused++;
        }
        assertThat(refused).isEqualTo(10);
        server.clock.move(Duration.ofMinutes(16));
        assertThat(mine.signIn("tried", TestServer.PASSWORD).status()).isEqualTo(200);
    }

    /** Many at once are no more tries: each is counted before it is compared. */
    @Test
    public void triesAtOnceAreCountedOneByOne() throws Exception {
        var pool = Executors.newFixedThreadPool(8);
        try {
            var visitors =
                    IntStream.range(0, 40).mapToObj(n -> server.visitor()).toList();
            var answers = visitors.stream()
                    .map(v -> pool.submit(
                            () -> v.signIn("leaver", "not the password").status()))
                    .toList();
            int compared = 0;
            for (var answer : answers) {
                compared += answer.get() == 422 ? 1 : 0;
            }
            assertThat(compared).isEqualTo(20);
        } finally {
            pool.shutdownNow();
        }
        server.clock.move(Duration.ofMinutes(16));
    }

    @Test
    public void thePasswordOfNowIsGuessedTenTimes() {
        var me = server.signedIn("other");
        var guess = "{\"old\":\"not the password\",\"wanted\":\"quite long enough\"}";
        int refused = 0;
        while (me.post("/api/me/password", guess).status() == 422 && refused < 30) {
            refused++;
        }
        assertThat(refused).isEqualTo(10);
        server.clock.move(Duration.ofMinutes(16));
    }

    @DataProvider
    public Object[][] passwords() {
        return new Object[][] {
            {"password1234", false},
            {"Passw0rd-2026!", true},
            {"qwertyuiop12", false},
            {"123456789012", false},
            {"abcdefghijkl", false},
            {"aaaaaaaaaaaaaaa", false},
            {"lantern quay studio", false},
            {"Lantern-Quay-Studio1", false},
            {"named123named", false},
            {"three plain words", true},
        };
    }

    @Test(dataProvider = "passwords")
    public void whatIsTriedFirstIsNoPassword(String password, boolean taken) {
        var wanted = TestServer.account("p" + Math.abs(password.hashCode()), "Somebody", "named", "COACH")
                .replace(TestServer.PASSWORD, password);
        var answer = owner.post("/api/accounts", wanted);
        assertThat(answer.codes().contains("password-common")).isNotEqualTo(taken);
    }

    @Test
    public void theFirstOwnerSitsAtTheMachine() {
        try (var fresh = TestServer.ownerless()) {
            var visitor = fresh.visitor();
            var right = fresh.firstOwner("o", "first");
            var code = fresh.bean(OwnerCode.class).words();
            assertThat(visitor.post("/api/sign-in/owner", right.replace(code, "AAAA-AAAA"))
                            .codes())
                    .containsExactly("wrong");
            assertThat(visitor.post("/api/sign-in/owner", right.replace(code, code.toLowerCase(java.util.Locale.ROOT)))
                            .status())
                    .isEqualTo(200);
        }
    }

    /** On the machine itself, when the password is forgotten. */
    @Test(dependsOnMethods = "nobodyLocksAnybodyOutOfTheirOwnDevice")
    public void anOwnerWhoForgotGetsANewPassword() {
        var said = Commands.ownerReset(server.data());
        assertThat(owner.get("/api/clients").status()).isEqualTo(401);
        var password = said.replaceAll("(?s).*hollis: (\\S+).*", "$1");
        assertThat(server.visitor().signIn("hollis", TestServer.PASSWORD).status())
                .isEqualTo(422);
        assertThat(owner.signIn("hollis", password).status()).isEqualTo(200);
        assertThat(owner.post(
                                "/api/me/password",
                                "{\"old\":\"%s\",\"wanted\":\"%s\"}".formatted(password, TestServer.PASSWORD))
                        .status())
                .isEqualTo(200);
        assertThat(Commands.ownerReset(server.data(), "nobody")).contains("name the owner: hollis");
    }

    private Caller guest(Caller coach, String id) {
        var link = coach.post(CLIENT + "/home-links", "{\"id\":\"%s\",\"days\":5}".formatted(id));
        var guest = server.visitor().atHome();
        guest.post(
                "/api/home/enter",
                "{\"token\":\"%s\"}".formatted(link.body().path("token").asString()));
        assertThat(guest.get("/api/home/plan").status()).isEqualTo(200);
        return guest;
    }

    @Test
    public void aLinkEndsWithItsMakersRight() {
        owner.post("/api/accounts", TestServer.account("sub", "Somebody sub", "sub", "COACH"));
        owner.put(CLIENT + "/sharing/sub", "{\"on\":true}");
        var sub = server.signedIn("sub");
        var theirs = guest(sub, "by-sub");
        var ours = guest(server.signedIn("coach"), "by-coach");
        var unshared = owner.put(CLIENT + "/sharing/sub", "{\"on\":false}").body();
        assertThat(unshared.path("ended").valueStream().map(l -> l.path("id").asString()))
                .containsExactly("by-sub");
        assertThat(theirs.get("/api/home/plan").status()).isEqualTo(401);
        assertThat(ours.get("/api/home/plan").status()).isEqualTo(200);
        owner.put(CLIENT + "/sharing/sub", "{\"on\":true}");
        var again = guest(sub, "by-sub-again");
        var closed = owner.put("/api/accounts/sub/disabled", "{\"on\":true}").body();
        assertThat(closed.path("ended").size()).isEqualTo(1);
        assertThat(again.get("/api/home/plan").status()).isEqualTo(401);
    }

    @Test
    public void aGuestFillsInWhatWasLeftOutAndRewritesNothing() {
        var coach = server.signedIn("coach");
        var scene = new Scene(server, coach);
        var guest = guest(coach, "closed-run");
        var floor = scene.open("home-run").body();
        var phases = floor.path("timeline")
                .path("phases")
                .valueStream()
                .filter(p -> p.path("block").asString().matches("PRESS|PULL"))
                .toList();
        var rows = "{\"kind\":\"STEP\",\"plannedSeconds\":5,\"doneSeconds\":5}";
        var first = phases.get(0);
        var last = phases.get(phases.size() - 1);
        var path = "/api/runs/home-run/blocks";
        var done = Scene.block("hb1", first.path("blockId").asString(), first, "", rows);
        assertThat(guest.post(path, done).status()).isEqualTo(204);
        guest.post("/api/runs/home-run/close", "{\"observer\":\"NOBODY\",\"rating\":5,\"note\":\"\"}");
        assertThat(guest.post(path, done).status()).isEqualTo(204);
        assertThat(guest.post(path, done.replace("hb1", "hb2")).codes()).containsExactly("closed");
        var late = Scene.block("hb3", last.path("blockId").asString(), last, "", rows);
        assertThat(guest.post(path, late).status()).isEqualTo(204);
        assertThat(guest.post(path, late.replace("hb3", "hb4")).codes()).containsExactly("closed");
        assertThat(coach.post(path, late.replace("hb3", "hb5")).status()).isEqualTo(204);
        assertThat(guest.post("/api/home/leave", "").status()).isEqualTo(204);
        assertThat(guest.get("/api/home/plan").status()).isEqualTo(401);
    }

    /** What browsers say of whose page asks. */
    @DataProvider
    public Object[][] origins() {
        return new Object[][] {
            {"Origin", "https://elsewhere.example", 403},
            {"Origin", "null", 403},
            {"Sec-Fetch-Site", "cross-site", 403},
            {"Sec-Fetch-Site", "same-site", 403},
            {"Sec-Fetch-Site", "same-origin", 422},
            {"Sec-Fetch-Site", "none", 422},
            {"X-Nothing", "said", 422},
        };
    }

    @Test(dataProvider = "origins")
    public void anotherSitesPageChangesNothing(String header, String value, int status) {
        var asked = owner.request("/api/clients")
                .header("Content-Type", "application/json")
                .header(header, value)
                .POST(BodyPublishers.ofString("{}"));
        assertThat(owner.send(asked, BodyHandlers.ofString()).statusCode()).isEqualTo(status);
    }

    /** A name that a proxy is said to have been asked by counts for nothing. */
    @Test
    public void aForwardedHostIsNotBelieved() {
        var asked = owner.request("/api/clients")
                .header("X-Forwarded-Host", "elsewhere.example")
                .GET();
        assertThat(owner.send(asked, BodyHandlers.ofString()).statusCode()).isEqualTo(200);
    }

    @Test
    public void nothingPersonalIsKeptOnTheWay() {
        for (var path : new String[] {"/api/clients", "/api/today", CLIENT, "/api/sign-in"}) {
            var answer = owner.send(owner.request(path).GET(), BodyHandlers.ofString());
            assertThat(answer.headers().firstValue("Cache-Control")).as(path).hasValue("no-store");
        }
    }
}
