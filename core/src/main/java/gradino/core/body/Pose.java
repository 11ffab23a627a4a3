package gradino.core.body;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * How a position is drawn: a planar mannequin by the directions of its segments, from {@code poses.csv}. Directions in degrees
 * against the horizontal, anticlockwise, seen from {@code view}; lengths come from the shares of stature.
 *
 * @param work the segment that moves with the working angle; null where none does
 * @param floor a point that stands at a height over the floor; null where the lowest point stands on it
 */
public record Pose(
        String view,
        List<Limb> segments,
        @Nullable Work work,
        List<Prop> props,
        List<Arrow> arrows,
        @Nullable Stand floor) {
    static final Set<String> SEGMENTS = Set.of(
            "trunk", "head", "face", "thighN", "shankN", "footN", "thighF", "shankF", "footF", "armN", "foreN", "armF",
            "foreF");
    private static final Set<String> POINTS = Set.of(
            "pelvis",
            "shoulder",
            "shoulderN",
            "hipN",
            "hipF",
            "kneeN",
            "kneeF",
            "ankleN",
            "ankleF",
            "footN",
            "footF",
            "elbowN",
            "handN",
            "handF");
    private static final Set<String> PROPS = Set.of("block", "bench", "table", "wall", "strap", "ball", "band");

    /** @param scale of its length, for what points towards the viewer; 0 to 1 */
    public record Limb(String name, double degrees, double scale) {}

    /**
     * The segment that turns about a point as the working angle grows.
     *
     * @param from direction at the position's zero
     * @param turn 1 anticlockwise, −1 clockwise
     */
    public record Work(String segment, String point, double from, int turn) {}

    public record Prop(String kind, String point) {}

    /** A push at a point; press leads out of the range, pull deeper into it. */
    public record Arrow(boolean press, String point, double degrees) {}

    /** @param height share of stature */
    public record Stand(String point, double height) {}

    static Map.Entry<String, Pose> of(CSVRecord row) {
        var segments =
                DataFile.list(row.get("segments")).stream().map(Pose::limb).toList();
        Work work = null;
        Stand floor = null;
        var props = new ArrayList<Prop>();
        var arrows = new ArrayList<Arrow>();
        for (var mark : DataFile.list(row.get("marks"))) {
            var words = mark.split(" ");
            switch (words[0]) {
                case "work" ->
                    work = new Work(
                            in(SEGMENTS, words[1]), in(POINTS, words[2]), number(words[3]), (int) number(words[4]));
                case "prop" -> props.add(new Prop(in(PROPS, words[1]), in(POINTS, words[2])));
                case "press", "pull" ->
                    arrows.add(new Arrow(words[0].equals("press"), in(POINTS, words[1]), number(words[2])));
                case "floor" -> floor = new Stand(in(POINTS, words[1]), number(words[2]));
                default -> throw new IllegalArgumentException("unknown mark " + mark);
            }
        }
        return Map.entry(row.get("position"), new Pose(row.get("view"), segments, work, props, arrows, floor));
    }

    private static Limb limb(String text) {
        var words = text.split(" ");
        var parts = words[1].split("\\*");
        double scale = parts.length > 1 ? number(parts[1]) : 1;
        if (!(scale > 0 && scale <= 1)) {
            throw new IllegalArgumentException("a segment is drawn at over 0 to 1 of its length, was " + text);
        }
        return new Limb(in(SEGMENTS, words[0]), number(parts[0]), scale);
    }

    private static String in(Set<String> known, String word) {
        if (!known.contains(word)) {
            throw new IllegalArgumentException("unknown " + word);
        }
        return word;
    }

    private static double number(String text) {
        return Double.parseDouble(text);
    }
}
