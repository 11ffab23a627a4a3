package gradino.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.schedule.SampleWeeks.Kind;
import gradino.core.schedule.solve.ConstraintWeekSolver;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Week;
import gradino.core.schedule.week.WeekDay;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekTask;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Weeks that follow each other, as one. */
public class BlockOfWeeksTest {
    private static final int WEEKS = 4;
    private static final int RETEST_SECONDS = 300;

    @DataProvider
    public Object[][] seeds() {
        return IntStream.range(0, 12).mapToObj(s -> new Object[] {(long) s}).toArray(Object[][]::new);
    }

    private record Planned(WeekTask task, Week week) {}

    /** As they are planned on the server: each from what the one before leaves behind. */
    private static List<Planned> planned(long seed) {
        var first = SampleWeeks.of(Kind.ROOMY, 4, seed);
        var planner = new Planner(new ConstraintWeekSolver());
        var all = new ArrayList<Planned>();
        for (int w = 0; w < WEEKS; w++) {
            var before = all.isEmpty() ? null : all.get(w - 1);
            var task = new WeekTask(
                    later(first.days(), w),
                    first.lines(),
                    first.shared(),
                    List.of(),
                    before == null
                            ? List.of()
                            : BlockOfWeeks.restedAfter(
                                    before.task(), before.week().days()),
                    before == null ? Map.of() : before.week().days(),
                    DaySet.NONE,
                    Map.of());
            var asked = w == WEEKS - 1 ? BlockOfWeeks.ofRetest(task, RETEST_SECONDS) : task;
            all.add(new Planned(asked, planner.plan(asked)));
        }
        return all;
    }

    private static List<WeekDay> later(List<WeekDay> days, int weeks) {
        return days.stream()
                .map(d -> new WeekDay(
                        d.date().plusWeeks(weeks), d.start().plus(Duration.ofDays(7L * weeks)), d.seconds()))
                .toList();
    }

    private record Done(WeekLine line, Instant start) {}

    @Test(dataProvider = "seeds")
    public void aJointRestsOverTheBordersOfWeeksToo(long seed) {
        var done = planned(seed).stream()
                .flatMap(p -> p.task().lines().stream()
                        .flatMap(l -> p.week()
                                .of(l.id())
                                .days()
                                .mapToObj(
                                        d -> new Done(l, p.task().days().get(d).start()))))
                .toList();
        for (var one : done) {
            for (var other : done) {
                boolean joint = !one.line().isLight()
                        && !other.line().isLight()
                        && one.line().meets(other.line());
                if ((joint || one.line().id().equals(other.line().id()))
                        && one.start().isBefore(other.start())) {
                    var rest =
                            Duration.between(one.start().plusSeconds(one.line().seconds()), other.start());
                    assertThat(rest).isGreaterThanOrEqualTo(one.line().spacing());
                }
            }
        }
    }

    @Test(dataProvider = "seeds")
    public void theLastWeekHasTheReTestAndEachLineOnceAtMost(long seed) {
        var all = planned(seed);
        var last = all.get(WEEKS - 1).week();
        boolean fits = all.get(0).task().days().stream().anyMatch(d -> d.seconds() >= RETEST_SECONDS);
        assertThat(last.of(BlockOfWeeks.RETEST).size()).isEqualTo(fits ? 1 : 0);
        assertThat(last.days().values()).allMatch(days -> days.size() <= 1);
        all.forEach(
                p -> assertThat(p.week().of(BlockOfWeeks.RETEST).size()).isEqualTo(p.week() == last && fits ? 1 : 0));
        all.forEach(
                p -> assertThat(new WeekRules(p.task()).broken(p.week().days())).isEmpty());
    }
}
