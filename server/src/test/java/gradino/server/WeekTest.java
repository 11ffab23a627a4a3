package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A client's week over HTTP: planned, moved, missed, made to fit, started. */
public class WeekTest {
    private static final String CALENDAR = "/api/clients/" + Scene.CLIENT + "/calendar";
    private static final String DAY = "{\"minutes\":%d,\"at\":\"18:00:00\",\"place\":\"HOME\"}";

    private TestServer server;
    private Scene scene;

    /** On a Monday morning. */
    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        var today = LocalDate.now(server.clock);
        var monday = today.with(TemporalAdjusters.next(DayOfWeek.MONDAY));
        server.clock.move(
                Duration.between(server.clock.instant(), monday.atTime(9, 0).atZone(server.clock.getZone())));
        server.me().signIn("hollis", TestServer.PASSWORD);
        scene = new Scene(server).client().measured(36, 30).prescribed();
        usual(30, 30, 30, 30, 30, 30, 30);
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private LocalDate monday() {
        return LocalDate.now(server.clock).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    private String week() {
        return "/api/clients/" + Scene.CLIENT + "/weeks/" + monday();
    }

    private JsonNode look() {
        var answer = server.get(week());
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private void usual(int... minutes) {
        var days = Arrays.stream(minutes).mapToObj(DAY::formatted).toList();
        put(CALENDAR + "/usual", "{\"days\":[%s],\"travelEquipment\":[]}".formatted(String.join(",", days)));
    }

    /** Three days, the second one's session at six in the morning. */
    private void eveningThenMorning() {
        usual(30, 30, 30, 0, 0, 0, 0);
        var early =
                server.get(CALENDAR).body().path("usual").toString().replaceFirst("18:00(.*?)18:00", "18:00$106:00");
        put(CALENDAR + "/usual", early);
    }

    private JsonNode put(String path, String body) {
        var answer = server.put(path, body);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private JsonNode post(String path, String body) {
        var answer = server.post(path, body);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    /** Numbers of the days that have something. */
    private static List<Integer> days(JsonNode week) {
        var all = week.path("days").valueStream().toList();
        return IntStream.range(0, 7)
                .filter(d -> !all.get(d).path("units").isEmpty())
                .boxed()
                .toList();
    }

    @Test
    public void aWeekIsPlannedAsSoonAsThereIsALine() {
        var week = look();
        assertThat(days(week)).hasSize(3);
        assertThat(week.path("fits").asBoolean()).isTrue();
        assertThat(week.path("proved").asBoolean()).isTrue();
    }

    /** What is composed shows where it would go before it is saved, and leaves nothing behind. */
    @Test
    public void aSessionThatIsComposedShowsItsWeek() {
        var before = look();
        var line = scene.suggestedLine("hip-external-rotation", "prone-knee-bent", "light-breath", "second");
        var draft = "{\"warmUp\":[],\"stations\":[{\"lines\":[%s],\"rounds\":1,\"restSeconds\":0,\"oneSetUp\":false}]}"
                .formatted(line);
        var sketch = post("/api/clients/" + Scene.CLIENT + "/weeks/sketch", draft);
        int wanted = line.path("sessionsPerWeek").asInt();
        assertThat(sketch.path("days").size()).isGreaterThanOrEqualTo(Math.max(3, wanted));
        assertThat(sketch.path("leftOut")).isEmpty();
        assertThat(sketch.at("/days/0/date").asString())
                .isGreaterThanOrEqualTo(monday().plusWeeks(1).toString());
        assertThat(look()).isEqualTo(before);
        usual(3, 0, 0, 0, 0, 0, 0);
        assertThat(post("/api/clients/" + Scene.CLIENT + "/weeks/sketch", draft)
                        .path("leftOut")
                        .toString())
                .contains("hip external rotation: 0 of");
    }

    private JsonNode unit() {
        return look().at("/units/0");
    }

    private JsonNode move(int from, int to, String reason) {
        return post(
                week() + "/moves",
                "{\"unit\":\"%s\",\"from\":%d,\"to\":%d,\"reason\":\"%s\"}"
                        .formatted(unit().path("id").asString(), from, to, reason));
    }

    private JsonNode done(String run, LocalDate date) {
        var floor = post("/api/clients/" + Scene.CLIENT + "/days/" + date + "/runs", "{\"id\":\"" + run + "\"}");
        scene.doAll(floor);
        scene.close(run);
        return floor;
    }

    private void days(int many) {
        server.clock.move(Duration.ofDays(many));
        server.me().signIn("hollis", TestServer.PASSWORD);
    }

    @Test
    public void theSessionOfADayTakesWhatWasPlannedToTheSecond() {
        var day = look().at("/days/0");
        assertThat(day.path("units")).isNotEmpty();
        var floor = done("today", monday());
        int compiled = floor.at("/timeline/phases")
                .valueStream()
                .mapToInt(p -> p.path("endSecond").asInt())
                .max()
                .orElseThrow();
        assertThat(compiled).isEqualTo(day.path("seconds").asInt());
        var after = look().at("/days/0");
        assertThat(after.path("over").asBoolean()).isTrue();
        assertThat(after.at("/outcomes/0/outcome").asString()).isEqualTo("DONE");
        assertThat(days(look())).hasSize(2).doesNotContain(0);
    }

    @Test
    public void aMissedDayIsMovedAndSaidNeverDoubled() {
        assertThat(days(look())).startsWith(0);
        days(1);
        var week = look();
        assertThat(days(week)).hasSize(3).doesNotContain(0);
        assertThat(week.at("/days/0/outcomes/0/outcome").asString()).isEqualTo("MISSED");
        var news = week.path("news").path(week.path("news").size() - 1);
        assertThat(news.at("/why/0").asString()).isEqualTo("Missed on Monday: hip internal rotation.");
        assertThat(news.path("moved")).hasSize(1);
        assertThat(look().path("news")).isEqualTo(week.path("news"));
    }

    @Test
    public void aMoveThatBreaksSpacingNeedsAReasonAndIsKept() {
        eveningThenMorning();
        assertThat(days(look())).containsExactly(0, 2);
        var targets = server.get(week() + "/targets?unit=" + unit().path("id").asString() + "&from=2")
                .body();
        assertThat(targets.at("/1/broken/0").asString()).contains("h after hip internal rotation");
        assertThat(targets.at("/1/never").asBoolean()).isFalse();
        assertThat(targets.at("/4/never").asBoolean()).isTrue();
        var refused = server.post(
                week() + "/moves",
                "{\"unit\":\"%s\",\"from\":2,\"to\":1,\"reason\":\"\"}"
                        .formatted(unit().path("id").asString()));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body().at("/findings/0/path").asString()).isEqualTo("reason");
        assertThat(days(move(2, 1, "leaves on Wednesday"))).containsExactly(0, 1);
        assertThat(unit().path("kept").asString()).isEqualTo("leaves on Wednesday");
        assertThat(look().path("undo").asBoolean()).isTrue();
        assertThat(days(post(week() + "/undo", "{}"))).containsExactly(0, 2);
        assertThat(unit().path("kept").isMissingNode()).isTrue();
    }

    /** Nobody moves over a pause, and it counts over what was moved. */
    @Test
    public void whatIsSetByHandGivesWayToAPauseAndAPastWeekHasWhatItHas() {
        eveningThenMorning();
        assertThat(days(look())).containsExactly(0, 2);
        move(2, 1, "leaves on Wednesday");
        put(
                "/api/clients/" + Scene.CLIENT + "/pauses/away",
                "{\"kind\":\"AWAY\",\"from\":\"%s\",\"note\":\"\"}".formatted(monday().plusDays(1)));
        assertThat(days(look())).containsExactly(0);
        var last = week();
        days(7);
        look();
        assertThat(server.get(last).body().path("fits").asBoolean()).isTrue();
    }

    @Test
    public void whatDoesNotFitIsSaidAndTheWayOutWorks() {
        usual(30, 3, 3, 0, 0, 0, 0);
        var week = look();
        assertThat(week.path("fits").asBoolean()).isFalse();
        assertThat(week.at("/leftOut/0/reasons").toString()).contains("3 min there", "No time on this day");
        var ways = server.get(week() + "/ways").body();
        assertThat(ways.path("conflict")).hasSize(1);
        assertThat(ways.path("ways")).isNotEmpty();
        var taken = post(week() + "/ways", ways.at("/ways/0/way").toString());
        assertThat(taken.path("fits").asBoolean()).isTrue();
        assertThat(post(week() + "/undo", "{}").path("fits").asBoolean()).isFalse();
        usual(30, 3, 30, 0, 0, 0, 0);
        assertThat(days(look())).containsExactly(0, 2);
        assertThat(post(week() + "/ways", wayOf("MORE_TIME").toString())
                        .path("fits")
                        .asBoolean())
                .isTrue();
        assertThat(days(look())).containsExactly(0, 1, 2);
    }

    private JsonNode wayOf(String kind) {
        return server.get(week() + "/ways")
                .body()
                .path("ways")
                .valueStream()
                .filter(w -> w.at("/way/kind").asString().equals(kind))
                .findFirst()
                .orElseThrow()
                .path("way");
    }

    @Test
    public void aSetLessIsShorterInTheSessionTooAndForThisWeekAlone() {
        var line = scene.line();
        int whole = look().at("/days/0/seconds").asInt();
        usual(whole / 60, 0, whole / 60, 0, whole / 60, 0, 0);
        assertThat(look().path("fits").asBoolean()).isFalse();
        var taken = post(week() + "/ways", wayOf("SET_LESS").toString());
        assertThat(taken.path("fits").asBoolean()).isTrue();
        assertThat(taken.at("/units/0/lines/0/setLess").asBoolean()).isTrue();
        int less = taken.at("/days/0/seconds").asInt();
        assertThat(less).isLessThan(whole);
        var floor = done("today", monday());
        int compiled = floor.at("/timeline/phases")
                .valueStream()
                .mapToInt(p -> p.path("endSecond").asInt())
                .max()
                .orElseThrow();
        assertThat(compiled).isEqualTo(less);
        assertThat(scene.line()).isEqualTo(line);
        days(7);
        assertThat(look().at("/units/0/lines/0/setLess").asBoolean()).isFalse();
    }

    @Test
    public void everySecondWeekGoesOnUntilItIsWeeklyAgain() {
        usual(3, 0, 0, 0, 0, 0, 0);
        var way = wayOf("EVERY_SECOND_WEEK");
        var taken = post(week() + "/ways", way.toString());
        assertThat(taken.path("fits").asBoolean()).isTrue();
        assertThat(taken.at("/units/0/lines/0/everySecondWeek").asBoolean()).isTrue();
        usual(30, 30, 30, 30, 30, 30, 30);
        assertThat(days(look())).isEmpty();
        days(7);
        assertThat(days(look())).hasSize(3);
        days(7);
        assertThat(days(look())).isEmpty();
        var weekly = server.me()
                .delete(CALENDAR + "/every-second-week/" + way.path("line").asString());
        assertThat(weekly.status()).isEqualTo(200);
        assertThat(days(look())).hasSize(3);
    }

    /** Its joint has to rest all the same. */
    @Test
    public void aLineThatEndedStillRests() {
        server.clock.move(Duration.ofHours(9));
        server.me().signIn("hollis", TestServer.PASSWORD);
        done("today", monday());
        var other = scene.suggestedLine("hip-internal-rotation", "prone-knee-bent", "ramp-both-ways", "other");
        assertThat(scene.keep(other).status()).isEqualTo(200);
        server.clock.move(Duration.ofHours(1));
        assertThat(unit().at("/lines/0/id").asString()).isEqualTo("other");
        usual(0, 30, 0, 0, 0, 0, 0);
        put(
                CALENDAR + "/usual",
                server.get(CALENDAR).body().path("usual").toString().replace("18:00", "06:00"));
        assertThat(look().at("/days/1/units")).isEmpty();
        assertThat(look().at("/leftOut/0/reasons").toString()).contains("not rested yet");
        usual(0, 0, 30, 0, 0, 0, 0);
        assertThat(look().at("/days/2/units")).hasSize(1);
    }

    @Test
    public void theMonthSaysWhatIsFreeOfTheCoachesHoursAndWhoIsDue() {
        var hours = "{\"shifts\":[{\"day\":\"TUESDAY\",\"from\":\"%s:00\",\"until\":\"12:00:00\"}]}";
        put("/api/hours", hours.formatted("09:00"));
        put(CALENDAR + "/appointments/mine", appointment(monday().plusDays(1), "10:00", 0));
        var tuesday = monthDay(1);
        assertThat(tuesday.path("free").toString())
                .isEqualTo(
                        "[{\"from\":\"09:00:00\",\"until\":\"10:00:00\"},{\"from\":\"10:45:00\",\"until\":\"12:00:00\"}]");
        assertThat(monthDay(2).path("free")).isEmpty();
        var refused = server.put("/api/hours", hours.formatted("12:00"));
        assertThat(refused.body().at("/findings/0/path").asString()).isEqualTo("shifts[0]");
        var many = hours.replaceFirst("\\{\"day.*}", String.join(",", Collections.nCopies(29, "{}")));
        assertThat(server.put("/api/hours", many).status()).isEqualTo(422);
    }

    @Test
    public void nothingIsPlannedInAPauseNorOnARegatta() {
        put(
                CALENDAR + "/dates/regatta",
                "{\"kind\":\"EVENT\",\"from\":\"%1$s\",\"until\":\"%1$s\",\"note\":\"Regatta\"}".formatted(monday()));
        var week = look();
        assertThat(days(week)).hasSize(3).doesNotContain(0);
        assertThat(week.at("/days/0/note").asString()).isEqualTo("Regatta");
        put(
                "/api/clients/" + Scene.CLIENT + "/pauses/ill",
                "{\"kind\":\"ILLNESS\",\"from\":\"%s\",\"note\":\"\"}".formatted(monday()));
        assertThat(days(look())).isEmpty();
    }

    private static String appointment(LocalDate date, String time, int everyWeeks) {
        return "{\"start\":\"%sT%s:00\",\"minutes\":45,\"everyWeeks\":%d,\"changes\":[],\"note\":\"\"}"
                .formatted(date, time, everyWeeks);
    }

    private JsonNode visits(int day) {
        return monthDay(day).path("visits");
    }

    private JsonNode monthDay(int day) {
        var month =
                server.get("/api/months/" + monday().toString().substring(0, 7)).body();
        var date = monday().plusDays(day).toString();
        return month.path("days")
                .valueStream()
                .filter(d -> d.path("date").asString().equals(date))
                .findFirst()
                .orElseThrow();
    }

    @Test
    public void anAppointmentIsADayOfThePlanAndItsConflictsAreShown() {
        put(CALENDAR + "/appointments/a", appointment(monday().plusDays(1), "10:00", 1));
        var tuesday = look().at("/days/1");
        assertThat(tuesday.path("led").asBoolean()).isTrue();
        assertThat(tuesday.path("minutes").asInt()).isEqualTo(45);
        assertThat(visits(1)).hasSize(1);
        assertThat(visits(1).at("/0/conflicts")).isEmpty();
        put(CALENDAR + "/appointments/b", appointment(monday().plusDays(1), "10:30", 0));
        assertThat(visits(1).at("/0/conflicts/0").asString()).isEqualTo("At the same time as Perrin Vale.");
        post(
                CALENDAR + "/appointments/b/changes",
                "{\"of\":\"%s\",\"movedTo\":\"%sT10:30:00\"}".formatted(monday().plusDays(1), monday().plusDays(2)));
        assertThat(visits(1).at("/0/conflicts")).isEmpty();
        assertThat(visits(2)).hasSize(1);
        post(CALENDAR + "/appointments/a/changes", "{\"of\":\"%s\"}".formatted(monday().plusDays(1)));
        assertThat(visits(1)).isEmpty();
        assertThat(look().at("/days/1/led").asBoolean()).isFalse();
        var wrong = server.post(CALENDAR + "/appointments/a/changes", "{\"of\":\"%s\"}".formatted(monday()));
        assertThat(wrong.status()).isEqualTo(422);
    }

    @Test
    public void aCalendarProgramFetchesTheWeekUntilTheLinkEnds() {
        assertThat(days(look())).startsWith(0);
        var made = post("/api/clients/" + Scene.CLIENT + "/feeds", "{\"id\":\"f\"}");
        var address = made.path("address").asString();
        var stranger = server.visitor();
        var first = stranger.text(address);
        assertThat(first).contains("BEGIN:VEVENT").contains("Training").doesNotContain("Perrin");
        days(1);
        look();
        var later = stranger.text(address);
        assertThat(later.split("BEGIN:VEVENT").length).isGreaterThan(first.split("BEGIN:VEVENT").length);
        server.me().delete("/api/clients/" + Scene.CLIENT + "/feeds/f");
        assertThat(stranger.get(address).status()).isEqualTo(404);
    }

    @Test
    public void nothingIsPlannedOverWhatIsBusy() {
        var day = monday().toString().replace("-", "");
        var file =
                "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:u\r\nDTSTAMP:20260101T000000Z\r\nSUMMARY:Choir\r\n"
                        + "DTSTART:" + day + "T170000Z\r\nDTEND:" + day + "T190000Z\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        var taken = server.me().sendText("POST", CALENDAR + "/busy", "text/calendar", file);
        assertThat(taken.status()).as(taken.body().toString()).isEqualTo(200);
        var monday = look().at("/days/0");
        assertThat(monday.path("minutes").asInt()).isZero();
        assertThat(monday.path("note").asString()).isEqualTo("Choir");
        var wrong = server.me().sendText("POST", CALENDAR + "/busy", "text/calendar", "no calendar");
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(server.get(CALENDAR).body().path("busy")).hasSize(1);
    }

    @Test
    public void aBlockEndsInAWeekOfTheReTest() {
        put(CALENDAR + "/block", "{\"start\":\"%s\",\"weeks\":4}".formatted(monday()));
        look();
        var last = server.get("/api/clients/" + Scene.CLIENT + "/weeks/" + monday().plusWeeks(3))
                .body();
        assertThat(days(last)).hasSize(1);
        var tooShort = server.put(CALENDAR + "/block", "{\"start\":\"%s\",\"weeks\":3}".formatted(monday()));
        assertThat(tooShort.status()).isEqualTo(422);
        var tuesday = server.put(CALENDAR + "/block", "{\"start\":\"%s\",\"weeks\":4}".formatted(monday().plusDays(1)));
        assertThat(tuesday.body().at("/findings/0/path").asString()).isEqualTo("start");
    }

    @Test
    public void aStopSignTakesItsLineOutAtOnceAndSaysSo() {
        assertThat(days(look())).hasSize(3);
        var floor = post("/api/clients/" + Scene.CLIENT + "/days/" + monday() + "/runs", "{\"id\":\"stopped\"}");
        assertThat(floor.path("id").asString()).isEqualTo("stopped");
        post(
                "/api/runs/stopped/close",
                "{\"observer\":\"COACH\",\"rating\":5,\"stopSign\":\"SHARP_PAIN\",\"stopSide\":\"LEFT\",\"note\":\"\"}");
        var week = look();
        assertThat(days(week)).isEmpty();
        assertThat(week.path("news").toString()).contains("may not be trained now");
        assertThat(week.at("/leftOut/0/reasons/0/words").asString()).containsIgnoringCase("sharp");
        var refused = server.post(
                week() + "/moves",
                "{\"unit\":\"%s\",\"from\":-1,\"to\":3,\"reason\":\"all the same\"}"
                        .formatted(unit().path("id").asString()));
        assertThat(refused.body().at("/findings/0/code").asString()).isEqualTo("never");
    }

    @Test
    public void aNewLineJoinsAndNothingElseMoves() {
        var before = days(look());
        scene.eveningOf(scene.suggestedLine("hip-external-rotation", "prone-knee-bent", "light-breath", "second"));
        var week = look();
        assertThat(week.path("news").toString()).contains("hip external rotation is new");
        assertThat(days(week)).containsAll(before);
        assertThat(week.path("units")).hasSize(2);
        assertThat(week.path("fits").asBoolean()).isTrue();
        var placed = week.path("days")
                .valueStream()
                .flatMap(d -> d.path("units").valueStream())
                .map(JsonNode::asString);
        assertThat(placed.distinct()).hasSize(2);
    }

    @Test
    public void aWeekWithoutAnyTimeIsEmptyAndSaysWhy() {
        usual(0, 0, 0, 0, 0, 0, 0);
        var week = look();
        assertThat(days(week)).isEmpty();
        assertThat(week.at("/leftOut/0/reasons/0/words").asString()).isEqualTo("No time on this day.");
        assertThat(server.get(week() + "/ways").status()).isEqualTo(200);
    }

    @Test
    public void whatNoCalendarHasIsRefusedAndNothingIsSaved() {
        var before = server.get(CALENDAR).body();
        var days = Arrays.stream(new int[] {-5, 0, 0, 0, 0, 0, 0})
                .mapToObj(DAY::formatted)
                .toList();
        var negative = "{\"days\":[%s],\"travelEquipment\":[]}".formatted(String.join(",", days));
        assertThat(server.put(CALENDAR + "/usual", negative).status()).isEqualTo(422);
        var backwards = "{\"kind\":\"TRIP\",\"from\":\"%s\",\"until\":\"%s\",\"note\":\"x\"}"
                .formatted(monday().plusDays(2), monday());
        assertThat(server.put(CALENDAR + "/dates/d", backwards)
                        .body()
                        .at("/findings/0/path")
                        .asString())
                .isEqualTo("until");
        var large = "BEGIN:VCALENDAR\r\n".repeat(200_000);
        assertThat(server.me()
                        .sendText("POST", CALENDAR + "/busy", "text/calendar", large)
                        .status())
                .isEqualTo(413);
        assertThat(server.get("/api/clients/" + Scene.CLIENT + "/weeks/" + monday().plusDays(1))
                        .status())
                .isEqualTo(422);
        assertThat(server.get("/api/clients/" + Scene.CLIENT + "/weeks/" + monday().minusWeeks(52))
                        .status())
                .isEqualTo(404);
        assertThat(server.get(CALENDAR).body()).isEqualTo(before);
    }
}
