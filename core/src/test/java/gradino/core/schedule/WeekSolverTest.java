package gradino.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.schedule.SampleWeeks.Kind;
import gradino.core.schedule.solve.ConstraintWeekSolver;
import gradino.core.schedule.week.Level;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekTask;
import java.util.ArrayList;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What the solver says is best is what going through all weeks finds, to the day. */
public class WeekSolverTest {
    private static final int A_KIND = Integer.getInteger("gradino.weeks", 12);
    private final ConstraintWeekSolver solver = new ConstraintWeekSolver();

    @DataProvider
    public Object[][] weeks() {
        var rows = new ArrayList<Object[]>();
        for (var kind : Kind.values()) {
            for (long seed = 0; seed < A_KIND; seed++) {
                rows.add(new Object[] {kind, seed});
            }
        }
        return rows.toArray(Object[][]::new);
    }

    /** The plain search of seven lines takes half a minute for some: of those, one in ten. */
    private static int lines(long seed) {
        return switch ((int) (seed % 10)) {
            case 9 -> 7;
            case 4 -> 6;
            default -> 3 + (int) (seed % 3);
        };
    }

    @Test(dataProvider = "weeks")
    public void isThatOfThePlainSearch(Kind kind, long seed) {
        var task = SampleWeeks.of(kind, lines(seed), seed);
        var order = kind == Kind.GOING_ON ? Level.GOING_ON : Level.PLANNED;
        var found = solver.solve(task, order).orElseThrow();
        var plain = new PlainSearch().solve(task, order).orElseThrow();
        assertThat(new WeekRules(task).broken(found.days())).isEmpty();
        assertThat(found.score()).isEqualTo(plain.score());
        assertThat(found.days()).isEqualTo(plain.days());
        assertThat(found.proved()).isTrue();
        assertThat(solver.fits(task)).isEqualTo(new PlainSearch().fits(task));
    }

    /** Out of steps, the best that was found keeps every rule, and is called no more than that. */
    @Test
    public void whereTheStepsRunOutThatIsSaid() {
        var task = SampleWeeks.of(Kind.ROOMY, WeekTask.MOST_LINES, 0);
        var week = new ConstraintWeekSolver(1_000).solve(task, Level.PLANNED).orElseThrow();
        assertThat(week.proved()).isFalse();
        assertThat(new WeekRules(task).broken(week.days())).isEmpty();
    }
}
