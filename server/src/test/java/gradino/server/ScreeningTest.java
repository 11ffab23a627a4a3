package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.intake.Question;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.stream.Collectors;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** Answers become restrictions, and no way into the record goes past them. */
public class ScreeningTest {
    private static final String PATH = "/api/clients/" + Scene.CLIENT;
    private TestServer server;
    private Scene scene;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server).client();
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        server.close();
    }

    /** Every question answered with no, but for those named. */
    static String answers(String extra, String... yes) {
        var all = Question.all().stream()
                .map(q -> "\"%s\":%b".formatted(q.id(), java.util.List.of(yes).contains(q.id())))
                .collect(Collectors.joining(","));
        return "{\"answers\":{%s},\"events\":[],\"flareJoints\":[],\"earlierYears\":0,\"note\":\"\"%s}"
                .formatted(all, extra);
    }

    private TestServer.Answer screen(String id, String answers) {
        return server.post(PATH + "/screening", "{\"id\":\"%s\",\"answers\":%s}".formatted(id, answers));
    }

    private static String operated(String joint, String side) {
        return answers("")
                .replace(
                        "\"events\":[]",
                        "\"events\":[{\"kind\":\"OPERATION\",\"joint\":\"%s\",\"side\":\"%s\",\"on\":\"2025-01-10\",\"limits\":\"\"}]"
                                .formatted(joint, side));
    }

    @Test
    public void anUnansweredQuestionIsAskedForAndNothingIsStored() {
        var open = answers("").replace("\"heart\":false,", "");
        assertThat(screen("s1", open).paths()).containsExactly("answers.heart");
        assertThat(server.get(PATH).body().path("screeningDue").asString()).isEqualTo("NEVER_ASKED");
        assertThat(screen("s1", answers("")).status()).isEqualTo(200);
        assertThat(server.get(PATH).body().path("screeningDue").asString()).isEqualTo("NOT_DUE");
        server.clock.move(Duration.ofDays(1));
        assertThat(server.get(PATH).body().path("restrictions").size()).isZero();
    }

    @Test
    public void nonsenseIsFoundBesideItsField() {
        var pressure = answers(",\"bloodPressure\":{\"systolic\":90,\"diastolic\":130}");
        assertThat(screen("s", pressure).codes()).containsExactly("diastolic-above-systolic");
        var huge = answers(",\"bloodPressure\":{\"systolic\":900,\"diastolic\":80}");
        assertThat(screen("s", huge).codes()).containsExactly("out-of-bounds");
        assertThat(screen("s", answers("", "birth")).paths()).containsExactly("birthOn");
        var later = operated("hip", "LEFT").replace("2025-01-10", "2099-01-01");
        assertThat(screen("s", later).codes()).containsExactly("in-the-future");
        assertThat(screen("s", answers("").replace("\"heart\":false", "\"heart\":null"))
                        .status())
                .isEqualTo(422);
        assertThat(screen("s", answers("").replace("\"events\":[]", "\"events\":[null]"))
                        .status())
                .isEqualTo(422);
    }

    @Test
    public void aPreviewSaysWhatFollowsAndStoresNothing() {
        var preview =
                server.post(PATH + "/screening/preview", answers("", "hernia")).body();
        assertThat(preview.path("restrictions").size()).isEqualTo(4);
        assertThat(preview.at("/restrictions/0/source/text").asString()).isNotBlank();
        assertThat(server.get(PATH).body().path("restrictions").size()).isZero();
    }

    @Test
    public void aBlockedJointRefusesAProtocolASessionAnEditAndADecision() {
        scene.measured(36, 30).prescribed().cleanSession("s1").cleanSession("s2");
        var line = scene.line();
        screen("operated", operated("hip", "LEFT"));
        assertThat(scene.open("s3").codes()).contains("stopped");
        assertThat(scene.keep(line).codes()).contains("stopped");
        assertThat(scene.keep(line.deepCopy().put("id", "l2")).codes()).contains("stopped");
        assertThat(scene.proposal("left").at("/proposal/verdict").asString()).isEqualTo("STOP_AND_REFER");
        var changed = ",\"dose\":%s,\"reason\":\"x\""
                .formatted(Scene.dose(Scene.with(line, "GRADED_SET", "top-hold", 15), "left"));
        assertThat(scene.decide("d", "LEFT", "CHANGED", changed).codes()).contains("stopped");
    }

    @Test
    public void anotherJointGoesOn() {
        scene.measured(36, 30).prescribed();
        screen("wrist", operated("wrist", "LEFT"));
        assertThat(scene.open("s1").status()).isEqualTo(200);
        assertThat(server.get(PATH + "/day").body().path("restrictions").size()).isEqualTo(1);
    }

    @Test
    public void aCapOnContractionsShapesTheSuggestionAndRefusesALongerRamp() {
        scene.measured(36, 30);
        screen("hernia", answers("", "hernia"));
        assertThat(scene.clear("c", false, "hernia/NO_ISOMETRICS").status()).isEqualTo(200);
        var line = scene.suggestion();
        assertThat(scene.keep(Scene.with(line, "GRADED_SET", "top-hold", 20)).codes())
                .contains("contraction-cap");
        assertThat(scene.keep(line).status()).isEqualTo(200);
    }

    @Test
    public void anImportedDecisionPastAnAngleLimitIsRefused() {
        scene.measured(36, 30).prescribed();
        screen("operated", operated("hip", "RIGHT"));
        var id = server.get(PATH).body().at("/restrictions/0/id").asString();
        var clearance = """
            {"id":"c","clearedBy":"invented","writtenOn":"%s","note":"to 20","stopSigns":false,"names":[],
             "loosens":[{"restriction":"%s","motionLimits":[{"motion":"hip-internal-rotation","degrees":20}]}]}
            """.formatted(java.time.LocalDate.now(server.clock), id);
        assertThat(server.post(PATH + "/clearances", clearance).status()).isEqualTo(200);
        server.clock.move(Duration.ofDays(2));
        var at = server.clock.instant().minus(Duration.ofHours(1));
        var csv =
                "decision_id,line_id,side,answer,proposed,lever,dose_before,dose_after,reason,happened_at,recorded_at,"
                        + "policy_version,engine_version\r\n"
                        + "late,%s,right,accepted,step-up,top-hold,angle=20.0;blocks=[],".formatted(Scene.LINE)
                        + "angle=26.0;blocks=[],,%s,%s,house-1,1\r\n".formatted(at, at);
        var answer = server.upload("decisions.csv", csv.getBytes(StandardCharsets.UTF_8));
        assertThat(answer.codes()).containsExactly("angle-cap");
        assertThat(scene.open("s1").codes()).contains("angle-cap");
    }

    @Test
    public void aStopSignAsksTheScreeningAgain() {
        screen("s", answers(""));
        scene.measured(36, 30).prescribed();
        server.clock.move(Duration.ofHours(1));
        scene.open("s1");
        server.post(
                "/api/runs/s1/close",
                "{\"observer\":\"COACH\",\"stopSign\":\"LOCKING_GIVING_WAY\",\"stopSide\":\"LEFT\",\"note\":\"\"}");
        assertThat(server.get(PATH + "/day").body().path("screeningDue").asString())
                .isEqualTo("FLAG_SINCE");
    }
}
