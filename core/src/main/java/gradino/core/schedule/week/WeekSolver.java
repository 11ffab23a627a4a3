package gradino.core.schedule.week;

import java.util.List;
import java.util.Optional;

/** Finds the best week there is. The same task has the same answer, on any machine and at any time. */
public interface WeekSolver {
    /**
     * @param order of the levels
     * @return empty where no week was found that keeps the rules
     */
    Optional<Week> solve(WeekTask task, List<Level> order);

    /** Whether a week can be that misses nothing. Out of steps, what is not known to be possible counts as not. */
    boolean fits(WeekTask task);
}
