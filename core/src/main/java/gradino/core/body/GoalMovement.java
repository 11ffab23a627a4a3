package gradino.core.body;

import gradino.core.because.Source;
import java.util.List;

/**
 * A movement that somebody wants to do, from {@code goal-movements.csv}.
 *
 * @param needs degrees motion by motion: a start for the coach to change, not a limit
 */
public record GoalMovement(String id, String name, List<Need> needs) {
    public GoalMovement {
        needs = List.copyOf(needs);
    }

    /** @param degrees that the movement takes of this motion */
    public record Need(String motion, double degrees, Source source) {}
}
