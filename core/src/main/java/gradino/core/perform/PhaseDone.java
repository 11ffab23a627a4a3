package gradino.core.perform;

import gradino.core.prescribe.block.PhaseKind;
import gradino.core.quantity.OutOfBoundsException;

/** A phase with its planned and its real seconds, 0 to 36,000, by the device's clock. */
public record PhaseDone(PhaseKind kind, double plannedSeconds, double doneSeconds) {
    public PhaseDone {
        OutOfBoundsException.require("plannedSeconds", plannedSeconds, 0, 36_000, "s");
        OutOfBoundsException.require("doneSeconds", doneSeconds, 0, 36_000, "s");
    }

    /** Nobody lifts a limb and lets it down quicker (house rule). */
    private static final double SHORTEST_REPETITION_SECONDS = 0.5;

    /** Somebody tapped it, or it was played through. */
    public boolean wasDone() {
        return doneSeconds >= Math.min(SHORTEST_REPETITION_SECONDS, plannedSeconds);
    }

    /** A repetition that was tapped away: nobody can have done it. */
    public boolean wasTappedAway() {
        return kind.isRepetition() && doneSeconds > 0 && !wasDone();
    }

    /**
     * Counted part, in planned seconds: a second too long never makes up for one missing; what is a repetition counts whole once
     * it was done.
     */
    public double counted() {
        return kind.isRepetition() && wasDone() ? plannedSeconds : Math.min(doneSeconds, plannedSeconds);
    }
}
