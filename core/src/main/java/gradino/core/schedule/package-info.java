/**
 * Which line on which day. Read {@link gradino.core.schedule.Planner} first; the task and its rules are {@code schedule.week}, the
 * exact search is {@code schedule.solve}. Uses prescribe's classes and everything before it; nothing uses it but report.
 */
@NullMarked
package gradino.core.schedule;

import org.jspecify.annotations.NullMarked;
