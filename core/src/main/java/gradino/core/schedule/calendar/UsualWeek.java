package gradino.core.schedule.calendar;

import gradino.core.quantity.OutOfBoundsException;
import gradino.core.schedule.week.DaySet;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;

/**
 * A client's week as it usually is.
 *
 * @param days seven, Monday first
 * @param travelEquipment ids of what comes along on a trip
 */
public record UsualWeek(List<UsualDay> days, List<String> travelEquipment) {
    private static final LocalTime EVENING = LocalTime.of(18, 0);
    private static final int MINUTES = 30;

    public UsualWeek {
        OutOfBoundsException.require("days of a week", days.size(), DaySet.DAYS, DaySet.DAYS, "");
        days = List.copyOf(days);
        travelEquipment = List.copyOf(travelEquipment);
    }

    /**
     * Where nobody said when: in the evening, at home.
     *
     * @param on days that the client has time on; empty for any
     * @param minutes of a session; 0 where not said
     */
    public static UsualWeek of(Collection<DayOfWeek> on, int minutes) {
        return new UsualWeek(
                Arrays.stream(DayOfWeek.values())
                        .map(day -> on.isEmpty() || on.contains(day) ? (minutes > 0 ? minutes : MINUTES) : 0)
                        .map(m -> new UsualDay(m, EVENING, Place.HOME))
                        .toList(),
                List.of());
    }

    /** Days on which there is time. */
    public List<DayOfWeek> open() {
        return Arrays.stream(DayOfWeek.values())
                .filter(day -> on(day).minutes() > 0)
                .toList();
    }

    /** The most minutes that any day has; 0 where none has any. */
    public int longest() {
        return days.stream().mapToInt(UsualDay::minutes).max().orElse(0);
    }

    public UsualDay on(DayOfWeek day) {
        return days.get(day.getValue() - 1);
    }
}
