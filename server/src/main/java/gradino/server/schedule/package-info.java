/**
 * The week: clients' calendars, then their plans. Read {@link gradino.server.schedule.plan.WeekPlans} first. May use every step up to
 * advance.
 */
@NullMarked
package gradino.server.schedule;

import org.jspecify.annotations.NullMarked;
