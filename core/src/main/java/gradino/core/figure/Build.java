package gradino.core.figure;

import gradino.core.body.Anthropometry;
import gradino.core.quantity.OutOfBoundsException;
import org.jspecify.annotations.Nullable;

/**
 * How long somebody's limbs are.
 *
 * @param statureCm 50 to 400
 * @param thighShare of stature
 * @param shankShare of stature
 */
public record Build(double statureCm, double thighShare, double shankShare) {
    private static final double SHORTEST = 0.1;
    private static final double LONGEST = 0.4;
    private static final double HIP = 100 * 0.048;
    private static final double WAIST = 5.4;
    private static final double CHEST = 9;
    /** From the hip's height to the shoulder's: .818 − .530 of stature (Drillis and Contini 1966). */
    private static final double TRUNK = 28.8;

    private static final double SHOULDER = 10.4;
    private static final double NECK_ABOVE_SHOULDER = 1.6;
    private static final double NECK = 4.4;

    public Build {
        OutOfBoundsException.require("stature", statureCm, 50, 400, "cm");
        OutOfBoundsException.require("thigh", thighShare, SHORTEST, LONGEST, "of stature");
        OutOfBoundsException.require("shank", shankShare, SHORTEST, LONGEST, "of stature");
    }

    /** A length that is not known, or that no body of this stature has, is the published share of it. */
    public static Build of(double statureCm, @Nullable Double thighCm, @Nullable Double shankCm) {
        OutOfBoundsException.requireIfAny("thigh", thighCm, 0, 500, "cm");
        OutOfBoundsException.requireIfAny("shank", shankCm, 0, 500, "cm");
        return new Build(statureCm, share("thigh", thighCm, statureCm), share("shank", shankCm, statureCm));
    }

    private static double share(String segment, @Nullable Double cm, double statureCm) {
        double share = cm == null ? 0 : cm / statureCm;
        return share >= SHORTEST && share <= LONGEST ? share : Anthropometry.share(segment);
    }

    public static Build typical() {
        return of(Anthropometry.TYPICAL_STATURE_CM, null, null);
    }

    /** Where a bone's joint lies in the axes of the bone that it hangs on. */
    Vec joint(Bone bone) {
        return switch (bone) {
            case PELVIS -> Vec.ZERO;
            case WAIST -> new Vec(0, 0, WAIST);
            case CHEST -> new Vec(0, 0, CHEST);
            case NECK -> new Vec(0, 0, TRUNK - WAIST - CHEST + NECK_ABOVE_SHOULDER);
            case HEAD -> new Vec(0, 0, NECK);
            case THIGH_W, THIGH_O -> new Vec(0, HIP * bone.side, 0);
            case SHANK_W, SHANK_O -> new Vec(0, 0, -100 * thighShare);
            case FOOT_W, FOOT_O -> new Vec(0, 0, -100 * shankShare);
            case UPPER_ARM_W, UPPER_ARM_O -> new Vec(0, SHOULDER * bone.side, TRUNK - WAIST - CHEST - 1.2);
            case FOREARM_W, FOREARM_O -> new Vec(0, 0, -100 * Anthropometry.share("upper-arm"));
            case HAND_W, HAND_O -> new Vec(0, 0, -100 * Anthropometry.share("forearm"));
        };
    }
}
