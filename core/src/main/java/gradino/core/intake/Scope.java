package gradino.core.intake;

import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Side;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Where a restriction holds. Empty in all parts is the whole body.
 *
 * @param joints as in the catalogue; empty for every joint
 * @param motion one motion; null for all of the joints
 * @param side null for both sides
 */
public record Scope(
        List<String> joints,
        @Nullable String motion,
        @Nullable Side side) {
    public static final Scope WHOLE_BODY = new Scope(List.of(), null, null);

    public Scope {
        joints = List.copyOf(joints);
    }

    public static Scope joint(String joint, @Nullable Side side) {
        return new Scope(List.of(joint), null, side);
    }

    public static Scope motion(String motion, @Nullable Side side) {
        return new Scope(List.of(), motion, side);
    }

    /** Whether a line of this motion comes under it, on some side. */
    public boolean covers(String motionId) {
        if (motion != null) {
            return motion.equals(motionId);
        }
        return joints.isEmpty()
                || Catalogue.motion(motionId)
                        .map(Motion::joint)
                        .filter(joints::contains)
                        .isPresent();
    }

    public boolean covers(String motionId, Side on) {
        return covers(motionId) && (side == null || side == on || !on.isPaired());
    }

    /** In words: "left hip", "hip flexion", "neck, thoracic, lumbar", or empty for the whole body. */
    public String text() {
        var what =
                motion != null ? Catalogue.motion(motion).map(Motion::name).orElse(motion) : String.join(", ", joints);
        return side == null || what.isEmpty() ? what : side.word() + " " + what;
    }
}
