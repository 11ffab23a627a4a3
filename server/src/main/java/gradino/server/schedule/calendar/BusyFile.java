package gradino.server.schedule.calendar;

import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.io.text.ICalReader;
import biweekly.property.DateOrDateTimeProperty;
import biweekly.property.Status;
import biweekly.util.Frequency;
import biweekly.util.ICalDate;
import gradino.core.schedule.calendar.Busy;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Date;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TimeZone;
import org.jspecify.annotations.Nullable;

/**
 * Busy times of an iCalendar file (RFC 5545), repeated ones laid out. Only those that may meet a plan are looked at: from a week before
 * today to half a year after, at most a thousand. Free and cancelled ones are left out.
 */
final class BusyFile {
    static final int MOST = 1_000;
    private static final Duration LONGEST = Duration.ofDays(60);
    private static final int WEEKS_BEFORE = 1;
    private static final int WEEKS_AFTER = 26;
    private static final int LONGEST_TITLE = 80;
    /** Nobody is busy every minute: such a rule is more likely meant to keep whoever reads it busy. */
    private static final Set<Frequency> TOO_OFTEN = Set.of(Frequency.SECONDLY, Frequency.MINUTELY, Frequency.HOURLY);

    private final TimeZone timeZone;
    private final Instant from;
    private final Instant until;
    private final List<Busy> times = new ArrayList<>();
    private final List<String> notes = new ArrayList<>();

    private BusyFile(ZoneId zone, LocalDate today) {
        this.timeZone = TimeZone.getTimeZone(zone);
        this.from = today.minusWeeks(WEEKS_BEFORE).atStartOfDay(zone).toInstant();
        this.until = today.plusWeeks(WEEKS_AFTER).atStartOfDay(zone).toInstant();
    }

    /**
     * What a file came to.
     *
     * @param notes what of it was read otherwise than it stands, or not at all
     */
    record Read(List<Busy> times, List<String> notes) {}

    /** Empty where it is no calendar at all. */
    static Optional<Read> read(String text, ZoneId zone, LocalDate today) {
        var file = new BusyFile(zone, today);
        try (var reader = new ICalReader(text)) {
            reader.setDefaultTimezone(file.timeZone);
            boolean any = false;
            for (ICalendar one = reader.readNext(); one != null; one = reader.readNext()) {
                any = true;
                reader.getWarnings().stream()
                        .filter(w -> String.valueOf(w.getMessage())
                                .toLowerCase(Locale.ROOT)
                                .contains("timezone"))
                        .limit(1)
                        .forEach(w -> file.note(
                                "A time zone of this file is not known: its times are taken as the studio’s."));
                file.calendar(one);
            }
            return any ? Optional.of(new Read(file.sorted(), List.copyOf(file.notes))) : Optional.empty();
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    private List<Busy> sorted() {
        return times.stream()
                .sorted(Comparator.comparing(Busy::from).thenComparing(Busy::until))
                .distinct()
                .limit(MOST)
                .toList();
    }

    private void note(String words) {
        if (!notes.contains(words)) {
            notes.add(words);
        }
    }

    /** One of several that was moved stands in place of the one it names. */
    private void calendar(ICalendar calendar) {
        Map<String, Set<Instant>> moved = new HashMap<>();
        for (var event : calendar.getEvents()) {
            if (event.getRecurrenceId() != null && event.getUid() != null) {
                moved.computeIfAbsent(event.getUid().getValue(), u -> new HashSet<>())
                        .add(event.getRecurrenceId().getValue().toInstant());
            }
        }
        for (var event : calendar.getEvents()) {
            var uid = event.getUid() == null ? "" : event.getUid().getValue();
            var instead = event.getRecurrenceId() == null ? moved.getOrDefault(uid, Set.of()) : Set.<Instant>of();
            if (isBusy(event)) {
                var of = zone(calendar, event.getDateStart());
                inZone(event.getDateStart(), of);
                inZone(event.getDateEnd(), of);
                event(event, of, instead);
            }
        }
    }

    private static boolean isBusy(VEvent event) {
        boolean free =
                event.getTransparency() != null && event.getTransparency().isTransparent();
        boolean cancelled = event.getStatus() != null
                && Status.CANCELLED.equalsIgnoreCase(event.getStatus().getValue());
        return !free
                && !cancelled
                && event.getDateStart() != null
                && event.getDateStart().getValue() != null;
    }

    private TimeZone zone(ICalendar calendar, DateOrDateTimeProperty start) {
        var assigned = calendar.getTimezoneInfo().getTimezone(start);
        if (assigned == null || calendar.getTimezoneInfo().isFloating(start)) {
            return timeZone;
        }
        // A zone that is known by its name has all its rules; a file's own copy is read without clocks set by half an
        // hour.
        var component = assigned.getComponent();
        var name = component == null || component.getTimezoneId() == null
                ? assigned.getTimeZone().getID()
                : component.getTimezoneId().getValue();
        return ZoneId.getAvailableZoneIds().contains(name) ? TimeZone.getTimeZone(name) : assigned.getTimeZone();
    }

    private static void inZone(@Nullable DateOrDateTimeProperty date, TimeZone of) {
        var value = date == null ? null : date.getValue();
        var written = value == null ? null : value.getRawComponents();
        if (date != null && value != null && written != null && value.hasTime() && !written.isUtc()) {
            date.setValue(new ICalDate(written.toDate(of), true));
        }
    }

    private void event(VEvent event, TimeZone of, Set<Instant> instead) {
        var length = length(event);
        var rule = event.getRecurrenceRule();
        if (rule != null
                && rule.getValue() != null
                && TOO_OFTEN.contains(rule.getValue().getFrequency())) {
            note("What repeats more often than daily was left out.");
            return;
        }
        var dates = event.getDateIterator(of);
        dates.advanceTo(Date.from(from.minus(LONGEST)));
        for (int n = 0; dates.hasNext() && times.size() < MOST && n < MOST; n++) {
            var start = dates.next().toInstant();
            if (!start.isBefore(until)) {
                break;
            }
            if (!instead.contains(start)) {
                add(start, start.plus(length), title(event));
            }
        }
        if (times.size() >= MOST) {
            note("Only the first %d busy times were taken.".formatted(MOST));
        }
    }

    private Duration length(VEvent event) {
        var start = event.getDateStart().getValue();
        if (event.getDateEnd() != null && event.getDateEnd().getValue() != null) {
            return atMost(Duration.between(
                    start.toInstant(), event.getDateEnd().getValue().toInstant()));
        } else if (event.getDuration() != null && event.getDuration().getValue() != null) {
            return atMost(Duration.ofMillis(event.getDuration().getValue().toMillis()));
        }
        return start.hasTime() ? Duration.ZERO : Duration.ofDays(1);
    }

    private static Duration atMost(Duration length) {
        return length.compareTo(LONGEST) > 0 ? LONGEST : length;
    }

    private void add(Instant start, Instant end, String title) {
        if (end.isAfter(start) && end.isAfter(from)) {
            times.add(new Busy(start, end, title));
        }
    }

    private String title(VEvent event) {
        var summary = event.getSummary() == null
                ? ""
                : String.valueOf(event.getSummary().getValue());
        var plain = summary.replaceAll("\\p{C}", " ").strip();
        return plain.isEmpty() ? "busy" : plain.substring(0, Math.min(LONGEST_TITLE, plain.length()));
    }
}
