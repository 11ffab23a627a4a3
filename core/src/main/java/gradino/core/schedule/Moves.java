package gradino.core.schedule;

import gradino.core.schedule.week.Broken;
import gradino.core.schedule.week.Broken.Rule;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Together;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekTask;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A week as it would be with one session, or one line of none, on another day, and which rules that breaks. */
public final class Moves {
    /** In place of a day: from nowhere, or to nowhere. */
    public static final int NOWHERE = -1;

    private final WeekTask task;
    private final WeekRules rules;
    private final Map<String, DaySet> days;
    private final List<Broken> before;

    public Moves(WeekTask task, Map<String, DaySet> days) {
        this.task = task;
        this.rules = new WeekRules(task);
        this.days = Map.copyOf(days);
        this.before = rules.broken(days);
    }

    /** Whether a session, or a line of none, is on a day: all of its lines are. */
    public boolean has(Together unit, int day) {
        return unit.lines().stream()
                .allMatch(l -> days.getOrDefault(l, DaySet.NONE).has(day));
    }

    public Map<String, DaySet> moved(Together unit, int from, int to) {
        var moved = new LinkedHashMap<>(days);
        for (var line : unit.lines()) {
            var now = days.getOrDefault(line, DaySet.NONE);
            boolean stays = task.units().stream()
                    .anyMatch(u -> !u.equals(unit) && u.lines().contains(line) && from != NOWHERE && has(u, from));
            var left = from == NOWHERE || stays ? now : now.without(DaySet.of(from));
            moved.put(line, to == NOWHERE ? left : left.with(to));
        }
        return moved;
    }

    /** Rules that the move breaks and that were not broken before. */
    public List<Broken> broken(Together unit, int from, int to) {
        return rules.broken(moved(unit, from, to)).stream()
                .filter(b -> !before.contains(b))
                .toList();
    }

    /** A restriction, a pause, what is past, and where something is missing: nobody moves over these. */
    public static boolean isHard(Broken broken) {
        return broken.rule() == Rule.ALLOWED || broken.rule() == Rule.PAST;
    }
}
