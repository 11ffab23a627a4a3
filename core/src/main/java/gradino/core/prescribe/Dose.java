package gradino.core.prescribe;

import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.OutOfBoundsException;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * What one side of a line does now: its rung.
 *
 * <p>The bounds here are what a number can be at all; what is sensible is judged by {@link PlanCheck}. A side that was composed of
 * blocks has them here, and its other numbers are read off them: changing one changes the blocks.
 *
 * @param angle working angle from the position's zero
 * @param supportedHoldSeconds 0 to 3600
 * @param sets 0 to 20
 * @param ceiling highest effort of the ramps
 * @param topHoldSeconds on the top tread of the press, 0 to 600
 * @param handsOffSeconds a repetition of the hands-off hold, 0 to 600; 0 for no such block
 * @param handsOffRepetitions 0 to 20
 * @param blocks of a composed side, in order; empty where the plan makes them
 */
public record Dose(
        Degrees angle,
        int supportedHoldSeconds,
        int sets,
        EffortPercent ceiling,
        int topHoldSeconds,
        int handsOffSeconds,
        int handsOffRepetitions,
        List<BlockDraft> blocks) {
    static final int MOST_SETS = 20;

    private static final int SECONDS_A_BREATH = Breathing.USUAL.seconds();

    public Dose {
        // What was kept before lines were composed has none.
        blocks = blocks == null ? List.of() : List.copyOf(blocks);
        OutOfBoundsException.require("supportedHoldSeconds", supportedHoldSeconds, 0, 3600, "s");
        OutOfBoundsException.require("sets", sets, 0, MOST_SETS, "");
        OutOfBoundsException.require("topHoldSeconds", topHoldSeconds, 0, 600, "s");
        OutOfBoundsException.require("handsOffSeconds", handsOffSeconds, 0, 600, "s");
        OutOfBoundsException.require("handsOffRepetitions", handsOffRepetitions, 0, 20, "");
    }

    /** A side whose plan makes the blocks. */
    public Dose(
            Degrees angle,
            int supportedHoldSeconds,
            int sets,
            EffortPercent ceiling,
            int topHoldSeconds,
            int handsOffSeconds,
            int handsOffRepetitions) {
        this(
                angle,
                supportedHoldSeconds,
                sets,
                ceiling,
                topHoldSeconds,
                handsOffSeconds,
                handsOffRepetitions,
                List.of());
    }

    /** A side as it was composed. */
    public static Dose composed(Degrees angle, List<BlockDraft> blocks) {
        var holds = BlockNumbers.of(blocks, BlockForm.SUPPORTED_HOLD);
        return new Dose(
                angle,
                holds.isEmpty() ? 0 : held(holds.get(holds.size() - 1).block()),
                BlockNumbers.first(blocks, BlockForm.GRADED_SET, "sets").orElse(0),
                EffortPercent.of(BlockNumbers.hardest(blocks)),
                BlockNumbers.first(blocks, BlockForm.GRADED_SET, "top-hold").orElse(0),
                BlockNumbers.first(blocks, BlockForm.HANDS_OFF_HOLD, "hold").orElse(0),
                BlockNumbers.first(blocks, BlockForm.HANDS_OFF_HOLD, "repetitions")
                        .orElse(0),
                blocks);
    }

    private static int held(BlockDraft hold) {
        int breaths = (int) Math.round(hold.number("breaths"));
        return breaths > 0 ? breaths * SECONDS_A_BREATH : (int) Math.round(hold.number("seconds"));
    }

    public boolean hasBlocks() {
        return !blocks.isEmpty();
    }

    /** The same with other blocks. */
    public Dose withBlocks(List<BlockDraft> to) {
        return composed(angle, to);
    }

    private Dose with(BlockForm form, UnaryOperator<BlockDraft> change) {
        return composed(angle, BlockNumbers.each(blocks, b -> b.form() == form ? change.apply(b) : b));
    }

    public Dose withAngle(Degrees to) {
        return new Dose(
                to, supportedHoldSeconds, sets, ceiling, topHoldSeconds, handsOffSeconds, handsOffRepetitions, blocks);
    }

    /** Of several composed holds the last. */
    public Dose withSupportedHold(int to) {
        if (!hasBlocks()) {
            return new Dose(angle, to, sets, ceiling, topHoldSeconds, handsOffSeconds, handsOffRepetitions);
        }
        var holds = BlockNumbers.of(blocks, BlockForm.SUPPORTED_HOLD);
        return holds.isEmpty()
                ? this
                : withBlocks(
                        BlockNumbers.with(blocks, holds.get(holds.size() - 1).path(), b -> held(b, to)));
    }

    private static BlockDraft held(BlockDraft hold, int seconds) {
        return hold.number("breaths") > 0
                ? hold.with("breaths", Math.floorDiv(seconds, SECONDS_A_BREATH))
                : hold.with("seconds", seconds);
    }

    public Dose withSets(int to) {
        return hasBlocks()
                ? with(BlockForm.GRADED_SET, b -> b.with("sets", to))
                : new Dose(
                        angle, supportedHoldSeconds, to, ceiling, topHoldSeconds, handsOffSeconds, handsOffRepetitions);
    }

    /** Composed: nothing stays above it; to raise it raises the graded sets that were at the top. */
    public Dose withCeiling(EffortPercent to) {
        if (!hasBlocks()) {
            return new Dose(
                    angle, supportedHoldSeconds, sets, to, topHoldSeconds, handsOffSeconds, handsOffRepetitions);
        }
        return to.compareTo(ceiling) > 0
                ? with(
                        BlockForm.GRADED_SET,
                        b -> b.number("ceiling") >= ceiling.value() ? b.with("ceiling", to.value()) : b)
                : withBlocks(BlockNumbers.each(blocks, b -> BlockNumbers.capped(b, to)));
    }

    public Dose withTopHold(int to) {
        return hasBlocks()
                ? with(BlockForm.GRADED_SET, b -> b.with("top-hold", to))
                : new Dose(angle, supportedHoldSeconds, sets, ceiling, to, handsOffSeconds, handsOffRepetitions);
    }

    /** Composed: the block is added at the end where there is none. */
    public Dose withHandsOff(int repetitions, int seconds) {
        if (!hasBlocks()) {
            return new Dose(angle, supportedHoldSeconds, sets, ceiling, topHoldSeconds, seconds, repetitions);
        }
        if (hasHandsOff()) {
            return with(BlockForm.HANDS_OFF_HOLD, b -> b.with("hold", seconds).with("repetitions", repetitions));
        }
        var block = BlockDraft.usual(BlockForm.HANDS_OFF_HOLD)
                .with("hold", seconds)
                .with("repetitions", repetitions)
                .with("effort", Math.max(1, ceiling.value()));
        return withBlocks(Stream.concat(blocks.stream(), Stream.of(block)).toList());
    }

    /** Each load made another. */
    public Dose lighter(DoubleUnaryOperator next) {
        return withBlocks(BlockNumbers.each(
                blocks,
                b -> BlockParameter.find(b.form(), "load").isPresent() && b.number("load") > 0
                        ? b.with("load", next.applyAsDouble(b.number("load")))
                        : b));
    }

    /** Heaviest load, kg; 0 without one. */
    public double loadKg() {
        return BlockNumbers.heaviest(blocks);
    }

    public boolean hasHandsOff() {
        return handsOffSeconds > 0 && handsOffRepetitions > 0;
    }

    /** Whether the work is the same whatever the sides' own angles are. */
    public boolean sameWorkAs(Dose other) {
        return withAngle(other.angle).equals(other);
    }
}
