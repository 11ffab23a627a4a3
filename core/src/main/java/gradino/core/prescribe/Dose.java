package gradino.core.prescribe;

import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.OutOfBoundsException;

/**
 * What one side of a line does now: its rung.
 *
 * <p>The bounds here are what a number can be at all; what is sensible is judged by {@link PlanCheck}.
 *
 * @param angle working angle from the position's zero
 * @param supportedHoldSeconds 0 to 3600
 * @param sets 0 to 20
 * @param ceiling highest effort of the ramps
 * @param topHoldSeconds on the top tread of the press, 0 to 600
 * @param handsOffSeconds a repetition of the hands-off hold, 0 to 600; 0 for no such block
 * @param handsOffRepetitions 0 to 20
 */
public record Dose(
        Degrees angle,
        int supportedHoldSeconds,
        int sets,
        EffortPercent ceiling,
        int topHoldSeconds,
        int handsOffSeconds,
        int handsOffRepetitions) {
    static final int MOST_SETS = 20;

    public Dose {
        OutOfBoundsException.require("supportedHoldSeconds", supportedHoldSeconds, 0, 3600, "s");
        OutOfBoundsException.require("sets", sets, 0, MOST_SETS, "");
        OutOfBoundsException.require("topHoldSeconds", topHoldSeconds, 0, 600, "s");
        OutOfBoundsException.require("handsOffSeconds", handsOffSeconds, 0, 600, "s");
        OutOfBoundsException.require("handsOffRepetitions", handsOffRepetitions, 0, 20, "");
    }

    public Dose withAngle(Degrees to) {
        return new Dose(to, supportedHoldSeconds, sets, ceiling, topHoldSeconds, handsOffSeconds, handsOffRepetitions);
    }

    public Dose withSupportedHold(int to) {
        return new Dose(angle, to, sets, ceiling, topHoldSeconds, handsOffSeconds, handsOffRepetitions);
    }

    public Dose withSets(int to) {
        return new Dose(angle, supportedHoldSeconds, to, ceiling, topHoldSeconds, handsOffSeconds, handsOffRepetitions);
    }

    public Dose withCeiling(EffortPercent to) {
        return new Dose(angle, supportedHoldSeconds, sets, to, topHoldSeconds, handsOffSeconds, handsOffRepetitions);
    }

    public Dose withTopHold(int to) {
        return new Dose(angle, supportedHoldSeconds, sets, ceiling, to, handsOffSeconds, handsOffRepetitions);
    }

    public Dose withHandsOff(int repetitions, int seconds) {
        return new Dose(angle, supportedHoldSeconds, sets, ceiling, topHoldSeconds, seconds, repetitions);
    }

    public boolean hasHandsOff() {
        return handsOffSeconds > 0 && handsOffRepetitions > 0;
    }

    /** Whether the work is the same whatever the sides' own angles are. */
    public boolean sameWorkAs(Dose other) {
        return withAngle(other.angle).equals(other);
    }
}
