package gradino.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.body.Side;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.schedule.SampleWeeks.Kind;
import gradino.core.schedule.solve.ConstraintWeekSolver;
import gradino.core.schedule.week.Broken;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Level;
import gradino.core.schedule.week.Priority;
import gradino.core.schedule.week.Rested;
import gradino.core.schedule.week.Together;
import gradino.core.schedule.week.WeekDay;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekTask;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What a coach may trust a planned week with. */
public class PlannerTest {
    private static final int CLIENTS = Integer.getInteger("gradino.planned", 60);
    private static final int MINUTE = 60;
    private final Planner planner = new Planner(new ConstraintWeekSolver());

    @DataProvider
    public Object[][] clients() {
        var rows = new ArrayList<Object[]>();
        for (long seed = 0; seed < CLIENTS; seed++) {
            rows.add(new Object[] {Kind.values()[(int) (seed % Kind.values().length)], 1_000 + seed});
        }
        return rows.toArray(Object[][]::new);
    }

    @Test(dataProvider = "clients")
    public void noRuleIsBrokenAndAMinuteMoreIsNeverWorse(Kind kind, long seed) {
        var task = SampleWeeks.of(kind, 4 + (int) (seed % 4), seed);
        var week = planner.plan(task);
        assertThat(new WeekRules(task).broken(week.days())).isEmpty();
        int day = (int) (seed % DaySet.DAYS);
        var more = planner.plan(task.withSeconds(day, task.days().get(day).seconds() + MINUTE));
        assertThat(more.score().compare(week.score(), Level.PLANNED)).isLessThanOrEqualTo(0);
        var on = planner.goOn(task);
        assertThat(new WeekRules(task).broken(on.days())).isEmpty();
    }

    @Test(dataProvider = "clients")
    public void whatIsNamedAsAWayOutIsOne(Kind kind, long seed) {
        var task = SampleWeeks.of(kind, 4, seed);
        int missing = planner.plan(task).score().at(Level.MISSING);
        var ways = planner.waysOut(task, Map.of("l0", MINUTE, "l1", 2 * MINUTE));
        assertThat(missing == 0).isEqualTo(planner.conflict(task).isEmpty());
        assertThat(missing > 0 || ways.isEmpty()).isTrue();
        for (var way : ways) {
            assertThat(planner.plan(way.taken(task)).score().at(Level.MISSING))
                    .as(way.toString())
                    .isZero();
        }
        var conflict = planner.conflict(task);
        for (var line : conflict) {
            var rest = conflict.stream().filter(l -> !l.equals(line)).toList();
            assertThat(planner.plan(task.only(rest)).score().at(Level.MISSING)).isZero();
        }
    }

    private static WeekLine line(String id, EffortClass effort, int wanted, int minutes) {
        return new WeekLine(
                id,
                "hip",
                Side.MIDLINE,
                effort,
                Duration.ofHours(effort.spacingHours()),
                wanted,
                effort.weeklyCap(),
                Priority.FIRST,
                MINUTE * minutes,
                List.of(),
                DaySet.ALL);
    }

    private static List<WeekDay> days(int... minutes) {
        return IntStream.range(0, DaySet.DAYS)
                .mapToObj(d -> SampleWeeks.day(d, MINUTE * minutes[d]))
                .toList();
    }

    private static WeekTask task(List<WeekDay> days, WeekLine... lines) {
        return WeekTask.of(days, List.of(lines), List.of());
    }

    @Test
    public void threeHardDaysLieEvenly() {
        var week = planner.plan(task(days(20, 20, 20, 20, 20, 20, 20), line("l", EffortClass.HARD, 3, 15)));
        assertThat(week.of("l")).isEqualTo(DaySet.of(0, 2, 4));
        assertThat(week.proved()).isTrue();
    }

    @Test
    public void whatIsNotLightOfOneJointKeepsItsDistanceWhicheverLineItIs() {
        var hard = line("hard", EffortClass.HARD, 2, 5);
        var moderate = line("moderate", EffortClass.MODERATE, 2, 5);
        var light = line("light", EffortClass.LIGHT, 7, 2);
        var week = planner.plan(task(days(20, 20, 20, 20, 0, 0, 0), hard, moderate, light));
        // After a hard day a day of rest; the lines share their days or keep apart. Light work goes on.
        assertThat(week.score().at(Level.MISSING)).isEqualTo(3 * Priority.FIRST.weight());
        assertThat(week.of("hard").size()).isEqualTo(2);
        assertThat(week.of("light").size()).isEqualTo(4);
    }

