package gradino.core.figure;

import gradino.core.body.DataFile;
import gradino.core.figure.Angles.Freedom;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How far a joint goes in a drawing, degrees, from {@code joint-limits.csv}: the usual range's mean and three standard
 * deviations, so that no healthy reading is refused.
 */
public record Limit(double least, double most) {
    private static final double MOST = 3600;

    public Limit {
        if (!(least <= most) || Math.abs(least) > MOST || Math.abs(most) > MOST) {
            throw new IllegalArgumentException("a limit goes from " + least + " to " + most + "°");
        }
    }

    private static final List<String> NAMES = List.of("flexion", "abduction", "rotation");
    private static final Limit NONE = new Limit(-360, 360);
    private static final Map<Freedom, Limit> ALL = read();

    private static Map<Freedom, Limit> read() {
        var all = new HashMap<Freedom, Limit>();
        DataFile.rows("joint-limits.csv", row -> row).forEach(row -> {
            var limit = new Limit(Double.parseDouble(row.get("least")), Double.parseDouble(row.get("most")));
            for (var bone : Pose.bones(row.get("joint"))) {
                all.put(new Freedom(bone, NAMES.indexOf(row.get("angle"))), limit);
            }
        });
        return Map.copyOf(all);
    }

    static Limit of(Freedom freedom) {
        return ALL.getOrDefault(freedom, NONE);
    }

    public boolean allows(double degrees) {
        return degrees >= least && degrees <= most;
    }

    /** Not beyond the limit, nor further than it was where a pose begins beyond it. */
    double clamp(double degrees, double before) {
        return Math.max(Math.min(least, before), Math.min(Math.max(most, before), degrees));
    }
}
