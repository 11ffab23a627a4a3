package gradino.server.schedule.calendar;

import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.DaylightSavingsTime;
import biweekly.component.Observance;
import biweekly.component.StandardTime;
import biweekly.component.VEvent;
import biweekly.component.VTimezone;
import biweekly.io.TimezoneAssignment;
import biweekly.io.text.ICalWriter;
import biweekly.property.ExceptionDates;
import biweekly.property.Status;
import biweekly.util.DateTimeComponents;
import biweekly.util.Frequency;
import biweekly.util.ICalDate;
import biweekly.util.Recurrence;
import biweekly.util.UtcOffset;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.zone.ZoneOffsetTransition;
import java.util.Comparator;
import java.util.Date;
import java.util.List;
import java.util.TimeZone;
import org.jspecify.annotations.Nullable;

/** Events as an iCalendar file (RFC 5545), in the studio's own time zone with all its changes of the clock. */
public final class IcsFile {
    /** In letters; of at most three octets each, and within the 75 octets of a line. */
    private static final int LINE_LENGTH = 24;

    private static final Duration BEFORE = Duration.ofDays(366);
    private static final Duration AFTER = Duration.ofDays(3 * 366L);

    private IcsFile() {}

    /**
     * One event.
     *
     * @param sequence higher after each change
     * @param rule how it goes on; null for once
     * @param left days of the rule on which it is not
     * @param of which one of a rule this is in place of; null for none
     */
    public record Event(
            String uid,
            int sequence,
            Instant stamp,
            Instant start,
            Instant end,
            String summary,
            String description,
            String location,
            boolean cancelled,
            @Nullable Rule rule,
            List<Instant> left,
            @Nullable Instant of) {}

    /** @param until null for no end */
    public record Rule(int everyWeeks, @Nullable Instant until) {}

    public static String write(String name, List<Event> events, ZoneId zone) {
        var calendar = new ICalendar();
        calendar.setProductId("-//Gradino//Gradino//EN");
        calendar.setName(name);
        if (!zone.normalized().equals(ZoneOffset.UTC)) {
            var vtimezone = timezone(zone, events);
            calendar.getTimezoneInfo()
                    .setDefaultTimezone(new TimezoneAssignment(TimeZone.getTimeZone(zone), vtimezone));
        }
        events.forEach(e -> calendar.addEvent(event(e)));
        var out = new ByteArrayOutputStream();
        try (var writer = new ICalWriter(out, ICalVersion.V2_0)) {
            writer.getVObjectWriter().getFoldedLineWriter().setLineLength(LINE_LENGTH);
            writer.write(calendar);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString(StandardCharsets.UTF_8);
    }

    private static VEvent event(Event e) {
        var event = new VEvent();
        event.setUid(e.uid());
        event.setSequence(e.sequence());
        event.setDateTimeStamp(Date.from(e.stamp()));
        event.setDateStart(Date.from(e.start()));
        event.setDateEnd(Date.from(e.end()));
        event.setSummary(e.summary());
        event.setStatus(e.cancelled() ? Status.cancelled() : Status.confirmed());
        if (!e.description().isEmpty()) {
            event.setDescription(e.description());
        }
        if (!e.location().isEmpty()) {
            event.setLocation(e.location());
        }
        var rule = e.rule();
        if (rule != null) {
            var weekly = new Recurrence.Builder(Frequency.WEEKLY).interval(rule.everyWeeks());
            var until = rule.until();
            event.setRecurrenceRule(
                    until == null
                            ? weekly.build()
                            : weekly.until(Date.from(until)).build());
        }
        if (!e.left().isEmpty()) {
            var left = new ExceptionDates();
            e.left().forEach(at -> left.getValues().add(new ICalDate(Date.from(at), true)));
            event.addExceptionDates(left);
        }
        if (e.of() != null) {
            event.setRecurrenceId(Date.from(e.of()));
        }
        return event;
    }

    /** Each change of the clock from a year before the first event to three after the last. */
    private static VTimezone timezone(ZoneId zone, List<Event> events) {
        var first =
                events.stream().map(Event::start).min(Comparator.naturalOrder()).orElse(Instant.EPOCH);
        var last =
                events.stream().map(Event::end).max(Comparator.naturalOrder()).orElse(Instant.EPOCH);
        var vtimezone = new VTimezone(zone.getId());
        var rules = zone.getRules();
        var from = first.minus(BEFORE);
        var offset = rules.getOffset(from);
        vtimezone.addStandardTime(
                (StandardTime) observance(new StandardTime(), LocalDateTime.ofInstant(from, zone), offset, offset));
        var change = rules.nextTransition(from);
        while (change != null && change.getInstant().isBefore(last.plus(AFTER))) {
            add(vtimezone, change, rules.isDaylightSavings(change.getInstant()));
            change = rules.nextTransition(change.getInstant());
        }
        return vtimezone;
    }

    private static void add(VTimezone vtimezone, ZoneOffsetTransition change, boolean daylight) {
        var to = daylight ? new DaylightSavingsTime() : new StandardTime();
        observance(to, change.getDateTimeBefore(), change.getOffsetBefore(), change.getOffsetAfter());
        if (to instanceof DaylightSavingsTime summer) {
            vtimezone.addDaylightSavingsTime(summer);
        } else {
            vtimezone.addStandardTime((StandardTime) to);
        }
    }

    private static Observance observance(Observance to, LocalDateTime at, ZoneOffset before, ZoneOffset after) {
        to.setDateStart(new DateTimeComponents(
                at.getYear(),
                at.getMonthValue(),
                at.getDayOfMonth(),
                at.getHour(),
                at.getMinute(),
                at.getSecond(),
                false));
        to.setTimezoneOffsetFrom(offset(before));
        to.setTimezoneOffsetTo(offset(after));
        return to;
    }

    private static UtcOffset offset(ZoneOffset offset) {
        return new UtcOffset(Duration.ofSeconds(offset.getTotalSeconds()).toMillis());
    }
}
