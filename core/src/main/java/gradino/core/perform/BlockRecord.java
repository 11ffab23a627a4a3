package gradino.core.perform;

import gradino.core.body.Side;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.Tenths;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What was done in one block of the compiled plan.
 *
 * @param blockId as in the timeline
 * @param effortRating self-rated effort of the set, 0 to 10; null when not asked or not answered
 * @param faults names from the position's list, one entry each time it was seen
 * @param cramps 0 to 50
 * @param effortMissed the asked effort could not be reached
 * @param skippedBecause why the block was left; null when it was not
 * @param prop how the side lay; null as planned
 */
public record BlockRecord(
        BlockId blockId,
        Side side,
        BlockKind kind,
        List<PhaseDone> phases,
        @Nullable Tenths effortRating,
        List<String> faults,
        List<Pain> pains,
        int cramps,
        boolean effortMissed,
        @Nullable String skippedBecause,
        String note,
        @Nullable PropUsed prop) {
    public BlockRecord {
        phases = List.copyOf(phases);
        faults = List.copyOf(faults);
        pains = List.copyOf(pains);
        OutOfBoundsException.require("cramps", cramps, 0, 50, "");
    }

    /** The same block, done on another side. */
    public BlockRecord on(Side other) {
        return new BlockRecord(
                blockId,
                other,
                kind,
                phases,
                effortRating,
                faults,
                pains,
                cramps,
                effortMissed,
                skippedBecause,
                note,
                prop);
    }

    /** What is done in the middle is of both sides. */
    public boolean isOf(Side of) {
        return side == of || side == Side.MIDLINE;
    }

    /** An extra set or an easier version: it makes up for nothing of the plan, and what is missing of it is missing of nothing. */
    public boolean besidesThePlan() {
        return blockId.besidesThePlan();
    }

    /** Whether the seconds of a phase count as done: contractions, without the stretch between them, and what is held. */
    boolean counts(PhaseDone phase) {
        return kind.work() == BlockKind.Work.HOLD || phase.kind().works();
    }
}
