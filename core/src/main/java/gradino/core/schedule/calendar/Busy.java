package gradino.core.schedule.calendar;

import java.time.Instant;

/** A time over which nothing is planned. */
public record Busy(Instant from, Instant until, String title) {
    boolean meets(Instant start, Instant end) {
        return from.isBefore(end) && until.isAfter(start);
    }
}
