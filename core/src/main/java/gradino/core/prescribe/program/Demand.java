package gradino.core.prescribe.program;

import gradino.core.body.Side;
import gradino.core.quantity.Degrees;
import java.util.Optional;

/**
 * What a dose, or a side of a protocol, asks of the body: all that a restriction looks at, wherever it comes from.
 *
 * @param peakEffort highest effort, %
 * @param longestContraction seconds without a pause
 * @param angle working angle
 * @param held working angle before the change; empty for a new line
 * @param lying flat on the back or on the belly
 * @param release whether a tool presses
 * @param at where findings go
 */
record Demand(
        Side side,
        int peakEffort,
        int longestContraction,
        Optional<Degrees> angle,
        Optional<Degrees> held,
        boolean lying,
        boolean release,
        Places at) {

    /** Paths of the input for each kind of finding. */
    record Places(String whole, String effort, String contraction, String angle, String release) {}

    boolean goesDeeper() {
        return angle.isPresent()
                && held.filter(h -> angle.get().compareTo(h) > 0).isPresent();
    }
}
