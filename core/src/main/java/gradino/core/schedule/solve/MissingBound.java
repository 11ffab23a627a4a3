package gradino.core.schedule.solve;

import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Level;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.constraints.extension.Tuples;
import org.chocosolver.solver.variables.IntVar;

/** What is wanted and fits into no day is missing: by what days have left, and what is paid. Follows from the rest, and is seen sooner. */
final class MissingBound {
    private final WeekModel week;
    private final Model model;
    private final List<IntVar> left;

    /** @param left of each day to come */
    MissingBound(WeekModel week, List<IntVar> left) {
        this.week = week;
        this.model = week.model;
        this.left = left;
    }

    void post(List<UnitChoice> alone, List<JointChoice> joints) {
        var lines = week.task.lines();
        int wanted = lines.stream()
                .mapToInt(l -> l.priority().weight() * week.task.wanted(l))
                .sum();
        var missing = model.mul(week.level(Level.MISSING), Prices.SCALE);
        var terms = Stream.of(
                left.stream(), alone.stream().map(week::paid), joints.stream().map(this::paid), Stream.of(missing));
        model.sum(terms.flatMap(part -> part).toArray(IntVar[]::new), ">=", wanted * Prices.SCALE)
                .post();
    }

    /** What is paid to the lines of a joint: no more than each of them is, and than all can be on the days that they have. */
    private IntVar paid(JointChoice joint) {
        var bound = ofDays(joint);
        var each = joint.units().stream().map(week::paid).toArray(IntVar[]::new);
        int least = Arrays.stream(each).mapToInt(IntVar::getLB).sum();
        var together = model.intVar("paid-" + name(joint), Math.min(least, bound.getLB()), bound.getUB(), true);
        model.arithm(together, "<=", bound).post();
        model.sum(each, ">=", together).post();
        return together;
    }

    private IntVar ofDays(JointChoice joint) {
        var each = joint.units().stream().map(week.prices()::paid).toList();
        var most = joint.sets().stream()
                .mapToInt(set -> (int) Math.rint(joint.most(each, set) * Prices.SCALE))
                .toArray();
        var bound = model.intVar("bound-" + name(joint), most);
        var days = IntStream.range(0, DaySet.DAYS)
                .mapToObj(d -> week.any(
                        "joint-" + d,
                        joint.units().stream().map(u -> week.unitDays(u.id)[d]).toList()));
        var tuples = new Tuples(true);
        for (int s = 0; s < most.length; s++) {
            var set = joint.sets().get(s);
            var row = IntStream.range(0, DaySet.DAYS).map(d -> set.has(d) ? 1 : 0);
            tuples.add(IntStream.concat(row, IntStream.of(most[s])).toArray());
        }
        model.table(Stream.concat(days, Stream.of(bound)).toArray(IntVar[]::new), tuples)
                .post();
        return bound;
    }

    private static String name(JointChoice joint) {
        return joint.units().get(0).id;
    }
}
