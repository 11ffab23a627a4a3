package gradino.core.schedule;

import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Level;
import gradino.core.schedule.week.Score;
import gradino.core.schedule.week.Week;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekSolver;
import gradino.core.schedule.week.WeekTask;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Goes through all weeks there are, one unit after the other, leaving out only what breaks a rule already or cannot become better. What it
 * ends in is judged by {@link WeekRules} as a whole. For small tasks.
 */
final class PlainSearch implements WeekSolver {
    @Override
    public Optional<Week> solve(WeekTask task, List<Level> order) {
        return new Walk(task, order, Integer.MAX_VALUE).best();
    }

    @Override
    public boolean fits(WeekTask task) {
        return new Walk(task, List.of(Level.MISSING), 0).best().isPresent();
    }

    private static final class Walk {
        private static final List<Level> BY_LINE = List.of(Level.MISSING, Level.SPREAD, Level.CHANGES);

        private final WeekTask task;
        private final List<Level> order;
        private final int mostMissing;
        private final WeekRules rules;
        private final List<WeekLine> lines;
        /** By unit: the numbers of its lines, and the days that it may have, many first, so that a good week is found soon. */
        private final List<List<Integer>> units;

        private final List<List<DaySet>> choices;
        /** By lines, a bit each: what a day with them takes, and how many positions. */
        private final int[] seconds;

        private final int[] setUps;
        /** By line and days: whether it may have them by itself. */
        private final boolean[][] allowed;
        /** By level, line and days. */
        private final Map<Level, int[][]> counts = new EnumMap<>(Level.class);
        /** By line, day and other line: days on which that must not be. */
        private final int[][][] clashes;

        /** By line: the first of its units, and the last. */
        private final int[] first;

        private final int[] last;
        private final int[] days;
        private final List<DaySet> now = new ArrayList<>();
        private List<DaySet> best = List.of();
        private Score bestScore;

        Walk(WeekTask task, List<Level> order, int mostMissing) {
            this.task = task;
            this.order = order;
            this.mostMissing = mostMissing;
            rules = new WeekRules(task);
            lines = task.lines();
            units = task.units().stream()
                    .map(u -> u.lines().stream()
                            .map(l -> lines.indexOf(task.line(l)))
                            .toList())
                    .toList();
            choices = task.units().stream()
                    .map(u -> rules.choices(u).stream()
                            .sorted(Comparator.comparing((DaySet d) -> -d.size())
                                    .thenComparing(d -> d))
                            .toList())
                    .toList();
            seconds = some().map(rules.load(lines)::seconds).toArray();
            setUps = some().map(rules.load(lines)::setUps).toArray();
            allowed = new boolean[lines.size()][1 << DaySet.DAYS];
            BY_LINE.forEach(level -> counts.put(level, new int[lines.size()][1 << DaySet.DAYS]));
            DaySet.ALL.within().mapToObj(DaySet::new).forEach(this::byItself);
            clashes = new int[lines.size()][DaySet.DAYS][lines.size()];
            for (int l = 0; l < lines.size(); l++) {
                for (int d = 0; d < DaySet.DAYS; d++) {
                    for (int other = 0; other < lines.size(); other++) {
                        clashes[l][d][other] = clashing(lines.get(l), d, lines.get(other));
                    }
                }
            }
            first = of().mapToInt(of -> of.min().orElseThrow()).toArray();
            last = of().mapToInt(of -> of.max().orElseThrow()).toArray();
            days = lines.stream().mapToInt(l -> task.done(l).bits()).toArray();
        }

        /** By line: its units. */
        private Stream<IntStream> of() {
            return IntStream.range(0, lines.size())
                    .mapToObj(l -> IntStream.range(0, units.size())
                            .filter(u -> units.get(u).contains(l)));
        }

        private IntStream some() {
            return IntStream.range(0, 1 << lines.size());
        }

        private void byItself(DaySet set) {
            for (int l = 0; l < lines.size(); l++) {
                var line = lines.get(l);
                allowed[l][set.bits()] = rules.allows(line, set);
                counts.get(Level.MISSING)[l][set.bits()] = WeekRules.missing(line, set);
                counts.get(Level.SPREAD)[l][set.bits()] = set.squaredGaps();
                counts.get(Level.CHANGES)[l][set.bits()] = set.differences(task.before(line));
            }
        }

