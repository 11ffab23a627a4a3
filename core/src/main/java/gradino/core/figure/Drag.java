package gradino.core.figure;

import gradino.core.figure.Angles.Freedom;
import gradino.core.quantity.OutOfBoundsException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A point of the body pulled to another place of the drawing: the joints that it hangs on follow, each within its limits, by the
 * smallest change (damped least squares: Wampler 1986, IEEE Trans Syst Man Cybern 16:93–101; from memory).
 */
public final class Drag {
    private static final int STEPS = 24;
    private static final double DAMPING = 2;
    private static final double LARGEST_TURN = 9;
    /** Hundredths of stature: nearer than this lies on the floor. */
    private static final double LIES = 0.8;

    private static final double MOST = 400;

    /** What can be pulled: ends and joints of the limbs, the head, the chest. */
    private static final List<String> HANDLES = List.of(
            "kneeW",
            "kneeO",
            "ankleW",
            "ankleO",
            "ballW",
            "ballO",
            "elbowW",
            "elbowO",
            "wristW",
            "wristO",
            "fingerW",
            "fingerO",
            "skull",
            "breastbone",
            "sacrum");

    /** What lies on the floor by itself when it is put there. */
    private static final Set<String> SUPPORTS = Set.of(
            "seat",
            "knee",
            "ankle",
            "heel",
            "ball",
            "toe",
            "instep",
            "elbow",
            "palm",
            "shoulder",
            "sacrum",
            "back",
            "skull",
            "groin",
            "breastbone",
            "hip");

    private Drag() {}

    /** A point that can be pulled, where it is drawn. */
    public record Handle(String spot, double x, double y) {
        public Handle {
            OutOfBoundsException.require("x", x, -MOST, MOST, "");
            OutOfBoundsException.require("y", y, -MOST, MOST, "");
        }
    }

    public static List<Handle> handles(PoseDraft draft) {
        var body = body(draft);
        var eye = new Eye(draft.view(), false);
        return HANDLES.stream()
                .map(Spot::of)
                .map(s -> new Handle(s.name(), hundredth(eye.x(body.at(s))), hundredth(eye.y(body.at(s)))))
                .toList();
    }

    private static double hundredth(double value) {
        return Math.rint(value * 100) / 100;
    }

    private static Body body(PoseDraft draft) {
        var pose = draft.pose();
        return Settle.body(Build.typical(), pose, pose.angles.copy(), f -> false);
    }

    /**
     * @param spot name of the point
     * @param x to the right in the drawing, hundredths of stature, −400 to 400
     * @param y up, as x
     */
    public static PoseDraft to(PoseDraft draft, String spot, double x, double y) {
        OutOfBoundsException.require("x", x, -MOST, MOST, "");
        OutOfBoundsException.require("y", y, -MOST, MOST, "");
        var pose = draft.pose();
        var angles = pose.angles.copy();
        var settled = Settle.body(Build.typical(), pose, angles, f -> false);
        var pulled = Spot.of(spot);
        var free = chain(pulled);
        var eye = new Eye(draft.view(), false);
        var body = settled;
        for (int step = 0; step < STEPS; step++) {
            var at = body.at(pulled);
            double right = x - eye.x(at);
            double up = y - eye.y(at);
            if (Math.hypot(right, up) < 0.05) {
                break;
            }
            follow(body, angles, pulled, free, eye, right, up);
            body = body.with(angles);
        }
        return kept(draft, pulled, free, angles);
    }

    /** The joints between a point and the trunk; of the trunk itself all of it. */
    private static List<Freedom> chain(Spot spot) {
        var free = new ArrayList<Freedom>();
        for (var bone : Bone.values()) {
            boolean own = spot.bone().isSided() ? bone.isSided() : spot.bone() == Bone.PELVIS || bone != Bone.PELVIS;
            if (own && spot.bone().hangsOn(bone)) {
                free.addAll(Freedom.of(bone));
            }
        }
        return free;
    }

    /** Two equations, a row each for right and up, and as many angles as there are. */
    private static void follow(
            Body body, Angles angles, Spot pulled, List<Freedom> free, Eye eye, double right, double up) {
        var at = body.at(pulled);
        var slopes = free.stream()
                .map(f -> body.lever(f).slope(pulled, at))
                .map(v -> new double[] {eye.x(v), eye.y(v)})
                .toList();
        double a = DAMPING * 1e-3;
        double b = 0;
        double d = DAMPING * 1e-3;
        for (var s : slopes) {
            a += s[0] * s[0];
            b += s[0] * s[1];
            d += s[1] * s[1];
        }
        double det = a * d - b * b;
        double forceRight = (d * right - b * up) / det;
        double forceUp = (a * up - b * right) / det;
        for (int n = 0; n < free.size(); n++) {
            var f = free.get(n);
            double turn = slopes.get(n)[0] * forceRight + slopes.get(n)[1] * forceUp;
            double now = angles.get(f);
            double next = now + Math.max(-LARGEST_TURN, Math.min(LARGEST_TURN, turn));
            angles.set(f, Limit.of(f).clamp(next, now));
        }
    }

    /** What else has to follow does, and what of the pulled limb lies on the floor now. */
    private static PoseDraft kept(PoseDraft draft, Spot pulled, List<Freedom> held, Angles angles) {
        var others = draft.with(PoseDraft.angles(angles), without(draft.contacts(), pulled))
                .letGo(t -> isOfLimb(Spot.of(t.spot()), pulled) || isOfLimb(Spot.of(t.other()), pulled));
        var body = Settle.body(Build.typical(), others.pose(), angles, held::contains);
        Arrays.stream(Bone.values())
                .flatMap(b -> Freedom.of(b).stream())
                .forEach(f -> angles.set(f, Math.rint(angles.get(f) * 10) / 10));
        var contacts = new LinkedHashMap<>(others.contacts());
        for (var spot : Spot.every()) {
            if (isOfLimb(spot, pulled)
                    && SUPPORTS.contains(spot.name().replaceAll("[WO]$", ""))
                    && body.at(spot).z() - spot.radius() < LIES) {
                contacts.put(spot.name(), 0.0);
            }
        }
        return others.with(PoseDraft.angles(angles), contacts);
    }

    private static Map<String, Double> without(Map<String, Double> contacts, Spot pulled) {
        if (!pulled.bone().isSided()) {
            return contacts;
        }
        var others = new LinkedHashMap<>(contacts);
        others.keySet().removeIf(name -> isOfLimb(Spot.of(name), pulled));
        return others.isEmpty() ? contacts : others;
    }

    private static boolean isOfLimb(Spot spot, Spot pulled) {
        return spot.bone().isSided() && pulled.bone().isSided() && root(spot.bone()) == root(pulled.bone());
    }

    private static Bone root(Bone bone) {
        var at = bone;
        while (at.parent != null && at.parent.isSided()) {
            at = at.parent;
        }
        return at;
    }
}
