package gradino.core.advance.gate;

import gradino.core.because.Because;
import gradino.core.because.GateResult;
import gradino.core.because.Reason;
import gradino.core.because.Source;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import gradino.core.perform.StopSignText;

/** Gate 1: any uncleared stop sign that reaches this side, or a client stopped as a whole. */
public final class StopSignGate implements Gate {
    private static final Source SOURCE =
            new Source(Source.Kind.COMMON_PRACTICE, "common practice: stop signs are referred, never trained through");

    private static final String ID = "stop-sign";
    private static final Judgement PASSED =
            Judgement.of(GateResult.passed(ID, 0.0, 0.0, Unit.COUNT, Because.of(Reason.NO_STOP_SIGN), SOURCE));

    @Override
    public String id() {
        return ID;
    }

    @Override
    public Judgement judge(Situation s) {
        var stopped = s.state().client().limits().stopped();
        if (stopped.isPresent()) {
            return refer(Because.of(Reason.CLIENT_STOPPED, Term.of(stopped.get().reason())));
        }
        for (var stop : s.state().signs().open()) {
            if (stop.reaches(s.reach())) {
                var sign = StopSignText.of(stop.sign()).words();
                return refer(Because.of(Reason.STOP_SIGN, Term.of(sign)));
            }
        }
        return PASSED;
    }

    private Judgement refer(Because because) {
        return Judgement.of(GateResult.decided(id(), Verdict.STOP_AND_REFER, 1.0, 0.0, Unit.COUNT, because, SOURCE))
                .asking(Because.of(Reason.ASK_CLEARANCE));
    }
}
