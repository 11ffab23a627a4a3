package gradino.core.prescribe.block;

import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.OutOfBoundsException;

/** One tread of a ramp: an effort kept for whole seconds, 1 to 600. */
public record EffortStep(EffortPercent effort, int seconds) {
    public EffortStep {
        OutOfBoundsException.require("seconds", seconds, 1, 600, "s");
    }
}
