package gradino.core.figure;

import gradino.core.figure.Angles.Freedom;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What turns when a motion's angle grows.
 *
 * @param parts the angles that share it
 * @param zero of the joint's angle where the working angle is 0, degrees
 * @param sign 1 when the joint's angle grows with it
 */
record Work(List<Part> parts, double zero, int sign) {
    /** @param share of the working angle */
    record Part(Freedom freedom, double share) {}

    private record Turns(String joint, int number, int sign, double share) {}

    private static final Map<String, Turns> MOTIONS = Map.ofEntries(
            turns("hip-flexion", "hip", 0, 1),
            turns("hip-extension", "hip", 0, -1),
            turns("hip-abduction", "hip", 1, 1),
            turns("hip-adduction", "hip", 1, -1),
            turns("hip-internal-rotation", "hip", 2, 1),
            turns("hip-external-rotation", "hip", 2, -1),
            Map.entry("straddle", new Turns("hip", 1, 1, 0.5)),
            turns("knee-flexion", "knee", 0, 1),
            turns("knee-extension", "knee", 0, -1),
            turns("shin-internal-rotation", "knee", 2, 1),
            turns("shin-external-rotation", "knee", 2, -1),
            turns("ankle-dorsiflexion", "ankle", 0, 1),
            turns("ankle-plantarflexion", "ankle", 0, -1),
            turns("ankle-inversion", "ankle", 1, 1),
            turns("ankle-eversion", "ankle", 1, -1),
            turns("shoulder-flexion", "shoulder", 0, 1),
            turns("shoulder-extension", "shoulder", 0, -1),
            turns("shoulder-abduction", "shoulder", 1, 1),
            turns("shoulder-adduction", "shoulder", 1, -1),
            turns("shoulder-horizontal-adduction", "shoulder", 1, -1),
            turns("shoulder-horizontal-abduction", "shoulder", 1, 1),
            turns("shoulder-internal-rotation", "shoulder", 2, 1),
            turns("shoulder-external-rotation", "shoulder", 2, -1),
            turns("elbow-flexion", "elbow", 0, 1),
            turns("elbow-extension", "elbow", 0, -1),
            turns("forearm-pronation", "elbow", 2, 1),
            turns("forearm-supination", "elbow", 2, -1),
            turns("wrist-flexion", "wrist", 0, 1),
            turns("wrist-extension", "wrist", 0, -1),
            turns("wrist-radial-deviation", "wrist", 1, 1),
            turns("wrist-ulnar-deviation", "wrist", 1, -1),
            turns("neck-flexion", "nod", 0, 1),
            turns("neck-extension", "nod", 0, -1),
            turns("neck-lateral-flexion", "nod", 1, 1),
            turns("neck-rotation", "nod", 2, 1),
            turns("thoracic-flexion", "chest", 0, 1),
            turns("thoracic-extension", "chest", 0, -1),
            turns("thoracic-lateral-flexion", "chest", 1, 1),
            turns("thoracic-rotation", "chest", 2, 1),
            turns("lumbar-flexion", "waist", 0, 1),
            turns("lumbar-extension", "waist", 0, -1),
            turns("lumbar-lateral-flexion", "waist", 1, 1),
            turns("lumbar-rotation", "waist", 2, 1));

    private static Map.Entry<String, Turns> turns(String motion, String joint, int number, int sign) {
        return Map.entry(motion, new Turns(joint, number, sign, 1));
    }

    /** Empty for what this body has no joint for: a toe. */
    static Optional<Work> of(Pose pose, String motion) {
        return Optional.ofNullable(MOTIONS.get(motion)).map(turns -> {
            var bones = turns.joint().equals("nod") ? List.of(Bone.NECK, Bone.HEAD) : Pose.bones(turns.joint());
            boolean pairs = bones.get(0).isSided();
            var parts = new ArrayList<Part>();
            for (var bone : bones) {
                if (bone.side >= 0 || pose.bothWork || motion.equals("straddle")) {
                    parts.add(new Part(
                            new Freedom(bone, turns.number()), pairs ? turns.share() : turns.share() / bones.size()));
                }
            }
            return new Work(parts, pose.zeros.getOrDefault(motion, 0.0), turns.sign());
        });
    }

    /** Empty for what this body has no joint for. */
    static Optional<String> joint(String motion) {
        return Optional.ofNullable(MOTIONS.get(motion)).map(Turns::joint);
    }

    /** Degrees from the position's zero, as the pose has it. */
    double angle(Angles angles) {
        var first = parts.get(0);
        return sign * (angles.get(first.freedom()) - zero) / first.share();
    }

    /** Of the working angle, as far as every joint that shares it goes. */
    Limit range() {
        double least = -Double.MAX_VALUE;
        double most = Double.MAX_VALUE;
        for (var part : parts) {
            var limit = Limit.of(part.freedom());
            double one = sign * (limit.least() - zero) / part.share();
            double other = sign * (limit.most() - zero) / part.share();
            least = Math.max(least, Math.min(one, other));
            most = Math.min(most, Math.max(one, other));
        }
        return new Limit(least, most);
    }

    void set(Angles angles, double degrees) {
        for (var part : parts) {
            angles.set(part.freedom(), zero + sign * part.share() * degrees);
        }
    }

    boolean moves(Freedom freedom) {
        return parts.stream().anyMatch(p -> p.freedom().equals(freedom));
    }
}
