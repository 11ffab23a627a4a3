package gradino.core.schedule.week;

import gradino.core.quantity.OutOfBoundsException;
import java.time.Instant;
import java.time.LocalDate;

/**
 * A day as it can be planned.
 *
 * @param start when a session of that day begins
 * @param seconds for training, 0 to 86,400; 0 where nothing can be
 * @param visit whether the client comes to the studio for it: something is better done than nothing
 */
public record WeekDay(LocalDate date, Instant start, int seconds, boolean visit) {
    public static final int MOST_SECONDS = 86_400;

    public WeekDay {
        OutOfBoundsException.require("seconds of a day", seconds, 0, MOST_SECONDS, "s");
    }

    public WeekDay(LocalDate date, Instant start, int seconds) {
        this(date, start, seconds, false);
    }

    public WeekDay withSeconds(int other) {
        return new WeekDay(date, start, other, visit);
    }
}
