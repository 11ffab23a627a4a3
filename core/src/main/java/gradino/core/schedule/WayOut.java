package gradino.core.schedule;

import gradino.core.schedule.week.WeekTask;

/**
 * One change after which everything that is wanted fits.
 *
 * @param line that is changed; empty where a day is
 * @param day of the week that gets more minutes, 0 to 6; −1 where a line is changed
 * @param amount seconds more, seconds that a set less takes less, or days fewer
 */
public record WayOut(Kind kind, String line, int day, int amount) {
    /** The order is that in which they are shown. */
    public enum Kind {
        MORE_TIME,
        SET_LESS,
        FEWER_DAYS,
        /** Left out this week and every second one after it. */
        EVERY_SECOND_WEEK
    }

    private static final int NO_DAY = -1;

    static WayOut moreTime(int day, int seconds) {
        return new WayOut(Kind.MORE_TIME, "", day, seconds);
    }

    static WayOut setLess(String line, int seconds) {
        return new WayOut(Kind.SET_LESS, line, NO_DAY, seconds);
    }

    static WayOut fewerDays(String line, int days) {
        return new WayOut(Kind.FEWER_DAYS, line, NO_DAY, days);
    }

    static WayOut everySecondWeek(String line, int days) {
        return new WayOut(Kind.EVERY_SECOND_WEEK, line, NO_DAY, days);
    }

    /** The task when this is taken. */
    public WeekTask taken(WeekTask task) {
        return switch (kind) {
            case MORE_TIME -> task.withSeconds(day, task.days().get(day).seconds() + amount);
            case SET_LESS -> task.withLine(line, l -> l.withSeconds(l.seconds() - amount));
            case FEWER_DAYS, EVERY_SECOND_WEEK -> task.withLine(line, l -> l.withWanted(l.wanted() - amount));
        };
    }
}
