package gradino.core.schedule.calendar;

import gradino.core.schedule.calendar.Appointment.Occurrence;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.WeekDay;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * What a client's days are like. What counts first: a pause, an event, an appointment, then the other dates, then the usual week; over
 * what is busy nothing is planned (house rule).
 *
 * @param pauses times without any training
 * @param appointments of this client, as they are
 */
public record ClientCalendar(
        UsualWeek usual, List<FixedDates> dates, List<Pause> pauses, List<Busy> busy, List<Appointment> appointments) {
    private static final int SECONDS_A_MINUTE = 60;

    public ClientCalendar {
        dates = List.copyOf(dates);
        pauses = List.copyOf(pauses);
        busy = List.copyOf(busy);
        appointments = List.copyOf(appointments);
    }

    /**
     * A time without training.
     *
     * @param until the first day of training again; null while it lasts
     */
    public record Pause(LocalDate from, @Nullable LocalDate until, String words) {
        boolean has(LocalDate date) {
            return !date.isBefore(from) && (until == null || date.isBefore(until));
        }
    }

    public boolean isPaused(LocalDate date) {
        return pauses.stream().anyMatch(p -> p.has(date));
    }

    /** The seven days from one on. */
    public List<OpenDay> week(LocalDate first, ZoneId zone) {
        return IntStream.range(0, DaySet.DAYS)
                .mapToObj(d -> day(first.plusDays(d), zone))
                .toList();
    }

    public OpenDay day(LocalDate date, ZoneId zone) {
        var day = usual.on(date.getDayOfWeek());
        var paused = pauses.stream().filter(p -> p.has(date)).findFirst();
        if (paused.isPresent()) {
            return none(date, day.at(), zone, paused.get().words());
        }
        var event = of(FixedDates.Kind.EVENT, date);
        if (event.isPresent()) {
            return none(date, day.at(), zone, event.get().note());
        }
        var led = appointment(date);
        if (led.isPresent()) {
            return led(led.get(), zone);
        }
        var trip = of(FixedDates.Kind.TRIP, date);
        var minutes = of(FixedDates.Kind.MINUTES, date);
        int usually = trip.map(t -> t.minutes(day.minutes())).orElse(day.minutes());
        int seconds = minutes.map(m -> m.minutes(usually)).orElse(usually) * SECONDS_A_MINUTE;
        var note = minutes.or(() -> trip).map(FixedDates::note).orElse("");
        var start = start(date, day.at(), zone);
        var place = trip.isPresent() ? Place.TRAVEL : day.place();
        return free(new OpenDay(new WeekDay(date, start, seconds), place, false, note));
    }

    /** The first appointment of a day. */
    public Optional<Occurrence> appointment(LocalDate date) {
        return appointments.stream()
                .flatMap(a -> a.between(date, date.plusDays(1)).stream())
                .min((a, b) -> a.start().compareTo(b.start()));
    }

    /** What of the client's own calendar speaks against an appointment, in a sentence. */
    public Optional<String> against(Occurrence o, ZoneId zone) {
        var date = o.start().toLocalDate();
        var start = o.start().atZone(zone).toInstant();
        var end = o.end().atZone(zone).toInstant();
        return pauses.stream()
                .filter(p -> p.has(date))
                .map(Pause::words)
                .findFirst()
                .or(() -> dates.stream()
                        .filter(d -> d.kind() != FixedDates.Kind.MINUTES && d.has(date))
                        .map(FixedDates::note)
                        .findFirst())
                .or(() -> busy.stream()
                        .filter(b -> b.meets(start, end))
                        .map(Busy::title)
                        .findFirst())
                .map(why -> "The client is not free: " + why + ".");
    }

    private Optional<FixedDates> of(FixedDates.Kind kind, LocalDate date) {
        return dates.stream().filter(d -> d.kind() == kind && d.has(date)).findFirst();
    }

    private static OpenDay none(LocalDate date, LocalTime at, ZoneId zone, String why) {
        return new OpenDay(new WeekDay(date, start(date, at, zone), 0), Place.HOME, false, why);
    }

    private static OpenDay led(Occurrence o, ZoneId zone) {
        var start = o.start().atZone(zone).toInstant();
        var day = new WeekDay(o.start().toLocalDate(), start, o.minutes() * SECONDS_A_MINUTE, true);
        return new OpenDay(day, Place.STUDIO, true, "");
    }

    /** A time that the clock leaves out is as much later. */
    private static Instant start(LocalDate date, LocalTime at, ZoneId zone) {
        return date.atTime(at).atZone(zone).toInstant();
    }

    /** The longest stretch of the day's own time that is not busy, the first of as long ones. */
    private OpenDay free(OpenDay open) {
        var day = open.day();
        var end = day.start().plusSeconds(day.seconds());
        var over = busy.stream()
                .filter(b -> b.meets(day.start(), end))
                .sorted((a, b) -> a.from().compareTo(b.from()))
                .toList();
        if (over.isEmpty()) {
            return open;
        }
        var best = new WeekDay(day.date(), day.start(), 0);
        var from = day.start();
        for (var b : over) {
            best = longer(best, from, b.from());
            from = b.until().isAfter(from) ? b.until() : from;
        }
        return new OpenDay(
                longer(best, from, end), open.place(), false, over.get(0).title());
    }

    private static WeekDay longer(WeekDay best, Instant from, Instant until) {
        long seconds = Duration.between(from, until).toSeconds();
        return seconds > best.seconds() ? new WeekDay(best.date(), from, (int) seconds) : best;
    }
}
