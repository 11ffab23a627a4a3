package gradino.core.figure;

import java.util.ArrayList;
import java.util.List;

/** What a rubber band round some circles would look like: their convex hull, as arcs. */
final class Outline {
    private static final double FULL = 360;
    private static final double A_LITTLE = 1e-7;

    /** A ball as it is seen. */
    record Circle(double x, double y, double radius) {
        double reach(double degrees) {
            double a = Math.toRadians(degrees);
            return x * Math.cos(a) + y * Math.sin(a) + radius;
        }
    }

    /** @param to at most 360 after {@code from} */
    private record Arc(Circle of, double from, double to) {}

    private Outline() {}

    /** Centre, radius, from and to of each arc, anticlockwise; see {@link Figure.Kind#OUTLINE}. */
    static double[] of(List<Circle> circles) {
        var turns = turns(circles);
        var arcs = new ArrayList<Arc>();
        for (int i = 0; i < turns.size(); i++) {
            double from = turns.get(i);
            double to = i + 1 < turns.size() ? turns.get(i + 1) : turns.get(0) + FULL;
            if (to - from > A_LITTLE) {
                add(arcs, new Arc(outermost(circles, (from + to) / 2), from, to));
            }
        }
        if (arcs.isEmpty()) {
            arcs.add(new Arc(outermost(circles, 0), 0, FULL));
        }
        return arcs.stream()
                .flatMap(a -> List.of(a.of().x(), a.of().y(), a.of().radius(), a.from(), a.to()).stream())
                .mapToDouble(Double::doubleValue)
                .toArray();
    }

    private static void add(List<Arc> arcs, Arc next) {
        int last = arcs.size() - 1;
        if (last >= 0 && arcs.get(last).of().equals(next.of())) {
            arcs.set(last, new Arc(next.of(), arcs.get(last).from(), next.to()));
        } else {
            arcs.add(next);
        }
    }

    /** Directions in which two circles reach equally far, rising. */
    private static List<Double> turns(List<Circle> circles) {
        var turns = new ArrayList<Double>();
        for (int i = 0; i < circles.size(); i++) {
            for (int j = i + 1; j < circles.size(); j++) {
                var a = circles.get(i);
                var b = circles.get(j);
                double apart = Math.hypot(b.x() - a.x(), b.y() - a.y());
                double more = a.radius() - b.radius();
                if (apart > Math.abs(more)) {
                    double towards = Math.toDegrees(Math.atan2(b.y() - a.y(), b.x() - a.x()));
                    double beside = Math.toDegrees(Math.acos(more / apart));
                    turns.add(wrapped(towards + beside));
                    turns.add(wrapped(towards - beside));
                }
            }
        }
        return turns.stream().sorted().toList();
    }

    private static double wrapped(double degrees) {
        return degrees - FULL * Math.floor(degrees / FULL);
    }

    private static Circle outermost(List<Circle> circles, double degrees) {
        var best = circles.get(0);
        for (var circle : circles) {
            if (circle.reach(degrees) > best.reach(degrees)) {
                best = circle;
            }
        }
        return best;
    }
}
