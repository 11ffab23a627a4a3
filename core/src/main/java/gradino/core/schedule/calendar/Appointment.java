package gradino.core.schedule.calendar;

import gradino.core.quantity.OutOfBoundsException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A client comes to the studio, once or again and again on the same weekday at the same time by the clock on the wall.
 *
 * @param everyWeeks from one to the next, 1 to 8; 0 for once
 * @param until last day on which one can be; null for no end
 * @param changes of single ones
 */
public record Appointment(
        LocalDateTime start,
        int minutes,
        int everyWeeks,
        @Nullable LocalDate until,
        List<Altered> changes,
        String note) {
    private static final int MOST_WEEKS = 8;
    private static final int DAYS = 7;

    /**
     * One of several that is other than the rest.
     *
     * @param of the day on which it would have been
     * @param movedTo null where it is cancelled
     */
    public record Altered(LocalDate of, @Nullable LocalDateTime movedTo) {}

    /** @param of the day on which it would be, had nobody moved it */
    public record Occurrence(LocalDate of, LocalDateTime start, int minutes) {
        public LocalDateTime end() {
            return start.plusMinutes(minutes);
        }

        public boolean meets(Occurrence other) {
            return start.isBefore(other.end()) && other.start.isBefore(end());
        }
    }

    public Appointment {
        OutOfBoundsException.require("minutes", minutes, 5, UsualDay.MOST_MINUTES, "min");
        OutOfBoundsException.require("weeks between", everyWeeks, 0, MOST_WEEKS, "");
        changes = List.copyOf(changes);
    }

    /** All that are from a day on and before another, in the order of their days. However long the rule runs, only those are looked at. */
    public List<Occurrence> between(LocalDate from, LocalDate before) {
        var found = new ArrayList<Occurrence>();
        for (var day = first(from); day.isBefore(before) && isOn(day); day = day.plusDays((long) everyWeeks * DAYS)) {
            if (change(day).isEmpty()) {
                found.add(new Occurrence(day, day.atTime(start.toLocalTime()), minutes));
            }
            if (everyWeeks == 0) {
                break;
            }
        }
        for (var change : changes) {
            var to = change.movedTo();
            if (to != null
                    && !to.toLocalDate().isBefore(from)
                    && to.toLocalDate().isBefore(before)
                    && isRule(change.of())) {
                found.add(new Occurrence(change.of(), to, minutes));
            }
        }
        found.sort((a, b) -> a.start().compareTo(b.start()));
        return found;
    }

    /** The first day of the rule from a day on. */
    private LocalDate first(LocalDate from) {
        var day = start.toLocalDate();
        if (!from.isAfter(day)) {
            return day;
        }
        long step = (long) everyWeeks * DAYS;
        long days = ChronoUnit.DAYS.between(day, from);
        return step == 0 ? LocalDate.MAX : day.plusDays((days + step - 1) / step * step);
    }

    private boolean isOn(LocalDate day) {
        return until == null || !day.isAfter(until);
    }

    /** Whether the rule has a day, moved or not. */
    public boolean isRule(LocalDate day) {
        return !day.isBefore(start.toLocalDate()) && first(day).equals(day) && isOn(day);
    }

    private Optional<Altered> change(LocalDate day) {
        return changes.stream().filter(c -> c.of().equals(day)).findFirst();
    }

    /** With one of its days other than the rest. */
    public Appointment with(Altered change) {
        var all = new ArrayList<>(changes);
        all.removeIf(c -> c.of().equals(change.of()));
        all.add(change);
        return new Appointment(start, minutes, everyWeeks, until, all, note);
    }
}
