package gradino.core.intake;

import gradino.core.because.Source;
import gradino.core.body.DataFile;
import java.util.List;

/** A yes-or-no question of the screening, from {@code screen.csv}; asked topic by topic. */
public record Question(String id, String topic, String question, String help, Source source) {
    private static final List<Question> ALL = DataFile.rows(
            "screen.csv",
            row -> new Question(
                    row.get("id"),
                    row.get("topic"),
                    row.get("question"),
                    row.get("help"),
                    Source.parse(row.get("source"))));

    public static List<Question> all() {
        return ALL;
    }
}
