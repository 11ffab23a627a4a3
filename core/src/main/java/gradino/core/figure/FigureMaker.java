package gradino.core.figure;

import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.figure.Angles.Freedom;
import gradino.core.figure.Figure.Box;
import gradino.core.figure.Figure.Kind;
import gradino.core.figure.Figure.Mark;
import gradino.core.figure.Figure.Role;
import gradino.core.figure.Pose.View;
import gradino.core.figure.Props.Seen;
import gradino.core.quantity.OutOfBoundsException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** Draws every position by the same routine: poses are data. */
public final class FigureMaker {
    /** A pose that stands at its zero is drawn so far into the range, degrees. */
    private static final double SHOWN = 28;

    private static final double ARROW = 9;
    private static final double MARGIN = 3;

    /** Outlines: what is drawn round which points. */
    private static final List<Form> FORMS = Form.all();

    /**
     * What is to be drawn.
     *
     * @param motion id of the motion that works; null for none
     * @param angle from the position's zero, degrees; null as the pose is written
     * @param press whether the position has a press, and so an arrow for it
     * @param landmarks whether the motion's are marked by their numbers
     * @param view null as the pose is written
     */
    public record Asked(
            Pose pose,
            @Nullable String motion,
            @Nullable Double angle,
            Side side,
            Build build,
            boolean press,
            boolean pull,
            boolean landmarks,
            @Nullable View view) {
        public Asked {
            if (angle != null) {
                OutOfBoundsException.require("working angle", angle, -360, 360, "°");
            }
        }

        /** Of nobody in particular, on the left; empty where a position has no pose. */
        public static Optional<Asked> of(Position position, @Nullable String motion) {
            return Poses.of(position.id())
                    .map(pose -> plain(pose, motion)
                            .arrows(
                                    !position.press().isEmpty(),
                                    !position.pull().isEmpty()));
        }

        static Asked plain(Pose pose, @Nullable String motion) {
            return new Asked(pose, motion, null, Side.LEFT, Build.typical(), true, true, false, null);
        }

        public Asked at(@Nullable Double otherAngle) {
            return new Asked(pose, motion, otherAngle, side, build, press, pull, landmarks, view);
        }

        public Asked on(Side otherSide) {
            return new Asked(pose, motion, angle, otherSide, build, press, pull, landmarks, view);
        }

        public Asked of(Build other) {
            return new Asked(pose, motion, angle, side, other, press, pull, landmarks, view);
        }

        public Asked seenFrom(@Nullable View other) {
            return new Asked(pose, motion, angle, side, build, press, pull, landmarks, other);
        }

        public Asked withLandmarks() {
            return new Asked(pose, motion, angle, side, build, press, pull, true, view);
        }

        /** From where to where a joint can show the working angle; empty where nothing works. */
        public Optional<Limit> range() {
            return work(this).map(Work::range);
        }

        View seen() {
            return view == null ? pose.view() : view;
        }

        Asked arrows(boolean hasPress, boolean hasPull) {
            return new Asked(pose, motion, angle, side, build, hasPress, hasPull, landmarks, view);
        }
    }

    private final Asked asked;
    private final Eye eye;
    private final Optional<Work> work;
    private final Angles angles;
    private final Body body;
    private final List<Seen> seen = new ArrayList<>();

    private static FigureMaker of(Asked asked) {
        var work = work(asked);
        var angles = asked.pose().angles.copy();
        work.ifPresent(w -> w.set(angles, shown(asked, w, angles)));
        Predicate<Freedom> held = f -> work.filter(w -> w.moves(f)).isPresent();
        return new FigureMaker(asked, angles, Settle.body(asked.build(), asked.pose(), angles, held));
    }

    private static Optional<Work> work(Asked asked) {
        return Optional.ofNullable(asked.motion()).flatMap(m -> Work.of(asked.pose(), m));
    }

    private FigureMaker(Asked asked, Angles angles, Body body) {
        this.asked = asked;
        this.eye = new Eye(asked.seen(), asked.side() == Side.RIGHT);
        this.work = work(asked);
        this.angles = angles;
        this.body = body;
    }

    /** In another pose than its own, with some of its joint angles held: a frame of a movement, without arrows. */
    static FigureMaker settled(Asked asked, Pose pose, Set<Freedom> held) {
        var angles = pose.angles.copy();
        var body = Settle.body(asked.build(), pose, angles, held::contains);
        return new FigureMaker(asked.arrows(false, false), angles, body);
    }

    FigureMaker moved(Vec by) {
        return new FigureMaker(asked, angles, body.moved(by));
    }

    Body body() {
        return body;
    }

    private static double shown(Asked asked, Work w, Angles angles) {
        if (asked.angle() != null) {
            return asked.angle();
        }
        double written = w.angle(angles);
        return Math.abs(written) < 1 ? SHOWN : written;
    }

    /** The same is drawn again and again: while a number is typed, all other lines of the session stay as they are. */
    private static final Kept<Figure> DRAWN = new Kept<>(asked -> of(asked).figure());

    private static final Kept<Optional<Working>> WORKING = new Kept<>(FigureMaker::foundWorking);

    /** What is drawn while it is dragged is not asked for again. */
    static Figure drawOnce(Asked asked) {
        return of(asked).figure();
    }

    public static Figure draw(Asked asked) {
        return DRAWN.of(asked);
    }

    /** @param along where the bone points, of length 1 */
    record Working(Bone bone, Vec along) {}

