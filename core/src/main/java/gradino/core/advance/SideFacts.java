package gradino.core.advance;

import gradino.core.body.Side;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.DoneRatio;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.BlockKind;
import gradino.core.quantity.PainScore;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToIntFunction;
import org.jspecify.annotations.Nullable;

/**
 * What one session says about one side.
 *
 * @param worstPain highest pain reported; NONE when none was
 * @param worstKind its kind; null when none was
 * @param mostFaults seen in one set
 * @param mostCramps in one set
 * @param effortOff largest distance of a self-rating from the asked tenth; null when a set was not rated
 * @param unplannedStop a block was left, an effort missed, or the session ended by a stop sign on this side
 */
record SideFacts(
        DoneRatio done,
        PainScore worstPain,
        @Nullable PainKind worstKind,
        boolean wrongJoint,
        int mostFaults,
        int mostCramps,
        @Nullable Double effortOff,
        boolean unplannedStop) {

    static SideFacts of(SessionRecord session, Side side) {
        var blocks = session.blocks(side);
        var worst = blocks.stream().flatMap(b -> b.pains().stream()).max(Comparator.comparing(Pain::score));
        return new SideFacts(
                DoneRatio.of(session, side),
                worst.map(Pain::score).orElse(PainScore.NONE),
                worst.map(Pain::kind).orElse(null),
                blocks.stream().flatMap(b -> b.pains().stream()).anyMatch(p -> p.kind() == PainKind.WRONG_JOINT),
                mostInASet(blocks, b -> b.faults().size()),
                mostInASet(blocks, BlockRecord::cramps),
                effortOff(blocks, session.doses().on(side).ceiling().tenths()).orElse(null),
                stopped(session, side));
    }

    private static int mostInASet(List<BlockRecord> blocks, ToIntFunction<BlockRecord> count) {
        Map<String, Integer> bySet = new HashMap<>();
        for (var block : blocks) {
            int seen = count.applyAsInt(block);
            if (seen > 0) {
                bySet.merge(setOf(block), seen, Integer::sum);
            }
        }
        return bySet.values().stream().mapToInt(Integer::intValue).max().orElse(0);
    }

    /** Block ids name their set: left-2-press and left-2-pull belong together. */
    private static String setOf(BlockRecord block) {
        var id = block.blockId();
        int first = id.indexOf('-') + 1;
        int second = id.indexOf('-', first);
        boolean numbered = first > 0 && second > first && Character.isDigit(id.charAt(first));
        return numbered ? id.substring(first, second) : id;
    }

    /** Rated once a set, at its press; a set without a rating leaves the effort unknown. */
    private static Optional<Double> effortOff(List<BlockRecord> blocks, double askedTenths) {
        double worst = 0;
        boolean any = false;
        for (var block : blocks) {
            if (block.kind() == BlockKind.PRESS && block.skippedBecause() == null) {
                if (block.effortRating() == null) {
                    return Optional.empty();
                }
                any = true;
                worst = Math.max(worst, Math.abs(block.effortRating().value() - askedTenths));
            }
        }
        return any ? Optional.of(worst) : Optional.empty();
    }

    private static boolean stopped(SessionRecord session, Side side) {
        boolean sign = session.stopSign() != null && (session.stopSide() == null || session.stopSide() == side);
        return sign || session.blocks(side).stream().anyMatch(b -> b.skippedBecause() != null || b.effortMissed());
    }
}
