package gradino.core.measure.noise;

import java.util.Arrays;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * How two ways of measuring the same people agree: bias and limits of agreement.
 *
 * <p>Source: Bland &amp; Altman 1986, Lancet i:307–310: limits are bias ± 2 s (2, not 1.96), SE(bias) = s/√n, SE(limit) ≈
 * √(3 s²/n), intervals with Student's t on n − 1. Typical error = s/√2 (Hopkins 2000, Sports Med 30:1–15).
 *
 * @param pairs at least 2
 * @param bias mean of first − second
 * @param sd standard deviation of the differences, n − 1
 */
public record Agreement(int pairs, double bias, double sd) {
    private static final double LIMIT_SDS = 2;

    /** A value with its 95 % interval. */
    public record Interval(double value, double lower95, double upper95) {}

    /** @throws Repeatability.UnusableException for fewer than two pairs, lists of different length, or a missing value */
    public static Agreement of(double[] first, double[] second) {
        if (first.length != second.length) {
            throw new Repeatability.UnusableException(Math.min(first.length, second.length), 1, "a reading is missing");
        }
        if (first.length < 2) {
            throw new Repeatability.UnusableException(
                    -1, -1, "at least two pairs are needed, there are " + first.length);
        }
        double[] differences = new double[first.length];
        for (int i = 0; i < first.length; i++) {
            differences[i] = first[i] - second[i];
            if (!Double.isFinite(differences[i])) {
                throw new Repeatability.UnusableException(i, Double.isFinite(first[i]) ? 1 : 0, "a reading is missing");
            }
        }
        return new Agreement(differences.length, mean(differences), sd(differences));
    }

    public static double mean(double[] values) {
        return Arrays.stream(values).average().orElseThrow();
    }

    /** Sample standard deviation, n − 1. */
    public static double sd(double[] values) {
        double mean = mean(values);
        double squares = Arrays.stream(values).map(x -> (x - mean) * (x - mean)).sum();
        return Math.sqrt(squares / (values.length - 1));
    }

    public Interval biasInterval() {
        return around(bias, sd / Math.sqrt(pairs));
    }

    public Interval lowerLimit() {
        return around(bias - LIMIT_SDS * sd, limitError());
    }

    public Interval upperLimit() {
        return around(bias + LIMIT_SDS * sd, limitError());
    }

    /** Standard error of either limit. */
    public double limitError() {
        return Math.sqrt(3 * sd * sd / pairs);
    }

    public double typicalError() {
        return sd / Math.sqrt(2);
    }

    private Interval around(double value, double standardError) {
        double t = TDistribution.of(pairs - 1.0).inverseCumulativeProbability(0.975);
        return new Interval(value, value - t * standardError, value + t * standardError);
    }
}
