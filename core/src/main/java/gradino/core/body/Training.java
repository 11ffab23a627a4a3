package gradino.core.body;

import gradino.core.because.Source;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVRecord;

/**
 * What a position is for in training, from {@code training.csv}.
 *
 * @param tissue what is lengthened
 * @param press what pushing out of the range means here; empty where nothing is pressed
 * @param pull what pulling deeper means here; empty where nothing is pulled
 * @param props each with what it does to the angle
 * @param fixes faults, each with a cue, a prop or a position to change to
 * @param stops signs that end it here, beside those that end everything
 * @param equipment ids that it needs
 * @param methods ids that suit it
 * @param together whether both sides can work in it in the same stretch of time
 */
public record Training(
        String tissue,
        String press,
        String pull,
        List<Pair> props,
        List<String> easier,
        List<String> harder,
        List<Pair> fixes,
        List<String> stops,
        List<String> equipment,
        List<String> methods,
        Together together,
        Source source) {

    /** Both sides in the same stretch of time: never, if the coach likes, or as it is usually done. */
    public enum Together {
        NO,
        MAY,
        USUAL
    }

    /** One thing and what it leads to: a prop and its effect, a fault and its fix. */
    public record Pair(String what, String then) {}

    static Training of(CSVRecord row) {
        return new Training(
                said(row, "tissue"),
                row.get("press"),
                row.get("pull"),
                pairs(row.get("props")),
                DataFile.list(said(row, "easier")),
                DataFile.list(said(row, "harder")),
                pairs(said(row, "fixes")),
                DataFile.list(said(row, "stops")),
                DataFile.list(row.get("equipment")),
                DataFile.list(said(row, "methods")),
                Together.valueOf(said(row, "together").toUpperCase(Locale.ROOT)),
                Source.parse(row.get("source")));
    }

    private static String said(CSVRecord row, String column) {
        if (row.get(column).isBlank()) {
            throw new IllegalArgumentException(column + " must say something");
        }
        return row.get(column);
    }

    private static List<Pair> pairs(String cell) {
        return DataFile.list(cell).stream().map(Training::pair).toList();
    }

    private static Pair pair(String text) {
        int arrow = text.indexOf('>');
        if (arrow < 0) {
            throw new IllegalArgumentException("'" + text + "' needs what > then");
        }
        return new Pair(text.substring(0, arrow), text.substring(arrow + 1));
    }
}
