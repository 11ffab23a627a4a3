package gradino.core.measure.noise;

import gradino.core.quantity.Degrees;
import gradino.core.quantity.OutOfBoundsException;
import java.util.Arrays;
import java.util.List;

/**
 * One to six trials of one measurement, in degrees.
 *
 * <p>Source of the repeat rule: AMA Guides, 5th ed. 2001, ch. 15 (value from memory): within 5° or 10 % of the mean,
 * whichever is greater, up to six attempts.
 */
public record Trials(List<Degrees> angles) {
    public static final int MOST = 6;
    public static final int USUAL = 3;
    private static final double TOLERANCE_DEGREES = 5;
    private static final double TOLERANCE_SHARE = 0.10;

    /** f(n): variance of the median of n normal trials over that of one (order statistics of the normal). */
    private static final double[] MEDIAN_VARIANCE = {1, 0.5, 0.449, 0.298, 0.287, 0.215};

    public Trials {
        angles = List.copyOf(angles);
        OutOfBoundsException.require("number of trials", angles.size(), 1, MOST, "");
    }

    public static Trials of(double... degrees) {
        return new Trials(Arrays.stream(degrees).mapToObj(Degrees::of).toList());
    }

    public Degrees median() {
        var sorted = new double[angles.size()];
        for (int i = 0; i < sorted.length; i++) {
            sorted[i] = angles.get(i).value();
        }
        Arrays.sort(sorted);
        int middle = sorted.length / 2;
        return Degrees.of(sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2);
    }

    /** Largest minus smallest, in degrees. */
    public double spread() {
        var stats = angles.stream().mapToDouble(Degrees::value).summaryStatistics();
        return stats.getMax() - stats.getMin();
    }

    public double mean() {
        return angles.stream().mapToDouble(Degrees::value).average().orElseThrow();
    }

    /** How far a trial may lie from the mean, in degrees. */
    public double tolerance() {
        return Math.max(TOLERANCE_DEGREES, TOLERANCE_SHARE * Math.abs(mean()));
    }

    /** Whether some trial lies too far from the mean and another attempt is still allowed. */
    public boolean asksForMore() {
        return !agree() && angles.size() < MOST;
    }

    public boolean agree() {
        double mean = mean();
        return angles.stream().allMatch(a -> Math.abs(a.value() - mean) <= tolerance());
    }

    /** f(n) of this many trials, for a day's variance σ_day² + f(n)·σ_trial². */
    public double medianVarianceFactor() {
        return medianVarianceFactor(angles.size());
    }

    /** f(n) for n of 1 to 6. */
    public static double medianVarianceFactor(int trials) {
        return MEDIAN_VARIANCE[trials - 1];
    }
}
