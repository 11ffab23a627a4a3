package gradino.core.advance;

import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;

/** Gate 4: the next-morning answer is still awaited. */
final class UnknownsGate implements Gate {

    @Override
    public String id() {
        return "unknowns";
    }

    @Override
    public Judgement judge(Situation s) {
        return s.atThisRung().stream()
                .filter(s::isStillAwaited)
                .findFirst()
                .map(session -> {
                    double hours = Math.floor(s.moment().hoursSince(session.endedAt()));
                    var because = Because.of(Reason.MORNING_AWAITED, amount(hours, Unit.HOUR));
                    return decided(s, Verdict.STAY, Threshold.UNKNOWN_HOURS, hours, because)
                            .asking(Because.of(Reason.ASK_MORNING));
                })
                .orElseGet(() -> passed(s, Threshold.UNKNOWN_HOURS, null, Reason.NOTHING_AWAITED));
    }
}