    @Test
    public void aSessionIsDoneWholeAndTwiceOnADayIsOnce() {
        var one = line("one", EffortClass.LIGHT, 2, 5);
        var two = line("two", EffortClass.LIGHT, 2, 5);
        var three = line("three", EffortClass.LIGHT, 2, 5);
        var plain = task(days(15, 0, 15, 0, 0, 0, 0), one, two, three);
        var kept = new WeekTask(
                plain.days(),
                plain.lines(),
                List.of(),
                List.of(new Together("a", List.of("one", "two")), new Together("b", List.of("two", "three"))),
                List.of(),
                Map.of(),
                DaySet.NONE,
                Map.of());
        var week = planner.plan(kept);
        assertThat(week.score().at(Level.MISSING)).isZero();
        assertThat(new WeekRules(kept).secondsOf(week.days(), 0)).isEqualTo(15 * MINUTE);
    }

    @Test
    public void aMissedDayMovesAsLittleAsCanBeAndDoublesNothing() {
        var line = line("l", EffortClass.HARD, 2, 15);
        var other = line("o", EffortClass.LIGHT, 3, 5);
        var plain = task(days(20, 20, 20, 20, 20, 20, 20), line, other);
        var before = Map.of("l", DaySet.of(0, 3), "o", DaySet.of(0, 2, 4));
        // Monday was missed; nothing was done.
        var later = new WeekTask(
                plain.days(), plain.lines(), List.of(), List.of(), List.of(), before, DaySet.of(0), Map.of());
        var week = planner.goOn(later);
        assertThat(week.score().at(Level.MISSING)).isZero();
        assertThat(week.of("l").has(3)).isTrue();
        assertThat(week.of("l").size()).isEqualTo(2);
        assertThat(week.of("o"))
                .satisfies(days -> assertThat(days.and(DaySet.of(2, 4))).isEqualTo(DaySet.of(2, 4)));
    }

    /** More time, a new line: what there is room for now is taken up, and what lay well stays. */
    @Test
    public void aWeekThatGoesOnTakesUpWhatThereIsRoomForNow() {
        var line = line("l", EffortClass.LIGHT, 3, 15);
        var tight = task(days(20, 0, 5, 5, 5, 5, 5), line);
        var before = planner.plan(tight).days();
        assertThat(before).isEqualTo(Map.of("l", DaySet.of(0)));
        var more = task(days(20, 0, 5, 40, 40, 5, 5), line, line("new", EffortClass.LIGHT, 1, 5));
        var on = planner.goOn(new WeekTask(
                more.days(), more.lines(), List.of(), List.of(), List.of(), before, DaySet.NONE, Map.of()));
        assertThat(on.score().at(Level.MISSING)).isZero();
        assertThat(on.of("l")).isEqualTo(DaySet.of(0, 3, 4));
        assertThat(on.of("new").size()).isEqualTo(1);
    }

    /** A hard line was set to three days by hand: another hard one of its joint adds no fourth. */
    @Test
    public void aroundWhatWasSetByHandAJointKeepsItsCap() {
        var whole = task(
                days(40, 40, 40, 40, 40, 40, 40),
                line("kept", EffortClass.HARD, 3, 10),
                line("other", EffortClass.HARD, 2, 10));
        var byHand = Map.of("kept", DaySet.of(0, 2, 4));
        var week = planner.around(whole, whole.only(List.of("other")), byHand, planner::plan);
        assertThat(week.of("kept")).isEqualTo(DaySet.of(0, 2, 4));
        assertThat(week.of("other").size()).isEqualTo(2);
        assertThat(new WeekRules(whole).broken(week.days())).isEmpty();
    }

    @Test
    public void sorenessKeepsAJointUntilItHasRested() {
        var line = line("l", EffortClass.HARD, 1, 10);
        var plain = task(days(20, 20, 20, 0, 0, 0, 0), line);
        var rested =
                new Rested("last", "hip", Side.LEFT, false, plain.days().get(2).start());
        var task = new WeekTask(
                plain.days(), plain.lines(), List.of(), List.of(), List.of(rested), Map.of(), DaySet.NONE, Map.of());
        assertThat(planner.plan(task).of("l")).isEqualTo(DaySet.of(2));
        assertThat(new WeekRules(task).broken(Map.of("l", DaySet.of(1))))
                .extracting(Broken::rule)
                .containsExactly(Broken.Rule.ALLOWED);
    }

