package gradino.core.quantity;

/** A length in centimetres, 0 to 300: everything a tape is laid along in a studio. */
public record Centimetres(double value) implements Comparable<Centimetres> {

    public Centimetres {
        OutOfBoundsException.require("length", value, 0, 300, "cm");
    }

    public static Centimetres of(double value) {
        return new Centimetres(value);
    }

    @Override
    public int compareTo(Centimetres other) {
        return Double.compare(value, other.value);
    }

    @Override
    public String toString() {
        return value + " cm";
    }
}
