package gradino.core.schedule;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * What was planned and what was done of it. A line that was missed on one day and done on another of the same week (Monday to Sunday)
 * was moved. Days on which a client paused are neither planned nor missed. House rule.
 *
 * @param planned lines by day
 * @param done lines by day
 */
public record PlanAndDone(Map<LocalDate, Set<String>> planned, Map<LocalDate, Set<String>> done, LocalDate today) {
    private static final int WEEKS = 4;

    public PlanAndDone {
        planned = Map.copyOf(planned);
        done = Map.copyOf(done);
    }

    /** What became of a line on a day. */
    public enum Outcome {
        /** Still ahead. */
        PLANNED,
        DONE,
        /** Planned here, done on another day of the week. */
        MOVED,
        MISSED,
        /** Done, and planned on no day of the week that it stands for. */
        EXTRA
    }

    /** One line on one day. */
    public record Entry(LocalDate date, String line, Outcome outcome) {}

    /** @param paused days without training */
    public List<Entry> entries(Predicate<LocalDate> paused) {
        var days = new TreeSet<>(planned.keySet());
        days.addAll(done.keySet());
        var entries = new ArrayList<Entry>();
        for (var day : days) {
            var lines = new TreeSet<>(on(planned, day));
            lines.addAll(on(done, day));
            for (var line : lines) {
                outcome(day, line, paused).ifPresent(o -> entries.add(new Entry(day, line, o)));
            }
        }
        return entries;
    }

    private Optional<Outcome> outcome(LocalDate day, String line, Predicate<LocalDate> paused) {
        boolean asked = on(planned, day).contains(line) && !paused.test(day);
        if (on(done, day).contains(line)) {
            return Optional.of(asked || standsFor(day, line, paused) ? Outcome.DONE : Outcome.EXTRA);
        } else if (!asked) {
            return Optional.empty();
        } else if (!day.isBefore(today)) {
            return Optional.of(Outcome.PLANNED);
        }
        return Optional.of(isMadeUp(day, line, paused) ? Outcome.MOVED : Outcome.MISSED);
    }

    /** Days of a week on which a line was missed, paired in their order with those on which it was done without a plan. */
    private boolean isMadeUp(LocalDate day, String line, Predicate<LocalDate> paused) {
        return missed(day, line, paused).indexOf(day) < unplanned(day, line).size();
    }

    private boolean standsFor(LocalDate day, String line, Predicate<LocalDate> paused) {
        int nth = unplanned(day, line).indexOf(day);
        return nth >= 0 && nth < missed(day, line, paused).size();
    }

    private List<LocalDate> missed(LocalDate of, String line, Predicate<LocalDate> paused) {
        return week(of).filter(d -> d.isBefore(today) && !paused.test(d))
                .filter(d -> on(planned, d).contains(line) && !on(done, d).contains(line))
                .toList();
    }

    private List<LocalDate> unplanned(LocalDate of, String line) {
        return week(of).filter(
                        d -> on(done, d).contains(line) && !on(planned, d).contains(line))
                .toList();
    }

    private static Stream<LocalDate> week(LocalDate of) {
        var monday = of.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        return monday.datesUntil(monday.plusWeeks(1));
    }

    private static Set<String> on(Map<LocalDate, Set<String>> days, LocalDate day) {
        return days.getOrDefault(day, Set.of());
    }

    /**
     * How much of the plan was done in the four weeks before today.
     *
     * @param done of what was planned, moved ones too
     */
    public record Adherence(int planned, int done, int extra) {}

    public Adherence adherence(Predicate<LocalDate> paused) {
        var since = today.minusWeeks(WEEKS);
        int asked = 0;
        int kept = 0;
        int extra = 0;
        for (var entry : entries(paused)) {
            if (entry.date().isBefore(since) || !entry.date().isBefore(today)) {
                continue;
            }
            boolean planOfDay = on(planned, entry.date()).contains(entry.line());
            asked += planOfDay && entry.outcome() != Outcome.EXTRA ? 1 : 0;
            kept += planOfDay && (entry.outcome() == Outcome.DONE || entry.outcome() == Outcome.MOVED) ? 1 : 0;
            extra += entry.outcome() == Outcome.EXTRA ? 1 : 0;
        }
        return new Adherence(asked, kept, extra);
    }

    /**
     * Days since the first planned day after the last one on which anything was done; 0 for a client in time.
     *
     * @param last on which anything was done; empty for none
     */
    public int daysBeyondPlan(Optional<LocalDate> last, Predicate<LocalDate> paused) {
        return planned.entrySet().stream()
                .filter(e -> !e.getValue().isEmpty() && e.getKey().isBefore(today))
                .map(Map.Entry::getKey)
                .filter(d -> !paused.test(d) && last.filter(l -> !d.isAfter(l)).isEmpty())
                .min(Comparator.naturalOrder())
                .map(d -> (int) ChronoUnit.DAYS.between(d, today))
                .orElse(0);
    }
}
