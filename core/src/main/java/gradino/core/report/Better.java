package gradino.core.report;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Is it better? Every side of every motion from the beginning of the period to its newest reading.
 *
 * @param family how many of them are tested together
 */
public record Better(List<MotionChange> motions, List<MovementChange> movements, Family family) {
    public Better {
        motions = List.copyOf(motions);
        movements = List.copyOf(movements);
    }

    /**
     * Several motions at once.
     *
     * @param tested one p a motion and side
     * @param byChance how many of them would seem to change by noise alone
     * @param changed how many are beyond their own noise
     * @param hold how many of these with all looked at together
     * @param threshold the largest p that holds; null where none does
     */
    public record Family(
            int tested,
            double byChance,
            int changed,
            int hold,
            @Nullable Double threshold) {}
}
