package gradino.core.figure;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * One outline of the drawing: the band round some points of the body.
 *
 * @param bone whose ink it has
 * @param forward drawn as if it were nearer by this, so that a joint covers what hangs on it
 */
record Form(Bone bone, List<Spot> spots, double forward) {
    static List<Form> all() {
        var all = new ArrayList<Form>();
        all.add(of(Bone.PELVIS, 0, "sideW", "sideO", "loinW", "loinO", "seatW", "seatO", "groin"));
        all.add(of(Bone.WAIST, 0, "loinW", "loinO", "ribW", "ribO"));
        all.add(of(Bone.CHEST, 0, "ribW", "ribO", "flankW", "flankO", "tipW", "tipO"));
        all.add(of(Bone.NECK, 0, "throat", "nape"));
        all.add(of(Bone.HEAD, 1, "skull", "chin"));
        all.add(of(Bone.HEAD, 0, "nose"));
        for (var side : List.of("W", "O")) {
            all.add(sided(side, "hip", "hip", "knee"));
            all.add(sided(side, "knee", "knee", "calf", "ankle"));
            all.add(sided(side, "ankle", "ankle", "heel", "ball", "toe"));
            all.add(sided(side, "shoulder", "shoulder", "elbow"));
            all.add(sided(side, "elbow", "elbow", "wrist"));
            all.add(sided(side, "wrist", "wrist", "palm", "finger"));
        }
        return List.copyOf(all);
    }

    private static Form of(Bone bone, double forward, String... spots) {
        return new Form(bone, Stream.of(spots).map(Spot::of).toList(), forward);
    }

    private static Form sided(String side, String joint, String... spots) {
        var bone = Bone.ofJoint(joint + side).orElseThrow();
        return of(bone, 0, Stream.of(spots).map(s -> s + side).toArray(String[]::new));
    }
}
