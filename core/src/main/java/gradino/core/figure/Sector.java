package gradino.core.figure;

import gradino.core.figure.Angles.Freedom;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** The working angle as a slice, in the plane that it is measured in. */
final class Sector {
    private static final double RADIUS = 15;
    private static final double STEP = 6;
    private static final Vec DOWN = new Vec(0, 0, -1);
    private static final Vec UP = new Vec(0, 0, 1);
    private static final Vec AHEAD = new Vec(1, 0, 0);

    /** Names of the points that an end is pushed at. */
    private static final Map<String, String> ENDS = Map.of(
            "hip", "knee", "knee", "ankle", "ankle", "ball", "shoulder", "elbow", "elbow", "wrist", "wrist", "finger");

    private final Angles angles;
    private final Body body;
    private final Work work;
    private final Freedom freedom;

    Sector(Angles angles, Body body, Work work, Freedom freedom) {
        this.angles = angles;
        this.body = body;
        this.work = work;
        this.freedom = freedom;
    }

    /** The tip first, then the edge from the zero to the angle. */
    List<Vec> corners() {
        double to = work.angle(angles);
        int steps = (int) Math.max(1, Math.ceil(Math.abs(to) / STEP));
        var pointer = pointer(body, freedom);
        var tip = body.joint(pointer.apex());
        var axis = body.lever(freedom).axis();
        var corners = new ArrayList<Vec>(List.of(tip));
        for (int i = 0; i <= steps; i++) {
            var other = angles.copy();
            work.set(other, to * i / steps);
            var turned = body.with(other);
            var along = turned.turn(pointer.bone()).of(pointer.along());
            // In the plane that is turned in: a leg raised and out to the side draws a cone.
            var flat = along.minus(axis.times(along.dot(axis)));
            corners.add(tip.plus(flat.unit().times(RADIUS)));
        }
        return corners;
    }

    /** What shows an angle: a direction of a bone. */
    private record Pointer(Bone bone, Vec along, Bone apex) {}

    private static Pointer pointer(Body body, Freedom freedom) {
        var bone = freedom.bone();
        if (!bone.isSided()) {
            var last = bone == Bone.NECK ? Bone.HEAD : bone;
            return new Pointer(last, freedom.number() == 2 ? AHEAD : UP, bone);
        }
        if (bone.joint.equals("ankle")) {
            return new Pointer(bone, freedom.number() == 1 ? new Vec(0, bone.side, 0) : AHEAD, bone);
        }
        if (freedom.number() < 2) {
            return new Pointer(bone, DOWN, bone);
        }
        return turned(body, bone);
    }

    /** A limb that turns about itself: by what stands off from it. */
    private static Pointer turned(Body body, Bone bone) {
        var along = body.turn(bone).of(DOWN);
        for (var child : Bone.values()) {
            boolean foot = child.joint.equals("ankle");
            var pointing = foot ? AHEAD : DOWN;
            if (child != bone
                    && child.hangsOn(bone)
                    && Math.abs(body.turn(child).of(pointing).dot(along)) < Math.cos(Math.toRadians(30))) {
                return new Pointer(child, pointing, child);
            }
        }
        return new Pointer(bone, AHEAD, bone);
    }

    static FigureMaker.Working working(Body body, Freedom freedom) {
        var pointer = pointer(body, freedom);
        return new FigureMaker.Working(pointer.bone(), body.turn(pointer.bone()).of(pointer.along()));
    }

    /** Where the end that works is pushed at. */
    static Spot end(Body body, Freedom freedom) {
        var bone = freedom.bone();
        if (!bone.isSided()) {
            return Spot.of(bone == Bone.NECK || bone == Bone.HEAD ? "nose" : "breastbone");
        }
        var shown = pointer(body, freedom).bone();
        return Spot.of(ENDS.get(shown.joint) + (bone.side > 0 ? "W" : "O"));
    }
}
