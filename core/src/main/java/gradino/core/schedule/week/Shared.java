package gradino.core.schedule.week;

import gradino.core.quantity.OutOfBoundsException;

/**
 * What takes time once a day, however many lines of that day need it.
 *
 * @param kind whether getting into a position, or warming a joint up
 */
public record Shared(String key, Kind kind, int seconds) {
    /** What is shared. */
    public enum Kind {
        SET_UP,
        WARM_UP
    }

    public Shared {
        OutOfBoundsException.require("shared seconds", seconds, 0, WeekDay.MOST_SECONDS, "s");
    }
}
