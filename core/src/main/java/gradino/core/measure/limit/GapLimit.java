package gradino.core.measure.limit;

import gradino.core.quantity.OutOfBoundsException;

/**
 * The largest control gap (passive − active) that is still in order: {@code mostDegrees}, or a share of the passive range
 * where that is smaller, but never under {@code leastDegrees}.
 *
 * <p>Source: common practice, no source; a studio may set its own.
 *
 * @param mostDegrees 1 to 60
 * @param share of the passive range, 0.05 to 1
 * @param leastDegrees 1 to {@code mostDegrees}
 */
public record GapLimit(double mostDegrees, double share, double leastDegrees) {
    public static final GapLimit HOUSE = new GapLimit(15, 1.0 / 3, 8);

    public GapLimit {
        OutOfBoundsException.require("mostDegrees", mostDegrees, 1, 60, "°");
        OutOfBoundsException.require("share", share, 0.05, 1, "");
        OutOfBoundsException.require("leastDegrees", leastDegrees, 1, mostDegrees, "°");
    }

    /** For a passive range in degrees. */
    public double degrees(double passiveDegrees) {
        return Math.min(mostDegrees, Math.max(leastDegrees, passiveDegrees * share));
    }
}
