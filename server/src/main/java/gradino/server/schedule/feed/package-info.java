/**
 * Weeks and appointments for other calendar programs. Read {@link gradino.server.schedule.feed.FeedService} first. May use the calendar
 * and the plans.
 */
@NullMarked
package gradino.server.schedule.feed;

import org.jspecify.annotations.NullMarked;
