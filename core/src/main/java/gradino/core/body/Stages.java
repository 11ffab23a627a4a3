package gradino.core.body;

import gradino.core.because.Source;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVRecord;

/**
 * The same motion in harder positions, from {@code stages.csv}: lying before propped, then plank, then standing.
 *
 * @param positions from the easiest to the hardest
 */
public record Stages(String motion, List<Position> positions, Source source) {
    private static final List<Stages> ALL = DataFile.rows("stages.csv", Stages::row);

    public Stages {
        positions = List.copyOf(positions);
    }

    public static List<Stages> all() {
        return ALL;
    }

    /** The next harder position; empty at the hardest, and where none is known. */
    public static Optional<Position> next(String motion, String position) {
        for (var stages : ALL) {
            var ids = stages.positions().stream().map(Position::id).toList();
            int at = ids.indexOf(position);
            if (stages.motion().equals(motion) && at >= 0 && at + 1 < ids.size()) {
                return Optional.of(stages.positions().get(at + 1));
            }
        }
        return Optional.empty();
    }

    private static Stages row(CSVRecord row) {
        var motion = row.get("motion");
        var positions = DataFile.list(row.get("positions")).stream()
                .map(id -> position(motion, id))
                .toList();
        return new Stages(motion, positions, Source.parse(row.get("source")));
    }

    private static Position position(String motion, String id) {
        return Catalogue.position(id)
                .filter(p -> p.trains() && p.allows(motion))
                .orElseThrow(() -> new IllegalArgumentException(id + " does not train " + motion));
    }
}
