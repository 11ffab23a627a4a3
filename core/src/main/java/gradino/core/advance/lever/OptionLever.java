package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.prescribe.program.LineOptions;

/**
 * The position's next harder option: the set-up says it, and what the ladder has raised goes back to what the line began with. What
 * goes deeper is an angle step and another position a stage: neither is taken here.
 */
final class OptionLever implements Lever {
    @Override
    public LeverId id() {
        return LeverId.OPTION;
    }

    @Override
    public Attempt attempt(Situation s) {
        var next = LineOptions.nextHarder(s.state().plan().position(), s.dose());
        if (next.isEmpty()) {
            return Attempt.blocked(Because.of(Reason.NO_HARDER_OPTION));
        } else if (!s.rung().isObserved()) {
            return Attempt.blocked(AngleLever.notObserved(s), Because.of(Reason.ASK_OBSERVE));
        }
        var harder = next.get();
        return Attempt.step(
                s.moved(harder.words(), () -> new Lower(s).everything(harder.dose())),
                Because.of(Reason.STEP_OPTION, Term.of(harder.words())));
    }
}
