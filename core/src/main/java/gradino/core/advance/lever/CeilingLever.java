package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.MethodBlock;
import gradino.core.quantity.EffortPercent;

/** Ten points more effort: first to 70 %, later to the method's top; never over the client's cap. */
final class CeilingLever implements Lever {
    private final LeverId id;

    CeilingLever(LeverId id) {
        this.id = id;
    }

    @Override
    public LeverId id() {
        return id;
    }

    @Override
    public Attempt attempt(Situation s) {
        if (s.plateau()) {
            return Attempt.blocked(Because.of(Reason.PLATEAU_FIRST));
        }
        int top = id == LeverId.CEILING
                ? s.whole(Threshold.CEILING_FIRST_TOP)
                : s.range(BlockForm.GRADED_SET, "ceiling")
                        .map(MethodBlock.Range::mostWhole)
                        .orElse(0);
        int old = s.dose().ceiling().value();
        int cap = s.state().client().limits().highestEffort().value();
        int next = Math.min(Math.min(top, cap), old + s.whole(Threshold.CEILING_STEP));
        if (next <= old) {
            boolean capped = cap < top;
            return Attempt.blocked(
                    capped
                            ? Because.of(Reason.AT_EFFORT_CAP, Term.of(cap, Unit.PERCENT))
                            : Because.of(Reason.AT_TOP, Term.of("ceiling"), Term.of(top, Unit.PERCENT)));
        }
        return Attempt.step(
                s.moved(EffortPercent.of(next), () -> s.dose().withCeiling(EffortPercent.of(next))),
                Because.of(Reason.STEP_CEILING, Term.of(old, Unit.PERCENT), Term.of(next, Unit.PERCENT)));
    }
}
