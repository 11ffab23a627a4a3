package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A session for tests with one of every kind of block on both sides, invented. */
public final class AnySession {
    private static final List<String> FORMS = List.of(
            "CONTROLLED_ROTATION",
            "RELEASE",
            "SUPPORTED_HOLD",
            "GRADED_SET",
            "CONTRACT_RELAX",
            "HANDS_OFF_HOLD",
            "LIFT_OFF",
            "ECCENTRIC",
            "LOADED_STRETCH",
            "PULSES",
            "SIDESTEP_ROUNDS",
            "TRANSITION",
            "SETTLE",
            "REST",
            "RE_MEASURE");
    private static final String DRAFT = """
            {"name":"Every block","draft":{"warmUp":[{"form":"CONTROLLED_ROTATION","numbers":{"repetitions":3,"seconds":6},
             "words":{"joint":"hip"},"steps":[],"blocks":[]}],"stations":[{"lines":[{"id":"any",
             "motion":"hip-internal-rotation","position":"prone-knee-bent","method":"ramp-both-ways",
             "sides":"ONE_AFTER_OTHER","firstSide":"RIGHT","angles":{"left":20,"right":20},"left":[%1$s],"right":[%1$s],
             "setUpSeconds":10,"sideChangeSeconds":10,"sessionsPerWeek":1,"unequalReason":""}],
             "rounds":1,"restSeconds":0,"oneSetUp":false}]}}
            """;

    private AnySession() {}

    /** Keeps it for the scene's client; {@code replace} pairs change its blocks first. */
    public static void everyBlock(Caller server, String id, String... replace) {
        var forms = server.get("/api/block-forms").body();
        var blocks = new ArrayList<String>();
        for (var form : FORMS) {
            blocks.add(usual(forms, form));
        }
        var all = String.join(",", blocks);
        for (int i = 0; i + 1 < replace.length; i += 2) {
            all = all.replace(replace[i], replace[i + 1]);
        }
        var answer = server.put("/api/clients/" + Scene.CLIENT + "/sessions/" + id, DRAFT.formatted(all));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    }

    /** As it begins when it is added; a newcomer's ceiling. */
    private static String usual(JsonNode forms, String form) {
        var usual = (ObjectNode) forms.valueStream()
                .filter(f -> f.path("form").asString().equals(form))
                .findFirst()
                .orElseThrow()
                .path("usual");
        if (usual.path("numbers").has("ceiling")) {
            ((ObjectNode) usual.path("numbers")).put("ceiling", 50);
        }
        return usual.toString().replace("\"seconds\":60.0", "\"seconds\":60");
    }
}
