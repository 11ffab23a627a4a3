package gradino.core.advance;

import gradino.core.body.Side;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.DoneRatio;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.BlockKind;
import gradino.core.quantity.PainScore;
import gradino.core.quantity.Tenths;
import java.util.Collections;
import java.util.HashMap;
import java.util.Map;
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
        var seen = new Seen(session.doses().on(side).ceiling().tenths());
        for (var block : session.blocks()) {
            if (block.side() == side) {
                seen.add(block);
            }
        }
        boolean sign = session.stopSign() != null && (session.stopSide() == null || session.stopSide() == side);
        return seen.facts(DoneRatio.of(session, side), sign);
    }

    /** Gathers a side's blocks in one pass. */
    private static final class Seen {
        private final double askedTenths;
        private final Map<String, Integer> faults = new HashMap<>();
        private final Map<String, Integer> cramps = new HashMap<>();
        private @Nullable Pain worst;
        private boolean wrongJoint;
        private boolean rated;
        private boolean unrated;
        private double effortOff;
        private boolean left;

        Seen(double askedTenths) {
            this.askedTenths = askedTenths;
        }

        void add(BlockRecord block) {
            block.pains().forEach(this::hurt);
            inSet(faults, block, block.faults().size());
            inSet(cramps, block, block.cramps());
            left |= block.skippedBecause() != null || block.effortMissed();
            if (block.kind() == BlockKind.PRESS && block.skippedBecause() == null && !block.besidesThePlan()) {
                rate(block.effortRating());
            }
        }

        private void hurt(Pain pain) {
            wrongJoint |= pain.kind() == PainKind.WRONG_JOINT;
            if (worst == null || pain.score().compareTo(worst.score()) >= 0) {
                worst = pain;
            }
        }

        private static void inSet(Map<String, Integer> bySet, BlockRecord block, int count) {
            if (count > 0) {
                bySet.merge(setOf(block), count, Integer::sum);
            }
        }

        /** Rated once a set, at its press; a set without a rating leaves the effort unknown. */
        private void rate(@Nullable Tenths rating) {
            if (rating == null) {
                unrated = true;
            } else {
                rated = true;
                effortOff = Math.max(effortOff, Math.abs(rating.value() - askedTenths));
            }
        }

        SideFacts facts(DoneRatio done, boolean sign) {
            return new SideFacts(
                    done,
                    worst == null ? PainScore.NONE : worst.score(),
                    worst == null ? null : worst.kind(),
                    wrongJoint,
                    most(faults),
                    most(cramps),
                    rated && !unrated ? effortOff : null,
                    sign || left);
        }

        private static int most(Map<String, Integer> bySet) {
            return bySet.isEmpty() ? 0 : Collections.max(bySet.values());
        }
    }

    /** Block ids name their set: left-2-press and left-2-pull belong together. */
    private static String setOf(BlockRecord block) {
        var id = block.blockId();
        int first = id.indexOf('-') + 1;
        int second = id.indexOf('-', first);
        boolean numbered = first > 0 && second > first && Character.isDigit(id.charAt(first));
        return numbered ? id.substring(first, second) : id;
    }
}
