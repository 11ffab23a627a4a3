package gradino.core.schedule.solve;

import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.WeekTask;
import java.util.Arrays;
import java.util.List;

/**
 * What a line pays for each day. Days, each by itself, take the lines that leave them most after their prices; lines, each by itself,
 * take the days that pay most: both together never come to less than what any week can hold, at whatever prices. The prices are those
 * at which the two ask for nearly the same, found by steps against what they disagree in (Lagrangian decomposition: Guignard and Kim,
 * Mathematical Programming 39, 1987; cited from memory). They make the search short and change no answer.
 */
final class Prices {
    /** Parts of a weight in which prices are told. */
    static final int SCALE = 8;

    private static final int ROUNDS = 300;
    private static final double FIRST_STEP = 16;
    private static final double SHRINKING = 0.1;

    private final int[] weights;
    /** By line in its order: days that it still wants. */
    private final int[] wanted;
    /** By line, and day. */
    private final double[][] prices;

    private Prices(int[] weights, int[] wanted, double[][] prices) {
        this.weights = weights;
        this.wanted = wanted;
        this.prices = prices;
    }

    static Prices none(WeekTask task) {
        var lines = task.lines();
        return new Prices(
                lines.stream().mapToInt(l -> l.priority().weight()).toArray(),
                lines.stream().mapToInt(task::wanted).toArray(),
                new double[lines.size()][DaySet.DAYS]);
    }

    static Prices agreed(WeekTask task, List<UnitChoice> alone, List<JointChoice> joints, List<DayChoice> days) {
        var prices = none(task);
        var best = prices.prices;
        double least = Double.POSITIVE_INFINITY;
        for (int round = 0; round < ROUNDS; round++) {
            var apart = new int[best.length][DaySet.DAYS];
            double bound = prices.ask(alone, apart) + prices.askTogether(joints, apart) + prices.take(days, apart);
            if (bound < least) {
                least = bound;
                best = prices.rounded();
            }
            double all = squares(apart);
            if (all == 0) {
                break;
            }
            prices.move(apart, FIRST_STEP / Math.sqrt(all) / (1 + SHRINKING * round));
        }
        return new Prices(prices.weights, prices.wanted, best);
    }

    private static double squares(int[][] apart) {
        double sum = 0;
        for (int[] ofLine : apart) {
            for (int a : ofLine) {
                sum += a * a;
            }
        }
        return sum;
    }

    private void move(int[][] apart, double step) {
        for (int l = 0; l < prices.length; l++) {
            for (int d = 0; d < DaySet.DAYS; d++) {
                prices[l][d] += step * apart[l][d];
            }
        }
    }

    private double[][] rounded() {
        return Arrays.stream(prices)
                .map(of ->
                        Arrays.stream(of).map(p -> Math.rint(p * SCALE) / SCALE).toArray())
                .toArray(double[][]::new);
    }

    /** What lines would be paid, each on the days that pay it most; what they would have is taken off. */
    private double ask(List<UnitChoice> units, int[][] apart) {
        double sum = 0;
        for (var unit : units) {
            var paid = paid(unit);
            int best = 0;
            for (var set : unit.sets) {
                best = paid[set.bits()] > paid[best] ? set.bits() : best;
            }
            sum += paid[best];
            takeOff(unit, best, apart);
        }
        return sum;
    }

    private static void takeOff(UnitChoice unit, int set, int[][] apart) {
        for (int line : unit.at) {
            for (int d = 0; d < DaySet.DAYS; d++) {
                apart[line][d] -= set >> d & 1;
            }
        }
    }

    /** The same of lines that share the days of a joint. */
    private double askTogether(List<JointChoice> joints, int[][] apart) {
        double sum = 0;
        for (var joint : joints) {
            var paid = joint.units().stream().map(this::paid).toList();
            var best = DaySet.NONE;
            double most = 0;
            for (var set : joint.widest()) {
                double of = joint.most(paid, set);
                if (of > most) {
                    most = of;
                    best = set;
                }
            }
            sum += most;
            for (int u = 0; u < paid.size(); u++) {
                takeOff(joint.units().get(u), joint.best(u, paid.get(u), best), apart);
            }
        }
        return sum;
    }

    /** What days would have left, each with the lines that leave it most; what they would have is put on. */
    private double take(List<DayChoice> days, int[][] apart) {
        double sum = 0;
        for (var day : days) {
            var left = left(day);
            int best = 0;
            for (int c = 1; c < left.length; c++) {
                best = left[c] > left[best] ? c : best;
            }
            sum += left[best];
            for (long lines = day.choices.get(best).lines(); lines != 0; lines &= lines - 1) {
                apart[Long.numberOfTrailingZeros(lines)][day.day]++;
            }
        }
        return sum;
    }

    /** By set of days: what is paid to its lines for it; a day that a line does not want any more costs what it weighs. */
    double[] paid(UnitChoice unit) {
        var each = new double[DaySet.DAYS];
        for (int line : unit.at) {
            for (int d = 0; d < each.length; d++) {
                each[d] += prices[line][d];
            }
        }
        var paid = new double[1 << each.length];
        for (int set = 1; set < paid.length; set++) {
            paid[set] = paid[set & set - 1] + each[Integer.numberOfTrailingZeros(set)];
        }
        for (int line : unit.at) {
            for (int set = 1; set < paid.length; set++) {
                paid[set] -= weights[line] * (double) Math.max(0, Integer.bitCount(set) - wanted[line]);
            }
        }
        return paid;
    }

    /** By choice of a day: what its lines weigh, less what is paid to them for it. */
    double[] left(DayChoice day) {
        var each = new double[weights.length];
        for (int l = 0; l < each.length; l++) {
            each[l] = weights[l] - prices[l][day.day];
        }
        return day.sums(each);
    }
}
