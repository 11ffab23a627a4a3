package gradino.core.body;

import gradino.core.because.Source;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A position for measuring and training, from {@code positions.csv}. Each declares its own zero.
 *
 * @param view from where its drawing is seen: top, front, side or back
 * @param lying flat on the back or on the belly
 * @param table joint position of the tables its angles may be compared with; null when with none
 * @param tape formula a tape reading uses here; null where a tape gives no angle
 * @param press how to press in it; empty where it is only measured in
 */
public record Position(
        String id,
        String name,
        String view,
        boolean lying,
        List<String> motions,
        @Nullable String table,
        @Nullable TapeFormulaId tape,
        String zero,
        String setup,
        String press,
        String pull,
        String prop,
        List<String> faults,
        Source source) {

    /** Which tape formula fits; the geometry itself is measure's. */
    public enum TapeFormulaId {
        FOOT_RISE,
        FOOT_SIDEWAYS,
        HEEL_RISE,
        STRADDLE_TOTAL,
        STRADDLE_EACH,
        LEG_OUT,
        KNEE_FOLD,
        TOE_WALL
    }

    public boolean allows(String motionId) {
        return motions.contains(motionId);
    }

    /** Whether a line can be trained in it. */
    public boolean trains() {
        return !press.isEmpty();
    }
}
