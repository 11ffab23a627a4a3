package gradino.core.prescribe.timeline;

import gradino.core.body.Side;
import gradino.core.prescribe.block.Block.Direction;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.BreathPhase;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.quantity.EffortPercent;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** A compiled plan: phases without gaps from second 0, so that every second has a side, a cue, an effort and a breath. */
public record Timeline(List<Phase> phases) {
    public Timeline {
        phases = List.copyOf(phases);
    }

    /** From {@code atSecond} of the timeline on, the breath does this. */
    public record BreathMark(int atSecond, BreathPhase phase) {}

    /**
     * One stretch of the timeline with one cue.
     *
     * @param startSecond first second, from the start of the timeline
     * @param endSecond first second after it
     * @param side whose turn it is; during a side change the side that comes
     * @param line id of the line it belongs to; empty where there is only one, and in the warm-up
     * @param place path of the block in the session it was compiled from, as findings name it
     * @param blockId stable within the session
     * @param direction which muscles work; none while nothing is contracted
     * @param contact what is pressed against or lifted off, or the movement that is tested; empty when nothing is
     * @param set 1-based; 0 outside the sets
     * @param count what is counted, 1-based; 0 when nothing is
     */
    public record Phase(
            int startSecond,
            int endSecond,
            Side side,
            String line,
            String place,
            BlockId blockId,
            BlockKind block,
            PhaseKind kind,
            Direction direction,
            EffortPercent effortFrom,
            EffortPercent effortTo,
            String cue,
            String contact,
            int set,
            int sets,
            int count,
            int counts,
            List<BreathMark> breaths) {

        public int seconds() {
            return endSecond - startSecond;
        }

        /** The same phase at another time, in a block of another name. */
        public Phase from(int second, BlockId id) {
            int by = second - startSecond;
            return new Phase(
                    second,
                    endSecond + by,
                    side,
                    line,
                    place,
                    id,
                    block,
                    kind,
                    direction,
                    effortFrom,
                    effortTo,
                    cue,
                    contact,
                    set,
                    sets,
                    count,
                    counts,
                    breaths.stream()
                            .map(b -> new BreathMark(b.atSecond() + by, b.phase()))
                            .toList());
        }

        /** Whether own strength works in it: the done-ratio and the time under tension count it. */
        public boolean isContraction() {
            return direction != Direction.NONE;
        }

        /** ∫ effort dt, in %·s. */
        public double impulse() {
            return isContraction() ? (effortFrom.value() + effortTo.value()) / 2.0 * seconds() : 0;
        }
    }

    /** One second of one side. */
    public record Second(int at, Phase phase, double effort, BreathPhase breath) {}

    /** What is measured before any work is a cold reading; everything after it is warm. */
    public Set<BlockId> coldBlocks() {
        return phases.stream()
                .takeWhile(p -> p.block().leavesCold())
                .map(Phase::blockId)
                .collect(Collectors.toUnmodifiableSet());
    }

    /** The phases of one line, where they stand in the whole. */
    public Timeline ofLine(String line) {
        return new Timeline(phases.stream().filter(p -> p.line().equals(line)).toList());
    }

    public int seconds() {
        return phases.isEmpty() ? 0 : phases.get(phases.size() - 1).endSecond();
    }

    /**
     * What happens in a second.
     *
     * @param at 0 to {@code seconds() − 1}
     * @throws IndexOutOfBoundsException beyond the end
     */
    public Second second(int at) {
        var phase = phases.stream()
                .filter(p -> at >= p.startSecond() && at < p.endSecond())
                .findFirst()
                .orElseThrow(() -> new IndexOutOfBoundsException("second " + at + " of " + seconds()));
        double share = (at - phase.startSecond()) / (double) phase.seconds();
        double effort = phase.effortFrom().value()
                + share * (phase.effortTo().value() - phase.effortFrom().value());
        var breath = BreathPhase.SHALLOW;
        for (var mark : phase.breaths()) {
            if (mark.atSecond() <= at) {
                breath = mark.phase();
            }
        }
        return new Second(at, phase, effort, breath);
    }
}
