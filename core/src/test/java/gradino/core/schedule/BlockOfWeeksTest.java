package gradino.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.schedule.BlockOfWeeks.Planned;
import gradino.core.schedule.SampleWeeks.Kind;
import gradino.core.schedule.solve.ConstraintWeekSolver;
import gradino.core.schedule.week.WeekDay;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekRules;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
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

    private static List<Planned> planned(long seed) {
        var first = SampleWeeks.of(Kind.ROOMY, 4, seed);
        var weeks = IntStream.range(0, WEEKS)
                .mapToObj(w -> first.days().stream()
                        .map(d -> new WeekDay(
                                d.date().plusWeeks(w), d.start().plus(Duration.ofDays(7L * w)), d.seconds()))
                        .toList())
                .toList();
        return new BlockOfWeeks(weeks, first, RETEST_SECONDS).plan(new Planner(new ConstraintWeekSolver()));
    }

    private record Done(WeekLine line, Instant start) {}

    @Test(dataProvider = "seeds")
    public void aJointRestsOverTheBordersOfWeeksToo(long seed) {
        var done = planned(seed).stream()
                .flatMap(p -> p.task().lines().stream()
                        .filter(l -> !l.isLight())
                        .flatMap(l -> p.week()
                                .of(l.id())
                                .days()
                                .mapToObj(
                                        d -> new Done(l, p.task().days().get(d).start()))))
                .toList();
        for (var one : done) {
            for (var other : done) {
                if (one.line().meets(other.line()) && one.start().isBefore(other.start())) {
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
