package gradino.core.schedule;

import gradino.core.body.Side;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Priority;
import gradino.core.schedule.week.Rested;
import gradino.core.schedule.week.WeekDay;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekTask;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Weeks one after the other, each from what the one before leaves behind. The last is the week of the re-test: every line on one day at
 * most, and the battery on a day of its own minutes. Steps of ladders are not foreseen.
 */
public final class BlockOfWeeks {
    /** The battery in the plan of the last week. */
    public static final String RETEST = "re-test";

    public static final int FEWEST = 4;
    public static final int MOST = 12;

    private BlockOfWeeks() {}

    /** What a week leaves behind: each line keeps its joint, a light one itself alone, from the end of its last day on. */
    public static List<Rested> restedAfter(WeekTask task, Map<String, DaySet> days) {
        return Stream.concat(
                        task.rested().stream(),
                        task.lines().stream()
                                .flatMap(line -> days.getOrDefault(line.id(), DaySet.NONE)
                                        .without(task.frozen())
                                        .days()
                                        .mapToObj(
                                                day -> rested(line, task.days().get(day)))))
                .toList();
    }

    private static Rested rested(WeekLine line, WeekDay day) {
        var from = day.start().plusSeconds(line.seconds()).plus(line.spacing());
        return new Rested(line.id(), line.joint(), line.side(), line.isLight(), from);
    }

    /** The week of the re-test: each line on one day at most, the battery first of all. */
    public static WeekTask ofRetest(WeekTask task, int retestSeconds) {
        var lines = new ArrayList<WeekLine>();
        if (retestSeconds > 0) {
            lines.add(new WeekLine(
                    RETEST,
                    RETEST,
                    Side.MIDLINE,
                    EffortClass.LIGHT,
                    Duration.ZERO,
                    1,
                    1,
                    Priority.FIRST,
                    retestSeconds,
                    List.of(),
                    DaySet.ALL));
        }
        task.lines().forEach(line -> lines.add(line.withWanted(Math.min(1, line.wanted()))));
        return task.withLines(lines);
    }
}
