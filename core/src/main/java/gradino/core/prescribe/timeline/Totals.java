package gradino.core.prescribe.timeline;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.block.Block.Direction;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.BreathPhase;
import gradino.core.quantity.EffortPercent;

/**
 * What a timeline amounts to. What is done in the middle counts for both sides.
 *
 * @param seconds whole length, with set-up and side change
 * @param peak highest effort asked
 * @param effortClass class by that peak
 */
public record Totals(int seconds, Sided<SideTotals> sides, EffortPercent peak, EffortClass effortClass) {

    /**
     * One side's share.
     *
     * @param pressSeconds time under tension pushing out of the range
     * @param pullSeconds time under tension pulling into it, hands-off holds and lifts included
     * @param holdSeconds supported hold
     * @param impulse contraction impulse ∫ effort dt, %·s
     * @param breaths begun in the side's time
     */
    public record SideTotals(
            int seconds, int pressSeconds, int pullSeconds, int holdSeconds, double impulse, int breaths) {
        /** Both directions together. */
        public int tensionSeconds() {
            return pressSeconds + pullSeconds;
        }
    }

    /** @param loaded whether something in it is moved under an added load */
    public static Totals of(Timeline timeline, boolean loaded) {
        var peak = timeline.phases().stream()
                .map(Timeline.Phase::effortTo)
                .max(EffortPercent::compareTo)
                .orElse(EffortPercent.of(0));
        return new Totals(
                timeline.seconds(), Sided.of(side -> side(timeline, side)), peak, EffortClass.of(peak, loaded));
    }

    private static SideTotals side(Timeline timeline, Side side) {
        int seconds = 0;
        int press = 0;
        int pull = 0;
        int hold = 0;
        int breaths = 0;
        double impulse = 0;
        for (var phase : timeline.phases()) {
            if (phase.side() == side || phase.side() == Side.MIDLINE) {
                seconds += phase.seconds();
                press += phase.direction() == Direction.PRESS ? phase.seconds() : 0;
                pull += phase.direction() == Direction.PULL ? phase.seconds() : 0;
                hold += phase.block() == BlockKind.SUPPORTED_HOLD ? phase.seconds() : 0;
                breaths += (int) phase.breaths().stream()
                        .filter(m -> m.phase() == BreathPhase.IN)
                        .count();
                impulse += phase.impulse();
            }
        }
        return new SideTotals(seconds, press, pull, hold, impulse, breaths);
    }
}
