package gradino.core.quantity;

/**
 * An angle from a position's declared zero, in degrees, −180 to 360. Negative when the limb does not reach the zero.
 * Radians live only inside the geometry.
 */
public record Degrees(double value) implements Comparable<Degrees> {

    public Degrees {
        OutOfBoundsException.require("angle", value, -180, 360, "°");
    }

    public static Degrees of(double value) {
        return new Degrees(value);
    }

    public Degrees plus(double degrees) {
        return new Degrees(value + degrees);
    }

    /** Difference {@code this − other}, in degrees. */
    public double minus(Degrees other) {
        return value - other.value;
    }

    @Override
    public int compareTo(Degrees other) {
        return Double.compare(value, other.value);
    }

    @Override
    public String toString() {
        return value + "°";
    }
}
