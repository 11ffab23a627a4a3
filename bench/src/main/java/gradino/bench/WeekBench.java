package gradino.bench;

import gradino.core.schedule.Planner;
import gradino.core.schedule.SampleWeeks;
import gradino.core.schedule.SampleWeeks.Kind;
import gradino.core.schedule.solve.ConstraintWeekSolver;
import gradino.core.schedule.week.Week;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekTask;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** Weeks of twelve lines, of five kinds; the same in each run, so that runs can be compared. */
final class WeekBench {
    private static final int LINES = 12;
    private static final int A_KIND = 12;
    private static final int CLIENTS = 30;
    private static final int WEEKS = 4;

    private int notProved;

    private WeekBench() {}

    static List<Measured> plan() {
        return new WeekBench().measured(1);
    }

    private List<Measured> measured(long seed) {
        var planner = new Planner(new ConstraintWeekSolver());
        var figures = new ArrayList<Measured>();
        figures.add(new Measured("week-first", millis(planner::plan, task(Kind.ROOMY, seed)), "ms", 1_000));
        var plans = new ArrayList<Double>();
        var goingOn = new ArrayList<Double>();
        for (var kind : Kind.values()) {
            for (int n = 0; n < A_KIND; n++) {
                plans.add(millis(planner::plan, task(kind, seed + n)));
            }
        }
        for (int n = 0; n < A_KIND; n++) {
            goingOn.add(millis(planner::goOn, task(Kind.GOING_ON, seed + n)));
        }
        plans.sort(null);
        double asked = figures.size() + plans.size() + goingOn.size();
        figures.add(Measured.atLeast("weeks-proved", 100 * (asked - notProved) / asked, "%", 100));
        figures.add(new Measured("week", Bench.median(plans), "ms", 150));
        figures.add(new Measured("week-p95", plans.get(plans.size() * 95 / 100), "ms", 800));
        figures.add(new Measured("week-going-on", Bench.median(goingOn), "ms", 400));
        figures.add(new Measured("weeks-of-a-studio", studio(planner, seed), "s", 25));
        return figures;
    }

    private static WeekTask task(Kind kind, long seed) {
        return SampleWeeks.of(kind, LINES, seed);
    }

    private static double studio(Planner planner, long seed) {
        long before = System.nanoTime();
        var kinds = List.of(Kind.values());
        for (int n = 0; n < CLIENTS * WEEKS; n++) {
            planner.plan(task(kinds.get(n % kinds.size()), seed + 1_000 + n));
        }
        return (System.nanoTime() - before) / 1e9;
    }

    private double millis(Function<WeekTask, Week> how, WeekTask task) {
        long before = System.nanoTime();
        var week = how.apply(task);
        double took = (System.nanoTime() - before) / 1e6;
        if (!new WeekRules(task).broken(week.days()).isEmpty()) {
            throw new IllegalStateException("a week breaks a rule");
        }
        notProved += week.proved() ? 0 : 1;
        return took;
    }
}
