package gradino.core.advance;

import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.prescribe.BlockForm;
import gradino.core.prescribe.MethodBlock;

/** Fifteen seconds more of supported hold, to the method's top. */
final class SupportedHoldLever implements Lever {

    @Override
    public LeverId id() {
        return LeverId.SUPPORTED_HOLD;
    }

    @Override
    public Attempt attempt(Situation s) {
        int top = s.range(BlockForm.SUPPORTED_HOLD, "seconds")
                .map(MethodBlock.Range::mostWhole)
                .orElse(0);
        int old = s.dose().supportedHoldSeconds();
        int next = Math.min(top, old + s.whole(Threshold.SUPPORTED_HOLD_STEP));
        if (next <= old) {
            return Attempt.blocked(Because.of(Reason.AT_TOP, Term.of("supported hold"), Term.of(top, Unit.SECOND)));
        }
        return Attempt.step(
                s.dose().withSupportedHold(next),
                Because.of(Reason.STEP_SUPPORTED_HOLD, Term.of(old, Unit.SECOND), Term.of(next, Unit.SECOND)));
    }
}
