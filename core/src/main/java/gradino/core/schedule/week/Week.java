package gradino.core.schedule.week;

import java.util.Map;

/**
 * A planned week.
 *
 * @param days by line, in the order of the task's lines
 * @param proved nothing better exists; otherwise it is the best that was found within a bound of steps
 */
public record Week(Map<String, DaySet> days, Score score, boolean proved) {
    public DaySet of(String line) {
        return days.getOrDefault(line, DaySet.NONE);
    }
}
