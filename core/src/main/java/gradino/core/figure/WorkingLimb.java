package gradino.core.figure;

import gradino.core.figure.FigureMaker.Asked;
import gradino.core.quantity.OutOfBoundsException;
import java.util.Map;
import java.util.Optional;

/**
 * What moves as the working angle grows, for gravity.
 *
 * @param segment thigh, shank, foot, arm, forearm, hand, trunk or head
 * @param degreesUp against the horizontal, from its joint outwards, −90 to 90
 */
public record WorkingLimb(String segment, double degreesUp) {
    public WorkingLimb {
        OutOfBoundsException.require("direction", degreesUp, -90.001, 90.001, "°");
    }

    private static final Map<String, String> SEGMENTS = Map.ofEntries(
            Map.entry("hip", "thigh"),
            Map.entry("knee", "shank"),
            Map.entry("ankle", "foot"),
            Map.entry("shoulder", "arm"),
            Map.entry("elbow", "forearm"),
            Map.entry("wrist", "hand"),
            Map.entry("waist", "trunk"),
            Map.entry("chest", "trunk"),
            Map.entry("neck", "head"),
            Map.entry("head", "head"));

    /** Empty where nothing is held up, or where the motion has no joint in this body. */
    public static Optional<WorkingLimb> of(Asked asked) {
        return FigureMaker.working(asked)
                .map(w -> new WorkingLimb(SEGMENTS.getOrDefault(w.bone().joint, ""), up(w.along())));
    }

    private static double up(Vec along) {
        return Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, along.z()))));
    }
}
