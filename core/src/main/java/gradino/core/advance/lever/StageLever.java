package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.body.Catalogue;
import gradino.core.body.Stage;
import gradino.core.body.Stage.Need;
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
        var found = Stage.after(s.state().plan().motion(), s.state().plan().position());
        if (found.isEmpty()) {
            return Attempt.blocked(Because.of(Reason.NO_STAGE));
        }
        var stage = found.get();
        if (stage.needs().contains(Need.LADDER) && !isDone(s)) {
            return Attempt.blocked(Because.of(Reason.STAGE_NOT_FULL));
        }
        int wanted = grade(s, stage);
        if (s.range().controlGrade() < wanted) {
            return Attempt.blocked(
                    Because.of(
                            Reason.GRADE_TOO_LOW,
                            Term.of(s.range().controlGrade(), Unit.COUNT),
                            Term.of(wanted, Unit.COUNT)),
                    Because.of(Reason.ASK_GRADE));
        }
        if (stage.needs().contains(Need.SEEN) && !s.rung().isObserved()) {
            return Attempt.blocked(AngleLever.notObserved(s), Because.of(Reason.ASK_OBSERVE));
        }
        return allowed(s, stage);
    }

    private static int grade(Situation s, Stage stage) {
        return stage.needs().contains(Need.GRADE) ? s.whole(Threshold.STAGE_GRADE) : 0;
    }

    private Attempt allowed(Situation s, Stage stage) {
        var next = Catalogue.position(stage.to()).orElseThrow();
        if (next.lying() && s.state().client().limits().notLying().isPresent()) {
            return Attempt.blocked(Because.of(Reason.STAGE_LYING));
        }
        boolean alone = s.state().plan().trained().size() == 1;
        if (stage.bothSides() && !alone && !isReady(s.ofOtherSide(), stage)) {
            return Attempt.blocked(Because.of(Reason.STAGE_OTHER_SIDE));
        }
        return Attempt.toStage(s.dose(), next.id(), Because.of(Reason.STEP_STAGE, Term.of(next.name())));
    }

    private boolean isReady(Situation other, Stage stage) {
        return before.stream().map(lever -> lever.attempt(other)).allMatch(StageLever::isPast)
                && other.range().controlGrade() >= grade(other, stage)
                && other.rung().lastRuns().size() >= other.whole(Threshold.SESSIONS_NEEDED);
    }

    /** Neither to be taken now nor waiting for something. */
    private static boolean isPast(Attempt attempt) {
        return attempt.dose() == null && attempt.requests().isEmpty();
    }

    /** Nothing of the ladder before it waits for a reading or for a coach's eye. */
    private boolean isDone(Situation s) {
        return before.stream().allMatch(lever -> lever.attempt(s).requests().isEmpty());
    }
}
