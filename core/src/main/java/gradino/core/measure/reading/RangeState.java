package gradino.core.measure.reading;

import gradino.core.measure.noise.NoiseRules;
import gradino.core.quantity.UncertainAngle;
import java.time.Duration;
import java.time.Instant;

/**
 * Current range from cold readings of one series: a local-level Kalman filter over irregular times.
 *
 * <p>Source: Kalman 1960 for the recursion; the level drifts with variance q a day. The first reading is the prior mean,
 * with {@link NoiseRules#firstVariance}. "Changed since" carries the state at the chosen date along (fixed-point
 * smoothing, Anderson &amp; Moore 1979, ch. 7), so that the correlation of the two estimates is counted. All variances in
 * degrees². An instance never changes.
 *
 * @param at time of the last update
 * @param level mean of the current range, degrees
 * @param variance its variance
 * @param fixedLevel the range at the fixed date, as all readings since then see it
 * @param fixedVariance its variance
 * @param covariance between the two
 */
public record RangeState(
        Instant at, double level, double variance, double fixedLevel, double fixedVariance, double covariance) {
    private static final double SECONDS_PER_DAY = 86_400;
    private static final double OUTLIER_SIGMAS = 3;

    /** A state known directly; its fixed date is {@code at}. */
    public static RangeState known(Instant at, double level, double variance) {
        return new RangeState(at, level, variance, level, variance, variance);
    }

    public static RangeState first(RangeReading reading, NoiseRules rules) {
        return known(reading.at(), reading.degrees(), rules.firstVariance()).update(reading);
    }

    /** State after one more reading. Readings come in the order of time; an earlier one throws. */
    public RangeState next(RangeReading reading, NoiseRules rules) {
        if (reading.at().isBefore(at)) {
            throw new IllegalArgumentException(
                    "readings must come in the order of time: " + reading.at() + " after " + at);
        }
        return predict(reading.at(), rules).update(reading);
    }

    /** The state grown uncertain up to {@code moment}; a moment in the past leaves it as it is. */
    public RangeState predict(Instant moment, NoiseRules rules) {
        double days = Math.max(0, Duration.between(at, moment).toMillis() / 1000.0 / SECONDS_PER_DAY);
        var later = moment.isAfter(at) ? moment : at;
        return new RangeState(
                later, level, variance + rules.driftPerDay() * days, fixedLevel, fixedVariance, covariance);
    }

    /** The same range, with now as the date that later changes are counted from. */
    public RangeState fixedHere() {
        return known(at, level, variance);
    }

    public UncertainAngle estimate() {
        return UncertainAngle.of(level, Math.sqrt(variance));
    }

    /** Change since the fixed date with its standard error. */
    public Change change() {
        double spread = Math.max(0, variance + fixedVariance - 2 * covariance);
        return new Change(level - fixedLevel, Math.sqrt(spread));
    }

    /** Whether a reading lies over three standard deviations from what was expected. Such a reading is flagged, not dropped. */
    public boolean isOutlier(RangeReading reading, NoiseRules rules) {
        var expected = predict(reading.at(), rules);
        double sigma = Math.sqrt(expected.variance + reading.variance());
        return Math.abs(reading.degrees() - expected.level) > OUTLIER_SIGMAS * sigma;
    }

    private RangeState update(RangeReading reading) {
        double innovation = reading.degrees() - level;
        double total = variance + reading.variance();
        double gain = variance / total;
        double fixedGain = covariance / total;
        return new RangeState(
                at,
                level + gain * innovation,
                (1 - gain) * variance,
                fixedLevel + fixedGain * innovation,
                fixedVariance - fixedGain * covariance,
                (1 - gain) * covariance);
    }

    /**
     * A difference of two dates of one series, degrees. Real when its 95 % interval leaves out zero; otherwise within
     * measurement noise.
     */
    public record Change(double degrees, double standardError) {
        public double lower95() {
            return degrees - UncertainAngle.Z_95_TWO_SIDED * standardError;
        }

        public double upper95() {
            return degrees + UncertainAngle.Z_95_TWO_SIDED * standardError;
        }

        public boolean isReal() {
            return lower95() > 0 || upper95() < 0;
        }
    }
}
