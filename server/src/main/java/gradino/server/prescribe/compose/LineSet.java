package gradino.server.prescribe.compose;

import gradino.core.advance.lever.LoadStep;
import gradino.core.body.Side;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a line is set up on one side.
 *
 * @param reachedDegrees the angle that the props really give
 * @param stackCm blocks to stack; null for a strap or hand
 * @param readingCm what the tape shows then; null where no tape fits or a length is missing
 * @param torques of the limb by gravity there
 */
public record LineSet(
        String line,
        Side side,
        double reachedDegrees,
        @Nullable Double stackCm,
        @Nullable Double readingCm,
        List<LimbTorque> torques) {

    /**
     * Torque about the joint.
     *
     * @param limb in words: straight leg, leg with the knee bent, …
     * @param newtonMetres at the angle, with the heaviest load of the line
     * @param level the same with the limb level, where it is heaviest
     * @param loadShare 0 to 1
     * @param loadForMore load for 5 % more torque, kg
     * @param next what follows after clean sessions at the line's repetitions; null without repetitions, or at the top
     * @param plate the smallest weight that gives at least that, kg; null when two plates are not enough
     */
    record LimbTorque(
            String limb,
            double newtonMetres,
            double level,
            double loadKg,
            double loadShare,
            double loadForMore,
            @Nullable Double plate,
            @Nullable LoadStep next) {}
}
