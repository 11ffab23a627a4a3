package gradino.core.measure.reading;

import gradino.core.quantity.OutOfBoundsException;
import java.time.Instant;

/**
 * One day's reading as the filter takes it.
 *
 * @param degrees the median of the trials
 * @param variance its variance, degrees², over 0
 */
public record RangeReading(Instant at, double degrees, double variance) {
    public RangeReading {
        OutOfBoundsException.require("reading", degrees, -180, 360, "°");
        OutOfBoundsException.require("variance of a reading", variance, 1e-6, 10_000, "°²");
    }
}
