package gradino.core.schedule.solve;

import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Level;
import gradino.core.schedule.week.Together;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekTask;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.constraints.extension.Tuples;
import org.chocosolver.solver.variables.BoolVar;
import org.chocosolver.solver.variables.IntVar;

/**
 * A week as variables: for each unit the number of a set of days, tied by a table to seven days and to what those days count at each
 * level. What days and lines are to each other stands in {@link DayConstraints}.
 */
final class WeekModel {
    private static final List<Level> BY_LINE = List.of(Level.MISSING, Level.SPREAD, Level.CHANGES);

    final Model model = new Model();
    final WeekTask task;
    final WeekRules rules;
    private final List<Together> units;
    private final Map<String, BoolVar[]> unitDays = new HashMap<>();
    private final Map<String, BoolVar[]> lineDays = new HashMap<>();
    private final Map<String, IntVar> sizes = new HashMap<>();
    private final List<IntVar> sets = new ArrayList<>();
    private final List<IntVar> ranks = new ArrayList<>();
    private final Map<Level, List<IntVar>> terms = new EnumMap<>(Level.class);
    private final Map<Level, IntVar> levels = new EnumMap<>(Level.class);
    /** By unit or line: what is paid for its days. */
    private final Map<UnitChoice, IntVar> paid = new HashMap<>();

    private final Prices prices;

    WeekModel(WeekTask task) {
        this.task = task;
        rules = new WeekRules(task);
        units = task.units();
        for (var level : Level.values()) {
            terms.put(level, new ArrayList<>());
        }
        var ofUnits = choicesOfUnits();
        var ofLines = choicesOfLines();
        var days = new DayConstraints(this);
        var joints = JointChoice.of(task, rules, ofUnits);
        var alone = Stream.concat(ofUnits.stream(), ofLines.stream())
                .filter(u -> joints.stream().noneMatch(j -> j.units().contains(u)))
                .toList();
        prices = days.isBounded() ? Prices.agreed(task, alone, joints, days.choices()) : Prices.none(task);
        units.forEach(this::days);
        ofUnits.forEach(choice -> sets.add(table(choice, unitDays(choice.id))));
        ofLines.forEach(choice -> table(choice, united(choice.lines.get(0))));
        days.post();
        terms.forEach((level, of) -> levels.put(level, sum(level, of)));
        if (days.isBounded()) {
            new MissingBound(this, days.left()).post(alone, joints);
        }
    }

    /** Of each unit the bits of its days, in the order in which they are looked at. */
    IntVar[] sets() {
        return sets.toArray(IntVar[]::new);
    }

    /** Of each unit where its days stand, the best by themselves first: there a search finds good weeks soon. */
    IntVar[] ranks() {
        return ranks.toArray(IntVar[]::new);
    }

    Prices prices() {
        return prices;
    }

    IntVar level(Level level) {
        return Objects.requireNonNull(levels.get(level), level.name());
    }

    /** Levels as one number, each weighing more than all after it can come to. */
    IntVar levels(List<Level> order) {
        var all = order.stream().map(this::level).toArray(IntVar[]::new);
        var weights = new int[all.length];
        int next = 1;
        for (int l = all.length - 1; l >= 0; l--) {
            weights[l] = next;
            next = Math.multiplyExact(next, all[l].getUB() + 1);
        }
        var one = model.intVar(order.toString(), 0, next - 1, true);
        model.scalar(all, weights, "=", one).post();
        return one;
    }

    void count(Level level, IntVar term) {
        terms(level).add(term);
    }

    private List<IntVar> terms(Level level) {
        return terms.computeIfAbsent(level, l -> new ArrayList<>());
    }

    List<DaySet> daysOfUnits(Solution solution) {
        return sets.stream().map(set -> new DaySet(solution.getIntVal(set))).toList();
    }

    /** Whether a line is on a day. */
    BoolVar on(WeekLine line, int day) {
        return Objects.requireNonNull(lineDays.get(line.id()), line.id())[day];
    }

    /** How many days to come a line has. */
    IntVar size(WeekLine line) {
        return Objects.requireNonNull(sizes.get(line.id()), line.id());
    }

    /** Whether any of these is so. */
    BoolVar any(String name, List<BoolVar> all) {
        var any = model.boolVar(name);
        model.max(any, all.toArray(BoolVar[]::new)).post();
        return any;
    }

    private List<Together> units(WeekLine line) {
        return units.stream().filter(u -> u.lines().contains(line.id())).toList();
    }

    /** Whether it is in several units. */
    boolean isShared(WeekLine line) {
        return units(line).size() > 1;
    }

    /** Of each unit, with the lines that are in it alone. */
    private List<UnitChoice> choicesOfUnits() {
        return units.stream()
                .map(u -> allowed(u.id(), own(u), rules.choices(u).stream()))
                .toList();
    }

    /** Of each line of several units. */
    private List<UnitChoice> choicesOfLines() {
        var toCome = DaySet.ALL.without(task.frozen());
        return task.lines().stream()
                .filter(this::isShared)
                .map(l -> allowed(l.id(), List.of(l), toCome.within().mapToObj(DaySet::new)))
                .toList();
    }

