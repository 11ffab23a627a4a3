package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** The estimate that a line goes by: of its own position, and of the instrument that it names, or of the newest reading's. */
public class EstimateTest {
    private TestServer server;
    private Scene scene;

    @BeforeMethod
    public void open() {
        server = TestServer.empty();
        scene = new Scene(server).client().measured(36, 30);
    }

    @AfterMethod(alwaysRun = true)
    public void close() {
        server.close();
    }

    @Test
    public void isTheNewestReadingsUnlessTheLineNamesAnother() {
        scene.prescribed();
        server.clock.move(java.time.Duration.ofMinutes(1));
        for (var side : new String[] {"LEFT", "RIGHT"}) {
            var typed = Scene.measurement("typed" + side, side, "PASSIVE", "50,50,50")
                    .replace("GONIOMETER", "TYPED");
            assertThat(server.post("/api/clients/" + Scene.CLIENT + "/measurements", typed)
                            .status())
                    .isEqualTo(200);
        }
        var newest = scene.proposal("left").path("range");
        assertThat(newest.path("instrument").asString()).isEqualTo("TYPED");
        assertThat(newest.path("degrees").asDouble()).isGreaterThan(45);
        var line = scene.line().put("instrument", "GONIOMETER");
        assertThat(scene.keep(line).status()).isEqualTo(200);
        var named = scene.proposal("left").path("range");
        assertThat(named.path("instrument").asString()).isEqualTo("GONIOMETER");
        assertThat(named.path("degrees").asDouble()).isLessThan(40);
    }

    /** No angle, the easiest prop, a light stretch, and a reading asked for (house rule). */
    @Test
    public void withoutOneNothingIsDeepAndAReadingIsAskedFor() {
        var line = scene.suggestedLine("hip-flexion", "supine-strap-raise", "strength-first", Scene.LINE);
        assertThat(line.at("/angles/left").asDouble()).isZero();
        assertThat(line.toString()).doesNotContain("\"sensation\":5");
        scene.keep(line);
        scene.cleanSession("r1").cleanSession("r2");
        var proposal = scene.proposal("left").path("proposal");
        assertThat(proposal.path("lever").asString()).isNotEqualTo("ANGLE");
        assertThat(proposal.path("requests").toString()).contains("cold");
    }
}
