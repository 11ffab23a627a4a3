package gradino.core.schedule.week;

import gradino.core.body.Side;
import java.time.Instant;

/**
 * From when on something may be done again, after what was done last and how sore it was.
 *
 * @param line what was done; what is light keeps nothing else from its joint
 */
public record Rested(String line, String joint, Side side, boolean light, Instant from) {
    boolean holds(WeekLine other) {
        return line.equals(other.id()) || (!light && !other.isLight() && other.meets(joint, side));
    }
}
