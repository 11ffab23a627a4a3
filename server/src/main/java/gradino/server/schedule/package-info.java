/**
 * The week: clients' calendars, their plans, and both for other calendar programs. Read
 * {@link gradino.server.schedule.plan.WeekPlans} first. May use every step up to advance.
 */
@NullMarked
package gradino.server.schedule;

import org.jspecify.annotations.NullMarked;
