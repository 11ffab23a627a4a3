package gradino.core.prescribe.method;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A block as it is typed, before anybody knows whether it can be: {@link BlockReader} reads it.
 *
 * @param numbers by the names of {@link BlockParameter}; what is missing takes its usual value
 * @param words area, tool, part, joint, order, cue, what: whatever the kind names
 * @param steps treads of a ramp; empty for other kinds
 * @param blocks inside a group; empty for other kinds
 */
public record BlockDraft(
        BlockForm form,
        Map<String, Double> numbers,
        Map<String, String> words,
        List<Tread> steps,
        List<BlockDraft> blocks) {
    /** 20 · 40 · 50 %, a newcomer's ramp (house rule). */
    private static final List<Tread> FIRST_STEPS = List.of(new Tread(20, 5), new Tread(40, 5), new Tread(50, 5));

    public BlockDraft {
        numbers = Map.copyOf(numbers);
        words = Map.copyOf(words);
        steps = List.copyOf(steps);
        blocks = List.copyOf(blocks);
    }

    /** A tread as typed: percent and seconds. */
    public record Tread(double effort, double seconds) {
        /** Treads above an effort are dropped and it is the last; all of them where none is above. */
        public static List<Tread> cappedAt(List<Tread> steps, double effort) {
            var kept = new ArrayList<Tread>();
            for (var step : steps) {
                kept.add(new Tread(Math.min(effort, step.effort()), step.seconds()));
                if (step.effort() >= effort) {
                    break;
                }
            }
            return kept;
        }
    }

    /** A block of a kind as it begins when nothing is known: usual numbers, and a short staircase where it has one. */
    public static BlockDraft usual(BlockForm form) {
        var numbers = new HashMap<String, Double>();
        BlockParameter.of(form).forEach(p -> numbers.put(p.name(), p.usual()));
        var steps = form.isRamp() ? FIRST_STEPS : List.<Tread>of();
        return new BlockDraft(form, numbers, Map.of(), steps, List.of());
    }

    public static BlockDraft of(BlockForm form, Map<String, Double> numbers) {
        return new BlockDraft(form, numbers, Map.of(), List.of(), List.of());
    }

    /** The same block with another number. */
    public BlockDraft with(String name, double value) {
        var changed = new HashMap<>(numbers);
        changed.put(name, value);
        return new BlockDraft(form, changed, words, steps, blocks);
    }

    /** The same block with something else said. */
    public BlockDraft withWord(String name, String to) {
        var changed = new HashMap<>(words);
        changed.put(name, to);
        return new BlockDraft(form, numbers, changed, steps, blocks);
    }

    public BlockDraft withSteps(List<Tread> to) {
        return new BlockDraft(form, numbers, words, to, blocks);
    }

    BlockDraft withBlocks(List<BlockDraft> to) {
        return new BlockDraft(form, numbers, words, steps, to);
    }

    /** A number as typed, or the usual one. */
    public double number(String name) {
        Double typed = numbers.get(name);
        return typed != null ? typed : usual(name);
    }

    private double usual(String name) {
        return BlockParameter.find(form, name)
                .orElseThrow(() -> new IllegalArgumentException(form + " has no " + name))
                .usual();
    }

    public String word(String name, String fallback) {
        @Nullable String said = words.get(name);
        return said == null || said.isBlank() ? fallback : said;
    }
}
