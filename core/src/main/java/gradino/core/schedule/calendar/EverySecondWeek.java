package gradino.core.schedule.calendar;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/**
 * A line that is done every second week only.
 *
 * @param from Monday of the first week that is left out
 */
public record EverySecondWeek(String line, LocalDate from) {
    /** Whether the week of this Monday is one that is left out. */
    public boolean leavesOut(LocalDate monday) {
        return !monday.isBefore(from) && ChronoUnit.WEEKS.between(from, monday) % 2 == 0;
    }
}
