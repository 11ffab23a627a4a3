package gradino.core.advance.gate;

import gradino.core.advance.state.SessionFacts;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import java.util.Optional;

/** Gate 4: the next-morning answer is still awaited. */
public final class UnknownsGate implements Gate {

    @Override
    public String id() {
        return "unknowns";
    }

    /** The first of the newest sessions: what is older is no longer awaited. */
    private static Optional<SessionFacts> firstAwaited(Situation s) {
        SessionFacts found = null;
        var all = s.state().sessions();
        for (int i = all.size() - 1; i >= 0; i--) {
            var session = all.get(i);
            if (s.moment().hoursSince(session.endedAt()) >= s.value(Threshold.UNKNOWN_HOURS)) {
                break;
            }
            found = session.isUnknown() && s.rung().has(session) ? session : found;
        }
        return Optional.ofNullable(found);
    }

    @Override
    public Judgement judge(Situation s) {
        return firstAwaited(s)
                .map(session -> {
                    double hours = Math.floor(s.moment().hoursSince(session.endedAt()));
                    var because = Because.of(Reason.MORNING_AWAITED, Gate.amount(hours, Unit.HOUR));
                    return decided(Verdict.STAY, hours, Limit.of(s, Threshold.UNKNOWN_HOURS), because)
                            .asking(Because.of(Reason.ASK_MORNING));
                })
                .orElseGet(() -> passed(s, Threshold.UNKNOWN_HOURS, null, Reason.NOTHING_AWAITED));
    }
}
