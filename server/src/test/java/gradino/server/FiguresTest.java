package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** A position drawn at an angle, from a direction, for somebody. */
public class FiguresTest {
    private static final String REAR = "/api/positions/seated-90-90-rear/figure";
    private TestServer server;

    @BeforeClass
    public void start() {
        server = TestServer.demo();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    @Test
    public void theAngleAndTheDirectionAreDrawnAsAsked() {
        var plain = server.get(REAR).body();
        var turned = server.get(REAR + "?motion=hip-internal-rotation&angle=40&azimuth=30&elevation=20")
                .body();
        assertThat(turned.path("angleDegrees").asDouble()).isEqualTo(40);
        assertThat(turned.at("/view/azimuth").asDouble()).isEqualTo(30);
        assertThat(turned.path("marks")).isNotEqualTo(plain.path("marks"));
        assertThat(plain.path("marks").toString().getBytes(StandardCharsets.UTF_8))
                .hasSizeLessThan(12_000);
    }

    @Test
    public void aClientsOwnLengthsAreDrawn() {
        var own = server.get("/api/clients/demo-rower/positions/prone-knee-bent/figure?side=RIGHT")
                .body();
        var nobodys =
                server.get("/api/positions/prone-knee-bent/figure?side=RIGHT").body();
        assertThat(own.path("marks")).isNotEqualTo(nobodys.path("marks"));
    }

    @Test
    public void whatCannotBeDrawnIsSaidByItsName() {
        assertThat(server.get("/api/positions/on-the-moon/figure").status()).isEqualTo(404);
        assertThat(server.get(REAR + "?angle=1000").paths()).containsExactly("angle");
        assertThat(server.get(REAR + "?azimuth=0&elevation=100").paths()).containsExactly("elevation");
        assertThat(server.get(REAR + "?azimuth=1e9&elevation=10").paths()).containsExactly("azimuth");
        assertThat(server.get(REAR + "?motion=flying")
                        .body()
                        .path("angleDegrees")
                        .asDouble())
                .isZero();
    }

    @Test
    public void aBlockIsShownMoving() {
        var frames = server.get("/api/moving?position=squat-rocks&way=BETWEEN")
                .body()
                .path("frames");
        assertThat(frames).hasSize(12);
        assertThat(frames.get(0)).isNotEqualTo(frames.get(11));
        assertThat(server.get("/api/moving?joint=hip&way=CIRCLE").body().path("frames"))
                .hasSize(12);
        assertThat(server.get("/api/moving?joint=tail&way=CIRCLE").status()).isEqualTo(404);
        assertThat(server.get("/api/moving?position=squat-rocks&way=SIDEWAYS").status())
                .isEqualTo(422);
    }

    @Test
    public void optionsSayWhatTheyDo() {
        var line = server.get("/api/clients/demo-rower/score/line?motion=hip-external-rotation"
                        + "&position=seated-90-90-front&id=options-1")
                .body();
        var options = server.post("/api/clients/demo-rower/score/options", line.toString())
                .body();
        assertThat(options).hasSizeGreaterThan(3);
        for (var option : options) {
            assertThat(option.path("does")).isNotEmpty();
        }
        var fold = options.valueStream()
                .filter(o -> o.path("position").asString().equals("floor-fold"))
                .findFirst();
        assertThat(fold).isPresent();
    }
}
