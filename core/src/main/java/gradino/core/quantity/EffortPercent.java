package gradino.core.quantity;

/** Share of a person's own maximal voluntary contraction at this angle, whole percent, 0 to 100. Has no average across people. */
public record EffortPercent(int value) implements Comparable<EffortPercent> {

    public EffortPercent {
        OutOfBoundsException.require("effort", value, 0, 100, "%");
    }

    public static EffortPercent of(int value) {
        return new EffortPercent(value);
    }

    /** This effort moved by {@code points}, kept within 0 to 100. */
    public EffortPercent shifted(int points) {
        return new EffortPercent(Math.max(0, Math.min(100, value + points)));
    }

    public EffortPercent atMost(EffortPercent cap) {
        return value <= cap.value ? this : cap;
    }

    public EffortPercent atLeast(EffortPercent floor) {
        return value >= floor.value ? this : floor;
    }

    /** The same effort on a scale of ten, for comparison with a self-rating. */
    public double tenths() {
        return value / 10.0;
    }

    @Override
    public int compareTo(EffortPercent other) {
        return Integer.compare(value, other.value);
    }

    @Override
    public String toString() {
        return value + " %";
    }
}
