package gradino.core.body;

import gradino.core.body.Figure.Box;
import gradino.core.body.Figure.Kind;
import gradino.core.body.Figure.Mark;
import gradino.core.body.Figure.Role;
import gradino.core.quantity.OutOfBoundsException;
import java.util.ArrayList;
import java.util.List;

/** Draws every position by the same routine: poses are data. */
public final class FigureMaker {
    /** For a drawing of nobody in particular, cm (house rule). */
    public static final double TYPICAL_STATURE_CM = 170;

    private static final double HEAD = 6.5;
    private static final double SECTOR = 13;
    private static final double SHOWN = 28;
    private static final double ARROW = 13;
    private static final double WALL_TOP = 96;
    private static final double MARGIN = 4;
    /** The trunk of someone lying, seen from the feet. */
    private static final double END_ON = 5;

    private static final double CENTIMETRES_PER_UNIT = 0.01;

    private final Pose pose;
    private final Skeleton body;
    private final double angle;
    private final List<Mark> marks = new ArrayList<>();
    private double propUnits;

    private FigureMaker(Pose pose, double angle) {
        this.pose = pose;
        this.body = new Skeleton(pose, angle);
        this.angle = angle;
    }

    /** The pose as it is written; one that stands at its zero is drawn a little way into the range. */
    public static Figure draw(Pose pose, double statureCm) {
        var figure = new FigureMaker(pose, Double.NaN).figure(statureCm);
        boolean atZero = pose.work() != null && Math.abs(figure.angleDegrees()) < 1;
        return atZero ? draw(pose, statureCm, SHOWN) : figure;
    }

    /** At a working angle, degrees from the position's zero. */
    public static Figure draw(Pose pose, double statureCm, double angleDegrees) {
        OutOfBoundsException.require("working angle", angleDegrees, -360, 360, "°");
        return new FigureMaker(pose, angleDegrees).figure(statureCm);
    }

    private Figure figure(double statureCm) {
        OutOfBoundsException.require("stature", statureCm, 50, 400, "cm");
        pose.props().forEach(this::prop);
        limbs("F", Role.FAR);
        if (pose.view().equals("feet")) {
            var pelvis = body.at("pelvis");
            marks.add(Mark.of(Kind.CIRCLE, Role.FAR, pelvis.x(), pelvis.y(), END_ON));
        } else {
            trunk();
        }
        limbs("N", Role.NEAR);
        double shown = sector();
        pose.arrows().forEach(this::arrow);
        var box = box();
        var all = new ArrayList<Mark>();
        if (!pose.view().equals("top")) {
            all.add(Mark.of(Kind.LINE, Role.FLOOR, box.left(), 0, box.right(), 0));
        }
        all.addAll(marks);
        return new Figure(all, box, shown, seenFrom(), propUnits * CENTIMETRES_PER_UNIT * statureCm);
    }

    private String seenFrom() {
        return switch (pose.view()) {
            case "feet" -> "the feet";
            case "top" -> "above";
            default -> "";
        };
    }

    private void trunk() {
        line(Role.TRUNK, "pelvis", "shoulder");
        if (Skeleton.isWide(pose.view())) {
            line(Role.TRUNK, "hipN", "shoulderN");
            line(Role.TRUNK, "hipF", "shoulderF");
            line(Role.TRUNK, "hipF", "hipN");
            line(Role.TRUNK, "shoulderF", "shoulderN");
        }
        head();
    }

    private void limbs(String which, Role role) {
        segment(role, "thigh" + which, "hip" + which, "knee" + which);
        segment(role, "shank" + which, "knee" + which, "ankle" + which);
        segment(role, "foot" + which, "ankle" + which, "foot" + which);
        if (pose.view().equals("feet")) {
            return;
        }
        segment(role, "arm" + which, "shoulder" + which, "elbow" + which);
        segment(role, "fore" + which, "elbow" + which, "hand" + which);
    }

    private void segment(Role role, String name, String from, String to) {
        var work = pose.work();
        line(work != null && work.segment().equals(name) ? Role.WORKING : role, from, to);
    }

    private void line(Role role, String from, String to) {
        var a = body.at(from);
        var b = body.at(to);
        marks.add(Mark.of(Kind.LINE, role, a.x(), a.y(), b.x(), b.y()));
    }

