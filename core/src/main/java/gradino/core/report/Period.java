package gradino.core.report;

import gradino.core.quantity.OutOfBoundsException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Days that a report is about, both ends among them; ten years at most. */
public record Period(LocalDate from, LocalDate to) {
    private static final int MOST_DAYS = 3660;
    /** What was measured that far before still says where it began (house rule). */
    private static final int DAYS_BEFORE = 28;

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

    /**
     * What a change in this period is read off: the last one up to its first day, where there is one not too old, and all within.
     *
     * @param all in the order of time
     */
    <T> List<T> restsOn(List<T> all, Function<T, Instant> at, ZoneId zone) {
        var found = new ArrayList<T>();
        @Nullable T before = null;
        for (var one : all) {
            var day = LocalDate.ofInstant(at.apply(one), zone);
            if (!day.isAfter(from)) {
                before = day.isBefore(from.minusDays(DAYS_BEFORE)) ? null : one;
            } else if (!day.isAfter(to)) {
                found.add(one);
            }
        }
        if (before != null) {
            found.add(0, before);
        }
        return List.copyOf(found);
    }
}
