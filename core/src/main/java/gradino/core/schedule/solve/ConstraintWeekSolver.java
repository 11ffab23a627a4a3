package gradino.core.schedule.solve;

import gradino.core.schedule.week.Level;
import gradino.core.schedule.week.Score;
import gradino.core.schedule.week.Week;
import gradino.core.schedule.week.WeekSolver;
import gradino.core.schedule.week.WeekTask;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.search.limits.NodeCounter;
import org.chocosolver.solver.search.strategy.Search;
import org.chocosolver.solver.search.strategy.assignments.DecisionOperatorFactory;
import org.chocosolver.solver.search.strategy.selectors.values.IntDomainMiddle;
import org.chocosolver.solver.search.strategy.selectors.variables.FailureBased;
import org.chocosolver.solver.search.strategy.strategy.IntStrategy;
import org.chocosolver.solver.variables.IntVar;
import org.jspecify.annotations.Nullable;

/**
 * A few levels after the other: they are brought down as far as they go and fixed there before the next. Then the days of the first unit are made the
 * lowest there are, then those of the next, so that there is one answer. Bounded by steps of the search, never by time.
 */
public final class ConstraintWeekSolver implements WeekSolver {
    /** Steps in all; of 900 weeks of twelve lines none takes more than 65,000. A step costs the more, the more lines there are. */
    private static final long MOST_NODES = 80_000;

    private static final int USUAL_LINES = 12;
    /** Levels that are brought down together, so that it is proved once that there is no better week, and not for each of them. */
    private static final int AT_ONCE = 3;
    /** Of the kinds of {@link FailureBased}: failures by choices made, the older ones counting less. */
    private static final int RATE_OF_FAILURES = 2;

    private final long mostNodes;

    public ConstraintWeekSolver() {
        this(MOST_NODES);
    }

    /** @param mostNodes steps of the search, of a week of twelve lines or fewer */
    public ConstraintWeekSolver(long mostNodes) {
        this.mostNodes = mostNodes;
    }

    private long mostNodes(WeekTask task) {
        double lines = Math.max(USUAL_LINES, task.lines().size()) / (double) USUAL_LINES;
        return Math.round(mostNodes / (lines * lines));
    }

    @Override
    public Optional<Week> solve(WeekTask task, List<Level> order) {
        if (task.lines().isEmpty()) {
            return Optional.of(new Week(Map.of(), new Score(Map.of()), true));
        }
        var week = new WeekModel(task);
        return new Run(week, mostNodes(task)).through(order);
    }

    @Override
    public boolean fits(WeekTask task) {
        if (task.lines().isEmpty()) {
            return true;
        }
        var week = new WeekModel(task);
        week.model.arithm(week.level(Level.MISSING), "=", 0).post();
        var solver = week.model.getSolver();
        solver.setSearch(search(week));
        return solver.findSolution(new NodeCounter(week.model, mostNodes(task))) != null;
    }

    /**
     * The unit in whose choice it failed most often of late comes first, and its days, best ones first, are halved: a choice refuted then
     * rules out half of them and not one.
     */
    private static IntStrategy search(WeekModel week) {
        var ranks = week.ranks();
        return Search.intVarSearch(
                new FailureBased<>(ranks, 0, RATE_OF_FAILURES),
                new IntDomainMiddle(true),
                DecisionOperatorFactory.makeIntSplit(),
                ranks);
    }

    /** One search through all levels. */
    private static final class Run {
        private final WeekModel week;
        private long nodesLeft;
        private boolean proved = true;

        Run(WeekModel week, long mostNodes) {
            this.week = week;
            nodesLeft = mostNodes;
        }

        Optional<Week> through(List<Level> order) {
            var levels = IntStream.iterate(0, from -> from < order.size(), from -> from + AT_ONCE)
                    .mapToObj(from -> week.levels(order.subList(from, Math.min(order.size(), from + AT_ONCE))));
            var steps = Stream.concat(levels, Stream.of(week.sets())).toList();
            Solution best = null;
            for (var step : steps) {
                best = lowest(step, best);
                if (best == null) {
                    return Optional.empty();
                }
                atMost(step, best);
            }
            return Optional.ofNullable(best).map(this::read);
        }

        /** Only what is better than what is there already is looked for; where there is none, or the steps run out, that stays. */
        private @Nullable Solution lowest(IntVar level, @Nullable Solution before) {
            var better = before == null
                    ? week.model.trueConstraint()
                    : week.model.arithm(level, "<", before.getIntVal(level));
            better.post();
            var solver = week.model.getSolver();
            solver.setSearch(search(week));
            var limit = new NodeCounter(week.model, Math.max(1, nodesLeft));
            var found = solver.findOptimalSolution(level, Model.MINIMIZE, limit);
            proved &= !limit.isMet();
            nodesLeft -= solver.getNodeCount();
            solver.reset();
            week.model.unpost(better);
            return found == null ? before : found;
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
