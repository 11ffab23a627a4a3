/**
 * The exact search behind {@link gradino.core.schedule.week.WeekSolver}. No type of the solver leaves this room. Read
 * {@link gradino.core.schedule.solve.ConstraintWeekSolver} first.
 */
@NullMarked
package gradino.core.schedule.solve;

import org.jspecify.annotations.NullMarked;
