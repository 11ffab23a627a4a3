package gradino.core.prescribe.program;

import gradino.core.intake.Limits;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockDraft.Tread;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.method.ShortRamp;
import gradino.core.quantity.EffortPercent;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/** A method's blocks as a client may begin with them: first values, efforts by experience under the cap, contractions under theirs. */
public final class FirstDose {
    /** Seconds that a newcomer holds at most, and percent of effort (common practice, no source). */
    public static final int NEWCOMER_HOLD = 60;

    public static final int NEWCOMER_CEILING = 50;

    private static final List<String> EFFORTS = List.of("ceiling", "effort");
    private static final List<String> CONTRACTIONS = List.of("hold", "contract", "pull", "lowering");

    private final int cap;
    private final Limits limits;

    private FirstDose(int cap, Limits limits) {
        this.cap = cap;
        this.limits = limits;
    }

    public static List<BlockDraft> blocks(Method method, Experience experience, Limits limits) {
        var dose = new FirstDose(Math.min(limits.highestEffort().value(), experience.startsAt()), limits);
        var first = method.firstBlocks(true);
        var usual = method.firstBlocks(false);
        return IntStream.range(0, first.size())
                .mapToObj(i -> dose.fitted(experience.isNewcomer() ? first.get(i) : asHard(first.get(i), usual.get(i))))
                .toList();
    }

    /** First holds and counts at the method's usual efforts: who has trained the motion begins with more than a newcomer. */
    private static BlockDraft asHard(BlockDraft first, BlockDraft usual) {
        var numbers = new HashMap<>(first.numbers());
        EFFORTS.forEach(name -> numbers.computeIfPresent(name, (n, v) -> usual.number(name)));
        var inside = IntStream.range(0, first.blocks().size())
                .mapToObj(i -> asHard(first.blocks().get(i), usual.blocks().get(i)))
                .toList();
        return new BlockDraft(first.form(), numbers, first.words(), first.steps(), inside);
    }

    /** A side with every contraction as short as the limits want it, its ramps first. */
    public static Dose within(Dose dose, Limits limits) {
        var fit = new FirstDose(limits.highestEffort().value(), limits);
        return dose.withBlocks(dose.blocks().stream().map(fit::fitted).toList());
    }

    /** A side under a newcomer's limits, without a load. */
    public static Dose newcomers(Dose dose) {
        return dose.withCeiling(dose.ceiling().atMost(EffortPercent.of(NEWCOMER_CEILING)))
                .withSupportedHold(Math.min(dose.supportedHoldSeconds(), NEWCOMER_HOLD))
                .lighter(load -> 0);
    }

    private BlockDraft fitted(BlockDraft block) {
        var numbers = new HashMap<>(block.numbers());
        EFFORTS.forEach(name -> numbers.computeIfPresent(name, (n, v) -> Math.min(v, cap)));
        var steps = block.form() == BlockForm.GRADED_SET ? block.steps() : Tread.cappedAt(block.steps(), cap);
        var most = limits.contractionCap();
        if (most.isPresent()) {
            double seconds = most.get().bound();
            CONTRACTIONS.forEach(name -> numbers.computeIfPresent(name, (n, v) -> Math.min(v, seconds)));
            steps = shortened(block, steps, numbers, (int) seconds);
        }
        var inside = block.blocks().stream().map(this::fitted).toList();
        return new BlockDraft(block.form(), numbers, block.words(), steps, inside);
    }

    private List<Tread> shortened(BlockDraft block, List<Tread> steps, Map<String, Double> numbers, int seconds) {
        if (steps.isEmpty()) {
            return steps;
        }
        boolean graded = block.form() == BlockForm.GRADED_SET;
        int ceiling = numbers.getOrDefault("ceiling", 100.0).intValue();
        int climbed = graded ? Tread.cappedAt(steps, ceiling).size() : steps.size();
        double down = graded ? 0 : block.number("down");
        var ramp = ShortRamp.of(seconds, climbed);
        numbers.put("top-hold", Math.max(0, Math.min(block.number("top-hold"), ramp.topHoldSeconds() - down)));
        return steps.stream()
                .map(t -> new Tread(t.effort(), Math.min(t.seconds(), ramp.eachSeconds())))
                .toList();
    }
}
