package gradino.core.perform;

import gradino.core.body.Side;
import gradino.core.effort.TraceAnalysis;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.quantity.OutOfBoundsException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a gauge says of the effort in one block: by it, where there is one, effort is judged instead of by self-rating.
 *
 * @param within share of the time within ± 10 points, over the steps below 90 %, 0 to 1; null when there are none
 * @param nearMaxPeak weakest of the best seconds within 3 s over the steps of 90 % and more, %; null when there are none
 */
public record MeasuredEffort(
        BlockId blockId,
        Side side,
        @Nullable Double within,
        @Nullable Double nearMaxPeak) {
    public MeasuredEffort {
        OutOfBoundsException.requireIfAny("share of the time on target", within, 0, 1, "");
        OutOfBoundsException.requireIfAny("best second", nearMaxPeak, 0, 1000, "%");
    }

    /** From here on reaching the effort is judged, and fading is only reported (house rule). */
    public static final double NEAR_MAX_PERCENT = 90;

    /** With less of the block heard, its self-rating says more (house rule). */
    private static final double LEAST_HEARD = 0.9;

    /** What is done in the middle is of both sides. */
    public boolean isOf(Side of) {
        return side == of || side == Side.MIDLINE;
    }

    /** Empty when the gauge did not hear enough of the block, or nothing was asked in it. */
    public static Optional<MeasuredEffort> of(BlockId blockId, Side side, TraceAnalysis analysis) {
        if (analysis.measured() < LEAST_HEARD || analysis.steps().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new MeasuredEffort(blockId, side, within(analysis), nearMaxPeak(analysis)));
    }

    /** Weighted by time: a long step counts for more than a short one. */
    private static @Nullable Double within(TraceAnalysis analysis) {
        double seconds = 0;
        double on = 0;
        for (var step : analysis.steps()) {
            if (step.asked() < NEAR_MAX_PERCENT) {
                seconds += step.seconds();
                on += step.within() * step.seconds();
            }
        }
        return seconds > 0 ? on / seconds : null;
    }

    /** A step too short for a whole second was not reached. */
    private static @Nullable Double nearMaxPeak(TraceAnalysis analysis) {
        Double weakest = null;
        for (var step : analysis.steps()) {
            if (step.asked() >= NEAR_MAX_PERCENT) {
                double peak = step.peakSecond() == null ? 0 : step.peakSecond();
                weakest = weakest == null ? peak : Math.min(weakest, peak);
            }
        }
        return weakest;
    }
}
