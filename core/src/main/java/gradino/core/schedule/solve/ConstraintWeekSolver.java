package gradino.core.schedule.solve;

import gradino.core.schedule.week.Level;
import gradino.core.schedule.week.Score;
import gradino.core.schedule.week.Week;
import gradino.core.schedule.week.WeekSolver;
import gradino.core.schedule.week.WeekTask;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.search.limits.NodeCounter;
import org.chocosolver.solver.search.strategy.Search;
import org.chocosolver.solver.search.strategy.strategy.AbstractStrategy;
import org.chocosolver.solver.variables.IntVar;
import org.jspecify.annotations.Nullable;

/**
 * Level by level: each is brought down as far as it goes and fixed there before the next. The last one takes the lowest days of the
 * first unit, then of the next, so that there is one answer. Bounded by steps of the search, never by time.
 */
public final class ConstraintWeekSolver implements WeekSolver {
    /** Steps at each level; weeks of twelve lines took 15,000 at most. A step costs the more, the more lines there are. */
    private static final long MOST_NODES = 50_000;

    private static final int USUAL_LINES = 12;

    private final long mostNodes;

    public ConstraintWeekSolver() {
        this(MOST_NODES);
    }

    /** @param mostNodes steps of the search at each level, of a week of twelve lines or fewer */
    public ConstraintWeekSolver(long mostNodes) {
        this.mostNodes = mostNodes;
    }

    private long mostNodes(WeekTask task) {
        double lines = Math.max(USUAL_LINES, task.lines().size()) / (double) USUAL_LINES;
        return Math.round(mostNodes / (lines * lines));
    }

    @Override
    public Optional<Week> solve(WeekTask task, List<Level> order, int mostMissing) {
        if (task.lines().isEmpty()) {
            return Optional.of(new Week(Map.of(), new Score(Map.of()), true));
        }
        var week = new WeekModel(task);
        if (mostMissing < Integer.MAX_VALUE) {
            week.model.arithm(week.level(Level.MISSING), "<=", mostMissing).post();
        }
        return new Run(week, mostNodes(task)).through(order);
    }

    /** One search through all levels. */
    private static final class Run {
        private final WeekModel week;
        private final long mostNodes;
        private boolean proved = true;

        Run(WeekModel week, long mostNodes) {
            this.week = week;
            this.mostNodes = mostNodes;
        }

        Optional<Week> through(List<Level> order) {
            Solution best = null;
            for (var level : order) {
                best = lowest(week.level(level), best);
                if (best == null) {
                    return Optional.empty();
                }
                atMost(week.level(level), best);
            }
            var first = first();
            return Optional.ofNullable(first == null ? best : first).map(this::read);
        }

        /** No worse than what is there already; where the steps run out before something is found, that stays. */
        private @Nullable Solution lowest(IntVar level, @Nullable Solution before) {
            if (before != null) {
                atMost(level, before);
            }
            var solver = week.model.getSolver();
            solver.setSearch(Search.domOverWDegSearch(week.ranks()));
            var limit = limit();
            var found = solver.findOptimalSolution(level, Model.MINIMIZE, limit);
            ended(limit);
            return found == null ? before : found;
        }

        private @Nullable Solution first() {
            week.model.getSolver().setSearch(inOrder());
            var limit = limit();
            var found = week.model.getSolver().findSolution(limit);
            ended(limit);
            return found;
        }

        private AbstractStrategy<IntVar> inOrder() {
            return Search.inputOrderLBSearch(week.sets());
        }

        private NodeCounter limit() {
            return new NodeCounter(week.model, mostNodes);
        }

        private void ended(NodeCounter limit) {
            proved &= !limit.isMet();
            week.model.getSolver().reset();
        }

        private void atMost(IntVar level, Solution best) {
            week.model.arithm(level, "<=", best.getIntVal(level)).post();
        }

        private Week read(Solution solution) {
            var days = week.task.daysOfLines(week.daysOfUnits(solution));
            return new Week(days, week.rules.score(days), proved);
        }
    }
}
