package gradino.core.prescribe.program;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.Limits;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.UncertainAngle;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * What a composed session is held against.
 *
 * @param minutes that the client has; null when not said
 * @param equipment ids that the client owns; empty when nothing was said
 * @param stoppedJoints joints that must not be moved at all until cleared
 * @param facts what is known for a line
 */
public record SessionContext(
        @Nullable Integer minutes,
        List<String> equipment,
        Set<String> stoppedJoints,
        Function<LineDraft, LineFacts> facts) {

    public SessionContext(@Nullable Integer minutes, List<String> equipment, Function<LineDraft, LineFacts> facts) {
        this(minutes, equipment, Set.of(), facts);
    }

    /**
     * What is known of a client's motion.
     *
     * @param limits restrictions that the motion comes under
     * @param newcomer fewer than four sessions of it, or long away
     * @param held working angles in force; empty for a new line
     * @param passive cold estimates in the line's position; empty where never measured
     * @param unloadedMastered the unloaded version was done at top repetitions twice
     * @param liftOffsMastered lift-offs were done before
     */
    public record LineFacts(
            Limits limits,
            boolean newcomer,
            Sided<Optional<Degrees>> held,
            Sided<Optional<UncertainAngle>> passive,
            boolean unloadedMastered,
            boolean liftOffsMastered) {
        /** Cold estimate of a side; the shorter of both for what is done in the middle, or with both together. */
        Optional<UncertainAngle> passive(Side side) {
            return side.isPaired()
                    ? passive.on(side)
                    : Side.PAIR.stream()
                            .flatMap(s -> passive.on(s).stream())
                            .min(Comparator.comparingDouble(p -> p.value().value()));
        }

        /** With another line of the motion: whoever trains it in one is no newcomer to it, and has mastered what either has. */
        public LineFacts and(LineFacts other) {
            var known = newcomer && !other.newcomer ? other : this;
            return new LineFacts(
                    known.limits,
                    known.newcomer,
                    known.held,
                    known.passive,
                    unloadedMastered || other.unloadedMastered,
                    liftOffsMastered || other.liftOffsMastered);
        }

        public static final LineFacts UNKNOWN = new LineFacts(
                Limits.NONE, false, Sided.both(Optional.empty()), Sided.both(Optional.empty()), true, true);
    }

    public static SessionContext unrestricted() {
        return new SessionContext(null, List.of(), line -> LineFacts.UNKNOWN);
    }
}
