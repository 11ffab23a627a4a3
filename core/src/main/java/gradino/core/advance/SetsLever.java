package gradino.core.advance;

import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.prescribe.BlockForm;
import gradino.core.prescribe.MethodBlock;

/** One set more, to the method's most. */
final class SetsLever implements Lever {

    @Override
    public LeverId id() {
        return LeverId.SETS;
    }

    @Override
    public Attempt attempt(Situation s) {
        int most = s.range(BlockForm.GRADED_SET, "sets")
                .map(MethodBlock.Range::mostWhole)
                .orElse(0);
        // One extra set for the worse side while the difference is real.
        boolean behind = s.reallyBehind().filter(side -> side == s.side()).isPresent();
        int top = behind ? most + 1 : most;
        int old = s.dose().sets();
        if (old >= top) {
            return Attempt.blocked(Because.of(Reason.AT_TOP, Term.of("sets"), Term.of(top, Unit.COUNT)));
        }
        return Attempt.step(
                s.dose().withSets(old + 1),
                Because.of(Reason.STEP_SETS, Term.of(old, Unit.COUNT), Term.of(old + 1, Unit.COUNT)));
    }
}