    /** A light line keeps no other waiting, but its method's own spacing holds from week to week. */
    @Test
    public void lightWorkWaitsForItselfAlone() {
        var plain = task(
                days(20, 20, 20, 0, 0, 0, 0), line("l", EffortClass.LIGHT, 1, 5), line("hard", EffortClass.HARD, 1, 5));
        var wednesday = plain.days().get(2).start();
        var rested = List.of(new Rested("l", "hip", Side.LEFT, true, wednesday));
        var week = planner.plan(new WeekTask(
                plain.days(), plain.lines(), List.of(), List.of(), rested, Map.of(), DaySet.NONE, Map.of()));
        assertThat(week.of("l")).isEqualTo(DaySet.of(2));
        assertThat(week.of("hard")).isEqualTo(DaySet.of(0));
    }

    /** A line of both sides shares a cap with the left and with the right one, which do not wait for each other. */
    @Test
    public void leftAndRightDoNotWaitForEachOther() {
        var left = sided("left", Side.LEFT, DaySet.of(0));
        var right = sided("right", Side.RIGHT, DaySet.of(1));
        var both = sided("both", Side.MIDLINE, DaySet.of(4));
        var week = planner.plan(task(days(20, 20, 20, 20, 20, 20, 20), both, left, right));
        assertThat(week.score().of()).containsEntry(Level.MISSING, 0);
    }

    private static WeekLine sided(String id, Side side, DaySet allowed) {
        return new WeekLine(
                id,
                "hip",
                side,
                EffortClass.HARD,
                Duration.ofHours(EffortClass.HARD.spacingHours()),
                1,
                EffortClass.HARD.weeklyCap(),
                Priority.FIRST,
                5 * MINUTE,
                List.of(),
                allowed);
    }

    @Test
    public void minutesMissingAreSaidAndTheLeastOfThemIsAWayOut() {
        var task = task(
                days(10, 0, 0, 0, 0, 0, 0), line("a", EffortClass.LIGHT, 1, 8), line("b", EffortClass.LIGHT, 1, 8));
        assertThat(planner.conflict(task)).containsExactlyInAnyOrder("a", "b");
        assertThat(planner.waysOut(task, Map.of("a", MINUTE, "b", 6 * MINUTE)))
                .containsExactly(
                        WayOut.moreTime(0, 10 * MINUTE),
                        WayOut.setLess("b", 6 * MINUTE),
                        WayOut.fewerDays("a", 1),
                        WayOut.fewerDays("b", 1),
                        WayOut.everySecondWeek("a", 1),
                        WayOut.everySecondWeek("b", 1));
    }

    /** The clocks go forward on 29 March 2026 (the European Union's summer time): six in the evening and then noon are 17 h apart. */
    @Test
    public void restIsCountedInRealHoursOverAClockChange() {
        var zone = ZoneId.of("Europe/Amsterdam");
        var monday = LocalDate.of(2026, 3, 23);
        var moderate = line("l", EffortClass.MODERATE, 2, 10);
        var days = IntStream.range(0, DaySet.DAYS)
                .mapToObj(d -> {
                    var at = LocalDateTime.of(
                            monday.plusDays(d), java.time.LocalTime.of(d == 6 ? 12 : 17, d == 6 ? 10 : 50));
                    return new WeekDay(monday.plusDays(d), at.atZone(zone).toInstant(), d >= 5 ? 20 * MINUTE : 0);
                })
                .toList();
        // 18 h 20 min by the clock on the wall, less the hour that is gone and ten minutes of work.
        assertThat(new WeekRules(task(days, moderate)).broken(Map.of("l", DaySet.of(5, 6))))
                .extracting(Broken::rule, Broken::is, Broken::bound)
                .containsExactly(org.assertj.core.groups.Tuple.tuple(Broken.Rule.SPACING, 17L, 18L));
        assertThat(planner.plan(task(days, moderate)).of("l").size()).isEqualTo(1);
    }
}
