package gradino.core.quantity;

import org.jspecify.annotations.Nullable;

/** A number that cannot be what it is said to be. Carries what a form needs to say so beside its field. */
public final class OutOfBoundsException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private final String quantity;
    private final double lower;
    private final double upper;
    private final String unit;

    OutOfBoundsException(String quantity, double value, double lower, double upper, String unit) {
        super("%s must lie between %s and %s %s, was %s"
                .formatted(words(quantity), plain(lower), plain(upper), unit, plain(value))
                .replace(" ,", ","));
        this.quantity = quantity;
        this.lower = lower;
        this.upper = upper;
        this.unit = unit;
    }

    /** As {@link #require}, where there may be none. */
    public static void requireIfAny(String quantity, @Nullable Double value, double lower, double upper, String unit) {
        if (value != null) {
            require(quantity, value, lower, upper, unit);
        }
    }

    /**
     * The only door for a bounded number. NaN fails the comparison and is refused with the rest.
     *
     * @return {@code value}, when {@code lower <= value <= upper}
     */
    public static double require(String quantity, double value, double lower, double upper, String unit) {
        if (!(value >= lower && value <= upper)) {
            throw new OutOfBoundsException(quantity, value, lower, upper, unit);
        }
        return value;
    }

    /** As {@link #require(String, double, double, double, String)} for counts and whole seconds. */
    public static int require(String quantity, int value, int lower, int upper, String unit) {
        return (int) require(quantity, (double) value, lower, upper, unit);
    }

    public String quantity() {
        return quantity;
    }

    public double lower() {
        return lower;
    }

    public double upper() {
        return upper;
    }

    public String unit() {
        return unit;
    }

    /** supportedHoldSeconds → supported hold seconds: a part's name is said in words and kept as the path to its field. */
    private static String words(String name) {
        return name.replaceAll("([a-z])([A-Z])", "$1 $2").toLowerCase(java.util.Locale.ROOT);
    }

    private static String plain(double bound) {
        return Double.isFinite(bound) && bound == Math.rint(bound)
                ? Long.toString((long) bound)
                : Double.toString(bound);
    }
}
