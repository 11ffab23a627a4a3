package gradino.core.measure;

import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.OutOfBoundsException;

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
            double wanted = Math.max(0, Tape.acrossFor(angle, shank));
            return Centimetres.of(Math.floor(wanted / step.value() + ROUNDING_SLACK) * step.value());
        }

        @Override
        public Degrees roundDown(Degrees angle) {
            if (angle.value() <= 0) {
                return Degrees.of(Math.floor(angle.value()));
            }
            var measured = Tape.BodyLength.measured(shank);
            return Tape.footRise(height(angle), Centimetres.of(0), measured)
                    .angle()
                    .value();
        }
    }
}
