package gradino.core.schedule.calendar;

import gradino.core.quantity.OutOfBoundsException;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * Days that are other than usual.
 *
 * @param until the last of them
 * @param minutes for training; null for as many as usual
 * @param note what it is, as the client says it
 */
public record FixedDates(
        Kind kind,
        LocalDate from,
        LocalDate until,
        @Nullable Integer minutes,
        String note) {
    /** What it is. */
    public enum Kind {
        /** A regatta, a show, an exam: nothing else that day. */
        EVENT,
        /** Away from home, with what comes along. */
        TRIP,
        /** Other minutes than usual. */
        MINUTES
    }

    public FixedDates {
        OutOfBoundsException.require("minutes", minutes == null ? 0 : minutes, 0, UsualDay.MOST_MINUTES, "min");
    }

    boolean has(LocalDate date) {
        return !date.isBefore(from) && !date.isAfter(until);
    }

    /** Minutes of such a day that has so many usually. */
    int minutes(int usual) {
        if (kind == Kind.EVENT) {
            return 0;
        }
        return minutes == null ? usual : minutes;
    }
}
