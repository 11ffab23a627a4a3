package gradino.core.advance;

import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.prescribe.BlockForm;
import gradino.core.prescribe.MethodBlock;

/** Five seconds more on the top tread, to the method's top. */
final class TopHoldLever implements Lever {

    @Override
    public LeverId id() {
        return LeverId.TOP_HOLD;
    }

    @Override
    public Attempt attempt(Situation s) {
        int top = s.range(BlockForm.GRADED_SET, "top-hold")
                .map(MethodBlock.Range::mostWhole)
                .orElse(0);
        int old = s.dose().topHoldSeconds();
        int next = Math.min(top, old + s.whole(Threshold.TOP_HOLD_STEP));
        if (next <= old) {
            return Attempt.blocked(Because.of(Reason.AT_TOP, Term.of("top hold"), Term.of(top, Unit.SECOND)));
        }
        return Attempt.step(
                s.dose().withTopHold(next),
                Because.of(Reason.STEP_TOP_HOLD, Term.of(old, Unit.SECOND), Term.of(next, Unit.SECOND)));
    }
}
