/**
 * Clients' weeks: planned, planned again, moved by hand, started, told. Read {@link gradino.server.schedule.plan.WeekPlans} first. May use
 * every step up to advance, and the calendar beside it.
 */
@NullMarked
package gradino.server.schedule.plan;

import org.jspecify.annotations.NullMarked;
