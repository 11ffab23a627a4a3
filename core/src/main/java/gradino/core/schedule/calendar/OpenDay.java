package gradino.core.schedule.calendar;

import gradino.core.schedule.week.WeekDay;

/**
 * A day of a client's calendar.
 *
 * @param led whether a coach is there
 * @param note why it is other than usual; empty where it is not
 */
public record OpenDay(WeekDay day, Place place, boolean led, String note) {}
