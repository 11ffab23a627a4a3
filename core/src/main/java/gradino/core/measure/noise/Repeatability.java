package gradino.core.measure.noise;

import gradino.core.quantity.OutOfBoundsException;
import java.util.Arrays;

/**
 * How well repeated measurements of the same people agree: mean squares of a targets × judges table and the six
 * intraclass correlations.
 *
 * <p>Source: Shrout &amp; Fleiss 1979, Psychol Bull 86:420–428, for the mean squares and ICC(1,1) to ICC(3,k); Weir 2005,
 * J Strength Cond Res 19:231–240, for SEM = √MS_error and MDC. With B, W, J, E the mean squares between targets, within
 * targets, between judges and of the error, n targets and k judges:
 *
 * <pre>
 * (1,1) (B−W)/(B+(k−1)W)                (1,k) (B−W)/B
 * (2,1) (B−E)/(B+(k−1)E+k(J−E)/n)       (2,k) (B−E)/(B+(J−E)/n)
 * (3,1) (B−E)/(B+(k−1)E)                (3,k) (B−E)/B
 * </pre>
 *
 * All mean squares in the squared unit of the readings. A judge is a tester or a visit.
 *
 * @param targets people, at least 2
 * @param judges readings of each, at least 2
 */
public record Repeatability(
        int targets, int judges, double betweenMs, double withinMs, double judgeMs, double errorMs) {
    /** For the difference of two readings; 1.96 and 1.645 as published. */
    private static final double MDC95_FACTOR = 1.96 * Math.sqrt(2);

    private static final double MDC90_FACTOR = 1.645 * Math.sqrt(2);

    /** Readings that cannot be analysed, with the place: row and column count from 0, −1 for the table as a whole. */
    public static final class UnusableException extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;
        private final int row;
        private final int column;

        public UnusableException(int row, int column, String message) {
            super(message);
            this.row = row;
            this.column = column;
        }

        public int row() {
            return row;
        }

        public int column() {
            return column;
        }
    }

    /**
     * @param readings one row a person, one column a visit or tester; no gaps
     * @throws UnusableException for fewer than two of either, rows of different length, or a value that is no number
     */
    public static Repeatability of(double[][] readings) {
        check(readings);
        int n = readings.length;
        int k = readings[0].length;
        double grand = Arrays.stream(readings)
                .flatMapToDouble(Arrays::stream)
                .average()
                .orElseThrow();
        double total = 0;
        double between = 0;
        for (double[] row : readings) {
            double mean = Arrays.stream(row).average().orElseThrow();
            between += k * square(mean - grand);
            total += Arrays.stream(row).map(x -> square(x - grand)).sum();
        }
        double judge = 0;
        for (int j = 0; j < k; j++) {
            double mean = columnMean(readings, j);
            judge += n * square(mean - grand);
        }
        double within = Math.max(0, total - between);
        return new Repeatability(
                n,
                k,
                between / (n - 1),
                within / (n * (k - 1.0)),
                judge / (k - 1),
                Math.max(0, within - judge) / ((n - 1.0) * (k - 1)));
    }

    private static void check(double[][] readings) {
        if (readings.length < 2) {
            throw new UnusableException(-1, -1, "at least two people are needed, there are " + readings.length);
        }
        int k = readings[0].length;
        if (k < 2) {
            throw new UnusableException(-1, -1, "at least two visits or testers are needed, there are " + k);
        }
        for (int i = 0; i < readings.length; i++) {
            if (readings[i].length != k) {
                throw new UnusableException(i, Math.min(k, readings[i].length), "a reading is missing");
            }
            for (int j = 0; j < k; j++) {
                if (!Double.isFinite(readings[i][j])) {
                    throw new UnusableException(i, j, "a reading is missing");
                }
            }
        }
    }

    private static double columnMean(double[][] readings, int column) {
        return Arrays.stream(readings).mapToDouble(row -> row[column]).average().orElseThrow();
    }

    private static double square(double x) {
        return x * x;
    }

    /** One-way, a single reading; this and the other two are NaN without any variance. */
    public double icc11() {
        return (betweenMs - withinMs) / (betweenMs + (judges - 1) * withinMs);
    }

    /** Two-way random, absolute agreement, a single reading. */
    public double icc21() {
        return (betweenMs - errorMs) / (betweenMs + (judges - 1) * errorMs + judges * (judgeMs - errorMs) / targets);
    }

    /** Two-way mixed, consistency, a single reading. */
    public double icc31() {
        return (betweenMs - errorMs) / (betweenMs + (judges - 1) * errorMs);
    }

    /** One-way, mean of the k readings. */
    public double icc1k() {
        return (betweenMs - withinMs) / betweenMs;
    }

    /** Two-way random, mean of the k readings. */
    public double icc2k() {
        return (betweenMs - errorMs) / (betweenMs + (judgeMs - errorMs) / targets);
    }

    /** Two-way mixed, mean of the k readings. */
    public double icc3k() {
        return (betweenMs - errorMs) / betweenMs;
    }

    /** Standard error of measurement, √MS_error, in the unit of the readings. */
    public double sem() {
        return Math.sqrt(errorMs);
    }

    /** SEM = SD·√(1 − ICC), for a published ICC of 0 to 1. */
    public static double sem(double sd, double icc) {
        if (!(sd >= 0 && sd <= 360) || !(icc >= 0 && icc <= 1)) {
            throw new IllegalArgumentException("SD must be 0 or more and ICC 0 to 1, were " + sd + " and " + icc);
        }
        return sd * Math.sqrt(1 - icc);
    }

    /** Smallest difference of two readings that is more than noise, at 95 %: 1.96·√2·SEM. */
    public static double mdc95(double sem) {
        return MDC95_FACTOR * OutOfBoundsException.require("sem", sem, 0, 180, "°");
    }

    /** The same at 90 %: 1.645·√2·SEM. */
    public static double mdc90(double sem) {
        return MDC90_FACTOR * OutOfBoundsException.require("sem", sem, 0, 180, "°");
    }
}
