package gradino.core.effort;

import gradino.core.quantity.OutOfBoundsException;

/**
 * An elastic band as a straight line: force grows with its length beyond the slack one (common practice, no source; a real
 * band is measured at two lengths).
 *
 * @param slackCm length at which it begins to pull, 1 to 500
 * @param newtonsPerCm 0.01 to 100
 */
public record Band(double slackCm, double newtonsPerCm) {
    public Band {
        OutOfBoundsException.require("slackCm", slackCm, 1, 500, "cm");
        OutOfBoundsException.require("newtonsPerCm", newtonsPerCm, 0.01, 100, "N/cm");
    }

    /**
     * From two readings with a scale: force at two lengths, the longer one pulling harder.
     *
     * @throws OutOfBoundsException when no such band can be
     */
    public static Band through(double cm1, double newtons1, double cm2, double newtons2) {
        OutOfBoundsException.require("second length", cm2, cm1 + 0.1, 1000, "cm");
        double slope = (newtons2 - newtons1) / (cm2 - cm1);
        return new Band(cm1 - newtons1 / slope, slope);
    }

    public double newtons(double lengthCm) {
        return Math.max(0, (lengthCm - slackCm) * newtonsPerCm);
    }

    /** The length that gives a force. */
    public double lengthFor(double newtons) {
        return slackCm + newtons / newtonsPerCm;
    }
}
