package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Because;
import gradino.core.prescribe.method.Dose;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** One rung of a ladder: what it would change, or why not now. */
public interface Lever {
    LeverId id();

    Attempt attempt(Situation situation);

    /**
     * What came of trying a lever.
     *
     * @param dose the dose it leads to; null when it is blocked
     * @param stage position that it leads to; null where the position stays
     * @param why the step in a reason, or what blocks it
     * @param requests what would unblock it
     */
    record Attempt(@Nullable Dose dose, @Nullable String stage, Because why, List<Because> requests) {
        public Attempt {
            requests = List.copyOf(requests);
        }

        static Attempt step(Dose dose, Because why) {
            return new Attempt(dose, null, why, List.of());
        }

        static Attempt toStage(Dose dose, String position, Because why) {
            return new Attempt(dose, position, why, List.of());
        }

        static Attempt blocked(Because why, Because... requests) {
            return new Attempt(null, null, why, List.of(requests));
        }
    }
}
