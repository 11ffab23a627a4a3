package gradino.core.figure;

import gradino.core.body.DataFile;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVRecord;

/** The poses of the catalogue's positions, from {@code poses.csv}; each begins from another one, the first ones from standing straight. */
public final class Poses {
    /** Read when the first is asked for: start-up draws none. */
    private static final class Shipped {
        private static final Map<String, Pose> ALL = read();
    }

    private static volatile Map<String, Pose> own = Map.of();

    private Poses() {}

    public static Optional<Pose> of(String positionId) {
        return Optional.ofNullable(Shipped.ALL.get(positionId)).or(() -> Optional.ofNullable(own.get(positionId)));
    }

    /** The studio's own, in place of any before. */
    static void own(Map<String, Pose> poses) {
        own = Map.copyOf(poses);
    }

    private static Map<String, Pose> read() {
        var all = new LinkedHashMap<String, Pose>();
        DataFile.rows("poses.csv", row -> row).forEach(row -> all.put(row.get("position"), pose(row, all)));
        return all;
    }

    private static Pose pose(CSVRecord row, Map<String, Pose> before) {
        var base = row.get("from").isEmpty() ? new Pose() : before.get(row.get("from"));
        if (base == null) {
            throw new IllegalArgumentException(row.get("position") + " begins from an unknown " + row.get("from"));
        }
        var pose = base.copy();
        list(row, "joints").forEach(pose::bend);
        list(row, "contacts").forEach(pose::touch);
        list(row, "marks").forEach(pose::mark);
        return pose;
    }

    private static List<String> list(CSVRecord row, String column) {
        return DataFile.list(row.get(column));
    }
}
