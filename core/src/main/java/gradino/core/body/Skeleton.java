package gradino.core.body;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Where the joints of a pose lie, in hundredths of stature, standing on the floor. */
final class Skeleton {
    private static final double TRUNK = 28.8;
    private static final double NECK = 5;
    private static final double HEAD = 6.5;
    private static final double FOOT = 11;
    private static final double HAND = 5.4;
    private static final double HALF_HIPS = 4.5;
    private static final double HALF_SHOULDERS = 9;

    /** How thick the body is round a joint: what rests on the floor is skin, not bone. */
    private static final Map<String, Double> THICKNESS = Map.ofEntries(
            Map.entry("pelvis", 5.0),
            Map.entry("shoulder", 4.5),
            Map.entry("head", HEAD),
            Map.entry("kneeN", 2.6),
            Map.entry("kneeF", 2.6),
            Map.entry("ankleN", 2.0),
            Map.entry("ankleF", 2.0),
            Map.entry("handN", 1.0),
            Map.entry("handF", 1.0),
            Map.entry("footN", 1.0),
            Map.entry("footF", 1.0));

    private static final Map<String, List<String>> MOVED_ALONG = Map.of(
            "thighN", List.of("shankN", "footN"),
            "thighF", List.of("shankF", "footF"),
            "shankN", List.of("footN"),
            "shankF", List.of("footF"),
            "armN", List.of("foreN"),
            "armF", List.of("foreF"),
            "trunk", List.of("head", "face", "armN", "foreN", "armF", "foreF"));

    record Point(double x, double y) {
        Point to(double degrees, double length) {
            double a = Math.toRadians(degrees);
            return new Point(x + length * Math.cos(a), y + length * Math.sin(a));
        }

        Point lifted(double by) {
            return new Point(x, y + by);
        }
    }

    private final Map<String, Pose.Limb> limbs = new HashMap<>();
    private final Map<String, Point> points = new LinkedHashMap<>();

    /** @param angle working angle in degrees; NaN for the pose as it is written */
    Skeleton(Pose pose, double angle) {
        pose.segments().forEach(l -> limbs.put(l.name(), l));
        var work = pose.work();
        if (work != null && Double.isFinite(angle)) {
            turn(work, angle);
        }
        place(pose.view());
        stand(pose);
    }

    /** What hangs on the working segment turns with it; a shank that leans over its foot leaves the foot on the floor. */
    private void turn(Pose.Work work, double angle) {
        double to = work.from() + work.turn() * angle;
        double by = to - degrees(work.segment());
        set(work.segment(), to);
        boolean overTheFoot = work.segment().startsWith("shank") && work.point().startsWith("ankle");
        if (!overTheFoot) {
            MOVED_ALONG.getOrDefault(work.segment(), List.of()).stream()
                    .filter(limbs::containsKey)
                    .forEach(s -> set(s, degrees(s) + by));
        }
    }

    private void set(String segment, double degrees) {
        limbs.put(segment, new Pose.Limb(segment, degrees, scale(segment)));
    }

    /** Whether left and right lie side by side in the drawing. */
    static boolean isWide(String view) {
        return List.of("front", "back", "feet").contains(view);
    }

    double degrees(String segment) {
        var limb = limbs.get(segment);
        if (limb != null) {
            return limb.degrees();
        }
        return switch (segment) {
            case "head" -> degrees("trunk");
            case "face" -> degrees("head") - 90;
            default -> 0;
        };
    }

    private double scale(String segment) {
        var limb = limbs.get(segment);
        return limb == null ? 1 : limb.scale();
    }

    Point at(String point) {
        var found = points.get(point);
        if (found == null) {
            throw new IllegalArgumentException("no point called " + point);
        }
        return found;
    }

    Map<String, Point> points() {
        return points;
    }

    static double thickness(String point) {
        return THICKNESS.getOrDefault(point, 0.0);
    }

    private void place(String view) {
        boolean wide = isWide(view);
        var pelvis = new Point(0, 0);
        points.put("pelvis", pelvis);
        var shoulder = pelvis.to(degrees("trunk"), TRUNK * scale("trunk"));
        points.put("shoulder", shoulder);
        points.put("head", shoulder.to(degrees("head"), (NECK + HEAD) * (wide ? Math.max(0.3, scale("trunk")) : 1)));
        limb("N", wide ? 1 : 0);
        limb("F", wide ? -1 : 0);
    }

    private void limb(String which, int side) {
        double across = degrees("trunk") - 90;
        var hip = at("pelvis").to(across, side * HALF_HIPS);
        var shoulder = at("shoulder").to(across, side * HALF_SHOULDERS);
        points.put("hip" + which, hip);
        points.put("shoulder" + which, shoulder);
        chain(hip, "thigh" + which, "knee" + which, 100 * Anthropometry.share("thigh"));
        chain(at("knee" + which), "shank" + which, "ankle" + which, 100 * Anthropometry.share("shank"));
        chain(at("ankle" + which), "foot" + which, "foot" + which, FOOT);
        chain(shoulder, "arm" + which, "elbow" + which, 100 * Anthropometry.share("upper-arm"));
        chain(at("elbow" + which), "fore" + which, "hand" + which, 100 * Anthropometry.share("forearm") + HAND);
    }

    private void chain(Point from, String segment, String to, double length) {
        points.put(to, from.to(degrees(segment), length * scale(segment)));
    }

    /** The lowest point rests on the floor, or a named one at its height. */
    private void stand(Pose pose) {
        double lowest = Double.MAX_VALUE;
        for (var point : points.entrySet()) {
            lowest = Math.min(lowest, point.getValue().y() - thickness(point.getKey()));
        }
        var floor = pose.floor();
        double lift = floor == null
                ? -lowest
                : floor.height() * 100 - at(floor.point()).y();
        points.replaceAll((name, point) -> point.lifted(lift));
    }
}
