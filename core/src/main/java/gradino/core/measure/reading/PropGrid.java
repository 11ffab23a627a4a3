package gradino.core.measure.reading;

import gradino.core.body.Position.TapeFormulaId;
import gradino.core.body.Segment;
import gradino.core.measure.reading.Tape.BodyLength;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.OutOfBoundsException;
import java.util.Map;

/** The angles that a client's props can give. Always rounds down: never past what was allowed. */
public sealed interface PropGrid {
    /** Keeps an angle that lies exactly on the grid from falling a step for a rounding error in the last bit. */
    double ROUNDING_SLACK = 1e-9;

    Degrees roundDown(Degrees angle);

    /** A strap or a hand: any multiple of {@code stepDegrees}, over 0 to 45. */
    record AngleStep(double stepDegrees) implements PropGrid {
        public AngleStep {
            OutOfBoundsException.require("angle step", stepDegrees, 0.1, 45, "°");
        }

        @Override
        public Degrees roundDown(Degrees angle) {
            return Degrees.of(Math.floor(angle.value() / stepDegrees + ROUNDING_SLACK) * stepDegrees);
        }
    }

    /**
     * Blocks under the foot of a shank that lies flat: heights in multiples of {@code step}.
     */
    record Blocks(Centimetres shank, Centimetres step) implements PropGrid {
        public Blocks {
            OutOfBoundsException.require("shank", shank.value(), 10, 80, "cm");
            OutOfBoundsException.require("block step", step.value(), 0.1, 20, "cm");
        }

        /** Height of the stack above the foot's start for an angle, cm, rounded down to what the blocks give. */
        public Centimetres height(Degrees angle) {
            return Centimetres.of(solved(angle).readingCm());
        }

        @Override
        public Degrees roundDown(Degrees angle) {
            return angle.value() <= 0
                    ? Degrees.of(Math.floor(angle.value()))
                    : solved(angle).reached().value();
        }

        private Tape.Solved solved(Degrees angle) {
            var above = Degrees.of(Math.max(0, Math.min(90, angle.value())));
            return Tape.solve(
                    TapeFormulaId.FOOT_RISE, above, 0, Map.of(Segment.SHANK, BodyLength.measured(shank)), step.value());
        }
    }
}
