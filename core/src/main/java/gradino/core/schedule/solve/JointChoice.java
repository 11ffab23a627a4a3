package gradino.core.schedule.solve;

import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekTask;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;

/**
 * Lines of one joint, each alone in its unit, and the days to come that they may have together: as many as their cap leaves, and as far
 * apart as any two of them have to be.
 *
 * @param sets every one; the empty one is the first
 * @param widest those that no other one contains
 */
record JointChoice(List<UnitChoice> units, List<DaySet> sets, List<DaySet> widest) {
    static List<JointChoice> of(WeekTask task, WeekRules rules, List<UnitChoice> units) {
        var found = new ArrayList<JointChoice>();
        var taken = new HashSet<UnitChoice>();
        var caps = rules.jointCaps().stream()
                .sorted(Comparator.comparing(WeekRules.JointCap::days))
                .toList();
        for (var cap : caps) {
            var members = units.stream()
                    .filter(u -> u.lines.size() == 1 && cap.lines().contains(u.lines.get(0)) && !taken.contains(u))
                    .toList();
            if (members.size() > 1) {
                taken.addAll(members);
                var sets = sets(task, rules, cap);
                var widest = sets.stream()
                        .filter(s -> sets.stream().noneMatch(other -> !other.equals(s) && s.isWithin(other)))
                        .toList();
                found.add(new JointChoice(members, sets, widest));
            }
        }
        return found;
    }

    private static List<DaySet> sets(WeekTask task, WeekRules rules, WeekRules.JointCap cap) {
        var done = cap.lines().stream().map(task::done).reduce(DaySet.NONE, DaySet::or);
        return DaySet.ALL
                .without(task.frozen())
                .within()
                .mapToObj(DaySet::new)
                .filter(set -> set.size() <= Math.max(0, cap.days() - done.size()))
                .filter(set -> isSpaced(rules, cap.lines(), set.days().toArray()))
                .toList();
    }

    private static boolean isSpaced(WeekRules rules, List<WeekLine> lines, int[] days) {
        for (int i = 1; i < days.length; i++) {
            int one = days[i - 1];
            int later = days[i];
            if (lines.stream().noneMatch(l -> lines.stream().anyMatch(other -> rules.isSpaced(l, one, other, later)))) {
                return false;
            }
        }
        return true;
    }

    /** The best that each of the lines can have within these days. */
    double most(List<double[]> paid, DaySet within) {
        double sum = 0;
        for (int u = 0; u < paid.size(); u++) {
            sum += paid.get(u)[best(u, paid.get(u), within)];
        }
        return sum;
    }

    /** The days of one of the lines for which most is paid. */
    int best(int unit, double[] paid, DaySet within) {
        int best = 0;
        for (var set : units.get(unit).sets) {
            boolean better = paid[set.bits()] > paid[best] && set.isWithin(within);
            best = better ? set.bits() : best;
        }
        return best;
    }
}
