package gradino.core.schedule;

import gradino.core.body.Side;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.quantity.OutOfBoundsException;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Priority;
import gradino.core.schedule.week.Rested;
import gradino.core.schedule.week.Week;
import gradino.core.schedule.week.WeekDay;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekTask;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Weeks one after the other, each from what the one before leaves behind. The last is the week of the re-test: every line on one day at
 * most, and the battery on a day of its own minutes. Steps of ladders are not foreseen.
 *
 * @param weeks 4 to 12, each of seven days
 * @param first how the first is to be planned; its days are those of the first week
 * @param retestSeconds what the battery takes; 0 where none is to be repeated
 */
public record BlockOfWeeks(List<List<WeekDay>> weeks, WeekTask first, int retestSeconds) {
    /** The battery in the plan of the last week. */
    public static final String RETEST = "re-test";

    private static final int FEWEST = 4;
    private static final int MOST = 12;

    public BlockOfWeeks {
        OutOfBoundsException.require("weeks of a block", weeks.size(), FEWEST, MOST, "");
        weeks = weeks.stream().map(List::copyOf).toList();
    }

    /** The tasks and their weeks, in their order. */
    public List<Planned> plan(Planner planner) {
        var planned = new ArrayList<Planned>();
        for (int w = 0; w < weeks.size(); w++) {
            var task = w == 0 ? first : following(planned.get(w - 1), w);
            var asked = w == weeks.size() - 1 ? ofRetest(task) : task;
            planned.add(new Planned(asked, planner.plan(asked)));
        }
        return planned;
    }

    /** A week as it was asked for, and as it is. */
    public record Planned(WeekTask task, Week week) {}

    private WeekTask following(Planned last, int number) {
        return new WeekTask(
                weeks.get(number),
                first.lines(),
                first.shared(),
                first.sessions(),
                rested(last),
                last.week().days(),
                DaySet.NONE,
                Map.of());
    }

    private static List<Rested> rested(Planned last) {
        return restedAfter(last.task(), last.week().days());
    }

    /** What a week leaves behind: what is not light keeps its joint from the end of its last day on. */
    public static List<Rested> restedAfter(WeekTask task, Map<String, DaySet> days) {
        return Stream.concat(
                        task.rested().stream(),
                        task.lines().stream()
                                .filter(line -> !line.isLight())
                                .flatMap(line -> days.getOrDefault(line.id(), DaySet.NONE)
                                        .without(task.frozen())
                                        .days()
                                        .mapToObj(day -> new Rested(
                                                line.joint(),
                                                line.side(),
                                                rested(task.days().get(day), line)))))
                .toList();
    }

    private static Instant rested(WeekDay day, WeekLine line) {
        return day.start().plusSeconds(line.seconds()).plus(line.spacing());
    }

    private WeekTask ofRetest(WeekTask task) {
        return ofRetest(task, retestSeconds);
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
