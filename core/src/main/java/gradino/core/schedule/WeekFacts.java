package gradino.core.schedule;

import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.WeekTask;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/**
 * What a week was planned from, in short: enough to tell whether anything is other now, and what.
 *
 * @param lines by id
 * @param seconds of each day
 * @param done by line, on days that are past
 * @param rest what else it hangs on, told apart only
 */
public record WeekFacts(
        Map<String, Wish> lines, List<Integer> seconds, DaySet frozen, Map<String, DaySet> done, int rest) {
    public WeekFacts {
        lines = Map.copyOf(lines);
        seconds = List.copyOf(seconds);
        done = Map.copyOf(done);
    }

    /** A line in short. */
    public record Wish(
            int wanted, int cap, long spacingHours, int seconds, int priority, DaySet allowed, List<String> with) {}

    public static WeekFacts of(WeekTask task) {
        var lines = new LinkedHashMap<String, Wish>();
        for (var l : task.lines()) {
            var with = task.units().stream()
                    .filter(u -> u.lines().contains(l.id()))
                    .map(u -> u.id())
                    .toList();
            lines.put(
                    l.id(),
                    new Wish(
                            l.wanted(),
                            l.cap(),
                            l.spacing().toHours(),
                            l.seconds(),
                            l.priority().weight(),
                            l.allowed(),
                            with));
        }
        return new WeekFacts(
                lines, task.days().stream().map(d -> d.seconds()).toList(), task.frozen(), task.done(), stable(task));
    }

    /** Of lines that have other ids now. */
    public WeekFacts named(UnaryOperator<String> now) {
        var names = new LinkedHashMap<String, Wish>();
        lines.forEach((id, wish) -> names.merge(now.apply(id), wish, (one, other) -> lines.getOrDefault(id, one)));
        return new WeekFacts(names, seconds, frozen, DaySet.named(done, now), rest);
    }

    /** The same on every machine: of what is written, since an enumeration has no hash of its own. */
    private static int stable(WeekTask task) {
        return (task.rested() + " " + task.shared() + " " + task.days()).hashCode();
    }

    /** Why the week had to be looked at again, in sentences; empty where only a day has passed as planned. */
    public List<String> since(WeekFacts before, Map<String, DaySet> planned, WeekWords words) {
        var why = new ArrayList<String>();
        frozen.without(before.frozen).days().forEach(d -> day(d, planned, words, why));
        lines.forEach((id, wish) -> {
            var was = before.lines.get(id);
            if (was == null) {
                why.add(words.name(id) + " is new.");
            } else if (wish.spacingHours > was.spacingHours) {
                why.add("%s is harder now: %d h apart.".formatted(words.name(id), wish.spacingHours));
            } else if (wish.spacingHours < was.spacingHours) {
                why.add("%s is lighter now: %d h apart.".formatted(words.name(id), wish.spacingHours));
            } else if (wish.allowed.isEmpty() && !was.allowed.isEmpty()) {
                why.add(words.name(id) + " may not be trained now.");
            } else if (wish.wanted != was.wanted) {
                why.add("%s: %d days a week instead of %d.".formatted(words.name(id), wish.wanted, was.wanted));
            }
        });
        if (!lines.keySet().containsAll(before.lines.keySet())) {
            why.add("A line has ended.");
        }
        var other = IntStream.range(0, seconds.size())
                .filter(d -> !frozen.has(d) && !seconds.get(d).equals(before.seconds.get(d)))
                .toArray();
        if (other.length > 0) {
            why.add(words.days(DaySet.of(other)) + ": other minutes than before.");
        }
        return why;
    }

    private void day(int day, Map<String, DaySet> planned, WeekWords words, List<String> why) {
        var missed = new ArrayList<String>();
        var extra = new ArrayList<String>();
        for (var id : lines.keySet()) {
            boolean was = planned.getOrDefault(id, DaySet.NONE).has(day);
            boolean is = done.getOrDefault(id, DaySet.NONE).has(day);
            if (was && !is) {
                missed.add(words.name(id));
            } else if (is && !was) {
                extra.add(words.name(id));
            }
        }
        if (!missed.isEmpty()) {
            why.add("Missed on %s: %s.".formatted(words.day(day), String.join(", ", missed)));
        }
        if (!extra.isEmpty()) {
            why.add("Done on %s, not planned there: %s.".formatted(words.day(day), String.join(", ", extra)));
        }
    }
}
