package gradino.core.figure;

import gradino.core.figure.Angles.Freedom;
import java.util.EnumMap;
import java.util.Map;

/** Where every bone lies: forward kinematics from the pelvis outwards. */
final class Body {
    /** @param turn of the bone's own axes */
    private record Placed(Vec joint, Turn turn) {}

    private final Map<Bone, Placed> placed = new EnumMap<>(Bone.class);
    private final Build build;
    private final Angles angles;
    private final Vec pelvis;

    /** @param lift how high the pelvis is, hundredths of stature */
    Body(Build build, Angles angles, double lift) {
        this(build, angles, new Vec(0, 0, lift));
    }

    private Body(Build build, Angles angles, Vec pelvis) {
        this.build = build;
        this.angles = angles;
        this.pelvis = pelvis;
        for (var bone : Bone.values()) {
            var parent = bone.parent == null
                    ? new Placed(pelvis, Turn.NONE)
                    : java.util.Objects.requireNonNull(placed.get(bone.parent));
            var joint = parent.joint().plus(parent.turn().of(build.joint(bone)));
            var turn = parent.turn();
            for (int n = 0; n < 3; n++) {
                turn = turn.with(own(bone, n));
            }
            placed.put(bone, new Placed(joint, turn));
        }
    }

    private Turn own(Bone bone, int freedom) {
        var hinge = bone.hinge(freedom);
        return Turn.about(hinge.axis(), hinge.sign() * angles.get(new Freedom(bone, freedom)));
    }

    private Placed of(Bone bone) {
        return java.util.Objects.requireNonNull(placed.get(bone));
    }

    /** The same pelvis with other joint angles. */
    Body with(Angles other) {
        return new Body(build, other, pelvis);
    }

    /** The same pose elsewhere. */
    Body moved(Vec by) {
        return new Body(build, angles, pelvis.plus(by));
    }

    Vec joint(Bone bone) {
        return of(bone).joint();
    }

    Turn turn(Bone bone) {
        return of(bone).turn();
    }

    Vec at(Spot spot) {
        return of(spot.bone()).joint().plus(of(spot.bone()).turn().of(spot.at()));
    }

    /** The axis in space that more of an angle turns about, right-handed. */
    private Vec axis(Freedom freedom) {
        var bone = freedom.bone();
        var turn = bone.parent == null ? Turn.NONE : of(bone.parent).turn();
        for (int n = 0; n < freedom.number(); n++) {
            turn = turn.with(own(bone, n));
        }
        var hinge = bone.hinge(freedom.number());
        return turn.of(hinge.axis().vec()).times(hinge.sign());
    }

    /** What one more degree of an angle does to whatever hangs on its bone. */
    record Lever(Freedom freedom, Vec axis, Vec joint) {
        /** @param at where the point is now */
        Vec slope(Spot spot, Vec at) {
            return spot.bone().hangsOn(freedom.bone())
                    ? axis.cross(at.minus(joint)).times(DEGREE)
                    : Vec.ZERO;
        }
    }

    private static final double DEGREE = Math.toRadians(1);

    Lever lever(Freedom freedom) {
        return new Lever(freedom, axis(freedom), joint(freedom.bone()));
    }
}
