package gradino.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.schedule.PlanAndDone.Adherence;
import gradino.core.schedule.PlanAndDone.Entry;
import gradino.core.schedule.PlanAndDone.Outcome;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.testng.annotations.Test;

/** What became of a plan. */
public class PlanAndDoneTest {
    private static final LocalDate MONDAY = LocalDate.of(2026, 11, 16);
    private static final LocalDate TODAY = MONDAY.plusDays(9);
    private static final Predicate<LocalDate> NEVER = day -> false;

    private static LocalDate day(int n) {
        return MONDAY.plusDays(n);
    }

    @Test
    public void missedAndDoneAnotherDayOfTheWeekIsMovedNextWeekIsNot() {
        var of = new PlanAndDone(
                Map.of(day(0), Set.of("a"), day(2), Set.of("a", "b"), day(7), Set.of("b"), day(10), Set.of("a")),
                Map.of(day(3), Set.of("a"), day(8), Set.of("b", "c")),
                TODAY);
        assertThat(of.entries(NEVER))
                .containsExactly(
                        new Entry(day(0), "a", Outcome.MOVED),
                        new Entry(day(2), "a", Outcome.MISSED),
                        new Entry(day(2), "b", Outcome.MISSED),
                        new Entry(day(3), "a", Outcome.DONE),
                        new Entry(day(7), "b", Outcome.MOVED),
                        new Entry(day(8), "b", Outcome.DONE),
                        new Entry(day(8), "c", Outcome.EXTRA),
                        new Entry(day(10), "a", Outcome.PLANNED));
        assertThat(of.adherence(NEVER)).isEqualTo(new Adherence(4, 2, 1));
    }

    @Test
    public void pausedDaysAreNeitherPlannedNorMissed() {
        var of = new PlanAndDone(Map.of(day(0), Set.of("a"), day(2), Set.of("a")), Map.of(), TODAY);
        assertThat(of.entries(d -> d.equals(day(0)))).containsExactly(new Entry(day(2), "a", Outcome.MISSED));
        assertThat(of.adherence(d -> true)).isEqualTo(new Adherence(0, 0, 0));
        assertThat(of.daysBeyondPlan(Optional.empty(), d -> true)).isZero();
    }

    @Test
    public void whoIsBeyondThePlanIsCountedFromTheFirstDayMissedSinceTheLastDone() {
        var planned = Map.of(day(0), Set.of("a"), day(2), Set.of("a"), day(4), Set.of("a"));
        var of = new PlanAndDone(planned, Map.of(), TODAY);
        assertThat(of.daysBeyondPlan(Optional.of(day(0)), NEVER)).isEqualTo(7);
        assertThat(of.daysBeyondPlan(Optional.of(day(5)), NEVER)).isZero();
        assertThat(of.daysBeyondPlan(Optional.empty(), NEVER)).isEqualTo(9);
        assertThat(new PlanAndDone(planned, Map.of(), day(0)).daysBeyondPlan(Optional.empty(), NEVER))
                .isZero();
    }
}
