package gradino.core.prescribe.method;

import gradino.core.because.Unit;
import gradino.core.prescribe.method.BlockDraft.Tread;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A number of a block as a ladder moves it: one of its parameters, or of a ramp alone its highest effort ({@value #CEILING}) and
 * the seconds of its last tread ({@value #TREAD}).
 */
public final class RoleNumber {
    public static final String CEILING = "ceiling";
    public static final String TREAD = "tread";

    /** Which part of the range a movement goes through: {@link #MIDDLE} or to its end. */
    public static final String ZONE = "zone";

    public static final double MIDDLE = 1;
    static final double DEEP = 2;
    private static final Set<String> EFFORTS = Set.of(CEILING, "effort");

    private RoleNumber() {}

    public static boolean isEffort(String number) {
        return EFFORTS.contains(number);
    }

    private static boolean isOfTreads(BlockForm form, String number) {
        return form.isRamp() && form != BlockForm.GRADED_SET && (number.equals(CEILING) || number.equals(TREAD));
    }

    public static boolean has(BlockForm form, String number) {
        return isOfTreads(form, number) || BlockParameter.find(form, number).isPresent();
    }

    public static double value(BlockDraft block, String number) {
        if (!isOfTreads(block.form(), number)) {
            return block.number(number);
        } else if (block.steps().isEmpty()) {
            return 0;
        }
        return number.equals(TREAD)
                ? last(block.steps()).seconds()
                : block.steps().stream().mapToDouble(Tread::effort).max().orElse(0);
    }

    /** Highest effort that a block asks for by itself, %; 0 where it asks for none. */
    static double peak(BlockDraft block) {
        for (var name : EFFORTS) {
            if (has(block.form(), name)) {
                return value(block, name);
            }
        }
        return 0;
    }

    /** Most that a method allows it; empty where it says nothing of it. */
    public static Optional<Double> most(MethodBlock own, String number) {
        if (isOfTreads(own.form(), number)) {
            return number.equals(TREAD)
                    ? Optional.empty()
                    : own.steps().stream().map(Tread::effort).max(Double::compare);
        }
        return Optional.ofNullable(own.numbers().get(number)).map(MethodBlock.Range::most);
    }

    public static Unit unit(BlockForm form, String number) {
        if (isOfTreads(form, number)) {
            return number.equals(TREAD) ? Unit.SECOND : Unit.PERCENT;
        }
        return BlockParameter.find(form, number).orElseThrow().spoken();
    }

    public static String label(BlockForm form, String number) {
        if (isOfTreads(form, number)) {
            return form.words() + (number.equals(TREAD) ? " on top" : " up to");
        }
        return form.words() + ", "
                + BlockParameter.find(form, number).orElseThrow().label();
    }

    /**
     * The block with another value.
     *
     * @param own as the method has it, whose treads an effort that rises goes through; null where it has none
     */
    public static BlockDraft with(BlockDraft block, String number, double to, @Nullable MethodBlock own) {
        if (!isOfTreads(block.form(), number)) {
            return block.with(number, to);
        } else if (number.equals(CEILING)) {
            return block.withSteps(topped(block.steps(), to, own));
        }
        var steps = new ArrayList<>(block.steps());
        steps.set(steps.size() - 1, new Tread(last(steps).effort(), to));
        return block.withSteps(steps);
    }

    /**
     * Down, treads above are dropped. Up as the method goes, where the block does; else its last tread alone. What was longer on top
     * stays as long.
     */
    private static List<Tread> topped(List<Tread> steps, double to, @Nullable MethodBlock own) {
        var top = last(steps);
        if (to < top.effort()) {
            return Tread.cappedAt(steps, to);
        }
        var whole = own == null ? List.<Tread>of() : Tread.cappedAt(own.steps(), to);
        boolean asTheMethod = !whole.isEmpty()
                && last(whole).effort() == to
                && efforts(Tread.cappedAt(whole, top.effort())).equals(efforts(steps));
        var raised = new ArrayList<>(asTheMethod ? whole : steps);
        raised.set(raised.size() - 1, new Tread(to, Math.max(last(raised).seconds(), top.seconds())));
        return raised;
    }

    private static List<Double> efforts(List<Tread> steps) {
        return steps.stream().map(Tread::effort).toList();
    }

    private static Tread last(List<Tread> steps) {
        return steps.get(steps.size() - 1);
    }
}
