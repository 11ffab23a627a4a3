package gradino.core.prescribe.program;

import gradino.core.prescribe.timeline.Totals;

/**
 * What a line comes to in a week.
 *
 * @param sessions 1 to 14
 * @param minutes whole, rounded up, with set-up and side change
 * @param leftTensionSeconds under tension on the left; what is done in the middle counts for both sides
 * @param rightTensionSeconds the same on the right
 * @param leftImpulse contraction impulse, %·s
 * @param rightImpulse the same on the right
 */
public record WeeklyDose(
        int sessions,
        int minutes,
        int leftTensionSeconds,
        int rightTensionSeconds,
        double leftImpulse,
        double rightImpulse) {
    private static final int SECONDS_PER_MINUTE = 60;

    /** @param sessions of the line a week; a number out of bounds is a finding elsewhere and counts as the nearest bound */
    public static WeeklyDose of(Totals once, int sessions) {
        int times = Math.max(1, Math.min(SessionCheck.MOST_A_WEEK, sessions));
        var left = once.sides().left();
        var right = once.sides().right();
        return new WeeklyDose(
                times,
                (once.seconds() * times + SECONDS_PER_MINUTE - 1) / SECONDS_PER_MINUTE,
                times * left.tensionSeconds(),
                times * right.tensionSeconds(),
                times * left.impulse(),
                times * right.impulse());
    }
}
