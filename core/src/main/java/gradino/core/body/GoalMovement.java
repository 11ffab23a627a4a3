package gradino.core.body;

import gradino.core.because.Source;
import java.util.List;

/**
 * A movement that somebody wants to do, from {@code goal-movements.csv}.
 *
 * @param needs degrees motion by motion: a start for the coach to change, not a limit
 */
public record GoalMovement(String id, String name, List<Need> needs) {
    private static final double MOST_DEGREES = 200;

    public GoalMovement {
        needs = List.copyOf(needs);
    }

    /** @param degrees that the movement takes of this motion, above 0 up to 200 */
    public record Need(String motion, double degrees, Source source) {
        public Need {
            if (!(degrees > 0 && degrees <= MOST_DEGREES)) {
                throw new IllegalArgumentException("a need lies above 0 and up to 200 degrees, was " + degrees);
            }
        }
    }
}
