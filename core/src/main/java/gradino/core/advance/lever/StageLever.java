package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.body.Position;
import gradino.core.body.Stages;
import java.util.List;

/**
 * The same motion in a harder position, for both sides at once: when the ladder before it is done on both, at its top, barred or
 * without room, and the control graded good enough.
 */
final class StageLever implements Lever {
    private final List<Lever> before;

    /** @param before what the ladder has first */
    StageLever(List<Lever> before) {
        this.before = List.copyOf(before);
    }

    @Override
    public LeverId id() {
        return LeverId.STAGE;
    }

    @Override
    public Attempt attempt(Situation s) {
        var next = Stages.next(s.state().plan().motion(), s.state().plan().position());
        if (next.isEmpty()) {
            return Attempt.blocked(Because.of(Reason.NO_STAGE));
        }
        if (!isDone(s)) {
            return Attempt.blocked(Because.of(Reason.STAGE_NOT_FULL));
        }
        int wanted = s.whole(Threshold.STAGE_GRADE);
        if (s.range().controlGrade() < wanted) {
            return Attempt.blocked(
                    Because.of(
                            Reason.GRADE_TOO_LOW,
                            Term.of(s.range().controlGrade(), Unit.COUNT),
                            Term.of(wanted, Unit.COUNT)),
                    Because.of(Reason.ASK_GRADE));
        }
        if (!s.rung().isObserved()) {
            return Attempt.blocked(AngleLever.notObserved(s), Because.of(Reason.ASK_OBSERVE));
        }
        return allowed(s, next.get());
    }

    private Attempt allowed(Situation s, Position next) {
        if (next.lying() && s.state().client().limits().notLying().isPresent()) {
            return Attempt.blocked(Because.of(Reason.STAGE_LYING));
        }
        boolean alone = s.state().plan().trained().size() == 1;
        if (!alone && !isReady(s.ofOtherSide())) {
            return Attempt.blocked(Because.of(Reason.STAGE_OTHER_SIDE));
        }
        return Attempt.toStage(s.dose(), next.id(), Because.of(Reason.STEP_STAGE, Term.of(next.name())));
    }

    private boolean isReady(Situation other) {
        return isDone(other)
                && before.stream().allMatch(lever -> lever.attempt(other).dose() == null)
                && other.range().controlGrade() >= other.whole(Threshold.STAGE_GRADE)
                && other.rung().lastRuns().size() >= other.whole(Threshold.SESSIONS_NEEDED);
    }

    /** Nothing of the ladder before it waits for a reading or for a coach's eye. */
    private boolean isDone(Situation s) {
        return before.stream().allMatch(lever -> lever.attempt(s).requests().isEmpty());
    }
}
