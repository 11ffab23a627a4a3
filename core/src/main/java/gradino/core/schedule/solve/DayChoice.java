package gradino.core.schedule.solve;

import gradino.core.schedule.week.DayLoad;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekTask;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/** Which of the lines that are open on a day fit into it together. Where some fit, fewer of them do. */
final class DayChoice {
    /** Two to the power of these choices a day. */
    private static final int MOST_LINES = 14;

    final int day;
    final List<WeekLine> lines;
    /** Of each line, which of the task it is. */
    final int[] at;

    final DayLoad load;
    /** A bit for each line, in their order; nothing first. */
    final int[] fits;
    /** By choice but the first: which one it is with one line fewer, and which line that is. */
    private final int[] fewer;

    private final int[] more;

    DayChoice(WeekTask task, WeekRules rules, int day, List<WeekLine> lines) {
        this.day = day;
        this.lines = lines;
        at = lines.stream().mapToInt(task.lines()::indexOf).toArray();
        load = rules.load(lines);
        int seconds = task.days().get(day).seconds();
        fits = IntStream.range(0, 1 << lines.size())
                .filter(chosen -> load.seconds(chosen) <= seconds)
                .toArray();
        fewer = Arrays.stream(fits)
                .map(chosen -> Arrays.binarySearch(fits, chosen & chosen - 1))
                .toArray();
        more = Arrays.stream(fits).map(Integer::numberOfTrailingZeros).toArray();
    }

    static boolean isFew(List<WeekLine> lines) {
        return lines.size() <= MOST_LINES;
    }

    /** By choice: the sum of what its lines have. */
    double[] sums(double[] ofLines) {
        var sums = new double[fits.length];
        for (int c = 1; c < sums.length; c++) {
            sums[c] = sums[fewer[c]] + ofLines[more[c]];
        }
        return sums;
    }
}
