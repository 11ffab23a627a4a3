package gradino.core.quantity;

/** Pain as said by the person, whole number 0 to 10. Scores have no sum. */
public record PainScore(int value) implements Comparable<PainScore> {
    public static final PainScore NONE = new PainScore(0);

    public PainScore {
        OutOfBoundsException.require("pain", value, 0, 10, "of 10");
    }

    public static PainScore of(int value) {
        return new PainScore(value);
    }

    @Override
    public int compareTo(PainScore other) {
        return Integer.compare(value, other.value);
    }
}
