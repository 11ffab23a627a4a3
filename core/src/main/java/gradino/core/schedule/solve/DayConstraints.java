package gradino.core.schedule.solve;

import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Level;
import gradino.core.schedule.week.Shared;
import gradino.core.schedule.week.Together;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekTask;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
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
    /**
     * Of what days have left no less is told than this much below the best of the day, in parts of {@link Prices#SCALE}: there it bounds
     * less, and the table has fewer values.
     */
    private static final int TOLD = 250;

    private final WeekModel week;
    private final Model model;
    private final WeekTask task;
    private final WeekRules rules;
    private final List<DayChoice> choices;
    private final List<IntVar> left = new ArrayList<>();
    /** By position: whether it is taken, on each day on which it can be. */
    private final Map<String, List<BoolVar>> taken = new HashMap<>();

    DayConstraints(WeekModel week) {
        this.week = week;
        model = week.model;
        task = week.task;
        rules = week.rules;
        var load = rules.load(task.lines());
        choices = toCome().boxed()
                .flatMap(d -> DayChoice.of(task, load, d, openUnits(d)).stream())
                .toList();
    }

    private List<Together> openUnits(int day) {
        return task.units().stream()
                .filter(u -> u.lines().stream()
                        .allMatch(l -> rules.open(task.line(l)).has(day)))
                .toList();
    }

    /** Of the days that can be filled in so few ways that each can be looked at. */
    List<DayChoice> choices() {
        return choices;
    }

    /** Of each of those: what its lines weigh, less their prices. */
    List<IntVar> left() {
        return left;
    }

    /** Whether those are all days. */
    boolean isBounded() {
        return !choices.isEmpty() && choices.size() == toCome().count();
    }

    private List<WeekLine> open(int day) {
        return task.lines().stream().filter(l -> rules.open(l).has(day)).toList();
    }

    void post() {
        spacing();
        choices.forEach(this::together);
        toCome().filter(d -> choices.stream().noneMatch(c -> c.day == d)).forEach(d -> summed(d, open(d)));
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

    /** A row for each choice of units that fits: the units, their lines of several, the positions they need, and what the day has left. */
    private void together(DayChoice choice) {
        int day = choice.day;
        var positions = task.shared().stream()
                .filter(s -> s.kind() == Shared.Kind.SET_UP && choice.needs(s))
                .toList();
        var shared = task.lines().stream().filter(week::isShared).toList();
        var who = LongStream.concat(
                        shared.stream().mapToLong(l -> 1L << task.lines().indexOf(l)),
                        positions.stream().mapToLong(choice.load::who))
                .toArray();
        var left = left(choice);
        var tuples = new Tuples(true);
        for (int c = 0; c < left.length; c++) {
            tuples.add(row(choice.choices.get(c), choice.units.size(), who, left[c]));
        }
        var ofDay = model.intVar("left-" + day, left);
        var taken = model.boolVarArray("taken-" + day, positions.size());
        var units = choice.units.stream().map(u -> week.unitDays(u.id())[day]);
        var lines = shared.stream().map(l -> week.on(l, day));
        var columns = Stream.of(units, lines, Stream.of(taken), Stream.of(ofDay));
        model.table(columns.flatMap(part -> part).toArray(IntVar[]::new), tuples)
                .post();
        this.left.add(ofDay);
        for (int p = 0; p < taken.length; p++) {
            takes(positions.get(p), taken[p]);
        }
    }

    private int[] left(DayChoice choice) {
        var left = Arrays.stream(week.prices().left(choice))
                .mapToInt(l -> (int) Math.rint(l * Prices.SCALE))
                .toArray();
        int most = Arrays.stream(left).max().orElse(0);
        return Arrays.stream(left).map(l -> Math.max(l, most - TOLD)).toArray();
    }

    private static int[] row(DayChoice.Chosen chosen, int units, long[] who, int left) {
        var row = new int[units + who.length + 1];
        for (int u = 0; u < units; u++) {
            row[u] = (int) (chosen.units() >> u & 1);
        }
        for (int p = 0; p < who.length; p++) {
            row[units + p] = (who[p] & chosen.lines()) == 0 ? 0 : 1;
        }
        row[row.length - 1] = left;
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
}
