package gradino.core.advance;

import gradino.core.advance.state.Event.DoseDecided;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Verdict;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.quantity.OutOfBoundsException;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Of the lines of one joint and side at most one steps up, until the spacing of the line that stepped has passed. Light lines neither
 * wait nor block. House rule.
 */
public final class Turns {
    /** The line longest without a step first, then the one that is shortest of what is wanted, then by id. */
    private static final Comparator<Rival> ORDER = Comparator.comparing((Rival r) -> r.lastStep())
            .thenComparing(r -> -r.shortDegrees())
            .thenComparing(r -> r.line());

    private Turns() {}

    /**
     * One side of a line, as the others of its joint see it.
     *
     * @param name of its position
     * @param side the midline for what both sides do at one dose
     * @param spacingHours to the next session after one of it
     * @param steppedAt when its last step up was taken; null for never
     * @param shortDegrees by how much its range falls short of what is wanted; 0 where it does not
     * @param stepsUp it would step up now
     */
    public record Rival(
            String line,
            String name,
            String joint,
            Side side,
            EffortClass effort,
            int spacingHours,
            @Nullable Instant steppedAt,
            double shortDegrees,
            boolean stepsUp) {
        public Rival {
            OutOfBoundsException.require("short of what is wanted", shortDegrees, 0, 400, "°");
        }

        public static Rival of(String line, LineState state, Proposed proposed) {
            var plan = state.plan();
            var me = state.side(proposed.side());
            var effort = me.effortClass();
            return new Rival(
                    line,
                    Catalogue.position(plan.position()).map(Position::name).orElse(plan.position()),
                    Catalogue.motion(plan.motion()).map(Motion::joint).orElse(""),
                    plan.sides().one() ? Side.MIDLINE : proposed.side(),
                    effort,
                    state.method().spacingHours(effort.spacingHours()),
                    me.lastStepUp(Instant.MIN).map(DoseDecided::happenedAt).orElse(null),
                    shortDegrees(state, proposed.side()),
                    proposed.verdict() == Verdict.STEP_UP);
        }

        private static double shortDegrees(LineState state, Side side) {
            var wanted = state.client().wantedDegrees();
            var range = state.side(side).passive();
            return wanted == null || range == null ? 0 : Math.max(0, wanted - range.level());
        }

        private Instant lastStep() {
            return steppedAt == null ? Instant.MIN : steppedAt;
        }

        private boolean isBeside(Rival other) {
            boolean sameSide = side == other.side || !side.isPaired() || !other.side.isPaired();
            return !line.equals(other.line) && joint.equals(other.joint) && sameSide;
        }

        private boolean isRecovering(Moment now) {
            return steppedAt != null
                    && steppedAt.plus(Duration.ofHours(spacingHours)).isAfter(now.instant());
        }
    }

    /** For whom a line that could step up waits; empty where it may. */
    public static Optional<Because> waitsFor(Rival me, Collection<Rival> all, Moment now) {
        if (me.effort() == EffortClass.LIGHT) {
            return Optional.empty();
        }
        return all.stream()
                .filter(other -> other.effort() != EffortClass.LIGHT && me.isBeside(other))
                .filter(other -> other.isRecovering(now) || (other.stepsUp() && ORDER.compare(other, me) < 0))
                .min(ORDER)
                .map(other -> Because.of(Reason.WAITS_FOR_LINE, Term.of(other.name())));
    }
}
