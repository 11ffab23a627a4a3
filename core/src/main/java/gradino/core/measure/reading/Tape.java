package gradino.core.measure.reading;

import gradino.core.body.Position.TapeFormulaId;
import gradino.core.body.Segment;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.UncertainAngle;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Degrees from a tape, and back: one reading in centimetres with the body lengths its formula needs. The formulas are
 * {@link TapeShape}'s.
 *
 * <p>Uncertainty by first-order propagation of independent inputs (JCGM 100:2008, 5.1.2). A body length's error is common
 * to all readings with it: it counts in the value ({@link #angle}), not again in a change ({@link #readingUncertainty}).
 *
 * @param reading what the tape shows, cm
 * @param startCm reading at the zero; 0 where the formula has none
 * @param body the lengths of {@link #needs}
 */
public record Tape(TapeFormulaId formula, double reading, double startCm, Map<Segment, BodyLength> body) {
    /** Standard uncertainty of one tape reading, cm (house rule). */
    public static final double READING_U_CM = 0.5;

    private static final double LONGEST_CM = 300;
    private static final double SLACK = 1e-9;
    private static final double STATURE_U_SHARE = 0.05;

    /**
     * A length of the body with its standard uncertainty in centimetres: 0.5 when measured, 5 % when taken from stature
     * (house rules).
     */
    public record BodyLength(Centimetres length, double standardUncertainty) {
        public BodyLength {
            OutOfBoundsException.require("uncertainty of a length", standardUncertainty, 0, 50, "cm");
        }

        public static BodyLength measured(Centimetres length) {
            return new BodyLength(length, READING_U_CM);
        }

        public static BodyLength fromStature(Centimetres length) {
            return new BodyLength(length, STATURE_U_SHARE * length.value());
        }

        double cm() {
            return length.value();
        }
    }

    /** Two numbers that disagree: no such body can give this reading. */
    public static final class DoesNotFitException extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;

        DoesNotFitException(String message) {
            super(message);
        }
    }

    /**
     * A reading to set a prop to.
     *
     * @param readingCm rounded so that the angle is not passed
     * @param reached the angle it gives, which is what is stored
     */
    public record Solved(double readingCm, UncertainAngle reached) {
        public Solved {
            OutOfBoundsException.require("tape reading", readingCm, 0, LONGEST_CM, "cm");
        }
    }

    /** The prop gives no angle up to the wanted one, or does not go as far. */
    public static final class NotGivenException extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;
        private final transient Solved nearest;

        NotGivenException(Degrees wanted, Solved nearest) {
            super("This prop does not give %s: the nearest is %.1f° at %.1f cm."
                    .formatted(wanted, nearest.reached().value().value(), nearest.readingCm()));
            this.nearest = nearest;
        }

        public Solved nearest() {
            return nearest;
        }
    }

    public Tape {
        body = Map.copyOf(body);
        OutOfBoundsException.require("tape reading", reading, 0, LONGEST_CM, "cm");
        OutOfBoundsException.require("reading at zero", startCm, 0, 300, "cm");
        for (var segment : TapeShape.of(formula).needs()) {
            if (!body.containsKey(segment)) {
                throw new IllegalArgumentException(segment + " is needed for " + formula);
            }
        }
        TapeShape.of(formula).require(reading, startCm, body);
    }

    /** Body lengths that a formula needs, in the order to ask for them. */
    public static List<Segment> needs(TapeFormulaId formula) {
        return TapeShape.of(formula).needs();
    }

    /** Whether a second reading, at the zero, is taken off. */
    public static boolean hasStart(TapeFormulaId formula) {
        return TapeShape.of(formula).start();
    }

    /** The angle with the uncertainty of tape and body lengths together. */
    public UncertainAngle angle() {
        return angle(READING_U_CM);
    }

    /** As {@link #angle()} with another standard uncertainty for a tape reading, in centimetres. */
    public UncertainAngle angle(double readingU) {
        return UncertainAngle.of(
                shape().degrees(reading, startCm, body), Math.hypot(readingUncertainty(readingU), bodyUncertainty()));
    }

    /** The tape's share of the uncertainty, degrees: what differs from one reading to the next. */
    public double readingUncertainty(double readingU) {
        return shape().readingSlope(reading, startCm, body) * readingU * Math.sqrt(shape().start() ? 2 : 1);
    }

    /** The body lengths' share of the uncertainty, degrees: common to all readings with them. */
    public double bodyUncertainty() {
        double squares = 0;
        for (var segment : shape().needs()) {
            var length = Objects.requireNonNull(body.get(segment));
            double part = shape().bodySlope(segment, reading, startCm, body) * length.standardUncertainty();
            squares += part * part;
        }
        return Math.sqrt(squares);
    }

    /** Whether a small error of the tape is a large one of the angle here. */
    public boolean nearLimit() {
        return shape().nearLimit(reading, startCm, body);
    }

    /**
     * The inverse: what the tape shows at {@code angle}, cm.
     *
     * @throws DoesNotFitException when the formula cannot give the angle
     */
    public static double readingFor(
            TapeFormulaId formula, Degrees angle, double startCm, Map<Segment, BodyLength> body) {
        OutOfBoundsException.require("reading at zero", startCm, 0, LONGEST_CM, "cm");
        return TapeShape.of(formula).readingFor(angle.value(), startCm, body);
    }

    /**
     * The inverse on props that come in steps: rounded so that the wanted angle is never passed.
     *
     * @param stepCm of the prop, 0.1 to 20
     * @throws NotGivenException with the nearest angle that it gives, where none is as little, or as much, as wanted
     */
    public static Solved solve(
            TapeFormulaId formula, Degrees wanted, double startCm, Map<Segment, BodyLength> body, double stepCm) {
        OutOfBoundsException.require("prop step", stepCm, 0.1, 20, "cm");
        var shape = TapeShape.of(formula);
        double exact;
        try {
            exact = readingFor(formula, wanted, startCm, body);
        } catch (DoesNotFitException beyondWhatABodyCan) {
            throw notGiven(formula, wanted, startCm, body, stepCm);
        }
        double steps = exact / stepCm;
        double whole = shape.growsWithReading() ? Math.floor(steps + SLACK) : Math.ceil(steps - SLACK);
        return at(formula, whole * stepCm, startCm, body)
                .filter(solved -> solved.reached().value().minus(wanted) <= SLACK)
                .orElseThrow(() -> notGiven(formula, wanted, startCm, body, stepCm));
    }

    private static Optional<Solved> at(
            TapeFormulaId formula, double reading, double startCm, Map<Segment, BodyLength> body) {
        try {
            return Optional.of(new Solved(reading, new Tape(formula, reading, startCm, body).angle()));
        } catch (DoesNotFitException | OutOfBoundsException noSuchReading) {
            return Optional.empty();
        }
    }

    private static NotGivenException notGiven(
            TapeFormulaId formula, Degrees wanted, double startCm, Map<Segment, BodyLength> body, double stepCm) {
        return IntStream.rangeClosed(0, (int) (LONGEST_CM / stepCm))
                .mapToObj(k -> at(formula, k * stepCm, startCm, body))
                .flatMap(Optional::stream)
                .min(Comparator.comparingDouble(
                        s -> Math.abs(s.reached().value().minus(wanted))))
                .map(nearest -> new NotGivenException(wanted, nearest))
                .orElseThrow(() -> new DoesNotFitException("No reading of this tape gives an angle on this body."));
    }

    private TapeShape shape() {
        return TapeShape.of(formula);
    }
}
