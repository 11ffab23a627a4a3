package gradino.core.quantity;

/** A self-rating in whole tenths, 0 to 10: effort of a set, hardness of a session, muscle soreness. */
public record Tenths(int value) implements Comparable<Tenths> {

    public Tenths {
        OutOfBoundsException.require("rating", value, 0, 10, "of 10");
    }

    public static Tenths of(int value) {
        return new Tenths(value);
    }

    @Override
    public int compareTo(Tenths other) {
        return Integer.compare(value, other.value);
    }
}
