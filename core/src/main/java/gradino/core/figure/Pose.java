package gradino.core.figure;

import gradino.core.figure.Angles.Freedom;
import gradino.core.quantity.OutOfBoundsException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** A position of the body as data: joint angles, what touches what, props, and from where it is seen. */
public final class Pose {
    private static final Map<String, List<String>> GROUPS =
            Map.of("trunk", List.of("waist", "chest"), "nod", List.of("neck", "head"));

    /** @param height over the floor, hundredths of stature */
    record Contact(Spot spot, double height) {}

    /** Two points of the body that touch. */
    record Touch(Spot spot, Spot other) {}

    /** @param other where a strap or a band ends; the spot itself for all else */
    record Prop(String kind, Spot spot, Spot other) {}

    /**
     * From where a position is drawn.
     *
     * @param azimuth degrees from ahead towards the working side
     * @param elevation degrees over the floor
     */
    public record View(double azimuth, double elevation) {
        public View {
            OutOfBoundsException.require("direction", azimuth, -3600, 3600, "°");
            OutOfBoundsException.require("height over the floor", elevation, -90, 90, "°");
        }
    }

    final Angles angles = new Angles();
    final Map<String, Contact> contacts = new LinkedHashMap<>();
    final List<Touch> touches = new ArrayList<>();
    final List<Prop> props = new ArrayList<>();
    /** A working angle's zero where the joint's own is not meant, degrees by motion. */
    final Map<String, Double> zeros = new LinkedHashMap<>();
    /** Whether both sides move with the working angle. */
    boolean bothWork;
    /** Segment that is held up where it is not the one that turns: the trunk over a fixed foot; "none" for nothing. */
    String lifts = "";
    /** What else is bent in a movement's other pose. */
    final List<String> to = new ArrayList<>();
    /** Whether a movement goes over to the other side. */
    boolean swings;
    /** Joint that circles where it is not the motion's; empty for that. */
    String circles = "";
    /** Whether the pelvis may tip to bring the contacts down. */
    boolean pelvisGives;

    View view = new View(50, 16);

    /** A copy to change. */
    Pose copy() {
        var copy = new Pose();
        Stream.of(Bone.values()).flatMap(b -> Freedom.of(b).stream()).forEach(f -> copy.angles.set(f, angles.get(f)));
        copy.contacts.putAll(contacts);
        copy.touches.addAll(touches);
        copy.props.addAll(props);
        copy.zeros.putAll(zeros);
        copy.bothWork = bothWork;
        copy.lifts = lifts;
        copy.to.addAll(to);
        copy.swings = swings;
        copy.circles = circles;
        copy.pelvisGives = pelvisGives;
        copy.view = view;
        return copy;
    }

    public View view() {
        return view;
    }

    /** "hipW 90 20 0", "knee 90" of both sides, "trunk 30" shared by waist and chest. */
    void bend(String text) {
        var words = text.trim().split(" +");
        var joints = GROUPS.getOrDefault(words[0], List.of(words[0]));
        for (var joint : joints) {
            var bones = bones(joint);
            for (int n = 1; n < words.length; n++) {
                double value = Double.parseDouble(words[n]) / joints.size();
                for (var bone : bones) {
                    angles.set(new Freedom(bone, n - 1), value);
                }
            }
        }
    }

    /** Of a group, or of one joint. */
    static List<Bone> bonesOf(String joint) {
        return GROUPS.getOrDefault(joint, List.of(joint)).stream()
                .flatMap(j -> bones(j).stream())
                .toList();
    }

    /** With what touches the floor on both sides alone: what a movement from side to side stands on all the time. */
    Pose standingBothWays() {
        var both = copy();
        both.contacts.keySet().removeIf(name -> !contacts.containsKey(Mirror.spot(name)));
        both.touches.clear();
        return both;
    }

    /** One bone for "hipW" or "waist", two for "hip". */
    static List<Bone> bones(String joint) {
        var found = Stream.of(joint, joint + "W", joint + "O")
                .flatMap(j -> Bone.ofJoint(j).stream())
                .toList();
        if (found.isEmpty()) {
            throw new IllegalArgumentException("no joint is called " + joint);
        }
        return found;
    }

    /** "heelW", "heel" for both, "seat@26" at a height, "-heelO" no longer, "palmW>kneeW" for two that touch. */
    void touch(String text) {
        if (text.startsWith("-")) {
            spots(text.substring(1)).forEach(s -> contacts.remove(s.name()));
        } else if (text.contains(">")) {
            var both = text.split(">");
            var from = spots(both[0]);
            var to = spots(both[1]);
            for (int n = 0; n < from.size(); n++) {
                touches.add(new Touch(from.get(n), to.get(Math.min(n, to.size() - 1))));
            }
        } else {
            var parts = text.split("@");
            double height = parts.length > 1 ? Double.parseDouble(parts[1]) : 0;
            spots(parts[0]).forEach(s -> contacts.put(s.name(), new Contact(s, height)));
        }
    }

    private static List<Spot> spots(String name) {
        var found = Spot.every().stream()
                .filter(s -> s.name().equals(name)
                        || s.name().equals(name + "W")
                        || s.name().equals(name + "O"))
                .sorted((a, b) -> b.name().compareTo(a.name()))
                .toList();
        return found.isEmpty() ? List.of(Spot.of(name)) : found;
    }

    /** "view 60 15", "prop block footW", "strap palmW ballW", "zero hip-flexion 90", "both", "gives", "lifts trunk", "to waist 10", "swings", "circles pelvis". */
    void mark(String text) {
        var words = text.trim().split(" +");
        switch (words[0]) {
            case "view" -> view = new View(Double.parseDouble(words[1]), Double.parseDouble(words[2]));
            case "zero" -> zeros.put(words[1], Double.parseDouble(words[2]));
            case "both" -> bothWork = true;
            case "lifts" -> lifts = words[1];
            case "to" -> to.add(text.trim().substring(3));
            case "swings" -> swings = true;
            case "circles" -> circles = words[1];
            case "gives" -> pelvisGives = true;
            case "strap", "band" -> props.add(new Prop(words[0], Spot.of(words[1]), Spot.of(words[2])));
            case "block", "bench", "table", "chair", "ball", "weight", "wall", "roll" -> {
                for (var spot : spots(words[1])) {
                    props.add(new Prop(words[0], spot, spot));
                }
            }
            default -> throw new IllegalArgumentException("unknown mark " + text);
        }
    }
}
