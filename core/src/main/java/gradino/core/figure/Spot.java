package gradino.core.figure;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * A ball on a bone: what touches the floor and what the outline is drawn round. Numbers in hundredths of stature, in the bone's
 * own axes at its joint.
 *
 * @param name with {@code W} or {@code O} where there are two
 */
record Spot(String name, Bone bone, Vec at, double radius) {
    private static final Map<String, Spot> ALL = all();
    private static final List<Spot> EVERY = List.copyOf(ALL.values());

    static Spot of(String name) {
        var found = ALL.get(name);
        if (found == null) {
            throw new IllegalArgumentException("no point of the body is called " + name);
        }
        return found;
    }

    static Optional<Spot> find(String name) {
        return Optional.ofNullable(ALL.get(name));
    }

    static List<Spot> every() {
        return EVERY;
    }

    private static Map<String, Spot> all() {
        var all = new ArrayList<Spot>();
        all.add(new Spot("sacrum", Bone.PELVIS, new Vec(-2.2, 0, 1), 4.2));
        all.add(new Spot("groin", Bone.PELVIS, new Vec(2, 0, 1), 4));
        all.add(new Spot("belly", Bone.WAIST, new Vec(1.4, 0, 4), 5));
        all.add(new Spot("back", Bone.CHEST, new Vec(-1.8, 0, 7), 5.2));
        all.add(new Spot("breastbone", Bone.CHEST, new Vec(2, 0, 8), 5));
        all.add(new Spot("throat", Bone.NECK, Vec.ZERO, 2.6));
        all.add(new Spot("nape", Bone.NECK, new Vec(0, 0, 4), 2.4));
        all.add(new Spot("skull", Bone.HEAD, new Vec(0.2, 0, 6.2), 5.4));
        all.add(new Spot("chin", Bone.HEAD, new Vec(2.2, 0, 2.4), 3));
        all.add(new Spot("nose", Bone.HEAD, new Vec(5.7, 0, 4.6), 0.9));
        for (var side : List.of(1, -1)) {
            sided(all, side);
        }
        var named = new TreeMap<String, Spot>();
        all.forEach(s -> named.put(s.name(), s));
        return named;
    }

    private static void sided(List<Spot> all, int side) {
        boolean works = side == 1;
        var mark = works ? "W" : "O";
        var thigh = works ? Bone.THIGH_W : Bone.THIGH_O;
        var shank = works ? Bone.SHANK_W : Bone.SHANK_O;
        var foot = works ? Bone.FOOT_W : Bone.FOOT_O;
        var arm = works ? Bone.UPPER_ARM_W : Bone.UPPER_ARM_O;
        var fore = works ? Bone.FOREARM_W : Bone.FOREARM_O;
        var hand = works ? Bone.HAND_W : Bone.HAND_O;
        all.add(new Spot("seat" + mark, Bone.PELVIS, new Vec(-2, 3.6 * side, -2.6), 3.6));
        all.add(new Spot("side" + mark, Bone.PELVIS, new Vec(0, 4.2 * side, 2.4), 4.4));
        all.add(new Spot("loin" + mark, Bone.WAIST, new Vec(0, 3.2 * side, 0), 4.4));
        all.add(new Spot("rib" + mark, Bone.CHEST, new Vec(0, 3.8 * side, 0), 4.6));
        all.add(new Spot("flank" + mark, Bone.CHEST, new Vec(0, 4.8 * side, 8), 4.8));
        all.add(new Spot("tip" + mark, Bone.CHEST, new Vec(0, 9.2 * side, 12.6), 2.9));
        all.add(new Spot("shoulder" + mark, arm, Vec.ZERO, 2.9));
        all.add(new Spot("elbow" + mark, fore, Vec.ZERO, 2));
        all.add(new Spot("wrist" + mark, hand, Vec.ZERO, 1.4));
        all.add(new Spot("palm" + mark, hand, new Vec(0, 0, -4), 1.5));
        all.add(new Spot("finger" + mark, hand, new Vec(0, 0, -9), 0.8));
        all.add(new Spot("hip" + mark, thigh, Vec.ZERO, 4.8));
        all.add(new Spot("knee" + mark, shank, Vec.ZERO, 2.9));
        all.add(new Spot("calf" + mark, shank, new Vec(-0.9, 0, -7), 2.8));
        all.add(new Spot("ankle" + mark, foot, Vec.ZERO, 1.9));
        all.add(new Spot("heel" + mark, foot, new Vec(-2.6, 0, -2.2), 1.7));
        all.add(new Spot("instep" + mark, foot, new Vec(3.5, 0, -1.2), 1.6));
        all.add(new Spot("ball" + mark, foot, new Vec(8, 0, -2.6), 1.3));
        all.add(new Spot("toe" + mark, foot, new Vec(11, 0, -3), 0.9));
    }
}
