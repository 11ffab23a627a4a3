package gradino.server.schedule.plan;

import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.schedule.BlockOfWeeks;
import gradino.core.schedule.WeekWords;
import gradino.core.schedule.calendar.Appointment;
import gradino.core.schedule.calendar.Appointment.Altered;
import gradino.core.schedule.calendar.Place;
import gradino.core.schedule.week.DaySet;
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
import gradino.server.schedule.plan.PlanRepository.Stored;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** A client's weeks and appointments as the events of a calendar. What was planned once and is no more is kept as cancelled. */
@Component
class FeedEvents {
    private static final int WEEKS_BACK = 4;
    private static final int WEEKS_AHEAD = 14;

    private final PlanRepository plans;
    private final CalendarService calendars;
    private final CalendarRepository entries;
    private final LineRepository lines;
    private final Clock clock;

    FeedEvents(
            PlanRepository plans,
            CalendarService calendars,
            CalendarRepository entries,
            LineRepository lines,
            Clock clock) {
        this.plans = plans;
        this.calendars = calendars;
        this.entries = entries;
        this.lines = lines;
        this.clock = clock;
    }

    /** A session a day; on days with an appointment the appointment says it. */
    List<Event> days(Client client) {
        var monday = WeekPlans.monday(LocalDate.now(clock));
        var calendar = calendars.of(client).days();
        var motions = lines.of(client.id()).stream()
                .collect(Collectors.toMap(
                        Line::id,
                        l -> Catalogue.motion(l.motion()).map(Motion::name).orElse(l.motion())));
        int calendarSavings = entries.newest(List.of(client.id())).stream()
                .mapToInt(Entry::savings)
                .sum();
        var weeks = plans.since(client.id(), monday.minusWeeks(WEEKS_BACK), monday.plusWeeks(WEEKS_AHEAD)).stream()
                .collect(Collectors.groupingBy(Stored::monday, LinkedHashMap::new, Collectors.toList()));
        var events = new ArrayList<Event>();
        weeks.forEach((week, rows) -> {
            var newest = rows.get(rows.size() - 1);
            for (int d = 0; d < DaySet.DAYS; d++) {
                int day = d;
                var now = newest.plan().planned(d);
                boolean ever =
                        rows.stream().anyMatch(r -> !r.plan().planned(day).isEmpty());
                var date = week.plusDays(d);
                if (ever && calendar.appointment(date).isEmpty()) {
                    var open = calendar.day(date, clock.getZone());
                    var start = open.day().start();
                    int seconds = Math.max(60, newest.plan().seconds().get(d));
                    events.add(new Event(
                            uid(client.id() + " day " + date),
                            rows.size() + calendarSavings,
                            newest.recordedAt(),
                            start,
                            start.plusSeconds(seconds),
                            "Training, %d min".formatted(WeekWords.minutes(seconds)),
                            words(now, motions),
                            place(open.place()),
                            now.isEmpty(),
                            null,
                            List.of(),
                            null));
                }
            }
        });
        return events;
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
        var uid = uid(client.id() + " appointment " + entry.id());
        boolean once = a.everyWeeks() == 0;
        var cancelled = a.changes().stream().filter(c -> c.movedTo() == null).toList();
        boolean gone = entry.body() == null || (once && !cancelled.isEmpty());
        var moved = a.changes().stream().filter(c -> c.movedTo() != null).toList();
        var start = once && !moved.isEmpty()
                ? at(Optional.ofNullable(moved.get(0).movedTo()).orElseThrow())
                : at(a.start());
        events.add(new Event(
                uid,
                booked.sequence(),
                entry.recordedAt(),
                start,
                start.plusSeconds(a.minutes() * 60L),
                summary,
                a.note(),
                "Studio",
                gone,
                once ? null : rule(a),
                once ? List.of() : cancelled.stream().map(c -> of(a, c)).toList(),
                null));
        if (!once && !gone) {
            for (var change : moved) {
                var to = at(Optional.ofNullable(change.movedTo()).orElseThrow());
                events.add(new Event(
                        uid,
                        booked.sequence(),
                        entry.recordedAt(),
                        to,
                        to.plusSeconds(a.minutes() * 60L),
                        summary,
                        a.note(),
                        "Studio",
                        false,
                        null,
                        List.of(),
                        of(a, change)));
            }
        }
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
