package gradino.core.perform;

import gradino.core.body.Side;
import gradino.core.prescribe.block.BlockKind;
import java.util.List;

/**
 * How much of one side's planned contraction was done (house rule): Σ min(done, planned) ÷ Σ planned over the plan's contraction
 * phases. Supported holds are reported apart.
 *
 * @param ratio 0 to 1; 0 when nothing was planned
 * @param lowestPhase the same of the worst single phase
 * @param holdRatio of the supported holds; 1 when none was planned
 */
public record DoneRatio(double ratio, double lowestPhase, double holdRatio) {

    public static DoneRatio of(SessionRecord session, Side side) {
        return of(session.blocks(), side);
    }

    /** @param blocks the last record of each */
    public static DoneRatio of(List<BlockRecord> blocks, Side side) {
        double planned = 0;
        double counted = 0;
        double lowest = 1;
        double holdPlanned = 0;
        double holdCounted = 0;
        for (var block : blocks) {
            if (!block.isOf(side) || block.besidesThePlan()) {
                continue;
            }
            for (var phase : block.phases()) {
                if (block.counts(phase)) {
                    planned += phase.plannedSeconds();
                    counted += phase.counted();
                    lowest = Math.min(lowest, share(phase.counted(), phase.plannedSeconds()));
                } else if (block.kind() == BlockKind.SUPPORTED_HOLD) {
                    holdPlanned += phase.plannedSeconds();
                    holdCounted += phase.counted();
                }
            }
        }
        return new DoneRatio(
                planned > 0 ? counted / planned : 0, planned > 0 ? lowest : 0, share(holdCounted, holdPlanned));
    }

    private static double share(double counted, double planned) {
        return planned > 0 ? counted / planned : 1;
    }
}
