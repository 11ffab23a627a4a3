package gradino.core.figure;

import gradino.core.figure.Angles.Freedom;
import gradino.core.figure.FigureMaker.Asked;
import gradino.core.figure.Moving.Way;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The way that joint angles take in a movement: round a circle, or between two poses. */
final class Course {
    /** Degrees that a lift goes beyond where it lies, and the share of the angle that a movement begins at (house rules). */
    private static final double LIFTED = 9;

    private static final double BEGINS = 0.25;
    private static final double LEAST = 12;

    /** @param first half of the circle's height, in the first angle; the second in the second, degrees (house rule) */
    private record Round(String joint, int one, double first, int two, double second) {}

    private static final Map<String, Round> ROUND = Map.ofEntries(
            round("hip", 0, 26, 1, 18),
            round("shoulder", 0, 60, 1, 40),
            round("elbow", 0, 28, 2, 45),
            round("wrist", 0, 35, 1, 16),
            round("nod", 0, 16, 1, 14),
            round("trunk", 0, 14, 1, 12),
            round("chest", 0, 10, 1, 12),
            round("waist", 0, 12, 1, 10),
            round("knee", 0, 8, 2, 16),
            round("ankle", 0, 22, 1, 14),
            round("pelvis", 0, 9, 1, 9));

    private static Map.Entry<String, Round> round(String joint, int one, double first, int two, double second) {
        return Map.entry(joint, new Round(joint, one, first, two, second));
    }

    private final Pose pose;
    private final Angles from;
    private final Angles to;
    private final Set<Freedom> moved = new HashSet<>();
    private final List<Freedom> firsts;
    private final List<Freedom> seconds;
    private final double first;
    private final double second;

    private Course(Pose pose, Angles from, Angles to) {
        this(pose, from, to, List.of(), List.of(), 0, 0);
        Arrays.stream(Bone.values())
                .flatMap(b -> Freedom.of(b).stream())
                .filter(f -> from.get(f) != to.get(f))
                .forEach(moved::add);
    }

    private Course(
            Pose pose,
            Angles from,
            Angles to,
            List<Freedom> firsts,
            List<Freedom> seconds,
            double first,
            double second) {
        this.pose = pose;
        this.from = from;
        this.to = to;
        this.firsts = firsts;
        this.seconds = seconds;
        this.first = first;
        this.second = second;
        moved.addAll(firsts);
        moved.addAll(seconds);
    }

    /** Empty where nothing of this body moves. */
    static Optional<Course> of(Asked asked, Way way) {
        var pose = asked.pose();
        var work = Optional.ofNullable(asked.motion()).flatMap(m -> Work.of(pose, m));
        if (way == Way.CIRCLE) {
            var joint = pose.circles.isEmpty()
                    ? Optional.ofNullable(asked.motion()).flatMap(Work::joint)
                    : Optional.of(pose.circles);
            return joint.map(j -> circle(pose, j));
        }
        var here = pose.angles.copy();
        if (way == Way.BETWEEN && pose.swings) {
            return Optional.of(new Course(pose.standingBothWays(), Mirror.of(here), here));
        } else if (way == Way.BETWEEN && !pose.to.isEmpty()) {
            var other = pose.copy();
            pose.to.forEach(other::bend);
            return Optional.of(new Course(pose, here, other.angles));
        }
        return work.map(w -> along(asked, w, way));
    }

    /** Along the working angle. */
    private static Course along(Asked asked, Work work, Way way) {
        var from = asked.pose().angles.copy();
        var to = from.copy();
        double written = work.angle(from);
        double angle = asked.angle() != null ? asked.angle() : written;
        if (way == Way.LIFT) {
            work.set(from, angle);
            work.set(to, angle + LIFTED);
            work.parts()
                    .forEach(p -> to.set(
                            p.freedom(), Limit.of(p.freedom()).clamp(to.get(p.freedom()), from.get(p.freedom()))));
        } else {
            double end = Math.abs(angle) < LEAST ? LEAST : angle;
            work.set(from, BEGINS * end);
            work.set(to, end);
        }
        return new Course(asked.pose(), from, to);
    }

    private static Course circle(Pose pose, String joint) {
        var round = ROUND.getOrDefault(joint, new Round(joint, 0, 15, 1, 12));
        var bones = Pose.bonesOf(joint).stream()
                .filter(b -> !b.isSided() || b.side > 0 || pose.bothWork)
                .toList();
        return new Course(
                pose,
                pose.angles,
                pose.angles,
                bones.stream().map(b -> new Freedom(b, round.one())).toList(),
                bones.stream().map(b -> new Freedom(b, round.two())).toList(),
                round.first() / share(bones),
                round.second() / share(bones));
    }

    private static int share(List<Bone> bones) {
        return bones.get(0).isSided() ? 1 : bones.size();
    }

    boolean isRound() {
        return !firsts.isEmpty();
    }

    Set<Freedom> moved() {
        return moved;
    }

    Collection<Pose.Contact> contacts() {
        return pose.contacts.values();
    }

    /** @param place 0 to 1 */
    Pose at(double place) {
        var now = pose.copy();
        for (var f : moved) {
            now.angles.set(f, from.get(f) + place * (to.get(f) - from.get(f)));
        }
        double turn = 2 * Math.PI * place;
        firsts.forEach(f -> now.angles.set(f, within(f, from.get(f) + first * (Math.cos(turn) - 1))));
        seconds.forEach(f -> now.angles.set(f, within(f, from.get(f) + second * Math.sin(turn))));
        return now;
    }

    private double within(Freedom freedom, double degrees) {
        return Limit.of(freedom).clamp(degrees, from.get(freedom));
    }
}
