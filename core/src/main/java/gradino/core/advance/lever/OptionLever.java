package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.prescribe.program.LineOptions;
import gradino.core.prescribe.program.LineOptions.Harder;

/**
 * The first of the position's harder options that may be taken: the set-up says it, and what the ladder has raised goes back to what
 * the line began with. One that goes deeper has the needs and bars of an angle step; another position is a stage.
 */
final class OptionLever implements Lever {
    @Override
    public LeverId id() {
        return LeverId.OPTION;
    }

    @Override
    public Attempt attempt(Situation s) {
        Attempt first = null;
        for (var harder : LineOptions.harder(s.state().plan().position(), s.dose())) {
            var barred = harder.deeper() ? AngleLever.barred(s) : AngleLever.unobserved(s);
            if (barred.isEmpty()) {
                return taken(s, harder);
            }
            first = first == null ? barred.get() : first;
        }
        return first == null ? Attempt.blocked(Because.of(Reason.NO_HARDER_OPTION)) : first;
    }

    private static Attempt taken(Situation s, Harder harder) {
        return Attempt.step(
                s.moved(harder.words(), () -> new Lower(s).everything(harder.dose())),
                Because.of(Reason.STEP_OPTION, Term.of(harder.words())));
    }
}
