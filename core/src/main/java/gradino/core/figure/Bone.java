package gradino.core.figure;

import static gradino.core.figure.Turn.Axis.X;
import static gradino.core.figure.Turn.Axis.Y;
import static gradino.core.figure.Turn.Axis.Z;

import gradino.core.figure.Turn.Axis;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The seventeen segments of a body and the joints they hang on. {@code W} is the side that works and is built on the left;
 * {@code O} is the other side.
 *
 * <p>Angles of a joint: flexion, then abduction (trunk: bend to the working side), then rotation (limbs: inwards, trunk: to the
 * working side), each in the axes that the one before left. Source of the order: ISB recommendation, Wu et al. 2002, J Biomech
 * 35:543–548 (hip; value from memory); used for the other joints as well.
 */
enum Bone {
    PELVIS(null, 0, "pelvis", Y, 1, X, 1, Z, 1),
    WAIST(PELVIS, 0, "waist", Y, 1, X, -1, Z, 1),
    CHEST(WAIST, 0, "chest", Y, 1, X, -1, Z, 1),
    NECK(CHEST, 0, "neck", Y, 1, X, -1, Z, 1),
    HEAD(NECK, 0, "head", Y, 1, X, -1, Z, 1),
    THIGH_W(PELVIS, 1, "hip", Y, -1, X, 1, Z, -1),
    SHANK_W(THIGH_W, 1, "knee", Y, 1, X, 1, Z, -1),
    FOOT_W(SHANK_W, 1, "ankle", Y, -1, X, -1, Z, -1),
    THIGH_O(PELVIS, -1, "hip", Y, -1, X, 1, Z, -1),
    SHANK_O(THIGH_O, -1, "knee", Y, 1, X, 1, Z, -1),
    FOOT_O(SHANK_O, -1, "ankle", Y, -1, X, -1, Z, -1),
    UPPER_ARM_W(CHEST, 1, "shoulder", Y, -1, X, 1, Z, -1),
    FOREARM_W(UPPER_ARM_W, 1, "elbow", Y, -1, X, 1, Z, -1),
    HAND_W(FOREARM_W, 1, "wrist", X, -1, Y, -1, Z, -1),
    UPPER_ARM_O(CHEST, -1, "shoulder", Y, -1, X, 1, Z, -1),
    FOREARM_O(UPPER_ARM_O, -1, "elbow", Y, -1, X, 1, Z, -1),
    HAND_O(FOREARM_O, -1, "wrist", X, -1, Y, -1, Z, -1);

    final @Nullable Bone parent;
    /** 1 left, −1 right, 0 middle. */
    final int side;

    final String joint;
    private final Axis flexion;
    private final int flexes;
    private final Axis abduction;
    private final int abducts;
    private final Axis rotation;
    private final int rotates;

    /** One axis of a joint, and which way round is more. */
    record Hinge(Axis axis, int sign) {}

    Bone(@Nullable Bone parent, int side, String joint, Axis a, int signA, Axis b, int signB, Axis c, int signC) {
        this.parent = parent;
        this.side = side;
        this.joint = joint;
        flexion = a;
        flexes = signA;
        abduction = b;
        abducts = signB;
        rotation = c;
        rotates = signC;
    }

    /** @param freedom 0 flexion, 1 abduction, 2 rotation */
    Hinge hinge(int freedom) {
        return switch (freedom) {
            case 0 -> sided(flexion, flexes);
            case 1 -> sided(abduction, abducts);
            default -> sided(rotation, rotates);
        };
    }

    /** What turns in the plane of symmetry is the same on both sides; all else is mirrored. */
    private Hinge sided(Axis axis, int sign) {
        return new Hinge(axis, axis == Y || side == 0 ? sign : sign * side);
    }

    boolean isSided() {
        return side != 0;
    }

    /** "hip" on a side: {@code hipW}. */
    String jointName() {
        return switch (side) {
            case 1 -> joint + "W";
            case -1 -> joint + "O";
            default -> joint;
        };
    }

    boolean hangsOn(Bone other) {
        return this == other || (parent != null && parent.hangsOn(other));
    }

    static Optional<Bone> ofJoint(String name) {
        return List.of(values()).stream()
                .filter(b -> b.jointName().equals(name))
                .findFirst();
    }
}
