package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.function.Predicate;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The simulated devices of a page and the one stream that carries them. */
public class DevicesTest {
    private TestServer server;

    @BeforeClass
    public void start() {
        server = TestServer.empty();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private BufferedReader stream(String page) throws Exception {
        var body = server.me()
                .send(server.me().request("/api/devices/" + page + "/stream"), BodyHandlers.ofInputStream())
                .body();
        return new BufferedReader(new InputStreamReader(body, StandardCharsets.UTF_8));
    }

    @Test
    public void theInclinometerStreamsIsZeroedHeldUnpluggedAndPluggedInAgain() throws Exception {
        var device = "{\"id\":\"d\",\"inclinometer\":{\"endDegrees\":50,\"seed\":3}}";
        assertThat(server.post("/api/devices/p", device).status()).isEqualTo(204);
        try (var lines = stream("p")) {
            until(lines, e -> e.at("/angles/0").has("held"));
            assertThat(server.post("/api/devices/p/d/zero", "{}").status()).isEqualTo(200);
            until(lines, e -> e.at("/angles/0/held/degrees").asDouble() > 40);
            var held = server.post("/api/devices/p/d/hold", "{}");
            assertThat(held.body().at("/held/degrees").asDouble()).isCloseTo(50, within(6.0));
            server.post("/api/devices/p/d/cable", "{\"in\":false}");
            until(lines, e -> !e.at("/angles/0/plugged").asBoolean(true));
            assertThat(server.post("/api/devices/p/d/hold", "{}").codes()).containsExactly("unplugged");
            server.post("/api/devices/p/d/cable", "{\"in\":true}");
            until(lines, e -> e.at("/angles/0/plugged").asBoolean());
        }
        assertThat(server.post("/api/devices/p/other/zero", "{}").status()).isEqualTo(404);
        assertThat(server.post("/api/devices/p", device.replace("50", "500")).codes())
                .containsExactly("out-of-bounds");
    }

    @Test
    public void twoGaugesShareOneStreamAndFollowWhatIsAskedOfEach() throws Exception {
        for (var side : new String[] {"LEFT", "RIGHT"}) {
            assertThat(server.post("/api/devices/two", """
                        {"id":"%s","gauge":{"side":"%s","manner":"GOOD","strengthNewtons":200,"seed":5}}
                        """.formatted(side, side))
                            .status())
                    .isEqualTo(204);
        }
        try (var lines = stream("two")) {
            ask("LEFT", 50);
            until(lines, e -> newtons(e, "LEFT") > 90);
            until(lines, e -> force(e, "RIGHT").has("tenths") && Math.abs(newtons(e, "RIGHT")) < 10);
            server.post("/api/devices/two/LEFT/cable", "{\"in\":false}");
            until(lines, e -> !force(e, "LEFT").path("plugged").asBoolean(true));
            ask("RIGHT", 40);
            until(lines, e -> newtons(e, "RIGHT") > 70);
            ask("RIGHT", 0);
            until(lines, e -> force(e, "RIGHT").path("peaks").asInt() == 1);
            server.post("/api/devices/two/LEFT/cable", "{\"in\":true}");
            until(lines, e -> newtons(e, "LEFT") > 80);
        }
        assertThat(server.post("/api/devices/two", "{\"id\":\"x\"}").codes()).containsExactly("which-device");
        assertThat(server.post("/api/devices/nobody/LEFT/cable", "{\"in\":true}")
                        .status())
                .isEqualTo(404);
    }

    private void ask(String gauge, int percent) {
        server.post("/api/devices/two/" + gauge + "/ask", """
                {"fromPercent":%d,"toPercent":%d,"seconds":60,"leftAfter":0,"contraction":60}
                """.formatted(percent, percent));
    }

    private static JsonNode force(JsonNode news, String side) {
        return news.path("forces")
                .valueStream()
                .filter(f -> f.path("side").asString().equals(side))
                .findFirst()
                .orElse(news.path("nothing"));
    }

    private static double newtons(JsonNode news, String side) {
        var tenths = force(news, side).path("tenths");
        return tenths.isEmpty() ? 0 : tenths.get(tenths.size() - 1).asInt() / 10.0;
    }

    /** Reads on until what was told is as wanted. */
    private static void until(BufferedReader lines, Predicate<JsonNode> found) throws IOException {
        for (var line = lines.readLine(); line != null; line = lines.readLine()) {
            if (line.startsWith("data:") && found.test(TestServer.json(line.substring(5)))) {
                return;
            }
        }
        throw new IOException("the stream ended");
    }
}
