package gradino.core.body;

import gradino.core.because.Source;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;

/** Motions, positions and usual ranges that ship with Gradino, read once from the data files. */
public final class Catalogue {
    private static final List<Motion> MOTIONS = DataFile.rows("motions.csv", Catalogue::motion);
    private static final List<Position> POSITIONS = DataFile.rows("positions.csv", Catalogue::position);
    private static final List<Norm> NORMS = DataFile.rows("norms.csv", Catalogue::norm);

    private static final Map<String, Motion> MOTION_BY_ID = byId(MOTIONS, Motion::id);
    private static final Map<String, Position> POSITION_BY_ID = byId(POSITIONS, Position::id);

    private Catalogue() {}

    private static <T> Map<String, T> byId(List<T> rows, Function<T, String> id) {
        return rows.stream().collect(Collectors.toUnmodifiableMap(id, Function.identity()));
    }

    public static List<Motion> motions() {
        return MOTIONS;
    }

    public static List<Position> positions() {
        return POSITIONS;
    }

    public static List<Norm> norms() {
        return NORMS;
    }

    public static Optional<Motion> motion(String id) {
        return Optional.ofNullable(MOTION_BY_ID.get(id));
    }

    public static Optional<Position> position(String id) {
        return Optional.ofNullable(POSITION_BY_ID.get(id));
    }

    /** The usual range for a motion and mode in a position, if a table was taken at the same joint position. */
    public static Optional<Norm> norm(String motion, String mode, String position) {
        var table = position(position).map(Position::table);
        return NORMS.stream()
                .filter(n -> n.motion().equals(motion) && n.mode().equals(mode))
                .filter(n -> table.filter(n.position()::equals).isPresent())
                .findFirst();
    }

    private static Motion motion(CSVRecord row) {
        return new Motion(
                row.get("id"),
                row.get("joint"),
                row.get("name"),
                row.get("opposite"),
                row.get("zero"),
                row.get("landmarks"),
                Source.parse(row.get("source")));
    }

    private static Position position(CSVRecord row) {
        return new Position(
                row.get("id"),
                row.get("name"),
                row.get("view"),
                List.of(row.get("motions").split(";")),
                row.get("table").isEmpty() ? null : row.get("table"),
                Position.TapeFormulaId.valueOf(
                        row.get("tape").toUpperCase(Locale.ROOT).replace('-', '_')),
                row.get("zero"),
                row.get("setup"),
                row.get("press"),
                row.get("pull"),
                row.get("prop"),
                List.of(row.get("faults").split(";")),
                Source.parse(row.get("source")));
    }

    private static Norm norm(CSVRecord row) {
        return new Norm(
                row.get("motion"),
                row.get("mode"),
                row.get("position"),
                row.get("population"),
                Double.parseDouble(row.get("meanDegrees")),
                Double.parseDouble(row.get("sdDegrees")),
                Source.parse(row.get("source")));
    }
}
