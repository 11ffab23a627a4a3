package gradino.core.schedule.calendar;

import gradino.core.quantity.OutOfBoundsException;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** When a coach is at the studio, by the clock on its wall; nothing where nobody said so. */
public record StudioHours(List<Shift> shifts) {
    /** What is shorter between two appointments is no time for one (house rule). */
    private static final int SHORTEST_MINUTES = 15;

    private static final int SECONDS_A_MINUTE = 60;
    private static final int MOST_SHIFTS = 28;

    public StudioHours {
        OutOfBoundsException.require("hours of a week", shifts.size(), 0, MOST_SHIFTS, "");
        shifts = List.copyOf(shifts);
    }

    /** From one time of a weekday to a later one. */
    public record Shift(DayOfWeek day, LocalTime from, LocalTime until) {}

    /** From one time of a day to a later one. */
    public record Span(LocalTime from, LocalTime until) {
        private int minutes() {
            return (until.toSecondOfDay() - from.toSecondOfDay()) / SECONDS_A_MINUTE;
        }
    }

    /** What appointments leave of a day, in its order. */
    public List<Span> free(DayOfWeek day, List<Span> appointments) {
        var sorted =
                appointments.stream().sorted(Comparator.comparing(Span::from)).toList();
        return shifts.stream()
                .filter(s -> s.day() == day)
                .sorted(Comparator.comparing(Shift::from))
                .flatMap(s -> between(s, sorted))
                .filter(s -> s.minutes() >= SHORTEST_MINUTES)
                .toList();
    }

    private static Stream<Span> between(Shift there, List<Span> appointments) {
        var free = new ArrayList<Span>();
        var from = there.from();
        for (var taken : appointments) {
            var until = taken.from().isBefore(there.until()) ? taken.from() : there.until();
            free.add(new Span(from, until));
            from = taken.until().isAfter(from) ? taken.until() : from;
        }
        free.add(new Span(from, there.until()));
        return free.stream();
    }
}
