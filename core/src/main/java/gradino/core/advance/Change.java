package gradino.core.advance;

import gradino.core.because.Unit;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockParameter;
import gradino.core.prescribe.method.Dose;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** A number that a step changes, from → to. */
public record Change(String what, double from, double to, Unit unit) {

    private static final Set<String> EASING = BlockParameter.all().stream()
            .filter(BlockParameter::eases)
            .map(p -> name(p.form(), p))
            .collect(Collectors.toUnmodifiableSet());

    /** Every number that differs between two doses. */
    public static List<Change> between(Dose from, Dose to) {
        var changes = new ArrayList<Change>();
        add(changes, "working angle", from.angle().value(), to.angle().value(), Unit.DEGREE);
        blocks(changes, from.blocks(), to.blocks());
        return List.copyOf(changes);
    }

    /** What asks for more: of a block's numbers those that rest or ease do not. */
    public static boolean isMore(Dose from, Dose to) {
        return between(from, to).stream().anyMatch(c -> c.to() > c.from() && !EASING.contains(c.what()));
    }

    private static String name(BlockForm form, BlockParameter parameter) {
        return form.words() + ", " + parameter.label();
    }

    /** Numbers of blocks that are the same one of their kind on both sides; what was put in or taken out is one of them by its name. */
    private static void blocks(List<Change> changes, List<BlockDraft> from, List<BlockDraft> to) {
        var left = new ArrayList<>(to);
        for (var one : from) {
            var twin = left.stream().filter(b -> b.form() == one.form()).findFirst();
            if (twin.isPresent()) {
                numbers(changes, one, twin.get());
                left.remove(twin.get());
            } else {
                changes.add(new Change(one.form().words(), 1, 0, Unit.COUNT));
            }
        }
        left.forEach(b -> changes.add(new Change(b.form().words(), 0, 1, Unit.COUNT)));
    }

    private static void numbers(List<Change> changes, BlockDraft one, BlockDraft other) {
        if (one.equals(other)) {
            return;
        }
        for (var p : BlockParameter.of(one.form())) {
            double from = one.number(p.name());
            double to = other.number(p.name());
            if (from != to) {
                changes.add(new Change(name(one.form(), p), from, to, p.spoken()));
            }
        }
        steps(changes, one, other);
        blocks(changes, one.blocks(), other.blocks());
    }

    private static void steps(List<Change> changes, BlockDraft one, BlockDraft other) {
        add(changes, one.form().words() + ", highest step", highest(one), highest(other), Unit.PERCENT);
        add(changes, one.form().words() + ", on its last step", longest(one), longest(other), Unit.SECOND);
    }

    private static double highest(BlockDraft block) {
        return block.steps().stream()
                .mapToDouble(BlockDraft.Tread::effort)
                .max()
                .orElse(0);
    }

    private static double longest(BlockDraft block) {
        var steps = block.steps();
        return steps.isEmpty() ? 0 : steps.get(steps.size() - 1).seconds();
    }

    private static void add(List<Change> changes, String what, double from, double to, Unit unit) {
        if (from != to) {
            changes.add(new Change(what, from, to, unit));
        }
    }
}
