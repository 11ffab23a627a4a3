package gradino.core.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gradino.core.advance.look.Flight.Turned;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.reading.RangeReading;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Observer;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.House;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.PainScore;
import gradino.core.quantity.Tenths;
import gradino.core.report.AttendanceDays.Mark;
import gradino.core.report.Work.Direction;
import gradino.core.report.studio.LineLife;
import gradino.core.report.studio.Mean;
import gradino.core.report.studio.Share;
import gradino.core.report.studio.StudioReport;
import gradino.core.schedule.PlanAndDone;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.testng.annotations.Test;

/** What was done, what was hard, and what it comes to over a studio. */
public class WorkTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Berlin");
    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final Period WEEK = new Period(MONDAY, MONDAY.plusDays(6));
    private static final Predicate<LocalDate> NEVER = day -> false;
    private static final AttendanceDays NOTHING =
            AttendanceDays.of(new PlanAndDone(Map.of(), Map.of(), MONDAY), NEVER, WEEK);

    private static LineSession session(int day, int rating, BlockRecord... blocks) {
        Instant end = MONDAY.plusDays(day).atTime(10, 0).atZone(ZONE).toInstant();
        var dose = House.dose(30, 60, 2, 50, 10);
        var record = new SessionRecord(
                "s" + day,
                end.minusSeconds(60),
                end,
                Observer.COACH,
                Sided.both(dose),
                List.of(blocks),
                Tenths.of(rating),
                null,
                null,
                "",
                List.of());
        return new LineSession("line", "hip-flexion", record, Sided.both(EffortClass.HARD));
    }

    private static BlockRecord block(Side side, BlockKind kind, PhaseKind phase, double seconds, Pain... pains) {
        return new BlockRecord(
                new BlockId(1, side, 1, kind, 1, BlockId.Way.PLANNED),
                side,
                kind,
                List.of(new PhaseDone(phase, seconds, seconds)),
                null,
                List.of(),
                List.of(pains),
                0,
                false,
                null,
                "",
                null);
    }

    private static Work work(List<LineSession> sessions) {
        return Work.of(NOTHING, sessions, Map.of(), WEEK, ZONE);
    }

    /** Session ratings × minutes of check-values: 300, 0, 360, 240, 0, 480, 120 make 1,500 (Foster et al. 2001; worked by hand). */
    @Test
    public void theLoadOfAWeekIsRatingTimesMinutes() {
        int[] minutes = {60, 0, 60, 60, 0, 60, 60};
        int[] ratings = {5, 0, 6, 4, 0, 8, 2};
        var sessions = IntStream.range(0, 7)
                .filter(d -> minutes[d] > 0)
                .mapToObj(
                        d -> session(d, ratings[d], block(Side.LEFT, BlockKind.PRESS, PhaseKind.STEP, minutes[d] * 60)))
                .toList();

        var week = work(sessions).weeks();

        assertThat(week).containsExactly(new Work.LoadWeek(MONDAY, 1500, 5, true));
        assertThat(work(sessions).minutes()).isEqualTo(300);
        assertThat(work(sessions).trend()).isNull();
    }

    @Test
    public void tensionIsToldBySideAndDirectionAndLeavesOutWhatIsHeldForOne() {
        var work = work(List.of(session(
                1,
                5,
                block(Side.LEFT, BlockKind.PRESS, PhaseKind.TOP_HOLD, 20),
                block(Side.LEFT, BlockKind.PRESS, PhaseKind.RELAX, 99),
                block(Side.RIGHT, BlockKind.PULL, PhaseKind.CONTRACT, 15),
                block(Side.RIGHT, BlockKind.SUPPORTED_HOLD, PhaseKind.HOLD, 90),
                block(Side.MIDLINE, BlockKind.ECCENTRIC, PhaseKind.LOWERING, 8))));

        assertThat(work.tension())
                .containsExactly(
                        new Work.Tension("hip-flexion", Side.LEFT, Direction.PRESS, 20),
                        new Work.Tension("hip-flexion", Side.RIGHT, Direction.PULL, 15),
                        new Work.Tension("hip-flexion", Side.MIDLINE, Direction.OTHER, 8));
        assertThat(work.classes()).isEqualTo(Map.of(EffortClass.HARD, 2));
    }

    @Test
    public void aPeriodWithoutSessionsHasWeeksOfNothingAndNoMadeUpTrend() {
        var empty = Work.of(NOTHING, List.of(), Map.of(), new Period(MONDAY, MONDAY.plusDays(34)), ZONE);

        assertThat(empty.sessions()).isZero();
        assertThat(empty.weeks())
                .hasSize(5)
                .allSatisfy(w -> assertThat(w.points()).isZero());
        assertThat(empty.tension()).isEmpty();
        assertThat(empty.efforts()).isEqualTo(new Work.Trueness(0, null, null));
    }

    /** Least squares by hand: 1, 2, 4, 5 rises by 1.4 a week; residuals −0.1, −0.5, 0.5 … give s² = 0.1. */
    @Test
    public void aTrendHasTheIntervalOfItsSlope() {
        var trend = Trend.of(List.of(1.0, 2.0, 4.0, 5.0)).orElseThrow();

        assertThat(trend.perWeek()).isCloseTo(1.4, within(1e-12));
        // t .975 with 2 degrees of freedom is 4.303 (standard tables); s² of the residuals is 0.1, Σ(x − x̄)² is 5.
        assertThat(trend.upper() - trend.perWeek()).isCloseTo(4.3027 * Math.sqrt(0.1 / 5), within(1e-3));
        assertThat(trend.judged()).isEqualTo(Judged.MORE);
        assertThat(Trend.of(List.of(1.0, 2.0, 3.0))).isEmpty();
        assertThat(Trend.of(List.of(3.0, 3.0, 3.0, 3.0)).orElseThrow().judged()).isEqualTo(Judged.WITHIN_NOISE);
    }

    @Test
    public void daysAreDoneMovedMissedExtraAndNeverPausedOnes() {
        var planned = Map.of(
                MONDAY,
                Set.of("a", "b"),
                MONDAY.plusDays(1),
                Set.of("a"),
                MONDAY.plusDays(2),
                Set.of("a"),
                MONDAY.plusDays(3),
                Set.of("a"),
                MONDAY.plusDays(6),
                Set.of("a"));
        var done = Map.of(
                MONDAY,
                Set.of("a"),
                MONDAY.plusDays(1),
                Set.of("a"),
                MONDAY.plusDays(4),
                Set.of("a"),
                MONDAY.plusDays(5),
                Set.of("c"));
        var all = new PlanAndDone(planned, done, MONDAY.plusDays(6));

        var days = AttendanceDays.of(all, MONDAY.plusDays(3)::equals, WEEK);

        assertThat(days.days().stream().map(AttendanceDays.Day::mark))
                .containsExactly(Mark.PARTLY, Mark.DONE, Mark.MOVED, Mark.PAUSED, Mark.DONE, Mark.EXTRA, Mark.PLANNED);
        assertThat(days.planned()).isEqualTo(4);
        assertThat(days.missed()).isZero();
    }

    @Test
    public void painIsTheWorstOfALineAndSideInASession() {
        var hard = Hard.of(
                List.of(session(
                        1,
                        5,
                        block(Side.LEFT, BlockKind.PRESS, PhaseKind.STEP, 5, pain(2), pain(4)),
                        block(Side.RIGHT, BlockKind.PRESS, PhaseKind.STEP, 5, pain(0)))),
                List.of(),
                List.of(),
                List.of(),
                WEEK,
                ZONE);

        assertThat(hard.painful()).isEqualTo(1);
        assertThat(hard.pains())
                .hasSize(1)
                .allSatisfy(p -> assertThat(p.score().value()).isEqualTo(4));
    }

    private static Pain pain(int score) {
        return new Pain(PainScore.of(score), PainKind.WHILE_CONTRACTING, "");
    }

    @Test
    public void aPeriodHasAnEndAfterItsBeginning() {
        assertThatThrownBy(() -> new Period(MONDAY, MONDAY.minusDays(1))).isInstanceOf(OutOfBoundsException.class);
        assertThatThrownBy(() -> new Period(MONDAY, MONDAY.plusYears(11))).isInstanceOf(OutOfBoundsException.class);
    }

    /** Wilson 1927: with none of n the upper bound is z² ÷ (n + z²) (closed form); with n = 0 nothing is known. */
    @Test
    public void aShareOfNoneHasAnUpperBound() {
        double z2 = 1.959964 * 1.959964;

        assertThat(Share.of(0, 10).upper()).isCloseTo(z2 / (10 + z2), within(1e-9));
        assertThat(Share.of(10, 10).lower()).isCloseTo(10 / (10 + z2), within(1e-9));
        assertThat(Share.of(0, 0)).isEqualTo(new Share(0, 0, 0, 1));
    }

    @Test
    public void ofASmallGroupNoMeanIsSaid() {
        assertThat(Mean.of(List.of(1.0, 2.0, 3.0, 4.0)).value()).isNull();
        var five = Mean.of(List.of(1.0, 2.0, 3.0, 4.0, 5.0));
        assertThat(five.value()).isEqualTo(3);
        // s = √2.5, t .975 with 4 degrees of freedom is 2.776 (standard tables).
        assertThat(five.upper()).isCloseTo(3 + 2.7764 * Math.sqrt(2.5 / 5), within(1e-3));
    }

    private static LineLife life(String client, String method, double change) {
        return life(client, "hip-flexion", method, change);
    }

    private static LineLife life(String client, String motion, String method, double change) {
        var reading = new RangeReading(Instant.EPOCH, 50, 9);
        var later = new RangeReading(Instant.EPOCH.plusSeconds(999_999), 50 + change, 9);
        return new LineLife(
                client,
                motion,
                "prone",
                method,
                Side.LEFT,
                Set.of(client + "-1", client + "-2"),
                Set.of(client + "-1"),
                Set.of(client + "-1 SWELLING"),
                3,
                1,
                List.of(Turned.HELD),
                Instrument.GONIOMETER,
                Difference.between(reading, later),
                null);
    }

    @Test
    public void comparesOnlyPeopleWhoFollowedOneOfTwoMethodsAlone() {
        var lives = new ArrayList<LineLife>();
        for (int i = 0; i < 5; i++) {
            lives.add(life("a" + i, "one", 10 + i));
            lives.add(life("b" + i, "other", 2 + i));
        }
        lives.add(life("both", "one", 90));
        lives.add(life("both", "other", 90));

        var report = StudioReport.of(WEEK, lives);

        assertThat(report.clients()).isEqualTo(11);
        assertThat(report.alike()).hasSize(1).allSatisfy(like -> {
            assertThat(like.firstChange().n()).isEqualTo(5);
            // Equal variances of two groups of five: 8 degrees of freedom, t .975 = 2.306 (standard tables).
            assertThat(like.difference()).isNotNull();
            assertThat(like.difference().degrees()).isEqualTo(8);
            assertThat(like.difference().upper()).isCloseTo(8 + 2.306 * Math.sqrt(1), within(1e-3));
        });
        assertThat(report.methods().get(0).real().count()).isEqualTo(6);
        assertThat(report.all().painful().of()).isEqualTo(11 * 2);
    }

    @Test
    public void smallGroupsAreComparedWithNothing() {
        var report = StudioReport.of(WEEK, List.of(life("a", "one", 10), life("b", "other", 1)));

        assertThat(report.alike())
                .allSatisfy(like -> assertThat(like.difference()).isNull());
        assertThat(report.methods()).allSatisfy(group -> {
            assertThat(group.clients()).isLessThan(Mean.LEAST);
            assertThat(group.change().value()).isNull();
        });
    }

    @Test
    public void degreesOfDifferentMotionsHaveNoMean() {
        var lives = new ArrayList<LineLife>();
        for (int i = 0; i < 6; i++) {
            lives.add(life("a" + i, "hip-flexion", "one", 10 + i));
            lives.add(life("a" + i, "wrist-flexion", "one", 2));
        }
        var report = StudioReport.of(WEEK, lives);

        assertThat(report.motions())
                .allSatisfy(g -> assertThat(g.change().value()).isNotNull());
        assertThat(report.methods()).allSatisfy(g -> assertThat(g.change().n()).isZero());
        assertThat(report.all().real().of()).isEqualTo(12);
        // A sign of a session of two lines is one sign.
        assertThat(report.all().stops()).isEqualTo(6);
    }
}