    private List<WeekLine> own(Together unit) {
        return unit.lines().stream().map(task::line).filter(l -> !isShared(l)).toList();
    }

    private UnitChoice allowed(String id, List<WeekLine> lines, Stream<DaySet> sets) {
        return new UnitChoice(
                task,
                id,
                lines,
                sets.filter(set -> lines.stream().allMatch(l -> rules.allows(l, set.or(task.done(l)))))
                        .toList());
    }

    /** Lines that are in this unit alone have its days. */
    private void days(Together unit) {
        var days = model.boolVarArray(unit.id(), DaySet.DAYS);
        unitDays.put(unit.id(), days);
        own(unit).forEach(l -> lineDays.put(l.id(), days));
    }

    BoolVar[] unitDays(String unit) {
        return Objects.requireNonNull(unitDays.get(unit), unit);
    }

    /** A line of several sessions has the days of all. */
    private BoolVar[] united(WeekLine line) {
        var days = model.boolVarArray(line.id(), DaySet.DAYS);
        var of = units(line).stream().map(u -> unitDays(u.id())).toList();
        for (int d = 0; d < DaySet.DAYS; d++) {
            int day = d;
            model.max(days[day], of.stream().map(u -> u[day]).toArray(BoolVar[]::new))
                    .post();
        }
        lineDays.put(line.id(), days);
        return days;
    }

    /** A row for each set of days: its bits, its rank, the days themselves, and what they count. */
    private IntVar table(UnitChoice choice, BoolVar[] days) {
        var id = choice.id;
        var lines = choice.lines;
        var pay = prices.paid(choice);
        var rows = choice.sets.stream()
                .map(set -> row(lines, set, pay[set.bits()]))
                .sorted()
                .toList();
        var size = model.intVar("size-" + id, 0, DaySet.DAYS);
        lines.forEach(l -> sizes.put(l.id(), size));
        var bits = model.intVar(
                "days-" + id, rows.stream().mapToInt(row -> row.days().bits()).toArray());
        var rank = model.intVar("rank-" + id, 0, rows.size() - 1);
        ranks.add(rank);
        var columns = new ArrayList<IntVar>(List.of(bits, rank, size));
        columns.addAll(List.of(days));
        for (int l = 0; l <= BY_LINE.size(); l++) {
            int column = l;
            var cost = model.intVar(
                    l + "-" + id,
                    rows.stream().mapToInt(row -> row.counts().get(column)).toArray());
            columns.add(cost);
            if (l < BY_LINE.size()) {
                count(BY_LINE.get(l), cost);
            } else {
                paid.put(choice, cost);
            }
        }
        var tuples = new Tuples(true);
        for (int r = 0; r < rows.size(); r++) {
            tuples.add(rows.get(r).tuple(r));
        }
        model.table(columns.toArray(IntVar[]::new), tuples).post();
        return bits;
    }

    IntVar paid(UnitChoice choice) {
        return Objects.requireNonNull(paid.get(choice), choice.id);
    }

    private Row row(List<WeekLine> lines, DaySet set, double price) {
        var counts = BY_LINE.stream().map(level -> counts(level, lines, set));
        return new Row(
                set,
                Stream.concat(counts, Stream.of((int) Math.rint(price * Prices.SCALE)))
                        .toList());
    }

    /** A set of days with what it counts at each level of {@link #BY_LINE} and what is paid for it; ordered by the first two of those, then by its days. */
    private record Row(DaySet days, List<Integer> counts) implements Comparable<Row> {
        private static final int BEFORE_DAYS = 3;

        @Override
        public int compareTo(Row other) {
            int first = counts.get(0).compareTo(other.counts.get(0));
            int second = first == 0 ? counts.get(1).compareTo(other.counts.get(1)) : first;
            return second == 0 ? days.compareTo(other.days) : second;
        }

        int[] tuple(int rank) {
            var tuple = new int[BEFORE_DAYS + DaySet.DAYS + counts.size()];
            tuple[0] = days.bits();
            tuple[1] = rank;
            tuple[2] = days.size();
            for (int d = 0; d < DaySet.DAYS; d++) {
                tuple[BEFORE_DAYS + d] = days.has(d) ? 1 : 0;
            }
            for (int c = 0; c < counts.size(); c++) {
                tuple[BEFORE_DAYS + DaySet.DAYS + c] = counts.get(c);
            }
            return tuple;
        }
    }

    private int counts(Level level, List<WeekLine> lines, DaySet set) {
        return lines.stream()
                .mapToInt(line -> {
                    var days = set.or(task.done(line));
                    return switch (level) {
                        case MISSING -> WeekRules.missing(line, days);
                        case SPREAD -> days.squaredGaps();
                        default -> days.differences(task.before(line));
                    };
                })
                .sum();
    }

    private IntVar sum(Level level, List<IntVar> of) {
        var sum = model.intVar(
                level.name(), 0, of.stream().mapToInt(IntVar::getUB).sum(), true);
        model.sum(Stream.concat(of.stream(), Stream.of(model.intVar(0))).toArray(IntVar[]::new), "=", sum)
                .post();
        return sum;
    }
}
