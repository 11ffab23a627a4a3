package gradino.server.schedule.feed;

import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.schedule.BlockOfWeeks;
import gradino.core.schedule.WeekWords;
import gradino.core.schedule.calendar.Appointment;
import gradino.core.schedule.calendar.Appointment.Altered;
import gradino.core.schedule.calendar.OpenDay;
import gradino.core.schedule.calendar.Place;
import gradino.server.intake.Client;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.schedule.calendar.CalendarRepository;
import gradino.server.schedule.calendar.CalendarRepository.Entry;
import gradino.server.schedule.calendar.CalendarRepository.Kind;
import gradino.server.schedule.calendar.CalendarService;
import gradino.server.schedule.calendar.CalendarService.Booked;
import gradino.server.schedule.calendar.IcsFile.Event;
import gradino.server.schedule.calendar.IcsFile.Rule;
import gradino.server.schedule.plan.EverPlanned;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** A client's weeks and appointments as the events of a calendar. What was planned once and is no more is kept as cancelled. */
@Component
class FeedEvents {
    private static final int WEEKS_BACK = 4;
    private static final int WEEKS_AHEAD = 14;

    private final EverPlanned planned;
    private final CalendarService calendars;
    private final CalendarRepository entries;
    private final LineRepository lines;
    private final Clock clock;

    FeedEvents(
            EverPlanned planned,
            CalendarService calendars,
            CalendarRepository entries,
            LineRepository lines,
            Clock clock) {
        this.planned = planned;
        this.calendars = calendars;
        this.entries = entries;
        this.lines = lines;
        this.clock = clock;
    }

    /** A session a day; on days with an appointment the appointment says it. */
    List<Event> days(Client client) {
        var calendar = calendars.of(client).days();
        var motions = lines.of(client.id()).stream()
                .collect(Collectors.toMap(
                        Line::id,
                        l -> Catalogue.motion(l.motion()).map(Motion::name).orElse(l.motion())));
        int calendarSavings = entries.newest(List.of(client.id())).stream()
                .mapToInt(Entry::savings)
                .sum();
        return planned.of(client.id(), LocalDate.now(clock), WEEKS_BACK, WEEKS_AHEAD).stream()
                .filter(day -> calendar.appointment(day.date()).isEmpty())
                .map(day -> event(
                        client,
                        day,
                        calendar.day(day.date(), clock.getZone()),
                        words(day.lines(), motions),
                        calendarSavings))
                .toList();
    }

    private static Event event(Client client, EverPlanned.Day day, OpenDay open, String words, int calendarSavings) {
        var start = open.day().start();
        int seconds = Math.max(60, day.seconds());
        return new Event(
                uid(client.id() + " day " + day.date()),
                day.times() + calendarSavings,
                day.at(),
                start,
                start.plusSeconds(seconds),
                "Training, %d min".formatted(WeekWords.minutes(seconds)),
                words,
                place(open.place()),
                day.lines().isEmpty(),
                null,
                List.of(),
                null);
    }

    /** Tells nothing of whom it is about (RFC 7986). */
    private static String uid(String of) {
        return UUID.nameUUIDFromBytes(of.getBytes(StandardCharsets.UTF_8)).toString();
    }

    private static String words(List<String> planned, Map<String, String> motions) {
        return planned.stream()
                .map(id -> id.equals(BlockOfWeeks.RETEST)
                        ? "Re-test, cold, before anything else"
                        : motions.getOrDefault(id, ""))
                .filter(w -> !w.isEmpty())
                .distinct()
                .collect(Collectors.joining("\n"));
    }

    private static String place(Place place) {
        var word = place.name().toLowerCase(Locale.ROOT);
        return Character.toUpperCase(word.charAt(0)) + word.substring(1);
    }

    /** Appointments with one client; removed ones as cancelled. */
    List<Event> appointments(Client client, String summary) {
        var events = new ArrayList<Event>();
        for (var entry : entries.newest(List.of(client.id()))) {
            if (entry.kind() == Kind.APPOINTMENT) {
                calendars.appointment(entry).ifPresent(booked -> add(client, entry, booked, summary, events));
            }
        }
        return events;
    }

    private void add(Client client, Entry entry, Booked booked, String summary, List<Event> events) {
        var a = booked.appointment();
        boolean once = a.everyWeeks() == 0;
        var cancelled = a.changes().stream().filter(c -> c.movedTo() == null).toList();
        var moved = a.changes().stream().filter(c -> c.movedTo() != null).toList();
        boolean gone = entry.body() == null || (once && !cancelled.isEmpty());
        var make = new Maker(uid(client.id() + " appointment " + entry.id()), summary, entry, booked);
        if (once) {
            var start = moved.isEmpty() ? at(a.start()) : movedTo(moved.get(0));
            events.add(make.event(start, gone, null, List.of(), null));
            return;
        }
        var left = cancelled.stream().map(c -> of(a, c)).toList();
        events.add(make.event(at(a.start()), gone, rule(a), left, null));
        if (!gone) {
            moved.forEach(c -> events.add(make.event(movedTo(c), false, null, List.of(), of(a, c))));
        }
    }

    /** Events of one appointment: the rule itself, and what is in place of one of its days. */
    private record Maker(String uid, String summary, Entry entry, Booked booked) {
        Event event(Instant start, boolean gone, @Nullable Rule rule, List<Instant> left, @Nullable Instant of) {
            var a = booked.appointment();
            return new Event(
                    uid,
                    booked.sequence(),
                    entry.recordedAt(),
                    start,
                    start.plusSeconds(a.minutes() * 60L),
                    summary,
                    a.note(),
                    "Studio",
                    gone,
                    rule,
                    left,
                    of);
        }
    }

    private Instant movedTo(Altered change) {
        return at(Optional.ofNullable(change.movedTo()).orElseThrow());
    }

    private Rule rule(Appointment a) {
        var until = a.until();
        return new Rule(
                a.everyWeeks(), until == null ? null : at(until.atTime(a.start().toLocalTime())));
    }

    private Instant of(Appointment a, Altered change) {
        return at(change.of().atTime(a.start().toLocalTime()));
    }

    private Instant at(LocalDateTime local) {
        return local.atZone(clock.getZone()).toInstant();
    }
}
