package gradino.core.schedule.solve;

import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Level;
import gradino.core.schedule.week.Shared;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekTask;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.constraints.extension.Tuples;
import org.chocosolver.solver.variables.BoolVar;
import org.chocosolver.solver.variables.IntVar;

/**
 * What lines are to each other on the days of a week: rest between them, caps of joints, minutes and what is shared. Which lines fit
 * into a day together is written out as a table while they are few: so it is seen at once how much of what is wanted a day can still
 * take, without which most of the time goes into proving that no week misses less.
 */
final class DayConstraints {
    /** Two to the power of these rows a day. */
    private static final int MOST_IN_A_TABLE = 14;

    private final WeekModel week;
    private final Model model;
    private final WeekTask task;
    private final WeekRules rules;
    /** By day: the weight of what is on it. */
    private final List<IntVar> weights = new ArrayList<>();
    /** By position: whether it is taken, on each day on which it can be. */
    private final Map<String, List<BoolVar>> taken = new HashMap<>();

    DayConstraints(WeekModel week) {
        this.week = week;
        model = week.model;
        task = week.task;
        rules = week.rules;
    }

    void post() {
        spacing();
        toCome().forEach(this::minutes);
        boundSetUps();
        caps();
        joints();
        rules.visits()
                .forEach(d -> week.count(
                        Level.VISITS,
                        week.any("visit-" + d, nonEmpty(on(task.lines(), d).stream()))
                                .not()));
    }

    private IntStream toCome() {
        return DaySet.ALL.without(task.frozen()).days();
    }

    private void spacing() {
        for (var one : task.lines()) {
            for (var other : task.lines()) {
                toCome().forEach(d -> toCome().filter(later ->
                                later > d && !one.id().equals(other.id()) && !rules.isSpaced(one, d, other, later))
                        .forEach(later -> model.arithm(week.on(one, d), "+", week.on(other, later), "<=", 1)
                                .post()));
            }
        }
    }

    private void caps() {
        for (var cap : rules.jointCaps()) {
            var done = cap.lines().stream().map(task::done).reduce(DaySet.NONE, DaySet::or);
            var used = toCome().mapToObj(d -> week.any("cap-" + d, on(cap.lines(), d)))
                    .toArray(BoolVar[]::new);
            model.sum(used, "<=", Math.max(0, cap.days() - done.size())).post();
        }
    }

    private void joints() {
        for (var joint : task.lines().stream().map(WeekLine::joint).distinct().toList()) {
            var lines =
                    task.lines().stream().filter(l -> l.joint().equals(joint)).toList();
            if (lines.stream().allMatch(l -> task.done(l).isEmpty())) {
                var days = toCome().mapToObj(d -> on(lines, d)).flatMap(List::stream);
                week.count(Level.JOINTS, week.any(joint, nonEmpty(days)).not());
            }
        }
    }

    private List<BoolVar> nonEmpty(Stream<BoolVar> all) {
        return Stream.concat(all, Stream.of(model.boolVar(false))).toList();
    }

    private List<BoolVar> on(List<WeekLine> lines, int day) {
        return lines.stream().map(l -> week.on(l, day)).toList();
    }

    private void minutes(int day) {
        var lines = task.lines().stream().filter(l -> rules.open(l).has(day)).toList();
        if (lines.size() <= MOST_IN_A_TABLE) {
            together(day, lines);
        } else {
            summed(day, lines);
        }
    }

    /** A row for each choice of lines that fits: the lines, the positions they need, and what they weigh. */
    private void together(int day, List<WeekLine> lines) {
        var load = rules.load(lines);
        var positions = task.shared().stream()
                .filter(s -> s.kind() == Shared.Kind.SET_UP && load.who(s) != 0)
                .toList();
        var who = positions.stream().mapToLong(load::who).toArray();
        var weights = lines.stream().mapToInt(l -> l.priority().weight()).toArray();
        var tuples = new Tuples(true);
        for (int chosen = 0; chosen < 1 << weights.length; chosen++) {
            if (load.seconds(chosen) <= task.days().get(day).seconds()) {
                tuples.add(row(chosen, who, weights));
            }
        }
        var weight = model.intVar(
                "weight-" + day,
                0,
                lines.stream().mapToInt(l -> l.priority().weight()).sum());
        var taken = model.boolVarArray("taken-" + day, positions.size());
        model.table(
                        Stream.of(on(lines, day).stream(), Stream.of(taken), Stream.of(weight))
                                .flatMap(part -> part)
                                .toArray(IntVar[]::new),
                        tuples)
                .post();
        this.weights.add(weight);
        for (int p = 0; p < taken.length; p++) {
            takes(positions.get(p), taken[p]);
        }
    }

    private static int[] row(int chosen, long[] who, int[] weights) {
        var row = new int[weights.length + who.length + 1];
        for (int l = 0; l < weights.length; l++) {
            row[l] = chosen >> l & 1;
            row[row.length - 1] += row[l] * weights[l];
        }
        for (int p = 0; p < who.length; p++) {
            row[weights.length + p] = (who[p] & chosen) == 0 ? 0 : 1;
        }
        return row;
    }

    private void takes(Shared position, BoolVar on) {
        week.count(Level.SET_UPS, on);
        taken.computeIfAbsent(position.key(), k -> new ArrayList<>()).add(on);
    }

    /** A position is taken at least as often as any of its lines is done. Follows from the days, and is seen sooner. */
    private void boundSetUps() {
        for (var position : task.shared()) {
            var days = taken.get(position.key());
            if (days != null) {
                var often = model.intVar(position.key(), 0, days.size());
                model.sum(days.toArray(BoolVar[]::new), "=", often).post();
                who(position, task.lines())
                        .forEach(line ->
                                model.arithm(often, ">=", week.size(line)).post());
            }
        }
    }

    private static List<WeekLine> who(Shared shared, List<WeekLine> lines) {
        return lines.stream().filter(l -> l.shares().contains(shared.key())).toList();
    }

    private void summed(int day, List<WeekLine> lines) {
        var used = new ArrayList<>(on(lines, day));
        var seconds = new ArrayList<>(lines.stream().map(WeekLine::seconds).toList());
        for (var shared : task.shared()) {
            var who = who(shared, lines);
            if (!who.isEmpty()) {
                var any = week.any(shared.key() + day, on(who, day));
                used.add(any);
                seconds.add(shared.seconds());
                if (shared.kind() == Shared.Kind.SET_UP) {
                    takes(shared, any);
                }
            }
        }
        model.scalar(
                        used.toArray(BoolVar[]::new),
                        seconds.stream().mapToInt(s -> s).toArray(),
                        "<=",
                        task.days().get(day).seconds())
                .post();
    }

    /** What is wanted and fits into no day is missing. Follows from the rest, and is seen sooner. */
    void boundMissing(IntVar missing) {
        if (weights.size() < toCome().count() || weights.isEmpty()) {
            return;
        }
        int wanted = task.lines().stream()
                .mapToInt(
                        l -> l.priority().weight() * (l.wanted() - task.done(l).size()))
                .sum();
        model.sum(Stream.concat(weights.stream(), Stream.of(missing)).toArray(IntVar[]::new), ">=", wanted)
                .post();
    }
}
