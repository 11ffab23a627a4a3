package gradino.core.schedule;

import gradino.core.schedule.week.Broken.Rule;
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
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** Goes through all weeks there are, one unit after the other, leaving out only what cannot become better. For small tasks. */
final class PlainSearch implements WeekSolver {
    @Override
    public Optional<Week> solve(WeekTask task, List<Level> order, int mostMissing) {
        return new Walk(task, order, mostMissing).best();
    }

    @Override
    public boolean fits(WeekTask task) {
        return solve(task, List.of(Level.MISSING), 0).isPresent();
    }

    private static final class Walk {
        private final WeekTask task;
        private final List<Level> order;
        private final int mostMissing;
        private final WeekRules rules;
        private final List<List<DaySet>> choices;
        private final List<DaySet> now = new ArrayList<>();
        private final List<WeekRules> decided;
        private List<DaySet> best = List.of();
        private Score bestScore;

        Walk(WeekTask task, List<Level> order, int mostMissing) {
            this.task = task;
            this.order = order;
            this.mostMissing = mostMissing;
            rules = new WeekRules(task);
            // Many days first finds a good week soon.
            choices = task.units().stream()
                    .map(u -> rules.choices(u).stream()
                            .sorted(Comparator.comparing((DaySet d) -> -d.size())
                                    .thenComparing(d -> d))
                            .toList())
                    .toList();
            decided = IntStream.rangeClosed(0, choices.size())
                    .mapToObj(this::closed)
                    .toList();
        }

        Optional<Week> best() {
            walk();
            return Optional.ofNullable(bestScore).map(score -> new Week(task.daysOfLines(best), score, true));
        }

        private void walk() {
            int next = now.size();
            if (next == choices.size()) {
                keep();
                return;
            }
            for (var days : choices.get(next)) {
                now.add(days);
                if (leads()) {
                    walk();
                }
                now.remove(next);
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

        /** Its lines at a depth: those on all of whose units is decided. */
        private WeekRules closed(int depth) {
            var open = new HashSet<String>();
            task.units().subList(depth, choices.size()).forEach(u -> open.addAll(u.lines()));
            return new WeekRules(task.only(task.lines().stream()
                    .map(WeekLine::id)
                    .filter(id -> !open.contains(id))
                    .toList()));
        }

        private Map<String, DaySet> padded() {
            var padded = new ArrayList<>(now);
            while (padded.size() < choices.size()) {
                padded.add(DaySet.NONE);
            }
            return task.daysOfLines(padded);
        }

        /** Whatever is broken among lines that are decided on stays so, and what they count is not taken back; joints and visits may still come. */
        private boolean leads() {
            var rules = decided.get(now.size());
            var week = padded();
            if (rules.broken(week).stream().anyMatch(b -> b.rule() != Rule.TOGETHER)) {
                return false;
            }
            var least = new EnumMap<>(rules.score(week).of());
            least.put(Level.JOINTS, 0);
            least.put(Level.VISITS, 0);
            return bestScore == null || new Score(least).compare(bestScore, order) <= 0;
        }
    }
}
