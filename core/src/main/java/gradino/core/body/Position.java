package gradino.core.body;

import gradino.core.because.Source;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A position for measuring and training, from {@code positions.csv}. Each declares its own zero.
 *
 * @param view from where its drawing is seen: top or front
 * @param table joint position of the tables its angles may be compared with; null when with none
 * @param tape formula a tape reading uses here
 */
public record Position(
        String id,
        String name,
        String view,
        List<String> motions,
        @Nullable String table,
        TapeFormulaId tape,
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
        FOOT_SIDEWAYS
    }

    public boolean allows(String motionId) {
        return motions.contains(motionId);
    }
}
