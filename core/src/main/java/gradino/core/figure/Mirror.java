package gradino.core.figure;

import gradino.core.figure.Angles.Freedom;

/** The other way round: what the working side did, the other one does. */
final class Mirror {
    private Mirror() {}

    static Angles of(Angles angles) {
        var mirrored = new Angles();
        for (var bone : Bone.values()) {
            for (var f : Freedom.of(bone)) {
                // In the middle a side bend and a turn change their sign; sided joints count outwards on both sides.
                double sign = bone.isSided() || f.number() == 0 ? 1 : -1;
                mirrored.set(new Freedom(of(bone), f.number()), sign * angles.get(f));
            }
        }
        return mirrored;
    }

    private static Bone of(Bone bone) {
        return bone.isSided() ? Bone.valueOf(swapped(bone.name())) : bone;
    }

    private static String swapped(String name) {
        return name.endsWith("_W") ? name.replace("_W", "_O") : name.replace("_O", "_W");
    }

    /** kneeW for kneeO and the other way round. */
    static String spot(String name) {
        return name.endsWith("W")
                ? name.substring(0, name.length() - 1) + "O"
                : name.endsWith("O") ? name.substring(0, name.length() - 1) + "W" : name;
    }
}
