package gradino.core.intake;

import gradino.core.because.Source;
import gradino.core.body.DataFile;
import java.util.List;

/** A manoeuvre of the Beighton score in words, from {@code beighton.csv}. */
public record BeightonItem(Beighton.Item item, String text, Source source) {
    private static final List<BeightonItem> ALL = DataFile.rows(
            "beighton.csv",
            row -> new BeightonItem(
                    Beighton.Item.valueOf(row.get("item")), row.get("text"), Source.parse(row.get("source"))));

    public static List<BeightonItem> all() {
        return ALL;
    }
}
