package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/** Every door takes so much and no more, of whoever knocks; what cannot be seen is in no name. */
public class SizesTest {
    private static final int MB = 1024 * 1024;
    private TestServer server;
    private JsonNode document;

    @BeforeClass
    public void start() {
        server = TestServer.empty();
        new Scene(server).client().measured(36, 30).prescribed().open("mine");
        document = server.get("/api/openapi").body();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private static int sent(Caller who, String path, String type, byte[] body, boolean chunked) {
        var publisher = chunked
                ? BodyPublishers.ofInputStream(() -> new ByteArrayInputStream(body))
                : BodyPublishers.ofByteArray(body);
        return who.send(who.request(path).header("Content-Type", type).POST(publisher), BodyHandlers.ofString())
                .statusCode();
    }

    private static byte[] signIn(int letters) {
        return "{\"signIn\":\"%s\",\"password\":\"x\"}"
                .formatted("a".repeat(letters))
                .getBytes(StandardCharsets.UTF_8);
    }

    @DataProvider
    public Object[][] strangers() {
        return new Object[][] {{200, false, 422}, {17 * 1024, false, 413}, {17 * 1024, true, 413}, {25 * MB, true, 413}
        };
    }

    @Test(dataProvider = "strangers")
    public void aStrangerBringsLittle(int letters, boolean chunked, int status) {
        assertThat(sent(server.visitor(), "/api/sign-in", "application/json", signIn(letters), chunked))
                .isEqualTo(status);
    }

    @Test
    public void nobodysFileIsRead() {
        var form = "--b\r\nContent-Disposition: form-data; name=\"file\"; filename=\"a.csv\"\r\n\r\n"
                + "x".repeat(2 * MB) + "\r\n--b--\r\n";
        var bytes = form.getBytes(StandardCharsets.UTF_8);
        var type = "multipart/form-data; boundary=b";
        assertThat(sent(server.visitor(), "/api/exchange/import", type, bytes, false))
                .isIn(401, 413, 415);
        assertThat(sent(server.visitor(), "/api/sign-in", type, bytes, true)).isEqualTo(415);
        assertThat(sent(server.me(), "/api/clients", type, bytes, true)).isEqualTo(415);
    }

    /** Every operation of the document, with each of its texts too long, and with one list too many. */
    @DataProvider
    public Object[][] operations() {
        var all = SampleBody.operations(document, "an-id");
        assertThat(all).hasSizeGreaterThan(40);
        return all.stream()
                .filter(op -> op.body().toString().matches(".*\"(words|an-id)\".*"))
                .map(op -> new Object[] {op})
                .toArray(Object[][]::new);
    }

    private static JsonNode stretched(JsonNode body, int letters) {
        if (body instanceof ObjectNode object) {
            var names = List.copyOf(object.propertyNames());
            names.forEach(name -> object.set(name, stretched(object.path(name), letters)));
            return object;
        } else if (body instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                array.set(i, stretched(array.get(i), letters));
            }
            return array;
        }
        return body.isString() ? StringNode.valueOf("x".repeat(letters)) : body;
    }

    @Test(dataProvider = "operations")
    public void noOperationTakesATextThatHasNoEnd(SampleBody.Operation op) {
        var longer = stretched(op.body().deepCopy(), 401_000).toString();
        assertThat(server.me().send(op.method(), op.address(), longer).status())
                .as(op.toString())
                .isBetween(400, 499);
    }

    @DataProvider
    public Object[][] names() {
        return new Object[][] {
            {"Perrin\u200BVale", "invisible"},
            {"Perrin \u202EelaV", "invisible"},
            {"Perrin\u0007", "control"},
            {"Perrin\nVale", "invisible"},
        };
    }

    @Test(dataProvider = "names")
    public void aNameIsSeenWhole(String name, String code) {
        var details =
                Scene.DETAILS.replace("Perrin Vale", name.replace("\n", "\\n").replace("\u0007", "\\u0007"));
        var answer = server.me().post("/api/clients", "{\"id\":\"unseen\",\"details\":%s}".formatted(details));
        assertThat(answer.codes()).contains(code);
    }

    @Test
    public void aNameIsTrimmedAndAnIdIsPlain() {
        var details = Scene.DETAILS.replace("Perrin Vale", "  Wide Berth  ");
        var made = server.me().post("/api/clients", "{\"id\":\"trimmed\",\"details\":%s}".formatted(details));
        assertThat(made.body().at("/details/name").asString()).isEqualTo("Wide Berth");
        for (var id : new String[] {"a\\tb", "a b", "../x", "", "x".repeat(65)}) {
            var refused = server.me().post("/api/clients", "{\"id\":\"%s\",\"details\":%s}".formatted(id, details));
            assertThat(refused.status()).as(id).isEqualTo(422);
            assertThat(refused.paths()).as(id).contains("id");
        }
        assertThat(server.get("/api/clients/a%09b").status()).isEqualTo(404);
    }

    /** What a link brings in an hour has an end, and the next hour begins anew. */
    @Test
    public void aLinkBringsSoMuchAnHour() {
        var link = server.me().post("/api/clients/" + Scene.CLIENT + "/home-links", "{\"id\":\"quota\",\"days\":5}");
        var guest = server.visitor().atHome();
        guest.post(
                "/api/home/enter",
                "{\"token\":\"%s\"}".formatted(link.body().path("token").asString()));
        var note = "{\"id\":\"%s\",\"text\":\"%s\"}";
        int status = 0;
        int sent = 0;
        while (status != 429 && sent < 30) {
            status = guest.post("/api/home/notes", note.formatted("n" + sent++, "x".repeat(100_000)))
                    .status();
        }
        assertThat(status).isEqualTo(429);
        assertThat(sent).isBetween(9, 13);
        assertThat(guest.get("/api/home/plan").status()).isEqualTo(200);
        server.clock.move(java.time.Duration.ofMinutes(61));
        assertThat(guest.post("/api/home/notes", note.formatted("short", "Fine now"))
                        .status())
                .isLessThan(300);
        server.me().signIn("hollis", TestServer.PASSWORD);
    }
}
