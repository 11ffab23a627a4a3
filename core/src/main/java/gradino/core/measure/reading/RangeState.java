package gradino.core.measure.reading;

import gradino.core.measure.noise.NoiseRules;
import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.UncertainAngle;
import java.time.Duration;
import java.time.Instant;

/**
 * Current range from cold readings of one series: a local-level Kalman filter over irregular times.
 *
 * <p>Source: Kalman 1960 for the recursion; the level drifts with variance q a day. The first reading is the prior mean,
 * with {@link NoiseRules#firstVariance}. All variances in degrees². Changes are not read off it: they are of the readings
 * themselves. An instance never changes.
 *
 * @param at time of the last update
 * @param level mean of the current range, degrees
 * @param variance its variance
 * @param from the reading that changes are counted from
 * @param last the newest reading
 */
public record RangeState(Instant at, double level, double variance, RangeReading from, RangeReading last) {
    private static final double SECONDS_PER_DAY = 86_400;
    private static final double OUTLIER_SIGMAS = 3;
    private static final double LEAST_VARIANCE = 1e-6;

    public RangeState {
        OutOfBoundsException.require("range", level, -180, 360, "°");
        OutOfBoundsException.require("variance of a range", variance, LEAST_VARIANCE, 100_000, "°²");
    }

    /** A state known directly, as if by one reading. */
    public static RangeState known(Instant at, double level, double variance) {
        var reading = new RangeReading(at, level, variance);
        return new RangeState(at, level, variance, reading, reading);
    }

    public static RangeState first(RangeReading reading, NoiseRules rules) {
        return new RangeState(reading.at(), reading.degrees(), rules.firstVariance(), reading, reading).update(reading);
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
        return new RangeState(later, level, variance + rules.driftPerDay() * days, from, last);
    }

    /** The same range, with changes counted from the newest reading on. */
    public RangeState fixedHere() {
        return new RangeState(at, level, variance, last, last);
    }

    public UncertainAngle estimate() {
        return UncertainAngle.of(level, Math.sqrt(variance));
    }

    /** Change since the reading that it is counted from. */
    public ReadingChange change() {
        return new ReadingChange(from, last);
    }

    /** Whether a reading lies over three standard deviations from what was expected. Such a reading is flagged, not dropped. */
    public boolean isOutlier(RangeReading reading, NoiseRules rules) {
        var expected = predict(reading.at(), rules);
        double sigma = Math.sqrt(expected.variance + reading.variance());
        return Math.abs(reading.degrees() - expected.level) > OUTLIER_SIGMAS * sigma;
    }

    private RangeState update(RangeReading reading) {
        double gain = variance / (variance + reading.variance());
        double to = level + gain * (reading.degrees() - level);
        return new RangeState(at, to, (1 - gain) * variance, from, reading);
    }
}
