/**
 * When clients can train and when they come to the studio. Read {@link gradino.server.schedule.calendar.CalendarService} first. May use
 * every step up to advance.
 */
@NullMarked
package gradino.server.schedule.calendar;

import org.jspecify.annotations.NullMarked;
