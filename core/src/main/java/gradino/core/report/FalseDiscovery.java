package gradino.core.report;

import gradino.core.quantity.OutOfBoundsException;
import java.util.Arrays;

/**
 * Which of many tests hold when the share of false ones among those that hold is kept at q: of the sorted p-values all up to the last
 * with p(i) ≤ i·q/n.
 *
 * <p>Source: Benjamini Y, Hochberg Y 1995, J R Stat Soc B 57:289–300 (from memory).
 */
public final class FalseDiscovery {
    /** At 5 %. */
    public static final double Q = 0.05;

    private FalseDiscovery() {}

    /** The largest p that holds; negative where none does. */
    public static double threshold(double[] p, double q) {
        OutOfBoundsException.require("false discovery rate", q, 0, 1, "");
        var sorted = p.clone();
        Arrays.sort(sorted);
        for (int i = sorted.length; i > 0; i--) {
            OutOfBoundsException.require("p", sorted[i - 1], 0, 1, "");
            if (sorted[i - 1] <= i * q / sorted.length) {
                return sorted[i - 1];
            }
        }
        return -1;
    }
}
