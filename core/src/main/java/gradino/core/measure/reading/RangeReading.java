package gradino.core.measure.reading;

import gradino.core.quantity.OutOfBoundsException;
import java.time.Instant;

/**
 * One day's reading as the filter takes it.
 *
 * @param degrees the median of the trials
 * @param variance its variance, degrees², over 0
 * @param trials that it is the median of, 1 to 6
 * @param freedom degrees of freedom of the study that the variance is from; 0 for a house value
 */
public record RangeReading(Instant at, double degrees, double variance, int trials, int freedom) {
    public RangeReading {
        OutOfBoundsException.require("reading", degrees, -180, 360, "°");
        OutOfBoundsException.require("variance of a reading", variance, 1e-6, 10_000, "°²");
        OutOfBoundsException.require("trials", trials, 1, 6, "");
        OutOfBoundsException.require("degrees of freedom", freedom, 0, 10_000, "");
    }

    /** One trial, by a house value. */
    public RangeReading(Instant at, double degrees, double variance) {
        this(at, degrees, variance, 1, 0);
    }
}
