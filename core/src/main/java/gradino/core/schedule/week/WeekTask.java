package gradino.core.schedule.week;

import gradino.core.quantity.OutOfBoundsException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * One client's week, as it is to be planned.
 *
 * @param days seven, in their order
 * @param lines in the order in which they are looked at, where all else is equal
 * @param sessions kept ones; a line of none is one of its own
 * @param rested what last week left behind
 * @param before the days of each line in the plan that this one follows
 * @param frozen days that are past; what was done on them stands in {@code done}
 * @param done by line, within the frozen days
 */
public record WeekTask(
        List<WeekDay> days,
        List<WeekLine> lines,
        List<Shared> shared,
        List<Together> sessions,
        List<Rested> rested,
        Map<String, DaySet> before,
        DaySet frozen,
        Map<String, DaySet> done) {
    /** More than a program ever has; beyond it no proof comes in a time that anybody waits. */
    public static final int MOST_LINES = 60;

    public WeekTask {
        OutOfBoundsException.require("days of a week", days.size(), DaySet.DAYS, DaySet.DAYS, "");
        OutOfBoundsException.require("lines of a week", lines.size(), 0, MOST_LINES, "");
        days = List.copyOf(days);
        lines = List.copyOf(lines);
        shared = List.copyOf(shared);
        sessions = List.copyOf(sessions);
        rested = List.copyOf(rested);
        before = Map.copyOf(before);
        done = Map.copyOf(done);
    }

    /** A week that follows none and of which nothing is past. */
    public static WeekTask of(List<WeekDay> days, List<WeekLine> lines, List<Shared> shared) {
        return new WeekTask(days, lines, shared, List.of(), List.of(), Map.of(), DaySet.NONE, Map.of());
    }

    /** What is decided on: each kept session, and each line of none by itself. In the order of their first lines. */
    public List<Together> units() {
        var taken = new HashSet<String>();
        sessions.forEach(s -> taken.addAll(s.lines()));
        var units = new ArrayList<Together>();
        var placed = new HashSet<String>();
        for (var line : lines) {
            if (!taken.contains(line.id())) {
                units.add(new Together(line.id(), List.of(line.id())));
            }
            for (var session : sessions) {
                if (session.lines().contains(line.id()) && placed.add(session.id())) {
                    units.add(session);
                }
            }
        }
        return units;
    }

    public WeekLine line(String id) {
        return lines.stream().filter(l -> l.id().equals(id)).findFirst().orElseThrow();
    }

    /** The days of each line, past ones as they were, when each unit has the days to come that are given in their order. */
    public Map<String, DaySet> daysOfLines(List<DaySet> daysOfUnits) {
        var units = units();
        var all = new LinkedHashMap<String, DaySet>();
        lines.forEach(l -> all.put(l.id(), done(l)));
        for (int u = 0; u < units.size(); u++) {
            for (var line : units.get(u).lines()) {
                all.merge(line, daysOfUnits.get(u), DaySet::or);
            }
        }
        return all;
    }

    public DaySet before(WeekLine line) {
        return before.getOrDefault(line.id(), DaySet.NONE);
    }

    public DaySet done(WeekLine line) {
        return done.getOrDefault(line.id(), DaySet.NONE);
    }

    /** Days that a line still wants. */
    public int wanted(WeekLine line) {
        return Math.max(0, line.wanted() - done(line).size());
    }

    /** With only these lines, in the sessions as far as those have them. */
    public WeekTask only(Collection<String> ids) {
        var left = sessions.stream()
                .map(s -> new Together(
                        s.id(), s.lines().stream().filter(ids::contains).toList()))
                .filter(s -> !s.lines().isEmpty())
                .toList();
        return with(days, lines.stream().filter(l -> ids.contains(l.id())).toList(), left);
    }

    public WeekTask withLines(List<WeekLine> others) {
        return with(days, others, sessions);
    }

    public WeekTask withLine(String id, UnaryOperator<WeekLine> change) {
        return withLines(
                lines.stream().map(l -> l.id().equals(id) ? change.apply(l) : l).toList());
    }

    public WeekTask withSeconds(int day, int seconds) {
        var others = new ArrayList<>(days);
        others.set(day, days.get(day).withSeconds(seconds));
        return with(others, lines, sessions);
    }

    private WeekTask with(List<WeekDay> ofDays, List<WeekLine> ofLines, List<Together> ofSessions) {
        return new WeekTask(ofDays, ofLines, shared, ofSessions, rested, before, frozen, done);
    }
}