    /** As the pose is written, before it is settled: a leg lying flat points to the horizon. */
    static Optional<Working> working(Asked asked) {
        return WORKING.of(asked);
    }

    private static Optional<Working> foundWorking(Asked asked) {
        var pose = asked.pose();
        return Optional.ofNullable(asked.motion())
                .filter(m -> !pose.lifts.equals("none"))
                .flatMap(m -> Work.of(pose, m))
                .map(w -> {
                    var angles = pose.angles.copy();
                    w.set(angles, asked.angle() == null ? w.angle(angles) : asked.angle());
                    var body = new Body(asked.build(), angles, 0);
                    return pose.lifts.equals("trunk")
                            ? new Working(Bone.CHEST, body.turn(Bone.CHEST).of(new Vec(0, 0, 1)))
                            : Sector.working(body, w.parts().get(0).freedom());
                });
    }

    /** The slices' corners in space, the tip first. */
    static List<List<Vec>> slices(Asked asked) {
        var made = of(asked);
        return made.work.map(made::slices).orElse(List.of());
    }

    /** The settled body, for checks. */
    static Body body(Asked asked) {
        return of(asked).body;
    }

    private Figure figure() {
        return figure(Mat.under(body));
    }

    Figure figure(Mat mat) {
        forms();
        var props = new Props(asked.pose(), body, eye);
        seen.addAll(props.marks());
        var marks = new ArrayList<Mark>();
        seen.stream().sorted(Comparator.comparingDouble(Seen::near)).forEach(s -> marks.add(s.mark()));
        work.ifPresent(w -> slices(w).forEach(corners -> marks.add(Props.polygon(Role.SECTOR, eye, corners))));
        marks.addAll(props.lines());
        work.ifPresent(w -> marks.addAll(arrows(w)));
        if (asked.landmarks() && asked.motion() != null) {
            marks.addAll(Landmarks.seen(asked.motion(), body, eye));
        }
        var all = new ArrayList<Mark>();
        all.add(mat.seen(eye));
        all.addAll(marks);
        double angle = work.map(w -> w.angle(angles)).orElse(0.0);
        return new Figure(
                all,
                box(all),
                angle,
                asked.seen(),
                eye.words(),
                props.height() / 100 * asked.build().statureCm());
    }

    private void forms() {
        double middle = eye.near(body.joint(Bone.PELVIS));
        for (var form : FORMS) {
            var spots = form.spots();
            var circles =
                    spots.stream().map(s -> eye.circle(body.at(s), s.radius())).toList();
            double near = spots.stream()
                            .mapToDouble(s -> eye.near(body.at(s)))
                            .average()
                            .orElse(0)
                    + form.forward();
            seen.add(new Seen(near, Mark.of(Kind.OUTLINE, role(form, near < middle), Outline.of(circles))));
        }
    }

    private Role role(Form form, boolean far) {
        if (works(form.bone())) {
            return Role.WORKING;
        }
        return !form.bone().isSided() ? Role.TRUNK : far ? Role.FAR : Role.NEAR;
    }

    /** A thigh that turns about itself shows it by the shank. */
    private boolean works(Bone bone) {
        return work.filter(w -> w.parts().stream().anyMatch(p -> {
                    var moved = p.freedom().bone();
                    boolean shown = p.freedom().number() == 2 && moved.isSided() && bone.parent == moved;
                    return bone == moved || shown;
                }))
                .isPresent();
    }

    private List<List<Vec>> slices(Work w) {
        var made = new ArrayList<List<Vec>>();
        var drawn = new ArrayList<Integer>();
        for (var part : w.parts()) {
            int side = part.freedom().bone().side;
            if (!drawn.contains(side)) {
                drawn.add(side);
                made.add(new Sector(angles, body, w, part.freedom()).corners());
            }
        }
        return made;
    }

    /** Pull leads deeper into the range, press out of it: along the way of the end that works. */
    private List<Mark> arrows(Work w) {
        var freedom = w.parts().get(0).freedom();
        var end = Sector.end(body, freedom);
        var way = body.lever(freedom).slope(end, body.at(end)).unit().times(w.sign());
        var made = new ArrayList<Mark>();
        if (asked.press()) {
            made.add(arrow(Role.PRESS, end, way.times(-1)));
        }
        if (asked.pull()) {
            made.add(arrow(Role.PULL, end, way));
        }
        return made;
    }

    private Mark arrow(Role role, Spot end, Vec way) {
        var from = body.at(end).plus(way.times(end.radius() + 1));
        var to = from.plus(way.times(ARROW));
        return Mark.of(Kind.ARROW, role, eye.x(from), eye.y(from), eye.x(to), eye.y(to));
    }

    private static Box box(List<Mark> marks) {
        double left = Double.MAX_VALUE;
        double bottom = Double.MAX_VALUE;
        double right = -Double.MAX_VALUE;
        double top = -Double.MAX_VALUE;
        for (var mark : marks) {
            var n = mark.numbers();
            boolean round = mark.kind() == Kind.OUTLINE;
            for (int i = 0; i + 1 < n.size(); i += round ? 5 : 2) {
                double reach = round ? n.get(i + 2) : 0;
                left = Math.min(left, n.get(i) - reach);
                right = Math.max(right, n.get(i) + reach);
                bottom = Math.min(bottom, n.get(i + 1) - reach);
                top = Math.max(top, n.get(i + 1) + reach);
            }
        }
        return new Box(left - MARGIN, bottom - MARGIN, right + MARGIN, top + MARGIN);
    }
}
