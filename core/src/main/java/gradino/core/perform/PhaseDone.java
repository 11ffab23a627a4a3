package gradino.core.perform;

import gradino.core.prescribe.PhaseKind;
import gradino.core.quantity.OutOfBoundsException;

/** A phase with its planned and its real seconds, 0 to 36,000, by the device's clock. */
public record PhaseDone(PhaseKind kind, double plannedSeconds, double doneSeconds) {
    public PhaseDone {
        OutOfBoundsException.require("plannedSeconds", plannedSeconds, 0, 36_000, "s");
        OutOfBoundsException.require("doneSeconds", doneSeconds, 0, 36_000, "s");
    }

    /** Counted part: a second too long never makes up for one missing. */
    public double counted() {
        return Math.min(doneSeconds, plannedSeconds);
    }
}
