package gradino.core.quantity;

/**
 * An angle with its standard uncertainty, both in degrees.
 *
 * <p>Source: JCGM 100:2008 (GUM): expanded uncertainty U = k·u with k = 2, about 95 %.
 *
 * @param standardUncertainty u ≥ 0, finite
 */
public record UncertainAngle(Degrees value, double standardUncertainty) {
    /** Normal quantile for a two-sided 95 % interval (standard tables). */
    public static final double Z_95_TWO_SIDED = 1.959964;

    public UncertainAngle {
        OutOfBoundsException.require("standard uncertainty", standardUncertainty, 0, 1000, "°");
    }

    public static UncertainAngle of(double degrees, double standardUncertainty) {
        return new UncertainAngle(Degrees.of(degrees), standardUncertainty);
    }

    /** The same angle with a further, independent uncertainty. */
    public UncertainAngle with(double furtherUncertainty) {
        return new UncertainAngle(value, Math.hypot(standardUncertainty, furtherUncertainty));
    }

    /** ± 2u, in degrees. */
    public double expanded() {
        return 2 * standardUncertainty;
    }

    public double lower95() {
        return value.value() - Z_95_TWO_SIDED * standardUncertainty;
    }

    public double upper95() {
        return value.value() + Z_95_TWO_SIDED * standardUncertainty;
    }

    /** Difference of two independent angles; never for two readings of one filter. */
    public UncertainAngle minusIndependent(UncertainAngle other) {
        return of(value.minus(other.value), Math.hypot(standardUncertainty, other.standardUncertainty));
    }
}
