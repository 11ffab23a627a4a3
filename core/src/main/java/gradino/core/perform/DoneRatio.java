package gradino.core.perform;

import gradino.core.body.Side;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.BlockKind.Work;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * How much of one side's planned work was done (house rule): Σ done ÷ Σ planned of each kind of work, the lowest counts. Holds and
 * warm-up circles count where a line has no other work.
 *
 * @param ratio 0 to 1; 0 when nothing was planned
 * @param lowestPhase the same of the worst single phase or repetition that counts
 * @param holdRatio of the supported holds and releases; 1 when none was planned
 * @param least the kind of work that the ratio is of; null when nothing was planned
 * @param planned of that kind, seconds or repetitions
 * @param done of that kind: what was too much of one makes up for none of another
 * @param cutShort share of each kind of block of which something is missing
 */
public record DoneRatio(
        double ratio,
        double lowestPhase,
        double holdRatio,
        @Nullable Work least,
        double planned,
        double done,
        Map<BlockKind, Double> cutShort) {

    public static DoneRatio of(SessionRecord session, Side side) {
        return of(session.blocks(), side);
    }

    /** @param blocks the last record of each */
    public static DoneRatio of(List<BlockRecord> blocks, Side side) {
        var byKind = new EnumMap<BlockKind, Sum>(BlockKind.class);
        for (var block : blocks) {
            if (block.isOf(side) && !block.besidesThePlan() && block.kind().work() != Work.NONE) {
                byKind.computeIfAbsent(block.kind(), kind -> new Sum()).add(block);
            }
        }
        var contraction = new Sum();
        var repetitions = new Sum();
        var circles = new Sum();
        var holds = new Sum();
        byKind.forEach((kind, sum) -> {
            switch (kind.work()) {
                case CONTRACTION -> contraction.add(sum);
                case REPETITIONS -> (kind == BlockKind.ROTATION ? circles : repetitions).add(sum);
                case HOLD -> holds.add(sum);
                case NONE -> {}
            }
        });
        var cutShort = cutShort(byKind);
        if (contraction.planned == 0 && repetitions.planned == 0) {
            return lower(circles, Work.REPETITIONS, holds, Work.HOLD, holds.ratio(), cutShort);
        }
        return lower(contraction, Work.CONTRACTION, repetitions, Work.REPETITIONS, holds.ratio(), cutShort);
    }

    private static Map<BlockKind, Double> cutShort(Map<BlockKind, Sum> byKind) {
        Map<BlockKind, Double> found = Map.of();
        for (var entry : byKind.entrySet()) {
            double ratio = entry.getValue().ratio();
            if (ratio < 1) {
                found = found.isEmpty() ? new EnumMap<>(BlockKind.class) : found;
                found.put(entry.getKey(), ratio);
            }
        }
        return found;
    }

    /** Share of what was planned of a kind of block; 1 where nothing was. */
    public double of(BlockKind kind) {
        return cutShort.getOrDefault(kind, 1.0);
    }

    private static DoneRatio lower(
            Sum one, Work ofOne, Sum other, Work ofOther, double holds, Map<BlockKind, Double> cutShort) {
        if (one.planned == 0 && other.planned == 0) {
            return new DoneRatio(0, 0, holds, null, 0, 0, cutShort);
        }
        boolean first = other.planned == 0 || (one.planned > 0 && one.ratio() <= other.ratio());
        var lower = first ? one : other;
        return new DoneRatio(
                lower.ratio(),
                Math.min(one.lowest, other.lowest),
                holds,
                first ? ofOne : ofOther,
                lower.planned,
                lower.done,
                cutShort);
    }

    /** Adds up one kind of work. */
    private static final class Sum {
        private double planned;
        private double done;
        private double lowest = 1;

        double ratio() {
            return planned > 0 ? done / planned : 1;
        }

        void add(BlockRecord block) {
            if (block.kind().work() == Work.REPETITIONS) {
                repetitions(block);
            } else {
                seconds(block);
            }
        }

        void add(Sum other) {
            planned += other.planned;
            done += other.done;
            lowest = Math.min(lowest, other.lowest);
        }

        private void seconds(BlockRecord block) {
            for (var phase : block.phases()) {
                if (block.counts(phase) && phase.plannedSeconds() > 0) {
                    add(phase.plannedSeconds(), phase.counted());
                }
            }
        }

        private void add(double of, double kept) {
            planned += of;
            done += kept;
            lowest = Math.min(lowest, kept / of);
        }

        /** A repetition begins with its first moving phase; one that is timed counts by what was kept of it. */
        private void repetitions(BlockRecord block) {
            boolean open = false;
            boolean whole = true;
            double timed = 0;
            double kept = 0;
            for (var phase : block.phases()) {
                if (open && phase.kind().beginsRepetition()) {
                    repetition(whole, timed, kept);
                    whole = true;
                    timed = 0;
                    kept = 0;
                }
                open |= phase.kind().beginsRepetition();
                if (phase.kind().isTimed()) {
                    timed += phase.plannedSeconds();
                    kept += phase.counted();
                } else if (phase.kind().isRepetition()) {
                    whole &= phase.wasDone();
                }
            }
            if (open) {
                repetition(whole, timed, kept);
            }
        }

        private void repetition(boolean whole, double timed, double kept) {
            double share = timed > 0 ? kept / timed : 1;
            add(1, whole ? share : 0);
        }
    }
}
