package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import gradino.core.figure.OwnPosition;
import gradino.server.report.RecordSchema;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A studio's own positions: copied, posed, kept, used, given away and taken in. */
public class OwnPositionsTest {
    private static final Path SCHEMA =
            Path.of(System.getProperty("gradino.web.dir"), "..", "docs", "schema", "positions-1.json");
    private static final String OWN = "/api/own-positions/";
    private static final String MINE = "quay-hang";

    /** As the server writes and takes it. */
    record PositionFile(String format, List<OwnPosition> positions) {}

    private TestServer server;

    @BeforeMethod
    public void start() {
        server = TestServer.demo();
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        server.close();
    }

    /** A shipped one under a name of its own. */
    private ObjectNode copy() {
        var copy = (ObjectNode) server.get(OWN + "wall-arm-overhead").body();
        ((ObjectNode) copy.path("position")).put("id", MINE).put("name", "hang from the quay rail");
        return copy;
    }

    private TestServer.Answer save(JsonNode own) {
        return server.put(OWN + MINE, own.toString());
    }

    @Test
    public void aCopyIsUsedLikeAnyOther() {
        assertThat(save(copy()).status()).isEqualTo(200);
        assertThat(server.get("/api/library?words=quay+rail").body()).hasSize(1);
        assertThat(server.get("/api/figures").body().has(MINE)).isTrue();
        assertThat(server.get("/api/positions/" + MINE + "/figure?angle=150").status())
                .isEqualTo(200);
        var line =
                server.get("/api/clients/demo-rower/score/line?motion=shoulder-flexion&position=" + MINE + "&id=own-1");
        assertThat(line.status()).isEqualTo(200);
        assertThat(server.delete(OWN + MINE).status()).isEqualTo(204);
        assertThat(server.get("/api/library?words=quay+rail").body()).isEmpty();
        assertThat(server.get("/api/positions/" + MINE + "/figure").status()).isEqualTo(404);
    }

    @Test
    public void whatIsWrongIsSaidBesideItsFieldAndNothingIsKept() {
        var wrong = copy();
        ((ObjectNode) wrong.path("position"))
                .put("name", " ")
                .putArray("motions")
                .add("wing-flapping");
        ((ObjectNode) wrong.at("/pose/joints")).putArray("tail").add(1).add(2).add(3);
        ((ObjectNode) wrong.at("/position/training")).putArray("easier");
        assertThat(save(wrong).paths())
                .contains("position.name", "position.motions", "pose.joints.tail", "position.training.easier");
        assertThat(server.put(OWN + "seated-edge", copy().toString()).paths()).contains("position.id");
        assertThat(server.get("/api/own-positions").body()).isEmpty();
        var tried = server.post(OWN + "try", wrong.toString()).body();
        assertThat(tried.has("figure") && !tried.path("figure").isNull()).isFalse();
        assertThat(tried.path("findings")).isNotEmpty();
    }

    @Test
    public void aHandIsPulledAndThePoseComesBack() {
        var own = copy();
        var tried = server.post(OWN + "try", own.toString()).body();
        assertThat(tried.path("handles")).hasSizeGreaterThan(10);
        var hand = tried.path("handles")
                .valueStream()
                .filter(h -> h.path("spot").asString().equals("wristO"))
                .findFirst()
                .orElseThrow();
        var pull = JsonMapper.builder().build().createObjectNode();
        pull.set("own", own);
        pull.put("spot", "wristO")
                .put("x", hand.path("x").asDouble() + 5)
                .put("y", hand.path("y").asDouble() + 5);
        var pulled = server.post(OWN + "pull", pull.toString()).body();
        assertThat(pulled.at("/pose/joints/shoulderO")).isNotEqualTo(own.at("/pose/joints/shoulderO"));
        assertThat(pulled.at("/tried/figure/marks")).isNotEmpty();
        assertThat(server.post(OWN + "pull", pull.put("spot", "tail").toString())
                        .paths())
                .containsExactly("spot");
    }

    @Test
    public void aFileIsGivenAwayAndTakenInWholeOrNotAtAll() throws IOException {
        save(copy());
        var file = (ObjectNode)
                server.get(OWN + "file?id=" + MINE + "&id=seated-edge").body();
        assertThat(file.path("positions")).hasSize(2);
        assertThat(SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                        .getSchema(Files.readString(SCHEMA), InputFormat.JSON)
                        .validate(file.toString(), InputFormat.JSON))
                .isEmpty();
        server.delete(OWN + MINE);
        assertThat(server.post(OWN + "file", file.toString()).paths()).contains("positions[1].position.id");
        assertThat(server.get("/api/own-positions").body()).isEmpty();
        ((ArrayNode) file.path("positions")).remove(1);
        assertThat(server.post(OWN + "file", file.toString()).status()).isEqualTo(200);
        assertThat(server.get("/api/own-positions").body()).hasSize(1);
        assertThat(server.post(OWN + "file", file.put("format", "positions-9").toString())
                        .paths())
                .containsExactly("format");
    }

    /** Published under docs; {@code ./gradino api} writes it anew. */
    @Test
    public void thePublishedSchemaIsTheRecords() throws IOException {
        var schema = RecordSchema.of(PositionFile.class, "urn:gradino:schema:positions-1", "A studio's positions");
        RecordSchema.checkPublished(SCHEMA, schema, () -> server.bytes("/schema/positions-1.json"));
    }
}
