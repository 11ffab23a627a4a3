package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Every refusal is a problem document (RFC 9457) in plain words, whatever was sent. */
public class ProblemsTest {
    private static final String CLIENTS = "/api/clients";
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

    private HttpResponse<String> send(String method, String path, String type, String body) {
        var request = server.me().request(path).header("Content-Type", type);
        return server.me().send(request.method(method, BodyPublishers.ofString(body)), BodyHandlers.ofString());
    }

    @DataProvider
    public Object[][] nonsense() {
        var json = "application/json";
        var measurements = CLIENTS + "/" + Scene.CLIENT + "/measurements";
        return new Object[][] {
            {"POST", CLIENTS, json, "", 422},
            {"POST", CLIENTS, json, "{", 422},
            {"POST", CLIENTS, json, "[]", 422},
            {"POST", CLIENTS, json, "null", 422},
            {"POST", CLIENTS, json, "{\"id\":\"x\"}", 422},
            {"POST", CLIENTS, json, "{\"id\":\"../x\",\"details\":{}}", 422},
            {"POST", CLIENTS, "text/plain", "hello", 415},
            {"DELETE", CLIENTS, json, "", 405},
            {"POST", measurements, json, Scene.measurement("a", "LEFT", "PASSIVE", "NaN"), 422},
            {"POST", measurements, json, Scene.measurement("b", "LEFT", "PASSIVE", "1e400"), 422},
            {"POST", measurements, json, Scene.measurement("c", "LEFT", "PASSIVE", "-200"), 422},
            {"POST", measurements, json, Scene.measurement("d", "MIDDLE", "PASSIVE", "30"), 422},
            {"POST", measurements, json, Scene.measurement("e", "LEFT", "PASSIVE", ""), 422},
            {"GET", "/api/nothing-here", json, "", 404},
            {"POST", "/api/exchange/import", "multipart/form-data; boundary=x", "--x--", 422},
        };
    }

    @Test(dataProvider = "nonsense")
    public void nonsenseGetsAProblemThatHasATitleAndNoInsides(
            String method, String path, String type, String body, int status) {
        var answer = send(method, path, type, body);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(status);
        assertThat(answer.headers().firstValue("Content-Type").orElse("")).startsWith("application/problem+json");
        JsonNode problem = TestServer.json(answer.body());
        assertThat(problem.path("status").asInt()).isEqualTo(status);
        assertThat(problem.path("title").asString()).isNotBlank();
        assertThat(answer.body())
                .doesNotContain("Exception")
                .doesNotContain("gradino.")
                .doesNotContain("at java");
        if (status == 422) {
            assertThat(problem.path("findings").size()).isPositive();
            for (var finding : problem.path("findings")) {
                assertThat(finding.path("code").asString()).isNotBlank();
                assertThat(finding.path("message").asString()).endsWith(".");
            }
        }
    }

    @Test(dependsOnMethods = "nonsenseGetsAProblemThatHasATitleAndNoInsides")
    public void nothingOfItWasStored() {
        assertThat(server.get(CLIENTS).body().size()).isEqualTo(1);
        assertThat(server.get(CLIENTS + "/" + Scene.CLIENT + "/measurements")
                        .body()
                        .size())
                .isZero();
    }

    @Test
    public void aBoundIsNamedWithItsUnit() {
        var answer = server.post(
                CLIENTS + "/" + Scene.CLIENT + "/measurements", Scene.measurement("f", "LEFT", "PASSIVE", "30,999"));
        var finding = answer.body().at("/findings/0");
        assertThat(finding.path("path").asString()).isEqualTo("trials[1]");
        assertThat(finding.path("unit").asString()).isEqualTo("°");
        assertThat(finding.path("bound").asDouble()).isEqualTo(360);
    }
}
