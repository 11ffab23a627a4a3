package gradino.core.measure.reading;

import gradino.core.body.Position.TapeFormulaId;
import gradino.core.body.Segment;
import gradino.core.measure.reading.Tape.BodyLength;
import gradino.core.measure.reading.Tape.DoesNotFitException;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The geometry behind a tape formula (trigonometry, no source needed). Angles in degrees, lengths in cm, c = 180/π.
 * Slopes are the sizes of the partial derivatives, degrees a centimetre.
 */
sealed interface TapeShape {
    double DEGREES_PER_RADIAN = 180 / Math.PI;
    /** Beyond this share of the largest sine, a small error of the tape is a large one of the angle. */
    double NEAR_LIMIT_SHARE = 0.9;
    /** Keeps the slopes finite at the very limit. */
    double LEAST_COSINE = 0.01;

    static TapeShape of(TapeFormulaId formula) {
        return switch (formula) {
            case FOOT_RISE -> new Sine(Segment.SHANK, 1, 1, true, null, 0);
            case FOOT_SIDEWAYS -> new Sine(Segment.SHANK, 1, 1, false, null, 0);
            case HEEL_RISE, LEG_OUT -> new Sine(Segment.LEG, 1, 1, false, null, 0);
            case STRADDLE_TOTAL -> new Sine(Segment.LEG, 2, 2, false, null, 0);
            case STRADDLE_EACH -> new Sine(Segment.LEG, 2, 1, false, Segment.HIP_CENTRES, -1);
            case TOE_WALL -> new Sine(Segment.SHANK, 1, 1, false, Segment.TOE_TO_ANKLE, 1);
            case KNEE_FOLD -> new Fold();
        };
    }

    List<Segment> needs();

    boolean start();

    boolean growsWithReading();

    void require(double reading, double start, Map<Segment, BodyLength> body);

    double degrees(double reading, double start, Map<Segment, BodyLength> body);

    double readingSlope(double reading, double start, Map<Segment, BodyLength> body);

    double bodySlope(Segment segment, double reading, double start, Map<Segment, BodyLength> body);

    boolean nearLimit(double reading, double start, Map<Segment, BodyLength> body);

    double readingFor(double degrees, double start, Map<Segment, BodyLength> body);

    private static double cm(Map<Segment, BodyLength> body, Segment segment) {
        return Objects.requireNonNull(body.get(segment), segment.words()).cm();
    }

    /**
     * θ = times·asin(y / (span·L)), y = reading − start + sign·offset.
     *
     * @param side L
     * @param span L's multiple across: 2 where two legs stand apart
     * @param times 2 where the angle of both legs is wanted
     * @param start whether a reading at the zero is taken off
     * @param offset a body length added to the reading; null for none
     */
    record Sine(
            Segment side,
            int span,
            int times,
            boolean start,
            @Nullable Segment offset,
            int sign) implements TapeShape {

        @Override
        public List<Segment> needs() {
            return Stream.of(side, offset).filter(Objects::nonNull).toList();
        }

        @Override
        public boolean growsWithReading() {
            return true;
        }

        @Override
        public void require(double reading, double start, Map<Segment, BodyLength> body) {
            double across = across(reading, start, body);
            if (!(hypotenuse(body) > 0) || !(Math.abs(across) <= hypotenuse(body))) {
                throw new DoesNotFitException("%.1f cm across does not fit %s%.1f cm, %s: measure both again"
                        .formatted(across, span == 2 ? "twice " : "", cm(body, side), side.words()));
            }
        }

        @Override
        public double degrees(double reading, double start, Map<Segment, BodyLength> body) {
            return times * Math.asin(across(reading, start, body) / hypotenuse(body)) * DEGREES_PER_RADIAN;
        }

        @Override
        public double readingSlope(double reading, double start, Map<Segment, BodyLength> body) {
            return times * DEGREES_PER_RADIAN / leg(reading, start, body);
        }

        @Override
        public double bodySlope(Segment segment, double reading, double start, Map<Segment, BodyLength> body) {
            double slope = readingSlope(reading, start, body);
            return segment == side ? slope * Math.abs(across(reading, start, body)) / cm(body, side) : slope;
        }

        @Override
        public boolean nearLimit(double reading, double start, Map<Segment, BodyLength> body) {
            return Math.abs(across(reading, start, body)) > NEAR_LIMIT_SHARE * hypotenuse(body);
        }

        @Override
        public double readingFor(double degrees, double start, Map<Segment, BodyLength> body) {
            if (!(Math.abs(degrees / times) <= 90)) {
                throw new DoesNotFitException(
                        "%.1f° is more than this tape can show: at most %d°".formatted(degrees, 90 * times));
            }
            double across = hypotenuse(body) * Math.sin(degrees / times / DEGREES_PER_RADIAN);
            return across + start - shift(body);
        }

        private double across(double reading, double start, Map<Segment, BodyLength> body) {
            return reading - start + shift(body);
        }

        private double shift(Map<Segment, BodyLength> body) {
            return offset == null ? 0 : sign * cm(body, offset);
        }

        private double hypotenuse(Map<Segment, BodyLength> body) {
            return span * cm(body, side);
        }

        private double leg(double reading, double start, Map<Segment, BodyLength> body) {
            double across = across(reading, start, body);
            double whole = hypotenuse(body);
            return Math.max(Math.sqrt(whole * whole - across * across), LEAST_COSINE * whole);
        }
    }

