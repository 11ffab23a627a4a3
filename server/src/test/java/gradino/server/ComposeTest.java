package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Composing whole sessions over HTTP. */
public class ComposeTest {
    private static final String ROWER = "/api/clients/demo-rower";
    private static final String BELLS = "/api/clients/demo-bell-ringer";
    private TestServer server;

    @BeforeClass
    public void start() {
        server = TestServer.demo();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private JsonNode suggestion(String client) {
        return server.get(client + "/score/suggestion").body();
    }

    private TestServer.Answer preview(String client, JsonNode draft) {
        return server.post(client + "/score/preview", draft.toString());
    }

    private static ObjectNode block(JsonNode draft, int index) {
        return (ObjectNode) draft.at("/stations/0/lines/0/left/" + index);
    }

    private static JsonNode with(JsonNode draft, int index, String number, double value) {
        var copy = draft.deepCopy();
        ((ObjectNode) block(copy, index).path("numbers")).put(number, value);
        return copy;
    }

    @Test
    public void theSuggestionSaysWhyAndIsFeasibleSafeAndShortEnough() {
        var suggested = suggestion(ROWER);
        assertThat(suggested.path("reasons").size()).isPositive();
        var preview = preview(ROWER, suggested.path("draft"));
        assertThat(preview.status()).isEqualTo(200);
        assertThat(preview.body().path("findings").valueStream())
                .noneMatch(f -> f.path("severity").asString().equals("BLOCKING"));
        assertThat(preview.body().at("/totals/seconds").asInt()).isBetween(120, 25 * 60);
        assertThat(preview.body().at("/forecast/pools").size()).isEqualTo(4);
        assertThat(preview.body().at("/set/0/torques/0/newtonMetres").asDouble())
                .isPositive();
    }

    @Test
    public void aChangedSecondChangesTheMinutesAndAWrongOneIsNamedAtItsPlace() {
        var draft = suggestion(ROWER).path("draft");
        int before = preview(ROWER, draft).body().at("/totals/seconds").asInt();
        var shorter = preview(ROWER, with(draft, 0, "seconds", 45)).body();
        assertThat(shorter.at("/totals/seconds").asInt()).isLessThan(before);
        assertThat(shorter.path("findings")
                        .valueStream()
                        .map(f -> f.path("code").asString()))
                .contains("unequal-sides");
        var wrong = preview(ROWER, with(draft, 0, "seconds", 0));
        assertThat(wrong.status()).isEqualTo(200);
        assertThat(wrong.body().at("/findings/0/path").asString())
                .isEqualTo("stations[0].lines[0].left[0].numbers.seconds");
    }

    @DataProvider
    public Object[][] nonsense() {
        return new Object[][] {
            {"{}"}, {"{\"warmUp\":null,\"stations\":[]}"}, {"[]"}, {"{\"warmUp\":[],\"stations\":[{\"lines\":[{}]}]}"}
        };
    }

    @Test(dataProvider = "nonsense")
    public void nonsenseIsAProblemNotACrash(String body) {
        var answer = server.post(ROWER + "/score/preview", body);
        assertThat(answer.status()).isIn(400, 422);
    }

    @Test
    public void anEmptySessionPreviewsAsNothingAndIsNotKept() {
        var empty = "{\"warmUp\":[],\"stations\":[]}";
        assertThat(server.post(ROWER + "/score/preview", empty).status()).isEqualTo(200);
        assertThat(server.put(ROWER + "/sessions/e", "{\"name\":\"Empty\",\"draft\":" + empty + "}")
                        .codes())
                .containsExactly("empty");
    }

    @Test
    public void aRestrictionIsKeptWhenSavingAndInEveryPreview() {
        // The bell-ringer's effort is capped; asking for more is refused at its block.
        var line = server.get(BELLS + "/score/line?motion=hip-internal-rotation&position=prone-knee-bent&id=l1")
                .body();
        var draft = (ObjectNode) TestServer.json(
                "{\"warmUp\":[],\"stations\":[{\"lines\":[%s],\"rounds\":1,\"restSeconds\":0,\"oneSetUp\":false}]}"
                        .formatted(line));
        int index = 0;
        for (var b : draft.at("/stations/0/lines/0/left")) {
            if (b.path("numbers").has("ceiling") || b.path("numbers").has("effort")) {
                break;
            }
            index++;
        }
        var name = block(draft, index).path("numbers").has("ceiling") ? "ceiling" : "effort";
        var hard = with(draft, index, name, 100);
        assertThat(preview(BELLS, hard)
                        .body()
                        .path("findings")
                        .valueStream()
                        .map(f -> f.path("code").asString()))
                .contains("effort-cap");
        var kept = server.put(BELLS + "/sessions/hard", "{\"name\":\"Hard\",\"draft\":%s}".formatted(hard));
        assertThat(kept.status()).isEqualTo(422);
        assertThat(kept.codes()).contains("effort-cap");
        assertThat(server.get(BELLS + "/sessions").body().size()).isEqualTo(1);
    }

    @Test
    public void aSessionIsKeptInVersionsAndHandedOutAsAPdfWithRealText() throws IOException {
        var draft = suggestion(ROWER).path("draft");
        var body = "{\"name\":\"Mondays\",\"draft\":%s}".formatted(draft);
        assertThat(server.put(ROWER + "/sessions/m", body).status()).isEqualTo(200);
        assertThat(server.put(ROWER + "/sessions/m", body.replace("Mondays", "Tuesdays"))
                        .status())
                .isEqualTo(200);
        assertThat(server.get(ROWER + "/sessions").body().size()).isEqualTo(2);
        assertThat(server.get(ROWER + "/sessions/m").body().path("name").asString())
                .isEqualTo("Tuesdays");
        try (var pdf = Loader.loadPDF(server.bytes(ROWER + "/sessions/m/handout.pdf"))) {
            var text = new PDFTextStripper().getText(pdf);
            assertThat(text).contains("Tuesdays", "Stop at once for", "numbness", "Press 20 %", "does not diagnose");
            for (var font : pdf.getPage(0).getResources().getFontNames()) {
                assertThat(pdf.getPage(0).getResources().getFont(font).isEmbedded())
                        .isTrue();
            }
        }
        assertThat(server.get(BELLS + "/sessions/m").status()).isEqualTo(404);
    }

    @Test
    public void whatIsTooLongIsShortenedInOrderOnBothSides() {
        var draft = suggestion(ROWER).path("draft");
        var shorter = server.post(ROWER + "/score/shorten", "{\"draft\":%s,\"minutes\":8}".formatted(draft))
                .body();
        assertThat(shorter.path("cuts").size()).isPositive();
        assertThat(shorter.path("seconds").asInt()).isLessThan(11 * 60);
        var preview = preview(ROWER, shorter.path("draft")).body();
        assertThat(preview.at("/totals/seconds").asInt())
                .isEqualTo(shorter.path("seconds").asInt());
        assertThat(preview.path("findings")
                        .valueStream()
                        .map(f -> f.path("code").asString()))
                .doesNotContain("unequal-sides");
        assertThat(server.post(ROWER + "/score/shorten", "{\"draft\":%s,\"minutes\":0}".formatted(draft))
                        .paths())
                .containsExactly("minutes");
    }

    @Test
    public void whatTheModelDoesNotLeaveHasWaysOut() {
        var draft = suggestion(ROWER).path("draft");
        int graded = 0;
        for (var b : draft.at("/stations/0/lines/0/left")) {
            if (b.path("form").asString().equals("GRADED_SET")) {
                break;
            }
            graded++;
        }
        var hard = draft.deepCopy();
        for (var side : new String[] {"left", "right"}) {
            var numbers = (ObjectNode) hard.at("/stations/0/lines/0/" + side + "/" + graded + "/numbers");
            numbers.put("ceiling", 80)
                    .put("top-hold", 20)
                    .put("sets", 4)
                    .put("settle", 0)
                    .put("rest", 0);
        }
        assertThat(preview(ROWER, hard).body().at("/forecast/marks").size()).isPositive();
        var ways = server.post(
                        ROWER + "/score/solve",
                        "{\"draft\":%s,\"station\":0,\"line\":0,\"block\":%d}".formatted(hard, graded))
                .body();
        assertThat(ways.path("ceiling").asInt()).isBetween(20, 79);
        var eased = hard.deepCopy();
        for (var side : new String[] {"left", "right"}) {
            ((ObjectNode) eased.at("/stations/0/lines/0/" + side + "/" + graded + "/numbers"))
                    .put("ceiling", ways.path("ceiling").asInt());
        }
        assertThat(preview(ROWER, eased).body().at("/forecast/marks").size()).isZero();
        assertThat(server.post(
                                ROWER + "/score/solve",
                                "{\"draft\":%s,\"station\":7,\"line\":0,\"block\":0}".formatted(hard))
                        .codes())
                .containsExactly("unknown");
    }

    @Test
    public void theLibraryIsSearchedAndPutsWhatIsLimitedFirst() {
        var all = server.get("/api/library").body();
        assertThat(all.size()).isGreaterThanOrEqualTo(60);
        var figures = server.get("/api/figures").body();
        assertThat(all.valueStream().map(e -> e.at("/position/id").asString()))
                .allMatch(id -> figures.path(id).path("marks").size() > 5);
        assertThat(server.get("/api/library?words=calf").body().size()).isBetween(2, 8);
        assertThat(server.get("/api/library?words=nothing-like-this").body().size())
                .isZero();
        var hers = server.get(ROWER + "/library").body();
        assertThat(hers.at("/0/wanted/0").asString()).isEqualTo("hip-internal-rotation");
        assertThat(server.get(ROWER + "/library?owned=true").body().size()).isLessThan(all.size());
    }

    @Test
    public void theHandoutSaysOnThePageWhatThePdfSays() {
        var draft = suggestion(ROWER).path("draft");
        server.put(ROWER + "/sessions/p", "{\"name\":\"Paper\",\"draft\":%s}".formatted(draft));
        var page = server.get(ROWER + "/sessions/p/handout").body();
        assertThat(page.path("title").asString()).isEqualTo("Paper");
        assertThat(page.path("stopSigns").size()).isGreaterThan(5);
        assertThat(page.at("/lines/0/doses/0/blocks").size()).isPositive();
        assertThat(page.at("/lines/0/figures/0/figure/seenFrom").asString()).startsWith("the back");
        assertThat(server.get(ROWER + "/sessions/none/handout").status()).isEqualTo(404);
    }

    @Test
    public void aWantedTorqueNamesItsLoadAndWhatCannotBeIsSaidBesideItsField() {
        var wanted =
                "{\"motion\":\"hip-internal-rotation\",\"position\":\"prone-knee-bent\",\"degrees\":0,\"newtonMetres\":%s}";
        // At the zero of this position the shank stands plumb: no load makes a torque there.
        assertThat(server.post(ROWER + "/score/load", wanted.formatted(20))
                        .body()
                        .get(0)
                        .has("loadKg"))
                .isFalse();
        var level = server.post(ROWER + "/score/load", wanted.formatted(20).replace("\"degrees\":0", "\"degrees\":60"));
        assertThat(level.body().at("/0/loadKg").asDouble()).isBetween(1.0, 8.0);
        assertThat(server.post(ROWER + "/score/load", wanted.formatted(-3)).paths())
                .containsExactly("newtonMetres");
        assertThat(server.post(ROWER + "/score/load", wanted.formatted(3).replace("prone", "no"))
                        .codes())
                .containsExactly("unknown-position");
    }

    @Test
    public void aPropGivesItsAngleBack() {
        var set = preview(ROWER, suggestion(ROWER).path("draft")).body().at("/set/0");
        var asked = ROWER + "/score/angle?position=prone-knee-bent&readingCm="
                + set.path("readingCm").asDouble();
        assertThat(server.get(asked).body().asDouble())
                .isCloseTo(set.path("reachedDegrees").asDouble(), org.assertj.core.data.Offset.offset(0.2));
        assertThat(server.get(asked.replaceAll("readingCm=.*", "readingCm=500")).paths())
                .containsExactly("readingCm");
        assertThat(server.get(asked.replace("prone-knee-bent", "calf-lean")).codes())
                .containsExactly("no-tape-here");
    }

    @Test
    public void aBandReadTwiceGivesItsLineAndTheLengthForALoad() {
        var readings = "{\"cm1\":60,\"newtons1\":20,\"cm2\":90,\"newtons2\":65,\"wantedKg\":5}";
        var line = server.post("/api/bands/line", readings).body();
        assertThat(line.path("newtonsPerCm").asDouble()).isEqualTo(1.5);
        assertThat(line.path("slackCm").asDouble()).isCloseTo(46.67, org.assertj.core.data.Offset.offset(0.01));
        assertThat(line.at("/wanted/cm").asDouble()).isCloseTo(79.36, org.assertj.core.data.Offset.offset(0.01));
        assertThat(server.post("/api/bands/line", readings.replace("65", "10")).paths())
                .containsExactly("newtons2");
    }

    @Test
    public void linesDoneTogetherShareRoundsRestAndASetUp() {
        var draft = suggestion(ROWER).path("draft").deepCopy();
        var station = (ObjectNode) draft.at("/stations/0");
        int once = preview(ROWER, draft).body().at("/totals/seconds").asInt();
        station.put("rounds", 2).put("restSeconds", 30);
        var twice = preview(ROWER, draft).body();
        assertThat(twice.at("/totals/seconds").asInt()).isGreaterThan(once + 60);
        assertThat(twice.at("/lines/0/weekly/minutes").asInt()).isPositive();
        station.put("rounds", 0);
        assertThat(preview(ROWER, draft)
                        .body()
                        .path("findings")
                        .valueStream()
                        .map(f -> f.path("path").asString()))
                .contains("stations[0].rounds");
    }

    @Test
    public void aRestrictionAddedBetweenTwoKeyStrokesCountsAtOnce() {
        var puppeteer = "/api/clients/demo-puppeteer";
        var draft = suggestion(ROWER).path("draft");
        assertThat(codes(preview(puppeteer, draft))).doesNotContain("stopped");
        var stop = "{\"id\":\"between\",\"kind\":\"STOPPED\",\"scope\":{\"joints\":[]},\"reason\":\"invented\"}";
        assertThat(server.post(puppeteer + "/restrictions", stop).status()).isLessThan(300);
        assertThat(codes(preview(puppeteer, draft))).contains("stopped");
    }

    private static java.util.List<String> codes(TestServer.Answer preview) {
        return preview.body()
                .path("findings")
                .valueStream()
                .map(f -> f.path("code").asString())
                .toList();
    }

    @Test
    public void aMethodIsCopiedChangedAndKeptAsTheStudiosOwn() {
        var file = new String(server.bytes("/api/methods/pulses.csv"), java.nio.charset.StandardCharsets.UTF_8);
        assertThat(take(file).codes()).containsExactly("shipped-id");
        var ours = file.replace("pulses,", "our-pulses,").replace("Pulses in and out", "Our pulses");
        assertThat(take(ours.replace("our-pulses,1.1,pulses", "our-pulses,1.1,our-pulses"))
                        .codes())
                .contains("unknown-form");
        var fixed = ours.replace("1.1,our-pulses,", "1.1,pulses,").replace("ladder,our-pulses,", "ladder,pulses,");
        assertThat(take(fixed).status()).isEqualTo(200);
        assertThat(server.get("/api/methods")
                        .body()
                        .valueStream()
                        .filter(m -> m.path("own").asBoolean())
                        .map(m -> m.at("/method/name").asString()))
                .containsExactly("Our pulses");
        var wrong = take(fixed + "our-pulses,1.1,pulses,colour,3,,,,common practice\r\n");
        assertThat(wrong.codes()).containsExactly("unknown-field");
        assertThat(wrong.paths().get(0)).startsWith("methods.csv, row ");
    }

    private TestServer.Answer take(String text) {
        var body = tools.jackson.databind.json.JsonMapper.builder()
                .build()
                .writeValueAsString(java.util.Map.of("text", text));
        return server.post("/api/methods", body);
    }
}
