package gradino.core.prescribe.method;

import gradino.core.prescribe.block.Apparatus;
import gradino.core.prescribe.block.Breathing;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * What one side of a line does now: its rung. Every other number is read off the blocks, and changing one changes the blocks.
 *
 * @param angle working angle from the position's zero
 * @param blocks in order; empty for a side that does nothing
 */
public record Dose(Degrees angle, List<BlockDraft> blocks) {

    /** What a weight, or a band in its place, makes heavier. */
    private static final List<BlockForm> MOVED =
            List.of(BlockForm.LIFT_OFF, BlockForm.ECCENTRIC, BlockForm.LOADED_STRETCH);

    public Dose {
        blocks = List.copyOf(blocks);
    }

    public boolean hasBlocks() {
        return !blocks.isEmpty();
    }

    /** Highest effort that anything asks for. */
    public EffortPercent ceiling() {
        return EffortPercent.of(BlockNumbers.hardest(blocks));
    }

    /** Of the first graded set; 0 without one. */
    public int sets() {
        return BlockNumbers.first(blocks, BlockForm.GRADED_SET, "sets").orElse(0);
    }

    /** On the top tread of the first graded set's press; 0 without one. */
    public int topHoldSeconds() {
        return BlockNumbers.first(blocks, BlockForm.GRADED_SET, "top-hold").orElse(0);
    }

    /** Of several supported holds the last; 0 without one. */
    public int supportedHoldSeconds() {
        var holds = BlockNumbers.of(blocks, BlockForm.SUPPORTED_HOLD);
        return holds.isEmpty() ? 0 : held(holds.get(holds.size() - 1).block());
    }

    /** A repetition of the first hands-off hold; 0 without one. */
    public int handsOffSeconds() {
        return BlockNumbers.first(blocks, BlockForm.HANDS_OFF_HOLD, "hold").orElse(0);
    }

    public int handsOffSets() {
        return BlockNumbers.first(blocks, BlockForm.HANDS_OFF_HOLD, "sets").orElse(0);
    }

    public boolean hasHandsOff() {
        return handsOffSeconds() > 0;
    }

    /** Heaviest load, kg; 0 without one. */
    public double loadKg() {
        return BlockNumbers.heaviest(blocks);
    }

    /** Whether something is added to what is moved: a weight, or a band that pulls. */
    public boolean hasAddedLoad() {
        return loadKg() > 0
                || (BlockNumbers.has(blocks, BlockForm.PROP)
                        && Apparatuses.pulls(blocks)
                        && MOVED.stream().anyMatch(form -> BlockNumbers.has(blocks, form)));
    }

    public Dose withAngle(Degrees to) {
        return new Dose(to, blocks);
    }

    public Dose withBlocks(List<BlockDraft> to) {
        return new Dose(angle, to);
    }

    private Dose with(BlockForm form, UnaryOperator<BlockDraft> change) {
        return withBlocks(BlockNumbers.each(blocks, b -> b.form() == form ? change.apply(b) : b));
    }

    /** Of several the last. */
    public Dose withSupportedHold(int to) {
        var holds = BlockNumbers.of(blocks, BlockForm.SUPPORTED_HOLD);
        return holds.isEmpty()
                ? this
                : withBlocks(
                        BlockNumbers.with(blocks, holds.get(holds.size() - 1).path(), b -> held(b, to)));
    }

    /** With another number of one block. */
    public Dose withNumber(BlockNumbers.Place place, String number, double to) {
        return withBlocks(BlockNumbers.with(blocks, place.path(), b -> b.with(number, to)));
    }

    /** Bench, incline, strap and band; none where nothing is named. */
    public Apparatus apparatus() {
        return Apparatuses.of(blocks);
    }

    private static int held(BlockDraft hold) {
        return (int) Math.round(Breath.heldSeconds(hold));
    }

    private static BlockDraft held(BlockDraft hold, int seconds) {
        return hold.number("breaths") > 0
                ? hold.with(
                        "breaths",
                        Math.floorDiv(
                                seconds, Breath.of(hold).orElse(Breathing.USUAL).seconds()))
                : hold.with("seconds", seconds);
    }

    public Dose withSets(int to) {
        return with(BlockForm.GRADED_SET, b -> b.with("sets", to));
    }

    /** Nothing stays above it; to raise it raises the graded sets that were at the top. */
    public Dose withCeiling(EffortPercent to) {
        int now = ceiling().value();
        return to.value() > now
                ? with(BlockForm.GRADED_SET, b -> b.number("ceiling") >= now ? b.with("ceiling", to.value()) : b)
                : withBlocks(BlockNumbers.each(blocks, b -> BlockNumbers.capped(b, to)));
    }

    public Dose withTopHold(int to) {
        return with(BlockForm.GRADED_SET, b -> b.with("top-hold", to));
    }

    public Dose withHandsOffSeconds(int to) {
        return with(BlockForm.HANDS_OFF_HOLD, b -> b.with("hold", to));
    }

    /** Sets of one hold, at the end. */
    public Dose plusHandsOff(int sets, int seconds) {
        var block = BlockDraft.usual(BlockForm.HANDS_OFF_HOLD)
                .with("hold", seconds)
                .with("sets", sets)
                .with("repetitions", 1)
                .with("effort", Math.max(1, ceiling().value()));
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
}
