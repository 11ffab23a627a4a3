package gradino.core.prescribe.method;

import gradino.core.prescribe.method.BlockDraft.Tread;
import gradino.core.prescribe.method.MethodBlock.Range;
import gradino.core.quantity.EffortPercent;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** The numbers inside one side's blocks, those in groups too: found, and changed at their place. */
public final class BlockNumbers {
    private static final Set<BlockForm> WITH_EFFORT = with("effort");
    private static final Set<BlockForm> WITH_LOAD = with("load");

    private BlockNumbers() {}

    private static Set<BlockForm> with(String number) {
        return BlockParameter.all().stream()
                .filter(p -> p.name().equals(number))
                .map(BlockParameter::form)
                .collect(Collectors.toUnmodifiableSet());
    }

    /**
     * A block and where it lies.
     *
     * @param path indexes from the outside in
     */
    public record Place(List<Integer> path, BlockDraft block) {}

    /** Every block of a kind, in the order in which it is done. */
    public static List<Place> of(List<BlockDraft> blocks, BlockForm form) {
        var found = new ArrayList<Place>();
        gather(blocks, List.of(), form, found);
        return found;
    }

    /** Whether there is one of a kind: asked of every dose, so nothing is gathered for it. */
    static boolean has(List<BlockDraft> blocks, BlockForm form) {
        for (var block : blocks) {
            if (block.form() == form || has(block.blocks(), form)) {
                return true;
            }
        }
        return false;
    }

    private static void gather(List<BlockDraft> blocks, List<Integer> above, BlockForm form, List<Place> found) {
        for (int i = 0; i < blocks.size(); i++) {
            var block = blocks.get(i);
            if (block.form() == form) {
                found.add(new Place(below(above, i), block));
            }
            if (!block.blocks().isEmpty()) {
                gather(block.blocks(), below(above, i), form, found);
            }
        }
    }

    private static List<Integer> below(List<Integer> above, int index) {
        if (above.isEmpty()) {
            return List.of(index);
        }
        var path = new ArrayList<>(above);
        path.add(index);
        return List.copyOf(path);
    }

    /** The same blocks with one of them changed. */
    public static List<BlockDraft> with(List<BlockDraft> blocks, List<Integer> path, UnaryOperator<BlockDraft> change) {
        var all = new ArrayList<>(blocks);
        int here = path.get(0);
        var block = all.get(here);
        all.set(
                here,
                path.size() == 1
                        ? change.apply(block)
                        : block.withBlocks(with(block.blocks(), path.subList(1, path.size()), change)));
        return List.copyOf(all);
    }

    /** The same blocks, each changed, those in groups too. */
    static List<BlockDraft> each(List<BlockDraft> blocks, UnaryOperator<BlockDraft> change) {
        return blocks.stream()
                .map(b -> change.apply(b.withBlocks(each(b.blocks(), change))))
                .toList();
    }

    /** A number of a kind of block as the method keeps it, or as the one that goes furthest does where it has no such block. */
    public static Optional<Range> range(Method method, BlockForm form, String name) {
        return method.find(form, name)
                .or(() -> Method.shipped().stream()
                        .flatMap(m -> m.ranges(form, name))
                        .max(Comparator.comparingDouble(Range::most)));
    }

    /** A number of the first block of a kind that has one. */
    static OptionalInt first(List<BlockDraft> blocks, BlockForm form, String name) {
        var all = of(blocks, form);
        return all.isEmpty()
                ? OptionalInt.empty()
                : OptionalInt.of((int) Math.round(all.get(0).block().number(name)));
    }

    /** Highest effort that anything asks for, 0 to 100 %. */
    static int hardest(List<BlockDraft> blocks) {
        int most = 0;
        for (var block : blocks) {
            most = Math.max(most, Math.max(effort(block), hardest(block.blocks())));
        }
        return most;
    }

    /** Highest that a block itself asks for, 0 to 100 %. */
    public static int effort(BlockDraft block) {
        return (int) Math.round(
                switch (block.form()) {
                    case GRADED_SET -> block.number("ceiling");
                    case PRESS_RAMP, PULL_RAMP ->
                        block.steps().stream().mapToDouble(Tread::effort).max().orElse(0);
                    default -> WITH_EFFORT.contains(block.form()) ? block.number("effort") : 0;
                });
    }

    /** The same block with nothing harder than an effort: treads above it are dropped and it is the last. */
    public static BlockDraft capped(BlockDraft block, EffortPercent at) {
        if (effort(block) <= at.value()) {
            return block;
        }
        return switch (block.form()) {
            case GRADED_SET -> block.with("ceiling", at.value());
            case PRESS_RAMP, PULL_RAMP -> block.withSteps(Tread.cappedAt(block.steps(), at.value()));
            default -> block.with("effort", at.value());
        };
    }

    /** Heaviest load that anything carries, kg. */
    static double heaviest(List<BlockDraft> blocks) {
        double most = 0;
        for (var block : blocks) {
            most = Math.max(most, Math.max(load(block), heaviest(block.blocks())));
        }
        return most;
    }

    private static double load(BlockDraft block) {
        return WITH_LOAD.contains(block.form()) ? block.number("load") : 0;
    }

    /** By how much a prop goes up over the rounds of blocks, cm; 0 where it stays. */
    public static double riseCm(List<BlockDraft> blocks) {
        return of(blocks, BlockForm.GROUP).stream()
                .map(Place::block)
                .mapToDouble(b -> b.number("rise") * (b.number("rounds") - 1))
                .max()
                .orElse(0);
    }
}
