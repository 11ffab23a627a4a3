package gradino.core.body;

import gradino.core.because.Source;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.csv.CSVRecord;

/**
 * The same motion goes on in a harder position, from {@code stages.csv}: lying before propped, then plank, then standing.
 *
 * @param motions ids for which the one position follows the other
 * @param from id of the position before
 * @param to id of the position after
 * @param bothSides whether both sides go together
 */
public record Stage(List<String> motions, String from, String to, boolean bothSides, List<Need> needs, Source source) {
    private static final List<Stage> ALL = DataFile.rows("stages.csv", Stage::row);

    /** What must be so before. */
    public enum Need {
        /** The ladder before it is done: at its top, barred, or without room on a fresh reading. */
        LADDER,
        /** Control is graded well enough. */
        GRADE,
        /** A coach has watched. */
        SEEN
    }

    public Stage {
        motions = List.copyOf(motions);
        needs = List.copyOf(needs);
    }

    public static List<Stage> all() {
        return ALL;
    }

    /** Empty at the hardest, and where none is known. */
    public static Optional<Stage> after(String motion, String position) {
        return ALL.stream()
                .filter(s -> s.from.equals(position) && s.motions.contains(motion))
                .findFirst();
    }

    private static Stage row(CSVRecord row) {
        var motions = DataFile.list(row.get("motions"));
        for (var motion : motions) {
            check(motion, row.get("from"));
            check(motion, row.get("to"));
        }
        return new Stage(
                motions,
                row.get("from"),
                row.get("to"),
                row.get("sides").equals("both"),
                DataFile.list(row.get("needs")).stream()
                        .map(n -> Need.valueOf(n.toUpperCase(Locale.ROOT)))
                        .toList(),
                Source.parse(row.get("source")));
    }

    private static void check(String motion, String id) {
        if (Catalogue.position(id).filter(p -> p.trains() && p.allows(motion)).isEmpty()) {
            throw new IllegalArgumentException(id + " does not train " + motion);
        }
    }
}
