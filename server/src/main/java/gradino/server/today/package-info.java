/**
 * What waits today. Read {@link gradino.server.today.TodayService} first. May use every step up to schedule.
 */
@NullMarked
package gradino.server.today;

import org.jspecify.annotations.NullMarked;
