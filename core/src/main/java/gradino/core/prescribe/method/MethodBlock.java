package gradino.core.prescribe.method;

import gradino.core.because.Source;
import gradino.core.prescribe.method.BlockDraft.Tread;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A block as a method prescribes it.
 *
 * @param number its place: 1, 2, 2.1 inside a group; with a plus for what a line may get later
 */
public record MethodBlock(
        String number,
        BlockForm form,
        Map<String, Range> numbers,
        Map<String, String> words,
        List<Tread> steps,
        List<MethodBlock> blocks) {
    /** Word by which a ladder names it; a block without is named by its kind. */
    static final String ROLE = "role";

    public MethodBlock {
        numbers = Map.copyOf(numbers);
        words = Map.copyOf(words);
        steps = List.copyOf(steps);
        blocks = List.copyOf(blocks);
    }

    /**
     * A number with the range beyond which the composer warns.
     *
     * @param first for a newcomer's first dose
     */
    public record Range(double usual, double least, double most, double first, Source source) {
        public boolean holds(double value) {
            return value >= least && value <= most;
        }

        public int usualWhole() {
            return (int) Math.round(usual);
        }

        /** The most, as a whole number of seconds, repetitions or percent. */
        public int mostWhole() {
            return (int) Math.round(most);
        }
    }

    public String role() {
        return words.getOrDefault(ROLE, form.id());
    }

    /** Whether it belongs to the first dose; others come later, by a step of the ladder. */
    public boolean inFirstDose() {
        return !number.startsWith("+");
    }

    /** As a line starts with it. */
    public BlockDraft draft(boolean newcomer) {
        var values = new HashMap<String, Double>();
        numbers.forEach((name, range) -> values.put(name, newcomer ? range.first() : range.usual()));
        return new BlockDraft(
                form,
                values,
                words,
                steps,
                blocks.stream().map(b -> b.draft(newcomer)).toList());
    }
}
