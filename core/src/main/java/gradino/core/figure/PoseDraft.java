package gradino.core.figure;

import gradino.core.figure.Angles.Freedom;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Predicate;

/**
 * A pose as it is typed, dragged or read from a file, before anybody knows whether a body can take it: {@link PoseCheck} says so.
 *
 * @param joints degrees of flexion, abduction and rotation by joint: hipW, kneeO, chest; W is the working side, O the other
 * @param contacts points of the body that lie on something, with their height over the floor in hundredths of stature
 * @param touches points that touch each other
 * @param props kinds of things at points; a strap or a band goes from one point to another
 * @param zeros the joint's angle where a motion's working angle is 0, degrees, where it is not 0
 * @param bothWork whether both sides move with the working angle
 * @param lifts "trunk" where it is held up over a fixed foot, "none" for nothing; empty for the segment that turns
 * @param pelvisGives whether the pelvis may tip to bring the contacts down
 * @param to what is bent besides in a movement's other pose; empty for a movement along the working angle
 * @param swings whether a movement goes over to the other side
 */
public record PoseDraft(
        Map<String, List<Double>> joints,
        Map<String, Double> contacts,
        List<TouchDraft> touches,
        List<PropDraft> props,
        Map<String, Double> zeros,
        boolean bothWork,
        String lifts,
        boolean pelvisGives,
        Map<String, List<Double>> to,
        boolean swings,
        Pose.View view) {

    public record TouchDraft(String spot, String other) {}

    /** @param other where a strap or a band ends; the point itself for all else */
    public record PropDraft(String kind, String spot, String other) {}

    public PoseDraft {
        joints = copy(joints);
        contacts = Collections.unmodifiableMap(new LinkedHashMap<>(contacts));
        touches = List.copyOf(touches);
        props = List.copyOf(props);
        zeros = Map.copyOf(zeros);
        to = copy(to);
    }

    private static Map<String, List<Double>> copy(Map<String, List<Double>> angles) {
        var copied = new TreeMap<String, List<Double>>();
        angles.forEach((joint, degrees) -> copied.put(joint, List.copyOf(degrees)));
        return Map.copyOf(copied);
    }

    static PoseDraft of(Pose pose) {
        var touches = pose.touches.stream()
                .map(t -> new TouchDraft(t.spot().name(), t.other().name()))
                .toList();
        var props = pose.props.stream()
                .map(p -> new PropDraft(p.kind(), p.spot().name(), p.other().name()))
                .toList();
        var contacts = new LinkedHashMap<String, Double>();
        pose.contacts.forEach((name, contact) -> contacts.put(name, contact.height()));
        return new PoseDraft(
                angles(pose.angles),
                contacts,
                touches,
                props,
                pose.zeros,
                pose.bothWork,
                pose.lifts,
                pose.pelvisGives,
                other(pose),
                pose.swings,
                pose.view());
    }

    private static Map<String, List<Double>> other(Pose pose) {
        if (pose.to.isEmpty()) {
            return Map.of();
        }
        var other = pose.copy();
        pose.to.forEach(other::bend);
        var changed = new LinkedHashMap<>(angles(other.angles));
        changed.entrySet().removeIf(e -> e.getValue().equals(angles(pose.angles).get(e.getKey())));
        return changed;
    }

    static Map<String, List<Double>> angles(Angles angles) {
        var all = new LinkedHashMap<String, List<Double>>();
        for (var bone : Bone.values()) {
            var three = Freedom.of(bone).stream().map(angles::get).toList();
            if (three.stream().anyMatch(d -> d != 0)) {
                all.put(name(bone), three);
            }
        }
        return all;
    }

    /** hipW, kneeO, chest. */
    static String name(Bone bone) {
        return bone.jointName();
    }

    /** With other joint angles. */
    PoseDraft with(Map<String, List<Double>> otherJoints, Map<String, Double> otherContacts) {
        return new PoseDraft(
                otherJoints, otherContacts, touches, props, zeros, bothWork, lifts, pelvisGives, to, swings, view);
    }

    /** A hand that holds a knee lets go of it. */
    PoseDraft letGo(Predicate<TouchDraft> of) {
        var held = touches.stream().filter(of.negate()).toList();
        return new PoseDraft(joints, contacts, held, props, zeros, bothWork, lifts, pelvisGives, to, swings, view);
    }

    /** @throws IllegalArgumentException for a joint, a point or a thing that there is not: {@link PoseCheck} names it before */
    Pose pose() {
        var pose = new Pose();
        joints.forEach((joint, degrees) -> pose.bend(text(joint, degrees)));
        contacts.forEach((spot, height) -> pose.contacts.put(spot, new Pose.Contact(Spot.of(spot), height)));
        touches.forEach(t -> pose.touches.add(new Pose.Touch(Spot.of(t.spot()), Spot.of(t.other()))));
        props.forEach(p -> pose.props.add(new Pose.Prop(p.kind(), Spot.of(p.spot()), Spot.of(p.other()))));
        pose.zeros.putAll(zeros);
        pose.bothWork = bothWork;
        pose.lifts = lifts;
        pose.pelvisGives = pelvisGives;
        to.forEach((joint, degrees) -> pose.to.add(text(joint, degrees)));
        pose.swings = swings;
        pose.view = view;
        return pose;
    }

    private static String text(String joint, List<Double> degrees) {
        var words = new ArrayList<String>();
        words.add(joint);
        degrees.forEach(d -> words.add(String.valueOf(d)));
        return String.join(" ", words);
    }
}
