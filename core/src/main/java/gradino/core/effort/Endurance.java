package gradino.core.effort;

import gradino.core.body.DataFile;
import gradino.core.quantity.OutOfBoundsException;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * How long one hold can be kept from fresh, seconds: the published curves, beside the model that runs along a session.
 *
 * <p>Sources: Rohmert 1960, Int Z Angew Physiol 18:123-164, T(min) = −1.5 + 2.1/k − 0.6/k² + 0.1/k³; power laws Frey-Law &amp;
 * Avin 2010 (values from memory). The two differ by up to 40 %: neither is a check of the other.
 */
public final class Endurance {
    private static final double SECONDS_PER_MINUTE = 60;
    /** Below this Rohmert's curve is taken as without end. */
    private static final double ROHMERT_LEAST = 0.15;

    private static final Map<String, double[]> POWER = DataFile.rows(
                    "endurance.csv",
                    row -> Map.entry(
                            row.get("id"),
                            new double[] {Double.parseDouble(row.get("b0")), Double.parseDouble(row.get("b1"))}))
            .stream()
            .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, Map.Entry::getValue));

    private Endurance() {}

    /** @param share of the maximum, over 0 to 1; infinity below 0.15 */
    public static double rohmertSeconds(double share) {
        OutOfBoundsException.require("share of the maximum", share, 0.001, 1, "");
        double k = share;
        return k < ROHMERT_LEAST
                ? Double.POSITIVE_INFINITY
                : SECONDS_PER_MINUTE * (-1.5 + 2.1 / k - 0.6 / (k * k) + 0.1 / (k * k * k));
    }

    /**
     * @param joint ankle, knee, trunk, shoulder, elbow or hand
     * @param share of the maximum, 0.001 to 1
     */
    public static double powerLawSeconds(String joint, double share) {
        OutOfBoundsException.require("share of the maximum", share, 0.001, 1, "");
        var law = POWER.get(joint);
        if (law == null) {
            throw new IllegalArgumentException("no endurance curve for " + joint);
        }
        return law[0] * Math.pow(share, law[1]);
    }

    /** In the limit of quick tracking: when the model can no longer hold a target, s; infinity where it always can. */
    static double modelSeconds(Fatigue set, double targetPercent) {
        double plateau = 100 * set.recovery() / (set.fatigue() + set.recovery());
        if (targetPercent <= plateau) {
            return Double.POSITIVE_INFINITY;
        }
        double left = 1 - set.recovery() * (100 - targetPercent) / (set.fatigue() * targetPercent);
        return -Math.log(left) / set.recovery();
    }
}
