package gradino.core.figure;

import gradino.core.because.Finding;
import gradino.core.figure.Angles.Freedom;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Whether a body can take a pose: every name known, every joint within its limits, something on the floor and nothing in it. */
public final class PoseCheck {
    private static final List<String> ANGLES = List.of("flexion", "abduction", "rotation");
    /** Hundredths of stature: 5 mm of 170 cm. */
    private static final double SUNK = 0.3;

    private static final double HIGHEST = 80;

    private final List<Finding> findings = new ArrayList<>();

    private PoseCheck() {}

    /** @param path of the pose in what was sent */
    public static List<Finding> of(PoseDraft draft, String path) {
        var check = new PoseCheck();
        draft.joints().forEach((joint, degrees) -> check.joint(path + ".joints." + joint, joint, degrees));
        draft.to().forEach((joint, degrees) -> check.joint(path + ".to." + joint, joint, degrees));
        check.points(draft, path);
        if (check.findings.isEmpty()) {
            check.settled(draft, path);
        }
        return check.findings;
    }

    private void joint(String path, String joint, List<Double> degrees) {
        var bone = Bone.ofJoint(joint);
        if (bone.isEmpty()) {
            add(path, "unknown-segment", "There is no joint called “" + joint + "”.");
        } else if (degrees.size() != ANGLES.size()) {
            add(path, "three-angles", "A joint has three angles: flexion, abduction and rotation.");
        } else {
            for (int n = 0; n < ANGLES.size(); n++) {
                limit(path, joint, new Freedom(bone.get(), n), degrees.get(n));
            }
        }
    }

    private void limit(String path, String joint, Freedom freedom, double degrees) {
        var limit = Limit.of(freedom);
        if (!limit.allows(degrees)) {
            add(
                    path,
                    "beyond-limit",
                    "%s of “%s” goes from %.0f to %.0f°, not to %.0f°."
                            .formatted(ANGLES.get(freedom.number()), joint, limit.least(), limit.most(), degrees));
        }
    }

    private void points(PoseDraft draft, String path) {
        if (draft.contacts().isEmpty()) {
            add(path + ".contacts", "no-contact", "Nothing lies on the floor: say which points of the body do.");
        }
        draft.contacts().forEach((spot, height) -> {
            point(path + ".contacts." + spot, spot);
            if (!(height >= 0 && height <= HIGHEST)) {
                add(path + ".contacts." + spot, "out-of-bounds", "Between 0 and 80 hundredths of stature.");
            }
        });
        draft.touches().forEach(t -> {
            point(path + ".touches", t.spot());
            point(path + ".touches", t.other());
        });
        draft.props().forEach(p -> {
            point(path + ".props", p.spot());
            point(path + ".props", p.other());
            if (!Props.KINDS.contains(p.kind())) {
                add(path + ".props", "unknown-prop", "There is no prop called “" + p.kind() + "”.");
            }
        });
        if (!Set.of("", "trunk", "none").contains(draft.lifts())) {
            add(path + ".lifts", "unknown", "“trunk”, “none” or nothing.");
        }
    }

    private void point(String path, String name) {
        if (Spot.find(name).isEmpty()) {
            add(path, "unknown-segment", "There is no point of the body called “" + name + "”.");
        }
    }

    private void settled(PoseDraft draft, String path) {
        var pose = draft.pose();
        var body = Settle.body(Build.typical(), pose, pose.angles.copy(), f -> false);
        for (var spot : Spot.every()) {
            if (spot.radius() - body.at(spot).z() > SUNK) {
                add(path + ".joints", "in-the-floor", "The " + words(spot.name()) + " is in the floor.");
            }
        }
        for (var contact : pose.contacts.values()) {
            double off = body.at(contact.spot()).z() - contact.spot().radius() - contact.height();
            if (Math.abs(off) > SUNK) {
                add(
                        path + ".contacts." + contact.spot().name(),
                        "out-of-reach",
                        "The " + words(contact.spot().name()) + " cannot come down to where it should lie.");
            }
        }
    }

    private static final Map<Character, String> SIDES = Map.of('W', " of the working side", 'O', " of the other side");

    /** kneeW: knee of the working side. */
    private static String words(String spot) {
        char last = spot.charAt(spot.length() - 1);
        return SIDES.containsKey(last) ? spot.substring(0, spot.length() - 1) + SIDES.get(last) : spot;
    }

    private void add(String path, String code, String message) {
        findings.add(Finding.blocking(path, code, null, "", message));
    }
}
