package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Whatever a body names belongs to the client that its address is about: every operation is sent another client's ids. */
public class ForeignIdsTest {
    private static final String STUDIO_WIDE = "/api/(accounts|exchange|sign-in|policies|noise|devices|rehearsals).*";
    private static final String SECRET = "nobody else may read this";
    private TestServer server;
    private Caller coach;
    private Caller guest;
    private JsonNode document;

    @BeforeClass
    public void start() {
        server = TestServer.empty();
        var owner = server.me();
        owner.post("/api/accounts", TestServer.account("coach", "Somebody", "coach", "COACH"));
        coach = server.signedIn("coach");
        new Scene(server, coach).client().measured(36, 30).prescribed().open("mine");
        stranger(owner);
        guest = server.visitor().atHome();
        var link = coach.post("/api/clients/" + Scene.CLIENT + "/home-links", "{\"id\":\"l\",\"days\":5}");
        guest.post(
                "/api/home/enter",
                "{\"token\":\"%s\"}".formatted(link.body().path("token").asString()));
        document = owner.get("/api/openapi").body();
    }

    /** A client of the owner's, with something in every table that a request can name. */
    private static void stranger(Caller owner) {
        owner.post("/api/clients", "{\"id\":\"stranger\",\"details\":%s}".formatted(Scene.DETAILS));
        owner.post(
                "/api/clients/stranger/measurements",
                Scene.measurement("their-measurement", "LEFT", "PASSIVE", "30,31"));
        var added = owner.post(
                "/api/clients/stranger/restrictions",
                "{\"id\":\"their-restriction\",\"kind\":\"EFFORT_CAP\",\"limit\":50,\"scope\":{\"joints\":[]},\"reason\":\"%s\"}"
                        .formatted(SECRET));
        assertThat(added.status()).as(added.body().toString()).isEqualTo(200);
        var line = owner.get("/api/clients/stranger/score/line?motion=hip-internal-rotation&position=prone-knee-bent"
                        + "&method=ramp-both-ways&id=their-line")
                .body();
        var kept = owner.put(
                "/api/clients/stranger/sessions/evening",
                "{\"name\":\"E\",\"draft\":{\"warmUp\":[],\"stations\":[{\"lines\":[%s],\"rounds\":1,\"restSeconds\":0,\"oneSetUp\":false}]}}"
                        .formatted(line));
        assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    /** Every operation with a body that names something, with each kind of thing that a stranger has. */
    @DataProvider
    public Object[][] operations() {
        var rows = Stream.of("stranger", "their-line", "their-measurement", "their-restriction")
                .flatMap(id -> SampleBody.operations(document, id).stream()
                        .filter(op -> !op.path().matches(STUDIO_WIDE) && names(op.body(), id)))
                .map(op -> new Object[] {op})
                .toList();
        assertThat(rows).hasSizeGreaterThan(80);
        return rows.toArray(Object[][]::new);
    }

    private static boolean names(JsonNode body, String id) {
        return body.properties().stream()
                        .map(Map.Entry::getValue)
                        .anyMatch(v -> v.asString("").equals(id) || names(v, id))
                || body.valueStream().anyMatch(v -> v.asString("").equals(id) || names(v, id));
    }

    @Test(dataProvider = "operations")
    public void anotherClientsThingIsNothingHere(SampleBody.Operation op) {
        var who = op.path().startsWith("/api/home") ? guest : coach;
        var answer = who.send(op.method(), op.address(), op.body().toString());
        assertThat(answer.status())
                .as(op + " " + op.body() + " " + answer.body())
                .isEqualTo(404);
        assertThat(answer.body().toString()).doesNotContain(SECRET);
    }

    /** An address names two things only where both are the same client's. */
    @Test
    public void aThingOfAnotherIsNotReachedThroughOnesOwnClient() {
        server.me().post("/api/clients/stranger/batteries", "{}");
        var of = "/api/clients/" + Scene.CLIENT + "/";
        for (Collection<String> pair : List.of(
                List.of("DELETE", of + "home-links/their-measurement"),
                List.of("PUT", of + "pauses/their-line"),
                List.of("POST", of + "assessments/their-measurement/movements"))) {
            var parts = List.copyOf(pair);
            assertThat(coach.send(parts.get(0), parts.get(1), "{}").status()).isEqualTo(404);
        }
    }
}
