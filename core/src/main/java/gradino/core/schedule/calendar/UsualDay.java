package gradino.core.schedule.calendar;

import gradino.core.quantity.OutOfBoundsException;
import java.time.LocalTime;

/**
 * A weekday as it usually is.
 *
 * @param minutes for training, 0 to 240; 0 for none
 * @param at when a session begins
 */
public record UsualDay(int minutes, LocalTime at, Place place) {
    public static final int MOST_MINUTES = 240;

    public UsualDay {
        OutOfBoundsException.require("minutes", minutes, 0, MOST_MINUTES, "min");
    }
}
