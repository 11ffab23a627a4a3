package gradino.core.advance;

import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.prescribe.BlockForm;

/** Control at the end of the range: 3 × 10 s of hands-off hold where there is none, then two seconds more, to 15 s. */
final class HandsOffLever implements Lever {

    @Override
    public LeverId id() {
        return LeverId.HANDS_OFF_HOLD;
    }

    @Override
    public Attempt attempt(Situation s) {
        var known = s.range(BlockForm.HANDS_OFF_HOLD, "hold");
        if (known.isEmpty()) {
            return Attempt.blocked(Because.of(Reason.NOT_IN_METHOD, Term.of("hands-off hold")));
        }
        var hold = known.get();
        if (!s.dose().hasHandsOff()) {
            int repetitions = (int)
                    s.method().range(BlockForm.HANDS_OFF_HOLD, "repetitions").usual();
            return Attempt.step(
                    s.dose().withHandsOff(repetitions, hold.usualWhole()),
                    Because.of(
                            Reason.ADD_HANDS_OFF,
                            Term.of(repetitions, Unit.COUNT),
                            Term.of(hold.usualWhole(), Unit.SECOND)));
        }
        int old = s.dose().handsOffSeconds();
        int next = Math.min(hold.mostWhole(), old + s.whole(Threshold.HANDS_OFF_STEP));
        if (next <= old) {
            return Attempt.blocked(
                    Because.of(Reason.AT_TOP, Term.of("hands-off hold"), Term.of(hold.mostWhole(), Unit.SECOND)));
        }
        return Attempt.step(
                s.dose().withHandsOff(s.dose().handsOffRepetitions(), next),
                Because.of(Reason.STEP_HANDS_OFF, Term.of(old, Unit.SECOND), Term.of(next, Unit.SECOND)));
    }
}
