package gradino.core.effort;

/**
 * Counts repetitions in a gauge's force as it comes in: up over the hand's noise, then down to less than half of the peak, no
 * quicker than a limb can be lifted and let down (house rule). Not for several threads at once.
 */
public final class PeakCounter {
    /** A hand on the gauge and its noise stay under this. */
    public static final double LEAST_NEWTONS = 10;

    public static final double SHORTEST_SECONDS = 0.3;
    private static final double DOWN_SHARE = 0.5;

    private double peak;
    private double upSince = Double.NaN;

    /**
     * @param second of the gauge's own clock, rising
     * @param newtons finite
     * @return whether a repetition has just ended
     */
    public boolean take(double second, double newtons) {
        if (Double.isNaN(upSince)) {
            if (newtons >= LEAST_NEWTONS) {
                upSince = second;
                peak = newtons;
            }
            return false;
        }
        peak = Math.max(peak, newtons);
        if (newtons > Math.min(peak * DOWN_SHARE, peak - LEAST_NEWTONS / 2)) {
            return false;
        }
        boolean lasted = second - upSince >= SHORTEST_SECONDS;
        upSince = Double.NaN;
        return lasted;
    }
}
