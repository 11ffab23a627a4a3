package gradino.core.prescribe;

import gradino.core.body.Sided;
import gradino.core.intake.Limits;
import gradino.core.quantity.UncertainAngle;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a plan is held against.
 *
 * @param limits restrictions that this motion comes under
 * @param newcomer fewer than four sessions of this motion, or long away
 * @param minutes what the client has for a session; null when not said
 * @param held doses in force before the change; empty for a new line
 * @param passive cold estimates in the plan's position; empty where never measured
 */
public record PlanContext(
        Limits limits,
        boolean newcomer,
        @Nullable Integer minutes,
        Sided<Optional<Dose>> held,
        Sided<Optional<UncertainAngle>> passive) {

    public static PlanContext unrestricted() {
        return new PlanContext(Limits.NONE, false, null, Sided.both(Optional.empty()), Sided.both(Optional.empty()));
    }
}
