package gradino.core.measure;

import gradino.core.body.Position.TapeFormulaId;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.UncertainAngle;

/**
 * Degrees from a tape, and back: θ = asin(x / L).
 *
 * <p>Shank lying flat: x = foot height h1 − start height h0. Shank hanging or standing: x = sideways foot distance d.
 * Uncertainty by first-order propagation (JCGM 100:2008, 5.1.2): ∂θ/∂x = c/√(L²−x²), ∂θ/∂L = −c·x/(L√(L²−x²)),
 * c = 180/π. Valid for |x| ≤ L; near the limit the sensitivity grows without bound and {@link #nearLimit} says so.
 *
 * @param x the length across, in centimetres; negative when the foot stays below its start
 * @param readings how many tape readings make up x: 2 for h1 − h0, 1 for d
 */
public record Tape(TapeFormulaId formula, double x, int readings, BodyLength shank) {
    /** Standard uncertainty of one tape reading, cm (house rule). */
    public static final double READING_U_CM = 0.5;

    private static final double DEGREES_PER_RADIAN = 180 / Math.PI;
    private static final double NEAR_LIMIT_SHARE = 0.9;

    /**
     * A length of the body with its standard uncertainty in centimetres: 0.5 when measured, 5 % when taken from stature
     * (house rules).
     */
    public record BodyLength(Centimetres length, double standardUncertainty) {
        public static BodyLength measured(Centimetres length) {
            return new BodyLength(length, 0.5);
        }

        public static BodyLength fromStature(Centimetres length) {
            return new BodyLength(length, 0.05 * length.value());
        }
    }

    /** Two numbers that disagree: the foot cannot be further away than the shank is long. */
    public static final class DoesNotFitException extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;

        DoesNotFitException(double x, double shank) {
            super("%.1f cm across does not fit a shank of %.1f cm: measure both again".formatted(x, shank));
        }
    }

    public Tape {
        if (!(shank.length().value() > 0) || !(Math.abs(x) <= shank.length().value())) {
            throw new DoesNotFitException(x, shank.length().value());
        }
    }

    public static Tape footRise(Centimetres foot, Centimetres start, BodyLength shank) {
        return new Tape(TapeFormulaId.FOOT_RISE, foot.value() - start.value(), 2, shank);
    }

    public static Tape footSideways(Centimetres distance, BodyLength shank) {
        return new Tape(TapeFormulaId.FOOT_SIDEWAYS, distance.value(), 1, shank);
    }

    /** The angle with the uncertainty of tape and body length together, independent and first order. */
    public UncertainAngle angle() {
        return angle(READING_U_CM);
    }

    /** As {@link #angle()} with another standard uncertainty for a tape reading, in centimetres. */
    public UncertainAngle angle(double readingU) {
        return UncertainAngle.of(degrees(), Math.hypot(readingPart(readingU), lengthPart()));
    }

    public boolean nearLimit() {
        return Math.abs(x) > NEAR_LIMIT_SHARE * shank.length().value();
    }

    /** Length across that gives {@code angle}: the inverse, x = L·sin θ, in centimetres. */
    public static double acrossFor(Degrees angle, Centimetres shank) {
        return shank.value() * Math.sin(angle.value() / DEGREES_PER_RADIAN);
    }

    private double degrees() {
        return Math.asin(x / shank.length().value()) * DEGREES_PER_RADIAN;
    }

    private double readingPart(double readingU) {
        return DEGREES_PER_RADIAN / leg() * readingU * Math.sqrt(readings);
    }

    private double lengthPart() {
        return DEGREES_PER_RADIAN * Math.abs(x) / (shank.length().value() * leg()) * shank.standardUncertainty();
    }

    /** √(L²−x²), kept above a hundredth of the shank so that the bound stays finite at the very limit. */
    private double leg() {
        double length = shank.length().value();
        return Math.max(Math.sqrt(length * length - x * x), 0.01 * length);
    }
}
