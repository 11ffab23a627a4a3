package gradino.core.prescribe.method;

import gradino.core.because.Source;
import gradino.core.body.DataFile;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;

/**
 * A word of a kind of block, from {@code block-words.csv}.
 *
 * @param choices what it is usually, or all that it can be
 * @param only whether nothing but the choices can be said
 */
public record BlockWord(BlockForm form, String name, String label, List<Choice> choices, boolean only, Source source) {
    private static final List<BlockWord> ALL = DataFile.rows("block-words.csv", BlockWord::row);
    private static final Map<BlockForm, List<BlockWord>> BY_FORM =
            ALL.stream().collect(Collectors.groupingBy(BlockWord::form));

    /** What is kept, and how it is read. */
    public record Choice(String value, String text) {
        private static Choice of(String cell) {
            int arrow = cell.indexOf('>');
            return arrow < 0 ? new Choice(cell, cell) : new Choice(cell.substring(0, arrow), cell.substring(arrow + 1));
        }
    }

    public static List<BlockWord> of(BlockForm form) {
        return BY_FORM.getOrDefault(form, List.of());
    }

    public static Optional<BlockWord> find(BlockForm form, String name) {
        return of(form).stream().filter(w -> w.name().equals(name)).findFirst();
    }

    /** Whether it can be said; nothing said is the first of the choices. */
    boolean allows(String value) {
        return !only
                || value.isBlank()
                || choices.stream().anyMatch(c -> c.value().equals(value));
    }

    private static BlockWord row(CSVRecord row) {
        return new BlockWord(
                BlockForm.byId(row.get("form")).orElseThrow(() -> new IllegalArgumentException("no such form")),
                row.get("word"),
                row.get("label"),
                DataFile.list(row.get("choices")).stream().map(Choice::of).toList(),
                row.get("only").equals("yes"),
                Source.parse(row.get("source")));
    }
}
