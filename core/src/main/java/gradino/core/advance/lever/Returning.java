package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.Event.DoseDecided;
import gradino.core.advance.state.SessionFacts;
import gradino.core.advance.state.Threshold;
import gradino.core.perform.PainKind;
import gradino.core.quantity.Degrees;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** An angle that was held, with as many clean sessions as a step needs, and given up for another reason than pain. */
final class Returning {
    private static final double SAME_DEGREES = 0.01;

    private final Situation s;
    private final List<DoseDecided> decisions;

    private Returning(Situation s) {
        this.s = s;
        this.decisions = s.me().decisions();
    }

    /** The angle to which a line may return, at most; empty where what lies deeper than now is new, or was given up for pain. */
    static Optional<Degrees> to(Situation s) {
        return new Returning(s).held();
    }

    private Optional<Degrees> held() {
        double least = s.value(Threshold.ANGLE_LEAST);
        for (int i = decisions.size() - 1; i >= 0; i--) {
            var left = decisions.get(i);
            boolean deeper = left.before().angle().minus(s.dose().angle()) >= least;
            if (deeper && left.after().angle().compareTo(left.before().angle()) < 0) {
                boolean free = !isForPain(i) && isMastered(left.before().angle(), left.happenedAt());
                return free ? Optional.of(left.before().angle()) : Optional.empty();
            }
        }
        return Optional.empty();
    }

    private boolean isForPain(int decision) {
        var until = decisions.get(decision).recordedAt();
        var since = decision == 0 ? Instant.MIN : decisions.get(decision - 1).recordedAt();
        return s.state().sessions().stream()
                .filter(x -> x.lastHeard().isAfter(since) && !x.recordedAt().isAfter(until))
                .anyMatch(this::isPainful);
    }

    private boolean isPainful(SessionFacts session) {
        var facts = session.on(s.side());
        return facts.wrongJoint()
                || facts.worstKind() == PainKind.PINCH_THAT_EASED
                || facts.worstPain().value() > s.value(Threshold.PAIN_CLEAN);
    }

    private boolean isMastered(Degrees angle, Instant until) {
        return s.state().sessions().stream()
                        .filter(x -> x.endedAt().isBefore(until))
                        .filter(x -> Math.abs(x.doses().on(s.side()).angle().minus(angle)) < SAME_DEGREES)
                        .filter(s::isClean)
                        .limit(s.whole(Threshold.SESSIONS_NEEDED))
                        .count()
                >= s.whole(Threshold.SESSIONS_NEEDED);
    }
}
