package gradino.core.report.studio;

import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.UncertainAngle;

/**
 * So many of n, with the 95 % score interval.
 *
 * <p>Source: Wilson EB 1927, J Am Stat Assoc 22:209–212 (from memory). With n = 0 nothing is known: 0 to 1.
 */
public record Share(int count, int of, double lower, double upper) {
    private static final double Z = UncertainAngle.Z_95_TWO_SIDED;

    public static Share of(int count, int of) {
        OutOfBoundsException.require("count", count, 0, of, "");
        if (of == 0) {
            return new Share(0, 0, 0, 1);
        }
        double p = (double) count / of;
        double z2 = Z * Z;
        double middle = (p + z2 / (2 * of)) / (1 + z2 / of);
        double half = Z / (1 + z2 / of) * Math.sqrt(p * (1 - p) / of + z2 / (4.0 * of * of));
        return new Share(count, of, Math.max(0, middle - half), Math.min(1, middle + half));
    }
}
