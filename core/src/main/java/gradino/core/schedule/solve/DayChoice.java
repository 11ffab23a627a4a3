package gradino.core.schedule.solve;

import gradino.core.schedule.week.DayLoad;
import gradino.core.schedule.week.Shared;
import gradino.core.schedule.week.Together;
import gradino.core.schedule.week.WeekTask;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Which of the units that are open on a day fit into it together. Where some fit, fewer of them do. */
final class DayChoice {
    /** Rows of a table; a day that can be filled in more ways than these is summed up. */
    private static final int MOST = 1 << 14;

    final int day;
    final List<Together> units;
    /** What any lines of the task take, a bit each. */
    final DayLoad load;

    final List<Chosen> choices;

    private DayChoice(int day, List<Together> units, DayLoad load, List<Chosen> choices) {
        this.day = day;
        this.units = units;
        this.load = load;
        this.choices = choices;
    }

    /**
     * Units that fit.
     *
     * @param units a bit each, in their order
     * @param lines a bit for each line of the task that is in any of them
     * @param fewer which choice it is without the last of its units
     * @param more lines that this one adds
     */
    record Chosen(long units, long lines, int fewer, long more) {
        static final Chosen NOTHING = new Chosen(0, 0, 0, 0);

        private Chosen with(int unit, long ofUnit, int index) {
            return new Chosen(units | 1L << unit, lines | ofUnit, index, ofUnit & ~lines);
        }
    }

    /** Empty where there are too many choices to look at each. */
    static Optional<DayChoice> of(WeekTask task, DayLoad load, int day, List<Together> units) {
        int seconds = task.days().get(day).seconds();
        var choices = new ArrayList<>(List.of(Chosen.NOTHING));
        for (int u = 0; u < units.size(); u++) {
            long lines = lines(task, units.get(u));
            int before = choices.size();
            for (int c = 0; c < before && choices.size() <= MOST; c++) {
                var more = choices.get(c).with(u, lines, c);
                if (load.seconds(more.lines()) <= seconds) {
                    choices.add(more);
                }
            }
        }
        return choices.size() > MOST ? Optional.empty() : Optional.of(new DayChoice(day, units, load, choices));
    }

    private static long lines(WeekTask task, Together unit) {
        long bits = 0;
        for (int l = 0; l < task.lines().size(); l++) {
            bits |= unit.lines().contains(task.lines().get(l).id()) ? 1L << l : 0;
        }
        return bits;
    }

    /** Whether any of the units that are open needs it. */
    boolean needs(Shared shared) {
        return choices.stream().anyMatch(c -> (c.lines() & load.who(shared)) != 0);
    }

    /** By choice: the sum of what its lines have. */
    double[] sums(double[] ofLines) {
        var sums = new double[choices.size()];
        for (int c = 1; c < sums.length; c++) {
            var chosen = choices.get(c);
            double sum = sums[chosen.fewer()];
            for (long left = chosen.more(); left != 0; left &= left - 1) {
                sum += ofLines[Long.numberOfTrailingZeros(left)];
            }
            sums[c] = sum;
        }
        return sums;
    }
}