    /** A small tick tells where the face looks. */
    private void head() {
        var at = body.at("head");
        marks.add(Mark.of(Kind.CIRCLE, Role.TRUNK, at.x(), at.y(), HEAD));
        if (!Skeleton.isWide(pose.view())) {
            double face = body.degrees("face");
            var skin = at.to(face, HEAD);
            var nose = at.to(face, HEAD + 2);
            marks.add(Mark.of(Kind.LINE, Role.TRUNK, skin.x(), skin.y(), nose.x(), nose.y()));
        }
    }

    private double sector() {
        var work = pose.work();
        if (work == null) {
            return 0;
        }
        double to = Double.isFinite(angle) ? work.from() + work.turn() * angle : body.degrees(work.segment());
        var at = body.at(work.point());
        boolean outwards = !work.point().startsWith("ankle") || work.segment().startsWith("foot");
        double flip = outwards ? 0 : 180;
        marks.add(Mark.of(
                Kind.SECTOR, Role.SECTOR, at.x(), at.y(), SECTOR, work.from() + flip, nearest(to, work.from()) + flip));
        return Double.isFinite(angle) ? angle : work.turn() * (nearest(to, work.from()) - work.from());
    }

    /** The same direction, by full turns as near as can be. */
    private static double nearest(double degrees, double from) {
        return degrees - 360 * Math.rint((degrees - from) / 360);
    }

    private void prop(Pose.Prop prop) {
        var at = body.at(prop.point());
        double top = at.y() - Skeleton.thickness(prop.point());
        switch (prop.kind()) {
            case "block" -> box(at.x(), 14, top);
            case "bench" -> box(at.x(), 34, top);
            case "table" -> box(at.x(), 60, top);
            case "wall" -> marks.add(Mark.of(Kind.LINE, Role.PROP, at.x() + 2.5, 0, at.x() + 2.5, WALL_TOP));
            case "ball" -> marks.add(Mark.of(Kind.CIRCLE, Role.PROP, at.x(), Math.max(4, at.y() - 7), 4));
            case "band" -> marks.add(Mark.of(Kind.LINE, Role.PROP, at.x(), at.y(), at.x() - 24, Math.max(1, at.y())));
            case "strap" -> {
                var hand = body.at("handN");
                marks.add(Mark.of(Kind.LINE, Role.PROP, hand.x(), hand.y(), at.x(), at.y()));
            }
            default -> throw new IllegalArgumentException("no prop called " + prop.kind());
        }
    }

    private void box(double x, double width, double top) {
        if (top > 0.5) {
            marks.add(Mark.of(Kind.RECTANGLE, Role.PROP, x - width / 2, 0, width, top));
            propUnits = propUnits == 0 ? top : propUnits;
        }
    }

    private void arrow(Pose.Arrow arrow) {
        var from = body.at(arrow.point()).to(arrow.degrees(), 3);
        var to = from.to(arrow.degrees(), ARROW);
        marks.add(Mark.of(Kind.ARROW, arrow.press() ? Role.PRESS : Role.PULL, from.x(), from.y(), to.x(), to.y()));
    }

    private Box box() {
        double left = Double.MAX_VALUE;
        double right = -Double.MAX_VALUE;
        double bottom = 0;
        double top = 0;
        for (var mark : marks) {
            var n = mark.numbers();
            double reach = mark.kind() == Kind.CIRCLE || mark.kind() == Kind.SECTOR ? n.get(2) : 0;
            boolean rectangle = mark.kind() == Kind.RECTANGLE;
            double x2 = rectangle ? n.get(0) + n.get(2) : reach > 0 ? n.get(0) : n.get(2);
            double y2 = rectangle ? n.get(1) + n.get(3) : reach > 0 ? n.get(1) : n.get(3);
            left = Math.min(left, Math.min(n.get(0), x2) - reach);
            right = Math.max(right, Math.max(n.get(0), x2) + reach);
            bottom = Math.min(bottom, Math.min(n.get(1), y2) - reach);
            top = Math.max(top, Math.max(n.get(1), y2) + reach);
        }
        return new Box(left - MARGIN, bottom - 2, right + MARGIN, top + MARGIN);
    }
}
