package gradino.core.body;

import gradino.core.because.Source;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;

/**
 * Small movements of which a position has more than the usual number, from {@code repetitions.csv}.
 *
 * @param position id
 * @param most repetitions that a ladder goes to there
 */
public record Repetitions(String position, int most, Source source) {
    private static final Map<String, Repetitions> BY_POSITION =
            DataFile.rows("repetitions.csv", Repetitions::row).stream()
                    .collect(Collectors.toUnmodifiableMap(Repetitions::position, r -> r));

    /** 0 where a position says nothing. */
    public static int most(String position) {
        var said = BY_POSITION.get(position);
        return said == null ? 0 : said.most();
    }

    private static Repetitions row(CSVRecord row) {
        var position = row.get("position");
        if (Catalogue.position(position).filter(Position::trains).isEmpty()) {
            throw new IllegalArgumentException("nothing is trained in a position '" + position + "'");
        }
        return new Repetitions(position, Integer.parseInt(row.get("most")), Source.parse(row.get("source")));
    }
}
