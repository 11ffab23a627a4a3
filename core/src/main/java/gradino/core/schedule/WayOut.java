package gradino.core.schedule;

import gradino.core.schedule.week.WeekTask;

/**
 * One change after which everything that is wanted fits.
 *
 * @param line whose days are fewer; empty where a day gets more minutes
 * @param day of the week that gets more minutes, 0 to 6; −1 where a line has fewer days
 * @param amount seconds more, or days fewer
 */
public record WayOut(String line, int day, int amount) {
    static WayOut moreTime(int day, int seconds) {
        return new WayOut("", day, seconds);
    }

    static WayOut fewerDays(String line, int days) {
        return new WayOut(line, -1, days);
    }

    public boolean givesTime() {
        return day >= 0;
    }

    /** The task when this is taken. */
    public WeekTask taken(WeekTask task) {
        return givesTime()
                ? task.withSeconds(day, task.days().get(day).seconds() + amount)
                : task.withLine(line, l -> l.withWanted(l.wanted() - amount));
    }
}
