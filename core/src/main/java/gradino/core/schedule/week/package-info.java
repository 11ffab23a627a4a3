/**
 * A week as a task: lines with their wishes, days with their minutes, and the rules that hold between them. Read
 * {@link gradino.core.schedule.week.WeekTask} first, then {@link gradino.core.schedule.week.WeekRules}. Knows no solver.
 */
@NullMarked
package gradino.core.schedule.week;

import org.jspecify.annotations.NullMarked;
