package gradino.core.prescribe.method;

/**
 * A ramp under a cap on contractions: half of it climbs, the rest is held on top (house rule).
 *
 * @param eachSeconds most a tread may take, at least 1
 * @param topHoldSeconds most the hold on top may take
 */
public record ShortRamp(int eachSeconds, int topHoldSeconds) {
    public static ShortRamp of(int mostSeconds, int treads) {
        int each = Math.max(1, mostSeconds / (2 * treads));
        return new ShortRamp(each, Math.max(0, mostSeconds - each * treads));
    }
}
