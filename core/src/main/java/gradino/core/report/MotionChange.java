package gradino.core.report;

import gradino.core.measure.noise.Mode;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How one side of a motion changed.
 *
 * @param passive null without two readings
 * @param active null without two readings
 * @param handsOff null without two readings
 * @param gap of passive and active range, when both were measured on the same two days; null otherwise
 * @param now estimate of the passive range, else of the active one, at the end of the period with its 95 % band; null when never measured
 * @param goal null where the goal names no degrees of this motion
 * @param tested which range stands for this motion and side in the family of tests; null where another position does, or none
 * @param holds whether it still counts as changed with all of the family looked at together
 */
public record MotionChange(
        MotionSide of,
        @Nullable Pair passive,
        @Nullable Pair active,
        @Nullable Pair handsOff,
        @Nullable GapChange gap,
        @Nullable Estimated now,
        @Nullable GoalReach goal,
        @Nullable Mode tested,
        boolean holds,
        List<Missing> missing) {
    public MotionChange {
        missing = List.copyOf(missing);
    }

    /** A range with its 95 % band, degrees. */
    public record Estimated(Mode mode, double degrees, double lower, double upper) {}

    /** Passive − active, then and now. */
    public record GapChange(double from, double to, Difference change) {}

    /** The change that stands for it in the family, else the first there is. */
    @Nullable
    Pair main() {
        return passive != null ? passive : active;
    }

    MotionChange judged(@Nullable Mode asTested, double threshold) {
        var pair = main();
        boolean kept = asTested != null && pair != null && pair.change().p() <= threshold;
        return new MotionChange(of, passive, active, handsOff, gap, now, goal, asTested, kept, missing);
    }
}
