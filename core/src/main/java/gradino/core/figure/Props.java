package gradino.core.figure;

import gradino.core.figure.Figure.Kind;
import gradino.core.figure.Figure.Mark;
import gradino.core.figure.Figure.Role;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** What the body rests on, holds or leans against, to scale: as high as the point that it is under. */
final class Props {
    private static final double LOWEST = 0.5;
    private static final double WALL_HALF = 20;
    private static final double WALL_TOP = 92;

    /** Half of the length ahead and to the side, hundredths of stature. */
    private record Size(double ahead, double across) {}

    private static final Map<String, Size> SIZES = Map.of(
            "block", new Size(4.5, 6.5),
            "bench", new Size(8, 22),
            "chair", new Size(12, 12),
            "table", new Size(26, 40));

    static final List<String> KINDS =
            List.of("block", "bench", "chair", "table", "ball", "roll", "weight", "wall", "strap", "band");

    /** @param near more is nearer to the eye */
    record Seen(double near, Mark mark) {}

    private final List<Seen> marks = new ArrayList<>();
    private final List<Mark> lines = new ArrayList<>();
    private final Body body;
    private final Eye eye;
    private double height;

    Props(Pose pose, Body body, Eye eye) {
        this.body = body;
        this.eye = eye;
        pose.props.forEach(this::prop);
    }

    List<Seen> marks() {
        return marks;
    }

    List<Mark> lines() {
        return lines;
    }

    /** Of the first that stands on the floor, hundredths of stature. */
    double height() {
        return height;
    }

    private void prop(Pose.Prop prop) {
        var at = body.at(prop.spot());
        switch (prop.kind()) {
            case "strap", "band" -> {
                var to = body.at(prop.other());
                lines.add(Mark.of(Kind.LINE, Role.PROP, eye.x(at), eye.y(at), eye.x(to), eye.y(to)));
            }
            case "ball", "roll" -> {
                var under = at.minus(new Vec(0, 0, prop.spot().radius() + 3));
                var circle = eye.circle(new Vec(under.x(), under.y(), Math.max(3, under.z())), 3.6);
                marks.add(new Seen(eye.near(at) - 1, round(List.of(circle))));
            }
            case "weight" -> {
                // Lies on the body: a ball, and a plate on it.
                var on = at.plus(new Vec(0, 0, prop.spot().radius() + 2.6));
                marks.add(new Seen(eye.near(on) + 8, round(List.of(eye.circle(on, 3.2)))));
                var plate = on.plus(new Vec(0, 0, 5));
                var ends = List.of(
                        eye.circle(plate.minus(new Vec(0, 6, 0)), 2.4), eye.circle(plate.plus(new Vec(0, 6, 0)), 2.4));
                marks.add(new Seen(eye.near(on) + 8.1, round(ends)));
            }
            case "wall" -> wall(at, prop.spot().radius());
            default -> box(at, at.z() - prop.spot().radius(), size(prop.kind()));
        }
    }

    private static Mark round(List<Outline.Circle> circles) {
        return Mark.of(Kind.OUTLINE, Role.PROP, Outline.of(circles));
    }

    private static Size size(String kind) {
        var size = SIZES.get(kind);
        if (size == null) {
            throw new IllegalArgumentException("no prop called " + kind);
        }
        return size;
    }

    private void box(Vec at, double top, Size size) {
        if (top < LOWEST) {
            return;
        }
        height = height == 0 ? top : height;
        var upper = new ArrayList<Vec>();
        var all = new ArrayList<Outline.Circle>();
        for (var corner : List.of(new Vec(-1, -1, 0), new Vec(1, -1, 0), new Vec(1, 1, 0), new Vec(-1, 1, 0))) {
            var below = new Vec(at.x() + corner.x() * size.ahead(), at.y() + corner.y() * size.across(), 0);
            upper.add(below.plus(new Vec(0, 0, top)));
            all.add(eye.circle(below, 0));
            all.add(eye.circle(upper.get(upper.size() - 1), 0));
        }
        double near = eye.near(new Vec(at.x(), at.y(), top / 2)) - 2;
        marks.add(new Seen(near, Mark.of(Kind.OUTLINE, Role.PROP, Outline.of(all))));
        marks.add(new Seen(near + 0.01, polygon(Role.PROP_TOP, eye, upper)));
    }

    /** Square to the way from the pelvis. */
    private void wall(Vec at, double radius) {
        var from = at.minus(body.joint(Bone.PELVIS));
        boolean ahead = Math.abs(from.x()) >= Math.abs(from.y());
        double x = at.x() + (ahead ? Math.signum(from.x()) * radius : 0);
        double y = at.y() + (ahead ? 0 : Math.signum(from.y()) * radius);
        var along = ahead ? new Vec(0, WALL_HALF, 0) : new Vec(WALL_HALF, 0, 0);
        var foot = new Vec(x, y, 0);
        var head = new Vec(x, y, WALL_TOP);
        var corners = List.of(foot.minus(along), foot.plus(along), head.plus(along), head.minus(along));
        marks.add(new Seen(-Double.MAX_VALUE, polygon(Role.PROP_TOP, eye, corners)));
    }

    static Mark polygon(Role role, Eye eye, List<Vec> corners) {
        return Mark.of(
                Kind.POLYGON,
                role,
                corners.stream()
                        .flatMap(c -> List.of(eye.x(c), eye.y(c)).stream())
                        .mapToDouble(Double::doubleValue)
                        .toArray());
    }
}
