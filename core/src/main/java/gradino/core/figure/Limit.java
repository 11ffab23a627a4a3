package gradino.core.figure;

import gradino.core.body.DataFile;
import gradino.core.figure.Angles.Freedom;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * How far a joint goes in a drawing, degrees, from {@code joint-limits.csv}: the usual range's mean and three standard
 * deviations, so that no healthy reading is refused.
 */
record Limit(double least, double most) {
    private static final Map<String, Limit> ALL = DataFile.rows("joint-limits.csv", row -> row).stream()
            .collect(Collectors.toMap(
                    row -> row.get("joint") + " " + row.get("angle"),
                    row -> new Limit(Double.parseDouble(row.get("least")), Double.parseDouble(row.get("most")))));

    private static final Limit NONE = new Limit(-360, 360);
    private static final List<String> NAMES = List.of("flexion", "abduction", "rotation");

    static Limit of(Freedom freedom) {
        return ALL.getOrDefault(freedom.bone().joint + " " + NAMES.get(freedom.number()), NONE);
    }

    boolean allows(double degrees) {
        return degrees >= least && degrees <= most;
    }

    /** Not beyond the limit, nor further than it was where a pose begins beyond it. */
    double clamp(double degrees, double before) {
        return Math.max(Math.min(least, before), Math.min(Math.max(most, before), degrees));
    }
}
