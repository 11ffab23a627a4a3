package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockNumbers;
import gradino.core.prescribe.method.MethodBlock;

/** Control at the end of the range: three sets of 10 s of hands-off hold where there is none, then two seconds more, to 15 s. */
final class HandsOffLever implements Lever {
    private static final int FIRST_SETS = 3;

    @Override
    public LeverId id() {
        return LeverId.HANDS_OFF_HOLD;
    }

    @Override
    public Attempt attempt(Situation s) {
        var hold = range(s, "hold");
        if (!s.dose().hasHandsOff()) {
            return Attempt.step(
                    s.dose().plusHandsOff(FIRST_SETS, hold.usualWhole()),
                    Because.of(
                            Reason.ADD_HANDS_OFF,
                            Term.of(FIRST_SETS, Unit.COUNT),
                            Term.of(hold.usualWhole(), Unit.SECOND)));
        }
        int old = s.dose().handsOffSeconds();
        int next = Math.min(hold.mostWhole(), old + s.whole(Threshold.HANDS_OFF_STEP));
        if (next <= old) {
            return Attempt.blocked(
                    Because.of(Reason.AT_TOP, Term.of("hands-off hold"), Term.of(hold.mostWhole(), Unit.SECOND)));
        }
        var cut = s.cutShort(BlockForm.HANDS_OFF_HOLD);
        if (cut.isPresent()) {
            return Attempt.blocked(cut.get());
        }
        return Attempt.step(
                s.dose().withHandsOffSeconds(next),
                Because.of(Reason.STEP_HANDS_OFF, Term.of(old, Unit.SECOND), Term.of(next, Unit.SECOND)));
    }

    private static MethodBlock.Range range(Situation s, String name) {
        return BlockNumbers.range(s.method(), BlockForm.HANDS_OFF_HOLD, name).orElseThrow();
    }
}