    /** Knee flexion from heel–buttock distance d, thigh a, shank b: θ = 180° − acos(q), q = (a² + b² − d²)/2ab. */
    record Fold() implements TapeShape {

        @Override
        public List<Segment> needs() {
            return List.of(Segment.THIGH, Segment.SHANK);
        }

        @Override
        public boolean start() {
            return false;
        }

        @Override
        public boolean growsWithReading() {
            return false;
        }

        @Override
        public void require(double reading, double start, Map<Segment, BodyLength> body) {
            double a = cm(body, Segment.THIGH);
            double b = cm(body, Segment.SHANK);
            if (!(a > 0 && b > 0 && reading <= a + b && reading >= Math.abs(a - b))) {
                throw new DoesNotFitException(
                        "%.1f cm from heel to buttock does not fit a thigh of %.1f cm and a shank of %.1f cm: measure again"
                                .formatted(reading, a, b));
            }
        }

        @Override
        public double degrees(double reading, double start, Map<Segment, BodyLength> body) {
            return 180 - Math.acos(cosine(reading, body)) * DEGREES_PER_RADIAN;
        }

        @Override
        public double readingSlope(double reading, double start, Map<Segment, BodyLength> body) {
            return perCosine(reading, body) * reading / (cm(body, Segment.THIGH) * cm(body, Segment.SHANK));
        }

        @Override
        public double bodySlope(Segment segment, double reading, double start, Map<Segment, BodyLength> body) {
            var other = segment == Segment.THIGH ? Segment.SHANK : Segment.THIGH;
            double slope = 1 / cm(body, other) - cosine(reading, body) / cm(body, segment);
            return perCosine(reading, body) * Math.abs(slope);
        }

        @Override
        public boolean nearLimit(double reading, double start, Map<Segment, BodyLength> body) {
            double q = cosine(reading, body);
            return q * q > NEAR_LIMIT_SHARE;
        }

        @Override
        public double readingFor(double degrees, double start, Map<Segment, BodyLength> body) {
            if (!(degrees >= 0 && degrees <= 180)) {
                throw new DoesNotFitException("%.1f° is no bend of a knee".formatted(degrees));
            }
            double a = cm(body, Segment.THIGH);
            double b = cm(body, Segment.SHANK);
            return Math.sqrt(Math.max(0, a * a + b * b + 2 * a * b * Math.cos(degrees / DEGREES_PER_RADIAN)));
        }

        private static double cosine(double reading, Map<Segment, BodyLength> body) {
            double a = cm(body, Segment.THIGH);
            double b = cm(body, Segment.SHANK);
            return Math.max(-1, Math.min(1, (a * a + b * b - reading * reading) / (2 * a * b)));
        }

        private static double perCosine(double reading, Map<Segment, BodyLength> body) {
            double q = cosine(reading, body);
            return DEGREES_PER_RADIAN / Math.max(Math.sqrt(1 - q * q), LEAST_COSINE);
        }
    }
}
