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
 * @param faults compensations to watch for
 * @param training what it is for in training; null where it is only measured in
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
        List<String> faults,
        @Nullable Training training,
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
        return training != null;
    }

    /** What pushing out of the range means here; empty where nothing is pressed. */
    public String press() {
        return training == null ? "" : training.press();
    }

    /** What pulling deeper means here; empty where nothing is pulled. */
    public String pull() {
        return training == null ? "" : training.pull();
    }

    /** What a lift-off lifts here. */
    public String lifts() {
        return training == null ? Training.LIFTS : training.lifts();
    }

    /** Whether both sides can work in it in the same stretch of time. */
    public boolean allowsTogether() {
        return training != null && training.together() != Training.Together.NO;
    }

    /** Whether a higher bench goes deeper here. */
    public boolean higherBenchDeeper() {
        return training != null && training.higherBenchDeeper();
    }

    /** Ids of what it needs. */
    public List<String> equipment() {
        return training == null ? List.of() : training.equipment();
    }
}