        private int clashing(WeekLine line, int day, WeekLine other) {
            return IntStream.range(0, DaySet.DAYS)
                    .filter(d -> !rules.isApart(line, day, other, d))
                    .map(d -> 1 << d)
                    .sum();
        }

        Optional<Week> best() {
            walk();
            return Optional.ofNullable(bestScore).map(score -> new Week(task.daysOfLines(best), score, true));
        }

        private void walk() {
            if (now.size() == choices.size()) {
                keep();
                return;
            }
            for (var set : choices.get(now.size())) {
                if (fits(now.size(), set)) {
                    var before = days.clone();
                    units.get(now.size()).forEach(l -> days[l] |= set.bits());
                    now.add(set);
                    if (leads()) {
                        walk();
                    }
                    now.remove(now.size() - 1);
                    System.arraycopy(before, 0, days, 0, days.length);
                }
            }
        }

        private void keep() {
            var week = task.daysOfLines(now);
            var score = rules.score(week);
            boolean better = bestScore == null
                    || score.compare(bestScore, order) < 0
                    || (score.compare(bestScore, order) == 0 && lower(now, best));
            if (better
                    && score.at(Level.MISSING) <= mostMissing
                    && rules.broken(week).isEmpty()) {
                best = List.copyOf(now);
                bestScore = score;
            }
        }

        private static boolean lower(List<DaySet> one, List<DaySet> other) {
            for (int i = 0; i < one.size(); i++) {
                int difference = one.get(i).compareTo(other.get(i));
                if (difference != 0) {
                    return difference < 0;
                }
            }
            return false;
        }

        /** Whether a unit may have days beside what is decided on. */
        private boolean fits(int unit, DaySet set) {
            int own = 0;
            for (int l : units.get(unit)) {
                own |= 1 << l;
            }
            for (int d = 0; d < DaySet.DAYS; d++) {
                if (set.has(d) && seconds[on(d) | own] > task.days().get(d).seconds()) {
                    return false;
                }
            }
            for (int l : units.get(unit)) {
                if (!fits(unit, l, set)) {
                    return false;
                }
            }
            return true;
        }

        private boolean fits(int unit, int line, DaySet set) {
            for (int d = 0; d < DaySet.DAYS; d++) {
                for (int other = 0; set.has(d) && other < lines.size(); other++) {
                    if (other != line && (days[other] & clashes[line][d][other]) != 0) {
                        return false;
                    }
                }
            }
            return !isDecided(line, unit + 1) || allowed[line][days[line] | set.bits()];
        }

        private int on(int day) {
            int on = 0;
            for (int l = 0; l < days.length; l++) {
                on |= (days[l] >> day & 1) << l;
            }
            return on;
        }

        private boolean isDecided(int line, int depth) {
            return last[line] < depth;
        }

        /** The least that each level can still come to, set against the best there is. Joints and visits may still come for nothing. */
        private boolean leads() {
            var least = new EnumMap<Level, Integer>(Level.class);
            least.put(
                    Level.SET_UPS,
                    IntStream.range(0, DaySet.DAYS).map(d -> setUps[on(d)]).sum());
            for (int l = 0; l < lines.size(); l++) {
                if (!least(l, least)) {
                    return false;
                }
            }
            return least.getOrDefault(Level.MISSING, 0) <= mostMissing
                    && (bestScore == null || new Score(least).compare(bestScore, order) <= 0);
        }

        /** Adds what a line comes to at least; whether there are days for it at all. */
        private boolean least(int line, Map<Level, Integer> least) {
            if (isDecided(line, now.size())) {
                BY_LINE.forEach(level -> least.merge(level, counted(level, line, days[line]), Integer::sum));
                return true;
            }
            if (first[line] < now.size()) {
                return true;
            }
            var still = first[line] == last[line]
                    ? choices.get(last[line]).stream()
                            .filter(set -> fits(last[line], set))
                            .mapToInt(set -> days[line] | set.bits())
                            .toArray()
                    : new int[0];
            for (var level : BY_LINE) {
                int fewest = Integer.MAX_VALUE;
                for (int set : still) {
                    fewest = Math.min(fewest, counted(level, line, set));
                }
                least.merge(level, still.length == 0 ? 0 : fewest, Integer::sum);
            }
            return first[line] != last[line] || still.length > 0;
        }

        private int counted(Level level, int line, int set) {
            return counts.get(level)[line][set];
        }
    }
}
