package gradino.core.report;

import gradino.core.quantity.OutOfBoundsException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;

/** Days that a report is about, both ends among them; ten years at most. */
public record Period(LocalDate from, LocalDate to) {
    private static final int MOST_DAYS = 3660;

    public Period {
        OutOfBoundsException.require(
                "days of the period", (double) ChronoUnit.DAYS.between(from, to) + 1, 1, MOST_DAYS, "d");
    }

    public boolean contains(LocalDate day) {
        return !day.isBefore(from) && !day.isAfter(to);
    }

    public boolean contains(Instant moment, ZoneId zone) {
        return contains(LocalDate.ofInstant(moment, zone));
    }

    public boolean overlaps(Period other) {
        return !other.to.isBefore(from) && !other.from.isAfter(to);
    }
}
