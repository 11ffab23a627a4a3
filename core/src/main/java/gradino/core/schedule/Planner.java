package gradino.core.schedule;

import gradino.core.schedule.week.Broken;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Level;
import gradino.core.schedule.week.Week;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekSolver;
import gradino.core.schedule.week.WeekTask;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;

/** Plans a week, plans it on when something came in between, and says what to do where not all of it fits. */
public final class Planner {
    /** Minutes are asked for in fives, up to an hour. */
    private static final int STEP_SECONDS = 300;

    private static final int MOST_STEPS = 12;

    private final WeekSolver solver;

    public Planner(WeekSolver solver) {
        this.solver = solver;
    }

    /** The best week there is. There is always one: the empty one keeps every rule. */
    public Week plan(WeekTask task) {
        return solved(task, Level.PLANNED);
    }

    /** A week that goes on: past days as they were, as little lost as can be, and then as little changed as can be. */
    public Week goOn(WeekTask task) {
        return solved(task, Level.GOING_ON);
    }

    /**
     * A week around days that were set by hand against a rule. Where others would take a joint over its cap with them, those keep to the
     * same days.
     *
     * @param whole the task with the lines that were set by hand
     * @param task without them
     * @param kept days that were set, by line; a restriction, a pause and a place without the equipment still count over them
     * @param plan how the others are planned
     */
    public Week around(WeekTask whole, WeekTask task, Map<String, DaySet> kept, Function<WeekTask, Week> plan) {
        if (kept.isEmpty()) {
            return plan.apply(task);
        }
        var week = merged(whole, plan.apply(task), kept);
        boolean over = new WeekRules(whole)
                .broken(week.days()).stream()
                        .anyMatch(b -> b.rule() == Broken.Rule.CAP && !b.other().isEmpty());
        return !over ? week : merged(whole, plan.apply(onDaysOf(kept, whole, task)), kept);
    }

    private static Week merged(WeekTask whole, Week week, Map<String, DaySet> kept) {
        var days = new HashMap<>(week.days());
        whole.lines().stream()
                .filter(l -> kept.containsKey(l.id()))
                .forEach(l -> days.put(
                        l.id(),
                        kept.getOrDefault(l.id(), DaySet.NONE)
                                .and(l.allowed())
                                .without(whole.frozen())
                                .or(whole.done(l))));
        return new Week(days, new WeekRules(whole).score(days), week.proved());
    }

    private static WeekTask onDaysOf(Map<String, DaySet> kept, WeekTask whole, WeekTask task) {
        return task.withLines(task.lines().stream()
                .map(line -> whole.lines().stream()
                        .filter(k -> kept.containsKey(k.id()) && !k.isLight() && !line.isLight() && line.meets(k))
                        .map(k -> kept.getOrDefault(k.id(), DaySet.NONE))
                        .reduce(DaySet::or)
                        .map(days -> line.withAllowed(line.allowed().and(days)))
                        .orElse(line))
                .toList());
    }

    private Week solved(WeekTask task, List<Level> order) {
        return solver.solve(task, order)
                .orElseThrow(() -> new IllegalStateException("a week without anything keeps every rule"));
    }

    private boolean fits(WeekTask task, Collection<String> lines) {
        return solver.fits(task.only(lines));
    }

    /**
     * Lines whose wishes cannot go together: one that cannot even alone, else two, else so many that with any of them left out the rest
     * fits. Empty where all of it fits.
     */
    public Set<String> conflict(WeekTask task) {
        var all = task.lines().stream().map(WeekLine::id).toList();
        if (solver.fits(task)) {
            return Set.of();
        }
        for (var one : all) {
            if (!fits(task, Set.of(one))) {
                return Set.of(one);
            }
        }
        for (int i = 0; i < all.size(); i++) {
            for (var other : all.subList(i + 1, all.size())) {
                if (!fits(task, Set.of(all.get(i), other))) {
                    return Set.of(all.get(i), other);
                }
            }
        }
        var left = new LinkedHashSet<>(all);
        for (var one : all) {
            left.remove(one);
            if (fits(task, left)) {
                left.add(one);
            }
        }
        return left;
    }

    /**
     * Single changes after which all of it fits, the cheapest of a kind first: minutes, then a set or days of the least wanted lines.
     *
     * @param setsLess by line: seconds that a set less takes less; only lines that have one to spare
     */
    public List<WayOut> waysOut(WeekTask task, Map<String, Integer> setsLess) {
        if (solver.fits(task)) {
            return List.of();
        }
        var ways = new ArrayList<WayOut>();
        for (int day = 0; day < DaySet.DAYS; day++) {
            if (!task.frozen().has(day) && task.days().get(day).seconds() > 0) {
                moreTime(task, day, ways);
            }
        }
        ways.sort(Comparator.comparing(WayOut::amount).thenComparing(WayOut::day));
        var least = task.lines().stream()
                .sorted(Comparator.comparing(WeekLine::priority).reversed())
                .toList();
        least.stream()
                .filter(line -> setsLess.containsKey(line.id()))
                .map(line -> WayOut.setLess(line.id(), setsLess.getOrDefault(line.id(), 0)))
                .filter(way -> solver.fits(way.taken(task)))
                .forEach(ways::add);
        least.forEach(line -> fewerDays(task, line, ways));
        // Who can do without it this week, can do it in every second one.
        least.stream()
                .map(line -> WayOut.fewerDays(line.id(), line.wanted()))
                .filter(ways::contains)
                .map(way -> WayOut.everySecondWeek(way.line(), way.amount()))
                .toList()
                .forEach(ways::add);
        return ways;
    }

    /** More never fits worse, so that halving finds the least. */
    private void moreTime(WeekTask task, int day, List<WayOut> ways) {
        if (!solver.fits(WayOut.moreTime(day, MOST_STEPS * STEP_SECONDS).taken(task))) {
            return;
        }
        int tooFew = 0;
        int enough = MOST_STEPS;
        while (enough - tooFew > 1) {
            int middle = (tooFew + enough) / 2;
            if (solver.fits(WayOut.moreTime(day, middle * STEP_SECONDS).taken(task))) {
                enough = middle;
            } else {
                tooFew = middle;
            }
        }
        ways.add(WayOut.moreTime(day, enough * STEP_SECONDS));
    }

    private void fewerDays(WeekTask task, WeekLine line, List<WayOut> ways) {
        IntStream.rangeClosed(1, line.wanted())
                .mapToObj(days -> WayOut.fewerDays(line.id(), days))
                .filter(way -> solver.fits(way.taken(task)))
                .findFirst()
                .ifPresent(ways::add);
    }
}
