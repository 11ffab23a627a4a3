package gradino.core.schedule.solve;

import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekTask;
import java.util.List;

/** Lines that have their days together, and the sets of days to come that they may have; the empty one is the first. */
final class UnitChoice {
    final String id;
    final List<WeekLine> lines;
    /** Of each line, which of the task it is. */
    final int[] at;

    final List<DaySet> sets;

    UnitChoice(WeekTask task, String id, List<WeekLine> lines, List<DaySet> sets) {
        this.id = id;
        this.lines = lines;
        this.sets = sets;
        at = lines.stream().mapToInt(task.lines()::indexOf).toArray();
    }
}
