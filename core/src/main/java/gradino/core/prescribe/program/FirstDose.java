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

/** A method's blocks as a client may begin with them: a newcomer's values, efforts under the cap, contractions under theirs. */
public final class FirstDose {
    private static final List<String> EFFORTS = List.of("ceiling", "effort");
    private static final List<String> CONTRACTIONS = List.of("hold", "contract", "pull", "lowering");

    private final int cap;
    private final Limits limits;

    private FirstDose(boolean newcomer, Limits limits) {
        int most = limits.highestEffort().value();
        this.cap = newcomer ? Math.min(most, BlockCheck.NEWCOMER_CEILING) : most;
        this.limits = limits;
    }

    public static List<BlockDraft> blocks(Method method, boolean newcomer, Limits limits) {
        var dose = new FirstDose(newcomer, limits);
        return method.firstBlocks(newcomer).stream().map(dose::fitted).toList();
    }

    /** A side under a newcomer's limits, without a load. */
    public static Dose newcomers(Dose dose) {
        return dose.withCeiling(dose.ceiling().atMost(EffortPercent.of(BlockCheck.NEWCOMER_CEILING)))
                .withSupportedHold(Math.min(dose.supportedHoldSeconds(), BlockCheck.NEWCOMER_HOLD))
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
