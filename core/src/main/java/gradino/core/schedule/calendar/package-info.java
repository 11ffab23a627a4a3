/**
 * When a client can train: the usual week, dates that are other than usual, what is busy, and the studio's appointments. Read
 * {@link gradino.core.schedule.calendar.ClientCalendar} first. Knows the days of a week, and nothing of what is trained on them.
 */
@NullMarked
package gradino.core.schedule.calendar;

import org.jspecify.annotations.NullMarked;
