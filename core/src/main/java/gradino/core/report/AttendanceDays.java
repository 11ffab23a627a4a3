package gradino.core.report;

import gradino.core.schedule.PlanAndDone;
import gradino.core.schedule.PlanAndDone.Entry;
import gradino.core.schedule.PlanAndDone.Outcome;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Days of a period by what was planned and done on them; one on which the client paused counts for neither.
 *
 * @param planned that are past, or on which something was done
 * @param done of these, wholly
 * @param partly of these
 * @param moved to another day of their week
 * @param missed of these
 * @param extra done without a plan
 */
public record AttendanceDays(int planned, int done, int partly, int moved, int missed, int extra, List<Day> days) {
    public AttendanceDays {
        days = List.copyOf(days);
    }

    /** What became of a day. */
    public enum Mark {
        DONE,
        PARTLY,
        MOVED,
        MISSED,
        EXTRA,
        PLANNED,
        PAUSED
    }

    /** One day with something on it. */
    public record Day(LocalDate date, Mark mark) {}

    public static AttendanceDays of(PlanAndDone all, Predicate<LocalDate> paused, Period period) {
        Map<LocalDate, List<Entry>> byDay = all.entries(paused).stream()
                .filter(e -> period.contains(e.date()))
                .collect(Collectors.groupingBy(Entry::date, TreeMap::new, Collectors.toList()));
        var days = new TreeMap<LocalDate, Mark>();
        byDay.forEach((date, entries) -> days.put(date, mark(entries)));
        all.planned().keySet().stream()
                .filter(date -> period.contains(date) && paused.test(date))
                .forEach(date -> days.putIfAbsent(date, Mark.PAUSED));
        return of(days.entrySet().stream()
                .map(e -> new Day(e.getKey(), e.getValue()))
                .toList());
    }

    private static AttendanceDays of(List<Day> days) {
        int done = count(days, Mark.DONE);
        int partly = count(days, Mark.PARTLY);
        int moved = count(days, Mark.MOVED);
        int missed = count(days, Mark.MISSED);
        return new AttendanceDays(
                done + partly + moved + missed, done, partly, moved, missed, count(days, Mark.EXTRA), days);
    }

    private static int count(List<Day> days, Mark mark) {
        return (int) days.stream().filter(d -> d.mark() == mark).count();
    }

    private static Mark mark(List<Entry> entries) {
        boolean done = has(entries, Outcome.DONE);
        boolean missed = has(entries, Outcome.MISSED);
        if (done) {
            return missed ? Mark.PARTLY : Mark.DONE;
        } else if (missed) {
            return Mark.MISSED;
        } else if (has(entries, Outcome.MOVED)) {
            return Mark.MOVED;
        }
        return has(entries, Outcome.EXTRA) ? Mark.EXTRA : Mark.PLANNED;
    }

    private static boolean has(List<Entry> entries, Outcome outcome) {
        return entries.stream().anyMatch(e -> e.outcome() == outcome);
    }
}
