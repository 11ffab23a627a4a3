package gradino.server.perform.floor;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.DoneRatio;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.SessionLoad;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.BlockKind.Work;
import gradino.server.perform.record.RecordRepository.Closed;
import gradino.server.perform.record.RecordRepository.Morning;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the closing sheet shows: planned against done, left against right. */
public record Summary(
        Sided<SideSummary> sides,
        List<WorkRow> rows,
        @Nullable Closed closed,
        List<Morning> mornings,
        @Nullable Load load) {
    private static final double SECONDS_A_MINUTE = 60;

    /**
     * By its rating; null while it has none.
     *
     * @param minutes really done, reference contractions with their rests among them
     */
    public record Load(double points, double minutes, double referenceMinutes) {}

    /**
     * One side, planned against done.
     *
     * @param work the kind that was done least of, of which the ratio is; null when nothing was planned
     * @param planned of that kind, seconds or repetitions
     * @param done of what was planned: a second too long makes up for none that is missing
     */
    public record SideSummary(
            double ratio,
            double lowestPhase,
            double holdRatio,
            @Nullable Work work,
            double planned,
            double done,
            int worstPain,
            int faults,
            int cramps,
            List<String> left) {}

    /** One kind of work, planned against done, for both sides. */
    public record WorkRow(BlockKind kind, Sided<Double> planned, Sided<Double> done) {}

    /**
     * @param blocks the last record of each, those that were not done included
     * @param mornings in the order in which they were answered
     * @param referenceSeconds what its reference contractions took, with their rests
     */
    static Summary of(
            List<BlockRecord> blocks, @Nullable Closed closed, List<Morning> mornings, double referenceSeconds) {
        return new Summary(
                Sided.of(side -> side(blocks, side)),
                rows(blocks),
                closed,
                mornings,
                load(blocks, closed, referenceSeconds));
    }

    /** @param blocks the last record of each */
    static @Nullable Load load(List<BlockRecord> blocks, @Nullable Closed closed, double referenceSeconds) {
        if (closed == null || closed.rating() == null) {
            return null;
        }
        double seconds = blocks.stream()
                .flatMap(b -> b.phases().stream())
                .mapToDouble(PhaseDone::doneSeconds)
                .sum();
        double minutes = Math.min(SessionLoad.MOST_MINUTES, (seconds + referenceSeconds) / SECONDS_A_MINUTE);
        return new Load(
                new SessionLoad(closed.rating(), minutes).points(), minutes, referenceSeconds / SECONDS_A_MINUTE);
    }

    private static SideSummary side(List<BlockRecord> all, Side side) {
        var ratio = DoneRatio.of(all, side);
        var blocks = all.stream().filter(b -> b.isOf(side)).toList();
        return new SideSummary(
                ratio.ratio(),
                ratio.lowestPhase(),
                ratio.holdRatio(),
                ratio.least(),
                ratio.planned(),
                ratio.done(),
                blocks.stream()
                        .flatMap(b -> b.pains().stream())
                        .mapToInt(p -> p.score().value())
                        .max()
                        .orElse(0),
                blocks.stream().mapToInt(b -> b.faults().size()).sum(),
                blocks.stream().mapToInt(BlockRecord::cramps).sum(),
                blocks.stream().flatMap(b -> missing(b).stream()).toList());
    }

    private static List<String> missing(BlockRecord block) {
        var found = new ArrayList<String>();
        if (block.skippedBecause() != null) {
            found.add(block.blockId().label() + ": " + block.skippedBecause());
        }
        long quick = block.phases().stream().filter(PhaseDone::wasTappedAway).count();
        if (quick > 0) {
            found.add("%s: %d tapped in under half a second, which is no repetition"
                    .formatted(block.blockId().label(), quick));
        }
        return found;
    }

    private static List<WorkRow> rows(List<BlockRecord> blocks) {
        return blocks.stream()
                .map(BlockRecord::kind)
                .distinct()
                .filter(k -> k != BlockKind.SET_UP && k != BlockKind.SIDE_CHANGE)
                .sorted()
                .map(kind -> new WorkRow(
                        kind,
                        Sided.of(s -> seconds(blocks, s, kind, true)),
                        Sided.of(s -> seconds(blocks, s, kind, false))))
                .toList();
    }

    private static double seconds(List<BlockRecord> blocks, Side side, BlockKind kind, boolean planned) {
        return blocks.stream()
                .filter(b -> b.isOf(side) && b.kind() == kind && !(planned && b.besidesThePlan()))
                .flatMap(b -> b.phases().stream())
                .mapToDouble(p -> planned ? p.plannedSeconds() : p.doneSeconds())
                .sum();
    }
}
